import { assertFraction } from '../assert';
import { memoBy } from '../memo';
/**
 * What is believed about a wound's own pace: a factor on its closing time, 1 as modelled, 2 twice
 * as slow. Kept as a grid over ln(factor) so that looks at the wound narrow it by plain Bayes.
 */
export interface PaceBelief {
  /** Probability that ln(factor) ≤ `gridAt(i)`; rises to 1. */
  readonly cumulative: readonly number[];
}

/** A look at a wound: at this dose (modelled closures done) it was still tacky, or dry and firm. */
export interface WoundLook {
  readonly dose: number;
  readonly seen: 'tacky' | 'firm';
}

/** Spread of the factor from wound to wound. Working assumption, sd of the log; 0.2–0.5 make sense. */
export const PACE_SD = 0.35;
/** How often a look is misjudged. Working assumption: a thumb is wrong about one time in twenty. */
const MISJUDGED = 0.05;

/** What is believed of a wound's pace before anyone looks at it: weights over the grid, any scale. */
export type PacePrior = readonly number[];

const HALF_SPAN = 4 * PACE_SD;
const POINTS = 321;
const STEP = (2 * HALF_SPAN) / (POINTS - 1);
const gridAt = (i: number): number => -HALF_SPAN + i * STEP;
/** ln(factor) at the points of the grid. */
export const PACE_GRID: readonly number[] = Array.from({ length: POINTS }, (_, i) => gridAt(i));

/** Log-normal around the modelled pace. */
export const MODELLED_PACE: PacePrior = PACE_GRID.map((x) => Math.exp(-0.5 * (x / PACE_SD) ** 2));

/** A wound this many modelled closures on is closed, whatever its pace. */
export const SURE_DOSE = Math.exp(HALF_SPAN);

/** How likely these looks are, were ln(factor) at a point of the grid. */
export function looksLikelihood(looks: readonly WoundLook[], i: number): number {
  let likelihood = 1;
  for (const look of looks) {
    const closed = look.dose > 0 && PACE_GRID[i]! <= Math.log(look.dose);
    likelihood *= closed === (look.seen === 'firm') ? 1 - MISJUDGED : MISJUDGED;
  }
  return likelihood;
}

/** The belief about a wound's pace after these looks, from what was believed before any. */
export function paceBelief(
  looks: readonly WoundLook[] = [],
  prior: PacePrior = MODELLED_PACE,
): PaceBelief {
  let total = 0;
  const cumulative: number[] = [];
  for (let i = 0; i < POINTS; i++) {
    total += prior[i]! * looksLikelihood(looks, i);
    cumulative.push(total);
  }
  return { cumulative: cumulative.map((c) => c / total) };
}

/**
 * Chance that a wound is closed once the modelled closure has been done `dose` times over.
 * @param dose ∫ rate/τ dt, ≥ 0
 * @returns 0–1
 */
export function chanceClosed(belief: PaceBelief, dose: number): number {
  if (dose <= 0) return 0;
  const at = (Math.log(dose) + HALF_SPAN) / STEP;
  if (at <= 0) return 0;
  if (at >= POINTS - 1) return 1;
  const i = Math.floor(at);
  // Half a step back: a grid point's weight lies around it, not to its left.
  const below = i === 0 ? 0 : midpoint(belief, i - 1);
  return below + (midpoint(belief, i) - below) * (at - i);
}

const midpoint = ({ cumulative }: PaceBelief, i: number): number =>
  (cumulative[i]! + cumulative[Math.min(i + 1, POINTS - 1)]!) / 2;

/**
 * The dose at which a wound is closed with this probability.
 * @param probability 0–1
 */
export function doseFor(belief: PaceBelief, probability: number): number {
  assertFraction('probability', probability);
  return doses(belief, String(probability), () => searchDose(belief, probability));
}

// Wounds nobody has looked at share one belief, and every clock asks it the same few questions.
const doses = memoBy<PaceBelief, number>(64);

function searchDose(belief: PaceBelief, probability: number): number {
  let low = 0;
  let high = SURE_DOSE;
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (chanceClosed(belief, middle) < probability) low = middle;
    else high = middle;
  }
  return high;
}
