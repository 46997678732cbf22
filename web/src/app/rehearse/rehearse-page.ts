import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  signal,
} from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { MatSlider, MatSliderThumb } from '@angular/material/slider';
import { METHOD } from '@hypogeon/core/botany';
import {
  mixColumns,
  moistened,
  strategyOf,
  warmed,
  weatherIn,
  type Strategy,
} from '@hypogeon/core/rehearse';
import type { BatchFields } from '@hypogeon/core/journal';
import type { Part } from '@hypogeon/core/plan';
import { forecastText, piecesText, REHEARSAL_PROBLEM, warmthStep } from '@hypogeon/words';
import { catchError, from, map, of, switchMap } from 'rxjs';
import { say } from '@hypogeon/messages/rehearse-page';
import { oneAtATime } from '../data/one-at-a-time';
import { Words } from '../data/words';
import { REHEARSE_WORKER } from '../data/workers';
import { Field } from '../forms/field';
import { CutTerms } from '../plan/cut-terms';
import { MotherPick } from '../plan/mother-pick';
import { PlanCut } from '../plan/plan-cut';
import { PlanDesk } from '../plan/plan-desk';
import { PlanTabs } from '../plan/plan-tabs';
import { PlanWish } from '../plan/plan-wish';
import { OwnRot } from './own-rot';
import { Played } from './played';
import { Playing, SEED, SIZES, type PlayAsk } from './playing';
import { WhatCounts, type Counted } from './what-counts';

const DAYS = 120;
/** With the plan and three habits, six side by side. */
const MOST_KEPT = 2;
/** What is forecast where the plan does not say how many. */
const USUAL_COUNT = 10;

