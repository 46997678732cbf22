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
import { MatProgressBar } from '@angular/material/progress-bar';
import { MatSlider, MatSliderThumb } from '@angular/material/slider';
import { METHOD } from '@hypogeon/core/botany';
import {
  rehearse,
  strategyOf,
  warmed,
  weatherIn,
  type Rehearsal,
  type Strategy,
  type Weather,
} from '@hypogeon/core/rehearse';
import {
  differenceText,
  matterText,
  ofHundred,
  othersText,
  REHEARSAL_PROBLEM,
  rootDaysText,
  warmthStep,
} from '@hypogeon/words';
import { catchError, concat, defer, map, of, switchMap, timer, type Observable } from 'rxjs';
import { Words } from '../data/words';
import { REHEARSE_WORKER } from '../data/workers';
import { CutTerms } from '../plan/cut-terms';
import { MotherPick } from '../plan/mother-pick';
import { PlanCut } from '../plan/plan-cut';
import { PlanDesk } from '../plan/plan-desk';
import { PlanTabs } from '../plan/plan-tabs';
import { PlanWish } from '../plan/plan-wish';
import { IconArray } from './icon-array';

const DAYS = 120;
/** A small run answers at once, the large one firms it up. */
const RUNS = [200, 2000] as const;
const SEED = 1;
const REST_MS = 40;
/** What matters most is reckoned once the sliders rest. */
const MATTERS_MS = 900;
/** With the plan and three habits, six side by side. */
const MOST_KEPT = 2;
/** So many may be played on the screen's own thread. */
const HERE = 40;

