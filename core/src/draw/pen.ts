import type { Tone } from '../look';

/** Across to the right, and down. */
export type Point = readonly [x: number, y: number];

interface Step {
  readonly to: 'M' | 'L' | 'C' | 'Z';
  /** One point, three of a curve, none to close. */
  readonly at: readonly Point[];
}

/** An outline with what it is filled and drawn with. */
export interface Stroke {
  readonly steps: readonly Step[];
  readonly fill: Tone | null;
  /** Null where it has no outline. */
  readonly line: Tone | null;
  /** Width of its line on the screen, whatever the size. */
  readonly width: number;
  /** Left out where the drawing is small. */
  readonly fine: boolean;
}

/** Draws one outline, point by point. */
export class Pen {
  private readonly steps: Step[] = [];

  move(at: Point): this {
    this.steps.push({ to: 'M', at: [at] });
    return this;
  }

  line(...all: readonly Point[]): this {
    for (const at of all) this.steps.push({ to: 'L', at: [at] });
    return this;
  }

  curve(a: Point, b: Point, at: Point): this {
    this.steps.push({ to: 'C', at: [a, b, at] });
    return this;
  }

  close(): this {
    this.steps.push({ to: 'Z', at: [] });
    return this;
  }

  /** A filled body with its outline in its own ink, or in another. */
  filled(fill: Tone, more: Partial<Omit<Stroke, 'steps' | 'fill'>> = {}): Stroke {
    return { steps: this.steps, fill, line: fill, width: 1.2, fine: false, ...more };
  }

  /** A line alone. */
  drawn(line: Tone, width = 1.2, fine = false): Stroke {
    return { steps: this.steps, fill: null, line, width, fine };
  }
}

/** How far a quarter of a circle bows. */
const BOW = 0.5523;

export function ellipse([x, y]: Point, rx: number, ry: number): Pen {
  const [bx, by] = [rx * BOW, ry * BOW];
  return new Pen()
    .move([x - rx, y])
    .curve([x - rx, y - by], [x - bx, y - ry], [x, y - ry])
    .curve([x + bx, y - ry], [x + rx, y - by], [x + rx, y])
    .curve([x + rx, y + by], [x + bx, y + ry], [x, y + ry])
    .curve([x - bx, y + ry], [x - rx, y + by], [x - rx, y])
    .close();
}

/** A smooth line through points. Source: Catmull & Rom 1974, as cubic curves. */
export function through(points: readonly Point[]): Pen {
  const pen = new Pen().move(points[0]!);
  for (let i = 0; i + 1 < points.length; i++) {
    const [before, from, to, after] = [i - 1, i, i + 1, i + 2].map(
      (k) => points[Math.min(Math.max(k, 0), points.length - 1)]!,
    ) as [Point, Point, Point, Point];
    pen.curve(
      [from[0] + (to[0] - before[0]) / 6, from[1] + (to[1] - before[1]) / 6],
      [to[0] - (after[0] - from[0]) / 6, to[1] - (after[1] - from[1]) / 6],
      to,
    );
  }
  return pen;
}

export type Turn = (at: Point) => Point;

export const turned = (strokes: readonly Stroke[], turn: Turn): readonly Stroke[] =>
  strokes.map((stroke) => ({
    ...stroke,
    steps: stroke.steps.map((step) => ({ ...step, at: step.at.map(turn) })),
  }));

export const moved = (strokes: readonly Stroke[], dx: number, dy: number): readonly Stroke[] =>
  turned(strokes, ([x, y]) => [x + dx, y + dy]);

export const scaled = (strokes: readonly Stroke[], by: number): readonly Stroke[] =>
  turned(strokes, ([x, y]) => [x * by, y * by]);

/** Turned about a point, degrees with the clock. */
export function rotated(
  strokes: readonly Stroke[],
  degrees: number,
  [cx, cy]: Point = [0, 0],
): readonly Stroke[] {
  const [sin, cos] = [Math.sin((degrees * Math.PI) / 180), Math.cos((degrees * Math.PI) / 180)];
  return turned(strokes, ([x, y]) => [
    cx + (x - cx) * cos - (y - cy) * sin,
    cy + (x - cx) * sin + (y - cy) * cos,
  ]);
}

export const mirrored = (strokes: readonly Stroke[]): readonly Stroke[] =>
  turned(strokes, ([x, y]) => [-x, y]);

export interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** What holds all points, those that pull at curves as well; null of nothing. */
export function boxOf(strokes: readonly Stroke[]): Box | null {
  let box: { left: number; top: number; right: number; bottom: number } | null = null;
  for (const { steps } of strokes)
    for (const { at } of steps)
      for (const [x, y] of at) {
        box ??= { left: x, top: y, right: x, bottom: y };
        if (x < box.left) box.left = x;
        if (x > box.right) box.right = x;
        if (y < box.top) box.top = y;
        if (y > box.bottom) box.bottom = y;
      }
  return box;
}

/** An outline as SVG tells it. */
export interface Shape {
  readonly d: string;
  readonly fill: Tone | null;
  readonly line: Tone | null;
  readonly width: number;
}

const short = (value: number): string => `${Math.round(value * 10) / 10}`;

const pathOf = ({ steps }: Stroke): string =>
  steps
    .map(({ to, at }) => `${to}${at.map(([x, y]) => `${short(x)} ${short(y)}`).join(' ')}`)
    .join('');

/**
 * Strokes as SVG tells them, those behind first. What follows one another in the same way and is a fill or a line alone
 * (the dots of a leaf, its bands, the spines of a rib) is one shape: a page has thousands of them.
 */
export function shapesOf(strokes: readonly Stroke[], fine: boolean): readonly Shape[] {
  const out: Shape[] = [];
  for (const stroke of strokes) {
    if (stroke.fine && !fine) continue;
    const { fill, line, width } = stroke;
    const last = out.at(-1);
    const alike =
      last?.fill === fill &&
      last.line === line &&
      last.width === width &&
      (fill === null || line === null);
    if (alike) out[out.length - 1] = { ...last, d: last.d + pathOf(stroke) };
    else out.push({ d: pathOf(stroke), fill, line, width });
  }
  return out;
}

/** A small number of its own for every place in a drawing, −½ to ½: leaves are not soldiers. */
export function wobble(n: number): number {
  const x = Math.sin(n * 12.9898 + 4.1414) * 43758.5453;
  return x - Math.floor(x) - 0.5;
}

export const radians = (degrees: number): number => (degrees * Math.PI) / 180;
