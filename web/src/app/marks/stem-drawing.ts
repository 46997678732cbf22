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
import type { CutPiece, SideBranch, Stem } from '@hypogeon/core/plan';
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
const AXIS = 98;
/** Of a leaf at its node, and of the head: a mark's piece so wide. */
const LEAF = 44;
const HEAD = 84;
/** A side branch leans so far from its stem, degrees; thinner than it, its leaves smaller. */
const LEAN = 40;
const THINNER = 0.75;
/** A branch may be so much longer than its stem before the stem is drawn smaller. */
const BRANCH_TO_STEM = 0.9;
/** Room below the soil line, and around a branch's tip. */
const BELOW = 34;
const AROUND = 24;

/** A stem to scale, base at the soil line: nodes, cuts that can be moved, pieces with their arrow, the stump. */
@Component({
  selector: 'hy-stem-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './stem-drawing.html',
  styleUrl: './stem-drawing.scss',
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
  readonly branches = input<readonly SideBranch[]>([]);
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

  /** Of the drawing, for a mm: a branch far longer than its stem is drawn whole too. */
  private readonly scale = computed(
    () =>
      TALL /
      Math.max(
        this.stem().lengthMm,
        ...this.branches().map(({ stem }) => stem.lengthMm / BRANCH_TO_STEM),
      ),
  );

  protected readonly view = computed(() => {
    const { lengthMm, nodesMm, bareMm } = this.stem();
    const scale = this.scale();
    const y = (mm: number): number => BASE - mm * scale;
    const half = Math.min(Math.max((this.widthMm() * scale) / 2, 5), 22);
    const bar = (from: number, to: number): string => barOf(AXIS, half, y(from), y(to));
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
        more: '',
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
              says: `${this.words.length(lowest)},`,
              more: stays,
              arrow: '',
            },
          ]),
    ];
    // Where they stand is not told: even over what lies below the top, in the order they come, shortest first.
    const top = Math.max(this.pieces()[0]?.fromMm ?? lengthMm, lengthMm * 0.4);
    const from = Math.min(Math.max(lowest, lengthMm * 0.12), top * 0.6);
    const step = (top - from) / this.branches().length;
    const branches = this.branches().map((branch, i) =>
      branchAt(branch, { x: AXIS - half, y: y(top - (i + 0.5) * step) }, scale, half * THINNER),
    );
    const x = Math.min(0, ...branches.map((b) => b.tip.x - AROUND));
    const above = Math.min(0, ...branches.map((b) => b.tip.y - AROUND));
    const frame = { x, y: above, wide: WIDTH - x, tall: BASE + BELOW - above };
    return {
      frame,
      share: (wide: number): number => (wide / frame.wide) * 100,
      across: (at: number): number => ((at - frame.x) / frame.wide) * 100,
      down: (at: number): number => ((at - frame.y) / frame.tall) * 100,
      branches,
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

  /** Each branch in a line: the drawing numbers them. */
  protected readonly branchesSay = computed(() =>
    this.branches().map(({ stem, pieces }, i) =>
      say.branch({
        index: i + 1,
        length: this.words.length(stem.lengthMm),
        pieces:
          pieces.length === 0
            ? say.tooShortItStays()
            : say.crownAndSegments({ segments: pieces.length - 1 }),
      }),
    ),
  );

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
    const drawing = this.host.nativeElement.querySelector('svg')!;
    const { height } = drawing.getBoundingClientRect();
    return this.view().frame.tall / Math.max(height, 1) / this.scale();
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

/** A stretch of a stem that stands at `x`, so wide to each side. */
const barOf = (x: number, half: number, from: number, to: number): string =>
  `M${x - half} ${from}V${to}H${x + half}V${from}Z`;

/** A branch as it leans from its stem, with what it is cut into. @param foot where it leaves the stem */
function branchAt(
  { stem, pieces }: SideBranch,
  foot: { readonly x: number; readonly y: number },
  scale: number,
  half: number,
) {
  const y = (mm: number): number => -mm * scale;
  const tooShort = pieces.length === 0;
  const lean = (LEAN / 180) * Math.PI;
  // Its number stands beyond its head.
  const reach = stem.lengthMm * scale + 68;
  return {
    tooShort,
    at: `translate(${foot.x} ${foot.y}) rotate(${-LEAN})`,
    tip: { x: foot.x - Math.sin(lean) * reach, y: foot.y - Math.cos(lean) * reach },
    parts: tooShort
      ? [{ kind: 'stump', d: barOf(0, half, y(0), y(stem.lengthMm)) }]
      : pieces.map((p) => ({ kind: p.kind, d: barOf(0, half, y(p.fromMm), y(p.toMm)) })),
    cuts: pieces.map((p) => `M${-half - 14} ${y(p.fromMm)}h${2 * half + 28}`),
    leaves: stem.nodesMm.map((mm, i) => {
      const side = i % 2 === 0 ? 1 : -1;
      return pieceAt({ x: side * half, y: y(mm) }, LEAF * THINNER, side * 66);
    }),
    crown: pieceAt({ x: 0, y: y(stem.lengthMm) + 3 }, HEAD * THINNER),
  };
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
