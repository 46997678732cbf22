import type { Day } from '../days';
import { NO_COUNTS, type Between, type Cutting } from './cutting';
import type { Counts } from './outcome';

/**
 * Cuttings side by side of which the same is known. A batch folds over these, not over its cuttings one by one, so
 * that a count of ten thousand costs no more than one of ten.
 */
export type Alike = Omit<Cutting, 'place'> & {
  /** Place of the first; the others follow. */
  readonly from: number;
  readonly count: number;
};

export function startAlike(count: number, cutOn: Day, from = 0): readonly Alike[] {
  return count > 0 ? [{ outcome: 'waiting', lastLook: cutOn, placed: false, from, count }] : [];
}

export const countAlike = (groups: readonly Alike[]): number =>
  groups.reduce((sum, { count }) => sum + count, 0);

export function countOutcomes(groups: readonly Pick<Alike, 'outcome' | 'count'>[]): Counts {
  const counts = { ...NO_COUNTS };
  for (const { outcome, count } of groups) if (outcome !== 'waiting') counts[outcome] += count;
  return counts;
}

/** Every cutting by itself, in order of place. */
export function spread(groups: readonly Alike[]): readonly Cutting[] {
  const cuttings: Cutting[] = [];
  // Field by field, and all of one shape: ten thousand copies by spreading take thirty times as long.
  for (const { outcome, lastLook, rooted, pupped, lost, placed, left, from, count } of groups)
    for (let i = 0; i < count; i++)
      cuttings.push({ outcome, lastLook, rooted, pupped, lost, placed, left, place: from + i });
  return cuttings;
}

/** Cuttings gathered into groups; {@link spread} gives them back. */
export function gatherAlike(cuttings: readonly Cutting[]): readonly Alike[] {
  return coalesce(cuttings.map(({ place, ...same }) => ({ ...same, from: place, count: 1 })));
}

/** `count` of a group from its `skip`th on. */
export const sliceAlike = (group: Alike, skip: number, count: number): Alike => ({
  ...group,
  from: group.from + skip,
  count,
});

/** Neighbours of which the same is known become one group. */
export function coalesce(groups: readonly Alike[]): readonly Alike[] {
  const out: Alike[] = [];
  for (const group of groups) {
    const last = out.at(-1);
    if (last && last.from + last.count === group.from && sameKnown(last, group))
      out[out.length - 1] = { ...last, count: last.count + group.count };
    else if (group.count > 0) out.push(group);
  }
  return out;
}

const sameKnown = (a: Alike, b: Alike): boolean =>
  a.outcome === b.outcome &&
  a.lastLook === b.lastLook &&
  a.placed === b.placed &&
  sameBetween(a.rooted, b.rooted) &&
  sameBetween(a.pupped, b.pupped) &&
  sameBetween(a.lost, b.lost) &&
  a.left?.day === b.left?.day &&
  a.left?.why === b.left?.why;

const sameBetween = (a: Between | undefined, b: Between | undefined): boolean =>
  a === b || (b !== undefined && a?.after === b.after && a.by === b.by);
