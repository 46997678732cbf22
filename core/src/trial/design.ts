import { correctedPowerOf, eachNeededExactly, exactPowerOf } from '../stats';

/** The chance to call ways different that are not, over all comparisons of a trial. */
export const TRIAL_ALPHA = 0.05;
/** Up to this many in each arm the chance to find it is worked out exactly. */
const EXACT_UP_TO = 200;

export interface TrialSize {
  readonly arms: number;
  /** The shares expected: of what is done usually, and one that would be worth changing for. */
  readonly usual: number;
  readonly better: number;
  /** The chance wanted to find such a difference, 0–1. */
  readonly power: number;
}

/** What each of the comparisons with the first arm may err by, so that all of them keep to `TRIAL_ALPHA`. */
export const alphaOf = (arms: number): number => TRIAL_ALPHA / Math.max(1, arms - 1);

/** Cuttings wanted in each arm; null where no sensible number would do. Source: Fisher's exact test, Bonferroni. */
export function eachFor({ arms, usual, better, power }: TrialSize): number | null {
  return eachNeededExactly(power, usual, better, alphaOf(arms));
}

/** The chance to find the difference with so many in each arm, 0–1. */
export function chanceToFind(each: number, { arms, usual, better }: TrialSize): number {
  const alpha = alphaOf(arms);
  return each <= EXACT_UP_TO
    ? exactPowerOf(each, each, usual, better, alpha)
    : correctedPowerOf(each, usual, better, alpha);
}
