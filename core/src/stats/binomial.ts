import { assertCount, assertFraction } from '../assert';
import { logChoose } from './beta-binomial';

/** A term this small beside the first adds nothing any more. */
const NOTHING = 1e-17;

/**
 * Chance that at least `k` of `n` succeed, each with the chance p.
 * @param k, n whole, ≥ 0
 * @param p 0–1
 * @returns 0–1
 * Source: the binomial distribution, summed along its shorter tail.
 */
export function binomialAtLeast(k: number, n: number, p: number): number {
  assertCount('k', k);
  assertCount('n', n);
  assertFraction('p', p);
  if (k === 0) return 1;
  if (k > n || p === 0) return 0;
  if (p === 1) return 1;
  return k > n * p ? tailFrom(k, n, p) : 1 - tailFrom(n - k + 1, n, 1 - p);
}

/** Sum of the chances of k, k + 1 … of n, k above their mean. */
function tailFrom(k: number, n: number, p: number): number {
  const odds = p / (1 - p);
  let term = Math.exp(logChoose(n, k) + k * Math.log(p) + (n - k) * Math.log1p(-p));
  const least = term * NOTHING;
  let sum = 0;
  for (let i = k; i <= n && term > least; i++) {
    sum += term;
    term *= ((n - i) / (i + 1)) * odds;
  }
  return Math.min(1, sum);
}

/** Chances of 0, 1 … n. @returns n + 1 of them */
export function binomialChances(n: number, p: number): readonly number[] {
  if (p === 0 || p === 1)
    return Array.from({ length: n + 1 }, (_, k) => (k === (p === 0 ? 0 : n) ? 1 : 0));
  return Array.from({ length: n + 1 }, (_, k) =>
    Math.exp(logChoose(n, k) + k * Math.log(p) + (n - k) * Math.log1p(-p)),
  );
}
