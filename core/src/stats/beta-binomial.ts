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
  return Math.exp(logBetaBinomial(k, n, a, b));
}

/** ln of the same, for who asks for many of one belief; nothing is checked. */
export function logBetaBinomial(k: number, n: number, a: number, b: number): number {
  return logChoose(n, k) + rising(a, k) + rising(b, n - k) - rising(a + b, n);
}

const risen = new Map<number, number[]>();
const MOST_RISEN = 2000;

/** ln of a · (a + 1) · … · (a + k − 1). */
function rising(a: number, k: number): number {
  let row = risen.get(a);
  if (!row) {
    if (risen.size >= MOST_RISEN) risen.clear();
    risen.set(a, (row = [0]));
  }
  for (let i = row.length; i <= k; i++) row.push(row[i - 1]! + Math.log(a + i - 1));
  return row[k]!;
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

/** ln of the beta function. */
export function logBeta(a: number, b: number): number {
  return jStat.gammaln(a) + jStat.gammaln(b) - jStat.gammaln(a + b);
}
