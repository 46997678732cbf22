import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatRadioButton } from '@angular/material/radio';
import { MatOption, MatSelect } from '@angular/material/select';
import {
  batchTitle,
  clockOf,
  containersOf,
  coursesOf,
  courseOf,
  mixesOf,
  rowOf,
  unrootedWaterOf,
  waitsForRoots,
  waterSchoolOf,
  woundOf,
  FIRMED_NAME,
  LEAVES_NAME,
} from '@hypogeon/core/bench';
import { isLongOrShort } from '@hypogeon/core/botany';
import { COURSES, type Course } from '@hypogeon/core/course';
import { careOf, type Step, type StepId } from '@hypogeon/core/care';
import {
  FEEDINGS,
  FIRMINGS,
  LEAF_CARES,
  OPENINGS,
  OWN_ROOTS,
  type Batch,
  type BatchFields,
} from '@hypogeon/core/journal';
import { firstWaterOutlooks } from '@hypogeon/core/plan';
import { FIRST_WATER, UNROOTED_WATERS, WATER_SCHOOL } from '@hypogeon/core/water';
import { TISSUES } from '@hypogeon/core/wound';
import {
  brokenSays,
  chanceText,
  COURSE_WORDS,
  depthSays,
  FEEDING_NAME,
  feedingSays,
  TISSUE_NAME,
  FIRMED_SAYS,
  LEAVES_SAYS,
  lengthSays,
  OPENING_NAME,
  openingName,
  UNROOTED_NAME,
} from '@hypogeon/words';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { lengthIn, readLength } from '@hypogeon/core/units';
import { say } from '@hypogeon/messages/course-page';
import { Field, FieldControl } from '../forms/field';
import { namePage } from '../shell/page-title';

/** What lies on the surface is neither firmed nor deep. */
const STANDING: ReadonlySet<Course['lies']> = new Set(['buried', 'in-trench', 'potted']);

/** The stations whose dates tell courses apart. */
const TOLD: readonly StepId[] = ['stick', 'first-water', 'roots', 'wean', 'pot-on'];

const ROOTS_NAME = {
  get none() {
    return say.none();
  },
  get few() {
    return say.aFew();
  },
  get brush() {
    return say.aBrushOfThem();
  },
} as const;

