import jStat from 'jstat';
import { plantOf } from '../bench';
import type { MethodId } from '../botany';
import { addDays, type Day } from '../days';
import type { State } from '../journal';
import { combinationOf, type Combination } from './combination';
import { chanceOfAtLeast } from './number-needed';
import { PRACTICAL, wayOf, type Way } from './way';
import type { Wish } from './wish';

/** Why the best way is the best. */
export type WayReason =
  | 'only one of which there are enough'
  | 'only one ready in time'
  | 'takes fewest'
  | 'ready soonest'
  | 'least work'
  | 'least work among those it takes well';

/** What would change the answer. */
export type WayChange =
  | { readonly change: 'cut later'; readonly days: number; readonly needed: number | null }
  | { readonly change: 'warmer'; readonly byC: number; readonly needed: number | null }
  | {
      readonly change: 'more';
      readonly more: number;
      readonly from: number;
      readonly to: number;
    };

/** What could be done where no way gives so many by then. */
export type Instead =
  | {
      readonly instead: 'fewer';
      readonly method: MethodId;
      readonly plants: number;
      readonly from: number;
      /** Hers, or as many as one may ever take. */
      readonly hers: boolean;
    }
  | { readonly instead: 'later'; readonly soonest: Day }
  | { readonly instead: 'nothing grows' };

export interface Ways {
  readonly ways: readonly Way[];
  readonly best: Way | null;
  /** A way that costs as little work as the best, as far as is known; null where the ranges tell them apart. */
  readonly rival: Way | null;
  readonly reasons: readonly WayReason[];
  readonly changes: readonly WayChange[];
  /** Where no one way is enough. */
  readonly together: Combination | null;
  readonly instead: Instead | null;
}

const WARMER_C = 4;

/** All ways of a plant to what is wanted, side by side; null for an unknown plant. */
export function waysTo(state: State, wish: Wish): Ways | null {
  const plant = plantOf(state, wish.taxon);
  if (!plant) return null;
  const ways = plant.taxon.methods.map((figures) => wayOf(state, wish, figures));
  const possible = ways.filter((w) => w.within);
  const best =
    possible.length === 0 ? null : possible.reduce((a, b) => (effort(b) < effort(a) ? b : a));
  return {
    ways,
    best,
    rival: best && rivalOf(best, possible),
    reasons: best ? reasonsFor(best, possible, ways) : [],
    changes: best ? changesOf(state, wish, best) : [],
    together: combinationOf(state, wish, ways),
    instead: best ? null : insteadOf(wish, ways),
  };
}

/** Work, and twice as much of it where the plant takes the way badly. */
function effort({ minutes, figures }: Way): number {
  return (minutes ?? Infinity) * (figures.worth === 'poor' ? 2 : 1);
}

/** The best is called that where it is less work than each other way so surely. Working assumption; 0.7–0.9. */
const SURELY_LESS = 0.8;

/**
 * The closest of the other ways whose work the ranges do not tell from that of the best.
 * Work goes with the number to take, and so against the chance of one to live: its ln is taken as normal, eight times in
 * ten between what the low and the high end of the belief would make of it.
 */
function rivalOf(best: Way, possible: readonly Way[]): Way | null {
  const rivals = possible
    .filter((w) => w !== best)
    .map((w) => ({ w, surely: lessWork(best, w) }))
    .filter(({ surely }) => surely < SURELY_LESS)
    .sort((a, b) => a.surely - b.surely);
  return rivals[0]?.w ?? null;
}

/** Chance that one way is less work than another. */
function lessWork(a: Way, b: Way): number {
  const sd = Math.hypot(workSd(a), workSd(b));
  const apart = Math.log(effort(b)) - Math.log(effort(a));
  return sd === 0 ? (apart > 0 ? 1 : 0.5) : jStat.normal.cdf(apart / sd, 0, 1);
}

const workSd = ({ belief: { low, high } }: Way): number =>
  low > 0 ? Math.log(high / low) / (2 * TENTH) : Infinity;
/** The ninth decile of the normal distribution. */
const TENTH = jStat.normal.inv(0.9, 0, 1);

function reasonsFor(
  best: Way,
  possible: readonly Way[],
  ways: readonly Way[],
): readonly WayReason[] {
  const others = possible.filter((w) => w !== best);
  if (others.length === 0)
    return [
      ways.some((w) => w !== best && w.needed !== null)
        ? 'only one of which there are enough'
        : 'only one ready in time',
    ];
  const reasons: WayReason[] = [];
  if (others.every((w) => w.needed! >= best.needed!)) reasons.push('takes fewest');
  if (others.every((w) => (w.half ?? '9999') >= (best.half ?? '9999')))
    reasons.push('ready soonest');
  if (others.every((w) => w.minutes! >= best.minutes!)) reasons.push('least work');
  return reasons.length > 0 ? reasons : ['least work among those it takes well'];
}

const LATER_DAYS = 7;
const MORE = 5;

function changesOf(state: State, wish: Wish, best: Way): readonly WayChange[] {
  const changes: WayChange[] = [];
  const later = wayOf(
    state,
    { ...wish, cutOn: addDays(wish.cutOn, LATER_DAYS) },
    best.figures,
  ).needed;
  if (later !== best.needed) changes.push({ change: 'cut later', days: LATER_DAYS, needed: later });
  const warm = wayOf(state, wish, best.figures, WARMER_C).needed;
  if (warm !== best.needed) changes.push({ change: 'warmer', byC: WARMER_C, needed: warm });
  const chance = (n: number): number => chanceOfAtLeast(wish.count, n, best.chances);
  const [from, to] = [chance(best.needed!), chance(best.needed! + MORE)];
  // More of what is sure already is no news.
  if (Math.round(100 * to) > Math.round(100 * from))
    changes.push({ change: 'more', more: MORE, from, to });
  return changes;
}

/** The nearest thing that can be done. */
function insteadOf(wish: Wish, ways: readonly Way[]): Instead {
  const soonest = ways.flatMap((w) => w.to ?? []).sort()[0];
  const [most] = ways.map((w) => ({ way: w, n: reachable(wish, w) })).sort((a, b) => b.n - a.n);
  if (most && most.n > 0) {
    const { spare, method } = most.way;
    return {
      instead: 'fewer',
      method,
      plants: most.n,
      from: Math.min(PRACTICAL, spare?.count ?? PRACTICAL),
      hers: spare !== null && spare.count < PRACTICAL,
    };
  }
  return soonest === undefined ? { instead: 'nothing grows' } : { instead: 'later', soonest };
}

/** How many the practical number gives with the certainty that is asked for. */
function reachable({ certainty, count }: Wish, { chances, spare }: Way): number {
  const from = Math.min(PRACTICAL, spare?.count ?? PRACTICAL);
  let low = 0;
  let high = count;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (chanceOfAtLeast(middle, from, chances) >= certainty) low = middle;
    else high = middle;
  }
  return low;
}
