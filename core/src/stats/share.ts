import jStat from 'jstat';

import type { TwoByTwo } from './fisher';
import { wilson, wilsonOf, type ShareInterval } from './wilson';

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
  return apart(
    wilson(a.successes, a.trials, confidence),
    wilson(b.successes, b.trials, confidence),
  );
}

/** The same for numbers that are not whole: of cuttings that count for less than one each. */
export function newcombeOf({ a, b }: TwoByTwo, confidence = 0.95): ShareDifference | null {
  return apart(wilsonOf(a, confidence), wilsonOf(b, confidence));
}

function apart(a: ShareInterval | null, b: ShareInterval | null): ShareDifference | null {
  if (!a || !b) return null;
  const difference = a.share - b.share;
  return {
    difference,
    low: difference - Math.hypot(a.share - a.low, b.high - b.share),
    high: difference + Math.hypot(a.high - a.share, b.share - b.low),
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
