import jStat from 'jstat';
import { assertFraction } from '../assert';
import { fisherExact } from './fisher';

/**
 * Chance to find that two shares differ, with so many in each group.
 * Source: Fleiss, Levin & Paik 2003, Statistical Methods for Rates and Proportions, ch. 4; as R 4.2.2,
 * power.prop.test.
 * @returns 0–1
 */
export function powerOf(each: number, a: number, b: number, alpha = 0.05): number {
  assertFraction('a', a);
  assertFraction('b', b);
  const z = jStat.normal.inv(1 - alpha / 2, 0, 1);
  const mean = (a + b) / 2;
  const under = z * Math.sqrt(2 * mean * (1 - mean));
  const spread = Math.sqrt(a * (1 - a) + b * (1 - b));
  return jStat.normal.cdf((Math.sqrt(each) * Math.abs(a - b) - under) / spread, 0, 1);
}

/**
 * The same exactly, for Fisher's test: every pair of outcomes, weighed by how likely it is.
 * @param na, nb cuttings in each group; meant for small ones
 */
export function exactPowerOf(na: number, nb: number, a: number, b: number, alpha = 0.05): number {
  assertFraction('a', a);
  assertFraction('b', b);
  const pa = binomial(na, a);
  const pb = binomial(nb, b);
  let power = 0;
  for (let x = 0; x <= na; x++)
    for (let y = 0; y <= nb; y++) {
      const test = fisherExact({ a: { yes: x, no: na - x }, b: { yes: y, no: nb - y } });
      if (test && test.p <= alpha) power += pa[x]! * pb[y]!;
    }
  return power;
}

/** The fewest in each group that give this chance; null above the most. */
export function eachNeeded(
  power: number,
  a: number,
  b: number,
  alpha = 0.05,
  most = 5000,
): number | null {
  if (a === b) return null;
  let [low, high] = [1, most];
  if (powerOf(most, a, b, alpha) < power) return null;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (powerOf(middle, a, b, alpha) >= power) high = middle;
    else low = middle;
  }
  return high;
}

function binomial(n: number, p: number): readonly number[] {
  return Array.from({ length: n + 1 }, (_, x) => {
    if (p === 0) return x === 0 ? 1 : 0;
    if (p === 1) return x === n ? 1 : 0;
    const choose = jStat.gammaln(n + 1) - jStat.gammaln(x + 1) - jStat.gammaln(n - x + 1);
    return Math.exp(choose + x * Math.log(p) + (n - x) * Math.log1p(-p));
  });
}
