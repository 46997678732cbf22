import { daysBetween, type Day } from '../days';
import type { Batch, Between } from '../journal';
import type { Timed } from '../stats';

/** What becomes of a cutting first: roots, or a loss. */
export const FATES = ['rooted', 'rotted', 'dried', 'lost'] as const;
export type Fate = (typeof FATES)[number];
export type Loss = Exclude<Fate, 'rooted'>;
export const LOSSES = FATES.filter((f): f is Loss => f !== 'rooted');

/** The cuttings of a batch as rows of time, in days from the cut, each between two looks. */
export interface FateRows {
  /** The first thing that became of each: roots or a loss. */
  readonly first: readonly Timed[];
  /** Pups, or a loss before any. */
  readonly pups: readonly Timed[];
  /** Losses, whether it had roots before or not. */
  readonly losses: readonly Timed[];
}

/** Cuttings that still wait are known to have waited until their last look. */
export function fateRows(batch: Pick<Batch, 'cutOn' | 'cuttings' | 'tallies'>): FateRows {
  const known = new Map<Day, number>();
  const since = (day: Day): number => {
    let days = known.get(day);
    if (days === undefined) known.set(day, (days = Math.max(0, daysBetween(batch.cutOn, day))));
    return days;
  };
  // A count of the whole batch looks at every cutting.
  const counted = since(batch.tallies.at(-1) ?? batch.cutOn);
  const first: Counted[] = [];
  const pups: Counted[] = [];
  const losses: Counted[] = [];
  for (const { outcome, rooted, pupped, lost, lastLook } of batch.cuttings) {
    const until = Math.max(since(lastLook), counted);
    const fate = rooted ?? lost;
    const end = pupped ?? lost;
    add(first, since, fate, rooted ? 'rooted' : outcome, until);
    add(pups, since, end, pupped ? 'pupped' : outcome, until);
    add(losses, since, lost, outcome, until);
  }
  return { first, pups, losses };
}

interface Counted extends Timed {
  count: number;
}

/** Cuttings alike are counted in one row: a batch has few days on which anyone looked. */
function add(
  rows: Counted[],
  since: (day: Day) => number,
  between: Between | undefined,
  cause: string,
  until: number,
): void {
  const left = between ? since(between.after) : until;
  const right = between ? since(between.by) : Infinity;
  const of = between ? cause : undefined;
  // From the end: neighbours in a tray were mostly counted together.
  for (let i = rows.length - 1; i >= 0; i--) {
    const row = rows[i]!;
    if (row.left === left && row.right === right && row.cause === of) {
      row.count++;
      return;
    }
  }
  rows.push(of === undefined ? { left, right, count: 1 } : { left, right, cause: of, count: 1 });
}
