import jStat from 'jstat';
import { chiSquareTest, type ChiSquareTest } from './chi-square';
import { assertTimed, type Timed } from './timed';

export const FAMILIES = ['weibull', 'log-normal', 'exponential'] as const;
export type Family = (typeof FAMILIES)[number];

export interface ParametricRow extends Timed {
  /** Covariates, the same number in every row: 1 for the arm that is compared, 0 for the other. */
  readonly x?: readonly number[] | undefined;
}

export interface ParametricFit {
  readonly family: Family;
  /** ln T = β₀ + β·x + scale · error: intercept first. */
  readonly coefficients: readonly number[];
  readonly se: readonly number[];
  /** 1 for the exponential; 1/shape of the Weibull. */
  readonly scale: number;
  /** Of ln scale; null for the exponential. */
  readonly logScaleSe: number | null;
  readonly logLikelihood: number;
  readonly aic: number;
}

/** The standard error distribution of ln T: density and its slope, distribution and survival at z. */
interface ErrorLaw {
  f(z: number): number;
  /** f′. */
  slope(z: number): number;
  F(z: number): number;
  S(z: number): number;
  /** f′/f and its derivative, and ln f, which stay finite where f does not. */
  g(z: number): number;
  gSlope(z: number): number;
  logF(z: number): number;
}

const EXTREME: ErrorLaw = {
  f: (z) => Math.exp(z - Math.exp(z)),
  slope: (z) => Math.exp(z - Math.exp(z)) * -Math.expm1(z),
  F: (z) => -Math.expm1(-Math.exp(z)),
  S: (z) => Math.exp(-Math.exp(z)),
  g: (z) => -Math.expm1(z),
  gSlope: (z) => -Math.exp(z),
  logF: (z) => z - Math.exp(z),
};
const SQRT2 = Math.SQRT2;
const NORMAL: ErrorLaw = {
  f: (z) => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI),
  slope: (z) => (-z * Math.exp((-z * z) / 2)) / Math.sqrt(2 * Math.PI),
  F: (z) => jStat.erfc(-z / SQRT2) / 2,
  S: (z) => jStat.erfc(z / SQRT2) / 2,
  g: (z) => -z,
  gSlope: () => -1,
  logF: (z) => (-z * z) / 2 - Math.log(2 * Math.PI) / 2,
};

const MOST_STEPS = 60;
/** A sum of many logarithms is no truer than this, share of itself. */
const ROUNDING = 1e-12;
/** Newton's steps double the digits: after one this small the next would be lost in rounding. */
const CLOSE = 1e-8;

/**
 * A curve through times that may be known, lie between two looks, or not have come yet: by maximum likelihood, with
 * Newton's steps on the exact second derivatives.
 * @returns null where nothing happened at all: then no curve is better than another
 * @throws RangeError for rows that cannot be
 * Source: Kalbfleisch & Prentice 2002, The Statistical Analysis of Failure Time Data, ch. 3; agrees with R
 * survival 3.5-3, survreg.
 */
export function fitTimes(rows: readonly ParametricRow[], family: Family): ParametricFit | null {
  assertTimed(rows);
  const groups = gather(rows);
  if (!groups.some((g) => g.right < Infinity)) return null;
  const law = family === 'log-normal' ? NORMAL : EXTREME;
  const fixed = family === 'exponential';
  const width = groups[0]!.x.length + 1;
  const size = width + (fixed ? 0 : 1);
  let theta = start(groups, width, size);
  let now = evaluate(groups, law, theta, width, fixed);
  for (let i = 0; i < MOST_STEPS; i++) {
    const step = solve(now.hessian, now.gradient);
    if (!step) return null;
    let factor = 1;
    let next = theta.map((t, k) => t - factor * step[k]!);
    let there = evaluate(groups, law, next, width, fixed);
    while (!(there.value >= now.value - ROUNDING * Math.abs(now.value)) && factor > 1e-6) {
      factor /= 2;
      next = theta.map((t, k) => t - factor * step[k]!);
      there = evaluate(groups, law, next, width, fixed);
    }
    theta = next;
    now = there;
    if (factor === 1 && step.every((d, k) => Math.abs(d) < CLOSE * (1 + Math.abs(theta[k]!))))
      break;
  }
  const information = now.hessian.map((row) => row.map((v) => -v));
  const covariance = jStat.inv(information);
  const se = covariance.map((row, k) => Math.sqrt(Math.max(0, row[k]!)));
  return {
    family,
    coefficients: theta.slice(0, width),
    se: se.slice(0, width),
    scale: fixed ? 1 : Math.exp(theta[width]!),
    logScaleSe: fixed ? null : se[width]!,
    logLikelihood: now.value,
    aic: 2 * size - 2 * now.value,
  };
}

/** Whether the covariates say anything: twice the gain in ln likelihood over a curve without them. */
export function likelihoodRatio(with_: ParametricFit, without: ParametricFit): ChiSquareTest {
  return chiSquareTest(
    Math.max(0, 2 * (with_.logLikelihood - without.logLikelihood)),
    with_.coefficients.length - without.coefficients.length,
  );
}

/** The time by which this share has had it, days. @param share 0–1 */
export function timeFor(fit: ParametricFit, share: number, x: readonly number[] = []): number {
  const eta = fit.coefficients.reduce((s, b, k) => s + b * (k === 0 ? 1 : (x[k - 1] ?? 0)), 0);
  const z =
    fit.family === 'log-normal' ? jStat.normal.inv(share, 0, 1) : Math.log(-Math.log1p(-share));
  return Math.exp(eta + fit.scale * z);
}

