import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Piece } from '@hypogeon/core/botany';
import { FRESH, type MarkState } from './mark-state';
import { POT, PUP, ROOTS, SHAPE } from './shapes';

/**
 * One cutting as one sign: above the line what the air sees, on it the wound as a ring that closes,
 * below it roots. Rot is hatched from the base up, drying an empty dashed outline: told apart by
 * shape first, by colour second.
 */
@Component({
  selector: 'hy-mark',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      viewBox="0 0 64 64"
      [attr.width]="size()"
      [attr.height]="size()"
      [attr.role]="label() ? 'img' : null"
      [attr.aria-label]="label()"
      [attr.aria-hidden]="label() ? null : true"
      [class]="lost() ?? 'alive'"
    >
      @if (state().potted) {
        <path class="pot" [attr.d]="pot.body" />
        <path class="pot" [attr.d]="pot.rim" />
      }
      <g class="roots">
        @for (d of roots(); track d) {
          <path [attr.d]="d" />
        }
      </g>
      <g class="piece">
        @for (d of shape().body; track d) {
          <path [attr.d]="d" />
        }
        @if (state().lost === 'rotted') {
          @for (d of shape().body; track d) {
            <path class="hatch" [attr.d]="d" />
          }
        }
        @if (state().rotBegins) {
          <g clip-path="url(#hy-low)">
            @for (d of shape().body; track d) {
              <path class="hatch" [attr.d]="d" />
            }
          </g>
        }
        @for (d of shape().lines; track d) {
          <path class="line" [attr.d]="d" />
        }
      </g>
      @if (state().pup) {
        <g class="piece pup">
          @for (d of pup.body; track d) {
            <path [attr.d]="d" />
          }
        </g>
      }
      <path class="soil" d="M2 36H62" />
      @if (state().lost === 'lost') {
        <path class="gone" d="M27 31L37 41M37 31L27 41" />
      } @else {
        <circle class="wound" [class.rot]="rotten()" cx="32" cy="36" r="4.6" />
        @if (state().closure >= 1 || rotten()) {
          <circle class="closed" [class.rot]="rotten()" cx="32" cy="36" r="4.6" />
        } @else if (state().closure > 0 && !rotten()) {
          <circle
            class="ring"
            cx="32"
            cy="36"
            r="4.6"
            pathLength="100"
            [attr.stroke-dasharray]="ring()"
            transform="rotate(-90 32 36)"
          />
        }
      }
    </svg>
  `,
  styles: `
    :host {
      display: inline-flex;
    }
    svg {
      display: block;
      overflow: visible;
    }
    path,
    circle {
      stroke-linecap: round;
      stroke-linejoin: round;
    }
    .piece path {
      fill: var(--living-soft);
      stroke: var(--living);
      stroke-width: 2;
    }
    .piece .line {
      fill: none;
      stroke-width: 1.7;
    }
    .roots path {
      fill: none;
      stroke: var(--root);
      stroke-width: 1.9;
    }
    .pot {
      fill: var(--soil-soft);
      stroke: var(--pot);
      stroke-width: 2;
    }
    .soil {
      stroke: var(--ink);
      stroke-width: 1.8;
    }
    .wound {
      fill: var(--paper);
      stroke: var(--hold);
      stroke-width: 1.6;
    }
    .ring {
      fill: none;
      stroke: var(--callus);
      stroke-width: 3.2;
    }
    .closed {
      fill: var(--callus);
      stroke: none;
    }
    .closed.rot,
    .wound.rot {
      fill: var(--rot);
      stroke: var(--rot);
    }
    .rotted .piece path {
      stroke: var(--rot);
      fill: none;
    }
    .rotted .piece .hatch,
    .piece .hatch {
      fill: url(#hy-rot);
      stroke: none;
    }
    .rotted .roots path,
    .dried .roots path,
    .lost .roots path {
      opacity: 0.45;
    }
    .dried .piece path,
    .lost .piece path {
      fill: none;
      stroke: var(--ink2);
      stroke-width: 1.6;
      stroke-dasharray: 2.2 3.4;
    }
    .dried .closed {
      fill: none;
      stroke: var(--callus);
      stroke-width: 1.6;
    }
    .lost .piece path {
      stroke-dasharray: 0.1 4;
    }
    .gone {
      stroke: var(--ink2);
      stroke-width: 2.2;
    }
  `,
})
export class CuttingMark {
  readonly piece = input.required<Piece>();
  readonly state = input<MarkState>(FRESH);
  readonly size = input(48);
  /** Said by a screen reader; without it the mark is decoration beside text. */
  readonly label = input<string>();

  protected readonly pup = PUP;
  protected readonly pot = POT;
  protected readonly shape = computed(() => SHAPE[this.piece()]);
  protected readonly roots = computed(() => ROOTS[this.state().roots]!);
  protected readonly lost = computed(() => this.state().lost);
  protected readonly rotten = computed(
    () => this.state().lost === 'rotted' || this.state().rotBegins,
  );
  protected readonly ring = computed(() => `${this.state().closure * 100} 100`);
}
