import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { ANY_LOOK } from '@hypogeon/core/botany';
import { drawn, type Look } from '@hypogeon/core/look';
import { DrawingDefs } from './drawing-defs';
import { plantAt } from './standing';
import type { ClumpPart, PartVerdict } from '@hypogeon/core/plan';
import { say } from '@hypogeon/messages/division-drawing';

export interface DrawnPart {
  readonly part: ClumpPart;
  readonly verdict: PartVerdict;
}

const STEP = 118;
const PER_ROW = 3;
const TALL = 190;
const SOIL = 86;
const POT = 84;

/** The parts of a clump, each in the pot it wants, at the depth its pale band shows: above the line fans, below roots. */
@Component({
  selector: 'hy-division-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="view().box" role="img" [attr.aria-label]="view().says">
      @for (one of view().ones; track one.nr) {
        <g [attr.transform]="one.at" [attr.class]="one.is">
          @if (one.is === 'pot') {
            <path class="wall" d="M-42 78H42L34 162H-34Z" />
          }
          @for (root of one.roots; track $index) {
            <path class="root" [attr.d]="root" />
          }
          @for (tuber of one.tubers; track $index) {
            <ellipse class="tuber" [attr.cx]="tuber" [attr.cy]="one.low" rx="9" ry="7" />
          }
          @if (one.rhizome) {
            <path class="rhizome" [attr.d]="one.rhizome" />
          }
          <rect class="pale" x="-3" [attr.y]="soil" width="6" [attr.height]="one.deep" />
          @for (fan of one.fans; track $index) {
            <use class="fan" [attr.href]="drawing()" [attr.transform]="fan" />
          }
          @if (one.cut) {
            <path class="cut" [attr.d]="one.cut" />
          }
          <path class="soil" [attr.d]="'M-46 ' + soil + 'H46'" />
          <text text-anchor="middle" y="182">{{ one.nr }} {{ one.word }}</text>
        </g>
      }
    </svg>
  `,
  styles: `
    :host {
      display: block;
      align-self: start;
    }
    svg {
      display: block;
      width: 100%;
      height: auto;
    }
    .wall {
      fill: var(--root-soft, none);
      stroke: var(--pot);
      stroke-width: 2;
    }
    .root {
      fill: none;
      stroke: var(--root);
      stroke-width: 2;
      stroke-linecap: round;
    }
    .tuber,
    .rhizome {
      fill: var(--callus-soft);
      stroke: var(--callus);
      stroke-width: 1.6;
    }
    .rhizome {
      fill: none;
      stroke-width: 7;
      stroke-linecap: round;
    }
    .pale {
      fill: var(--face);
      stroke: var(--living);
      stroke-width: 1.4;
    }
    .leave .fan {
      opacity: 0.45;
    }
    .cut {
      stroke: var(--do);
      stroke-width: 2.4;
    }
    .soil {
      stroke: var(--ink);
      stroke-width: 2;
    }
    text {
      font: 650 13px var(--text-face);
      fill: var(--ink);
    }
  `,
})
export class DivisionDrawing {
  readonly parts = input.required<readonly DrawnPart[]>();
  /** What stands over the soil line is drawn as. */
  readonly look = input<Look>(ANY_LOOK);
  private readonly defs = inject(DrawingDefs);
  protected readonly drawing = computed(
    () => `#${this.defs.plant(drawn(this.look(), 'plant'), 60)}`,
  );
  protected readonly soil = SOIL;

  protected readonly view = computed(() => {
    const parts = this.parts();
    const ones = parts.map(({ part, verdict }, i) => {
      const pots = verdict.is === 'pot';
      const deep = pots ? Math.min(8 + (part.paleMm ?? 10) / 3, 30) : 10;
      const low = SOIL + deep + 4;
      const fans = Math.min(part.points, 3);
      return {
        nr: i + 1,
        is: verdict.is,
        word: pots ? '' : say.stays(),
        at: `translate(${(i % PER_ROW) * STEP + STEP / 2} ${Math.floor(i / PER_ROW) * TALL})`,
        deep,
        low,
        fans: Array.from({ length: fans }, (_, n) =>
          plantAt({ x: (n - (fans - 1) / 2) * 24, y: SOIL }, fans > 1 ? 48 : 64),
        ),
        tubers: Array.from({ length: Math.min(part.tubers, 3) }, (_, n) => (n - 1) * 16 + 8),
        roots: rootsOf(part.roots, low),
        rhizome: part.joined === 'rhizome' || part.rhizomeMm !== null ? `M-22 ${low}H10` : null,
        cut: part.joined === 'by itself' ? null : `M-30 ${low - 8}l8 16`,
      };
    });
    const rows = Math.max(1, Math.ceil(parts.length / PER_ROW));
    return {
      box: `0 0 ${STEP * PER_ROW} ${TALL * rows}`,
      ones,
      says: say.parts({
        partsCount: parts.length,
        what: ones.map((o) => `${o.nr} ${o.is === 'pot' ? say.toPot() : say.stays()}`).join(', '),
      }),
    };
  });
}

function rootsOf(roots: ClumpPart['roots'], low: number): readonly string[] {
  const spread = { none: [], few: [-10, 8], brush: [-24, -12, 0, 12, 24] }[roots];
  const long = POT - (low - SOIL) - 14;
  return spread.map(
    (x) => `M${x / 4} ${low}C${x / 2} ${low + long / 3} ${x} ${low + long / 2} ${x} ${low + long}`,
  );
}
