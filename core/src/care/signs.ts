import type { Day } from '../days';
import type { Batch, Sign } from '../journal';

/*
 * What a look tells beside its answer counts: roots that were seen want a count, roots that fill their pot a larger one.
 */

const OF_ROOTS: ReadonlySet<Sign> = new Set(['root-points', 'white-roots']);
const POT_BOUND: ReadonlySet<Sign> = new Set(['pot-bulging', 'roots-out']);

type Look = Batch['looks'][number];

export const showsRoots = ({ signs }: Pick<Look, 'signs'>): boolean =>
  signs?.some((s) => OF_ROOTS.has(s)) === true;

/** The day roots were seen that nobody has counted since; null where none were. */
export function rootsToCount({ looks, tallies }: Batch): Day | null {
  const seen = looks.findLast(showsRoots)?.day;
  const counted = tallies.at(-1) ?? '';
  return seen !== undefined && seen > counted ? seen : null;
}

/** The day roots were seen to fill their pot, if nothing was potted on since; null where they do not. */
export function potBound({ looks, pottings }: Batch): Day | null {
  const seen = looks.findLast((l) => l.signs?.some((s) => POT_BOUND.has(s)))?.day;
  const potted = pottings.at(-1)?.day ?? '';
  return seen !== undefined && seen > potted ? seen : null;
}