/** A plan set against other ways of doing it, with the same cuttings, weather and luck. */
@Component({
  selector: 'hy-rehearse-page',
  imports: [
    CutTerms,
    Field,
    MatButton,
    MatOption,
    MatSelect,
    MatSlider,
    MatSliderThumb,
    MotherPick,
    PlanTabs,
    Played,
    RouterLink,
    WhatCounts,
  ],
  providers: [PlanDesk, PlanWish, PlanCut, Playing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './rehearse-page.html',
  styleUrl: './rehearse-page.scss',
})
export class RehearsePage {
  protected readonly say = say;

  protected readonly desk = inject(PlanDesk);
  protected readonly cut = inject(PlanCut);
  protected readonly words = inject(Words);
  protected readonly playing = inject(Playing);
  private readonly worker = inject(REHEARSE_WORKER);
  private readonly rot = inject(OwnRot).rot;
  readonly mother = input<string>();

  protected readonly sizes = SIZES;
  protected readonly width = signal<number | null>(null);
  protected readonly dryDays = signal<number | null>(null);
  protected readonly first = signal<number | null>(null);
  protected readonly warmer = signal(0);
  /** Points of relative humidity. */
  protected readonly damper = signal(0);
  protected readonly otherMix = signal('');

  constructor() {
    effect(() => this.desk.asked.set(this.mother()));
  }

  protected readonly title = computed(() => {
    const figures = this.cut.figures();
    const mother = this.desk.mother();
    if (!mother || !figures) return '';
    const several = this.several();
    const what =
      several.length > 1
        ? several.map(({ method, taken }) => piecesText(method, taken)).join(', ')
        : METHOD[figures.method].many;
    return `${mother.name ?? ''}, ${what}`;
  });

  /** Parts of a plan of several ways; one or none where it has one. */
  protected readonly several = computed(() => this.cut.parts().filter((part) => part.taken > 0));

  /** What they stand in: as planned, else what is first at hand, and then it is said. */
  private readonly pot = computed(() => {
    const pots = this.desk.containers();
    return pots.find((c) => c.id === this.desk.draft().container) ?? pots[0];
  });
  private readonly mix = computed(() => {
    const mixes = this.desk.mixes();
    return mixes.find((m) => m.id === this.desk.draft().mix) ?? mixes[0];
  });
  protected readonly assumed = computed(() => {
    const { container, mix } = this.desk.draft();
    return container && mix
      ? ''
      : say.playedInWithUntil({
          name: this.pot()?.name ?? say.aPot(),
          name2: this.mix()?.name ?? say.aMix(),
        });
  });

  /** The plan as it stands, or why it cannot be played. */
  private readonly planned = computed(() => this.inMix(this.mix()?.id));
  private readonly plannedParts = computed(() => {
    const several = this.several();
    return several.length < 2
      ? []
      : several.map((part) => ({
          part,
          made: this.inMix(this.mix()?.id, piecesText(part.method, part.taken), {}, part),
        }));
  });
  protected readonly problem = computed(() => {
    const parts = this.plannedParts().map(({ made }) => made);
    const problem = (parts.length > 0 ? parts : [this.planned()]).find(
      (made) => made !== null && 'problem' in made,
    );
    return problem && 'problem' in problem ? REHEARSAL_PROBLEM[problem.problem] : '';
  });
  private readonly partStrategies = computed(() =>
    this.plannedParts().flatMap(({ part, made }) =>
      made && !('problem' in made) ? [{ part, strategy: made }] : [],
    ),
  );

  /** What all parts of the plan come to, played on the same benches; empty until it is known. */
  protected readonly together = toSignal(
    toObservable(this.partStrategies).pipe(
      switchMap((parts) => {
        const rot = this.rot();
        if (parts.length < 2 || !rot) return of('');
        const weather = this.weather();
        return from(
          this.worker.ask((w) =>
            w.together(
              parts.map(({ part, strategy }) => ({
                strategy,
                cuttings: part.taken,
                days: DAYS,
                seed: SEED,
                weather,
                rot,
              })),
            ),
          ),
        ).pipe(
          map(forecastText),
          catchError((error: unknown) => {
            console.error('the forecast', error);
            return of(say.theForecastCouldNot());
          }),
        );
      }),
    ),
    { initialValue: '' },
  );

  private inMix(
    mix: string | undefined,
    name = say.thisPlan(),
    over: BatchFields = {},
    part?: Part,
  ) {
    const figures = this.cut.figures();
    const rot = this.rot();
    if (!figures || !rot || this.desk.space() === '' || this.desk.cutOnProblem()) return null;
    const fields = this.cut.fieldsOf(part ?? { method: figures.method, taken: 1 });
    const container = this.pot()?.id;
    const made = strategyOf(
      this.desk.state(),
      name,
      { ...fields, ...(container ? { container } : {}), ...(mix ? { mix } : {}), ...over },
      DAYS,
    );
    return 'problem' in made ? made : { ...made, rotPace: rot.factor };
  }

  protected readonly mine = computed<Strategy | null>(() => {
    // Of several ways each is played as planned.
    if (this.several().length > 1) return null;
    const planned = this.otherMix() ? this.inMix(this.otherMix()) : this.planned();
    if (!planned || 'problem' in planned) return null;
    const [width, dry, first, warmer] = [this.width(), this.dryDays(), this.first(), this.warmer()];
    const dryDays = dry ?? planned.dryDays;
    return {
      ...planned,
      widthMm: planned.widthMm === null ? null : (width ?? planned.widthMm),
      dryDays,
      // What is set later is watered later.
      first:
        first !== null
          ? { day: Math.max(first, dryDays) }
          : 'day' in planned.first
            ? { day: Math.max(planned.first.day, dryDays) }
            : planned.first,
      place: moistened(warmed(planned.place, warmer), this.damper() / 100),
    };
  });

  private readonly strategies = computed<readonly Strategy[]>(() => {
    const parts = this.partStrategies();
    if (parts.length > 1) return parts.map(({ strategy }) => strategy);
    const mine = this.mine();
    if (!mine) return [];
    return [
      mine,
      { ...mine, name: say.aDayThenWater(), dryDays: 1, first: { day: 1 } },
      {
        ...mine,
        name: say.setAtOnceWatered(),
        dryDays: 0,
        first: { day: 0 },
        then: { everyDays: 7 },
      },
      { ...mine, name: say.noWaterUntilRoots(), first: { once: 'roots' } },
      ...this.kept(),
    ];
  });

  private readonly weather = computed(() => weatherIn(this.desk.state(), this.desk.space()));
  protected readonly played = this.playing.follow(
    computed((): PlayAsk | null => {
      const strategies = this.strategies();
      return strategies.length === 0 ? null : { strategies, days: DAYS, weather: this.weather() };
    }),
  );
  private readonly columns = computed(() => {
    const pot = this.pot();
    return pot ? mixColumns(this.desk.state(), pot.id) : [];
  });
  protected readonly counted = computed((): Counted | null => {
    const strategy = this.mine();
    const rot = this.rot();
    return strategy && rot
      ? {
          strategy,
          days: DAYS,
          weather: this.weather(),
          columns: this.columns(),
          rot,
        }
      : null;
  });

  protected readonly forecastSays = forecastText;

  /** What is said of the plan beforehand, kept with it. */
  protected readonly keepForecast = oneAtATime(async (): Promise<void> => {
    const strategy = this.planned();
    const rot = this.rot();
    if (!strategy || !rot || 'problem' in strategy) return;
    const plan = this.desk.draft();
    const [part] = this.cut.parts();
    const cuttings =
      part && Number.isInteger(part.taken) && part.taken > 0 ? part.taken : USUAL_COUNT;
    try {
      const forecast = await this.worker.ask((w) =>
        w.forecast({
          strategy,
          cuttings,
          days: DAYS,
          seed: SEED,
          weather: this.weather(),
          rot,
        }),
      );
      // A plan that was changed meanwhile is another plan.
      if (this.desk.draft() === plan) this.desk.put({ forecast });
    } catch (error) {
      console.error('the forecast', error);
      this.playing.failed.set(say.theForecastCouldNot());
    }
  });

  protected firstDay({ first }: Strategy): number {
    return 'day' in first ? first.day : 60;
  }
  protected firstSays({ first }: Strategy): string {
    return 'day' in first ? say.onDay({ day: first.day }) : say.onceRootsShow();
  }
  protected warmerSays(): string {
    const n = this.warmer();
    return `${warmthStep(Math.abs(n), this.words.speech())} ${n > 0 ? say.warmer() : say.cooler()}`;
  }
  protected damperSays(): string {
    const n = this.damper();
    return say.pointsOfHumidity({ abs: Math.abs(n), what: n > 0 ? say.more() : say.less() });
  }
  /** Ways of one’s own, kept to be set against the plan as it is changed further. */
  protected readonly kept = linkedSignal<string, readonly Strategy[]>({
    source: () => this.desk.draft().mother,
    computation: () => [],
  });
  protected readonly mostKept = MOST_KEPT;

  protected readonly keptNames = computed(() => this.kept().map((k) => k.name));

  protected keepBeside(): void {
    const mine = this.mine();
    if (!mine) return;
    const warm = this.warmer() === 0 ? [] : [this.warmerSays()];
    const damp = this.damper() === 0 ? [] : [this.damperSays()];
    const mix = this.desk.mixes().find((m) => m.id === this.otherMix())?.name;
    const parts = [
      say.driedD({ dryDays: mine.dryDays }),
      say.water({ firstSays: this.firstSays(mine) }),
      ...warm,
      ...damp,
      ...(mix ? [say.inWord({ mix })] : []),
    ];
    const name = parts.join(', ').replace(/^./, (c) => c.toUpperCase());
    this.kept.update((kept) => [...kept.filter((k) => k.name !== name), { ...mine, name }]);
  }
  protected readonly routines = computed(() => [...this.desk.state().protocols.values()]);
  protected readonly routineProblem = signal('');

  /** A routine of one's own as one more way of doing this plan. */
  protected besideRoutine(id: string): void {
    const routine = this.desk.state().protocols.get(id);
    if (!routine) return;
    const { id: _id, name = say.myRoutine(), ...fields } = routine;
    const made = this.inMix(this.mix()?.id, name, fields);
    if (!made) return;
    if ('problem' in made) return this.routineProblem.set(REHEARSAL_PROBLEM[made.problem]);
    this.routineProblem.set('');
    this.kept.update((kept) => [...kept.filter((k) => k.name !== name), made]);
  }

  protected leaveOut(name: string): void {
    this.kept.update((kept) => kept.filter((k) => k.name !== name));
  }

  protected undo(): void {
    this.width.set(null);
    this.dryDays.set(null);
    this.first.set(null);
    this.warmer.set(0);
    this.damper.set(0);
    this.otherMix.set('');
  }
}
