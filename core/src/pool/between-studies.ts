import { bisect } from '../bisect';

/*
 * Random effects: what several studies estimate differs by more than their errors, each has a truth of its own about a
 * common mean. Here the mean and the spread; intervals stand in `random-effects.ts`, whose quantiles the first screen
 * has no need of.
 *
 * Sources: DerSimonian & Laird 1986, Control. Clin. Trials 7, 177–188; Paule & Mandel 1982, J. Res. Natl. Bur. Stand.
 * 87, 377–385; REML: Viechtbauer 2005, J. Educ. Behav. Stat. 30, 261–293; error of the mean: Knapp & Hartung 2003, Stat.
 * Med. 22, 2693–2710.
 */

/** An estimate and the variance of its error, > 0. */
export interface Study {
  readonly y: number;
  readonly v: number;
}

/** The mean of what studies estimate, and how their truths differ. */
export interface BetweenStudies {
  readonly mean: number;
  /** Knapp–Hartung. */
  readonly se: number;
  /** Variance of the truths about their mean. */
  readonly tau2: number;
}

const sum = (xs: readonly number[]): number => xs.reduce((a, b) => a + b, 0);

export function weighted(studies: readonly Study[], tau2: number) {
  const w = studies.map(({ v }) => 1 / (v + tau2));
  const all = sum(w);
  const mean = sum(studies.map(({ y }, i) => w[i]! * y)) / all;
  const q = sum(studies.map(({ y }, i) => w[i]! * (y - mean) ** 2));
  return { w, all, mean, q };
}

/** How the variance between studies is estimated; a function each, so that only what is asked for is fetched. */
export type TauMethod = (studies: readonly Study[]) => number;

/** DerSimonian and Laird's, by moments. */
export const dersimonianLaird: TauMethod = (studies) => {
  const { w, all, q } = weighted(studies, 0);
  const c = all - sum(w.map((x) => x * x)) / all;
  return Math.max(0, (q - (studies.length - 1)) / c);
};

/** Paule and Mandel's: scatter is what is expected of it. */
export const pauleMandel: TauMethod = (studies) =>
  rootOf((tau2) => studies.length - 1 - weighted(studies, tau2).q);

/** Restricted maximum likelihood. */
export const reml: TauMethod = (studies) =>
  rootOf((tau2) => {
    const { w, all, mean } = weighted(studies, tau2);
    const squares = sum(w.map((x) => x * x));
    const scatter = sum(studies.map(({ y }, i) => w[i]! ** 2 * (y - mean) ** 2));
    return all - squares / all - scatter;
  });

/** Where a function that rises in the end passes zero; 0 where it is above from the start. */
function rootOf(of: (tau2: number) => number): number {
  if (of(0) >= 0) return 0;
  let high = 1;
  while (of(high) < 0) high *= 2;
  return bisect(of, 0, high);
}

/**
 * @param studies two at least
 * @throws RangeError for fewer than two studies, or a variance that is none
 */
export function betweenStudies(
  studies: readonly Study[],
  tau2Of: TauMethod = reml,
): BetweenStudies {
  const k = studies.length;
  if (k < 2) throw new RangeError('random effects need two studies at least');
  if (studies.some(({ v, y }) => !(v > 0) || !Number.isFinite(y)))
    throw new RangeError('a study needs an estimate and a variance above 0');
  const tau2 = tau2Of(studies);
  const { all, mean, q } = weighted(studies, tau2);
  return { mean, se: Math.sqrt(q / (k - 1) / all), tau2 };
}
