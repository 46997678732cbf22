import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatOption, MatSelect } from '@angular/material/select';
import {
  GROUPING_NAME,
  type Grouping,
  type MoneyRange,
  type MoneyRow,
} from '@hypogeon/core/ledger';
import { soldText } from '@hypogeon/words';
import { inSentence } from '@hypogeon/messages';
import { say } from '@hypogeon/messages/money-page';
import { Journal } from '../data/journal';
import { Ledger } from '../data/ledger';
import { LedgerFilters } from '../data/ledger-filters';
import { Words } from '../data/words';
import { Field } from '../forms/field';
import { LedgerFilterBar } from './ledger-filter';
import { Chart } from '../charts/chart';
import { rangesChart, rangesTall, type RangeRow } from '../charts/ranges-chart';
import { LedgerTabs } from './ledger-tabs';
import { NumberPipe } from '../ui/number-pipe';
import type { Column } from '../ui/column';
import { Fold } from '../ui/fold';
import { Table } from '../ui/table';

const GROUPED_BY: readonly Grouping[] = ['method', 'mix', 'plant', 'school', 'space', 'year'];

/** What a finished plant cost in money and minutes, and what the losses were worth. */
@Component({
  selector: 'hy-money-page',
  imports: [
    Chart,
    Fold,
    Table,
    MatOption,
    MatSelect,
    NumberPipe,
    Field,
    LedgerFilterBar,
    LedgerTabs,
    RouterLink,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head m-0">
      <h1>{{ say.moneyAndTime() }}</h1>
      <p class="quiet">{{ say.whatAFinishedPlant() }}</p>
    </div>
    <hy-ledger-tabs class="-mb-3" at="/results/money"><hy-ledger-filter /></hy-ledger-tabs>
    @if (money(); as m) {
      @if (m.all.batches === 0) {
        <p>
          {{ say.noBatchIsSettled() }}
        </p>
      } @else {
        <section class="grid grid-cols-1 gap-3" [attr.aria-label]="say.overAll()">
          <p class="words max-w-[44ch] headline text-xl">
            @if (m.all.perPlant; as p) {
              {{
                say.aFinishedPlantCost({
                  money: words.money(p.value),
                  inBrackets: inBrackets(moneySpan(p)),
                })
              }}
            } @else {
              {{ say.noPriceIsKnown() }}
            }
            @if (m.all.minutesPerPlant; as t) {
              {{
                say.minutes({
                  what: m.all.perPlant ? say.and() : '',
                  true: (t.value | hyNumber: 1 : true),
                  inBrackets: inBrackets(span(t, 1)),
                })
              }}
            }
          </p>
          @if (chart(); as c) {
            <hy-chart [name]="say.costOfAPlant()" [tall]="c.tall" [model]="c.model" />
          }
          <p>
            {{
              say.plantOfCuttingFrom({
                plants: m.all.plants,
                stuck: m.all.count.stuck,
                batches: m.all.batches,
                lostSays: lostSays(),
                soldSays: soldSays(),
              })
            }}
            @if (m.all.lostValue.forgone === null) {
              <a routerLink="/settings">{{ say.sayWhatAPlant() }}</a> {{ say.toSeeWhatThey() }}
            }
          </p>
        </section>
        <section class="grid grid-cols-1 gap-3" aria-labelledby="rows">
          <div class="flex flex-wrap items-end justify-between gap-y-2 gap-x-6">
            <h2 id="rows">{{ say.rowByRow() }}</h2>
            <hy-field class="w-56" [label]="say.aRowForEach()">
              <mat-select [value]="grouping()" (selectionChange)="choose($event.value)">
                @for (g of groupings; track g) {
                  <mat-option [value]="g">
                    {{ inSentence(nameOf[g]) }}
                  </mat-option>
                }
              </mat-select>
            </hy-field>
          </div>
          <hy-table [name]="say.moneyAndTime()" [columns]="columns()" [rows]="m.rows" />
        </section>
        <hy-fold [heading]="say.howThisWasWorked()">
          <ng-template>
            @if (m.all.unpriced.length > 0) {
              <p class="max-w-[68ch]">
                {{ say.withoutAPriceAnd({ unpriced: m.all.unpriced.join(', ') }) }}
              </p>
            }
            <p class="max-w-[68ch]">
              {{ say.ofSettledBatchesRanges() }}
            </p>
          </ng-template>
        </hy-fold>
      }
    }
  `,
  styleUrl: './pages.scss',
})
export class MoneyPage {
  protected readonly say = say;
  protected readonly inSentence = inSentence;

  private readonly journal = inject(Journal);
  protected readonly words = inject(Words);
  private readonly ledger = inject(Ledger);
  private readonly filters = inject(LedgerFilters);
  protected readonly groupings = GROUPED_BY;
  protected readonly nameOf = GROUPING_NAME;
  protected readonly grouping = signal<Grouping>('method');

  protected readonly money = this.ledger.answer(
    computed(() => ({
      filter: this.filters.filter(),
      by: this.grouping(),
      price: this.journal.state().settings.plantPrice,
    })),
    (desk, { filter, by, price }) => desk.money(filter, by, price),
  );

  protected readonly columns = computed((): readonly Column<MoneyRow>[] => [
    { key: 'name', head: this.nameOf[this.grouping()], text: (r) => r.name, sort: (r) => r.name },
    {
      key: 'cuttings',
      head: say.cuttings(),
      number: true,
      text: (r) => `${r.count.stuck}`,
      sort: (r) => r.count.stuck,
    },
    {
      key: 'plants',
      head: say.plants(),
      number: true,
      text: (r) => `${r.plants}`,
      sort: (r) => r.plants,
    },
    {
      key: 'cost',
      head: say.costOfAPlant(),
      number: true,
      text: (r) => (r.perPlant ? this.words.money(r.perPlant.value) : '–'),
      note: (r) => (r.perPlant ? this.moneySpan(r.perPlant) : ''),
      sort: (r) => r.perPlant?.value ?? null,
    },
    {
      key: 'minutes',
      head: say.minutesAPlant(),
      number: true,
      text: (r) => (r.minutesPerPlant ? this.words.decimal(r.minutesPerPlant.value, 1) : '–'),
      note: (r) => (r.minutesPerPlant ? this.span(r.minutesPerPlant, 1) : ''),
      sort: (r) => r.minutesPerPlant?.value ?? null,
    },
    {
      key: 'sold',
      head: say.sold(),
      number: true,
      text: (r) => `${r.sold.count}`,
      note: (r) => (r.sold.priced > 0 ? this.words.money(r.sold.income) : ''),
      sort: (r) => r.sold.count,
    },
    {
      key: 'lost',
      head: say.lost(),
      number: true,
      text: (r) => `${r.lostValue.cuttings}`,
      sort: (r) => r.lostValue.cuttings,
    },
    {
      key: 'spent',
      head: say.spentOnTheLost(),
      number: true,
      text: (r) => this.money2(r.lostValue.spent),
      sort: (r) => r.lostValue.spent,
    },
    {
      key: 'forgone',
      head: say.lostIncome(),
      number: true,
      text: (r) => this.money2(r.lostValue.forgone),
      sort: (r) => r.lostValue.forgone,
    },
  ]);

  /** In money where anything has a price, else in minutes. */
  protected readonly chart = computed(() => {
    const rows = this.money()?.rows ?? [];
    const priced = rows.some((r) => r.perPlant !== null);
    const ranges = rows.flatMap(({ name, perPlant, minutesPerPlant }): RangeRow[] => {
      const range = priced ? perPlant : minutesPerPlant;
      return range ? [{ name, low: range.low, likely: range.value, high: range.high }] : [];
    });
    if (ranges.length < 2) return null;
    const model = rangesChart(ranges, {
      title: priced ? say.costOfAPlant() : say.minutesAPlantTakes(),
      figure: (value) => (priced ? this.words.money(value) : this.words.decimal(value, 1)),
    });
    return { model, tall: rangesTall(ranges.length) };
  });

  protected readonly lostSays = computed(() => {
    const lost = this.money()?.all.lostValue;
    if (!lost) return '';
    const spent =
      lost.spent === null
        ? say.whatWasSpentOn()
        : say.spentOnThem({ money: this.words.money(lost.spent) });
    const forgone =
      lost.forgone === null ? '' : say.theyWouldHaveSold({ money: this.words.money(lost.forgone) });
    return say.wereLost({ cuttings: lost.cuttings, spent, forgone });
  });
  protected readonly soldSays = computed(() => {
    const sold = this.money()?.all.sold;
    return sold ? soldText(sold, (value) => this.words.money(value)) : '';
  });

  protected choose(value: string): void {
    this.grouping.set(GROUPED_BY.find((g) => g === value) ?? 'method');
  }

  private money2(value: number | null): string {
    return value === null ? '–' : this.words.money(value);
  }

  /** `0.41–0.62`; nothing where both ends are shown alike. */
  protected span({ low, high }: MoneyRange, digits: number): string {
    return apart(this.words.decimal(low, digits), this.words.decimal(high, digits));
  }

  protected moneySpan({ low, high }: MoneyRange): string {
    return apart(this.words.money(low), this.words.money(high));
  }

  protected readonly inBrackets = (span: string): string => (span === '' ? '' : ` (${span})`);
}

/** A range of equal ends is none. */
const apart = (low: string, high: string): string => (low === high ? '' : `${low}–${high}`);
