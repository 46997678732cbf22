import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Outcome } from '@hypogeon/core/rehearse';

const STEP = 13;
const PER_ROW = 20;
const BAR = 260;
const KINDS = ['rooted', 'waiting', 'dried', 'rotted'] as const;
type Kind = (typeof KINDS)[number];

/** Of a hundred cuttings so many of each fate, told apart by shape: above the line leaves, below it roots; and a bar. */
@Component({
  selector: 'hy-icon-array',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg class="block w-full h-auto" viewBox="0 0 262 104" aria-hidden="true">
      @for (one of marks(); track $index) {
        <g [attr.class]="one.kind" [attr.transform]="one.at">
          @switch (one.kind) {
            @case ('rooted') {
              <path class="leaf" d="M0 0Q-4-5 0-8Q4-5 0 0Z" />
              <path class="root" d="M0 0V5M0 1L-3 4M0 1L3 4" />
            }
            @case ('waiting') {
              <path class="leaf" d="M0 0Q-4-5 0-8Q4-5 0 0Z" />
            }
            @case ('dried') {
              <path d="M0 0Q-4-5 0-8Q4-5 0 0Z" />
            }
            @case ('rotted') {
              <path d="M-3-7L3 0M3-7L-3 0" />
            }
          }
        </g>
      }
      @for (part of bar(); track part.kind) {
        <rect
          [attr.class]="part.kind"
          y="93"
          height="9"
          [attr.x]="part.x"
          [attr.width]="part.wide"
        />
      }
    </svg>
  `,
  styles: `
    path {
      fill: none;
      stroke: var(--ink2);
      stroke-width: 1.3;
    }
    .leaf {
      fill: var(--living-soft);
      stroke: var(--living);
    }
    .rooted .leaf {
      fill: var(--living);
    }
    .root {
      stroke: var(--root);
    }
    rect {
      fill: none;
      stroke: var(--ink2);
    }
    rect.rooted {
      fill: var(--living);
      stroke: var(--living);
    }
    rect.waiting {
      fill: var(--living-soft);
      stroke: var(--living);
    }
    rect.dried {
      stroke-dasharray: 2 1.6;
    }
    rect.rotted {
      fill: var(--rot);
      stroke: var(--rot);
    }
    .dried path {
      stroke-dasharray: 2 1.6;
    }
    .rotted path {
      stroke: var(--rot);
      stroke-width: 2;
    }
  `,
})
export class IconArray {
  readonly outcome = input.required<Outcome>();

  private readonly counts = computed(() => {
    const { rooted, waiting, dried, rotted } = this.outcome();
    return hundredOf([rooted.share, waiting.share, dried.share, rotted.share]);
  });

  /** The same as one bar, in the same order. */
  protected readonly bar = computed(() => {
    let x = 1;
    return KINDS.map((kind, i) => {
      const part = { kind, x, wide: (BAR * this.counts()[i]!) / 100 };
      x += part.wide;
      return part;
    }).filter((part) => part.wide > 0);
  });

  protected readonly marks = computed(() => {
    const counts = this.counts();
    return KINDS.flatMap((kind, i) => Array<Kind>(counts[i]!).fill(kind)).map((kind, i) => ({
      kind,
      at: `translate(${(i % PER_ROW) * STEP + 7} ${Math.floor(i / PER_ROW) * 17 + 11})`,
    }));
  });
}

/** A hundred marks, shared out by the largest remainders; nothing where there is nothing. */
export function hundredOf(shares: readonly number[]): readonly number[] {
  const total = shares.reduce((s, v) => s + v, 0);
  if (total === 0) return shares.map(() => 0);
  const exact = shares.map((v) => (100 * v) / total);
  const whole = exact.map(Math.floor);
  const rest = 100 - whole.reduce((s, v) => s + v, 0);
  const order = exact
    .map((v, i) => i)
    .sort((a, b) => exact[b]! - whole[b]! - (exact[a]! - whole[a]!));
  for (const i of order.slice(0, rest)) whole[i]!++;
  return whole;
}
