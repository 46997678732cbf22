import type { Day } from '../days';
import type { Counts, Outcome } from './outcome';
import type { Parting } from './parting';

/** Something happened after one look and by the next. */
export interface Between {
  readonly after: Day;
  readonly by: Day;
}

/** One cutting and what is known of it. */
export interface Cutting {
  readonly outcome: Outcome;
  /** The last day on which it was looked at by itself; a count of the whole batch looks at all. */
  readonly lastLook: Day;
  readonly rooted?: Between | undefined;
  readonly pupped?: Between | undefined;
  readonly lost?: Between | undefined;
  /** False where only the number is known and the place in the tray was filled in. */
  readonly placed: boolean;
  /** Its place in the batch, from 0: stays its own whatever becomes of the others. */
  readonly place: number;
  /** It has left the batch. What it had come to by then stays counted here, unless it is counted elsewhere. */
  readonly left?: Left | undefined;
}

export interface Left {
  readonly day: Day;
  readonly why: Parting;
}

export const NO_COUNTS: Counts = { rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0 };
export const LOSS_OUTCOMES = ['rotted', 'dried', 'lost'] as const;

/** It has roots, or the pup that stands for them. */
export const isRooted = ({ outcome }: Pick<Cutting, 'outcome'>): boolean =>
  outcome === 'rooted' || outcome === 'pupped';

export const isLoss = (outcome: Outcome): outcome is (typeof LOSS_OUTCOMES)[number] =>
  (LOSS_OUTCOMES as readonly Outcome[]).includes(outcome);