interface Group {
  readonly left: number;
  readonly right: number;
  readonly x: readonly number[];
  count: number;
}

function gather(rows: readonly ParametricRow[]): readonly Group[] {
  const groups = new Map<string, Group>();
  for (const { left, right, x = [], count = 1 } of rows) {
    if (count === 0) continue;
    const key = `${left}/${right}/${x.join(',')}`;
    const group = groups.get(key);
    if (group) group.count += count;
    else groups.set(key, { left, right, x, count });
  }
  return [...groups.values()];
}

function start(groups: readonly Group[], width: number, size: number): number[] {
  let [sum, squares, n] = [0, 0, 0];
  for (const { left, right, count } of groups) {
    const t = Math.log(Math.max(right === Infinity ? left : (left + right) / 2, 0.1));
    sum += count * t;
    squares += count * t * t;
    n += count;
  }
  const mean = sum / n;
  const theta = Array<number>(size).fill(0);
  theta[0] = mean;
  if (size > width) theta[width] = Math.log(Math.max(0.2, Math.sqrt(squares / n - mean * mean)));
  return theta;
}

function evaluate(
  groups: readonly Group[],
  law: ErrorLaw,
  theta: readonly number[],
  width: number,
  fixed: boolean,
): { readonly value: number; readonly gradient: number[]; readonly hessian: number[][] } {
  const size = theta.length;
  const logScale = fixed ? 0 : theta[width]!;
  const scale = Math.exp(logScale);
  let value = 0;
  const gradient = Array<number>(size).fill(0);
  const hessian = gradient.map(() => Array<number>(size).fill(0));
  for (const { left, right, x, count } of groups) {
    const eta = theta.slice(0, width).reduce((s, b, k) => s + b * (k === 0 ? 1 : x[k - 1]!), 0);
    const at = (t: number): number => (Math.log(t) - eta) / scale;
    const row =
      left === right
        ? known(law, at(left), scale, logScale, left)
        : between(law, left, right, at, scale);
    value += count * row.value;
    const design = (k: number): number => (k < width ? (k === 0 ? 1 : x[k - 1]!) : 1);
    for (let a = 0; a < size; a++) {
      gradient[a]! += count * design(a) * (a < width ? row.eta : row.log);
      for (let b = 0; b < size; b++) {
        const second =
          a < width && b < width ? row.etaEta : a < width || b < width ? row.etaLog : row.logLog;
        hessian[a]![b]! += count * design(a) * design(b) * second;
      }
    }
  }
  return { value, gradient, hessian };
}

/** ln likelihood of one row, and its derivatives by the linear part (eta) and by ln scale. */
interface Contribution {
  readonly value: number;
  readonly eta: number;
  readonly log: number;
  readonly etaEta: number;
  readonly etaLog: number;
  readonly logLog: number;
}

function known(law: ErrorLaw, z: number, scale: number, logScale: number, t: number): Contribution {
  const [g, slope] = [law.g(z), law.gSlope(z)];
  return {
    value: law.logF(z) - logScale - Math.log(t),
    eta: -g / scale,
    log: -z * g - 1,
    etaEta: slope / scale ** 2,
    etaLog: (g + z * slope) / scale,
    logLog: z * g + z * z * slope,
  };
}

function between(
  law: ErrorLaw,
  left: number,
  right: number,
  at: (t: number) => number,
  scale: number,
): Contribution {
  // Ends at 0 and at never add nothing.
  const ends = [
    ...(right === Infinity ? [] : [{ z: at(right), sign: 1 }]),
    ...(left === 0 ? [] : [{ z: at(left), sign: -1 }]),
  ];
  const sum = (of: (z: number) => number): number =>
    ends.reduce((s, { z, sign }) => s + sign * of(z), 0);
  const share =
    right === Infinity
      ? left === 0
        ? 1
        : law.S(at(left))
      : left === 0
        ? law.F(at(right))
        : law.S(at(left)) - law.S(at(right));
  const p = Math.max(share, 1e-300);
  const f = (z: number): number => law.f(z);
  const first = { eta: -sum(f) / scale, log: -sum((z) => z * f(z)) };
  const second = {
    etaEta: sum((z) => law.slope(z)) / scale ** 2,
    etaLog: sum((z) => f(z) + z * law.slope(z)) / scale,
    logLog: sum((z) => z * f(z) + z * z * law.slope(z)),
  };
  return {
    value: Math.log(p),
    eta: first.eta / p,
    log: first.log / p,
    etaEta: second.etaEta / p - (first.eta / p) ** 2,
    etaLog: second.etaLog / p - (first.eta * first.log) / p ** 2,
    logLog: second.logLog / p - (first.log / p) ** 2,
  };
}

/** Newton's step, or along the gradient where the surface does not bend down. */
function solve(
  hessian: readonly (readonly number[])[],
  gradient: readonly number[],
): number[] | null {
  try {
    const inverse = jStat.inv(hessian);
    const step = inverse.map((row) => row.reduce((s, v, k) => s + v * gradient[k]!, 0));
    if (step.some((s) => !Number.isFinite(s))) return null;
    const uphill = step.reduce((s, v, k) => s - v * gradient[k]!, 0) >= 0;
    return uphill ? step : gradient.map((g) => -g / (1 + Math.hypot(...gradient)));
  } catch {
    return null;
  }
}
