import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatRipple } from '@angular/material/core';
import type { Drawn, Part } from '@hypogeon/core/look';
import { CuttingMark } from '../marks/cutting-mark';

/** One way to take cuttings, as it is laid under the others. */
export interface WayRow {
  readonly id: string;
  readonly pieces: readonly (Drawn | Part)[];
  readonly name: string;
  /** `best for this`, `first by little`, `poor`; empty for neither. */
  readonly badge: string;
  /** How many: `take 43`; empty where nobody asked for a number. */
  readonly take: string;
  /** Where it lies on the common scale, eight times in ten; null where nothing can be said. */
  readonly bar: { readonly low: number; readonly likely: number; readonly high: number } | null;
  /** `about 41` or `84% live`, and its range. */
  readonly gives: string;
  readonly range: string;
  readonly ready: string;
  /** Not enough, or not in time. */
  readonly short: boolean;
}

/** The ways of one mother on one scale: one is chosen by a tap. */
@Component({
  selector: 'hy-way-rows',
  imports: [CuttingMark, MatRipple],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (row of rows(); track row.id) {
      <button
        type="button"
        matRipple
        [class.short]="row.short"
        [attr.aria-label]="said(row)"
        [attr.aria-pressed]="row.id === chosen()"
        (click)="choose.emit(row)"
      >
        <span class="marks">
          @for (piece of row.pieces; track $index) {
            <hy-mark [piece]="piece" [size]="row.pieces.length > 1 ? 26 : 36" />
          }
        </span>
        <span class="name">
          <strong>{{ row.name }}</strong>
          <small>
            @if (row.badge) {
              <b [class.best]="row.badge !== 'poor'">{{ row.badge }}</b>
              {{ row.take ? ' · ' : '' }}
            }
            {{ row.take }}
          </small>
        </span>
        <span class="bar" aria-hidden="true">
          @if (row.bar; as b) {
            <i
              class="range"
              [style.left.%]="at(b.low)"
              [style.width.%]="at(b.high) - at(b.low)"
            ></i>
            <i class="likely" [style.left.%]="at(b.likely)"></i>
          }
          @if (target(); as t) {
            <i class="target" [style.left.%]="at(t)"></i>
          }
        </span>
        <span class="gives">
          <strong>{{ row.gives }}</strong>
          <small>{{ row.range }}</small>
        </span>
        <small class="ready">{{ row.ready }}</small>
      </button>
    }
  `,
  styles: `
    :host {
      display: block;
      border-top: 1px solid var(--line);
    }
    button {
      display: grid;
      grid-template-columns:
        3.4rem minmax(7rem, 1.1fr) minmax(4rem, 1fr) minmax(5.6rem, auto)
        8.2rem;
      align-items: center;
      gap: 0.2rem 0.7rem;
      width: 100%;
      min-height: 54px;
      padding: 0.25rem 0.5rem;
      text-align: left;
      border: 0;
      border-bottom: 1px solid var(--line);
      border-left: 4px solid transparent;
      background: transparent;
      color: var(--ink);
      font: inherit;
      line-height: 1.25;
      cursor: pointer;
    }
    button:hover {
      background: var(--face);
    }
    button[aria-pressed='true'] {
      border-left-color: var(--living);
      background: var(--living-soft);
    }
    .marks {
      display: flex;
      flex-wrap: wrap;
    }
    .name,
    .gives {
      display: grid;
      min-width: 0;
    }
    small {
      color: var(--ink2);
      font-size: 0.875rem;
    }
    button[aria-pressed='true'] small {
      color: var(--ink);
    }
    .best {
      color: var(--living);
      font-weight: 650;
    }
    .bar {
      position: relative;
      height: 22px;
      i {
        position: absolute;
        top: 50%;
        translate: 0 -50%;
      }
      &::before {
        content: '';
        position: absolute;
        inset: 9px 0;
        border-radius: 2px;
        background: var(--line);
      }
    }
    .range {
      height: 12px;
      min-width: 3px;
      background: var(--living-soft);
      border: 1px solid var(--living);
    }
    .likely {
      width: 4px;
      height: 20px;
      margin-left: -2px;
      background: var(--living);
    }
    .target {
      width: 2px;
      height: 22px;
      margin-left: -1px;
      background: var(--do);
    }
    @media (max-width: 760px) {
      button {
        grid-template-columns: 2.8rem minmax(0, 1fr) auto;
        padding-block: 0.5rem;
      }
      .bar {
        grid-column: 1 / span 2;
        grid-row: 2;
      }
      .ready {
        grid-column: 3;
        grid-row: 2;
        text-align: right;
      }
    }
  `,
})
export class WayRows {
  readonly rows = input.required<readonly WayRow[]>();
  readonly chosen = input.required<string>();
  /** The scale ends here. */
  readonly most = input.required<number>();
  /** So many are wanted. */
  readonly target = input<number | null>(null);
  readonly choose = output<WayRow>();

  /** The row as one sentence, where it is not seen. */
  protected said({ name, badge, take, gives, range, ready }: WayRow): string {
    return [name, badge, take, gives, range, ready].filter(Boolean).join(', ');
  }

  protected at(n: number): number {
    return (100 * Math.min(Math.max(n, 0), this.most())) / this.most();
  }
}
