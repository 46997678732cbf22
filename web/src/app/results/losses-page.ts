import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { findingWords, type Finding } from '@hypogeon/core/ledger';
import { Ledger } from '../data/ledger';
import { LedgerFilters } from '../data/ledger-filters';
import { Words } from '../data/words';
import { Chart } from '../charts/chart';
import { lossChart } from '../charts/loss-chart';
import { LedgerFilterBar } from './ledger-filter';
import { LedgerTabs } from './ledger-tabs';
import { LossTable } from './loss-table';

const STRENGTH = {
  strong: 'Strong evidence',
  some: 'Some evidence',
  weak: 'Weak: it may be chance',
} as const;

/** Where and when this bench loses cuttings, and what stands out from chance. */
@Component({
  selector: 'hy-losses-page',
  imports: [LedgerFilterBar, LedgerTabs, LossTable, Chart, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head m-0">
      <h1>Losses</h1>
      <p class="quiet">where and when this bench loses cuttings</p>
    </div>
    <hy-ledger-tabs class="-mb-3" at="/results/losses" />
    <hy-ledger-filter />
    @if (lost(); as v) {
      @if (v.weeks.length === 0) {
        <p>Nothing lost yet, or nothing counted.</p>
      } @else {
        <section class="grid grid-cols-1 gap-3" aria-labelledby="stands-out">
          <h2 id="stands-out" class="ruled">What stands out</h2>
          @for (f of found().findings; track f.words) {
            <article class="grid gap-1 py-1.5">
              <p class="words max-w-[44ch] headline text-xl">
                {{ f.words }}
              </p>
              <p>{{ f.strength }}, {{ f.looked }}. {{ f.range }}</p>
              <p class="quiet small">
                Behind it:
                @for (b of f.batches; track b.id) {
                  <a [routerLink]="['/bench', b.id]">{{ b.name }}</a>{{ $last ? '' : ', ' }}
                }
              </p>
            </article>
          } @empty {
            <p class="words max-w-[44ch] headline text-xl">Nothing stands out from chance.</p>
            <p>
              {{
                found().looked === 0
                  ? 'There is too little yet to compare.'
                  : found().looked +
                    ' comparisons were made, and with so many looks something always seems odd.'
              }}
              @if (found().nearest; as n) {
                Nearest: {{ n }} More batches would tell.
              }
            </p>
          }
        </section>
        <section class="grid grid-cols-1 gap-3" aria-labelledby="weeks">
          <h2 id="weeks" class="ruled">By weeks since the cut</h2>
          <hy-chart name="Losses by weeks since the cut" [tall]="260" [model]="charts()!.weeks" />
        </section>
        <section class="grid grid-cols-1 gap-3" aria-labelledby="year">
          <h2 id="year" class="ruled">By week of the year</h2>
          <hy-chart name="Losses by week of the year" [tall]="260" [model]="charts()!.year" />
        </section>
        <div
          class="grid grid-cols-[repeat(auto-fit,minmax(min(26rem,100%),1fr))] items-start gap-y-6.5 gap-x-9.5"
        >
          <hy-loss-table heading="By days from cut to first water" [rows]="v.byWater" />
          <hy-loss-table heading="By first water: before it was safe, or after" [rows]="v.byGate" />
          <hy-loss-table
            heading="By rot close by: same tray, place or blade"
            [rows]="v.byNeighbours"
          />
          <hy-loss-table heading="By days to dry" [rows]="v.byDry" />
          <hy-loss-table heading="By medium or water" [rows]="v.byMedium" />
          <hy-loss-table heading="By place" [rows]="v.byPlace" />
          <hy-loss-table heading="By the air when it was cut" [rows]="v.byAir" />
        </div>
        <p class="quiet small">
          Tables are of settled batches. Every group is held against the rest by Fisher’s test on
          effective numbers (cuttings of one batch share their tray), corrected by Holm’s method for
          all comparisons made. A loss between two looks is spread over the days between.
        </p>
      }
    }
  `,
  styleUrl: './pages.scss',
})
export class LossesPage {
  private readonly ledger = inject(Ledger);
  private readonly filters = inject(LedgerFilters);
  private readonly words = inject(Words);

  protected readonly lost = this.ledger.answer(this.filters.filter, (desk, filter) =>
    desk.lost(filter),
  );
  protected readonly charts = computed(() => {
    const lost = this.lost();
    return (
      lost && {
        weeks: lossChart(lost.weeks),
        year: lossChart(lost.yearWeeks, 'week of year'),
      }
    );
  });
  protected readonly found = computed(() => {
    const lost = this.lost();
    if (!lost) return { looked: 0, nearest: null, findings: [] };
    const { findings, nearest, looked } = lost.findings;
    return {
      looked,
      nearest: nearest ? `${findingWords(nearest)} ${this.range(nearest)}` : null,
      findings: findings.map((f) => ({
        words: findingWords(f),
        strength: STRENGTH[f.strength],
        looked: `p ${f.p < 0.001 ? 'below 0.001' : f.p.toFixed(3)} of ${looked} comparisons`,
        range: this.range(f),
        batches: f.batches.map((b) => ({
          id: b.id,
          name: `${b.title}, ${this.words.shortDay(b.cutOn)}`,
        })),
      })),
    };
  });

  private range({ difference }: Finding): string {
    const points = (f: number): string => String(Math.round(f * 100)).replace('-', '−');
    return `${points(difference.difference)} points more, ${points(difference.low)} to ${points(difference.high)}.`;
  }
}
