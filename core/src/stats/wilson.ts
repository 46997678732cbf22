import { assertCount, assertFraction } from '../assert';
import jStat from 'jstat';

/** A share with the interval it lies in; all fractions 0–1. */
export interface ShareInterval {
  readonly share: number;
  readonly low: number;
  readonly high: number;
}

/**
 * Wilson's score interval for a share.
 * @param successes whole number, 0 … trials
 * @param trials whole number; with 0 trials nothing is known and null is returned
 * @param confidence fraction, default 0.95
 * @throws RangeError for counts that are no counts
 * Source: Wilson 1927, JASA 22:209; recommended for small n by Brown, Cai & DasGupta 2001,
 * Statistical Science 16:101.
 * @example wilson(81, 263) // { share: 0.308, low: 0.2553, high: 0.3662 }
 */
export function wilson(successes: number, trials: number, confidence = 0.95): ShareInterval | null {
  assertCount('successes', successes);
  assertCount('trials', trials);
  assertFraction('confidence', confidence);
  if (successes > trials)
    throw new RangeError(`successes must not be above trials, got ${successes} of ${trials}`);
  return wilsonOf({ yes: successes, no: trials - successes }, confidence);
}

/**
 * The same for numbers that are not whole: of cuttings that count for less than one each.
 * @param of successes and failures, ≥ 0
 * @returns null where there are none
 */
export function wilsonOf(
  { yes, no }: { readonly yes: number; readonly no: number },
  confidence = 0.95,
): ShareInterval | null {
  if (!(yes >= 0) || !(no >= 0))
    throw new RangeError(`numbers must not be below 0, got ${yes} and ${no}`);
  assertFraction('confidence', confidence);
  const trials = yes + no;
  if (trials === 0) return null;
  const z = jStat.normal.inv((1 + confidence) / 2, 0, 1);
  const share = yes / trials;
  const z2n = (z * z) / trials;
  const middle = (share + z2n / 2) / (1 + z2n);
  const half = (z * Math.sqrt((share * (1 - share)) / trials + z2n / (4 * trials))) / (1 + z2n);
  // At the ends the algebra gives exactly 0 or 1; rounding must not show 1.0000000002.
  return {
    share,
    low: yes === 0 ? 0 : middle - half,
    high: no === 0 ? 1 : middle + half,
  };
}
