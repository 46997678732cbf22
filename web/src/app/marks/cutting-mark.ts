import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { ANY_LOOK } from '@hypogeon/core/botany';
import { drawn, type Drawn, type Part } from '@hypogeon/core/look';
import { DrawingDefs } from './drawing-defs';
import { FRESH, type MarkState } from './mark-state';
import { POT, PUP, ROOTS } from './shapes';

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
      <use class="piece" [attr.href]="href()" />
      @if (state().rotBegins) {
        <use class="hatch" clip-path="url(#hy-low)" [attr.href]="href()" />
      }
      @if (state().pup) {
        <g class="pup">
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
    .pup path {
      fill: var(--living-soft);
      stroke: var(--living);
      stroke-width: 2;
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
    .rotted .piece,
    .hatch {
      --mark-fill: url(#hy-rot);
      --mark-line: var(--rot);
    }
    .rotted .roots path,
    .dried .roots path,
    .lost .roots path {
      opacity: 0.45;
    }
    .dried .piece,
    .lost .piece {
      --mark-fill: var(--paper);
      --mark-line: var(--ink2);
      --mark-dash: 2.2 3.4;
    }
    .dried .closed {
      fill: none;
      stroke: var(--callus);
      stroke-width: 1.6;
    }
    .lost .piece {
      --mark-dash: 0.1 4;
    }
    .gone {
      stroke: var(--ink2);
      stroke-width: 2.2;
    }
  `,
})
export class CuttingMark {
  private readonly defs = inject(DrawingDefs);
  /** The piece of that very plant; a word alone is a piece of any plant. */
  readonly piece = input.required<Drawn | Part>();
  readonly state = input<MarkState>(FRESH);
  readonly size = input(48);
  /** Said by a screen reader; without it the mark is decoration beside text. */
  readonly label = input<string>();

  protected readonly pup = PUP;
  protected readonly pot = POT;
  protected readonly href = computed(() => {
    const piece = this.piece();
    const is = typeof piece === 'string' ? drawn(ANY_LOOK, piece) : piece;
    return `#${this.defs.piece(is, this.size())}`;
  });
  protected readonly roots = computed(() => ROOTS[this.state().roots]!);
  protected readonly lost = computed(() => this.state().lost);
  protected readonly rotten = computed(
    () => this.state().lost === 'rotted' || this.state().rotBegins,
  );
  protected readonly ring = computed(() => `${this.state().closure * 100} 100`);
}
