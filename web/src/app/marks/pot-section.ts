import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Drawn, Part } from '@hypogeon/core/look';
import { porosity, waterBetween, type FilledPot } from '@hypogeon/core/media';
import { say } from '@hypogeon/messages/pot-section';
import { Words } from '../data/words';
import { CuttingMark } from './cutting-mark';
import { grainsIn } from './grains';
import { FRESH } from './mark-state';

/** How wet a pot is by depth, against drained; each layer from the surface down. */
export interface DepthWetness {
  readonly toMm: number;
  readonly wetness: number;
}

const WIDTH = 300;
const AIR = 74;
const FOOT_ROOM = 30;
const SIDE = 46;
const SLICES = 28;

/**
 * A pot cut through, to scale: grains at their own size, the soggy layer, the drying top, and how deep the
 * stem stands. The soil line runs on beyond the pot.
 */
@Component({
  selector: 'hy-pot-section',
  imports: [CuttingMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view(); as v) {
      <svg [attr.viewBox]="'0 0 ' + v.width + ' ' + v.height" role="img" [attr.aria-label]="says()">
        <defs>
          <clipPath [attr.id]="id"><path [attr.d]="v.bed" /></clipPath>
        </defs>
        <g [attr.clip-path]="'url(#' + id + ')'">
          <path class="ground" [attr.d]="v.bed" />
          @for (slice of v.slices; track slice.y) {
            <rect
              class="wet"
              x="0"
              [attr.width]="v.width"
              [attr.y]="slice.y"
              [attr.height]="slice.tall"
              [attr.opacity]="slice.wet"
            />
          }
          @for (grain of v.grains; track grain.id) {
            <path
              class="grain"
              [attr.d]="grain.d"
              [attr.fill]="grain.tone"
              [class.fine]="grain.fine"
            />
          }
          @for (slice of v.slices; track slice.y) {
            <rect
              class="film"
              x="0"
              [attr.width]="v.width"
              [attr.y]="slice.y"
              [attr.height]="slice.tall"
              [attr.opacity]="slice.wet * 0.42"
            />
          }
          @if (v.pool > 0) {
            <rect
              class="pool"
              x="0"
              [attr.width]="v.width"
              [attr.y]="v.base - v.pool"
              [attr.height]="v.pool"
            />
          }
        </g>
        <path [attr.class]="'wall ' + wall()" [attr.d]="v.wall" />
        @for (hole of v.holes; track hole) {
          <path class="hole" [attr.d]="'M' + (hole - 4) + ' ' + (v.base + 1) + 'h8'" />
        }
        @for (edge of v.torn; track edge) {
          <path class="torn" [attr.d]="edge" />
        }
        @if (v.foot !== null) {
          <path class="foot" [attr.d]="'M' + v.inLeft + ' ' + v.foot + 'H' + (v.width - 2)" />
        }
        <path
          class="soil"
          [attr.d]="
            'M0 ' + v.soil + 'H' + v.outLeft + 'M' + v.outRight + ' ' + v.soil + 'H' + v.width
          "
        />
        @for (tick of v.ticks; track tick.y) {
          <path class="tick" [attr.d]="'M2 ' + tick.y + 'h' + (tick.says ? 9 : 5)" />
          @if (tick.says && !$first) {
            <text class="scale" x="14" [attr.y]="tick.y + 4">{{ tick.says }}</text>
          }
        }
        @if (v.stem !== null) {
          <path class="stem" [attr.d]="'M' + v.middle + ' ' + v.soil + 'V' + v.stem" />
        }
      </svg>
      @if (piece(); as p) {
        <hy-mark
          class="cutting"
          [piece]="p"
          [state]="mark"
          [size]="60"
          [style.left.%]="(v.middle / v.width) * 100"
          [style.top.%]="(v.soil / v.height) * 100"
        />
      }
      @if (v.foot !== null) {
        <span class="label" [style.top.%]="(v.foot / v.height) * 100">{{
          say.soggyLayer({ length: words.depth(footMm()) })
        }}</span>
      }
    }
  `,
  styles: `
    :host {
      display: block;
      position: relative;
    }
    svg {
      display: block;
      width: 100%;
      height: auto;
      overflow: visible;
    }
    .ground {
      fill: var(--soil-soft);
    }
    .wet {
      fill: var(--water);
    }
    .film {
      fill: var(--water);
      mix-blend-mode: multiply;
    }
    :host-context([data-theme='lamp']) .film {
      mix-blend-mode: color;
    }
    .grain {
      stroke: rgb(20 20 18 / 45%);
      stroke-width: 0.7;
    }
    .grain.fine {
      stroke: none;
    }
    .pool {
      fill: var(--water);
      opacity: 0.75;
    }
    .wall {
      fill: none;
      stroke: var(--ink2);
      stroke-width: 3;
      stroke-linejoin: round;
      stroke-linecap: round;
    }
    .wall.clay {
      stroke: var(--pot);
      stroke-width: 6;
    }
    .wall.glazed {
      stroke: var(--pot);
      stroke-width: 4;
    }
    .wall.glass {
      stroke: var(--water);
      stroke-width: 2.5;
    }
    .hole {
      stroke: var(--paper);
      stroke-width: 7;
    }
    .torn {
      fill: none;
      stroke: var(--paper);
      stroke-width: 5;
    }
    .foot {
      stroke: var(--water);
      stroke-width: 1.6;
      stroke-dasharray: 5 4;
    }
    .soil {
      stroke: var(--ink);
      stroke-width: 2;
    }
    .stem {
      stroke: var(--living);
      stroke-width: 4;
      stroke-linecap: round;
    }
    .tick {
      stroke: var(--ink2);
      stroke-width: 1;
    }
    .scale {
      font: 11px var(--text-face);
      fill: var(--ink2);
    }
    .cutting {
      position: absolute;
      /* The mark's own soil line, at 36 of 64, lies on ours. */
      transform: translate(-50%, -56.25%);
    }
    .label {
      position: absolute;
      right: 0;
      transform: translateY(-115%);
      font-size: 0.8rem;
      color: var(--water);
      font-weight: 600;
      background: var(--paper);
      padding-inline: 0.2rem;
      border-radius: 2px;
    }
  `,
})
export class PotSection {
  protected readonly say = say;

  protected readonly words = inject(Words);
  readonly pot = input.required<FilledPot>();
  /** The state of the day; drained where it is left out. */
  readonly layers = input<readonly DepthWetness[]>();
  readonly stemMm = input<number>();
  readonly piece = input<Drawn | Part>();
  readonly poolMl = input(0);
  /** A short one for rows of several pots. */
  readonly scaleMm = input<number>();
  /** Trays wider than this are cut off, with a torn edge. */
  readonly widestMm = input(170);

  protected readonly id = `pot-${++count}`;
  protected readonly mark = { ...FRESH, closure: 1 };
  protected readonly wall = computed(() => this.pot().container.wall);
  protected readonly footMm = computed(() => this.pot().footMm);

  protected readonly view = computed(() => {
    const { container, depthMm, footMm, medium, correction } = this.pot();
    const shown = Math.min(container.topMm, this.widestMm());
    const lost = container.topMm - shown;
    const tallest = Math.max(container.heightMm, 60);
    const scale = Math.min(
      (WIDTH - 2 * SIDE) / Math.max(shown, this.scaleMm() ?? 0),
      210 / Math.max(tallest, this.scaleMm() ?? 0),
    );
    const middle = WIDTH / 2;
    const air = this.piece() ? AIR : 22;
    const rim = air;
    const base = rim + container.heightMm * scale;
    const soil = base - depthMm * scale;
    const half = (y: number): number => {
      const share = (base - y) / (container.heightMm * scale);
      const width = container.bottomMm + (container.topMm - container.bottomMm) * share - lost;
      return (width * scale) / 2;
    };
    const left = (y: number): number => middle - half(y);
    const right = (y: number): number => middle + half(y);
    const wall =
      lost > 0
        ? `M${left(base)} ${base}H${right(base)}`
        : `M${left(rim)} ${rim}L${left(base)} ${base}H${right(base)}L${right(rim)} ${rim}`;
    const bed = `M${left(soil)} ${soil}L${left(base)} ${base}H${right(base)}L${right(soil)} ${soil}Z`;
    const most = porosity(medium, correction);
    const slices = Array.from({ length: SLICES }, (_, i) => {
      const from = (i / SLICES) * depthMm;
      const to = ((i + 1) / SLICES) * depthMm;
      const drained = waterBetween(medium, depthMm - to, depthMm - from, correction) / most;
      return {
        y: soil + from * scale,
        tall: (to - from) * scale + 0.5,
        wet: Math.min(1, drained * this.wetnessAt((from + to) / 2)) * 0.85,
      };
    });
    const holes = container.holes ? [-0.5, 0, 0.5].map((x) => middle + x * half(base)) : [];
    const torn =
      lost > 0 ? [left(soil) + 1, right(soil) - 1].map((x) => zigzag(x, soil - 6, base + 5)) : [];
    const stemMm = this.stemMm();
    return {
      width: WIDTH,
      height: base + FOOT_ROOM,
      middle,
      soil,
      base,
      bed,
      wall,
      slices,
      holes,
      torn,
      inLeft: left(base - footMm * scale),
      outLeft: left(soil) - 3,
      outRight: right(soil) + 3,
      foot: footMm >= depthMm * 0.98 ? null : base - footMm * scale,
      stem: stemMm === undefined ? null : soil + Math.min(stemMm, depthMm) * scale,
      pool: (this.poolMl() / Math.max(this.pot().litres * 1000, 1)) * depthMm * scale,
      grains: grainsIn({ top: soil, bottom: base, left, right }, medium.parts, scale),
      ticks: this.ticks(depthMm).map(({ mm, says }) => ({ y: soil + mm * scale, says })),
    };
  });

  protected readonly says = computed(() => {
    const { container, water, air, footMm, medium } = this.pot();
    const mix = medium.parts.map((p) => p.component.name).join(', ');
    return say.cutThroughFilledWith({
      name: container.name,
      mix,
      percent: this.words.percent(water),
      percent2: this.words.percent(air),
      length: this.words.depth(footMm),
    });
  });

  /** Every centimetre, each fifth with its figure; or every half inch, each whole one with its figure. */
  private ticks(depthMm: number): readonly { readonly mm: number; readonly says: string }[] {
    const inches = this.words.lengthUnit() === 'in';
    const [step, named] = inches ? [12.7, 2] : [10, 5];
    return Array.from({ length: Math.floor(depthMm / step) + 1 }, (_, n) => {
      const says = inches ? this.words.depth(n * step) : say.cm({ cm: n });
      return { mm: n * step, says: n % named === 0 ? says : '' };
    });
  }

  private wetnessAt(depthMm: number): number {
    const layers = this.layers();
    if (!layers) return 1;
    return (layers.find((l) => l.toMm >= depthMm) ?? layers.at(-1))?.wetness ?? 1;
  }
}

let count = 0;

function zigzag(x: number, from: number, to: number): string {
  const steps = Math.max(3, Math.round((to - from) / 9));
  let d = `M${x} ${from}`;
  for (let i = 1; i <= steps; i++)
    d += `L${x + (i % 2 === 0 ? -3 : 3)} ${from + ((to - from) * i) / steps}`;
  return d;
}
