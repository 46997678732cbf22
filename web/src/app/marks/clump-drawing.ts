import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

export interface DrawnOffset {
  readonly sizeMm: number;
  readonly ownRoots: boolean;
  readonly is: 'take' | 'wait' | 'leave';
}

const WIDTH = 380;
const SOIL = 220;
const HEIGHT = 300;
const GAP = 8;
/** More than these are told in the list only. */
const MOST = 14;
const WORD = { take: 'take', wait: 'wait', leave: 'leave' } as const;

/** A mother and her young ones to scale on the soil line; what is to be taken stands out, roots hang below. */
@Component({
  selector: 'hy-clump-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view(); as v) {
      <svg [attr.viewBox]="'0 0 ' + width + ' ' + height" role="img" [attr.aria-label]="v.says">
        @for (root of v.roots; track $index) {
          <path class="root" [attr.d]="root" />
        }
        <path class="mother" [attr.d]="v.mother" />
        @for (one of v.ones; track one.nr) {
          <path [attr.class]="'one ' + one.is" [attr.d]="one.d" />
          <text [attr.x]="one.x" [attr.y]="soil + 46" text-anchor="middle">{{ one.nr }}</text>
          <text class="word" [attr.x]="one.x" [attr.y]="soil + 62" text-anchor="middle">
            {{ one.word }}
          </text>
        }
        <path class="soil" [attr.d]="'M0 ' + soil + 'H' + width" />
      </svg>
    }
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
    .mother {
      fill: var(--living-soft);
      stroke: var(--living);
      stroke-width: 1.8;
      stroke-linejoin: round;
    }
    .one {
      stroke: var(--living);
      stroke-width: 1.8;
      stroke-linejoin: round;
    }
    .one.take {
      fill: var(--living);
    }
    .one.wait {
      fill: var(--living-soft);
      stroke-dasharray: 4 3;
    }
    .one.leave {
      fill: none;
      stroke-dasharray: 2 3;
    }
    .root {
      fill: none;
      stroke: var(--root);
      stroke-width: 2;
      stroke-linecap: round;
    }
    .soil {
      stroke: var(--ink);
      stroke-width: 2;
    }
    text {
      font: 650 13px var(--text-face);
      fill: var(--ink);
    }
    .word {
      font-weight: 400;
      fill: var(--ink2);
      font-size: 12px;
    }
  `,
})
export class ClumpDrawing {
  readonly motherMm = input.required<number>();
  readonly offsets = input.required<readonly DrawnOffset[]>();
  readonly pads = input(false);

  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;
  protected readonly soil = SOIL;

  protected readonly view = computed(() => {
    const offsets = this.offsets().slice(0, MOST);
    const total = this.motherMm() + offsets.reduce((sum, o) => sum + Math.max(o.sizeMm, 1), 0);
    const room = WIDTH - GAP * (offsets.length + 2);
    const scale = Math.min(room / total, 190 / Math.max(this.motherMm(), 1));
    const shape = this.pads() ? pad : rosette;
    // The mother stands in the middle, the young ones to her left and right by turns.
    const left = offsets.flatMap((o, i) => (i % 2 === 0 ? [{ o, nr: i + 1 }] : [])).reverse();
    const right = offsets.flatMap((o, i) => (i % 2 === 1 ? [{ o, nr: i + 1 }] : []));
    const all = [...left, null, ...right];
    const size = (item: (typeof all)[number]): number =>
      Math.max((item ? item.o.sizeMm : this.motherMm()) * scale, 14);
    const wide = all.reduce((sum, item) => sum + size(item) + GAP, -GAP);
    let at = (WIDTH - wide) / 2;
    const placed = all.map((item) => {
      const d = size(item);
      const x = at + d / 2;
      at += d + GAP;
      return { item, x, d };
    });
    const ones = placed.flatMap(({ item, x, d }) =>
      item ? [{ nr: item.nr, is: item.o.is, word: WORD[item.o.is], x, d: shape(x, d) }] : [],
    );
    const mother = placed.find((p) => p.item === null)!;
    return {
      mother: shape(mother.x, mother.d),
      ones,
      roots: placed
        .filter((p) => p.item === null || p.item.o.ownRoots)
        .flatMap(({ x, d }) => {
          const r = Math.min(d / 3, 26);
          return [
            `M${x} ${SOIL}c${-r / 3} ${r / 2} ${-r} ${r * 0.6} ${-r} ${r}`,
            `M${x} ${SOIL}v${r * 1.1}`,
            `M${x} ${SOIL}c${r / 3} ${r / 2} ${r} ${r * 0.6} ${r} ${r}`,
          ];
        }),
      says: `The mother and ${offsets.length} young ones: ${offsets
        .map((o, i) => `${i + 1} ${WORD[o.is]}`)
        .join(', ')}.`,
    };
  });
}

/** A rosette or ball sitting on the soil, `d` across. */
function rosette(x: number, d: number): string {
  const r = d / 2;
  const leaf = (angle: number, long: number): string => {
    const rad = (angle * Math.PI) / 180;
    const [tx, ty] = [x + Math.sin(rad) * long, SOIL - Math.cos(rad) * long];
    const side = r * 0.24;
    const [nx, ny] = [Math.cos(rad) * side, Math.sin(rad) * side];
    const [mx, my] = [x + Math.sin(rad) * long * 0.6, SOIL - Math.cos(rad) * long * 0.6];
    return `M${x} ${SOIL}Q${mx - nx} ${my - ny} ${tx} ${ty}Q${mx + nx} ${my + ny} ${x} ${SOIL}Z`;
  };
  return [-84, -60, -34, 34, 60, 84, 0].map((a) => leaf(a, a === 0 ? r * 1.15 : r)).join('');
}

/** A pad standing on its joint, `d` tall. */
function pad(x: number, d: number): string {
  const half = d * 0.32;
  return `M${x - d * 0.06} ${SOIL}C${x - half * 1.5} ${SOIL - d * 0.35} ${x - half} ${SOIL - d} ${x} ${SOIL - d}C${x + half} ${SOIL - d} ${x + half * 1.5} ${SOIL - d * 0.35} ${x + d * 0.06} ${SOIL}Z`;
}
