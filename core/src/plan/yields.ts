import { chanceOfAtLeast, forOneBatch, type Ready, type SuccessBelief } from './number-needed';

/** Plants to be expected, eight times in ten between low and high. */
export interface Yield {
  readonly likely: number;
  readonly low: number;
  readonly high: number;
}

/**
 * What so many pieces give.
 * @param taken whole, ≥ 0
 * @param belief of the chance in the long run; what is taken is one batch
 * @param ready chance that one which lives is ready by the day, or one for each pace
 * Source: quantiles of the beta-binomial that `chanceOfAtLeast` sums.
 */
export function yieldOf(taken: number, belief: SuccessBelief, ready: Ready = 1): Yield {
  const mean = belief.a / (belief.a + belief.b);
  const paces = typeof ready === 'number' ? [ready] : ready;
  const batch = forOneBatch(belief);
  return {
    likely: (taken * mean * paces.reduce((sum, r) => sum + r, 0)) / paces.length,
    low: mostWith(0.9, taken, batch, ready),
    high: mostWith(0.1, taken, batch, ready),
  };
}

/** The most that are had with this chance. */
function mostWith(chance: number, taken: number, belief: SuccessBelief, ready: Ready): number {
  let low = 0;
  let high = taken + 1;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (chanceOfAtLeast(middle, taken, belief, ready) >= chance) low = middle;
    else high = middle;
  }
  return low;
}
