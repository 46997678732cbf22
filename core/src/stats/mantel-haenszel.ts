import jStat from 'jstat';
import { chiSquareTest, type ChiSquareTest } from './chi-square';
import type { TwoByTwo } from './fisher';

export interface MantelHaenszel {
  /** Common odds ratio over the strata, with its interval. */
  readonly oddsRatio: number;
  readonly low: number;
  readonly high: number;
  readonly test: ChiSquareTest;
  /** Strata that say something: those with both groups and both outcomes in them. */
  readonly strata: number;
}

/**
 * Two shares compared within strata, so that what differs between the strata does not.
 * @param continuity Yates' half taken off, as R does by default
 * @returns null where no stratum says anything
 * Source: Mantel & Haenszel 1959, J. Natl Cancer Inst. 22:719; interval by Robins, Breslow & Greenland
 * 1986, Biometrics 42:311; as R 4.2.2, mantelhaen.test.
 */
export function mantelHaenszel(
  tables: readonly TwoByTwo[],
  continuity = true,
  confidence = 0.95,
): MantelHaenszel | null {
  let [diagonal, off, expected, observed, variance, strata] = [0, 0, 0, 0, 0, 0];
  let [v1, v2, v3] = [0, 0, 0];
  for (const { a, b } of tables) {
    const n = a.yes + a.no + b.yes + b.no;
    const [rows, columns] = [
      [a.yes + a.no, b.yes + b.no],
      [a.yes + b.yes, a.no + b.no],
    ] as const;
    if (n < 2 || [...rows, ...columns].some((m) => m === 0)) continue;
    strata++;
    const [straight, crossed] = [a.yes * b.no, a.no * b.yes];
    const [along, across] = [a.yes + b.no, a.no + b.yes];
    diagonal += straight / n;
    off += crossed / n;
    v1 += (along * straight) / n ** 2;
    v2 += (along * crossed + across * straight) / n ** 2;
    v3 += (across * crossed) / n ** 2;
    observed += a.yes;
    expected += (rows[0] * columns[0]) / n;
    variance += (rows[0] * rows[1] * columns[0] * columns[1]) / (n ** 2 * (n - 1));
  }
  if (strata === 0) return null;
  const delta = Math.abs(observed - expected);
  const yates = continuity ? Math.min(0.5, delta) : 0;
  const oddsRatio = off === 0 ? Infinity : diagonal / off;
  const sd = Math.sqrt(v1 / (2 * diagonal ** 2) + v2 / (2 * diagonal * off) + v3 / (2 * off ** 2));
  const z = jStat.normal.inv((1 + confidence) / 2, 0, 1);
  const open = diagonal === 0 || off === 0;
  return {
    oddsRatio,
    low: open ? 0 : oddsRatio * Math.exp(-z * sd),
    high: open ? Infinity : oddsRatio * Math.exp(z * sd),
    test: chiSquareTest((delta - yates) ** 2 / variance, 1),
    strata,
  };
}
