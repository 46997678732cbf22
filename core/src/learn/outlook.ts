import { figuresOf } from '../bench';
import { addDays, type Day } from '../days';
import { FURTHEST_DAYS, growthOf, type GrowthChange, type GrowthLine } from '../growth';
import type { Batch, State } from '../journal';
import { memoOnce } from '../memo';
import {
  awaitedPups,
  awaitedRoots,
  chanceBy,
  chanceOfNone,
  firstGrowth,
  growthFor,
  rememberedOf,
  rootsAhead,
  type Awaited,
} from './awaited';
import { batchWithout, beliefOf, evidenceFor, paceIn, type Belief } from './belief';
import { ownLikelihood } from './cure-evidence';
import { BATCH_CELLS } from './cure-grid';
import { airAround, dayOfShare, type AirAround } from './guessed-air';
import { timesOf, type Times } from './times';
import { toldOf, type RootEvidence } from './told';

/** When pieces of a batch have what they wait for. */
export interface Ahead {
  readonly for: 'roots' | 'pups';
  /** That wait for it; 0 before it is cut, of the number planned. */
  readonly pieces: number;
  /** One in ten, half and nine in ten of those that will have it have it by the morning of. */
  readonly from: Day;
  readonly half: Day;
  readonly to: Day;
  /** Chance that one that waits ever has it. */
  readonly ever: number;
  readonly awaited: Awaited;
}

/**
 * The one clock of roots of a batch, all its looks laid in: everything that says when roots come reads it. What of it
 * nobody asks is not worked out.
 */
export interface Outlook {
  readonly line: GrowthLine;
  /** The same where months of its air are guessed; null where none is. */
  readonly around: AirAround | null;
  readonly belief: Belief;
  readonly times: Times;
  readonly roots: Ahead;
  readonly pups: Ahead | null;
  /** How many times as long as the window says its like take here, without what it has shown itself. */
  readonly usualPace: number;
  /** Weights of chance and pace of this very batch, its own looks laid in. */
  readonly own: () => Float64Array;
  /** The same without what this batch has shown: what could be expected of it. */
  readonly others: () => Float64Array;
}

/**
 * The outlook of a batch; null where its plant or way is unknown.
 * @param change of its air: for “what if”
 */
export function outlookOf(state: State, batch: Batch, change?: GrowthChange): Outlook | null {
  const figures = figuresOf(state, batch);
  const line = figures && growthOf(state, batch, change);
  if (!figures || !line) return null;
  const belief = memoOnce(() => beliefOf(state, batch.taxon, figures));
  const told = memoOnce(() => toldOf(state, batch));
  const times = timesOf(state, batch, figures);
  const others = (): Float64Array => {
    const is = told();
    const group = is && evidenceFor(state, batch.taxon, figures);
    return is && group ? batchWithout(group, batch.taxon, figures, belief(), is) : belief().batch;
  };
  const own = (): Float64Array => {
    const is = told();
    return is === null ? belief().batch : laidIn(others(), is);
  };
  const { cutOn } = batch;
  const around = memoOnce(() => airAround(state, batch, change));
  const { waiting, rooted } = standing(batch);
  const looked = batch.tallies.at(-1) ?? cutOn;
  const ahead = (kind: Ahead['for'], pieces: number, awaited: Awaited): Ahead =>
    aheadOf({ kind, pieces, awaited, line, around, cutOn, looked });
  const basis = memoOnce(() => {
    const without = others();
    const is = told();
    const awaited =
      is === null
        ? awaitedRoots(without, times.roots, 0)
        : rootsAhead(laidIn(without, is, scratch), times.roots, waitedFor(is));
    const { batch: believed, pace } = belief();
    return {
      pace: without === believed ? pace.factor : paceIn(without).factor,
      roots: ahead('roots', waiting, awaited),
    };
  });
  const pups = memoOnce(
    () =>
      times.pups &&
      ahead(
        'pups',
        rooted,
        rooted > 0
          ? awaitedPups(own(), times.pups, line.at(looked))
          : awaitedRoots(own(), times.pups, 0),
      ),
  );
  return {
    line,
    get around() {
      return around();
    },
    get belief() {
      return belief();
    },
    times,
    own,
    others,
    get usualPace() {
      return basis().pace;
    },
    get roots() {
      return basis().roots;
    },
    get pups() {
      return pups();
    },
  };
}

/** Pieces that stand here without roots, and with roots and no pup. */
function standing({ cuttings }: Batch): { readonly waiting: number; readonly rooted: number } {
  let [waiting, rooted] = [0, 0];
  for (const { left, outcome } of cuttings) {
    if (left) continue;
    if (outcome === 'waiting') waiting++;
    else if (outcome === 'rooted') rooted++;
  }
  return { waiting, rooted };
}

interface Awaiting {
  readonly kind: Ahead['for'];
  readonly pieces: number;
  readonly awaited: Awaited;
  readonly line: GrowthLine;
  readonly around: () => AirAround | null;
  readonly cutOn: Day;
  readonly looked: Day;
}

