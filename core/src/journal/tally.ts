import type { Day } from '../days';
import { coalesce, sliceAlike, type Alike } from './alike';
import { LOSS_OUTCOMES, NO_COUNTS, type Between } from './cutting';
import type { EntryOf } from './entry';
import { OUTCOMES, type Counts, type Outcome } from './outcome';
import { countedElsewhere } from './parting';

export function sumCounts(counts: Counts): number {
  return counts.rooted + counts.pupped + counts.rotted + counts.dried + counts.lost;
}

/**
 * Why a count cannot follow the one before it, in the grower's words; empty if it can.
 * Asked about, never clipped.
 */
export function contradictions(before: Counts, after: Counts, count: number): readonly string[] {
  const problems: string[] = [];
  const total = sumCounts(after);
  if (total > count)
    problems.push(`${total} outcomes, but only ${count} in the batch. Take ${total - count} off.`);
  for (const loss of LOSS_OUTCOMES) {
    if (after[loss] < before[loss])
      problems.push(
        `${before[loss]} ${LOSS_WORD[loss]} at the last count, now ${after[loss]}. A loss does not come back.`,
      );
  }
  const gone = LOSS_OUTCOMES.reduce((sum, loss) => sum + after[loss] - before[loss], 0);
  const alive = (c: Counts): number => c.rooted + c.pupped;
  const fewer = alive(before) - alive(after);
  if (fewer > Math.max(gone, 0))
    problems.push(
      `${fewer} fewer with roots than at the last count, and ${gone > 0 ? `only ${gone}` : 'none'} lost since.`,
    );
  return problems;
}

const LOSS_WORD = { rotted: 'rotted', dried: 'dried up', lost: 'lost otherwise' } as const;

/** Cuttings that are still counted in this batch. */
export const isCounted = ({ left }: Pick<Alike, 'left'>): boolean =>
  !left || !countedElsewhere(left.why);

/**
 * Applies one tally to the cuttings it speaks of; those counted elsewhere are left alone.
 * @param counted the last day on which the whole batch was counted, or that of the cut
 */
export function applyTally(
  groups: readonly Alike[],
  tally: Pick<EntryOf<'tally'>, 'day' | 'counts' | 'places'>,
  counted: Day,
): readonly Alike[] {
  const look: Look = { day: tally.day, counted };
  if (tally.places) return applyPlaces(groups, tally.places, look);
  return tally.counts ? applyCounts(groups, tally.counts, look) : groups;
}

interface Look {
  readonly day: Day;
  readonly counted: Day;
}

/** Only the named places were looked at; the others keep their last look. */
function applyPlaces(
  groups: readonly Alike[],
  places: Readonly<Record<string, Outcome>>,
  look: Look,
): readonly Alike[] {
  const told = Object.entries(places)
    .map(([place, outcome]) => ({ place: Number(place), outcome }))
    .sort((a, b) => a.place - b.place);
  let t = 0;
  const out: Alike[] = [];
  for (const group of groups) {
    const end = group.from + group.count;
    while (t < told.length && told[t]!.place < group.from) t++;
    let at = group.from;
    for (; t < told.length && told[t]!.place < end; t++) {
      const { place, outcome } = told[t]!;
      if (group.left) continue;
      out.push(sliceAlike(group, at - group.from, place - at));
      out.push({
        ...become(sliceAlike(group, place - group.from, 1), outcome, look),
        placed: true,
      });
      at = place + 1;
    }
    out.push(sliceAlike(group, at - group.from, end - at));
  }
  return coalesce(out.filter(({ count }) => count > 0));
}

/**
 * A count says how many, not which. The fewest cuttings change, along the likeliest path: pups come
 * from the rooted, losses from the waiting; a waiting one whose place is known keeps it the longest.
 */
