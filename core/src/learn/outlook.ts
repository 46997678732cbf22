import { figuresOf } from '../bench';
import type { Day } from '../days';
import { addDays } from '../days';
import { FURTHEST_DAYS, growthOf, type GrowthLine } from '../growth';
import { countedElsewhere, isRooted, type Batch, type State } from '../journal';
import {
  awaitedPups,
  awaitedRoots,
  chanceBy,
  chanceOfAtMost,
  chanceOfNone,
  firstGrowth,
  growthFor,
  howMany,
  type Awaited,
  type HowMany,
} from './awaited';
import { batchWithout, beliefOf, evidenceFor, paceIn, type Belief } from './belief';
import { ownLikelihood } from './cure-evidence';
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

/** The one clock of roots of a batch, all its looks laid in: everything that says when roots come reads it. */
export interface Outlook {
  readonly line: GrowthLine;
  readonly belief: Belief;
  /** Weights of chance and pace of this very batch, its own looks laid in. */
  readonly own: Float64Array;
  /** The same without what this batch has shown: what could be expected of it. */
  readonly others: Float64Array;
  readonly times: Times;
  readonly roots: Ahead;
  readonly pups: Ahead | null;
}

/**
 * The outlook of a batch; null where its plant or way is unknown.
 * @param warmerC °C added to every day: for “what if”
 */
export function outlookOf(state: State, batch: Batch, warmerC = 0): Outlook | null {
  const figures = figuresOf(state, batch);
  const line = figures && growthOf(state, batch, warmerC);
  if (!figures || !line) return null;
  const belief = beliefOf(state, batch.taxon, figures);
  const told = toldOf(state, batch);
  const times = timesOf(state, batch, figures);
  const group = evidenceFor(state, batch.taxon, figures);
  const others =
    told && group ? batchWithout(group, batch.taxon, figures, belief, told) : belief.batch;
  const own = told === null ? belief.batch : laidIn(others, told);
  const waits = told?.waits ?? [];
  const waiting = batch.cuttings.filter((c) => c.outcome === 'waiting' && !c.left).length;
  const after = waits.length === 0 ? 0 : weighted(waits);
  const rooted = batch.cuttings.filter((c) => !c.left && c.outcome === 'rooted').length;
  const aheadOf = (pieces: number, kind: Ahead['for'], awaited: Awaited): Ahead => ({
    for: kind,
    pieces,
    ...windowOf(line, batch.cutOn, awaited),
    ever: awaited.ever,
    awaited,
  });
  return {
    line,
    belief,
    own,
    others,
    times,
    roots: aheadOf(waiting, 'roots', awaitedRoots(own, times.roots, after)),
    pups:
      times.pups &&
      aheadOf(
        rooted,
        'pups',
        rooted > 0
          ? awaitedPups(own, times.pups, line.at(batch.tallies.at(-1) ?? batch.cutOn))
          : awaitedRoots(own, times.pups, 0),
      ),
  };
}

const weighted = (waits: RootEvidence['waits']): number => {
  const count = waits.reduce((n, w) => n + w.count, 0);
  return waits.reduce((sum, w) => sum + w.growth * w.count, 0) / count;
};

/** The belief of this batch: that of its plant without it, and what it has shown itself. */
function laidIn(others: Float64Array, told: RootEvidence): Float64Array {
  let likely = ownLikelihood(told, others);
  let most = mostOf(likely);
  // It went where nobody thought it could: then all of the grid is looked at.
  if (most < -30) most = mostOf((likely = ownLikelihood(told)));
  let sum = 0;
  for (let i = 0; i < likely.length; i++)
    sum += likely[i] = others[i]! * Math.exp(likely[i]! - most);
  for (let i = 0; i < likely.length; i++) likely[i]! /= sum;
  return likely;
}

function mostOf(row: Float64Array): number {
  let most = -Infinity;
  for (const value of row) if (value > most) most = value;
  return most;
}

/** When one in ten, half and nine in ten of those that will have it have it. */
export function windowOf(
  line: GrowthLine,
  cutOn: Day,
  awaited: Awaited,
): Pick<Ahead, 'from' | 'half' | 'to'> {
  const day = (share: number): Day =>
    line.dayFor(growthFor(awaited, share)) ?? addDays(cutOn, FURTHEST_DAYS);
  return { from: day(0.1), half: day(0.5), to: day(0.9) };
}

