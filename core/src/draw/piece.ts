import { globe, joints, pad, trunk } from './cactus';
import { frond } from './fronds';
import { strand } from './hanging';
import { leaf } from './leaf';
import { fullLook, type FullLook } from './full-look';
import { FINE_FROM, type Habit, type Look } from '../look';
import type { Part, Piece } from '../look';
import {
  boxOf,
  ellipse,
  moved,
  Pen,
  placed,
  rotated,
  shapesOf,
  through,
  type Shape,
  type Stroke,
} from './pen';
import { plantStrokes } from './plant';
import { grounded, head, type Detail } from './rosette';
import { stem } from './stems';
import { stonePair } from './stones';
import { fan, straps } from './upright';
import { sticks, tuft } from './woody';

type Draw = (look: FullLook, detail: Detail) => readonly Stroke[];

const standing = (
  look: FullLook,
  height: number,
  over: Partial<FullLook>,
  detail: Detail,
): readonly Stroke[] => stem({ ...look, ...over }, { from: [0, 0], lean: 0, height }, detail);

/** A length of bare stem to stand on. */
const stub = (look: FullLook, height: number): Stroke =>
  new Pen()
    .move([-0.045, 0])
    .line([-0.045, -height], [0.045, -height], [0.045, 0])
    .close()
    .filled(look.stem);

/** One leaf on its foot, as it was twisted off. */
const oneLeaf: Draw = (look, { fine }) => {
  const wide = Math.min(
    Math.max(look.habit === 'straps' ? look.wide * 1.4 : look.wide, 0.09),
    0.95,
  );
  return leaf(look, { x: 0, y: 0, angle: 6, length: 1, width: wide, bend: look.bend * 0.4 }, fine);
};

/** A length cut across at both ends, with the arrow that says which end was up. */
const section: Draw = (look, { fine }) => {
  const half = look.habit === 'fan' ? 0.26 : Math.min(Math.max(look.wide * 1.5, 0.12), 0.34);
  const out: Stroke[] = [
    new Pen()
      .move([-half * 0.86, 0])
      .line([-half, -0.96])
      .curve([-half * 0.5, -1.02], [half * 0.5, -1.02], [half, -0.96])
      .line([half * 0.86, 0])
      .close()
      .filled(look.fill, { line: look.edge ?? look.fill, width: 1.5 }),
  ];
  if (fine && look.mark && look.markTone)
    for (const y of [-0.24, -0.5, -0.76])
      out.push(
        new Pen()
          .move([-half * 0.8, y])
          .curve([-half * 0.3, y - 0.05], [half * 0.3, y + 0.04], [half * 0.8, y])
          .drawn(look.markTone, 1.4, true),
      );
  out.push(
    new Pen()
      .move([0, -0.22])
      .line([0, -0.7])
      .move([-half * 0.45, -0.52])
      .line([0, -0.7], [half * 0.45, -0.52])
      .drawn(look.fill, 1.5),
  );
  return out;
};

/** The growing top, by how the plant is built. */
const TOP: Readonly<Record<Habit, Draw>> = {
  rosette: (look, detail) => [stub(look, 0.2), ...raised(head(look, detail), 0.16)],
  stalked: (look, detail) => [stub(look, 0.4), ...raised(head(look, detail), 0.36)],
  fan,
  straps: (look, detail) =>
    straps({ ...look, below: undefined, count: Math.min(look.count, 4) }, detail),
  column: (look, { fine }) => trunk(look, [0, 0], Math.max(look.wide * 1.6, 0.3), 1, fine),
  globe: (look, detail) => globe({ ...look, heads: 1 }, detail),
  pads: (look, { fine }) => pad(look, { x: 0, y: 0, angle: 0, length: 1 }, fine),
  joints: (look, detail) =>
    joints({ ...look, heads: 1, count: Math.min(look.count, 2), flower: undefined }, detail),
  shrub: (look, { fine }) => [
    stub(look, 0.5),
    ...tuft(
      look,
      [0, -0.55],
      0,
      { count: Math.max(look.count, 3), long: 0.5, wide: look.wide },
      fine,
    ),
  ],
  tree: (look, { fine }) => [
    stub(look, 0.55),
    ...tuft(look, [0, -0.55], 0, { count: 3, long: 0.5, wide: look.wide }, fine),
  ],
  sticks: (look, detail) =>
    sticks(
      { ...look, heads: 1, count: 3, wide: Math.max(look.wide, 0.08), flower: undefined },
      detail,
    ),
  stacked: (look, detail) =>
    standing(look, 1, { count: Math.min(look.count, 7), long: 0.34 }, detail),
  mat: (look, detail) => standing(look, 1, { count: 5, long: 0.42, leaves: 'pairs' }, detail),
  herb: (look, detail) => standing(look, 1, { count: Math.min(look.count, 4), long: 0.44 }, detail),
  trail: (look, detail) => lying(look, detail),
  climber: (look, detail) => standing(look, 1, { count: 3, long: 0.4, leaves: 'pairs' }, detail),
  fronds: (look, detail) => frond({ ...look, count: 5, long: 0.3 }, { lean: 6, height: 1 }, detail),
  stones: stonePair,
};

const raised = (strokes: readonly Stroke[], by: number): readonly Stroke[] =>
  moved(strokes, 0, -by);

