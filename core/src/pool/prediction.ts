import { logMarginal, placed, type Counted, type Placed } from './binomial-normal';
import { gaussHermite } from './quadrature';

/*
 * What a bench that nobody has seen yet may be like, after the counts of others: its share lies about a common one, and
 * both that one and how benches differ are known only so far.
 *
 * Source: prediction as in Higgins, Thompson & Spiegelhalter 2009 (J. R. Stat. Soc. A 172, 137–159); a half-normal prior
 * on the spread where benches are few: Gelman 2006, Bayesian Anal. 1, 515–534; its scale and use for log-odds: Röver et
 * al. 2021, Res. Synth. Methods 12, 448–474.
 */

/** Spread of the log-odds between benches beforehand: sd of a half-normal. Working assumption; 0.5–1. */
export const SPREAD_SCALE = 1;
/** The common log-odds beforehand: vague, mean 0 and this sd. */
const MEAN_SD = 2.5;
const TAUS: readonly number[] = [0.04, 0.18, 0.36, 0.58, 0.84, 1.16, 1.6, 2.3];
/** Weight of each spread beforehand: its density over the stretch it stands for. */
const TAU_PRIOR: readonly number[] = TAUS.map((tau, i) => {
  const low = i === 0 ? 0 : (TAUS[i - 1]! + tau) / 2;
  const high = i === TAUS.length - 1 ? 3 : (tau + TAUS[i + 1]!) / 2;
  return (high - low) * Math.exp(-0.5 * (tau / SPREAD_SCALE) ** 2);
});
const MEAN_POINTS = 5;
const BENCH_POINTS = 3;

/** A normal piece of a belief on the log-odds. */
export interface Piece {
  readonly weight: number;
  readonly mean: number;
  readonly sd: number;
}

/** The belief of a new bench: pieces whose weights sum to 1. */
export type Prediction = readonly Piece[];

/**
 * What the log-odds of a new bench may be. The order of counts does not matter.
 * @param counts by bench, effective; of none there is no prediction
 * @returns null where nothing was counted
 */
export function predicted(counts: readonly Counted[]): Prediction | null {
  const benches = counts.filter((c) => c.of > 0).map(placed);
  if (benches.length === 0) return null;
  // Sums of numbers hang on their order by a hair; a belief must not.
  benches.sort((a, b) => a.of - b.of || a.yes - b.yes);
  const { nodes, weights } = gaussHermite(MEAN_POINTS);
  const roughly = TAUS.map((tau, i) => roughlyAt(benches, tau, Math.log(TAU_PRIOR[i]!)));
  const likeliest = Math.max(...roughly.map((r) => r.log));
  const logs: number[] = [];
  // Spreads that even roughly are next to impossible are not worked out.
  const pieces = roughly
    .filter((r) => r.log > likeliest - NEXT_TO_NONE)
    .map(({ tau, centre, sd, prior }) => {
      const scale = Math.SQRT2 * 1.15 * sd;
      const terms = nodes.map((t, k) => {
        const mean = centre + scale * t;
        let log = -0.5 * (mean / MEAN_SD) ** 2 + t * t + Math.log(weights[k]!);
        for (const bench of benches) log += logMarginal(bench, mean, tau, BENCH_POINTS);
        return { mean, log };
      });
      const most = Math.max(...terms.map((t) => t.log));
      const shares = terms.map((t) => Math.exp(t.log - most));
      const sum = shares.reduce((a, b) => a + b, 0);
      const mean = shares.reduce((a, s, k) => a + s * terms[k]!.mean, 0) / sum;
      const variance = shares.reduce((a, s, k) => a + s * (terms[k]!.mean - mean) ** 2, 0) / sum;
      logs.push(most + Math.log(sum * scale) + prior);
      return { mean, sd: Math.sqrt(variance + tau * tau) };
    });
  const most = Math.max(...logs);
  const raw = logs.map((log) => Math.exp(log - most));
  const sum = raw.reduce((a, b) => a + b, 0);
  return pieces.map((p, i) => ({ ...p, weight: raw[i]! / sum }));
}

const NEXT_TO_NONE = 10;

/** Where the common log-odds lie at a spread, and how likely it is, taking each bench as normal. */
function roughlyAt(benches: readonly Placed[], tau: number, prior: number) {
  let [all, at] = [1 / MEAN_SD ** 2, 0];
  for (const { y, v } of benches) {
    const weight = 1 / (v + tau * tau);
    all += weight;
    at += y * weight;
  }
  const centre = at / all;
  let log = prior - 0.5 * Math.log(all) - 0.5 * (centre / MEAN_SD) ** 2;
  for (const { y, v } of benches) {
    const variance = v + tau * tau;
    log -= 0.5 * (Math.log(variance) + (y - centre) ** 2 / variance);
  }
  return { tau, centre, sd: 1 / Math.sqrt(all), prior, log };
}

/** ln density of a belief at a log-odds. */
export function logDensity(prediction: Prediction, logit: number): number {
  let sum = 0;
  for (const { weight, mean, sd } of prediction)
    sum += (weight / sd) * Math.exp(-0.5 * ((logit - mean) / sd) ** 2);
  return Math.log(sum / Math.sqrt(2 * Math.PI) + 1e-300);
}
