import { chanceOfAtLeast, type SuccessBelief } from './number-needed';

/** Plants to be expected, eight times in ten between low and high. */
export interface Yield {
  readonly likely: number;
  readonly low: number;
  readonly high: number;
}

/**
 * What so many pieces give.
 * @param taken whole, ≥ 0
 * @param ready chance that one which lives is ready by the day, 0–1
 * Source: quantiles of the beta-binomial that `chanceOfAtLeast` sums.
 */
export function yieldOf(taken: number, belief: SuccessBelief, ready = 1): Yield {
  const mean = belief.a / (belief.a + belief.b);
  return {
    likely: taken * mean * ready,
    low: mostWith(0.9, taken, belief, ready),
    high: mostWith(0.1, taken, belief, ready),
  };
}

/** The most that are had with this chance. */
function mostWith(chance: number, taken: number, belief: SuccessBelief, ready: number): number {
  let low = 0;
  let high = taken + 1;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (chanceOfAtLeast(middle, taken, belief, ready) >= chance) low = middle;
    else high = middle;
  }
  return low;
}
