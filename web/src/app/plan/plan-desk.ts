import { computed, inject, Injectable, signal } from '@angular/core';
import { containersOf, mixesOf, placesIn, plantOf } from '@hypogeon/core/bench';
import { daysBetween, isDay } from '@hypogeon/core/days';
import { say } from '@hypogeon/messages/plan-desk';
import { Drafts } from '../data/drafts';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { BLANK_PLAN, ofMother, planShape, type PlanDraft } from './plan-draft';

/** The plan under way: what was typed, kept across a reload, and what it names. One to a page. */
@Injectable()
export class PlanDesk {
  readonly state = inject(Journal).state;
  readonly today = inject(Today).day;
  private readonly keeper = inject(Drafts).keeper('plan', planShape);
  private readonly edited = signal<PlanDraft | null>(this.keeper.read());
  /** When it was left, where it is taken up again. */
  readonly left = signal(this.keeper.keptAt());
  /** The mother of the address, from her page. */
  readonly asked = signal<string | undefined>(undefined);
  /** Whether it was handed in once: what is missing is marked from then on. */
  readonly tried = signal(false);

  readonly draft = computed<PlanDraft>(() => {
    // A draft kept by an older version lacks what came since.
    const draft = { ...BLANK_PLAN, ...this.edited() };
    const asked = this.asked();
    return asked && asked !== draft.mother ? ofMother(draft, asked) : draft;
  });

  set<K extends keyof PlanDraft>(field: K, value: PlanDraft[K]): void {
    this.put({ [field]: value });
  }

  put(fields: Partial<PlanDraft>): void {
    // A forecast is of the plan as it stood.
    const draft = { ...this.draft(), forecast: null, ...fields };
    this.edited.set(draft);
    this.keeper.keep(draft);
  }

  /** Turned to another mother: what was asked stays asked. */
  turnTo(mother: string): void {
    this.put(ofMother(this.draft(), mother));
  }

  /** Thrown away, but for what is handed in. */
  drop(next: PlanDraft | null = null): void {
    this.keeper.drop();
    this.edited.set(next);
    this.left.set(null);
  }

  readonly mothers = computed(() => [...this.state().mothers.values()]);
  readonly mother = computed(() => this.state().mothers.get(this.draft().mother) ?? null);
  readonly spaces = computed(() => placesIn(this.state()));
  readonly containers = computed(() => containersOf(this.state()));
  readonly mixes = computed(() => mixesOf(this.state()));
  readonly plant = computed(() => {
    const mother = this.mother();
    return mother ? plantOf(this.state(), mother.taxon ?? '') : null;
  });
  readonly methods = computed(() => this.plant()?.taxon.methods ?? []);
  readonly space = computed(() => this.draft().space || (this.spaces()[0]?.id ?? ''));
  readonly callusSpace = computed(() => this.draft().callusSpace || this.space());
  readonly cutOn = computed(() => this.draft().cutOn || this.today());
  readonly cutOnProblem = computed(() => {
    if (!isDay(this.cutOn())) return say.thatIsNotA();
    const ahead = daysBetween(this.today(), this.cutOn());
    if (ahead > 730) return say.moreThanTwoYears();
    if (ahead < -3650) return say.moreThanTenYears();
    return '';
  });
}
