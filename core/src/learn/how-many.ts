import { logBetaBinomialFrom } from '../stats';
import { together, type chanceBy } from './awaited';

/** How many of so many pieces will have it by so much growth: the mean, and eight times in ten between the two. */
export interface HowMany {
  readonly mean: number;
  readonly low: number;
  readonly high: number;
}

/** More pieces than this are spoken of by their shares. */
const MOST = 1000;

export function howMany(pieces: number, chance: ReturnType<typeof chanceBy>): HowMany {
  const n = Math.min(pieces, MOST);
  const { a, b } = together(chance);
  const next = logBetaBinomialFrom(0, n, a, b);
  let [sum, low, high] = [0, -1, n];
  for (let k = 0; k <= n; k++) {
    sum += Math.exp(next());
    if (low < 0 && sum >= 0.1) low = k;
    if (sum >= 0.9 - 1e-9) {
      high = k;
      break;
    }
  }
  const all = (k: number): number => (n === pieces ? k : Math.round((k * pieces) / n));
  return { mean: pieces * chance.mean, low: all(Math.max(low, 0)), high: all(high) };
}

/** Chance of so many or fewer. */
export function chanceOfAtMost(
  most: number,
  pieces: number,
  chance: ReturnType<typeof chanceBy>,
): number {
  const n = Math.min(pieces, MOST);
  const to = Math.min(n === pieces ? most : Math.floor((most * n) / pieces), n);
  const { a, b } = together(chance);
  const next = logBetaBinomialFrom(0, n, a, b);
  let sum = 0;
  for (let k = 0; k <= to; k++) sum += Math.exp(next());
  return Math.min(1, sum);
}
