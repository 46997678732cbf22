import type { Tone } from '../look';

/** Across to the right, and down. */
export type Point = readonly [x: number, y: number];

interface Step {
  readonly to: 'M' | 'L' | 'C' | 'Z';
  /** One point, three of a curve, none to close. */
  readonly at: readonly Point[];
}

/** Where a point of a drawing comes to stand: `[a, b, c, d, e, f]` puts (x, y) at (a x + c y + e, b x + d y + f), as in SVG. */
export type Turn = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

const AS_DRAWN: Turn = [1, 0, 0, 1, 0, 0];

/** An outline with what it is filled and drawn with. */
export interface Stroke {
  /** As the pen went. */
  readonly steps: readonly Step[];
  /** Where it stands: what is turned and moved many times over is worked out once, when it is put down. */
  readonly turn: Turn;
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
  filled(fill: Tone, more: Partial<Omit<Stroke, 'steps' | 'turn' | 'fill'>> = {}): Stroke {
    return {
      steps: this.steps,
      turn: AS_DRAWN,
      fill,
      line: fill,
      width: 1.2,
      fine: false,
      ...more,
    };
  }

  /** A line alone. */
  drawn(line: Tone, width = 1.2, fine = false): Stroke {
    return { steps: this.steps, turn: AS_DRAWN, fill: null, line, width, fine };
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

/** First as they stand, then by another turn. */
const after = ([a, b, c, d, e, f]: Turn, [a0, b0, c0, d0, e0, f0]: Turn): Turn => [
  a * a0 + c * b0,
  b * a0 + d * b0,
  a * c0 + c * d0,
  b * c0 + d * d0,
  a * e0 + c * f0 + e,
  b * e0 + d * f0 + f,
];

const turned = (strokes: readonly Stroke[], turn: Turn): readonly Stroke[] =>
  strokes.map((stroke) => ({ ...stroke, turn: after(turn, stroke.turn) }));

export const moved = (strokes: readonly Stroke[], dx: number, dy: number): readonly Stroke[] =>
  turned(strokes, [1, 0, 0, 1, dx, dy]);

export const scaled = (strokes: readonly Stroke[], by: number): readonly Stroke[] =>
  turned(strokes, [by, 0, 0, by, 0, 0]);

/** Scaled about a point, which comes to stand at another. */
export const placed = (
  strokes: readonly Stroke[],
  by: number,
  [x, y]: Point,
  [toX, toY]: Point,
): readonly Stroke[] => turned(strokes, [by, 0, 0, by, toX - x * by, toY - y * by]);

/** Turned about a point, degrees with the clock. */
export function rotated(
  strokes: readonly Stroke[],
  degrees: number,
  [x, y]: Point = [0, 0],
): readonly Stroke[] {
  const [sin, cos] = [Math.sin(radians(degrees)), Math.cos(radians(degrees))];
  return turned(strokes, [cos, sin, -sin, cos, x - x * cos + y * sin, y - x * sin - y * cos]);
}

export const mirrored = (strokes: readonly Stroke[]): readonly Stroke[] =>
  turned(strokes, [-1, 0, 0, 1, 0, 0]);

const stand =
  ([a, b, c, d, e, f]: Turn) =>
  ([x, y]: Point): Point => [a * x + c * y + e, b * x + d * y + f];

/** The points of a stroke where they stand, those that pull at curves as well. */
export const pointsOf = ({ steps, turn }: Stroke): readonly Point[] =>
  steps.flatMap(({ at }) => at.map(stand(turn)));

/** The points a stroke goes through, where they stand. */
export const wayOf = ({ steps, turn }: Stroke): readonly Point[] =>
  steps.flatMap(({ at }) => at.slice(-1).map(stand(turn)));

export interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** What holds all points, those that pull at curves as well; null of nothing. */
export function boxOf(strokes: readonly Stroke[]): Box | null {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { steps, turn } of strokes) {
    const [a, b, c, d, e, f] = turn;
    for (const { at } of steps)
      for (const point of at) {
        const x = a * point[0] + c * point[1] + e;
        const y = b * point[0] + d * point[1] + f;
        if (x < left) left = x;
        if (x > right) right = x;
        if (y < top) top = y;
        if (y > bottom) bottom = y;
      }
  }
  return left <= right ? { left, top, right, bottom } : null;
}

/** An outline as SVG tells it. */
export interface Shape {
  readonly d: string;
  readonly fill: Tone | null;
  readonly line: Tone | null;
  readonly width: number;
}

/** To a tenth. Made of two whole numbers, which are written far more quickly than a broken one. */
function short(value: number): string {
  const tenths = Math.round(Math.abs(value) * 10);
  const sign = value < 0 && tenths > 0 ? '-' : '';
  const rest = tenths % 10;
  const whole = (tenths - rest) / 10;
  return rest === 0 ? `${sign}${whole}` : `${sign}${whole}.${rest}`;
}

function pathOf({ steps, turn }: Stroke): string {
  const [a, b, c, d, e, f] = turn;
  let path = '';
  for (const { to, at } of steps) {
    path += to;
    for (let i = 0; i < at.length; i++) {
      const [x, y] = [at[i]![0], at[i]![1]];
      if (i > 0) path += ' ';
      path += `${short(a * x + c * y + e)} ${short(b * x + d * y + f)}`;
    }
  }
  return path;
}

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
