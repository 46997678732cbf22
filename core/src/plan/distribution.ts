import { assertCount, assertFraction, assertPositive } from '../assert';
import { betaBinomial, binomialChances, logChoose } from '../stats';
import type { Chances } from './number-needed';

/**
 * Chances of 0, 1 … `taken` plants ready of so many cuttings of one batch.
 * @param chances of the batch
 * @returns taken + 1 chances that sum to 1
 * Source: as in `chanceOfAtLeast`, of which this is the difference: a beta-binomial number lives, of which a binomial
 * number is ready.
 */
export function plantsReady(taken: number, chances: readonly Chances[]): readonly number[] {
  assertCount('taken', taken);
  const out = new Array<number>(taken + 1).fill(0);
  for (const is of chances) {
    if ('share' in is) {
      binomialChances(taken, is.share).forEach((p, k) => (out[k]! += is.weight * p));
      continue;
    }
    const { weight, a, b, ready } = is;
    assertPositive('a', a);
    assertPositive('b', b);
    assertFraction('ready', ready);
    for (let y = 0; y <= taken; y++) {
      const share = weight * betaBinomial(y, taken, a, b);
      if (share < 1e-15) continue;
      if (ready === 0) out[0]! += share;
      else if (ready === 1) out[y]! += share;
      else {
        const [yes, no] = [Math.log(ready), Math.log1p(-ready)];
        for (let k = 0; k <= y; k++)
          out[k]! += share * Math.exp(logChoose(y, k) + k * yes + (y - k) * no);
      }
    }
  }
  return out;
}

/**
 * Chances of the sum of two numbers that know nothing of each other.
 * @example sumOf([0.5, 0.5], [0.5, 0.5]) // [0.25, 0.5, 0.25]
 */
export function sumOf(one: readonly number[], other: readonly number[]): readonly number[] {
  const out = new Array<number>(one.length + other.length - 1).fill(0);
  one.forEach((p, i) => {
    if (p > 0) other.forEach((q, j) => (out[i + j]! += p * q));
  });
  return out;
}

/** Chance of at least so many, 0–1. */
export const atLeast = (wanted: number, chances: readonly number[]): number =>
  Math.min(
    1,
    chances.slice(wanted).reduce((sum, p) => sum + p, 0),
  );

/** The most that is reached with this chance, whole, ≥ 0. */
export function mostReached(chance: number, chances: readonly number[]): number {
  let tail = 0;
  for (let k = chances.length - 1; k > 0; k--) {
    tail += chances[k]!;
    if (tail >= chance * (1 - 1e-9)) return k;
  }
  return 0;
}
