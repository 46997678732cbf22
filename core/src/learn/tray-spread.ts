import { BATCH_LOGITS, LOG_NOT, LOG_SHARE, shareAt } from './cure-grid';

/** Narrower than this, trays are alike for all that anybody could count. */
export const LEAST_CORRELATION = 0.02;

const HALF_STEP = (BATCH_LOGITS[1]! - BATCH_LOGITS[0]!) / 2;
const FIRST = BATCH_LOGITS[0]! - HALF_STEP;
const LAST = BATCH_LOGITS.at(-1)! + HALF_STEP;

/**
 * How the chance of one batch lies about its plant's: a beta distribution of the plant's mean, as wide as cuttings of
 * one tray are alike.
 * @param logit of the plant's chance
 * @param correlation ρ of two cuttings of a tray, 0–1; below `LEAST_CORRELATION` it is taken as that
 * @returns weights over {@link BATCH_LOGITS}, sum 1
 * Source: the beta-binomial with mean p and correlation ρ has a + b = 1/ρ − 1.
 */
export function traySpread(logit: number, correlation: number): Float64Array {
  const worth = 1 / Math.max(correlation, LEAST_CORRELATION) - 1;
  const mean = shareAt(logit);
  return betaWeights(mean * worth, (1 - mean) * worth);
}

/** Weights of Beta(a, b) over {@link BATCH_LOGITS}, sum 1. */
export function betaWeights(a: number, b: number): Float64Array {
  const weights = new Float64Array(BATCH_LOGITS.length);
  let most = -Infinity;
  for (let i = 0; i < weights.length; i++) {
    weights[i] = a * LOG_SHARE[i]! + b * LOG_NOT[i]!;
    if (weights[i]! > most) most = weights[i]!;
  }
  let sum = 0;
  for (let i = 0; i < weights.length; i++) sum += weights[i] = Math.exp(weights[i]! - most);
  // What lies beyond the ends of the grid counts at its ends.
  const below = Math.exp(a * Math.log(shareAt(FIRST)) - most) / a / (2 * HALF_STEP);
  const above = Math.exp(b * Math.log(shareAt(-LAST)) - most) / b / (2 * HALF_STEP);
  weights[0]! += below;
  weights[weights.length - 1]! += above;
  sum += below + above;
  for (let i = 0; i < weights.length; i++) weights[i]! /= sum;
  return weights;
}

const kept = new Map<string, readonly Float64Array[]>();
const MOST_KEPT = 1000;

/** The spreads about a row of chances of one plant. @param shifts of its log-odds, evenly spaced about 0 */
export function traySpreads(
  shifts: readonly number[],
  logit: number,
  correlation: number,
): readonly Float64Array[] {
  const key = `${shifts.length}/${logit}/${correlation}`;
  let known = kept.get(key);
  if (!known) {
    if (kept.size > MOST_KEPT) kept.clear();
    kept.set(key, (known = shifts.map((shift) => traySpread(logit + shift, correlation))));
  }
  return known;
}
