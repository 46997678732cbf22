import { assertCount, assertFraction, assertPositive } from '../assert';
import { MOST_CUTTINGS } from '../journal';
import { betaBinomial, logChoose } from '../stats';

/** What is believed of a chance of success: Beta(a, b). */
export interface SuccessBelief {
  readonly a: number;
  readonly b: number;
}

/**
 * Chance that at least `wanted` of `taken` cuttings succeed and are ready in time.
 * @param ready chance that one which succeeds is ready by the day, 0–1
 * @returns 0–1
 * Source: X | Y ~ Binomial(Y, ready), Y ~ BetaBinomial(taken, a, b), summed exactly; the inner tail is the
 * distribution function of the negative binomial.
 */
export function chanceOfAtLeast(
  wanted: number,
  taken: number,
  { a, b }: SuccessBelief,
  ready = 1,
): number {
  assertCount('wanted', wanted);
  assertCount('taken', taken);
  assertPositive('a', a);
  assertPositive('b', b);
  assertFraction('ready', ready);
  if (wanted === 0) return 1;
  if (wanted > taken || ready === 0) return 0;
  const [logReady, logNot] = [Math.log(ready), Math.log1p(-ready)];
  let chance = 0;
  let inTime = 0;
  for (let y = wanted; y <= taken; y++) {
    // One more that lives: the chance that the last needed one is just this.
    inTime +=
      ready === 1
        ? y === wanted
          ? 1
          : 0
        : Math.exp(logChoose(y - 1, wanted - 1) + wanted * logReady + (y - wanted) * logNot);
    chance += betaBinomial(y, taken, a, b) * Math.min(inTime, 1);
  }
  return Math.min(chance, 1);
}

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
  ready = 1,
  most = MOST_CUTTINGS,
): number | null {
  assertFraction('certainty', certainty);
  if (certainty === 1)
    throw new RangeError('certainty must be below 1: nothing that grows is sure');
  if (wanted === 0) return 0;
  const enough = (n: number): boolean => chanceOfAtLeast(wanted, n, belief, ready) >= certainty;
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
