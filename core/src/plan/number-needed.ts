import { assertCount, assertFraction, assertPositive } from '../assert';
import { MOST_CUTTINGS } from '../journal';
import { binomialAtLeast, logBetaBinomialFrom, logChoose } from '../stats';

/**
 * What is believed of the batch: each a share of the batches that are possible, with what one of their cuttings has for
 * chance to live and be ready by the day. Weights sum to 1.
 */
export type Chances =
  | {
      readonly weight: number;
      /** The chance itself, 0–1. */
      readonly share: number;
    }
  | {
      readonly weight: number;
      /** The chance to live, as Beta(a, b) … */
      readonly a: number;
      readonly b: number;
      /** … and of one that lives to be ready, 0–1. */
      readonly ready: number;
    };

/** Chance of one cutting, over all batches that are believed possible; 0–1. */
export const expected = (chances: readonly Chances[]): number =>
  chances.reduce(
    (sum, is) => sum + is.weight * ('share' in is ? is.share : (is.ready * is.a) / (is.a + is.b)),
    0,
  );

/**
 * Chance that at least `wanted` of `taken` cuttings succeed and are ready in time.
 * @param chances of the batch: all its cuttings share one of them
 * @returns 0–1
 * Source: where the chance is known, the binomial; where it is a Beta, X | Y ~ Binomial(Y, ready), Y ~ BetaBinomial(taken, a, b), summed exactly; the inner tail is the
 * distribution function of the negative binomial. Over the batches that are believed possible it is the mean of theirs.
 */
export function chanceOfAtLeast(
  wanted: number,
  taken: number,
  chances: readonly Chances[],
): number {
  assertCount('wanted', wanted);
  assertCount('taken', taken);
  if (wanted === 0) return 1;
  if (wanted > taken) return 0;
  const company = new Map<string, { a: number; b: number; tails: Tail[] }>();
  let chance = 0;
  for (const is of chances) {
    if ('share' in is) {
      chance += is.weight * binomialAtLeast(wanted, taken, is.share);
      continue;
    }
    const { weight, a, b, ready } = is;
    assertPositive('a', a);
    assertPositive('b', b);
    assertFraction('ready', ready);
    if (ready === 0 || weight === 0) continue;
    // Where pace and chance know nothing of each other, many paces have the same chance.
    const same = company.get(`${a}/${b}`) ?? { a, b, tails: [] };
    company.set(`${a}/${b}`, same);
    same.tails.push({ weight, inTime: inTime(wanted, ready) });
  }
  for (const { a, b, tails } of company.values()) {
    const next = logBetaBinomialFrom(wanted, taken, a, b);
    for (let y = wanted; y <= taken; y++) {
      const living = Math.exp(next());
      for (const tail of tails) chance += tail.weight * living * tail.inTime(y);
    }
  }
  return Math.min(chance, 1);
}

interface Tail {
  readonly weight: number;
  readonly inTime: (y: number) => number;
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

/** An exact tie is enough, as far as sums of a hundred terms are exact: 3 of 14 at just 80% is 14, not 15. */
const ROUNDING = 1e-9;

/**
 * The fewest cuttings that give the wanted number with the wanted certainty.
 * @param certainty 0–1, below 1
 * @param most is not gone beyond
 * @returns null where even the most would not do
 */
export function numberNeeded(
  wanted: number,
  certainty: number,
  chances: readonly Chances[],
  most = MOST_CUTTINGS,
): number | null {
  assertFraction('certainty', certainty);
  if (certainty === 1)
    throw new RangeError('certainty must be below 1: nothing that grows is sure');
  if (wanted === 0) return 0;
  const enough = (n: number): boolean =>
    chanceOfAtLeast(wanted, n, chances) >= certainty * (1 - ROUNDING);
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
