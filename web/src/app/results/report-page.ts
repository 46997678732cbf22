import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { addDays, isDay } from '@hypogeon/core/days';
import { findingWords, type MoneyRow } from '@hypogeon/core/ledger';
import type { ShareInterval } from '@hypogeon/core/stats';
import { judgeTrial, verdictWords } from '@hypogeon/core/trial';
import { say } from '@hypogeon/messages/report-page';
import { Journal } from '../data/journal';
import { Ledger } from '../data/ledger';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { Chart } from '../charts/chart';
import { emergenceChart } from '../charts/emergence-chart';
import { lossChart } from '../charts/loss-chart';
import { DayField } from '../forms/day-field';
import { CountedTable } from './counted-table';
import { LedgerTabs } from './ledger-tabs';
import { LossTable } from './loss-table';
import { NumberPipe } from '../ui/number-pipe';
import type { Column } from '../ui/column';
import { Table } from '../ui/table';

/** A season on paper: what was cut between two days, and all that came of it. */
@Component({
  selector: 'hy-report-page',
  imports: [Table, MatButton, DayField, CountedTable, NumberPipe, LedgerTabs, LossTable, Chart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head m-0">
      <h1>{{ say.seasonReport() }}</h1>
      <p class="quiet">{{ between() }}</p>
      <button type="button" matButton="filled" class="push no-print" (click)="print()">
        {{ say.printOrSaveAs() }}
      </button>
    </div>
    <hy-ledger-tabs class="-mb-3" at="/results/report" />
    <div class="no-print grid grid-cols-[repeat(auto-fill,minmax(11rem,14rem))] gap-4">
      <hy-day
        [label]="say.cutFrom()"
        [problem]="problem()"
        [value]="from()"
        (valueChange)="from.set($event)"
      />
      <hy-day [label]="say.to()" [value]="to()" (valueChange)="to.set($event)" />
    </div>
    @if (report(); as r) {
      @if (r.batches === 0) {
        <p>{{ say.nothingWasCutBetween() }}</p>
      } @else {
        @let o = r.overall;
        <section
          class="grid grid-cols-1 gap-3 print:break-inside-avoid"
          [attr.aria-label]="say.inShort()"
        >
          <p class="words max-w-[44ch] headline text-xl">
            {{
              say.batchCuttingSetHave({
                batches: r.batches,
                stuck: o.count.stuck,
                rooted: o.count.rooted,
                share: share(o.shares.rooted),
              })
            }}
          </p>
          <p>
            {{
              say.havePupsRottedDried({
                pupped: o.count.pupped,
                rotted: o.count.rotted,
                dried: o.count.dried,
                lost: o.count.lost,
                waiting: o.count.waiting,
              })
            }}
            @if (r.moneyOfAll.perPlant; as p) {
              {{
                say.aFinishedPlantCost({
                  money: words.money(p.value),
                  money2: words.money(p.low),
                  money3: words.money(p.high),
                })
              }}
            }
            @if (r.moneyOfAll.minutesPerPlant; as t) {
              {{ say.itTookMinutesOf({ true: (t.value | hyNumber: 1 : true) }) }}
            }
          </p>
          @for (f of r.findings.findings; track $index) {
            <p>
              <strong>{{ finding(f) }}</strong>
            </p>
          } @empty {
            <p class="quiet">{{ say.noLossStandsOut() }}</p>
          }
        </section>
        @if (plate(); as c) {
          <section class="grid grid-cols-1 gap-3 print:break-inside-avoid" aria-labelledby="plate">
            <h2 id="plate" class="ruled">{{ say.rootsOverTime() }}</h2>
            <hy-chart [name]="say.rootsOverTimeThe()" [model]="c" />
          </section>
        }
        <hy-counted-table
          class="print:break-inside-avoid"
          [heading]="say.byMethod()"
          [rows]="r.methods"
        />
        <hy-counted-table
          class="print:break-inside-avoid"
          [heading]="say.byPlant()"
          [rows]="r.plants"
        />
        @if (losses(); as c) {
          <section class="grid grid-cols-1 gap-3 print:break-inside-avoid" aria-labelledby="losses">
            <h2 id="losses" class="ruled">{{ say.lossesByWeeksSince() }}</h2>
            <hy-chart [name]="say.lossesOfTheSeason()" [tall]="260" [model]="c" />
          </section>
        }
        <hy-loss-table
          class="print:break-inside-avoid"
          [heading]="say.lossesByDaysFrom()"
          [rows]="r.byWater"
        />
        <section
          class="grid grid-cols-1 gap-3 print:break-inside-avoid"
          [attr.aria-label]="say.moneyAndTime()"
        >
          <hy-table [name]="say.moneyAndTime()" heading [columns]="moneyColumns" [rows]="r.money" />
        </section>
        @if (trials().length > 0) {
          <section class="grid grid-cols-1 gap-3 print:break-inside-avoid" aria-labelledby="trials">
            <h2 id="trials" class="ruled">{{ say.trials() }}</h2>
            <ul class="m-0 pl-4.5">
              @for (t of trials(); track t.id) {
                <li>
                  <strong>{{ t.name }}.</strong> {{ t.says }}
                </li>
              }
            </ul>
          </section>
        }
        <p class="quiet small">
          {{ say.sharesWith95Intervals({ longDay: words.longDay(today()) }) }}
        </p>
      }
    } @else {
      <p class="quiet" role="status">{{ say.readingTheBatches() }}</p>
    }
  `,
  styleUrl: './pages.scss',
})
export class ReportPage {
  protected readonly say = say;

  protected readonly moneyColumns: readonly Column<MoneyRow>[] = [
    { key: 'name', head: say.method(), text: (r) => r.name, sort: (r) => r.name },
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
      sort: (r) => r.perPlant?.value ?? null,
    },
    {
      key: 'minutes',
      head: say.minutesAPlant(),
      number: true,
      text: (r) => (r.minutesPerPlant ? this.words.decimal(r.minutesPerPlant.value, 1) : '–'),
      sort: (r) => r.minutesPerPlant?.value ?? null,
    },
    {
      key: 'lost',
      head: say.lost(),
      number: true,
      text: (r) => `${r.lostValue.cuttings}`,
      sort: (r) => r.lostValue.cuttings,
    },
  ];

  private readonly journal = inject(Journal);
  private readonly ledger = inject(Ledger);
  protected readonly words = inject(Words);
  protected readonly today = inject(Today).day;

  protected readonly from = signal(addDays(this.today(), -365));
  protected readonly to = signal(this.today());
  protected readonly problem = computed(() => {
    const [from, to] = [this.from(), this.to()];
    if (!isDay(from) || !isDay(to)) return say.twoDaysTheFirst();
    return from > to ? say.theFirstDayLies() : '';
  });
  protected readonly between = computed(() =>
    this.problem()
      ? ''
      : say.batchesCutTo({ day: this.words.day(this.from()), day2: this.words.day(this.to()) }),
  );

  protected readonly report = this.ledger.answer(
    computed(() => ({
      from: this.problem() ? this.today() : this.from(),
      to: this.problem() ? '' : this.to(),
      price: this.journal.state().settings.plantPrice,
    })),
    (desk, { from, to, price }) => desk.report(from, to, price),
  );
  protected readonly trials = computed(() =>
    [...this.journal.state().trials.values()]
      .filter((t) => t.cutOn !== undefined && t.cutOn >= this.from() && t.cutOn <= this.to())
      .map((t) => ({
        id: t.id,
        name: t.name ?? say.unnamedTrial(),
        says: verdictWords(t, judgeTrial(this.journal.state(), t, this.today())),
      })),
  );

  protected readonly plate = computed(() => {
    const plate = this.report()?.plate;
    return plate ? emergenceChart(plate, true) : null;
  });
  protected readonly losses = computed(() => {
    const losses = this.report()?.losses ?? [];
    return losses.length > 0 ? lossChart(losses) : null;
  });
  protected readonly finding = findingWords;

  protected share(s: ShareInterval | null): string {
    return s === null ? '' : `${this.words.percent(s.share)} (${this.words.percentSpan(s)})`;
  }

  protected print(): void {
    window.print();
  }
}
