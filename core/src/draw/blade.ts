import { FIELD, FINE_FROM, SOIL, type Habit, type Look, type Part } from '../look';
import { fullLook, type FullLook } from './full-look';
import { boxOf, pointsOf, wayOf, type Box, type Point, type Stroke } from './pen';
import { placedPlant } from './plant';

/** Where the blade goes, or where a leaf comes off: a line across, in the field of a drawn plant. */
export interface BladeLine {
  readonly from: Point;
  readonly to: Point;
}

/** Half a line across a stem, in hundredths of the field. */
const ACROSS = 6;
/** More than the eye needs to see where. */
const MOST_LINES = 3;
/** A stem that is shorter than this has no room for a blade. */
const LEAST_STEM = 9;

/** How far along a stem the blade goes: under the top, in the middle, or where a strand is long enough to lie. */
const ALONG: Partial<Readonly<Record<Part, number>>> = { segment: 0.45, trailing: 0.45 };
const UNDER_THE_TOP = 0.68;

/** What is built of joints, whatever it is called that is taken. */
const JOINTED: ReadonlySet<Habit> = new Set(['pads', 'joints', 'sticks']);

type Find = (strokes: readonly Stroke[], look: FullLook, part: Part) => readonly BladeLine[];

/**
 * Where to take a piece off a plant as it is drawn: the very lines a hand follows, on that drawing. Empty of what comes
 * off by itself or from under the ground.
 * @param part the piece that is taken; `offset` of a division, too
 * @returns lines in a field of 100 × 100, at most three, the same for the same figures
 */
export function bladeLines(look: Look, part: Part): readonly BladeLine[] {
  const full = fullLook(look);
  const { strokes } = placedPlant(full, FINE_FROM);
  return (FINDS[part] ?? tops)(strokes, full, part).slice(0, MOST_LINES).map(within);
}

const nothing: Find = () => [];

/** Leaves by their foot: the lowest, farthest out, which a plant gives most easily. */
const feet: Find = (strokes, { fill }) => {
  const leaves = strokes.filter((s) => s.fill === fill && !s.fine && boxOf([s]) !== null);
  const middle = FIELD / 2;
  const out = leaves
    .map((stroke) => ({ stroke, box: boxOf([stroke])! }))
    .sort((a, b) => lowOut(b.box) - lowOut(a.box));
  const left = out.find(({ box }) => centre(box)[0] < middle);
  const right = out.find(({ box }) => centre(box)[0] >= middle);
  return [left, right].flatMap((leaf) => {
    if (!leaf) return [];
    const foot = pointsOf(leaf.stroke)[0]!;
    const [x, y] = centre(leaf.box);
    const size = Math.hypot(leaf.box.right - leaf.box.left, leaf.box.bottom - leaf.box.top);
    const half = Math.min(ACROSS, Math.max(3, size * 0.3));
    return [across(between(foot, [x, y], 0.3), [x - foot[0], y - foot[1]], half)];
  });
};

const lowOut = (box: Box): number => Math.abs(centre(box)[0] - FIELD / 2) + centre(box)[1];

/** A top: across the stems where there are some, under the head where there are none. */
const tops: Find = (strokes, look, part) => {
  if (JOINTED.has(look.habit)) return joints(strokes, look, part);
  const along = ALONG[part] ?? UNDER_THE_TOP;
  const drawn = stemsOf(strokes, look.stem);
  if (drawn.length > 0) return spread(drawn).map((stem) => cutAcross(stem, along));
  const solid = strokes.filter(({ fill, fine }) => fill === look.stem && !fine);
  const trunks = solid.map((s) => boxOf([s])!).filter((b) => b.bottom - b.top >= LEAST_STEM);
  if (trunks.length > 0)
    return spread(trunks).map((box) => level(box, box.bottom - (box.bottom - box.top) * along));
  return underHead(strokes, look, part);
};

/** Columns are cut across where they are thick; all else that has no stem comes off at the ground. */
const underHead: Find = (strokes, look) => {
  const bodies = bodiesOf(strokes, look);
  const box = boxOf(bodies)!;
  if (look.habit === 'column') {
    const tallest = bodies.map((s) => boxOf([s])!).sort((a, b) => a.top - b.top)[0]!;
    return [level(tallest, (tallest.top + Math.min(tallest.bottom, SOIL)) / 2)];
  }
  const half = Math.max(ACROSS, (box.right - box.left) * 0.2);
  const [x] = centre(box);
  const y = Math.min(SOIL, box.bottom) - 2;
  return [{ from: [x - half, y], to: [x + half, y] }];
};

