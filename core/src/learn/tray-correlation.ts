import { logBetaRatio } from '../stats';
import { SHIFTS, shareAt } from './cure-grid';

/*
 * How alike cuttings of one tray fare, learned: from settled batches of the same plant and way, whose shares differ by
 * more than luck where trays differ.
 *
 * Source: the beta-binomial of mean p and intraclass correlation ρ (Williams 1975, Biometrics 31, 949–952).
 */

const CORRELATIONS: readonly number[] = [0.005, 0.02, 0.05, 0.1, 0.15, 0.2, 0.3, 0.4, 0.5];
export const CORRELATION_CELLS = SHIFTS.length * CORRELATIONS.length;

/** Before any record: one in ten, in the mean. Working assumption; 0.03–0.3 make sense. */
export const USUAL_CORRELATION = 0.1;

/** Weights of the correlations beforehand: Beta(1, 9) by the stretch each stands for. */
const PRIOR: readonly number[] = CORRELATIONS.map((rho, i) => {
  const low = i === 0 ? 0 : (CORRELATIONS[i - 1]! + rho) / 2;
  const high = i === CORRELATIONS.length - 1 ? 0.6 : (rho + CORRELATIONS[i + 1]!) / 2;
  return (1 - low) ** 9 - (1 - high) ** 9;
});

/** A settled batch: so many of its cuttings lived. */
export interface SettledTray {
  /** Log-odds of its plant's own figures. */
  readonly logit: number;
  readonly lived: number;
  readonly lost: number;
}

/** ln likelihood of a tray at every chance of its plant and every correlation. Evidence adds up by plant and way. */
export function correlationVector({ logit, lived, lost }: SettledTray): Float64Array {
  const out = new Float64Array(CORRELATION_CELLS);
  for (let x = 0, at = 0; x < SHIFTS.length; x++) {
    const mean = shareAt(logit + SHIFTS[x]!);
    for (const rho of CORRELATIONS) {
      const worth = 1 / rho - 1;
      out[at++] = logBetaRatio(lived, lost, mean * worth, (1 - mean) * worth);
    }
  }
  return out;
}

/** What one plant and way tell: the sum of its trays, and what was believed of its chance. */
export interface CorrelationSum {
  readonly logit: number;
  readonly worth: number;
  readonly sum: Float64Array;
}

/**
 * The correlation of two cuttings of a tray after all settled trays, in steps of 0.02: what hangs on it is worked out
 * anew only when it has moved by that.
 * @returns `LEAST_CORRELATION` to 0.5
 */
export function correlationFrom(plants: Iterable<CorrelationSum>): number {
  const logs = PRIOR.map(Math.log);
  for (const { logit, worth, sum } of plants) {
    const mean = shareAt(logit);
    const prior = SHIFTS.map((shift) => {
      const p = shareAt(logit + shift);
      return mean * worth * Math.log(p) + (1 - mean) * worth * Math.log1p(-p);
    });
    for (let r = 0; r < CORRELATIONS.length; r++) {
      const cells = prior.map((log, x) => log + sum[x * CORRELATIONS.length + r]!);
      const most = Math.max(...cells);
      logs[r]! += most + Math.log(cells.reduce((all, c) => all + Math.exp(c - most), 0));
    }
  }
  const most = Math.max(...logs);
  const weights = logs.map((log) => Math.exp(log - most));
  const all = weights.reduce((sum, w) => sum + w, 0);
  const mean = weights.reduce((sum, w, i) => sum + w * CORRELATIONS[i]!, 0) / all;
  return Math.max(0.02, Math.round(mean * 50) / 50);
}
