import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatRipple } from '@angular/material/core';
import type { Drawn, Part } from '@hypogeon/core/look';
import { CuttingMark } from '../marks/cutting-mark';

/** One way to take cuttings, as it is laid beside the others. */
export interface WayCard {
  readonly id: string;
  readonly pieces: readonly (Drawn | Part)[];
  readonly name: string;
  /** `best for this`, `first by little`, `poor`; empty for neither. */
  readonly badge: string;
  /** How many: `43`, `6 + 2 + 34`; empty where nobody asked for a number. */
  readonly take: string;
  readonly lines: readonly string[];
  readonly ready: string;
  readonly quiet: string;
  /** Why it cannot be taken; empty where it can. */
  readonly refused: string;
}

/** The ways of one mother side by side: one is chosen by a tap. */
@Component({
  selector: 'hy-way-cards',
  imports: [CuttingMark, MatRipple],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: {
    class: 'grid grid-cols-[repeat(auto-fill,minmax(13.5rem,1fr))] gap-3 max-[480px]:grid-cols-1',
  },
  template: `
    @for (card of cards(); track card.id) {
      <button
        type="button"
        matRipple
        [class.refused]="card.refused"
        [attr.aria-pressed]="card.id === chosen()"
        (click)="choose.emit(card)"
      >
        <span class="top flex items-center gap-1 w-full min-h-10">
          @for (piece of card.pieces; track $index) {
            <hy-mark [piece]="piece" [size]="38" />
          }
          @if (card.badge) {
            <small class="badge" [class.best]="card.badge !== 'poor'">{{ card.badge }}</small>
          }
        </span>
        <strong class="headline text-base">{{ card.name }}</strong>
        @if (card.take) {
          <b class="headline text-2xl">{{ card.take }}</b>
        }
        @for (line of card.lines; track $index) {
          <span>{{ line }}</span>
        }
        @if (card.ready) {
          <span class="ready mt-1">{{ card.ready }}</span>
        }
        @if (card.refused) {
          <span class="why text-do small">{{ card.refused }}</span>
        }
        @if (card.quiet) {
          <small>{{ card.quiet }}</small>
        }
      </button>
    }
  `,
  styles: `
    button {
      display: flex;
      flex-direction: column;
      gap: 0.15rem;
      align-items: flex-start;
      text-align: left;
      padding: 0.7rem 0.9rem 0.8rem;
      border: 1px solid var(--line);
      border-radius: 6px;
      background: var(--face);
      color: var(--ink);
      font: inherit;
      line-height: 1.3;
      cursor: pointer;
    }
    button[aria-pressed='true'] {
      border-color: var(--living);
      box-shadow: inset 0 0 0 1px var(--living);
      background: var(--living-soft);
    }
    .refused {
      background: transparent;
      border-style: dashed;
    }
    .badge {
      margin-left: auto;
      padding: 0.1rem 0.6rem;
      border-radius: 1rem;
      border: 1px solid var(--line);
      white-space: nowrap;
    }
    .badge.best {
      border-color: var(--living);
      color: var(--living);
      font-weight: 650;
    }
    span:not(.top, .ready, .why),
    small {
      color: var(--ink2);
      font-size: 0.9rem;
    }
    button[aria-pressed='true'] :is(span, small):not(.badge) {
      color: var(--ink);
    }
  `,
})
export class WayCards {
  readonly cards = input.required<readonly WayCard[]>();
  readonly chosen = input.required<string>();
  readonly choose = output<WayCard>();
}