/** Pads, joints and sticks come off at the joint they stand on: where they are nearest to the foot of the plant. */
const joints: Find = (strokes, look) => {
  const root: Point = [FIELD / 2, SOIL];
  const bodies = bodiesOf(strokes, look)
    .map((stroke) => ({ stroke, box: boxOf([stroke])! }))
    .filter(({ box }) => box.bottom < SOIL - 4 && box.bottom - box.top > 6)
    .sort((a, b) => a.box.top - b.box.top);
  if (bodies.length === 0) return underHead(strokes, look, 'crown');
  return bodies.slice(0, 2).map(({ stroke, box }) => {
    const foot = pointsOf(stroke).reduce((a, b) => (distance(b, root) < distance(a, root) ? b : a));
    const [x, y] = centre(box);
    const half = Math.max(4.5, Math.min(box.right - box.left, box.bottom - box.top) * 0.4);
    return across(between(foot, [x, y], 0.12), [x - foot[0], y - foot[1]], half);
  });
};

/** Of a clump of globes one beside comes off; a single one is cut across. */
const balls: Find = (strokes, look, part) =>
  look.habit === 'globe' && look.heads > 1
    ? beside(strokes, look, part)
    : underHead(strokes, look, part);

/** A young one, or a part of a clump: down beside what stays. */
const beside: Find = (strokes) => {
  const box = boxOf(strokes)!;
  const tall = Math.min(SOIL - box.top, 34);
  const x = box.left + (box.right - box.left) * 0.3;
  const foot = Math.min(SOIL, box.bottom) + 3;
  return [{ from: [x - 2, foot - 3 - tall * 0.75], to: [x + 2, foot] }];
};

const FINDS: Partial<Readonly<Record<Part, Find>>> = {
  leaf: feet,
  strap: feet,
  pad: joints,
  ball: balls,
  offset: beside,
  tuber: beside,
  plantlet: nothing,
  bulbil: nothing,
  root: nothing,
  seed: nothing,
  plant: nothing,
};

/** The stems of a drawing that are lines, from their foot to their end. */
function stemsOf(strokes: readonly Stroke[], stem: string): readonly (readonly Point[])[] {
  return strokes
    .filter(({ line, fill, fine, width }) => line === stem && fill === null && !fine && width >= 1)
    .map(wayOf)
    .filter((points) => lengthOf(points) >= LEAST_STEM);
}

const bodiesOf = (strokes: readonly Stroke[], { fill, stem }: FullLook): readonly Stroke[] => {
  const own = strokes.filter((s) => !s.fine && (s.fill === fill || s.fill === stem));
  return own.length > 0 ? own : strokes;
};

const centre = (box: Box): Point => [(box.left + box.right) / 2, (box.top + box.bottom) / 2];

const between = ([ax, ay]: Point, [bx, by]: Point, part: number): Point => [
  ax + (bx - ax) * part,
  ay + (by - ay) * part,
];

const distance = ([ax, ay]: Point, [bx, by]: Point): number => Math.hypot(bx - ax, by - ay);

const lengthOf = (points: readonly Point[]): number =>
  points.slice(1).reduce((sum, p, i) => sum + distance(points[i]!, p), 0);

/** The first, the middle and the last of many. */
function spread<T>(all: readonly T[]): readonly T[] {
  if (all.length <= MOST_LINES) return all;
  return [all[0]!, all[Math.floor(all.length / 2)]!, all.at(-1)!];
}

/** A line level through a body at a height. */
function level(box: Box, y: number): BladeLine {
  const half = Math.max(ACROSS, (box.right - box.left) * 0.62);
  const [x] = centre(box);
  return { from: [x - half, y], to: [x + half, y] };
}

/** A line across a stem, so far along it from its foot. */
function cutAcross(points: readonly Point[], along: number): BladeLine {
  let left = lengthOf(points) * along;
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1]!, points[i]!];
    const long = distance(a, b);
    if (left <= long || i === points.length - 1)
      return across(
        between(a, b, long === 0 ? 0 : Math.min(1, left / long)),
        [b[0] - a[0], b[1] - a[1]],
        ACROSS,
      );
    left -= long;
  }
  return across(points[0]!, [0, -1], ACROSS);
}

/** A line through a place, square to a direction. */
function across([x, y]: Point, [dx, dy]: Point, half: number): BladeLine {
  const long = Math.hypot(dx, dy) || 1;
  const [nx, ny] = [(-dy / long) * half, (dx / long) * half];
  return { from: [x - nx, y - ny], to: [x + nx, y + ny] };
}

const inside = ([x, y]: Point): Point => [
  Math.min(Math.max(x, 1), FIELD - 1),
  Math.min(Math.max(y, 1), FIELD - 1),
];
const within = ({ from, to }: BladeLine): BladeLine => ({ from: inside(from), to: inside(to) });
