import { assertCount, assertFraction } from '../assert';
import jStat from 'jstat';

import { wilson, type ShareInterval } from './wilson';

/**
 * Jeffreys' interval for a share: the middle of Beta(x + ½, n − x + ½), with 0 and 1 at the ends.
 * @returns null with 0 trials
 * Source: Brown, Cai & DasGupta 2001, Statistical Science 16:101, §4.3.
 */
export function jeffreys(
  successes: number,
  trials: number,
  confidence = 0.95,
): ShareInterval | null {
  assertCount('successes', successes);
  assertCount('trials', trials);
  assertFraction('confidence', confidence);
  if (successes > trials)
    throw new RangeError(`successes must not be above trials, got ${successes} of ${trials}`);
  if (trials === 0) return null;
  const [a, b] = [successes + 0.5, trials - successes + 0.5];
  const tail = (1 - confidence) / 2;
  return {
    share: successes / trials,
    low: successes === 0 ? 0 : jStat.beta.inv(tail, a, b),
    high: successes === trials ? 1 : jStat.beta.inv(1 - tail, a, b),
  };
}

/** Two shares apart, with the interval the difference lies in; fractions −1–1. */
export interface ShareDifference {
  readonly difference: number;
  readonly low: number;
  readonly high: number;
}

/**
 * The difference of two independent shares, a − b.
 * @returns null where one of them has no trials
 * Source: Newcombe 1998, Statistics in Medicine 17:873, method 10 (from two Wilson intervals).
 */
export function newcombe(
  a: { readonly successes: number; readonly trials: number },
  b: { readonly successes: number; readonly trials: number },
  confidence = 0.95,
): ShareDifference | null {
  const wa = wilson(a.successes, a.trials, confidence);
  const wb = wilson(b.successes, b.trials, confidence);
  if (!wa || !wb) return null;
  const difference = wa.share - wb.share;
  return {
    difference,
    low: difference - Math.hypot(wa.share - wa.low, wb.high - wb.share),
    high: difference + Math.hypot(wa.high - wa.share, wb.share - wb.low),
  };
}

/**
 * Chance that share a is above share b, each believed as Beta(prior + successes, prior + failures).
 * @param prior ½ is Jeffreys', 1 knows nothing
 * Source: ∫ f_a(x) F_b(x) dx by Simpson's rule over x = sin² θ, where the integrand is smooth.
 */
export function chanceAbove(
  a: { readonly successes: number; readonly trials: number },
  b: { readonly successes: number; readonly trials: number },
  prior = 1,
): number {
  const [aa, ab] = [prior + a.successes, prior + a.trials - a.successes];
  const [ba, bb] = [prior + b.successes, prior + b.trials - b.successes];
  const logBeta = jStat.gammaln(aa) + jStat.gammaln(ab) - jStat.gammaln(aa + ab);
  const steps = 2000;
  const h = Math.PI / 2 / steps;
  let sum = 0;
  for (let i = 0; i <= steps; i++) {
    const [sin, cos] = [Math.sin(i * h), Math.cos(i * h)];
    const log = (n: number, power: number): number => (power === 0 ? 0 : power * Math.log(n));
    const density = 2 * Math.exp(log(sin, 2 * aa - 1) + log(cos, 2 * ab - 1) - logBeta);
    const below = jStat.beta.cdf(sin * sin, ba, bb);
    const weight = i === 0 || i === steps ? 1 : i % 2 === 1 ? 4 : 2;
    if (density > 0) sum += weight * density * below;
  }
  return Math.min(1, Math.max(0, (sum * h) / 3));
}
