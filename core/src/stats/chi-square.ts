/** A test of a null hypothesis. */
export interface ChiSquareTest {
  readonly statistic: number;
  readonly df: number;
  /** 0–1. */
  readonly p: number;
}

/** Chance of so much or more, if nothing were there. @param statistic ≥ 0 @param df ≥ 1, whole */
export function chiSquareTest(statistic: number, df: number): ChiSquareTest {
  const p = upperGamma(df, statistic / 2);
  return { statistic, df, p: Math.min(1, Math.max(0, p)) };
}

const MOST_TERMS = 10_000;
const CLOSE = 1e-16;

/**
 * The upper tail itself, not one less the body: it keeps its digits down to 1e-300, where the library of distributions
 * gives 0. The library of special functions that keeps them evaluates text as code, which the app forbids.
 * Source: NIST Digital Library of Mathematical Functions, 8.9.2 (continued fraction, by Lentz's method) and 8.7.1
 * (series), for a = df / 2.
 */
function upperGamma(df: number, x: number): number {
  if (x <= 0) return 1;
  const a = df / 2;
  const front = Math.exp(a * Math.log(x) - x - lnGammaOfHalves(df));
  if (x < a + 1) {
    let term = 1 / a;
    let sum = term;
    for (let n = 1; n < MOST_TERMS && term > CLOSE * sum; n++) sum += term *= x / (a + n);
    return 1 - front * sum;
  }
  let b = x + 1 - a;
  let c = 1e300;
  let d = 1 / b;
  let value = d;
  for (let n = 1; n < MOST_TERMS; n++) {
    const over = -n * (n - a);
    b += 2;
    d = 1 / (over * d + b);
    c = b + over / c;
    value *= c * d;
    if (Math.abs(c * d - 1) < CLOSE) break;
  }
  return front * value;
}

/** ln Γ(df / 2), by Γ(½) = √π, Γ(1) = 1 and Γ(z + 1) = z Γ(z). */
function lnGammaOfHalves(df: number): number {
  let sum = df % 2 === 1 ? Math.log(Math.PI) / 2 : 0;
  for (let z = df % 2 === 1 ? 0.5 : 1; z < df / 2; z++) sum += Math.log(z);
  return sum;
}
