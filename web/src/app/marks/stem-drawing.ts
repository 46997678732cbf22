import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  output,
} from '@angular/core';
import { ANY_LOOK } from '@hypogeon/core/botany';
import { drawn, type Look } from '@hypogeon/core/look';
import type { CutPiece, Stem } from '@hypogeon/core/plan';
import { inSentence } from '@hypogeon/messages';
import { say } from '@hypogeon/messages/stem-drawing';
import { Words } from '../data/words';
import { follow } from './drag';
import { DrawingDefs } from './drawing-defs';
import { pieceAt } from './standing';

const WIDTH = 360;
const TOP = 68;
const TALL = 430;
const BASE = TOP + TALL;
const AXIS = 118;
/** Of a leaf at its node, and of the head: a mark's piece so wide. */
const LEAF = 44;
const HEAD = 84;

/** A stem to scale, base at the soil line: nodes, cuts that can be moved, pieces with their arrow, the stump. */
@Component({
  selector: 'hy-stem-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view(); as v) {
      <svg
        [attr.viewBox]="'0 0 ' + width + ' ' + (base + 34)"
        role="img"
        [attr.aria-label]="says()"
      >
        @for (leaf of leafy() ? v.leaves : []; track $index) {
          <use
            [class.stays]="leaf.stays"
            [attr.href]="drawings().leaf"
            [attr.transform]="leaf.at"
          />
        }
        @if (leafy()) {
          <use [attr.href]="drawings().crown" [attr.transform]="v.crown" />
        }
        @for (part of v.parts; track $index) {
          <path [attr.class]="'part ' + part.kind" [class.wrong]="part.wrong" [attr.d]="part.d" />
          @if (part.arrow) {
            <path class="arrow" [attr.d]="part.arrow" />
          }
        }
        @for (node of nodesShown() ? v.nodes : []; track $index) {
          <path
            class="node"
            [attr.d]="'M' + (axis - v.half - 3) + ' ' + node + 'h' + (2 * v.half + 6)"
          />
        }
        @for (part of v.parts; track $index) {
          <text
            [attr.x]="axis + 66"
            [attr.y]="part.middle - 2"
            class="name"
            [class.wrong]="part.wrong"
          >
            {{ part.name }}
          </text>
          <text [attr.x]="axis + 66" [attr.y]="part.middle + 14">{{ part.says }}</text>
        }
        @for (cut of v.cuts; track cut.index) {
          <path class="cut" [attr.d]="'M' + (axis - 56) + ' ' + cut.y + 'H' + (axis + 56)" />
        }
        @if (!loose()) {
          <path class="soil" [attr.d]="'M0 ' + base + 'H' + width" />
          <path class="roots" [attr.d]="v.roots" />
        }
      </svg>
      @if (movesNodes()) {
        @for (node of stem().nodesMm; track $index) {
          <div
            class="handle knob"
            role="slider"
            tabindex="0"
            [class.right]="$index % 2 === 1"
            [style.top.%]="(v.nodes[$index]! / (base + 34)) * 100"
            [attr.aria-label]="say.nodeFromTheBase({ index: $index + 1 })"
            [attr.aria-valuenow]="round(node)"
            aria-valuemin="0"
            [attr.aria-valuemax]="round(stem().lengthMm)"
            [attr.aria-valuetext]="say.aboveTheBase({ length: words.length(node) })"
            aria-orientation="vertical"
            (pointerdown)="gripNode($event, $index)"
            (keydown)="keyNode($event, $index)"
          >
            <i></i>
          </div>
        }
      }
      @for (cut of movesNodes() ? [] : v.cuts; track cut.index) {
        <div
          class="handle"
          role="slider"
          tabindex="0"
          [style.top.%]="(cut.y / (base + 34)) * 100"
          [attr.aria-label]="say.cutFromTheTop({ index: cut.index + 1 })"
          [attr.aria-valuenow]="cut.mm"
          aria-valuemin="0"
          [attr.aria-valuemax]="stem().lengthMm"
          [attr.aria-valuetext]="say.aboveTheBase({ length: words.length(cut.mm) })"
          aria-orientation="vertical"
          (pointerdown)="grip($event, cut.index)"
          (keydown)="key($event, cut.index)"
        >
          <i></i>
        </div>
      }
    }
  `,
  styles: `
    :host {
      display: block;
      position: relative;
      align-self: start;
    }
    svg {
      display: block;
      width: 100%;
      height: auto;
    }
    .stays {
      opacity: 0.55;
    }
    .part {
      stroke: var(--living);
      stroke-width: 2;
      stroke-linejoin: round;
    }
    .part.crown {
      fill: var(--living);
    }
    .part.segment {
      fill: var(--living-soft);
    }
    .part.stump {
      fill: var(--soil);
      stroke: var(--root);
    }
    .part.wrong {
      stroke: var(--do);
      stroke-dasharray: 4 3;
    }
    .arrow {
      fill: none;
      stroke: var(--ink);
      stroke-width: 1.8;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
    .node {
      stroke: var(--ink);
      stroke-width: 1;
      opacity: 0.55;
    }
    .cut {
      stroke: var(--do);
      stroke-width: 2;
      stroke-dasharray: 6 3;
    }
    .soil {
      stroke: var(--ink);
      stroke-width: 2;
    }
    .roots {
      fill: none;
      stroke: var(--root);
      stroke-width: 2.4;
      stroke-linecap: round;
    }
    text {
      font: 12.5px var(--text-face);
      fill: var(--ink2);
    }
    .name {
      font-weight: 650;
      fill: var(--ink);
    }
    .name.wrong {
      fill: var(--do);
    }
    .handle {
      position: absolute;
      left: 6%;
      width: 44%;
      height: 44px;
      margin-top: -22px;
      cursor: ns-resize;
      touch-action: none;
      display: grid;
      align-items: center;
      justify-items: start;
    }
    .knob {
      left: 8%;
      width: 25%;
    }
    .knob.right {
      left: 27%;
      width: 22%;
      justify-items: end;
    }
    .handle i {
      width: 20px;
      height: 20px;
      border-radius: 50%;
      border: 2px solid var(--do);
      background: var(--face);
    }
  `,
})
export class StemDrawing {
  protected readonly say = say;

  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly words = inject(Words);
  private readonly defs = inject(DrawingDefs);
  readonly stem = input.required<Stem>();
  readonly widthMm = input(8);
  readonly cuts = input.required<readonly number[]>();
  /** From the top; each with what is wrong with it, if anything. */
  readonly pieces =
    input.required<readonly (CutPiece & { readonly problem: string; readonly says: string })[]>();
  /** A smooth column has marks, not nodes, and nothing to draw at them. */
  readonly nodesShown = input(true);
  readonly leafy = input(true);
  /** Handles move the nodes instead of the cuts. */
  readonly movesNodes = input(false);
  /** It lies on the table: no soil, no roots, and no stump that stays. */
  readonly loose = input(false);
  readonly nodesMoved = output<readonly number[]>();
  /** Heights of the cuts after one was moved, from the top. */
  readonly moved = output<readonly number[]>();

  /** What its leaves and its head are drawn as. */
  readonly look = input<Look>(ANY_LOOK);
  protected readonly drawings = computed(() => ({
    leaf: `#${this.defs.piece(drawn(this.look(), 'leaf'), 60)}`,
    crown: `#${this.defs.piece(drawn(this.look(), 'crown'), 90)}`,
  }));

  protected readonly width = WIDTH;
  protected readonly base = BASE;
  protected readonly axis = AXIS;

  protected readonly view = computed(() => {
    const { lengthMm, nodesMm, bareMm } = this.stem();
    const scale = TALL / lengthMm;
    const y = (mm: number): number => BASE - mm * scale;
    const half = Math.min(Math.max((this.widthMm() * scale) / 2, 5), 22);
    const bar = (from: number, to: number): string =>
      `M${AXIS - half} ${y(from)}V${y(to)}H${AXIS + half}V${y(from)}Z`;
    // Of a loose stem the base may be a piece like the others.
    const lowest = this.pieces().at(-1)?.fromMm === 0 ? 0 : (this.cuts().at(-1) ?? lengthMm);
    const stays = this.loose() ? say.leftOver() : say.staysAndBreaksAgain();
    const parts = [
      ...this.pieces().map((p) => ({
        kind: p.kind,
        wrong: p.problem !== '',
        d: bar(p.fromMm, p.toMm),
        middle: (y(p.fromMm) + y(p.toMm)) / 2,
        name: p.kind === 'segment' ? say.segment() : this.leafy() ? say.crown() : say.tip(),
        says: p.problem || p.says,
        arrow: arrow(
          (y(p.fromMm) + y(p.toMm)) / 2,
          Math.min(16, ((p.toMm - p.fromMm) * scale) / 3),
        ),
      })),
      ...(lowest === 0
        ? []
        : [
            {
              kind: 'stump',
              wrong: false,
              d: bar(0, lowest),
              middle: (y(0) + y(lowest)) / 2,
              name: this.loose() ? say.base() : say.stump(),
              says: `${this.words.length(lowest)}, ${stays}`,
              arrow: '',
            },
          ]),
    ];
    return {
      half,
      parts,
      nodes: nodesMm.map(y),
      leaves: nodesMm.flatMap((mm, i) => {
        if (bareMm && mm >= bareMm.from && mm <= bareMm.to) return [];
        const side = i % 2 === 0 ? 1 : -1;
        const at = { x: AXIS + side * half, y: y(mm) };
        return [{ stays: mm < lowest, at: pieceAt(at, LEAF, side * 66) }];
      }),
      crown: pieceAt({ x: AXIS, y: y(lengthMm) + 4 }, HEAD),
      roots: `M${AXIS} ${BASE}c-4 10 -16 14 -30 24M${AXIS} ${BASE}v28M${AXIS} ${BASE}c4 10 16 14 30 24`,
      cuts: this.cuts().map((mm, index) => ({ mm: Math.round(mm), index, y: y(mm) })),
    };
  });

  protected readonly says = computed(() => {
    const pieces = this.pieces().map(
      (p) =>
        `${inSentence(p.kind === 'segment' ? say.segment() : say.crown())}, ${this.words.length(p.toMm - p.fromMm)}`,
    );
    return say.aStemOfCut({
      length: this.words.length(this.stem().lengthMm),
      pieces: pieces.join('; '),
      what: this.loose() ? '' : say.andAStump(),
    });
  });

  protected grip(event: PointerEvent, index: number): void {
    const start = this.cuts();
    const perPixel = this.mmPerPixel();
    follow(event, (_dx, dy) => this.shift(start, index, -dy * perPixel));
  }

  protected key(event: KeyboardEvent, index: number): void {
    const by = stepOf(event);
    if (by !== null) this.shift(this.cuts(), index, by);
  }

  protected gripNode(event: PointerEvent, index: number): void {
    const start = this.stem().nodesMm;
    const perPixel = this.mmPerPixel();
    follow(event, (_dx, dy) => this.shiftNode(start, index, -dy * perPixel));
  }

  protected keyNode(event: KeyboardEvent, index: number): void {
    const by = stepOf(event);
    if (by !== null) this.shiftNode(this.stem().nodesMm, index, by);
  }

  protected round(mm: number): number {
    return Math.round(mm);
  }

  private mmPerPixel(): number {
    const { height } = this.host.nativeElement.getBoundingClientRect();
    return ((BASE + 34) / Math.max(height, 1)) * (this.stem().lengthMm / TALL);
  }

  /** A node stays between its neighbours. */
  private shiftNode(start: readonly number[], index: number, byMm: number): void {
    const above = start[index + 1] ?? this.stem().lengthMm;
    const below = index === 0 ? 0 : start[index - 1]!;
    const to = Math.min(Math.max(start[index]! + byMm, below + 1), above - 1);
    this.nodesMoved.emit(start.map((n, i) => (i === index ? to : n)));
  }

  /** A cut stays between its neighbours. */
  private shift(start: readonly number[], index: number, byMm: number): void {
    const above = index === 0 ? this.stem().lengthMm : start[index - 1]!;
    const below = start[index + 1] ?? 0;
    const to = Math.min(Math.max(start[index]! + byMm, below + 2), above - 2);
    this.moved.emit(start.map((c, i) => (i === index ? to : c)));
  }
}

/** How far a key moves a handle, mm; null for other keys. */
function stepOf(event: KeyboardEvent): number | null {
  const by = {
    ArrowUp: 1,
    ArrowRight: 1,
    ArrowDown: -1,
    ArrowLeft: -1,
    PageUp: 10,
    PageDown: -10,
  }[event.key];
  if (by === undefined) return null;
  event.preventDefault();
  return by;
}

function arrow(middle: number, reach: number): string {
  return `M${AXIS} ${middle + reach}V${middle - reach}M${AXIS - 4} ${middle - reach + 5}L${AXIS} ${middle - reach}L${AXIS + 4} ${middle - reach + 5}`;
}
