import { hazardBy, logShareOver, type WeibullTime } from '../botany';
import { gridPosterior, weightInCluster } from '../stats';

/*
 * What batches say of the pace of roots, as ln likelihoods on one grid: worked out once a batch, and added up.
 */

/** Spread of the factor before any record, sd of the log. Working assumption; 0.2–0.6 make sense. */
export const PACE_SD = 0.4;
/**
 * Cuttings of one batch share tray, weather and hand: each further one tells less. Working assumption,
 * correlation of their times within a batch; 0.05–0.4 make sense. Times are more alike than fates, for all wait for
 * the same look.
 */
const ALIKE = 0.2;
const POINTS = 121;
/** How far the factor may lie from the window, in spreads: a bench six times as slow is still learned. */
const REACH = 4.5;
const GRID: readonly number[] = Array.from(
  { length: POINTS },
  (_, i) => -REACH * PACE_SD + (2 * REACH * PACE_SD * i) / (POINTS - 1),
);

const STEP = (2 * REACH * PACE_SD) / (POINTS - 1);

/** Roots seen between two looks, as growth since the cut, for so many cuttings. */
export interface SeenBetween {
  readonly after: number;
  readonly by: number;
  readonly count: number;
}

/** Cuttings of a batch that is not settled and that had none at their last look: slow, or never to root. */
export interface Waits {
  readonly growth: number;
  readonly count: number;
  /** Share that is thought to root in the end, 0–1. */
  readonly share: number;
}

/** What the pieces of one batch have shown. */
export interface PaceEvidence {
  /** The window of the batch's own plant: each is measured by its own. */
  readonly time: WeibullTime;
  readonly seen: readonly SeenBetween[];
  readonly waits?: Waits | null | undefined;
}

/** ln likelihood of a batch at every pace of the grid. Evidence adds up: it is worked out once a batch. */
export type PaceVector = Float64Array;

/** What is next to impossible is told so by a number that can be added and taken away again. */
const FLOOR = -1e9;
const capped = (hazard: number): number => Math.min(hazard, 1e12);

/** ln of the share that waits still: those that never root, and of the others those that have it not yet. */
const logWaiting = (share: number, hazard: number): number =>
  share === 1 ? -hazard : Math.log1p(share * Math.expm1(-hazard));

/** What one batch says of every pace, its cuttings counted as far as they are not alike. */
export function paceVector({ time, seen, waits }: PaceEvidence): PaceVector {
  const n = seen.reduce((all, s) => all + s.count, waits?.count ?? 0);
  const tempered = weightInCluster(n, ALIKE);
  const vector = new Float64Array(POINTS);
  // A pace stretches the scale: each hazard is its own at pace 1, times one factor for all.
  const hazards = seen.map(({ after, by, count }) => ({
    from: hazardBy(time, after),
    to: hazardBy(time, by),
    weight: tempered * count,
  }));
  const waited = waits ? hazardBy(time, waits.growth) : 0;
  for (let i = 0; i < POINTS; i++) {
    const stretch = Math.exp(-time.shape * GRID[i]!);
    let sum = 0;
    for (const { from, to, weight } of hazards)
      sum += weight * logShareOver(capped(from * stretch), capped(to * stretch));
    if (waits) sum += tempered * waits.count * logWaiting(waits.share, capped(waited * stretch));
    vector[i] = Math.max(sum, FLOOR);
  }
  return vector;
}

/** What evidence makes of the factor. @param sum of the vectors of batches, weighted */
export function paceFrom(sum: PaceVector): {
  readonly factor: number;
  readonly low: number;
  readonly high: number;
} {
  const { mean, quantile } = gridPosterior(
    GRID.map((_, i) => i),
    (i) => sum[i]! - 0.5 * (GRID[i]! / PACE_SD) ** 2,
  );
  const at = (place: number): number => Math.exp(GRID[0]! + place * STEP);
  return { factor: at(mean), low: at(quantile(0.1)), high: at(quantile(0.9)) };
}

/** Vectors of batches in one, each with its weight. */
export function sumOf(
  vectors: Iterable<{ readonly vector: PaceVector; readonly weight: number }>,
): PaceVector {
  const sum = new Float64Array(POINTS);
  for (const { vector, weight } of vectors)
    for (let i = 0; i < POINTS; i++) sum[i]! += weight * vector[i]!;
  return sum;
}
