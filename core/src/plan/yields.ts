import { mostReached } from './distribution';
import { chanceOfAtLeast, expected, type Chances } from './number-needed';

/** Plants to be expected, eight times in ten between low and high. */
export interface Yield {
  readonly likely: number;
  readonly low: number;
  readonly high: number;
}

/**
 * What so many pieces of one batch give.
 * @param taken whole, ≥ 0
 * @param chances of the batch
 * Source: quantiles of the distribution that `chanceOfAtLeast` sums.
 */
export function yieldOf(taken: number, chances: readonly Chances[]): Yield {
  return {
    likely: taken * expected(chances),
    low: mostWith(0.9, taken, chances),
    high: mostWith(0.1, taken, chances),
  };
}

/** Of the chances of 0, 1, 2 … plants. */
export const yieldIn = (chances: readonly number[]): Yield => ({
  likely: chances.reduce((sum, p, n) => sum + n * p, 0),
  low: mostReached(0.9, chances),
  high: mostReached(0.1, chances),
});

/** The most that are had with this chance. */
function mostWith(chance: number, taken: number, chances: readonly Chances[]): number {
  let low = 0;
  let high = taken + 1;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (chanceOfAtLeast(middle, taken, chances) >= chance) low = middle;
    else high = middle;
  }
  return low;
}
