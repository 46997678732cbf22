import { assertFraction, assertPositive } from '../assert';

/** A chance that is believed as Beta(a, b). */
export interface ChanceBelief {
  readonly a: number;
  readonly b: number;
}

/**
 * What is believed of the chance of one batch to come, from what is believed of the chance in the long run: batches
 * differ, so it is less sure.
 * @param correlation of two cuttings of a tray, 0–1
 * @returns the Beta of the same mean whose variance has the batches’ own added
 * Source: Var(p of a batch) = Var(p) + ρ·E[p(1 − p)]; moments of the beta distribution.
 */
export function forOneBatch({ a, b }: ChanceBelief, correlation: number): ChanceBelief {
  assertPositive('a', a);
  assertPositive('b', b);
  assertFraction('correlation', correlation);
  const mean = a / (a + b);
  const most = mean * (1 - mean);
  const belief = most / (a + b + 1);
  const worth = most / (belief + correlation * (most - belief)) - 1;
  return { a: mean * worth, b: (1 - mean) * worth };
}
