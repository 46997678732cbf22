import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { holdForecasts, type ForecastHeld } from '@hypogeon/core/ledger';
import { binText, rangesText } from '@hypogeon/words';
import { say } from '@hypogeon/messages/forecasts-page';
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
      <h1>{{ say.forecasts() }}</h1>
      <p class="quiet">{{ say.whatWasSaidBeforehand() }}</p>
    </div>
    <hy-ledger-tabs class="-mb-3" at="/results/forecasts" />
    @if (held().forecasts.length === 0) {
      <p>
        {{ say.noForecastWasKept() }} <a routerLink="/plan/rehearse">{{ say.tryItFirst() }}</a>{{
          say.orUnderWhatIf()
        }}
      </p>
    } @else {
      <section class="grid grid-cols-1 gap-3" [attr.aria-label]="say.saidAndComeTrue()">
        <p class="words max-w-[44ch] headline text-xl">{{ ranges() }}</p>
        @if (held().bins.length > 0) {
          <hy-chart [name]="say.saidAndComeTrue2()" [tall]="tall()" [model]="chart()" />
          <p class="quiet small">
            {{ say.fullWhatCameWith() }}
          </p>
        }
      </section>
      @if (held().bins.length > 0) {
        <hy-fold [heading]="say.howThisWasWorked()">
          <ng-template>
            <ul>
              @for (bin of held().bins; track bin.from) {
                <li>{{ binSays(bin) }}</li>
              }
            </ul>
          </ng-template>
        </hy-fold>
      }
      <hy-table
        heading
        [name]="say.forecastsKept()"
        [columns]="columns"
        [rows]="held().forecasts"
      />
    }
  `,
  styleUrl: './pages.scss',
})
export class ForecastsPage {
  protected readonly say = say;

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
        name: say.said({ percentSpan: this.words.percentSpan({ low: bin.from, high: bin.to }) }),
        likely: bin.came.share,
        low: bin.came.low,
        high: bin.came.high,
        before: bin.said,
      })),
      {
        title: say.shareThatRooted(),
        figure: (share) => this.words.percent(share),
        before: say.said3(),
        most: 1,
      },
    ),
  );

  private open({ leftOut, until }: ForecastHeld): string {
    if (leftOut) return say.leftOut();
    return until <= this.today()
      ? say.notCountedSince({ day: this.words.day(until) })
      : say.openUntil({ day: this.words.day(until) });
  }

  protected readonly columns: readonly Column<ForecastHeld>[] = [
    {
      key: 'batch',
      head: say.batch(),
      text: (f) => f.title,
      note: (f) => f.way ?? '',
      link: (f) => ['/bench', f.batch],
    },
    { key: 'day', head: say.said2(), text: (f) => this.words.day(f.day), sort: (f) => f.day },
    {
      key: 'said',
      head: say.wouldRoot(),
      number: true,
      text: (f) =>
        say.ofWord({
          percent: this.words.percent(f.said),
          percentSpan: this.words.percentSpan(f),
          cuttings: f.cuttings,
        }),
      sort: (f) => f.said,
    },
    {
      key: 'came',
      head: say.rooted(),
      number: true,
      text: (f) =>
        f.came === null
          ? this.open(f)
          : say.ofWord2({
              came: f.came,
              cuttings: f.cuttings,
              percent: this.words.percent(f.came / f.cuttings),
            }),
      sort: (f) => (f.came === null ? -1 : f.came / f.cuttings),
    },
    {
      key: 'held',
      head: say.withinItsRange(),
      text: (f) => (f.held === null ? '' : f.held ? say.yes() : say.no()),
    },
  ];
}
