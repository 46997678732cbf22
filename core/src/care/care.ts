import type { CourseId } from '../course';
import type { Day } from '../days';
import type { Batch, TaskId } from '../journal';
import type { Drink } from '../water';
import type { Reason, Sure } from './reason';

/** Something today asks of a batch: to look, or to do. */
export type Ask = Look | Do;

interface Asked {
  readonly batch: Batch;
  /** How far the wound has likely closed, 0–1. */
  readonly closure: number;
  /** The pieces it concerns. */
  readonly count: number;
  /** Due since this day; days since then, without a cap. */
  readonly since: Day;
  readonly late: number;
  readonly reason: Reason;
  readonly sure: Sure;
}

export interface Look extends Asked {
  readonly band: 'look';
  readonly kind: Extract<
    TaskId,
    | 'wound'
    | 'roots'
    | 'pups'
    | 'overdue'
    | 'stopped'
    | 'pool'
    | 'leaf-off'
    | 'alive'
    | 'neighbour'
    | 'again'
  >;
}

export interface Do extends Asked {
  readonly band: 'do';
  readonly kind: Extract<
    TaskId,
    | 'water-mother'
    | 'cut'
    | 'stick'
    | 'first-water'
    | 'water'
    | 'mist'
    | 'pot-on'
    | 'pot-water'
    | 'jar-stir'
    | 'jar-change'
    | 'jar-feed'
    | 'wean'
    | 'light'
    | 'feed'
    | 'air'
  >;
  /** It is laid on the mix, not set into it. */
  readonly onto?: true;
  /** How its first water is given. */
  readonly manner?: 'misted' | 'poured' | undefined;
  /** What to give, where pot and mix are told. */
  readonly drink?: Drink | undefined;
}

/** What to leave alone. */
export const LEAVES = [
  'planned',
  'gate',
  'drying',
  'held',
  'water',
  'rooting',
  'jar',
  'shade',
  'rest',
  'grown',
  'postponed',
] as const;
export type LeaveKind = (typeof LEAVES)[number];

export interface Leave {
  readonly band: 'leave';
  readonly kind: LeaveKind;
  readonly batch: Batch;
  readonly closure: number;
  readonly count: number;
  /** Nothing is asked before this day … */
  readonly until: Day;
  /** … and it may be as early or late as this. */
  readonly earliest: Day;
  readonly latest: Day;
  readonly reason: Reason;
}

export const STEPS = [
  'water-mother',
  'cut',
  'callused',
  'stick',
  'gate',
  'first-water',
  'roots',
  'wean',
  'pups',
  'light',
  'feed',
  'pot-on',
] as const;
export type StepId = (typeof STEPS)[number];

/** A station in the life of a batch. */
export type Step = {
  readonly id: StepId;
  /** The pieces it is about, where that is not all of them. */
  readonly count?: number | undefined;
} & (
  | { readonly is: 'done' | 'ahead'; readonly from: Day; readonly to: Day }
  /** Asked today, since `from`. */
  | { readonly is: 'due' | 'late'; readonly from: Day; readonly to: Day }
  /** It was passed over: something after it was done. */
  | { readonly is: 'skipped' }
  /** It cannot be said: the clock stands still, or nothing is known. */
  | { readonly is: 'open' }
);

/** The one answer for a batch on a day. */
export interface Care {
  readonly course: CourseId;
  /** The whole life, past and ahead, in its order. */
  readonly steps: readonly Step[];
  readonly asks: readonly Ask[];
  readonly leave: readonly Leave[];
}
