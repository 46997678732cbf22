import jStat from 'jstat';
import { assertCount, assertFraction, assertPositive } from '../assert';

/** What is believed of a number after the evidence. */
export interface Posterior {
  readonly mean: number;
  readonly sd: number;
  /** The value below which it lies with this probability, 0–1. */
  readonly quantile: (probability: number) => number;
}

/**
 * A belief on a grid: for what has no closed form.
 * @param grid points, rising, evenly spaced
 * @param logDensity ln of prior times likelihood at a point, any constant left out; −∞ where impossible
 * @throws RangeError where nothing on the grid is possible
 * Source: Gelman et al. 2013, Bayesian Data Analysis, 3rd ed., ch. 10.1.
 */
export function gridPosterior(
  grid: readonly number[],
  logDensity: (value: number) => number,
): Posterior {
  const logs = grid.map(logDensity);
  const most = Math.max(...logs);
  if (!Number.isFinite(most)) throw new RangeError('nothing on the grid is possible');
  const raw = logs.map((l) => Math.exp(l - most));
  const total = raw.reduce((a, b) => a + b, 0);
  const weights = raw.map((w) => w / total);
  const mean = weights.reduce((sum, w, i) => sum + w * grid[i]!, 0);
  const variance = weights.reduce((sum, w, i) => sum + w * (grid[i]! - mean) ** 2, 0);
  return {
    mean,
    sd: Math.sqrt(variance),
    quantile: (probability) => {
      assertFraction('probability', probability);
      let sum = 0;
      const i = weights.findIndex((w) => (sum += w) >= probability);
      return grid[i < 0 ? grid.length - 1 : i]!;
    },
  };
}

/**
 * A share believed as Beta(a, b) after so many successes and failures.
 * @param prior a and b, both > 0; ½ and ½ are Jeffreys'
 * Source: Gelman et al. 2013, ch. 2.4.
 */
export function betaPosterior(
  successes: number,
  failures: number,
  prior: { readonly a: number; readonly b: number } = { a: 0.5, b: 0.5 },
): Posterior {
  assertCount('successes', successes);
  assertCount('failures', failures);
  assertPositive('a', prior.a);
  assertPositive('b', prior.b);
  const [a, b] = [prior.a + successes, prior.b + failures];
  return {
    mean: a / (a + b),
    sd: Math.sqrt((a * b) / ((a + b) ** 2 * (a + b + 1))),
    quantile: (probability) => {
      assertFraction('probability', probability);
      return jStat.beta.inv(probability, a, b);
    },
  };
}
