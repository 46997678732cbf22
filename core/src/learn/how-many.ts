import { betaBinomial } from '../stats';
import { together, type chanceBy } from './awaited';

/** How many of so many pieces will have it by so much growth: the mean, and eight times in ten between the two. */
export interface HowMany {
  readonly mean: number;
  readonly low: number;
  readonly high: number;
}

export function howMany(pieces: number, chance: ReturnType<typeof chanceBy>): HowMany {
  const { a, b } = together(chance);
  let [sum, low, high] = [0, -1, pieces];
  for (let k = 0; k <= pieces; k++) {
    sum += betaBinomial(k, pieces, a, b);
    if (low < 0 && sum >= 0.1) low = k;
    if (sum >= 0.9 - 1e-9) {
      high = k;
      break;
    }
  }
  return { mean: pieces * chance.mean, low: Math.max(low, 0), high };
}

/** Chance of so many or fewer. */
export function chanceOfAtMost(
  most: number,
  pieces: number,
  chance: ReturnType<typeof chanceBy>,
): number {
  const { a, b } = together(chance);
  let sum = 0;
  for (let k = 0; k <= Math.min(most, pieces); k++) sum += betaBinomial(k, pieces, a, b);
  return Math.min(1, sum);
}
