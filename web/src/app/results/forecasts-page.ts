import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { holdForecasts, type ForecastHeld } from '@hypogeon/core/ledger';
import { binText, rangesText } from '@hypogeon/words';
import { Chart } from '../charts/chart';
import { rangesChart, rangesTall } from '../charts/ranges-chart';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import type { Column } from '../ui/column';
import { Fold } from '../ui/fold';
import { Table } from '../ui/table';
import { LedgerTabs } from './ledger-tabs';

/** Every forecast that was kept, held against what came of it; and whether they may be trusted. */
@Component({
  selector: 'hy-forecasts-page',
  imports: [Chart, Fold, LedgerTabs, RouterLink, Table],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head m-0">
      <h1>Forecasts</h1>
      <p class="quiet">what was said beforehand, held against what came</p>
    </div>
    <hy-ledger-tabs class="-mb-3" at="/results/forecasts" />
    @if (held().forecasts.length === 0) {
      <p>
        No forecast was kept yet. Keep one in <a routerLink="/plan/rehearse">Try it first</a>, or
        under What if of a batch.
      </p>
    } @else {
      <section class="grid grid-cols-1 gap-3" aria-label="Said, and come true">
        <p class="words max-w-[44ch] headline text-xl">{{ ranges() }}</p>
        @if (held().bins.length > 0) {
          <hy-chart name="Said and come true" [tall]="tall()" [model]="chart()" />
          <p class="quiet small">
            Full: what came, with the range its number of batches leaves. Hollow: what was said.
          </p>
        }
      </section>
      @if (held().bins.length > 0) {
        <hy-fold heading="How this was worked out">
          <ng-template>
            <ul>
              @for (bin of held().bins; track bin.from) {
                <li>{{ binSays(bin) }}</li>
              }
            </ul>
          </ng-template>
        </hy-fold>
      }
      <hy-table heading name="Forecasts kept" [columns]="columns" [rows]="held().forecasts" />
    }
  `,
  styleUrl: './pages.scss',
})
export class ForecastsPage {
  private readonly state = inject(Journal).state;
  private readonly today = inject(Today).day;
  private readonly words = inject(Words);

  protected readonly held = computed(() => holdForecasts(this.state(), this.today()));
  protected readonly ranges = computed(() => rangesText(this.held().ranges));
  protected readonly binSays = binText;

  protected readonly tall = computed(() => rangesTall(this.held().bins.length));
  protected readonly chart = computed(() =>
    rangesChart(
      this.held().bins.map((bin) => ({
        name: `Said ${this.words.percentSpan({ low: bin.from, high: bin.to })}`,
        likely: bin.came.share,
        low: bin.came.low,
        high: bin.came.high,
        before: bin.said,
      })),
      {
        title: 'Share that rooted',
        figure: (share) => this.words.percent(share),
        before: 'said',
        most: 1,
      },
    ),
  );

  private open({ leftOut, until }: ForecastHeld): string {
    if (leftOut) return 'left out';
    return until <= this.today()
      ? `not counted since ${this.words.day(until)}`
      : `open until ${this.words.day(until)}`;
  }

  protected readonly columns: readonly Column<ForecastHeld>[] = [
    {
      key: 'batch',
      head: 'Batch',
      text: (f) => f.title,
      note: (f) => f.way ?? '',
      link: (f) => ['/bench', f.batch],
    },
    { key: 'day', head: 'Said', text: (f) => this.words.day(f.day), sort: (f) => f.day },
    {
      key: 'said',
      head: 'Would root',
      number: true,
      text: (f) => `${this.words.percent(f.said)} (${this.words.percentSpan(f)}) of ${f.cuttings}`,
      sort: (f) => f.said,
    },
    {
      key: 'came',
      head: 'Rooted',
      number: true,
      text: (f) =>
        f.came === null
          ? this.open(f)
          : `${f.came} of ${f.cuttings} (${this.words.percent(f.came / f.cuttings)})`,
      sort: (f) => (f.came === null ? -1 : f.came / f.cuttings),
    },
    {
      key: 'held',
      head: 'Within its range',
      text: (f) => (f.held === null ? '' : f.held ? 'yes' : 'no'),
    },
  ];
}
