import { FIELD, SOIL } from '@hypogeon/core/look';

/** The field a piece is drawn in: its middle, and the line it stands on. */
const PIECE = { middle: 32, line: 36, wide: 44 } as const;
/** How wide a plant mostly is in its field. */
const PLANT_WIDE = 78;

/**
 * Where a piece, drawn for a mark, stands in another drawing.
 * @param at its foot
 * @param wide across, in the units of that drawing
 * @param lean degrees from upright, clockwise
 */
export function pieceAt(
  at: { readonly x: number; readonly y: number },
  wide: number,
  lean = 0,
): string {
  const by = wide / PIECE.wide;
  return `translate(${at.x} ${at.y}) rotate(${lean}) scale(${by}) translate(${-PIECE.middle} ${-PIECE.line})`;
}

/** Where a whole plant stands in another drawing, its foot on the soil there. */
export function plantAt(at: { readonly x: number; readonly y: number }, wide: number): string {
  const by = wide / PLANT_WIDE;
  return `translate(${at.x} ${at.y}) scale(${by}) translate(${-FIELD / 2} ${-SOIL})`;
}
