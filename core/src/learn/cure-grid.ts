/*
 * The grid on which beliefs of roots are kept: how much likelier a plant roots here than its own figures say, on the
 * log-odds, and how much longer it takes, as ln of a factor. Being shifts against each plant's own figures, what one
 * plant of a genus tells can be laid beside what another tells.
 */

/** Spread of the pace of a batch to come before any record, sd of ln. Working assumption; 0.2–0.6 make sense. */
export const PACE_SD = 0.4;
/** Of it so much between batches of one plant: weather, hand, the state of the mother. Working assumption; 0.1–0.3. */
export const BATCH_PACE_SD = 0.2;
/** … and the rest between plants and benches. */
export const PLANT_PACE_SD = Math.sqrt(PACE_SD ** 2 - BATCH_PACE_SD ** 2);

const axis = (to: number, step: number): readonly number[] => {
  const half = Math.round(to / step);
  return Array.from({ length: 2 * half + 1 }, (_, i) => (i - half) * step);
};

/** Shifts of the log-odds, and ln paces, of a plant and way. A bench six times as slow is still learned. */
export const SHIFTS = axis(5.6, 0.8);
export const PACES = axis(1.8, 0.2);
export const CELLS = SHIFTS.length * PACES.length;

/** Log-odds and ln paces of one batch, over which its plant's are spread. */
export const BATCH_LOGITS = axis(6, 0.5);
export const BATCH_PACES = axis(2.4, 0.1);
export const BATCH_CELLS = BATCH_LOGITS.length * BATCH_PACES.length;

/** How many batch paces lie between two of a plant, and before its first. */
export const PACE_STRIDE = 2;
export const PACE_MARGIN = 6;

/** Weights of the paces of batches about their plant's, half a spread apart; they sum to 1. */
export const PACE_REACH = 5;
export const PACE_SPREAD: readonly number[] = (() => {
  const raw = Array.from({ length: 2 * PACE_REACH + 1 }, (_, i) =>
    Math.exp(-0.5 * ((0.1 * (i - PACE_REACH)) / BATCH_PACE_SD) ** 2),
  );
  const sum = raw.reduce((a, b) => a + b, 0);
  return raw.map((w) => w / sum);
})();

export const shareAt = (logit: number): number => 1 / (1 + Math.exp(-logit));
export const logitOf = (share: number): number => Math.log(share / (1 - share));

/** ln p and ln (1 − p) at every log-odds of a batch. */
export const LOG_SHARE = Float64Array.from(BATCH_LOGITS, (l) => -Math.log1p(Math.exp(-l)));
export const LOG_NOT = Float64Array.from(BATCH_LOGITS, (l) => -Math.log1p(Math.exp(l)));
export const SHARE = Float64Array.from(BATCH_LOGITS, shareAt);