/** A plan set against other ways of doing it, with the same cuttings, weather and luck. */
@Component({
  selector: 'hy-rehearse-page',
  imports: [
    MatButton,
    MatProgressBar,
    MatSlider,
    MatSliderThumb,
    CutTerms,
    IconArray,
    MotherPick,
    PlanTabs,
    RouterLink,
  ],
  providers: [PlanDesk, PlanWish, PlanCut],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>Try it first</h1>
      <p class="quiet">{{ title() }}</p>
      <div class="push">
        <a matButton="outlined" routerLink="/plan" [queryParams]="{ mother: desk.draft().mother }"
          >Back to the plan</a
        >
      </div>
    </div>
    <hy-plan-tabs [mother]="desk.draft().mother" />
    @if (!desk.mother()) {
      <hy-mother-pick [mother]="mother()" />
    } @else {
      <p>
        The same {{ words.number(most) }} cuttings, the same weather and luck, side by side. Played,
        not promised: how cuttings die nobody has measured, and what is assumed is said in the
        methods.
      </p>
      @if (assumed()) {
        <p class="quiet">{{ assumed() }}</p>
      }
      @if (problem()) {
        <p class="problem" role="alert">{{ problem() }}</p>
      }
      <div aria-live="polite">
        @if (played(); as p) {
          @if (p.ok) {
            <div class="ways">
              @for (o of p.outcomes; track o.name) {
                <article [class.best]="$index === best()">
                  <h2>
                    {{ o.name }}
                    @if (isKept(o.name)) {
                      <button
                        type="button"
                        matButton="text"
                        [attr.aria-label]="'Leave out ' + o.name"
                        (click)="leaveOut(o.name)"
                      >
                        Leave out
                      </button>
                    }
                  </h2>
                  <hy-icon-array [outcome]="o" />
                  <p class="rooted">{{ says.rooted(o.rooted, 'rooted') }}</p>
                  <p>{{ says.others(o) }}</p>
                  <p>{{ says.days(o) }}</p>
                  <p class="quiet">
                    {{ words.rounded(o.waterings, 0) }} waterings,
                    {{ words.volume(o.litres * 1000) }}
                  </p>
                </article>
              }
            </div>
            <section aria-labelledby="apart">
              <h2 id="apart" class="ruled">Set against each other</h2>
              <ul>
                @for (line of differences(); track line) {
                  <li>{{ line }}</li>
                }
              </ul>
              <p class="quiet small">
                Leaf and root: rooted. Leaf alone: still without roots. Dashed: dried up. Cross:
                rotted. {{ p.cuttings < most ? 'A first small run; it firms up.' : '' }} Ranges are
                what chance alone may do in this play, not what nobody knows of plants.
              </p>
            </section>
            @if (matters().length > 0) {
              <section aria-labelledby="matters">
                <h2 id="matters" class="ruled">What matters most here</h2>
                <ol>
                  @for (line of matters(); track line) {
                    <li>{{ line }}</li>
                  }
                </ol>
              </section>
            }
          } @else {
            <p class="problem" role="alert">{{ whyNot(p) }}</p>
          }
        } @else if (mine()) {
          <mat-progress-bar mode="indeterminate" aria-label="Playing" />
        }
        @if (failed()) {
          <p class="problem" role="alert">{{ failed() }}</p>
        }
      </div>
      @if (mine(); as m) {
        <fieldset>
          <legend>What if, in this plan</legend>
          @if (m.widthMm !== null) {
            <label
              >Wound {{ words.length(m.widthMm) }}
              <mat-slider min="1" max="80" step="1"
                ><input
                  matSliderThumb
                  aria-label="Wound width"
                  [value]="m.widthMm"
                  (valueChange)="width.set($event)"
              /></mat-slider>
            </label>
          }
          <label
            >{{ words.days(m.dryDays) }} to dry
            <mat-slider min="0" max="30" step="1"
              ><input
                matSliderThumb
                aria-label="Days to dry"
                [value]="m.dryDays"
                (valueChange)="dryDays.set($event)"
            /></mat-slider>
          </label>
          <label
            >First water {{ firstSays(m) }}
            <mat-slider min="0" max="60" step="1"
              ><input
                matSliderThumb
                aria-label="Day of the first water"
                [value]="firstDay(m)"
                (valueChange)="first.set($event)"
            /></mat-slider>
          </label>
          <label
            >{{ warmer() === 0 ? 'As warm as it is' : warmerSays() }}
            <mat-slider min="-8" max="8" step="1"
              ><input
                matSliderThumb
                aria-label="Warmer or cooler"
                [value]="warmer()"
                (valueChange)="warmer.set($event)"
            /></mat-slider>
          </label>
          <div class="row">
            @if (kept().length < mostKept) {
              <button type="button" matButton="outlined" (click)="keepBeside()">
                Keep this way beside the others
              </button>
            }
            <button type="button" matButton="text" (click)="undo()">Undo my what-ifs</button>
          </div>
        </fieldset>
      }
      <hy-cut-terms />
    }
  `,
  styles: `
    fieldset {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(14rem, 1fr));
      gap: 0.4rem 1.6rem;
      border: 0;
      border-top: 1px solid var(--line);
      margin: 1.4rem 0 1rem;
      padding: 0.6rem 0 0;
    }
    legend {
      font-weight: 650;
      padding-right: 0.6rem;
    }
    mat-slider {
      --mat-slider-inactive-track-color: var(--ink2);
      width: calc(100% - 16px);
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 0.6rem;
      grid-column: 1 / -1;
    }
    .ways {
      margin-top: 1rem;
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr));
      gap: 1rem 1.6rem;
    }
    article {
      border-top: 3px solid var(--line);
      padding-top: 0.5rem;
    }
    article.best {
      border-top-color: var(--living);
    }
    article h2 {
      font-size: 1.05rem;
      margin: 0 0 0.4rem;
    }
    article p {
      margin: 0.15rem 0;
    }
    .rooted {
      font: 650 1.15rem/1.2 var(--head-face);
    }
    section {
      margin-top: 1.4rem;
    }
    .problem {
      color: var(--do);
      font-weight: 600;
    }
  `,
})
export class RehearsePage {
  protected readonly desk = inject(PlanDesk);
  private readonly cut = inject(PlanCut);
  protected readonly words = inject(Words);
  private readonly worker = inject(REHEARSE_WORKER);
  readonly mother = input<string>();

  protected readonly most = RUNS[1];
  protected readonly says = { rooted: ofHundred, others: othersText, days: rootDaysText };
  protected readonly width = signal<number | null>(null);
  protected readonly dryDays = signal<number | null>(null);
  protected readonly first = signal<number | null>(null);
  protected readonly warmer = signal(0);
  protected readonly failed = signal('');

  constructor() {
    effect(() => this.desk.asked.set(this.mother()));
  }

  protected readonly title = computed(() => {
    const figures = this.cut.figures();
    const mother = this.desk.mother();
    return mother && figures ? `${mother.name ?? ''}, ${METHOD[figures.method].many}` : '';
  });

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
      : `Played in ${this.pot()?.name ?? 'a pot'} with ${this.mix()?.name ?? 'a mix'}, until you say what.`;
  });

  /** The plan as it stands, or why it cannot be played. */
  private readonly planned = computed(() => {
    const figures = this.cut.figures();
    if (!figures || this.desk.space() === '' || this.desk.cutOnProblem()) return null;
    const fields = this.cut.fieldsOf({ method: figures.method, taken: 1 });
    const [container, mix] = [this.pot()?.id, this.mix()?.id];
    return strategyOf(
      this.desk.state(),
      'This plan',
      { ...fields, ...(container ? { container } : {}), ...(mix ? { mix } : {}) },
      DAYS,
    );
  });
  protected readonly problem = computed(() => {
    const planned = this.planned();
    return planned && 'problem' in planned ? REHEARSAL_PROBLEM[planned.problem] : '';
  });

  protected readonly mine = computed<Strategy | null>(() => {
    const planned = this.planned();
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
      place: warmed(planned.place, warmer),
    };
  });

  private readonly strategies = computed<readonly Strategy[]>(() => {
    const mine = this.mine();
    if (!mine) return [];
    return [
      mine,
      { ...mine, name: 'A day, then water', dryDays: 1, first: { day: 1 } },
      {
        ...mine,
        name: 'Set at once, watered weekly',
        dryDays: 0,
        first: { day: 0 },
        then: { everyDays: 7 },
      },
      { ...mine, name: 'No water until roots', first: { once: 'roots' } },
      ...this.kept(),
    ];
  });

  protected readonly played = toSignal(
    toObservable(this.strategies).pipe(
      switchMap((strategies) => timer(REST_MS).pipe(map(() => strategies))),
      switchMap((strategies) =>
        strategies.length === 0
          ? of(null)
          : concat(...RUNS.map((cuttings) => this.play(strategies, cuttings))),
      ),
    ),
    { initialValue: null },
  );

  private play(strategies: readonly Strategy[], cuttings: number): Observable<Rehearsal | null> {
    const weather = weatherIn(this.desk.state(), this.desk.space());
    this.failed.set('');
    return defer(() =>
      this.worker.ask((w) => w.play({ strategies, cuttings, days: DAYS, seed: SEED, weather })),
    ).pipe(catchError((error: unknown) => this.here(error, strategies, weather)));
  }

  /** Where no worker starts, a small run is played on the screen's own thread, and that is said. */
  private here(
    error: unknown,
    strategies: readonly Strategy[],
    weather: Weather,
  ): Observable<Rehearsal | null> {
    console.error('the rehearsal', error);
    try {
      const played = rehearse({ strategies, cuttings: HERE, days: DAYS, seed: SEED, weather });
      this.failed.set(
        `Only ${HERE} cuttings: this browser plays no more of them beside the page. Reload for the whole.`,
      );
      return of(played);
    } catch {
      this.failed.set('It could not be played here. Reload, and try once more.');
      return of(null);
    }
  }

  /** The two choices that do most, once the play itself stands. */
  protected readonly matters = toSignal(
    toObservable(this.mine).pipe(
      switchMap((mine) => timer(MATTERS_MS).pipe(map(() => mine))),
      switchMap((mine) =>
        mine === null
          ? of<readonly string[]>([])
          : defer(() =>
              this.worker.ask((w) =>
                w.matters({
                  strategy: mine,
                  days: DAYS,
                  seed: SEED,
                  weather: weatherIn(this.desk.state(), this.desk.space()),
                }),
              ),
            ).pipe(
              map((matters) => matters.slice(0, 2).map((m) => matterText(m, this.words.speech()))),
              // What matters is an extra: without it the play still stands.
              catchError(() => of<readonly string[]>([])),
            ),
      ),
    ),
    { initialValue: [] },
  );

  protected readonly best = computed(() => {
    const played = this.played();
    if (!played?.ok) return -1;
    const shares = played.outcomes.map((o) => o.rooted.share);
    return shares.indexOf(Math.max(...shares));
  });
  protected readonly differences = computed(() => {
    const played = this.played();
    if (!played?.ok) return [];
    return played.differences
      .filter((d) => d.a === 0)
      .map((d) => differenceText(d, played.outcomes[0]!.name, played.outcomes[d.b]!.name));
  });

  protected whyNot(played: Rehearsal): string {
    return played.ok ? '' : REHEARSAL_PROBLEM[played.problem];
  }
  protected firstDay({ first }: Strategy): number {
    return 'day' in first ? first.day : 60;
  }
  protected firstSays({ first }: Strategy): string {
    return 'day' in first ? `on day ${first.day}` : 'once roots show';
  }
  protected warmerSays(): string {
    const n = this.warmer();
    return `${warmthStep(Math.abs(n), this.words.speech())} ${n > 0 ? 'warmer' : 'cooler'}`;
  }
  /** Ways of one's own, kept to be set against the plan as it is changed further. */
  protected readonly kept = linkedSignal<string, readonly Strategy[]>({
    source: () => this.desk.draft().mother,
    computation: () => [],
  });
  protected readonly mostKept = MOST_KEPT;

  protected keepBeside(): void {
    const mine = this.mine();
    if (!mine) return;
    const warm = this.warmer() === 0 ? [] : [this.warmerSays()];
    const parts = [`dried ${mine.dryDays} d`, `water ${this.firstSays(mine)}`, ...warm];
    const name = parts.join(', ').replace(/^./, (c) => c.toUpperCase());
    this.kept.update((kept) => [...kept.filter((k) => k.name !== name), { ...mine, name }]);
  }
  protected isKept(name: string): boolean {
    return this.kept().some((k) => k.name === name);
  }
  protected leaveOut(name: string): void {
    this.kept.update((kept) => kept.filter((k) => k.name !== name));
  }

  protected undo(): void {
    this.width.set(null);
    this.dryDays.set(null);
    this.first.set(null);
    this.warmer.set(0);
  }
}
