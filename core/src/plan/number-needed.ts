import { assertCount, assertFraction, assertPositive } from '../assert';
import { MOST_CUTTINGS } from '../journal';
import { betaBinomial, logChoose } from '../stats';

/** What is believed of a chance of success: Beta(a, b). */
export interface SuccessBelief {
  readonly a: number;
  readonly b: number;
}

/**
 * Chance that one which lives is ready by the day, 0–1; or the chances by equally likely paces, of which the whole
 * batch has one.
 */
export type Ready = number | readonly number[];

/** Cuttings of one batch share day, hand and medium: correlation of their fates. Working assumption; 0.03–0.3. */
export const BATCH_CORRELATION = 0.1;

/**
 * What is believed of the chance of one batch to come, from what is believed of the chance in the long run: batches
 * differ, so it is less sure.
 * @returns the Beta of the same mean whose variance has the batches’ own added
 * Source: Var(p of a batch) = Var(p) + ρ·E[p(1 − p)]; moments of the beta distribution.
 */
export function forOneBatch(
  { a, b }: SuccessBelief,
  correlation = BATCH_CORRELATION,
): SuccessBelief {
  assertPositive('a', a);
  assertPositive('b', b);
  assertFraction('correlation', correlation);
  const mean = a / (a + b);
  const most = mean * (1 - mean);
  const belief = most / (a + b + 1);
  const variance = belief + correlation * (most - belief);
  const worth = most / variance - 1;
  return { a: mean * worth, b: (1 - mean) * worth };
}

/**
 * Chance that at least `wanted` of `taken` cuttings succeed and are ready in time.
 * @param ready chance that one which succeeds is ready by the day, or one for each pace
 * @returns 0–1
 * Source: X | Y ~ Binomial(Y, ready), Y ~ BetaBinomial(taken, a, b), summed exactly; the inner tail is the
 * distribution function of the negative binomial. Over paces it is the mean of their chances.
 */
export function chanceOfAtLeast(
  wanted: number,
  taken: number,
  { a, b }: SuccessBelief,
  ready: Ready = 1,
): number {
  assertCount('wanted', wanted);
  assertCount('taken', taken);
  assertPositive('a', a);
  assertPositive('b', b);
  const paces = typeof ready === 'number' ? [ready] : ready;
  for (const r of paces) assertFraction('ready', r);
  if (wanted === 0) return 1;
  if (wanted > taken) return 0;
  const tails = paces.filter((r) => r > 0).map((r) => inTime(wanted, r));
  let chance = 0;
  for (let y = wanted; y <= taken; y++) {
    const living = betaBinomial(y, taken, a, b);
    for (const tail of tails) chance += living * tail(y);
  }
  return Math.min(chance / paces.length, 1);
}

/** Chance that of `y` that live at least `wanted` are ready; asked for y = wanted, wanted + 1 … in turn. */
function inTime(wanted: number, ready: number): (y: number) => number {
  if (ready === 1) return () => 1;
  const [logReady, logNot] = [Math.log(ready), Math.log1p(-ready)];
  let sum = 0;
  return (y) => {
    // One more that lives: the chance that the last needed one is just this.
    sum += Math.exp(logChoose(y - 1, wanted - 1) + wanted * logReady + (y - wanted) * logNot);
    return Math.min(sum, 1);
  };
}

/** An exact tie is enough: 3 of 14 at just 80 % is 14, not 15. */
const ROUNDING = 1e-12;

/**
 * The fewest cuttings that give the wanted number with the wanted certainty.
 * @param certainty 0–1, below 1
 * @param most is not gone beyond
 * @returns null where even the most would not do
 */
export function numberNeeded(
  wanted: number,
  certainty: number,
  belief: SuccessBelief,
  ready: Ready = 1,
  most = MOST_CUTTINGS,
): number | null {
  assertFraction('certainty', certainty);
  if (certainty === 1)
    throw new RangeError('certainty must be below 1: nothing that grows is sure');
  if (wanted === 0) return 0;
  const enough = (n: number): boolean =>
    chanceOfAtLeast(wanted, n, belief, ready) >= certainty - ROUNDING;
  if (wanted > most) return null;
  let high = wanted;
  while (!enough(high)) {
    if (high >= most) return null;
    high = Math.min(high * 2, most);
  }
  let low = Math.max(wanted - 1, Math.floor(high / 2));
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (enough(middle)) high = middle;
    else low = middle;
  }
  return high;
}
