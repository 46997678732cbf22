import type { Batch, TaskId } from '../journal';
import type { Day } from '../days';
import type { Broken } from '../faults';
import type { Drink } from '../water';
import type { Notice } from './notices';

/** What today asks of a batch. One batch may stand in more than one band. */
export type RoundItem = LeaveAlone | Look | Do;

export interface LeaveAlone {
  readonly band: 'leave';
  /** A shut gate, a pot that is wet enough, roots that grow unwatched. */
  readonly kind: 'gate' | 'water' | 'rooting';
  readonly batch: Batch;
  /** Nothing is asked before this day … */
  readonly until: Day;
  /** … and it may be as early or late as this. */
  readonly earliest: Day;
  readonly latest: Day;
  /** How far the wound has likely closed, 0–1. */
  readonly closure: number;
  readonly reason: string;
}

export interface Look {
  readonly band: 'look';
  readonly kind: Extract<
    TaskId,
    'wound' | 'roots' | 'pups' | 'overdue' | 'stopped' | 'pool' | 'leaf-off'
  >;
  readonly batch: Batch;
  readonly closure: number;
  readonly title: string;
  readonly reason: string;
  readonly sure: string;
}

export interface Do {
  readonly band: 'do';
  readonly kind: Extract<
    TaskId,
    | 'cut'
    | 'stick'
    | 'first-water'
    | 'water'
    | 'mist'
    | 'pot-on'
    | 'jar-stir'
    | 'jar-change'
    | 'wean'
    | 'light'
    | 'feed'
  >;
  readonly batch: Batch;
  readonly closure: number;
  /** How many cuttings it is about. */
  readonly count: number;
  readonly title: string;
  readonly reason: string;
  /** How sure it is, and by what. */
  readonly sure: string;
  /** What to give, where pot and mix are told. */
  readonly drink?: Drink | undefined;
}

export interface Round {
  readonly leave: readonly LeaveAlone[];
  readonly look: readonly Look[];
  readonly do: readonly Do[];
  /** What concerns no single batch: frost, the end of a season, orders. */
  readonly notices: readonly Notice[];
  /** Batches that could not be worked out, and why: said instead of everything else of them. */
  readonly broken: readonly Broken<Batch>[];
}
