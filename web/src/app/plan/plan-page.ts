import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import {
  conditionOf,
  containerOf,
  containersOf,
  countedPieces,
  mixesOf,
  plannedClock,
  plantOf,
  seasonOn,
  rootingPace,
  whatMoves,
  type PlannedWound,
  type Variant,
  placesIn,
} from '@hypogeon/core/bench';
import {
  COURSES,
  coursesFor,
  METHOD,
  methodOf,
  windowAt,
  type MethodId,
  type TaxonMethod,
} from '@hypogeon/core/botany';
import { addDays, daysBetween, isDay, type Day } from '@hypogeon/core/days';
import { foldBatch, type BatchFields } from '@hypogeon/core/journal';
import {
  beliefWords,
  containersFor,
  givingOf,
  neededCurve,
  successBelief,
  SIZE_WORD,
  SIZES,
  waysTo,
  type Way,
  type Wish,
} from '@hypogeon/core/plan';
import { cuttingCautions, DISINFECTANTS, type Disinfectant } from '@hypogeon/core/safety';
import { readLength } from '@hypogeon/core/units';
import { FIRST_WATER, WATER_SCHOOL } from '@hypogeon/core/water';
import { COURSE_NAME, COURSE_SAYS } from '@hypogeon/words';
import { AID, defaultSchool, WOUND_SCHOOL, type WoundSchoolId } from '@hypogeon/core/wound';
import { Actions } from '../data/actions';
import { oneAtATime } from '../data/one-at-a-time';
import { Drafts } from '../data/drafts';
import { shapeOf } from '../data/draft-shape';
import { freshId } from '../data/fresh-id';
import { Journal, type Draft } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH } from '../marks/mark-state';
import { FirstWaters } from './first-waters';
import { GateRanges, type GateRange } from './gate-ranges';
import { GivingTable } from './giving-table';
import { MediaOutlook } from './media-outlook';
import { NeededCurve } from './needed-curve';
import { BLANK_PLAN, ofMother, PURPOSE_WORD, PURPOSES, type PlanDraft } from './plan-draft';
import { PlanResult } from './plan-result';
import { PlanTabs } from './plan-tabs';
import { Protocols } from './protocols';
import { WaysTable } from './ways-table';
import { DayField } from '../forms/day-field';
import { Field, FieldControl } from '../forms/field';
import { DraftNote } from '../forms/draft-note';
import { firstWrong } from '../forms/zod-problems';

/** Days that a wish without a day is given. */
const USUAL_TIME = 90;

const DISINFECTANT_WORD: Readonly<Record<Disinfectant, string>> = {
  alcohol: 'alcohol, 70 %',
  bleach: 'dilute bleach, rinsed',
  none: 'clean is enough',
};

