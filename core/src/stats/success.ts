import { assertFraction, assertPositive } from '../assert';
import jStat from 'jstat';

/**
 * The range a chance of success is believed in, from its mean and what that opinion is worth: the
 * middle `probability` of Beta(mean·worth, (1 − mean)·worth).
 * @param mean fraction between 0 and 1
 * @param worth in cuttings, > 0
 * @returns fractions 0–1
 */
export function successRange(
  { mean, worth }: { readonly mean: number; readonly worth: number },
  probability = 0.8,
): { readonly low: number; readonly high: number } {
  assertFraction('mean', mean);
  assertPositive('worth', worth);
  assertFraction('probability', probability);
  const [a, b] = [mean * worth, (1 - mean) * worth];
  const tail = (1 - probability) / 2;
  return { low: jStat.beta.inv(tail, a, b), high: jStat.beta.inv(1 - tail, a, b) };
}
