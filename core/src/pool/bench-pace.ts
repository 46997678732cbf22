import { logShareOver } from '../botany';
import type { CountsRow } from '../journal';
import type { Study } from './between-studies';

/** Batches of one bench differ by so much of their own, sd of ln: weather, hand, the state of the mother. */
const BATCH_SD = 0.2;
const [FASTEST, SLOWEST] = [-2, 2];

/**
 * How many times as long as the guide says roots take on one bench, as ln with its variance: the likeliest of a Weibull
 * time whose shape is the guide's, from looks between which roots came.
 * @param shape of the guide's time
 * @returns null where nothing tells
 */
export function paceOfRows(rows: readonly CountsRow[], shape: number): Study | null {
  const seen = rows.flatMap((r) => r.roots).filter((r) => r.count > 0 && r.by > r.after);
  if (seen.length === 0) return null;
  const hazard = (at: number, pace: number): number =>
    Math.min(Math.LN2 * (at * Math.exp(-pace)) ** shape, 1e200);
  const log = (pace: number): number =>
    seen.reduce(
      (sum, { after, by, count }) =>
        sum + count * logShareOver(hazard(after, pace), hazard(by, pace)),
      0,
    );
  const step = 0.02;
  let [y, most] = [FASTEST, -Infinity];
  for (let pace = FASTEST; pace <= SLOWEST; pace += step) {
    const is = log(pace);
    if (is > most) [y, most] = [pace, is];
  }
  const bend = (2 * most - log(y - step) - log(y + step)) / step ** 2;
  if (!(bend > 1e-6)) return null;
  const batches = rows.reduce((sum, r) => sum + (r.roots.length > 0 ? r.batches : 0), 0);
  return { y, v: 1 / bend + BATCH_SD ** 2 / batches };
}
