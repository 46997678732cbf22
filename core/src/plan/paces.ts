import jStat from 'jstat';
import type { RootingPace } from '../bench';

/** Log-normal quantile between which eight in ten lie. */
const Z80 = 1.2816;
/** So many paces stand for all that are believed: more change no number needed by more than one in a hundred. */
const POINTS = 15;
const Z: readonly number[] = Array.from({ length: POINTS }, (_, i) =>
  jStat.normal.inv((i + 0.5) / POINTS, 0, 1),
);

/**
 * The paces that are believed, equally likely: a batch has one of them, and all its cuttings share it. A plan that
 * reckons with the middle alone calls 64 % certainty what was asked as 90 %.
 * @returns factors on the days of the window, > 0, rising
 */
export function pacesOf({ factor, low, high }: RootingPace): readonly number[] {
  const sd = Math.log(high / low) / (2 * Z80);
  return Z.map((z) => factor * Math.exp(sd * z));
}
