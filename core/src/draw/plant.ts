import { column, fingers, globe, joints, pads } from './cactus';
import { fronds } from './fronds';
import { climber, trail } from './hanging';
import { fullLook, type FullLook } from './full-look';
import { FIELD, FINE_FROM, SOIL, type Habit, type Look } from '../look';
import { boxOf, placed, shapesOf, type Shape, type Stroke } from './pen';
import { rosette, stalked, type Detail } from './rosette';
import { herb, mat, stacked } from './stems';
import { stones } from './stones';
import { fan, straps } from './upright';
import { shrub, sticks, tree } from './woody';

const DRAWN: Readonly<Record<Habit, (look: FullLook, detail: Detail) => readonly Stroke[]>> = {
  rosette,
  stalked,
  fan,
  straps,
  column: (look, detail) => (look.heads > 5 ? fingers(look, detail) : column(look, detail)),
  globe,
  pads,
  joints,
  shrub,
  tree,
  sticks,
  stacked,
  mat,
  herb,
  trail,
  climber,
  fronds,
  stones,
};

/** A drawing in a field of its own. */
export interface Drawing {
  readonly shapes: readonly Shape[];
  /** Where the soil line lies in it; null of what hangs. */
  readonly soil: number | null;
}

const MARGIN = 4;

/** A plant round its foot, about one across. */
export const plantStrokes = (look: FullLook, detail: Detail): readonly Stroke[] =>
  DRAWN[look.habit](look, detail);

/** A plant's strokes where they stand in its field. */
export function placedPlant(
  full: FullLook,
  size: number,
): { readonly strokes: readonly Stroke[]; readonly soil: number | null } {
  const strokes = plantStrokes(full, { fine: size >= FINE_FROM });
  const hangs = full.habit === 'trail';
  const box = boxOf(strokes)!;
  const room = FIELD - 2 * MARGIN;
  const above = hangs ? box.bottom - box.top : Math.max(-box.top, 1e-6);
  const scale = Math.min(
    room / (box.right - box.left),
    (hangs ? room : SOIL - MARGIN) / above,
    hangs || box.bottom <= 0 ? Infinity : (FIELD - SOIL) / box.bottom,
  );
  const middle = (box.left + box.right) / 2;
  const down = hangs ? MARGIN - box.top * scale : SOIL;
  return {
    strokes: placed(strokes, scale, [middle, 0], [FIELD / 2, down]),
    soil: hangs ? null : SOIL,
  };
}

/**
 * A plant as its figures have it, standing on the soil line.
 * @param size px on the screen: a small drawing has fewer strokes
 * @returns shapes within a field of 100 × 100, the same for the same figures
 */
export function drawPlant(look: Look, size: number): Drawing {
  const { strokes, soil } = placedPlant(fullLook(look), size);
  return { shapes: shapesOf(strokes, size >= FINE_FROM), soil };
}