/** How many of those that wait have it by the morning of a day. */
export const likelyBy = ({ line }: Outlook, { awaited, pieces }: Ahead, day: Day): HowMany =>
  howMany(pieces, chanceBy(awaited, line.at(day)));

/** A look is worth it once a third of those that wait are likely to have it; where few ever will, half of those. */
const WORTH_LOOKING = 1 / 3;
const OF_FEW = 1 / 2;
/** … and at least one has it four times in five, as far as one ever will. */
const ONE_SURELY = 0.8;

/** The first day on which a look that costs something is worth it: no later than nine in ten. */
export function worthLooking({ line }: Outlook, { awaited, pieces, to }: Ahead): Day {
  const { ever } = awaited;
  const all = Math.max(pieces, 1);
  const oneEver = 1 - chanceOfNone(all, chanceBy(awaited, Infinity));
  const growth = firstGrowth(awaited, (g) => {
    const chance = chanceBy(awaited, g);
    return (
      chance.mean >= Math.min(WORTH_LOOKING, OF_FEW * ever) &&
      1 - chanceOfNone(all, chance) >= ONE_SURELY * oneEver
    );
  });
  const day = line.dayFor(growth);
  return day !== null && day < to ? day : to;
}

/** Growth by which this share of its kind has it, at the pace that is likeliest here. */
export function usualGrowth({ times, others }: Outlook, kind: Ahead['for'], share: number): number {
  const { scale, shape } = (kind === 'pups' ? times.pups : null) ?? times.roots;
  return paceIn(others).factor * scale * (-Math.log1p(-share)) ** (1 / shape);
}

/** The first day on which a look that costs nothing is worth it: from the start of the window of its kind on. */
export const beginsToShow = (outlook: Outlook, { for: kind, to }: Ahead): Day => {
  const day = outlook.line.dayFor(usualGrowth(outlook, kind, 0.1));
  return day !== null && day < to ? day : to;
};

/** With less of a chance to root than this a piece that waits wants help, not patience. */
const LITTLE_CHANCE = 0.25;
/** Past so many times the window of its kind, as long as it likely takes here. */
const LONG_PAST = 1.5;

/**
 * From when on a piece has waited long: at its last look it had less than a quarter of a chance to root still, or the
 * window of its kind here is long past. Null where it never comes to that.
 */
export function longFrom({ cutOn, tallies }: Batch, outlook: Outlook): Day | null {
  if (outlook.roots.awaited.ever < LITTLE_CHANCE) return tallies.at(-1) ?? cutOn;
  return outlook.line.dayFor(LONG_PAST * usualGrowth(outlook, 'roots', 0.9));
}

/** How what was counted stands to what could be expected of such a batch. */
export interface OnItsWay {
  readonly day: Day;
  /** With roots or pups, of so many that are counted here. */
  readonly seen: number;
  readonly of: number;
  readonly expected: HowMany;
  readonly is: 'behind' | 'as expected' | 'ahead';
  /** Chance of so few, or fewer. */
  readonly chance: number;
}

/** As few as this, or as many, is told once in ten. */
const UNUSUAL = 0.1;

/** Whether a batch is on its way, by its last count; null before one. */
export function onItsWay(batch: Batch, { line, others, times }: Outlook): OnItsWay | null {
  const day = batch.tallies.at(-1);
  if (day === undefined) return null;
  const counted = batch.cuttings.filter((c) => !(c.left && countedElsewhere(c.left.why)));
  const seen = counted.filter(isRooted).length;
  const chance = chanceBy(awaitedRoots(others, times.roots, 0), line.at(day));
  const few = chanceOfAtMost(seen, counted.length, chance);
  const fewer = seen === 0 ? 0 : chanceOfAtMost(seen - 1, counted.length, chance);
  return {
    day,
    seen,
    of: counted.length,
    expected: howMany(counted.length, chance),
    is: few < UNUSUAL ? 'behind' : fewer > 1 - UNUSUAL ? 'ahead' : 'as expected',
    chance: few,
  };
}
