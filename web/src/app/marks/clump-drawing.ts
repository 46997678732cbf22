import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { ANY_LOOK } from '@hypogeon/core/botany';
import { drawn, type Look } from '@hypogeon/core/look';
import { say } from '@hypogeon/messages/clump-drawing';
import { DrawingDefs } from './drawing-defs';
import { pieceAt, plantAt } from './standing';

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
const WORD = {
  get take() {
    return say.take();
  },
  get wait() {
    return say.wait();
  },
  get leave() {
    return say.leave();
  },
};

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
        <use [attr.href]="drawings().mother" [attr.transform]="v.mother" />
        @for (one of v.ones; track one.nr) {
          <use
            [attr.class]="'one ' + one.is"
            [attr.href]="drawings().one"
            [attr.transform]="one.at"
          />
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
    .one.wait {
      opacity: 0.6;
    }
    .one.leave {
      opacity: 0.3;
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
  /** What mother and young are drawn as. */
  readonly look = input<Look>(ANY_LOOK);
  private readonly defs = inject(DrawingDefs);
  protected readonly drawings = computed(() => ({
    mother: `#${this.defs.plant(drawn(this.look(), 'plant'), 160)}`,
    one: `#${this.defs.piece(drawn(this.look(), this.pads() ? 'pad' : 'offset'), 60)}`,
  }));

  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;
  protected readonly soil = SOIL;

  protected readonly view = computed(() => {
    const offsets = this.offsets().slice(0, MOST);
    const total = this.motherMm() + offsets.reduce((sum, o) => sum + Math.max(o.sizeMm, 1), 0);
    const room = WIDTH - GAP * (offsets.length + 2);
    const scale = Math.min(room / total, 190 / Math.max(this.motherMm(), 1));
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
      item
        ? [
            {
              nr: item.nr,
              is: item.o.is,
              word: WORD[item.o.is],
              x,
              at: pieceAt({ x, y: SOIL }, d),
            },
          ]
        : [],
    );
    const mother = placed.find((p) => p.item === null)!;
    return {
      mother: plantAt({ x: mother.x, y: SOIL }, mother.d),
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
      says: say.theMotherAndYoung({
        offsetsCount: offsets.length,
        offsets: offsets.map((o, i) => `${i + 1} ${WORD[o.is]}`).join(', '),
      }),
    };
  });
}
