import { computed, inject, Injectable } from '@angular/core';
import { containerOf, plannedClock, type PlannedWound } from '@hypogeon/core/bench';
import { methodAs, methodOf, type MethodId, type TaxonMethod } from '@hypogeon/core/botany';
import { foldBatch, type BatchFields } from '@hypogeon/core/journal';
import { containersFor, type Part, type PlannedPiece } from '@hypogeon/core/plan';
import { readLength } from '@hypogeon/core/units';
import { defaultSchool, usualSchool, type WoundSchoolId } from '@hypogeon/core/wound';
import { say } from '@hypogeon/messages/plan-cut';
import { Words } from '../data/words';
import { PlanDesk } from './plan-desk';
import { dryDaysProblem, numberOrNone } from './dry-days';
import { PlanWish } from './plan-wish';

const MOST_PIECES = 10_000;

/** The cut that is planned: which way, how many, its wound, and the batch it becomes. One to a page. */
@Injectable()
export class PlanCut {
  private readonly desk = inject(PlanDesk);
  private readonly wish = inject(PlanWish);
  private readonly words = inject(Words);

  /** What the plant guide knows of the chosen way; the best for what is wanted, or her first, until one is chosen. */
  readonly figures = computed<TaxonMethod | null>(() => {
    const plant = this.desk.plant();
    if (!plant) return null;
    const usual = this.wish.together()?.parts[0]?.method ?? this.wish.ways()?.best?.method;
    const chosen = this.desk.draft().method || usual;
    return (chosen ? methodOf(plant.taxon, chosen) : undefined) ?? plant.taxon.methods[0] ?? null;
  });
  readonly method = computed(() => {
    const figures = this.figures();
    return figures ? methodAs(this.desk.plant()?.taxon ?? null, figures.method) : null;
  });

  /** As typed; until then as many as the chosen way needs. */
  readonly count = computed(() => {
    const { count, method } = this.desk.draft();
    if (count !== '') return count;
    const ways = this.wish.ways();
    const way = method ? ways?.ways.find((w) => w.method === method) : ways?.best;
    return way?.within && way.needed !== null ? String(way.needed) : '';
  });

  /** What is taken: one way, or several together. */
  readonly parts = computed<readonly Part[]>(() => {
    const together = this.wish.together();
    if (together) return together.parts;
    const figures = this.figures();
    return figures ? [{ method: figures.method, taken: Number(this.count()) }] : [];
  });

  readonly advice = computed(() => {
    const wound = this.figures()?.wound;
    return wound ? defaultSchool(wound.tissue) : null;
  });
  readonly school = computed<WoundSchoolId>(() => this.schoolOf(this.figures()));

  /** How long a way is dried: as chosen, else by the grower's habit, else as suits its tissue. */
  private schoolOf(figures: TaxonMethod | null): WoundSchoolId {
    return (
      this.desk.draft().school || usualSchool(figures?.wound, this.desk.state().settings.school)
    );
  }

  private readonly width = computed(() => this.length(this.desk.draft().width));
  private readonly thickness = computed(() => this.length(this.desk.draft().thickness));

  readonly problems = computed(() => {
    const d = this.desk.draft();
    const [width, thickness] = [this.width(), this.thickness()];
    return {
      mother: this.desk.plant() === null ? say.whichMotherIsCut() : '',
      count: this.wish.together() ? '' : countProblem(this.count()),
      width: width?.ok === false ? width.problem : '',
      thickness: thickness?.ok === false ? thickness.problem : '',
      cutOn: this.desk.cutOnProblem(),
      containers:
        d.containers.trim() !== '' && countProblem(d.containers) !== '' ? say.howManyPotsOr() : '',
      dryDays: dryDaysProblem(d.dryDays),
      space: this.desk.space() === '' ? say.whereDoTheyStand() : '',
    };
  });
  readonly good = computed(() => Object.values(this.problems()).every((p) => p === ''));