/** A strand as it is laid: rising a little, its leaves on both sides. */
const lying: Draw = (look, detail) =>
  rotated(
    strand(
      { ...look, count: 6, long: Math.min(0.34, Math.max(look.long * 2.4, 0.2)) },
      { from: [0, 0], length: 1, out: 0, seed: 2 },
      detail,
    ),
    158,
  );

/** A piece of stem without its top: some leaves at the side, cut across above. */
const length: Draw = (look, { fine }) => {
  const wide = Math.min(look.wide, 0.75);
  const out: Stroke[] = [stub({ ...look }, 0.95)];
  for (const [y, side] of [
    [-0.3, -1],
    [-0.52, 1],
    [-0.74, -1],
  ] as const)
    out.push(
      ...leaf(
        look,
        {
          x: 0.03 * side,
          y,
          angle: side * 62,
          length: 0.46,
          width: 0.46 * wide,
          bend: look.bend * side,
        },
        fine,
      ),
    );
  return out;
};

/** A young one on its runner. */
const young: Draw = (look, detail) => {
  const small = { ...look, heads: 1, flower: undefined, count: Math.min(look.count, 14) };
  const body =
    look.habit === 'rosette' || look.habit === 'stalked'
      ? grounded(head(small, detail))
      : TOP[look.habit](small, detail);
  return [
    through([
      [-0.75, -0.06],
      [-0.35, 0.06],
      [0, 0],
    ]).drawn(look.stem, 2),
    ...body,
  ];
};

const PIECE: Readonly<Record<Piece, Draw>> = {
  leaf: oneLeaf,
  strap: section,
  crown: (look, detail) => TOP[look.habit](look, detail),
  segment: (look, detail) =>
    look.habit === 'column'
      ? TOP.column(look, detail)
      : look.habit === 'sticks'
        ? TOP.sticks(look, detail)
        : length(look, detail),
  ball: (look, detail) => globe({ ...look, heads: 1 }, detail),
  pad: (look, detail) =>
    look.habit === 'joints' || look.habit === 'sticks'
      ? TOP[look.habit](look, detail)
      : TOP.pads(look, detail),
  column: (look, detail) =>
    look.habit === 'column' ? TOP.column(look, detail) : TOP[look.habit](look, detail),
  offset: young,
  trailing: (look, detail) =>
    look.habit === 'climber' ? TOP.climber(look, detail) : lying(look, detail),
  stacked: (look, detail) => TOP[look.habit](look, detail),
  fan: (look, detail) => TOP[look.habit](look, detail),
  branch: (look, detail) => TOP[look.habit](look, detail),
  'bare-branch': (look, detail) => TOP[look.habit](look, detail),
  stone: stonePair,
  tuber: (look, detail) => [
    ellipse([0, -0.03], 0.3, 0.13).filled('wood'),
    ...raised(TOP[look.habit](look, detail), 0.08),
  ],
  plantlet: (look, { fine }) =>
    [-62, 62, -24, 24].flatMap((angle) =>
      leaf(look, { x: 0, y: 0, angle, length: 0.7, width: 0.7 * Math.min(look.wide, 0.6) }, fine),
    ),
  bulbil: (look, { fine }) => [
    ellipse([0, -0.2], 0.24, 0.24).filled(look.fill),
    ...leaf(look, { x: 0, y: -0.36, angle: -14, length: 0.5, width: 0.18 }, fine),
    ...leaf(look, { x: 0, y: -0.36, angle: 18, length: 0.42, width: 0.16 }, fine),
  ],
  root: () => [
    through([
      [-0.12, 0],
      [-0.2, -0.4],
      [-0.02, -0.75],
      [0.06, -1],
    ]).drawn('wood', 6),
    through([
      [0.1, 0],
      [0.14, -0.3],
      [0.3, -0.6],
    ]).drawn('wood', 3),
  ],
  seed: () =>
    [-0.4, -0.12, 0.16, 0.42].map((x, i) =>
      ellipse([x, -0.1 - 0.05 * (i % 2)], 0.1, 0.07).filled('wood'),
    ),
};

/** The field of a mark: so many across and down, what grows above the line at {@link LINE}. */
export const MARK_FIELD = 64;
export const LINE = 36;
const ROOM = { across: 54, above: 32.5 };

/**
 * A piece of a plant as its figures have it, standing with its wound on the line of a mark.
 * @param size px on the screen
 * @returns shapes in a field of 64 × 64, all above the line but what is under the ground
 */
export function drawPiece(look: Look, part: Part, size: number): readonly Shape[] {
  const full = fullLook(look);
  const fine = size >= FINE_FROM;
  const strokes = part === 'plant' ? plantStrokes(full, { fine }) : PIECE[part](full, { fine });
  const box = boxOf(strokes)!;
  const scale = Math.min(
    ROOM.across / Math.max(box.right - box.left, 0.1),
    ROOM.above / Math.max(-box.top, 0.1),
  );
  const hangs = part === 'plant' && full.habit === 'trail';
  const by = hangs ? Math.min(scale, ROOM.above / (box.bottom - box.top)) : scale;
  // Its wound is in the middle; where it leans it may not leave the field.
  const middle = part === 'plant' ? (box.left + box.right) / 2 : 0;
  const most = MARK_FIELD / 2 - 3;
  const shift =
    Math.min(0, most - (box.right - middle) * by) + Math.max(0, -most - (box.left - middle) * by);
  const line = hangs ? LINE - box.bottom * by : LINE;
  return shapesOf(placed(strokes, by, [middle, 0], [MARK_FIELD / 2 + shift, line]), fine);
}
