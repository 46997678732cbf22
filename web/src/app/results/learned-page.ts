import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { paceOf, plantOf } from '@hypogeon/core/bench';
import { METHOD, methodOf } from '@hypogeon/core/botany';
import { isDay } from '@hypogeon/core/days';
import { SETTINGS_KEY, type SettingsFields } from '@hypogeon/core/journal';
import { beliefOf, correlationOf } from '@hypogeon/core/learn';

import { successRange } from '@hypogeon/core/stats';
import { learnedHeadline, paceWords, rotCalibrationText, trayWords } from '@hypogeon/words';
import { say } from '@hypogeon/messages/learned-page';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { DayField } from '../forms/day-field';
import { Field, FieldControl } from '../forms/field';
import { Chart } from '../charts/chart';
import { rangesChart, rangesTall, type RangeRow } from '../charts/ranges-chart';
import { HowHonest } from './how-honest';
import { LearnedBatches } from './learned-batches';
import { LedgerTabs } from './ledger-tabs';
import { OwnRot } from '../rehearse/own-rot';
import { CellOf, type Column } from '../ui/column';
import { Fold } from '../ui/fold';
import { Table } from '../ui/table';

interface Learned {
  readonly key: string;
  readonly taxon: string;
  readonly plant: string;
  readonly method: string;
  readonly catalogue: string;
  readonly here: string;
  readonly range: RangeRow;
  /** Settled cuttings of this bench. */
  readonly behind: number;
  readonly pace: string;
}

