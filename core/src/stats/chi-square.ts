import gammainc from '@stdlib/math-base-special-gammainc';

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
  const p = statistic === 0 ? 1 : gammainc(statistic / 2, df / 2, true, true);
  return { statistic, df, p: Math.min(1, Math.max(0, p)) };
}