  /** The wound of a way as it is planned; null where nothing is cut. */
  plannedFor(figures: TaxonMethod | null): PlannedWound | null {
    const plant = this.desk.plant();
    const wound = figures?.wound;
    if (!plant || !wound || this.desk.cutOnProblem()) return null;
    const alone = this.parts().length < 2;
    const [width, thickness] = [this.width(), this.thickness()];
    const { callusAt, course, dryDays } = this.desk.draft();
    return {
      taxon: plant.id,
      method: figures.method,
      cutOn: this.desk.cutOn(),
      widthMm: alone && width?.ok ? width.mm : wound.widthMm,
      thicknessMm: alone && thickness?.ok ? thickness.mm : wound.thicknessMm,
      school: this.schoolOf(figures),
      callusAt,
      callusSpace: this.desk.callusSpace(),
      space: this.desk.space(),
      course: alone ? course || undefined : undefined,
      dryDays: numberOrNone(dryDays),
    };
  }
  readonly planned = computed(() => this.plannedFor(this.figures()));

  /** Where and how a piece of the plan is grown, for the clock of roots; null while the plant is not known. */
  piece(figures: TaxonMethod): PlannedPiece | null {
    const plant = this.desk.plant();
    if (!plant || this.desk.cutOnProblem()) return null;
    const alone = this.parts().length < 2;
    const { course, dryDays } = this.desk.draft();
    return {
      taxon: plant.id,
      cutOn: this.desk.cutOn(),
      space: this.desk.space(),
      callusSpace: this.desk.callusSpace(),
      school: this.schoolOf(figures),
      dryDays: numberOrNone(dryDays),
      ...(alone && course ? { courses: { [figures.method]: course } } : {}),
    };
  }
  readonly clock = computed(() => {
    const planned = this.planned();
    return planned ? plannedClock(this.desk.state(), planned) : null;
  });

  /** As many as the cuttings fill, where nobody says otherwise. */
  readonly usualContainers = computed(() => this.containersOf(Number(this.count())));
  private containersOf(count: number): number {
    const container = containerOf(this.desk.state(), this.desk.draft().container);
    return container && Number.isInteger(count) && count > 0 ? containersFor(container, count) : 1;
  }

  /** The plan as a batch that is not there yet: its steps, materials and cost. */
  readonly asBatch = computed(() => {
    const [part] = this.parts();
    const fields = part && this.good() ? this.fieldsOf(part) : null;
    return fields ? foldBatch('plan', fields, []) : null;
  });

  figuresOf(method: MethodId): TaxonMethod | null {
    const plant = this.desk.plant();
    return plant ? (methodOf(plant.taxon, method) ?? null) : null;
  }

  /** The record of one part; null while the plant is not known. */
  fieldsOf({ method, taken }: Part): BatchFields | null {
    const plant = this.desk.plant();
    const figures = this.figuresOf(method);
    if (!plant || !figures) return null;
    const d = this.desk.draft();
    const school = this.schoolOf(figures);
    const alone = this.parts().length < 2;
    const [width, thickness] = [this.width(), this.thickness()];
    return {
      mother: d.mother,
      taxon: plant.id,
      method,
      count: taken,
      cutOn: this.desk.cutOn(),
      school,
      callusAt: school === 'straight-in' ? 'medium' : d.callusAt,
      callusSpace: this.desk.callusSpace(),
      space: this.desk.space(),
      disinfectant: d.disinfectant,
      ...(d.aid === 'none' ? {} : { aid: d.aid }),
      ...(d.firstWater === 'with-gate' ? {} : { firstWater: d.firstWater }),
      ...(d.course === '' || !alone ? {} : { course: d.course }),
      ...(d.dryDays.trim() === '' ? {} : { dryDays: Number(d.dryDays) }),
      ...(alone && width?.ok ? { widthMm: width.mm } : {}),
      ...(alone && thickness?.ok ? { thicknessMm: thickness.mm } : {}),
      ...(d.place.trim() ? { place: d.place.trim() } : {}),
      ...(d.container
        ? {
            container: d.container,
            containers: (alone && Number(d.containers)) || this.containersOf(taken),
          }
        : {}),
      ...(d.mix ? { mix: d.mix } : {}),
      ...(d.waterSchool ? { waterSchool: d.waterSchool } : {}),
    };
  }

  private length(text: string) {
    return text.trim() === '' ? null : readLength(text, this.words.lengthUnit());
  }
}

function countProblem(typed: string): string {
  const count = Number(typed);
  if (typed.trim() === '') return say.howManyAreTaken();
  if (!Number.isInteger(count) || count < 1) return say.aWholeNumberOf();
  return count > MOST_PIECES ? say.atMost10000() : '';
}
