import { assertCount, assertFraction, assertPositive } from '../assert';
import { betaBinomial, logChoose } from '../stats';
import type { Ready, SuccessBelief } from './number-needed';

/**
 * Chances of 0, 1 … `taken` plants ready of so many cuttings of one batch.
 * @param belief of the chance of one batch, as `forOneBatch` gives it
 * @param ready chance that one which lives is ready by the day, or one for each pace, equally likely
 * @returns taken + 1 chances that sum to 1
 * Source: as in `chanceOfAtLeast`, of which this is the difference: a beta-binomial number lives, of which a binomial
 * number is ready.
 */
export function plantsReady(
  taken: number,
  { a, b }: SuccessBelief,
  ready: Ready = 1,
): readonly number[] {
  assertCount('taken', taken);
  assertPositive('a', a);
  assertPositive('b', b);
  const paces = typeof ready === 'number' ? [ready] : ready;
  for (const r of paces) assertFraction('ready', r);
  const living = Array.from({ length: taken + 1 }, (_, y) => betaBinomial(y, taken, a, b));
  const out = new Array<number>(taken + 1).fill(0);
  for (const r of paces) {
    for (let y = 0; y <= taken; y++) {
      const share = living[y]! / paces.length;
      if (share < 1e-15) continue;
      if (r === 0) out[0]! += share;
      else if (r === 1) out[y]! += share;
      else
        for (let k = 0; k <= y; k++)
          out[k]! += share * Math.exp(logChoose(y, k) + k * Math.log(r) + (y - k) * Math.log1p(-r));
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
    if (tail >= chance - 1e-12) return k;
  }
  return 0;
}