function applyCounts(groups: readonly Alike[], counts: Counts, look: Look): readonly Alike[] {
  const have: Record<Outcome, number> = { waiting: 0, ...NO_COUNTS };
  let pool = 0;
  for (const group of groups) {
    if (!isCounted(group)) continue;
    have[group.outcome] += group.count;
    pool += group.count;
  }
  const want: Record<Outcome, number> = {
    ...NO_COUNTS,
    ...pickCounts(counts),
    waiting: Math.max(0, pool - sumCounts(counts)),
  };
  let next = groups;
  for (const to of ['pupped', 'rooted', 'rotted', 'dried', 'lost', 'waiting'] as const) {
    for (const from of LIKELIEST_FROM[to]) {
      const moves = Math.min(want[to] - have[to], have[from] - want[from]);
      if (moves <= 0) continue;
      const moved = moveSome(next, from, to, moves, look);
      next = moved.groups;
      have[from] -= moved.count;
      have[to] += moved.count;
    }
  }
  return coalesce(next);
}

/** The first `most` of one outcome become another. */
function moveSome(
  groups: readonly Alike[],
  from: Outcome,
  to: Outcome,
  most: number,
  look: Look,
): { readonly groups: readonly Alike[]; readonly count: number } {
  let left = most;
  const out: Alike[] = [];
  for (const group of groups) {
    const n = group.outcome === from && !group.left ? Math.min(left, group.count) : 0;
    if (n > 0) out.push({ ...become(sliceAlike(group, 0, n), to, look), placed: false });
    if (n < group.count) out.push(n > 0 ? sliceAlike(group, n, group.count - n) : group);
    left -= n;
  }
  return { groups: out, count: most - left };
}

const LIKELIEST_FROM: Readonly<Record<Outcome, readonly Outcome[]>> = {
  pupped: ['rooted', 'waiting', 'lost', 'dried', 'rotted'],
  rooted: ['waiting', 'pupped', 'lost', 'dried', 'rotted'],
  rotted: ['waiting', 'rooted', 'pupped', 'dried', 'lost'],
  dried: ['waiting', 'rooted', 'pupped', 'rotted', 'lost'],
  lost: ['waiting', 'rooted', 'pupped', 'rotted', 'dried'],
  waiting: OUTCOMES.filter((o) => o !== 'waiting').toReversed(),
};

const pickCounts = (c: Counts): Counts => ({
  rooted: c.rooted,
  pupped: c.pupped,
  rotted: c.rotted,
  dried: c.dried,
  lost: c.lost,
});

/** A pup is taken as a sign of roots: what nobody saw before lies in the same interval. */
function become(cutting: Alike, outcome: Outcome, { day, counted }: Look): Alike {
  const seen = cutting.lastLook > counted ? cutting.lastLook : counted;
  // Told of a day before the cut, by a slip of one of the two: it cannot have ended before it began.
  const between: Between = { after: seen < day ? seen : day, by: day };
  const looked = { ...cutting, outcome, lastLook: day };
  switch (outcome) {
    case 'waiting': {
      const { rooted: _r, pupped: _p, lost: _l, ...fresh } = looked;
      return fresh;
    }
    case 'rooted': {
      const { pupped: _p, lost: _l, ...alive } = looked;
      return { ...alive, rooted: cutting.rooted ?? between };
    }
    case 'pupped': {
      const { lost: _l, ...alive } = looked;
      return {
        ...alive,
        rooted: cutting.rooted ?? between,
        pupped: cutting.pupped ?? between,
      };
    }
    default:
      return { ...looked, lost: cutting.lost ?? between };
  }
}

/** What a count may still be given to: waiting, and not gone. */
export function stillOpen(
  batch: {
    readonly count: number;
    readonly waiting: number;
    readonly here: { readonly waiting: number };
  },
  counts: Counts,
): number {
  return Math.max(0, batch.count - (batch.waiting - batch.here.waiting) - sumCounts(counts));
}

/**
 * A count after one more tap, or one taken off; null where that cannot be. Once nothing waits, a pup or a loss
 * comes from the rooted.
 */
export function stepCount(
  counts: Counts,
  outcome: keyof Counts,
  by: 1 | -1,
  open: number,
): Counts | null {
  const next = counts[outcome] + by;
  if (next < 0) return null;
  if (by === -1 || open > 0) return { ...counts, [outcome]: next };
  if (outcome === 'rooted' || counts.rooted === 0) return null;
  return { ...counts, [outcome]: next, rooted: counts.rooted - 1 };
}
