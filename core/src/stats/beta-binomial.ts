import { assertCount, assertPositive } from '../assert';

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
  return logChoose(n, k) + logBetaRatio(k, n - k, a, b);
}

/**
 * The same for k, k + 1 … in turn: each costs one step, where each by itself costs n.
 * @param first the k that is asked for first
 */
export function logBetaBinomialFrom(first: number, n: number, a: number, b: number): () => number {
  let k = first;
  let log = first > n ? -Infinity : logBetaBinomial(first, n, a, b);
  return () => {
    const is = log;
    log += Math.log(((n - k) / (k + 1)) * ((a + k) / (b + n - k - 1)));
    k++;
    return is;
  };
}

/**
 * ln of B(a + yes, b + no) / B(a, b): the chance of so many and so many, in the order they came.
 * @param yes, no whole, ≥ 0
 * Source: rising factorials, Abramowitz & Stegun 1964, 6.1.22.
 */
export const logBetaRatio = (yes: number, no: number, a: number, b: number): number =>
  rising(a, yes) + rising(b, no) - rising(a + b, yes + no);

/** ln of a · (a + 1) · … · (a + k − 1). */
function rising(a: number, k: number): number {
  let [sum, product] = [0, 1];
  for (let i = 0; i < k; i++) {
    product *= a + i;
    if (product > HUGE || product < TINY) {
      sum += Math.log(product);
      product = 1;
    }
  }
  return sum + Math.log(product);
}
const HUGE = 1e290;
const TINY = 1e-290;

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
