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
import { MatIconButton } from '@angular/material/button';
import { drawnAs } from '@hypogeon/core/bench';
import { formOf, METHOD, type MethodId, type Taxon } from '@hypogeon/core/botany';
import type { Mother } from '@hypogeon/core/journal';
import { estimateStock } from '@hypogeon/core/plan';
import { Subject, switchMap, timer } from 'rxjs';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { Field, FieldControl } from '../forms/field';
import { CuttingMark } from '../marks/cutting-mark';

/** So long after the last tap a count is kept, ms: counting five heads is one entry, not five. */
const REST_MS = 500;
const MOST = 9999;

type Has = Readonly<Partial<Record<MethodId, number>>>;

/** What a mother has, counted where one stands: a picture and a stepper for each way she can be taken by. */
@Component({
  selector: 'hy-stock-steppers',
  imports: [MatIconButton, CuttingMark, Field, FieldControl],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul
      class="flex flex-wrap items-center gap-y-1 gap-x-5.5 bare"
      [class.stacked]="stacked()"
      [attr.aria-label]="'What she has'"
    >
      <li class="lead flex items-center gap-2 quiet">She has</li>
      @for (row of rows(); track row.method) {
        <li class="flex items-center gap-2">
          <hy-mark [piece]="row.piece" [size]="34" />
          <span>{{ row.name }}</span>
          <span class="stepper flex items-center max-[700px]:ml-auto">
            <button
              type="button"
              matIconButton
              [attr.aria-label]="'One less: ' + row.name"
              [disabled]="row.shown === 0"
              (click)="step(row.method, row.shown - 1)"
            >
              −
            </button>
            <hy-field
              class="w-18.5"
              unseen
              [label]="'She has, ' + row.name"
              [problem]="wrong()[row.method] ?? ''"
            >
              <input
                hyControl
                inputmode="numeric"
                autocomplete="off"
                [value]="row.guess ? '' : row.shown + ''"
                [placeholder]="row.guess ? '~' + row.shown : ''"
                (change)="type(row.method, n.value)"
                #n
              />
            </hy-field>
            <button
              type="button"
              matIconButton
              [attr.aria-label]="'One more: ' + row.name"
              (click)="step(row.method, row.shown + 1)"
            >
              +
            </button>
          </span>
        </li>
      }
      @if (guessed()) {
        <li class="quiet small flex items-center gap-2">
          ~ by her build, not counted: count what you want to take.
        </li>
      }
    </ul>
  `,
  styles: `
    .stepper input {
      text-align: center;
    }
    button {
      font-size: 1.2rem;
    }
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
    else this.wrong.update((w) => ({ ...w, [method]: 'A whole number.' }));
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
        'Counted',
      );
  }
}
