import { weightInCluster } from '../stats';

/**
 * Cuttings of one batch share a tray, a day and a hand: n of them tell as much as n / (1 + (n − 1)·ALIKE) that do
 * not. Working assumption, correlation within a batch; 0.02–0.3 make sense. Without it forty leaves that rotted
 * together would pass for forty pieces of evidence.
 */
export const ALIKE = 0.1;

/** What each cutting of a batch of this size counts for, 0–1. */
export function weightOf(count: number): number {
  return weightInCluster(count, ALIKE);
}

export type Strength = 'strong' | 'some' | 'weak';

/** How strong evidence is, from its chance under no difference. */
export function strengthOf(p: number): Strength {
  return p < 0.01 ? 'strong' : p < 0.1 ? 'some' : 'weak';
}

/**
 * Chances corrected for how many were looked at.
 * Source: Holm 1979, Scand. J. Stat. 6:65.
 */
export function holm(ps: readonly number[]): readonly number[] {
  const order = ps.map((_, i) => i).sort((a, b) => ps[a]! - ps[b]!);
  const out = Array<number>(ps.length).fill(1);
  let most = 0;
  order.forEach((i, rank) => {
    most = Math.max(most, Math.min(1, ps[i]! * (ps.length - rank)));
    out[i] = most;
  });
  return out;
}