function aheadOf({ kind, pieces, awaited, line, around, cutOn, looked }: Awaiting): Ahead {
  const growth = (share: number): number => growthFor(awaited, share);
  const day = (share: number): (() => Day) =>
    memoOnce(
      () =>
        dayOfShare({ line, around: around() }, growth, share, looked) ??
        addDays(cutOn, FURTHEST_DAYS),
    );
  const [from, half, to] = [day(0.1), day(0.5), day(0.9)];
  return {
    for: kind,
    pieces,
    awaited,
    ever: awaited.ever,
    get from() {
      return from();
    },
    get half() {
      return half();
    },
    get to() {
      return to();
    },
  };
}

/** Growth at the last look of those that wait. */
function waitedFor({ waits }: RootEvidence): number {
  if (waits.length === 0) return 0;
  if (waits.length === 1) return waits[0]!.growth;
  const count = waits.reduce((n, w) => n + w.count, 0);
  return waits.reduce((sum, w) => sum + w.growth * w.count, 0) / count;
}

/** For who reads the belief of a batch once and keeps nothing of it. */
const scratch = new Float64Array(BATCH_CELLS);

/**
 * The belief of this batch: that of its plant without it, and what it has shown itself.
 * @param likely where it is written
 */
function laidIn(
  others: Float64Array,
  told: RootEvidence,
  likely = new Float64Array(BATCH_CELLS),
): Float64Array {
  ownLikelihood(told, others, likely);
  let most = mostOf(likely);
  // It went where nobody thought it could: then all of the grid is looked at.
  if (most < -30) most = mostOf(ownLikelihood(told, null, likely));
  let sum = 0;
  for (let i = 0; i < likely.length; i++) {
    const log = likely[i]! - most;
    sum += likely[i] = log < -40 ? 0 : others[i]! * Math.exp(log);
  }
  for (let i = 0; i < likely.length; i++) likely[i]! /= sum;
  return likely;
}

function mostOf(row: Float64Array): number {
  let most = -Infinity;
  for (const value of row) if (value > most) most = value;
  return most;
}

/** A look is worth it once a third of those that wait are likely to have it; where few ever will, half of those. */
const WORTH_LOOKING = 1 / 3;
const OF_FEW = 1 / 2;
/** … and at least one has it four times in five, as far as one ever will. */
const ONE_SURELY = 0.8;

/** The first day on which a look that costs something is worth it. */
export function worthLooking({ line }: Outlook, ahead: Ahead): Day {
  return line.dayFor(growthWorthLooking(ahead.awaited, Math.max(ahead.pieces, 1))) ?? ahead.to;
}

function growthWorthLooking(awaited: Awaited, pieces: number): number {
  return rememberedOf(awaited, `look/${pieces}`, () => {
    const enough = Math.min(WORTH_LOOKING, OF_FEW * awaited.ever);
    const growth = firstGrowth(awaited, (g) => chanceBy(awaited, g).mean >= enough);
    const one = ONE_SURELY * (1 - chanceOfNone(pieces, chanceBy(awaited, Infinity)));
    const surely = (g: number): boolean => 1 - chanceOfNone(pieces, chanceBy(awaited, g)) >= one;
    return surely(growth) ? growth : firstGrowth(awaited, surely);
  });
}

/** Growth by which this share of its kind has it, at the pace that is likeliest here. */
export function usualGrowth(
  { times, usualPace }: Outlook,
  kind: Ahead['for'],
  share: number,
): number {
  const { scale, shape } = (kind === 'pups' ? times.pups : null) ?? times.roots;
  return usualPace * scale * (-Math.log1p(-share)) ** (1 / shape);
}

/** The first day on which a look that costs nothing is worth it: from the start of the window of its kind on. */
export const beginsToShow = (outlook: Outlook, ahead: Ahead): Day =>
  outlook.line.dayFor(usualGrowth(outlook, ahead.for, 0.1)) ?? ahead.to;

/** With less of a chance to root than this a piece that waits wants help, not patience. */
const LITTLE_CHANCE = 0.25;
/** With as much it is given its time. */
const FAIR_CHANCE = 0.5;
/** Past so many times the window of its kind, as long as it likely takes here. */
const LONG_PAST = 1.5;

/**
 * From when on a piece has waited long: at its last look it had less than a quarter of a chance to root still, or the
 * window of its kind here is long past and no look says that it has a fair one. Null where it never comes to that.
 */
export function longFrom({ cutOn, tallies }: Batch, outlook: Outlook): Day | null {
  if (outlook.roots.awaited.ever < LITTLE_CHANCE) return tallies.at(-1) ?? cutOn;
  return tallies.length > 0 && isFair(outlook) ? null : windowPast(outlook);
}

/** By its looks, one that waits is as likely as not to root still: late, and no more than that. */
export const isFair = ({ roots }: Outlook): boolean => roots.awaited.ever >= FAIR_CHANCE;

/** The day on which the window of its kind here is long past. */
export const windowPast = (outlook: Outlook): Day | null =>
  outlook.line.dayFor(LONG_PAST * usualGrowth(outlook, 'roots', 0.9));
