import jStat from 'jstat';
import { bisect } from '../bisect';

/**
 * Random effects: what several studies estimate differs by more than their errors, each has a truth of its own about a
 * common mean.
 *
 * Sources: DerSimonian & Laird 1986, Control. Clin. Trials 7, 177–188; Paule & Mandel 1982, J. Res. Natl. Bur. Stand.
 * 87, 377–385; REML: Viechtbauer 2005, J. Educ. Behav. Stat. 30, 261–293; interval: Knapp & Hartung 2003, Stat. Med. 22,
 * 2693–2710; prediction: Higgins, Thompson & Spiegelhalter 2009, J. R. Stat. Soc. A 172, 137–159; I²: Higgins & Thompson
 * 2002, Stat. Med. 21, 1539–1558.
 */

/** An estimate and the variance of its error, > 0. */
export interface Study {
  readonly y: number;
  readonly v: number;
}

export type TauMethod = 'DL' | 'PM' | 'REML';

export interface RandomEffects {
  readonly mean: number;
  /** Knapp–Hartung. */
  readonly se: number;
  readonly low: number;
  readonly high: number;
  /** Variance of the truths about their mean. */
  readonly tau2: number;
  readonly q: number;
  /** Of the scatter so much is no error, 0–1. */
  readonly i2: number;
  /** Where the truth of another study lies; null with fewer than two studies, as is the interval. */
  readonly prediction: { readonly low: number; readonly high: number };
}

const sum = (xs: readonly number[]): number => xs.reduce((a, b) => a + b, 0);

function weighted(studies: readonly Study[], tau2: number) {
  const w = studies.map(({ v }) => 1 / (v + tau2));
  const all = sum(w);
  const mean = sum(studies.map(({ y }, i) => w[i]! * y)) / all;
  const q = sum(studies.map(({ y }, i) => w[i]! * (y - mean) ** 2));
  return { w, all, mean, q };
}

const TAU2: Readonly<Record<TauMethod, (studies: readonly Study[]) => number>> = {
  DL(studies) {
    const { w, all, q } = weighted(studies, 0);
    const c = all - sum(w.map((x) => x * x)) / all;
    return Math.max(0, (q - (studies.length - 1)) / c);
  },
  PM(studies) {
    const lack = (tau2: number): number => studies.length - 1 - weighted(studies, tau2).q;
    return rootOf(lack);
  },
  REML(studies) {
    const slope = (tau2: number): number => {
      const { w, all, mean } = weighted(studies, tau2);
      const squares = sum(w.map((x) => x * x));
      const scatter = sum(studies.map(({ y }, i) => w[i]! ** 2 * (y - mean) ** 2));
      return all - squares / all - scatter;
    };
    return rootOf(slope);
  },
};

/** Where a function that rises in the end passes zero; 0 where it is above from the start. */
function rootOf(of: (tau2: number) => number): number {
  if (of(0) >= 0) return 0;
  let high = 1;
  while (of(high) < 0) high *= 2;
  return bisect(of, 0, high);
}

/**
 * The mean of studies whose truths differ.
 * @param studies two at least
 * @param level of the interval of the mean; that of the prediction is `within`
 * @throws RangeError for fewer than two studies, or a variance that is none
 */
export function randomEffects(
  studies: readonly Study[],
  {
    method = 'REML',
    level = 0.95,
    within = 0.8,
  }: {
    readonly method?: TauMethod;
    readonly level?: number;
    readonly within?: number;
  } = {},
): RandomEffects {
  const k = studies.length;
  if (k < 2) throw new RangeError('random effects need two studies at least');
  if (studies.some(({ v, y }) => !(v > 0) || !Number.isFinite(y)))
    throw new RangeError('a study needs an estimate and a variance above 0');
  const tau2 = TAU2[method](studies);
  const { all, mean, q: rest } = weighted(studies, tau2);
  const se = Math.sqrt(rest / (k - 1) / all);
  const t = (of: number): number => jStat.studentt.inv(0.5 + of / 2, k - 1);
  const fixed = weighted(studies, 0);
  const typical = ((k - 1) * fixed.all) / (fixed.all ** 2 - sum(fixed.w.map((x) => x * x)));
  const reach = t(within) * Math.sqrt(tau2 + se * se);
  return {
    mean,
    se,
    low: mean - t(level) * se,
    high: mean + t(level) * se,
    tau2,
    q: fixed.q,
    i2: tau2 / (tau2 + typical),
    prediction: { low: mean - reach, high: mean + reach },
  };
}
