import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { Piece } from '@hypogeon/core/botany';
import { stepCount, stillOpen, type Batch, type Counts } from '@hypogeon/core/journal';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH, type MarkState } from '../marks/mark-state';

export type Counted = keyof Counts;

interface Key {
  readonly outcome: Counted;
  readonly name: string;
  readonly says: string;
  readonly mark: MarkState;
}

export const TALLY_KEYS: readonly Key[] = [
  {
    outcome: 'rooted',
    name: 'Rooted',
    says: 'holds against a light tug',
    mark: { ...FRESH, closure: 1, roots: 2 },
  },
  {
    outcome: 'pupped',
    name: 'With pups',
    says: 'rooted, and a new plant shows',
    mark: { ...FRESH, closure: 1, roots: 2, pup: true },
  },
  {
    outcome: 'rotted',
    name: 'Rotted',
    says: 'soft, dark or wet at the base',
    mark: { ...FRESH, closure: 1, lost: 'rotted' },
  },
  {
    outcome: 'dried',
    name: 'Dried up',
    says: 'crisp, with nothing below',
    mark: { ...FRESH, closure: 1, lost: 'dried' },
  },
  {
    outcome: 'lost',
    name: 'Lost otherwise',
    says: 'knocked over, eaten, given away',
    mark: { ...FRESH, lost: 'lost' },
  },
];

export interface CountStep {
  readonly outcome: Counted;
  readonly by: 1 | -1;
}

/** The counts after a step; null where it cannot be. */
export function afterStep(batch: Batch, counts: Counts, { outcome, by }: CountStep): Counts | null {
  return stepCount(counts, outcome, by, stillOpen(batch, counts));
}

/** The keys of a count: one more by a tap, one less beside it, or the number typed. */
@Component({
  selector: 'hy-tally-keys',
  imports: [CuttingMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="share" aria-hidden="true">
      @for (key of keys; track key.outcome) {
        <i [class]="key.outcome" [style.flex-grow]="counts()[key.outcome]"></i>
      }
      <i class="waiting" [style.flex-grow]="open()"></i>
    </div>
    <ol>
      @for (key of keys; track key.outcome) {
        <li>
          <hy-mark [piece]="piece()" [state]="key.mark" [size]="52" />
          <div class="name">
            <strong>{{ key.name }}</strong>
            <span>{{ key.says }}</span>
          </div>
          <span
            class="last quiet"
            [attr.aria-label]="'at the last count ' + batch().counts[key.outcome]"
          >
            was {{ batch().counts[key.outcome] }}
          </span>
          <button
            type="button"
            class="minus"
            (click)="add(key.outcome, -1)"
            [disabled]="counts()[key.outcome] === 0"
            [attr.aria-label]="'One less ' + key.name"
          >
            −
          </button>
          <input
            inputmode="numeric"
            [attr.aria-label]="key.name"
            [value]="counts()[key.outcome]"
            (change)="type(key.outcome, field.value)"
            #field
          />
          <button
            type="button"
            class="plus"
            (click)="add(key.outcome, 1)"
            [attr.aria-label]="'One more ' + key.name"
          >
            + <kbd>{{ $index + 1 }}</kbd>
          </button>
        </li>
      }
    </ol>
  `,
  styleUrl: './tally-keys.scss',
})
export class TallyKeys {
  readonly batch = input.required<Batch>();
  readonly piece = input.required<Piece>();
  readonly counts = input.required<Counts>();
  /** One more or one less: worked out by whoever holds the counts, for taps come faster than the screen. */
  readonly stepped = output<CountStep>();
  readonly counted = output<Counts>();

  protected readonly keys = TALLY_KEYS;
  protected readonly open = computed(() => stillOpen(this.batch(), this.counts()));

  protected add(outcome: Counted, by: 1 | -1): void {
    this.stepped.emit({ outcome, by });
  }

  protected type(outcome: Counted, text: string): void {
    const count = Number(text);
    if (Number.isInteger(count) && count >= 0)
      this.counted.emit({ ...this.counts(), [outcome]: count });
  }
}

/** The outcome a number key stands for; null for other keys. */
export function outcomeOfKey(event: KeyboardEvent): Counted | null {
  return TALLY_KEYS[Number(event.code.replace(/^(Digit|Numpad)/, '')) - 1]?.outcome ?? null;
}
