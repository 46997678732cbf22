import {
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  inject,
  input,
  signal,
} from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { drawnAs } from '@hypogeon/core/bench';
import { formOf, METHOD, type MethodId, type Taxon } from '@hypogeon/core/botany';
import type { Mother } from '@hypogeon/core/journal';
import { estimateStock } from '@hypogeon/core/plan';
import { Subject, switchMap, timer } from 'rxjs';
import { say } from '@hypogeon/messages/stock-steppers';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { Stepper } from '../forms/stepper';
import { CuttingMark } from '../marks/cutting-mark';

/** So long after the last tap a count is kept, ms: counting five heads is one entry, not five. */
const REST_MS = 500;
const MOST = 9999;

type Has = Readonly<Partial<Record<MethodId, number>>>;

/** What a mother has, counted where one stands: a picture and a stepper for each way she can be taken by. */
@Component({
  selector: 'hy-stock-steppers',
  imports: [CuttingMark, Stepper],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul
      class="flex flex-wrap items-center gap-y-1 gap-x-5.5 bare"
      [class.stacked]="stacked()"
      [attr.aria-label]="say.whatItHas()"
    >
      <li class="lead flex items-center gap-2 quiet">{{ say.itHas() }}</li>
      @for (row of rows(); track row.method) {
        <li class="flex items-center gap-2">
          <hy-mark [piece]="row.piece" [size]="34" />
          <span>{{ row.name }}</span>
          <hy-stepper
            class="stepper max-[700px]:ml-auto"
            [label]="say.itHas2()"
            [of]="row.name"
            [value]="row.shown"
            [guess]="row.guess"
            [problem]="wrong()[row.method] ?? ''"
            (stepped)="step(row.method, $event)"
            (typed)="type(row.method, $event)"
          />
        </li>
      }
      @if (guessed()) {
        <li class="quiet small flex items-center gap-2">
          {{ say.byItsBuildNot() }}
        </li>
      }
    </ul>
  `,
  styles: `
    .stacked li:not(.lead, .small) {
      width: 100%;
    }
    .stacked .stepper {
      margin-left: auto;
    }
    @media (max-width: 700px) {
      li:not(.lead, .small) {
        width: 100%;
      }
    }
  `,
})
export class StockSteppers {
  protected readonly say = say;

  private readonly actions = inject(Actions);
  private readonly journal = inject(Journal);
  readonly mother = input.required<Mother>();
  readonly taxon = input.required<Taxon>();
  /** One under the other. */
  readonly stacked = input(false, { transform: booleanAttribute });

  /** What was counted here and is not kept yet, and of whom. */
  private readonly counted = signal<{ readonly id: string; readonly has: Has } | null>(null);
  private readonly has = computed<Has>(() => {
    const [mother, counted] = [this.mother(), this.counted()];
    return { ...mother.has, ...(counted?.id === mother.id ? counted.has : {}) };
  });
  /** Typed and no number, by method. */
  protected readonly wrong = signal<Readonly<Partial<Record<MethodId, string>>>>({});
  private readonly taps = new Subject<void>();

  constructor() {
    const leave = inject(DestroyRef);
    this.taps
      .pipe(
        switchMap(() => timer(REST_MS)),
        takeUntilDestroyed(leave),
      )
      .subscribe(() => this.keep());
    leave.onDestroy(() => this.keep());
  }

  protected readonly rows = computed(() => {
    const form = formOf(this.taxon());
    const tall = this.mother().heightMm ?? null;
    return this.taxon().methods.map((figures) => {
      const { method } = figures;
      const counted = this.has()[method];
      return {
        method,
        name: METHOD[method].many,
        piece: drawnAs(this.taxon(), figures),
        guess: counted === undefined,
        shown: counted ?? estimateStock(form, method, tall).likely,
      };
    });
  });
  protected readonly guessed = computed(() => this.rows().some((r) => r.guess));

  protected step(method: MethodId, to: number): void {
    const { id } = this.mother();
    const before = this.counted();
    // The count of another mother is hers, and is kept before this one begins.
    if (before && before.id !== id) this.keep();
    const has = before?.id === id ? before.has : {};
    this.wrong.update(({ [method]: _right, ...rest }) => rest);
    this.counted.set({ id, has: { ...has, [method]: Math.min(Math.max(0, to), MOST) } });
    this.taps.next();
  }

  protected type(method: MethodId, typed: string): void {
    const count = Number(typed);
    if (typed.trim() === '') return;
    if (Number.isInteger(count) && count >= 0 && count <= MOST) this.step(method, count);
    else this.wrong.update((w) => ({ ...w, [method]: say.aWholeNumber() }));
  }

  /** Only what was counted here, and only once. */
  private keep(): void {
    const counted = this.counted();
    if (!counted) return;
    const known = this.journal.state().mothers.get(counted.id)?.has ?? {};
    const has = { ...known, ...counted.has };
    this.counted.set(null);
    const changed = Object.entries(has).some(([m, n]) => known[m as MethodId] !== n);
    if (changed)
      void this.actions.record(
        { kind: 'put', record: 'mother', key: counted.id, fields: { has } },
        say.counted(),
      );
  }
}
