import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { addDays, isDay } from '@hypogeon/core/days';
import { findingWords, type MoneyRow } from '@hypogeon/core/ledger';
import type { ShareInterval } from '@hypogeon/core/stats';
import { judgeTrial, verdictWords } from '@hypogeon/core/trial';
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
import { CountedPipe } from '../ui/counted-pipe';

/** A season on paper: what was cut between two days, and all that came of it. */
@Component({
  selector: 'hy-report-page',
  imports: [
    CountedPipe,
    Table,
    MatButton,
    DayField,
    CountedTable,
    NumberPipe,
    LedgerTabs,
    LossTable,
    Chart,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head m-0">
      <h1>Season report</h1>
      <p class="quiet">{{ between() }}</p>
      <button type="button" matButton="filled" class="push no-print" (click)="print()">
        Print, or save as PDF
      </button>
    </div>
    <hy-ledger-tabs class="-mb-3" at="/results/report" />
    <div class="no-print grid grid-cols-[repeat(auto-fill,minmax(11rem,14rem))] gap-4">
      <hy-day
        label="Cut from"
        [problem]="problem()"
        [value]="from()"
        (valueChange)="from.set($event)"
      />
      <hy-day label="To" [value]="to()" (valueChange)="to.set($event)" />
    </div>
    @if (report(); as r) {
      @if (r.batches === 0) {
        <p>Nothing was cut between these days. Choose others.</p>
      } @else {
        @let o = r.overall;
        <section class="grid grid-cols-1 gap-3 print:break-inside-avoid" aria-label="In short">
          <p class="words max-w-[44ch] headline text-xl">
            {{ r.batches | hyCounted: 'batch' }}, {{ o.count.stuck | hyCounted: 'cutting' }} set:
            {{ o.count.rooted }} have rooted, {{ share(o.shares.rooted) }}.
          </p>
          <p>
            {{ o.count.pupped }} have pups; {{ o.count.rotted }} rotted, {{ o.count.dried }} dried
            up, {{ o.count.lost }} were lost otherwise; {{ o.count.waiting }} still wait.
            @if (r.moneyOfAll.perPlant; as p) {
              A finished plant cost {{ words.money(p.value) }}, likely between
              {{ words.money(p.low) }} and {{ words.money(p.high) }}.
            }
            @if (r.moneyOfAll.minutesPerPlant; as t) {
              It took {{ t.value | hyNumber: 1 : true }} minutes of hands.
            }
          </p>
          @for (f of r.findings.findings; track $index) {
            <p>
              <strong>{{ finding(f) }}</strong>
            </p>
          } @empty {
            <p class="quiet">No loss stands out from chance.</p>
          }
        </section>
        @if (plate(); as c) {
          <section class="grid grid-cols-1 gap-3 print:break-inside-avoid" aria-labelledby="plate">
            <h2 id="plate" class="ruled">Roots over time</h2>
            <hy-chart name="Roots over time, the season" [model]="c" />
          </section>
        }
        <hy-counted-table class="print:break-inside-avoid" heading="By method" [rows]="r.methods" />
        <hy-counted-table class="print:break-inside-avoid" heading="By plant" [rows]="r.plants" />
        @if (losses(); as c) {
          <section class="grid grid-cols-1 gap-3 print:break-inside-avoid" aria-labelledby="losses">
            <h2 id="losses" class="ruled">Losses by weeks since the cut</h2>
            <hy-chart name="Losses of the season" [tall]="260" [model]="c" />
          </section>
        }
        <hy-loss-table
          class="print:break-inside-avoid"
          heading="Losses by days from cut to first water"
          [rows]="r.byWater"
        />
        <section
          class="grid grid-cols-1 gap-3 print:break-inside-avoid"
          aria-label="Money and time"
        >
          <hy-table name="Money and time" heading [columns]="moneyColumns" [rows]="r.money" />
        </section>
        @if (trials().length > 0) {
          <section class="grid grid-cols-1 gap-3 print:break-inside-avoid" aria-labelledby="trials">
            <h2 id="trials" class="ruled">Trials</h2>
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
          Shares with 95% intervals (Wilson’s, on effective numbers); curves by Aalen and Johansen;
          money in your own, of settled batches. Made by Hypogeon on {{ words.longDay(today()) }}.
        </p>
      }
    } @else {
      <p class="quiet" role="status">Reading the batches …</p>
    }
  `,
  styleUrl: './pages.scss',
})
export class ReportPage {
  protected readonly moneyColumns: readonly Column<MoneyRow>[] = [
    { key: 'name', head: 'Method', text: (r) => r.name, sort: (r) => r.name },
    {
      key: 'plants',
      head: 'Plants',
      number: true,
      text: (r) => `${r.plants}`,
      sort: (r) => r.plants,
    },
    {
      key: 'cost',
      head: 'Cost of a plant',
      number: true,
      text: (r) => (r.perPlant ? this.words.money(r.perPlant.value) : '–'),
      sort: (r) => r.perPlant?.value ?? null,
    },
    {
      key: 'minutes',
      head: 'Minutes a plant',
      number: true,
      text: (r) => (r.minutesPerPlant ? this.words.decimal(r.minutesPerPlant.value, 1) : '–'),
      sort: (r) => r.minutesPerPlant?.value ?? null,
    },
    {
      key: 'lost',
      head: 'Lost',
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
    if (!isDay(from) || !isDay(to)) return 'Two days: the first and the last cut.';
    return from > to ? 'The first day lies after the last. Swap them.' : '';
  });
  protected readonly between = computed(() =>
    this.problem()
      ? ''
      : `batches cut ${this.words.day(this.from())} to ${this.words.day(this.to())}`,
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
        name: t.name ?? 'Unnamed trial',
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
