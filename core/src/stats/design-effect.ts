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
