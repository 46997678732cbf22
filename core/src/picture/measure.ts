export interface Point {
  readonly x: number;
  readonly y: number;
}

/** A length on a picture, and half the width of the range that pointing leaves. */
export interface MeasuredLength {
  readonly mm: number;
  readonly errorMm: number;
}

/** A thumb hits a point within so many pixels of the screen. Working assumption; 1–4 make sense. */
export const POINTING_PX = 2;

export const distancePx = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);

/**
 * A length on a picture against a scale drawn on it: a ruler, a pot's rim, a coin laid beside.
 * Both lie at the same depth and square to the camera, or the result is off by their difference.
 * @param scale the line along the known length
 * @param scaleMm that length, mm
 * @param along the points along what is measured: two for a wound, more along a bent root
 * @param pointingPx how far off a point may be, in the pixels of the points
 * @throws RangeError if a line is shorter than the pointing error, or the scale is not positive
 * Source: propagation of independent errors, Taylor, An Introduction to Error Analysis, ch. 3 (from memory)
 */
export function measureOnPicture(
  scale: readonly [Point, Point],
  scaleMm: number,
  along: readonly Point[],
  pointingPx = POINTING_PX,
): MeasuredLength {
  if (!(scaleMm > 0)) throw new RangeError('scaleMm must be positive');
  const scalePx = distancePx(...scale);
  const px = along.slice(1).reduce((sum, p, i) => sum + distancePx(along[i]!, p), 0);
  // Both ends of a line are pointed at: the errors of the two add in squares.
  const error = pointingPx * Math.SQRT2;
  if (scalePx <= error) throw new RangeError('scale must be longer than the pointing error');
  if (px <= error) throw new RangeError('along must be longer than the pointing error');
  const mm = (px / scalePx) * scaleMm;
  return { mm, errorMm: mm * Math.hypot(error / px, error / scalePx) };
}
