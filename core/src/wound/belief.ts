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

/**
 * Spread of the factor from wound to wound: eight wounds in ten lie within a factor of 1.57 of the model, and
 * the rest further out than a bell would have them: some wounds weep for weeks. Working assumption; Student t with
 * four degrees of freedom on ln factor, this its scale. 0.16–0.4 make sense.
 */
export const PACE_SCALE = 0.2926;
/** A tenth part: {@link PACE_SCALE} times the ninth decile of Student's t with four degrees of freedom. */
const T4_NINTH_DECILE = 1.5332;
/** How often a look goes wrong whatever the wound. Working assumption: a thumb is wrong about one time in twenty. */
const MISJUDGED = 0.05;
/**
 * How near to closing a wound can be taken for open, on ln dose: one that is a quarter past its closing is called
 * tacky one time in twenty, one twice past it never. Working assumption; 0.05–0.15.
 */
const NEARLY = Math.log(1.25) / Math.log(19);

/** What is believed of a wound's pace before anyone looks at it: weights over the grid, any scale. */
export type PacePrior = readonly number[];

/**
 * From a thirtieth of the modelled pace up to so slow that no horizon reaches it: cut off sooner, the last tacky look
 * would squeeze the belief against the end, and a wound seen open later would be released earlier.
 */
const FASTEST = -Math.log(30);
const STEP = 0.02;
const POINTS = 571;
const gridAt = (i: number): number => FASTEST + i * STEP;
const SLOWEST = gridAt(POINTS - 1);
/** ln(factor) at the points of the grid. */
export const PACE_GRID: readonly number[] = Array.from({ length: POINTS }, (_, i) => gridAt(i));

/** Density of Student's t with four degrees of freedom, up to a constant. */
export const studentT4 = (x: number): number => (1 + (x * x) / 4) ** -2.5;

/** Heavy-tailed around the modelled pace. */
export const MODELLED_PACE: PacePrior = PACE_GRID.map((x) => studentT4(x / PACE_SCALE));

/** Half the width of the middle eight tenths of ln factor. */
export const PACE_NINTH_DECILE = PACE_SCALE * T4_NINTH_DECILE;

/**
 * How far apart on ln dose two looks have to be to be told by themselves: a hand that takes a wound for closed takes it
 * for closed again the next day. Working assumption, by simulation of a thumb twice as coarse that asks every day;
 * 0.5–1.5.
 */
const APART = 1;

/** A look and how much of it counts, 0–1. */
export interface WeighedLook extends WoundLook {
  readonly weight: number;
}

/**
 * Firm looks soon after one another are partly one look: whoever takes a wound for closed today does so tomorrow. Those
 * told before keep what they count, so that one more never speaks against closing. Tacky ones count whole: to take a
 * closed wound for open harms nobody.
 */
export function weighed(looks: readonly WoundLook[]): readonly WeighedLook[] {
  return looks.map((look, n) => {
    if (look.seen === 'tacky') return { ...look, weight: 1 };
    const gaps = looks
      .slice(0, n)
      .flatMap(({ seen, dose }) => (seen === 'firm' ? Math.abs(Math.log(look.dose / dose)) : []));
    return { ...look, weight: Math.min(1, Math.min(...gaps) / APART) };
  });
}

/**
 * How likely these looks are, were ln(factor) at a point of the grid. Two laws hang on its form: a tacky look is the
 * likelier the slower the wound, by a factor whose logarithm is concave, so that of two wounds the one that is still
 * tacky later is believed the slower; a firm look is the likelier the faster it is.
 */
export function looksLikelihood(looks: readonly WeighedLook[], i: number): number {
  let likelihood = 1;
  for (const { dose, seen, weight } of looks) {
    const past = dose > 0 ? Math.log(dose) - PACE_GRID[i]! : -Infinity;
    const open = (1 - MISJUDGED) / (1 + Math.exp(past / NEARLY));
    likelihood *= (seen === 'tacky' ? open : 1 - open) ** weight;
  }
  return likelihood;
}

/** The belief about a wound's pace after these looks, from what was believed before any. */
export function paceBelief(
  looks: readonly WoundLook[] = [],
  prior: PacePrior = MODELLED_PACE,
): PaceBelief {
  let total = 0;
  const told = weighed(looks);
  const cumulative: number[] = [];
  for (let i = 0; i < POINTS; i++) {
    total += prior[i]! * looksLikelihood(told, i);
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
  const at = (Math.log(dose) - FASTEST) / STEP;
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
  if (probability >= 1) return Math.exp(SLOWEST);
  let low = FASTEST;
  let high = SLOWEST;
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (chanceClosed(belief, Math.exp(middle)) < probability) low = middle;
    else high = middle;
  }
  return Math.exp(high);
}
