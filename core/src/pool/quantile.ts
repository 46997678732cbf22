import jStat from 'jstat';
import { bisect } from '../bisect';
import type { Prediction } from './prediction';

/** Where a share of the belief lies below. @param probability 0–1 */
export function quantileOfPieces(prediction: Prediction, probability: number): number {
  return bisect(
    (x) =>
      prediction.reduce(
        (sum, { weight, mean, sd }) => sum + weight * jStat.normal.cdf(x, mean, sd),
        0,
      ) - probability,
    -40,
    40,
  );
}
