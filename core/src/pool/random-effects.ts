import jStat from 'jstat';
import { betweenStudies, reml, weighted, type Study, type TauMethod } from './between-studies';

/*
 * Sources: interval: Knapp & Hartung 2003, Stat. Med. 22, 2693–2710; prediction: Higgins, Thompson & Spiegelhalter 2009,
 * J. R. Stat. Soc. A 172, 137–159; I²: Higgins & Thompson 2002, Stat. Med. 21, 1539–1558.
 */

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

/**
 * The mean of studies whose truths differ, with its interval and where another study lies.
 * @param studies two at least
 * @param level of the interval of the mean; that of the prediction is `within`
 * @throws RangeError for fewer than two studies, or a variance that is none
 */
export function randomEffects(
  studies: readonly Study[],
  {
    method = reml,
    level = 0.95,
    within = 0.8,
  }: {
    readonly method?: TauMethod;
    readonly level?: number;
    readonly within?: number;
  } = {},
): RandomEffects {
  const { mean, se, tau2 } = betweenStudies(studies, method);
  const k = studies.length;
  const t = (of: number): number => jStat.studentt.inv(0.5 + of / 2, k - 1);
  const { w, all, q } = weighted(studies, 0);
  const typical = ((k - 1) * all) / (all ** 2 - w.reduce((sum, x) => sum + x * x, 0));
  const reach = t(within) * Math.sqrt(tau2 + se * se);
  return {
    mean,
    se,
    low: mean - t(level) * se,
    high: mean + t(level) * se,
    tau2,
    q,
    i2: tau2 / (tau2 + typical),
    prediction: { low: mean - reach, high: mean + reach },
  };
}
