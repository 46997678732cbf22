import { assertFraction } from '../assert';
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
