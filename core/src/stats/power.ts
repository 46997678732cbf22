import { assertCount, assertFraction } from '../assert';
import jStat from 'jstat';

import { logChoose } from './beta-binomial';
import { binomialChances } from './binomial';

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
 * @param na, nb cuttings in each group; a few hundred at most, for the work grows with their product
 */
export function exactPowerOf(na: number, nb: number, a: number, b: number, alpha = 0.05): number {
  assertCount('na', na);
  assertCount('nb', nb);
  assertFraction('a', a);
  assertFraction('b', b);
  const pa = binomialChances(na, a);
  const pb = binomialChances(nb, b);
  let power = 0;
  // Tables of one sum of successes share their reference set: p is the same work for all of them.
  for (let sum = 0; sum <= na + nb; sum++) {
    const low = Math.max(0, sum - nb);
    const high = Math.min(sum, na);
    const logs: number[] = [];
    for (let x = low; x <= high; x++) logs.push(logChoose(na, x) + logChoose(nb, sum - x));
    const most = Math.max(...logs);
    const raw = logs.map((l) => Math.exp(l - most));
    const total = raw.reduce((s, w) => s + w, 0);
    const order = raw.map((_, i) => i).sort((i, j) => raw[i]! - raw[j]!);
    let tail = 0;
    for (let i = 0; i < order.length;) {
      // Those as likely as this one, all together: see `fisherExact`.
      let next = i;
      const limit = raw[order[i]!]! * (1 + 1e-7);
      while (next < order.length && raw[order[next]!]! <= limit) tail += raw[order[next++]!]!;
      if (tail / total > alpha) break;
      for (let j = i; j < next; j++) {
        const x = low + order[j]!;
        power += pa[x]! * pb[sum - x]!;
      }
      i = next;
    }
  }
  return power;
}

/**
 * The same with the continuity correction, which follows Fisher's test where it cannot be enumerated any more.
 * Source: Casagrande, Pike & Smith 1978, Biometrics 34:483; Fleiss, Levin & Paik 2003, eq. 4.19.
 */
export function correctedPowerOf(each: number, a: number, b: number, alpha = 0.05): number {
  const gap = Math.abs(a - b);
  return gap === 0 || each * gap <= 1 ? 0 : powerOf((each - 1 / gap) ** 2 / each, a, b, alpha);
}

/** Above this many in each group the exact search gives way to the corrected formula. */
const EXACT_MOST = 200;

/**
 * The fewest in each group with which Fisher's test has this chance to find them apart. Exact power climbs by
 * steps: a number is taken only if the two above it do as well.
 * @returns null above `most`, or where the shares are the same
 */
export function eachNeededExactly(
  power: number,
  a: number,
  b: number,
  alpha = 0.05,
  most = 5000,
): number | null {
  const rough = eachNeeded(power, a, b, alpha, most);
  if (rough === null || rough > EXACT_MOST) return rough;
  const does = (n: number): boolean => exactPowerOf(n, n, a, b, alpha) >= power;
  for (let n = Math.max(2, Math.floor(rough * 0.7)); n <= EXACT_MOST + 40; n++)
    if (does(n) && does(n + 1) && does(n + 2)) return n;
  return null;
}

/** The fewest in each group that give this chance by the corrected formula; null above the most. */
function eachNeeded(power: number, a: number, b: number, alpha = 0.05, most = 5000): number | null {
  if (a === b) return null;
  let [low, high] = [1, most];
  if (correctedPowerOf(most, a, b, alpha) < power) return null;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (correctedPowerOf(middle, a, b, alpha) >= power) high = middle;
    else low = middle;
  }
  return high;
}
