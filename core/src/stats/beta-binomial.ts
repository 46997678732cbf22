import { assertCount, assertPositive } from '../assert';
import jStat from 'jstat';

/**
 * Of `n` more, the chance that exactly `k` succeed, where the share is believed as Beta(a, b).
 * @returns 0–1
 * Source: the beta-binomial distribution; Gelman et al. 2013, Bayesian Data Analysis, 3rd ed., ch. 2.
 */
export function betaBinomial(k: number, n: number, a: number, b: number): number {
  assertCount('k', k);
  assertCount('n', n);
  assertPositive('a', a);
  assertPositive('b', b);
  if (k > n) return 0;
  return Math.exp(logChoose(n, k) + logBeta(k + a, n - k + b) - logBeta(a, b));
}

// Whole arguments come back a thousand times in one plan.
const factorials: number[] = [0];

function logFactorial(n: number): number {
  for (let i = factorials.length; i <= n; i++) factorials.push(factorials[i - 1]! + Math.log(i));
  return factorials[n]!;
}

/** ln of n over k, whole numbers, 0 ≤ k ≤ n. */
export function logChoose(n: number, k: number): number {
  return logFactorial(n) - logFactorial(k) - logFactorial(n - k);
}

function logBeta(a: number, b: number): number {
  return jStat.gammaln(a) + jStat.gammaln(b) - jStat.gammaln(a + b);
}