/** What the product has learned from this bench, beside what it came with; batches may be left out. */
@Component({
  selector: 'hy-learned-page',
  imports: [
    CellOf,
    Chart,
    LearnedBatches,
    Table,
    MatButton,
    DayField,
    Fold,
    Field,
    FieldControl,
    HowHonest,
    LedgerTabs,
    RouterLink,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head m-0">
      <h1>{{ say.whatItHasLearned() }}</h1>
      <p class="quiet">{{ say.whatThisBenchHas() }}</p>
    </div>
    <hy-ledger-tabs class="-mb-3" at="/results/learned" />
    <section class="grid grid-cols-1 gap-3" [attr.aria-label]="say.successAndRoots()">
      @if (rows().length === 0) {
        <p>{{ say.nothingYetABatch() }}</p>
      } @else {
        <p class="words max-w-[44ch] headline text-xl">{{ headline() }}</p>
        <hy-chart [name]="say.learnedSuccess()" [tall]="tall()" [model]="chart()" />
        <p class="quiet small">
          {{ say.fullWhatIsBelieved() }}
        </p>
      }
      <p>{{ wounds() }}</p>
      <p>{{ rot() }}</p>
    </section>
    <div class="grid grid-cols-1">
      @if (rows().length > 0) {
        <hy-fold [heading]="say.wayByWay()">
          <ng-template>
            <p>{{ trays() }}</p>
            <hy-table [name]="say.learnedOfEveryWay()" [columns]="columns" [rows]="rows()">
              <ng-template hyCell="way" [of]="rows()" let-row>
                <a [routerLink]="['/plants', row.taxon]"
                  ><i>{{ row.plant }}</i></a
                >
                <span class="quiet way block font-normal">{{ row.method }}</span>
              </ng-template>
            </hy-table>
          </ng-template>
        </hy-fold>
      }
      <hy-fold [heading]="say.howFarToTrust()">
        <ng-template><hy-how-honest /></ng-template>
      </hy-fold>
      <hy-fold
        [heading]="
          since() ? say.learnedSince({ day: words.day(since()!.day) }) : say.learnOnlyFromA()
        "
      >
        <ng-template>
          @if (since(); as s) {
            <p>
              {{ say.learnedOnlyFromBatches() }} <strong>{{ words.day(s.day) }}</strong>:
              {{ s.why }}
            </p>
            <div class="row">
              <button type="button" matButton="outlined" (click)="learnFromAll()">
                {{ say.learnFromAllAgain() }}
              </button>
            </div>
          } @else {
            <p class="quiet max-w-[68ch]">
              {{ say.afterANewBench() }}
            </p>
            <div
              class="grid grid-cols-[14rem_minmax(12rem,26rem)_auto] items-start gap-4 phone:grid-cols-1"
            >
              <hy-day [label]="say.learnFromBatchesCut()" [max]="today()" [value]="today()" #from />
              <hy-field [label]="say.why()" [problem]="freshProblem()">
                <input hyControl type="text" maxlength="400" #why />
              </hy-field>
              <button
                class="justify-self-start mt-1.5 phone:mt-0"
                type="button"
                matButton="outlined"
                (click)="learnFrom(from.value(), why.value)"
              >
                {{ say.startAfresh() }}
              </button>
            </div>
          }
        </ng-template>
      </hy-fold>
    </div>
    <section class="grid grid-cols-1 gap-3" aria-labelledby="batches">
      <h2 id="batches" class="ruled">{{ say.batchesItRestsOn() }}</h2>
      <p class="quiet">
        {{ say.settledOnesTeachWholly() }}
      </p>
      <hy-learned-batches />
    </section>
  `,
  styleUrl: './pages.scss',
})
export class LearnedPage {
  protected readonly say = say;

  private readonly state = inject(Journal).state;
  private readonly actions = inject(Actions);
  protected readonly words = inject(Words);
  protected readonly today = inject(Today).day;
  private readonly ownRot = inject(OwnRot).rot;
  protected readonly freshProblem = signal('');
  protected readonly since = computed(() => {
    const { learnFrom, learnWhy } = this.state().settings;
    return learnFrom === undefined
      ? null
      : { day: learnFrom, why: learnWhy ?? say.noReasonGiven() };
  });

  protected readonly wounds = computed(() => {
    const { factor, low, high, wounds, looks } = paceOf(this.state());
    if (looks === 0) return say.noWoundWasLooked();
    const percent = Math.round((factor - 1) * 100);
    const pace =
      Math.abs(percent) < 3
        ? say.woundsCloseHereAs()
        : say.woundsCloseHereThan({
            abs: Math.abs(percent),
            what: percent > 0 ? say.slower() : say.sooner(),
          });
    return say.toTimesTheDays({
      pace,
      low: this.words.decimal(low, 2),
      high: this.words.decimal(high, 2),
      what: looks === 1 ? say.oneLook() : say.looks({ looks }),
      what2: wounds === 1 ? say.oneWound() : say.wounds({ wounds }),
    });
  });

  protected readonly rot = computed(() => {
    const rot = this.ownRot();
    return rot ? rotCalibrationText(rot, (n) => this.words.decimal(n, 1)) : say.beingReckoned();
  });

  /** One of every plant and way that anything was counted of. */
  private readonly seen = computed(() =>
    [...this.state().batches.values()]
      .filter((b) => b.lastLook !== null && b.cut !== null)
      .sort((a, b) => (a.cutOn < b.cutOn ? 1 : -1)),
  );

  protected readonly columns: readonly Column<Learned>[] = [
    {
      key: 'way',
      head: say.plantAndWay(),
      text: (r) => `${r.plant}, ${r.method}`,
      sort: (r) => `${r.plant} ${r.method}`,
    },
    { key: 'catalogue', head: say.guide(), number: true, text: (r) => r.catalogue },
    { key: 'here', head: say.here(), number: true, text: (r) => r.here },
    {
      key: 'behind',
      head: say.cuttingsBehindIt(),
      number: true,
      text: (r) => `${r.behind}`,
      sort: (r) => r.behind,
    },
    { key: 'pace', head: say.timeToRoots(), text: (r) => r.pace },
  ];
  protected readonly rows = computed((): readonly Learned[] => {
    const state = this.state();
    const keys = new Map(this.seen().map((b) => [`${b.taxon}/${b.method}`, b]));
    return [...keys].flatMap(([key, { taxon, method }]) => {
      const plant = plantOf(state, taxon);
      const way = plant && methodOf(plant.taxon, method);
      if (!way) return [];
      const belief = beliefOf(state, taxon, way);
      if (belief.own.cuttings === 0) return [];
      return [
        {
          key,
          taxon,
          plant: plant.name,
          method: METHOD[method].many,
          catalogue: this.words.percent(belief.catalogue.mean),
          here: this.words.percent(belief.mean),
          range: {
            name: `${plant.name}, ${METHOD[method].many}`,
            likely: belief.mean,
            before: belief.catalogue.mean,
            ...successRange({ mean: belief.mean, worth: belief.a + belief.b }),
          },
          behind: belief.own.cuttings,
          pace: paceWords(belief),
        },
      ];
    });
  });

  /** The way in which this bench is furthest from the guide, where any is; else that it is as the guide has it. */
  protected readonly headline = computed(() =>
    learnedHeadline(
      this.rows().map(({ range }) => ({ ...range, before: range.before ?? range.likely })),
    ),
  );
  protected readonly trays = computed(() => trayWords(correlationOf(this.state())));
  protected readonly tall = computed(() => rangesTall(this.rows().length));
  protected readonly chart = computed(() =>
    rangesChart(
      this.rows().map((r) => r.range),
      {
        title: say.chanceOfSuccess(),
        figure: (share) => this.words.percent(share),
        before: say.theGuide(),
        most: 1,
      },
    ),
  );

  protected async learnFrom(day: string, reason: string): Promise<void> {
    const why = reason.trim();
    if (!isDay(day) || day > this.today()) {
      this.freshProblem.set(say.chooseADayThat());
      return;
    }
    if (why === '') {
      this.freshProblem.set(say.sayWhyInA());
      return;
    }
    this.freshProblem.set('');
    await this.setLearning({ learnFrom: day, learnWhy: why }, say.learningBeginsOnThat());
  }

  protected async learnFromAll(): Promise<void> {
    await this.setLearning({ learnFrom: null, learnWhy: null }, say.learnedFromAllAgain());
  }

  private async setLearning(fields: SettingsFields, said: string): Promise<void> {
    await this.actions.record({ kind: 'put', record: 'settings', key: SETTINGS_KEY, fields }, said);
  }
}
