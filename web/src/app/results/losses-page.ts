import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { findingWords, GROUPING_NAME, type Finding } from '@hypogeon/core/ledger';
import { findingRange, lossHeadline, lossWorking, pText } from '@hypogeon/words';
import { inSentence } from '@hypogeon/messages';
import { say } from '@hypogeon/messages/losses-page';
import { Ledger } from '../data/ledger';
import { LedgerFilters } from '../data/ledger-filters';
import { Words } from '../data/words';
import { Chart } from '../charts/chart';
import { lossChart } from '../charts/loss-chart';
import { rangesChart, rangesTall } from '../charts/ranges-chart';
import { LedgerFilterBar } from './ledger-filter';
import { LedgerTabs } from './ledger-tabs';
import { LossTable } from './loss-table';
import { Fold } from '../ui/fold';

const STRENGTH = {
  get strong() {
    return say.strongEvidence();
  },
  get some() {
    return say.someEvidence();
  },
  get weak() {
    return say.weakItMayBe();
  },
} as const;

/** Where and when this bench loses cuttings, and what stands out from chance. */
@Component({
  selector: 'hy-losses-page',
  imports: [Chart, Fold, LedgerFilterBar, LedgerTabs, LossTable, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head m-0">
      <h1>{{ say.losses() }}</h1>
      <p class="quiet">{{ say.whereAndWhenThis() }}</p>
    </div>
    <hy-ledger-tabs class="-mb-3" at="/results/losses"><hy-ledger-filter /></hy-ledger-tabs>
    @if (view(); as v) {
      @if (v.weeks.length === 0) {
        <p>{{ say.nothingLostYetOr() }}</p>
      } @else {
        <section class="grid grid-cols-1 gap-3" [attr.aria-label]="say.whatStandsOut()">
          <p class="words max-w-[44ch] headline text-xl">{{ v.headline }}</p>
          @if (v.first; as f) {
            <hy-chart [name]="f.name" [tall]="f.tall" [model]="f.model" />
          } @else {
            <hy-chart [name]="say.lossesByWeeksSince()" [tall]="260" [model]="v.weeksChart" />
          }
        </section>
        <div class="grid grid-cols-1">
          @if (v.first) {
            <hy-fold [heading]="say.byWeeksSinceThe()">
              <ng-template>
                <hy-chart [name]="say.lossesByWeeksSince()" [tall]="260" [model]="v.weeksChart" />
              </ng-template>
            </hy-fold>
          }
          <hy-fold [heading]="say.byWeekOfThe()">
            <ng-template>
              <hy-chart [name]="say.lossesByWeekOf()" [tall]="260" [model]="v.yearChart" />
            </ng-template>
          </hy-fold>
          <hy-fold [heading]="say.byFirstWaterDrying()">
            <ng-template>
              <div
                class="grid grid-cols-[repeat(auto-fit,minmax(min(26rem,100%),1fr))] items-start gap-y-6.5 gap-x-9.5"
              >
                <hy-loss-table [heading]="say.byDaysFromCut()" [rows]="v.lost.byWater" />
                <hy-loss-table [heading]="say.byFirstWaterBefore()" [rows]="v.lost.byGate" />
                <hy-loss-table [heading]="say.byRotCloseBy()" [rows]="v.lost.byNeighbours" />
                <hy-loss-table [heading]="say.byDaysToDry()" [rows]="v.lost.byDry" />
                <hy-loss-table [heading]="say.byMediumOrWater()" [rows]="v.lost.byMedium" />
                <hy-loss-table [heading]="say.byPlace()" [rows]="v.lost.byPlace" />
                <hy-loss-table [heading]="say.byTheAirWhen()" [rows]="v.lost.byAir" />
              </div>
            </ng-template>
          </hy-fold>
          <hy-fold [heading]="say.howThisWasWorked()">
            <ng-template>
              <p class="max-w-[68ch]">{{ v.working }}</p>
              @for (f of v.findings; track f.words) {
                <article class="grid gap-1 py-1.5">
                  <p>
                    <strong>{{ f.words }}</strong> {{ f.strength }}, {{ f.looked }}. {{ f.range }}
                  </p>
                  <p class="quiet small">
                    {{ say.behindIt() }}
                    @for (b of f.batches; track b.id) {
                      <a [routerLink]="['/bench', b.id]">{{ b.name }}</a>{{ $last ? '' : ', ' }}
                    }
                  </p>
                </article>
              }
              <p class="quiet small max-w-[68ch]">
                {{ say.tablesAreOfSettled() }}
              </p>
            </ng-template>
          </hy-fold>
        </div>
      }
    }
  `,
  styleUrl: './pages.scss',
})
export class LossesPage {
  protected readonly say = say;

  private readonly ledger = inject(Ledger);
  private readonly filters = inject(LedgerFilters);
  private readonly words = inject(Words);

  private readonly lost = this.ledger.answer(this.filters.filter, (desk, filter) =>
    desk.lost(filter),
  );
  protected readonly view = computed(() => {
    const lost = this.lost();
    if (!lost) return null;
    const { findings, nearest, looked } = lost.findings;
    return {
      lost,
      weeks: lost.weeks,
      headline: lossHeadline(findings, lost.weeks),
      first: findings[0] ? this.pictureOf(findings[0]) : null,
      weeksChart: lossChart(lost.weeks),
      yearChart: lossChart(lost.yearWeeks, say.weekOfYear()),
      working: lossWorking(looked, nearest, findings),
      findings: findings.map((f) => ({
        words: findingWords(f),
        strength: STRENGTH[f.strength],
        looked: pText(f.p),
        range: findingRange(f),
        batches: f.batches.map((b) => ({
          id: b.id,
          name: `${b.title}, ${this.words.shortDay(b.cutOn)}`,
        })),
      })),
    };
  });

  /** The two shares that the sentence names, each with its range. */
  private pictureOf({ by, group, cause, here, elsewhere }: Finding) {
    const rows = [
      { name: group, low: here.low, likely: here.share, high: here.high },
      { name: 'elsewhere', low: elsewhere.low, likely: elsewhere.share, high: elsewhere.high },
    ];
    const title = cause === 'rotted' ? say.shareThatRotted() : say.shareThatWasLost();
    return {
      name: say.by({ title, groupingName: inSentence(GROUPING_NAME[by]) }),
      tall: rangesTall(rows.length),
      model: rangesChart(rows, {
        title,
        figure: (share) => this.words.percent(share),
        most: 1,
        colour: '--rot',
      }),
    };
  }
}