/** How a batch is grown: its course and what was chosen of it, each way with its dates. */
@Component({
  selector: 'hy-course-page',
  imports: [MatRadioButton, MatOption, MatSelect, Field, FieldControl, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './course-page.html',
  styleUrl: './course-page.scss',
})
export class CoursePage {
  protected readonly say = say;

  private readonly actions = inject(Actions);
  private readonly state = inject(Journal).state;
  private readonly today = inject(Today).day;
  protected readonly words = inject(Words);
  readonly id = input.required<string>();

  protected readonly tissues = TISSUES;
  protected readonly tissueName = TISSUE_NAME;
  /** A leaf alone can leave its base on the stem. */
  protected readonly openings = computed(() => {
    const batch = this.batch();
    const leaf = batch?.method === 'leaf';
    return OPENINGS.filter((id) => leaf || id !== 'broken').map((id) => ({
      id,
      name: batch ? openingName(id, batch.method) : OPENING_NAME[id],
    }));
  });
  protected readonly brokenSays = brokenSays;
  protected readonly firmings = FIRMINGS.map((id) => ({ id, name: FIRMED_NAME[id] }));
  protected readonly firmedSays = FIRMED_SAYS;
  protected readonly leafCares = LEAF_CARES.map((id) => ({ id, name: LEAVES_NAME[id] }));
  protected readonly leavesSays = LEAVES_SAYS;
  protected readonly depthSays = depthSays;
  protected readonly lengthSays = lengthSays;
  protected readonly ownRoots = OWN_ROOTS.map((id) => ({ id, name: ROOTS_NAME[id] }));
  protected readonly firstWaters = Object.values(FIRST_WATER);
  protected readonly habits = Object.values(WATER_SCHOOL);
  protected readonly feedingSays = feedingSays;
  protected readonly feedings = FEEDINGS.map((id) => ({ id, name: FEEDING_NAME[id] }));
  protected readonly regimes = UNROOTED_WATERS.map((id) => ({ id, name: UNROOTED_NAME[id] }));
  protected readonly containers = computed(() => containersOf(this.state()));
  protected readonly mixes = computed(() => mixesOf(this.state()));

  protected ringsProblem = '';
  protected dryProblem = '';
  protected readonly mmProblem: Partial<Record<'stemMm' | 'lengthMm', string>> = {};

  private readonly batch = computed(() => this.state().batches.get(this.id()) ?? null);
  protected readonly view = computed(() => {
    const batch = this.batch();
    if (!batch) return null;
    const state = this.state();
    return {
      batch,
      title: batchTitle(state, batch),
      courses: coursesOf(state, batch).map((id, i) => ({
        id,
        name: COURSE_WORDS[id].name,
        says: COURSE_WORDS[id].says,
        risk: COURSE_WORDS[id].risk,
        usual: i === 0,
        chosen: courseOf(state, batch) === id,
        stops: this.stops({ ...batch, course: id }),
      })),
      wound: woundOf(state, batch),
      firstRisk: this.firstRisk(batch) || this.firstWaits(batch),
      // A rosette that was a pup, and no other piece, is told by its rings.
      rings: batch.method === 'offset' || batch.method === 'rooted-offset',
      stands: STANDING.has(rowOf(state, batch).lies),
      long: isLongOrShort(batch.method),
      unrooted: UNROOTED_NAME[unrootedWaterOf(state, batch)],
      habit: this.words.rule(WATER_SCHOOL[waterSchoolOf(state, batch)].name),
    };
  });

  /** As soon as it is safe, yet kept dry until roots show: it waits for them. */
  private firstWaits(batch: Batch): string {
    return waitsForRoots(this.state(), batch) && batch.firstWater !== 'roots-show'
      ? say.itIsKeptDry()
      : '';
  }

  /** What the chosen first water risks, where it comes before the cut is closed. */
  constructor() {
    namePage(() => {
      const view = this.view();
      return view ? say.howIsGrown({ title: view.title }) : '';
    });
  }

  private firstRisk(batch: Batch): string {
    const clock = clockOf(this.state(), batch);
    const chosen = batch.firstWater ?? 'with-gate';
    const risk = firstWaterOutlooks(clock, batch.cutOn).find((o) => o.school.id === chosen);
    return risk && risk.on !== null && risk.open > 0.1 && chosen !== 'with-gate'
      ? say.theCutWouldStill({ chance: chanceText(risk.open) })
      : '';
  }

  /** What the dates would be on a course. */
  private stops(batch: Batch): readonly { readonly name: string; readonly when: string }[] {
    const { steps, course } = careOf(this.state(), batch, this.today());
    return TOLD.flatMap((id) => {
      const step = steps.find((s): s is Step => s.id === id);
      return step && step.is !== 'skipped'
        ? [{ name: this.words.stepName(step, course, batch), when: this.words.stepWhen(step) }]
        : [];
    });
  }

  protected choose(value: string): void {
    const course = COURSES.find((c) => c === value);
    if (course) this.put({ course }, COURSE_WORDS[course].name);
  }

  protected setDryDays(text: string): string {
    if (text.trim() === '') {
      this.put({ dryDays: null }, say.daysToDryAs());
      return '';
    }
    const days = Number(text.replace(',', '.'));
    if (!Number.isFinite(days) || days < 0 || days > 120) return say.howManyDaysA();
    this.put({ dryDays: days }, say.daysToDry());
    return '';
  }

  /** A length as it stands in its field, in the grower's unit. */
  protected lengthShown(mm: number | undefined): string {
    return mm === undefined ? '' : String(+lengthIn(mm, this.words.lengthUnit()).toFixed(2));
  }

  protected setLength(field: 'stemMm' | 'lengthMm', text: string): void {
    this.mmProblem[field] = '';
    if (text.trim() === '') return this.put({ [field]: null }, say.notTold2());
    const read = readLength(text, this.words.lengthUnit());
    if (!read.ok) this.mmProblem[field] = read.problem;
    else if (read.mm > 1000) this.mmProblem[field] = say.longerThanAMetre();
    else this.put({ [field]: read.mm }, say.changed());
  }

  protected setRings(text: string): string {
    const rings = Number(text);
    if (text.trim() !== '' && (!Number.isInteger(rings) || rings < 0 || rings > 200))
      return say.howManyRingsOf();
    this.put({ rings: text.trim() === '' ? null : rings }, say.ringsOfLeaves());
    return '';
  }

  /** One field, or cleared where nothing is chosen. */
  protected set(
    field: keyof BatchFields,
    value: string,
    among: readonly { readonly id: string }[] | readonly string[],
  ): void {
    const known = among.some((a) => (typeof a === 'string' ? a : a.id) === value);
    this.put({ [field]: known ? value : null }, say.changed());
  }

  private put(fields: BatchFields, said: string): void {
    void this.actions.record({ kind: 'put', record: 'batch', key: this.id(), fields }, said);
  }
}
