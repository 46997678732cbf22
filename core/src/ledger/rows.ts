import { daysBetween } from '../days';
import type { Batch } from '../journal';
import type { Timed } from '../stats';

/** What becomes of a cutting first: roots, or a loss. */
export const FATES = ['rooted', 'rotted', 'dried', 'lost'] as const;
export type Fate = (typeof FATES)[number];

/**
 * The cuttings of a batch as rows of time: days from the cut to the first thing that became of each, between two
 * looks; those that still wait are known to have waited until their last look.
 */
export function fateRows(batch: Pick<Batch, 'cutOn' | 'cuttings' | 'tallies'>): readonly Timed[] {
  const since = (day: string): number => Math.max(0, daysBetween(batch.cutOn, day));
  // A count of the whole batch looks at every cutting.
  const counted = batch.tallies.at(-1) ?? batch.cutOn;
  const rows = new Map<string, { left: number; right: number; cause?: string; count: number }>();
  for (const { outcome, rooted, lost, lastLook } of batch.cuttings) {
    const cause = rooted ? 'rooted' : lost ? outcome : undefined;
    const between = rooted ?? lost;
    const row = between
      ? { left: since(between.after), right: since(between.by), cause: cause! }
      : { left: since(lastLook > counted ? lastLook : counted), right: Infinity };
    const key = `${row.left}/${row.right}/${cause ?? ''}`;
    const known = rows.get(key);
    if (known) known.count++;
    else rows.set(key, { ...row, count: 1 });
  }
  return [...rows.values()];
}
