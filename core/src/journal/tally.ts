import type { Day } from '../days';
import { OUTCOMES, type Counts, type EntryOf, type Outcome } from './entry';
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
  readonly rooted?: Between;
  readonly pupped?: Between;
  readonly lost?: Between;
  /** False where only the number is known and the place in the tray was filled in. */
  readonly placed: boolean;
  /** Its place in the batch, from 0: stays its own whatever becomes of the others. */
  readonly place: number;
  /** It has left the batch. What it had come to by then stays counted here, unless it is counted elsewhere. */
  readonly left?: Left;
}

export interface Left {
  readonly day: Day;
  readonly why: Parting;
}

export const NO_COUNTS: Counts = { rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0 };
const LOSSES = ['rotted', 'dried', 'lost'] as const;

export const isLoss = (outcome: Outcome): outcome is (typeof LOSSES)[number] =>
  (LOSSES as readonly Outcome[]).includes(outcome);

export function startCuttings(count: number, cutOn: Day, from = 0): readonly Cutting[] {
  return Array.from({ length: count }, (_, i) => ({
    outcome: 'waiting' as const,
    lastLook: cutOn,
    placed: false,
    place: from + i,
  }));
}

export function countOutcomes(cuttings: readonly Cutting[]): Counts {
  const counts = { ...NO_COUNTS };
  for (const { outcome } of cuttings) if (outcome !== 'waiting') counts[outcome]++;
  return counts;
}

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
  for (const loss of LOSSES) {
    if (after[loss] < before[loss])
      problems.push(
        `${before[loss]} ${LOSS_WORD[loss]} at the last count, now ${after[loss]}. A loss does not come back.`,
      );
  }
  const gone = LOSSES.reduce((sum, loss) => sum + after[loss] - before[loss], 0);
  const alive = (c: Counts): number => c.rooted + c.pupped;
  const fewer = alive(before) - alive(after);
  if (fewer > Math.max(gone, 0))
    problems.push(
      `${fewer} fewer with roots than at the last count, and ${gone > 0 ? `only ${gone}` : 'none'} lost since.`,
    );
  return problems;
}

const LOSS_WORD = { rotted: 'rotted', dried: 'dried up', lost: 'lost otherwise' } as const;

/**
 * Applies one tally to the cuttings it speaks of.
 * @param counted the last day on which the whole batch was counted, or that of the cut
 */
export function applyTally(
  cuttings: readonly Cutting[],
  tally: Pick<EntryOf<'tally'>, 'day' | 'counts' | 'places'>,
  counted: Day,
): readonly Cutting[] {
  const look: Look = { day: tally.day, counted };
  if (tally.places) return applyPlaces(cuttings, tally.places, look);
  return tally.counts ? applyCounts(cuttings, tally.counts, look) : cuttings;
}

interface Look {
  readonly day: Day;
  readonly counted: Day;
}

/** Only the named places were looked at; the others keep their last look. */
function applyPlaces(
  cuttings: readonly Cutting[],
  places: Readonly<Record<string, Outcome>>,
  look: Look,
): readonly Cutting[] {
  return cuttings.map((cutting) => {
    const outcome = places[String(cutting.place)];
    return outcome === undefined || cutting.left
      ? cutting
      : { ...become(cutting, outcome, look), placed: true };
  });
}

/**
 * A count says how many, not which. The fewest cuttings change, along the likeliest path: pups come
 * from the rooted, losses from the waiting; a waiting one whose place is known keeps it the longest.
 */
function applyCounts(cuttings: readonly Cutting[], counts: Counts, look: Look): readonly Cutting[] {
  const have: Record<Outcome, number> = { waiting: 0, ...NO_COUNTS };
  for (const { outcome } of cuttings) have[outcome]++;
  const want: Record<Outcome, number> = {
    ...NO_COUNTS,
    ...pickCounts(counts),
    waiting: Math.max(0, cuttings.length - sumCounts(counts)),
  };
  const next = [...cuttings];
  for (const to of ['pupped', 'rooted', 'rotted', 'dried', 'lost', 'waiting'] as const) {
    for (const from of LIKELIEST_FROM[to]) {
      let moves = Math.min(want[to] - have[to], have[from] - want[from]);
      for (let i = 0; i < next.length && moves > 0; i++) {
        if (next[i]!.outcome !== from || next[i]!.left) continue;
        next[i] = { ...become(next[i]!, to, look), placed: false };
        have[from]--;
        have[to]++;
        moves--;
      }
    }
  }
  return next;
}

const LIKELIEST_FROM: Readonly<Record<Outcome, readonly Outcome[]>> = {
  pupped: ['rooted', 'waiting', 'lost', 'dried', 'rotted'],
  rooted: ['waiting', 'pupped', 'lost', 'dried', 'rotted'],
  rotted: ['waiting', 'rooted', 'pupped', 'dried', 'lost'],
  dried: ['waiting', 'rooted', 'pupped', 'rotted', 'lost'],
  lost: ['waiting', 'rooted', 'pupped', 'rotted', 'dried'],
  waiting: OUTCOMES.filter((o) => o !== 'waiting').reverse(),
};

const pickCounts = (c: Counts): Counts => ({
  rooted: c.rooted,
  pupped: c.pupped,
  rotted: c.rotted,
  dried: c.dried,
  lost: c.lost,
});

/** A pup is taken as a sign of roots: what nobody saw before lies in the same interval. */
function become(cutting: Cutting, outcome: Outcome, { day, counted }: Look): Cutting {
  const after = cutting.lastLook > counted ? cutting.lastLook : counted;
  const between: Between = { after, by: day };
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
