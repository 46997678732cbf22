import jStat from 'jstat';

/** A test of a null hypothesis. */
export interface ChiSquareTest {
  readonly statistic: number;
  readonly df: number;
  /** 0–1. */
  readonly p: number;
}

/** Chance of so much or more, if nothing were there. @param statistic ≥ 0 @param df ≥ 1 */
export function chiSquareTest(statistic: number, df: number): ChiSquareTest {
  // The tail itself, not one less the body: small p keep their digits.
  const p =
    df === 1 ? jStat.erfc(Math.sqrt(statistic / 2)) : 1 - jStat.chisquare.cdf(statistic, df);
  return { statistic, df, p: Math.min(1, Math.max(0, p)) };
}