@Component({
  selector: 'hy-plan-page',
  imports: [
    MatButton,
    DayField,
    MatOption,
    MatSelect,
    DraftNote,
    Field,
    FieldControl,
    RouterLink,
    CuttingMark,
    FirstWaters,
    GateRanges,
    GivingTable,
    MediaOutlook,
    NeededCurve,
    PlanResult,
    PlanTabs,
    Protocols,
    WaysTable,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './plan-page.html',
  styleUrl: './plan-page.scss',
})
export class PlanPage {
  private readonly toFirstWrong = firstWrong();
  private readonly journal = inject(Journal);
  private readonly actions = inject(Actions);
  private readonly router = inject(Router);
  protected readonly words = inject(Words);
  protected readonly today = inject(Today).day;
  protected readonly state = this.journal.state;

  /** Chosen in the address, from a mother's page. */
  readonly mother = input<string>();
  /** What an order lacks, and by when. */
  readonly want = input<string>();
  readonly by = input<string>();

  protected readonly schools = Object.values(WOUND_SCHOOL);
  protected readonly waterSchools = Object.values(WATER_SCHOOL);
  protected readonly containers = computed(() => containersOf(this.state()));
  protected readonly mixes = computed(() => mixesOf(this.state()));
  protected readonly disinfectants = DISINFECTANTS;
  protected readonly disinfectantWord = DISINFECTANT_WORD;

  private readonly keeper = inject(Drafts).keeper('plan', shapeOf(BLANK_PLAN));
  private readonly edited = signal<PlanDraft | null>(this.keeper.read());
  /** When it was left, where it is taken up again. */
  protected readonly left = signal(this.keeper.keptAt());
  protected readonly draft = computed<PlanDraft>(() => {
    // A draft kept by an older version lacks what came since.
    const draft = { ...BLANK_PLAN, ...this.edited() };
    const asked = this.mother();
    return asked && asked !== draft.mother ? ofMother(draft, asked) : draft;
  });
  protected readonly tried = signal(false);

  constructor() {
    effect(() => {
      const [mother, want, by] = [this.mother(), this.want(), this.by()];
      if (want === undefined) return;
      const wish = { purpose: 'want', want, by: by ?? '' } as const;
      untracked(() =>
        this.edited.set({ ...this.draft(), mother: mother ?? this.draft().mother, ...wish }),
      );
    });
  }

  protected readonly mothers = computed(() => [...this.state().mothers.values()]);
  protected readonly spaces = computed(() => placesIn(this.state()));
  protected readonly plant = computed(() => {
    const mother = this.state().mothers.get(this.draft().mother);
    return mother ? plantOf(this.state(), mother.taxon ?? '') : null;
  });
  protected readonly methods = computed(() => this.plant()?.taxon.methods ?? []);
  /** What the plant guide knows of the chosen way; the plant's first way until one is chosen. */
  protected readonly figures = computed(() => {
    const plant = this.plant();
    const chosen = this.draft().method;
    if (!plant) return null;
    return (chosen ? methodOf(plant.taxon, chosen) : undefined) ?? plant.taxon.methods[0] ?? null;
  });
  protected readonly method = computed(() => {
    const figures = this.figures();
    return figures ? METHOD[figures.method] : null;
  });
  protected readonly piece = computed(
    () => this.figures()?.piece ?? this.method()?.piece ?? 'crown',
  );
  protected readonly advice = computed(() => {
    const wound = this.figures()?.wound;
    return wound ? defaultSchool(wound.tissue) : null;
  });
  protected readonly school = computed<WoundSchoolId>(
    () =>
      this.draft().school ||
      (this.state().settings.school ?? this.advice()?.school ?? 'dry-to-touch'),
  );
  protected readonly space = computed(() => this.draft().space || (this.spaces()[0]?.id ?? ''));
  protected readonly callusSpace = computed(() => this.draft().callusSpace || this.space());
  protected readonly cutOn = computed(() => this.draft().cutOn || this.today());
  private readonly width = computed(() => this.length(this.draft().width));
  private readonly thickness = computed(() => this.length(this.draft().thickness));

  protected readonly problems = computed(() => {
    const d = this.draft();
    const count = Number(d.count);
    const width = this.width();
    const thickness = this.thickness();
    return {
      mother: this.plant() === null ? 'Which mother is cut?' : '',
      count:
        d.count.trim() === ''
          ? 'How many are taken?'
          : !Number.isInteger(count) || count < 1
            ? 'A whole number of 1 or more.'
            : count > 10_000
              ? 'At most 10,000 in one batch. Make several.'
              : '',
      width: width?.ok === false ? width.problem : '',
      thickness: thickness?.ok === false ? thickness.problem : '',
      cutOn: this.dayProblem(this.cutOn()),
      containers:
        d.containers.trim() !== '' &&
        !(
          Number.isInteger(Number(d.containers)) &&
          Number(d.containers) > 0 &&
          Number(d.containers) <= 10_000
        )
          ? 'How many pots or trays? A whole number of 1 or more.'
          : '',
      dryDays: dryDaysProblem(d.dryDays),
      space: this.space() === '' ? 'Where do they stand? Give the air of one place at least.' : '',
    };
  });
  protected readonly good = computed(() => Object.values(this.problems()).every((p) => p === ''));

  private readonly planned = computed<PlannedWound | null>(() => {
    const plant = this.plant();
    const figures = this.figures();
    const wound = figures?.wound;
    if (!plant || !wound || this.dayProblem(this.cutOn())) return null;
    const width = this.width();
    const thickness = this.thickness();
    return {
      taxon: plant.id,
      method: figures.method,
      cutOn: this.cutOn(),
      widthMm: width?.ok ? width.mm : wound.widthMm,
      thicknessMm: thickness?.ok ? thickness.mm : wound.thicknessMm,
      school: this.school(),
      callusAt: this.draft().callusAt,
      callusSpace: this.callusSpace(),
      space: this.space(),
      course: this.draft().course || undefined,
      dryDays: numberOrNone(this.draft().dryDays),
    };
  });

  protected readonly clock = computed(() => {
    const planned = this.planned();
    return planned ? plannedClock(this.state(), planned) : null;
  });

  protected readonly answer = computed(() => {
    const clock = this.clock();
    const figures = this.figures();
    if (!figures) return null;
    if (!figures.wound)
      return {
        says: 'No open cut',
        range: 'Nothing is cut that could rot: water when set.',
        stick: '',
      };
    if (!clock) return null;
    if (clock.gate.state === 'stopped')
      return {
        says: 'It does not close here',
        range: 'Too cold, too hot or too damp. Choose another place to callus.',
        stick: '',
      };
    const { opens, earliest, latest } = clock.gate;
    return {
      says: `Water from ${this.words.near(opens)}`,
      range: `${this.words.days(daysBetween(this.cutOn(), opens))} after the cut; the wound closes ${this.words.span(earliest, latest)}, eight times in ten.`,
      stick: clock.stickOn ? `Set ${this.words.near(clock.stickOn)}.` : '',
    };
  });

  protected readonly moves = computed(() => {
    const planned = this.planned();
    if (!planned) return null;
    const moves = whatMoves(this.state(), planned, (mm) => this.words.length(mm));
    const groups = [
      { name: 'How long to dry', rows: moves.school.map((v) => this.range(v)) },
      { name: 'Width of the cut', rows: moves.width.map((v) => this.range(v)) },
      { name: 'Where it dries', rows: moves.air.map((v) => this.range(v)) },
    ];
    const days = groups.flatMap((g) => g.rows.map((r) => r.opens ?? 0));
    return { groups, horizon: Math.max(7, ...days) * 1.08 };
  });

  protected readonly cautions = computed(() => {
    const plant = this.plant();
    const figures = this.figures();
    if (!plant || !figures) return [];
    const mother = this.state().mothers.get(this.draft().mother);
    const law = mother?.protectedVariety ? (['rights'] as const) : [];
    return cuttingCautions(
      { hazards: plant.taxon.hazards, law: [...plant.taxon.law, ...law] },
      figures.wound !== null,
      this.draft().disinfectant,
    );
  });
  protected readonly unasked = computed(() => {
    const mother = this.state().mothers.get(this.draft().mother);
    return mother !== undefined && (mother.permission ?? 'unknown') === 'unknown';
  });

  /** When roots and pups are to be expected, and whether it is the season. */
  protected readonly outlook = computed(() => {
    const figures = this.figures();
    const plant = this.plant();
    if (!figures || !plant || this.space() === '') return null;
    const season = seasonOn(this.state(), plant.taxon, this.space(), this.cutOn());
    const { tempC } = season;
    const span = (w: { from: number; to: number }): string =>
      this.words.span(addDays(this.cutOn(), w.from), addDays(this.cutOn(), w.to));
    const pace = rootingPace(this.state(), plant.id, figures).factor;
    const belief = successBelief(this.state(), plant.id, figures);
    return {
      roots: span(windowAt(figures.roots, tempC, pace)),
      pups: figures.pups ? span(windowAt(figures.pups, tempC, pace)) : '',
      success: this.words.percent(belief.mean),
      rests: beliefWords(belief, figures.method),
      season,
      temperature: this.words.temperature(tempC),
    };
  });

  protected readonly sizes = SIZES;
  protected readonly sizeWord = SIZE_WORD;
  protected readonly certainties = ['50', '80', '90', '95'];

  protected readonly wishProblems = computed(() => {
    const { want, by, have, purpose } = this.draft();
    const count = Number(want);
    const pieces = Number(have);
    return {
      have:
        purpose !== 'have' || have.trim() === ''
          ? ''
          : !Number.isInteger(pieces) || pieces < 1
            ? 'A whole number of 1 or more.'
            : pieces > 10_000
              ? 'At most 10,000 in one batch. Make several.'
              : '',
      want:
        want.trim() === ''
          ? ''
          : !Number.isInteger(count) || count < 1
            ? 'A whole number of 1 or more.'
            : count > 5000
              ? 'At most 5,000 at once. Make several plans.'
              : '',
      by:
        by === ''
          ? ''
          : !isDay(by)
            ? 'That is not a day of the calendar.'
            : by <= this.cutOn()
              ? `That is before the cut can become anything. Choose a day after ${this.words.day(this.cutOn())}.`
              : daysBetween(this.cutOn(), by) > 1000
                ? 'More than three years ahead. Choose a nearer day.'
                : '',
    };
  });

  protected readonly wishWrong = computed(() =>
    Object.values(this.wishProblems()).some((problem) => problem !== ''),
  );

  private readonly wish = computed<Wish | null>(() => {
    const plant = this.plant();
    const { want, size, by, sure, purpose, container, mix, mother } = this.draft();
    const { want: badWant, by: badBy } = this.wishProblems();
    if (!plant || badBy || this.space() === '' || this.dayProblem(this.cutOn())) return null;
    if (purpose === 'want' && (want.trim() === '' || badWant)) return null;
    return {
      taxon: plant.id,
      mother,
      ...(container ? { container } : {}),
      ...(mix ? { mix } : {}),
      count: purpose === 'want' ? Number(want) : 1,
      size,
      by: by || addDays(this.cutOn(), USUAL_TIME),
      certainty: Number(sure) / 100,
      cutOn: this.cutOn(),
      space: this.space(),
    };
  });
  protected readonly byDay = computed(() => this.draft().by || addDays(this.cutOn(), USUAL_TIME));
  protected readonly ways = computed(() => {
    const wish = this.wish();
    return wish && this.draft().purpose === 'want' ? waysTo(this.state(), wish) : null;
  });
  /** What she can spare, or what lies there, comes to. */
  protected readonly givings = computed(() => {
    const wish = this.wish();
    const { purpose, have } = this.draft();
    if (!wish || purpose === 'want') return null;
    if (purpose === 'safe') return givingOf(this.state(), wish, null);
    const method = this.haveMethod();
    if (method === undefined || have.trim() === '' || this.wishProblems().have) return null;
    return givingOf(this.state(), wish, { [method]: Number(have) });
  });
  protected readonly haveMethod = computed(
    () => this.draft().haveMethod || this.methods()[0]?.method,
  );
  protected readonly condition = computed(() => {
    const mother = this.state().mothers.get(this.draft().mother);
    if (!mother) return null;
    const { verdict, until, notes, fresh } = conditionOf(this.state(), mother, this.today());
    const says =
      verdict === 'cut'
        ? fresh
          ? 'May be cut today.'
          : 'Check the plant first.'
        : verdict === 'stop'
          ? 'Do not cut her.'
          : until === null
            ? 'Wait.'
            : `Wait until ${this.words.near(until)}.`;
    return {
      id: mother.id,
      verdict,
      says,
      why: notes.find((n) => n.weight !== 'good')?.says ?? '',
    };
  });
  protected readonly curve = computed(() => {
    const wish = this.wish();
    const figures = this.figures();
    if (!wish || !figures || this.draft().purpose !== 'want') return null;
    const from = this.cutOn() < this.today() ? this.cutOn() : this.today();
    return neededCurve(this.state(), wish, figures, from);
  });

  protected take({ method }: Pick<Way, 'method'>, count: number | null): void {
    const draft = {
      ...this.draft(),
      method,
      count: String(count ?? ''),
      width: '',
      thickness: '',
      school: '' as const,
    };
    this.edited.set(draft);
    this.keeper.keep(draft);
  }

  protected readonly purposes = PURPOSES;
  protected readonly purposeWord = PURPOSE_WORD;
  protected readonly aids = Object.values(AID);
  protected readonly firstWaters = Object.values(FIRST_WATER);
  protected setPurpose(value: string): void {
    this.set('purpose', PURPOSES.find((p) => p === value) ?? 'want');
  }

  protected setHaveMethod(value: string): void {
    this.set('haveMethod', this.methods().find((m) => m.method === value)?.method ?? '');
  }

  protected setAid(value: string): void {
    this.set('aid', this.aids.find((a) => a.id === value)?.id ?? 'none');
  }

  /** All courses this plant and way can go through, the usual one first. */
  protected readonly courses = computed(() => {
    const plant = this.plant();
    const figures = this.figures();
    if (!plant || !figures) return [];
    const [usual, ...others] = coursesFor(plant.taxon, figures.method, figures.wound);
    return [
      { id: '' as const, name: `${COURSE_NAME[usual!]}, as usual` },
      ...others.map((id) => ({ id, name: COURSE_NAME[id] })),
    ];
  });
  protected readonly courseSays = computed(() => {
    const { course } = this.draft();
    return course === '' ? '' : COURSE_SAYS[course];
  });

  protected setCourse(value: string): void {
    this.set('course', COURSES.find((c) => c === value) ?? '');
  }

  protected setFirstWater(value: string): void {
    this.set('firstWater', this.firstWaters.find((f) => f.id === value)?.id ?? 'with-gate');
  }

  /** What a protocol would be made of. */
  protected readonly asProtocol = computed(() => {
    const {
      callusAt,
      disinfectant,
      aid,
      firstWater,
      waterSchool,
      mix,
      container,
      course,
      dryDays,
    } = this.draft();
    return {
      course: course || null,
      dryDays: numberOrNone(dryDays) ?? null,
      school: this.school(),
      callusAt,
      disinfectant,
      aid,
      firstWater,
      waterSchool: waterSchool || null,
      mix: mix || null,
      container: container || null,
    };
  });

  /** A protocol fills in what it names; the rest stays. */
  protected useProtocol(named: Partial<PlanDraft>): void {
    const draft = { ...this.draft(), ...named };
    this.edited.set(draft);
    this.keeper.keep(draft);
  }

  protected setSize(value: string): void {
    this.set('size', SIZES.find((s) => s === value) ?? 'rooted');
  }

  protected readonly mark = { ...FRESH, closure: 0.35 };

  protected set<K extends keyof PlanDraft>(field: K, value: PlanDraft[K]): void {
    const draft = { ...this.draft(), [field]: value };
    this.edited.set(draft);
    this.keeper.keep(draft);
  }

  protected setMother(id: string): void {
    const draft = ofMother(this.draft(), id);
    this.edited.set(draft);
    this.keeper.keep(draft);
    if (this.mother()) void this.router.navigate(['/plan'], { replaceUrl: true });
  }

  protected setMethod(id: MethodId): void {
    const draft = { ...this.draft(), method: id, width: '', thickness: '', school: '' as const };
    this.edited.set(draft);
    this.keeper.keep(draft);
  }

  protected setSchool(id: string): void {
    this.set('school', this.schools.find((s) => s.id === id)?.id ?? '');
  }

  protected setWaterSchool(id: string): void {
    this.set('waterSchool', this.waterSchools.find((s) => s.id === id)?.id ?? '');
  }

  protected setDisinfectant(value: string): void {
    this.set('disinfectant', DISINFECTANTS.find((d) => d === value) ?? 'none');
  }

  protected pieceFor(method: MethodId) {
    return METHOD[method].piece;
  }

  protected nameFor(method: MethodId): string {
    return METHOD[method].name;
  }

  protected show(problem: string): string {
    return this.tried() ? problem : '';
  }

  protected usualWidth(): string {
    const wound = this.figures()?.wound;
    return wound ? `usually ${this.words.length(wound.widthMm)}` : '';
  }

  protected usualThickness(): string {
    const thickness = this.figures()?.wound?.thicknessMm;
    return thickness === undefined ? '' : `usually ${this.words.length(thickness)}`;
  }

  protected plainRoom(): void {
    void this.actions.record(
      {
        kind: 'put',
        record: 'space',
        key: freshId(),
        fields: { name: 'Plain room', tempC: 20, rh: 0.55 },
      },
      'Plain room added',
    );
  }

  /** As many as the cuttings fill, where nobody says otherwise. */
  protected usualContainers(): number {
    const container = containerOf(this.state(), this.draft().container);
    const count = Number(this.draft().count);
    return container && Number.isInteger(count) && count > 0 ? containersFor(container, count) : 1;
  }

  /** The plan as a batch that is not there yet: its steps, materials and cost. */
  protected readonly asBatch = computed(() => {
    const plant = this.plant();
    const figures = this.figures();
    if (!plant || !figures || !this.good()) return null;
    return foldBatch('plan', this.fields(plant.id, figures), []);
  });

  private fields(taxon: string, { method }: TaxonMethod): BatchFields {
    const d = this.draft();
    const width = this.width();
    const thickness = this.thickness();
    return {
      mother: d.mother,
      taxon,
      method,
      count: Number(d.count),
      cutOn: this.cutOn(),
      school: this.school(),
      callusAt: this.school() === 'straight-in' ? 'medium' : d.callusAt,
      callusSpace: this.callusSpace(),
      space: this.space(),
      disinfectant: d.disinfectant,
      ...(d.aid === 'none' ? {} : { aid: d.aid }),
      ...(d.firstWater === 'with-gate' ? {} : { firstWater: d.firstWater }),
      ...(d.course === '' ? {} : { course: d.course }),
      ...(d.dryDays.trim() === '' ? {} : { dryDays: Number(d.dryDays) }),
      ...(width?.ok ? { widthMm: width.mm } : {}),
      ...(thickness?.ok ? { thicknessMm: thickness.mm } : {}),
      ...(d.place.trim() ? { place: d.place.trim() } : {}),
      ...(d.container
        ? { container: d.container, containers: Number(d.containers) || this.usualContainers() }
        : {}),
      ...(d.mix ? { mix: d.mix } : {}),
      ...(d.waterSchool ? { waterSchool: d.waterSchool } : {}),
    };
  }

  protected afresh(): void {
    this.keeper.drop();
    this.edited.set(null);
    this.left.set(null);
  }

  protected readonly save = oneAtATime(() => this.saveAll());

  private async saveAll(): Promise<void> {
    this.tried.set(true);
    const plant = this.plant();
    const figures = this.figures();
    if (!this.good() || !plant || !figures) {
      this.toFirstWrong();
      return;
    }
    const d = this.draft();
    const key = freshId();
    const cutOn = this.cutOn();
    const drafts: Draft[] = [
      { kind: 'put', record: 'batch', key, fields: this.fields(plant.id, figures) },
    ];
    if (cutOn <= this.today()) drafts.push({ kind: 'cut', batch: key, day: cutOn });
    this.keeper.drop();
    const { container, mix, waterSchool, aid, firstWater } = d;
    this.edited.set({
      ...BLANK_PLAN,
      space: this.space(),
      callusSpace: this.callusSpace(),
      container,
      mix,
      waterSchool,
      aid,
      firstWater,
    });
    const pieces = countedPieces(figures.method, Number(d.count));
    const said = cutOn > this.today() ? `${pieces} planned` : `${pieces} on the bench`;
    await this.actions.recordAll(drafts, said);
    await this.router.navigate(['/bench', key]);
  }

  private length(text: string) {
    return text.trim() === '' ? null : readLength(text, this.words.lengthUnit());
  }

  private dayProblem(day: string): string {
    if (!isDay(day)) return 'That is not a day of the calendar.';
    const ahead = daysBetween(this.today(), day);
    if (ahead > 730) return 'More than two years ahead. Choose a nearer day.';
    if (ahead < -3650) return 'More than ten years back. Choose a later day.';
    return '';
  }

  private range({ name, chosen, clock }: Variant): GateRange {
    const since = (day: Day): number => daysBetween(this.cutOn(), day);
    if (clock.gate.state === 'stopped')
      return { name, chosen, opens: null, from: 0, to: 0, says: 'does not close' };
    const { opens, earliest, latest } = clock.gate;
    return {
      name,
      chosen,
      opens: since(opens),
      from: since(earliest),
      to: since(latest),
      says: this.words.days(since(opens)),
    };
  }
}

const numberOrNone = (text: string): number | undefined =>
  text.trim() === '' || dryDaysProblem(text) !== '' ? undefined : Number(text);

function dryDaysProblem(text: string): string {
  if (text.trim() === '') return '';
  const days = Number(text);
  return Number.isFinite(days) && days >= 0 && days <= 120
    ? ''
    : 'How many days to dry? A number from 0 to 120; 0.25 is some hours.';
}
