import { assertFraction } from '../assert';

/**
 * What each of n units counts for that share a cluster: n of them tell as much as n / (1 + (n − 1)·ρ) that do not.
 * @param correlation ρ within a cluster, 0–1
 * @returns 0–1; 0 for an empty cluster
 * Source: Kish 1965, Survey Sampling, ch. 5, the design effect.
 */
export function weightInCluster(n: number, correlation: number): number {
  assertFraction('correlation', correlation);
  return n <= 0 ? 0 : 1 / (1 + (n - 1) * correlation);
}

/**
 * As many independent units as tell of their mean what clusters of these sizes tell: (Σn)² / Σ n(1 + ρ(n − 1)).
 * @param correlation ρ within a cluster, 0–1
 * @returns 0 without any
 * @example effectiveSize([40, 40, 40, 40], 0.1) // 32.7 of 160
 * Source: the variance of a mean of clusters that each count by their size; Kish 1965, Survey Sampling, ch. 5.
 */
export function effectiveSize(sizes: readonly number[], correlation: number): number {
  assertFraction('correlation', correlation);
  let [all, spread] = [0, 0];
  for (const n of sizes) {
    all += n;
    spread += n * (1 + correlation * (n - 1));
  }
  return all === 0 ? 0 : all ** 2 / spread;
}
