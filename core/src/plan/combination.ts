import type { MethodId } from '../botany';
import { addDays, type Day } from '../days';
import type { State } from '../journal';
import { atLeast, mostReached, plantsReady, sumOf } from './distribution';
import { MINUTES } from './minutes';
import { readyOfTwoCuts } from './second-cut';
import { wayOf, type Way } from './way';
import { yieldIn, type Yield } from './yields';
import type { Wish } from './wish';

/** So many of one kind, on a day. */
export interface Part {
  readonly method: MethodId;
  readonly taken: number;
}

/** Several ways together, where one gives not enough. */
export interface Combination {
  readonly parts: readonly Part[];
  /** Chance of all that is wanted, 0–1. */
  readonly chance: number;
  readonly enough: boolean;
  /** What they come to by the day. */
  readonly plants: Yield;
  /** So many are had with the certainty that is asked for; no more than wanted. */
  readonly reached: number;
  /** Cut again on that day, so many more are had with it; null where it gives no more in time. */
  readonly again: Again | null;
  /** Some of it nobody counted: it hangs on a plant of that build having so many. */
  readonly guessed: boolean;
}

/** A second cut of one kind. */
export interface Again {
  readonly method: MethodId;
  readonly day: Day;
  readonly chance: number;
  readonly reached: number;
}

/**
 * Days at 22 °C until a plant has again what it spared: heads break within three to six weeks and are large enough
 * some weeks later, leaves take a season. Common practice, no source; working assumptions.
 */
const AGAIN_DAYS: Partial<Readonly<Record<MethodId, number>>> = {
  leaf: 90,
  crown: 70,
  segment: 100,
  trailing: 70,
  branch: 120,
  offset: 90,
  'rooted-offset': 120,
  plantlet: 40,
};
/** Beyond so many of one kind in one sum nobody counts any more. */
const MOST_OF_A_KIND = 400;

/**
 * The ways of a mother put together until what is wanted is reached: the least work for a plant first, of the last
 * one no more than it takes; what the earlier ones then need not give stays on her.
 * @returns null where she gives nothing, or one way alone is enough
 * Source: chances of independent batches added by convolution.
 */
export function combinationOf(state: State, wish: Wish, ways: readonly Way[]): Combination | null {
  if (ways.some((w) => w.within)) return null;
  const { givers, most, sums } = sumsOf(wish, ways);
  if (givers.length === 0) return null;
  const parts = sums.length - 1;
  const taken = most.slice(0, parts);
  const enough = atLeast(wish.count, sums[parts]!) >= wish.certainty * (1 - 1e-9);
  // From the one that is most work backwards: no more of each than is needed beside all the others.
  if (enough)
    for (let i = parts - 1; i >= 0; i--) {
      const others = taken.reduce<readonly number[]>(
        (sum, n, j) => (j === i ? sum : sumOf(sum, fromHer(givers[j]!, n))),
        [1],
      );
      taken[i] = fewest(taken[i]!, (n) => {
        const sum = sumOf(others, fromHer(givers[i]!, n));
        return atLeast(wish.count, sum) >= wish.certainty * (1 - 1e-9);
      });
    }
  const total = taken.reduce<readonly number[]>(
    (sum, n, j) => sumOf(sum, fromHer(givers[j]!, n)),
    [1],
  );
  return {
    parts: taken.flatMap((n, i) => (n > 0 ? [{ method: givers[i]!.method, taken: n }] : [])),
    chance: atLeast(wish.count, total),
    enough,
    plants: yieldIn(total),
    reached: Math.min(wish.count, mostReached(wish.certainty, total)),
    again: enough ? null : againOf(state, wish, givers, taken),
    guessed: taken.some((n, i) => n > 0 && givers[i]!.spare!.guess !== null),
  };
}

/** Whether the ways together are enough, where no one way is. */
export const enoughTogether = (wish: Wish, ways: readonly Way[]): boolean =>
  atLeast(wish.count, sumsOf(wish, ways).sums.at(-1)!) >= wish.certainty * (1 - 1e-9);

/** The ways that give something, least work first, and what the first 0, 1, 2 … of them come to, until it is enough. */
function sumsOf(wish: Wish, ways: readonly Way[]) {
  const givers = ways
    .filter((w) => w.spare !== null && w.spare.count > 0 && w.ready >= 0.01)
    .toSorted((a, b) => workPerPlant(a) - workPerPlant(b));
  const most = givers.map((way) => Math.min(way.spare!.count, MOST_OF_A_KIND));
  const sums: (readonly number[])[] = [[1]];
  for (const [i, giver] of givers.entries()) {
    if (atLeast(wish.count, sums[i]!) >= wish.certainty * (1 - 1e-9)) break;
    sums.push(sumOf(sums[i]!, fromHer(giver, most[i]!)));
  }
  return { givers, most, sums };
}

/**
 * Chances of 0, 1 … `taken` plants ready of what she is thought to have: where nobody counted it, she may turn out to
 * have less.
 */
export function fromHer(way: Pick<Way, 'chances' | 'spare'>, taken: number): readonly number[] {
  const may = way.spare?.guess?.may;
  if (!may) return plantsReady(taken, way.chances);
  const out = new Array<number>(taken + 1).fill(0);
  for (const [n, times] of countBy(may, (has) => Math.min(has, taken)))
    plantsReady(n, way.chances).forEach((p, k) => (out[k]! += (p * times) / may.length));
  return out;
}

/** How many of a row have each of its values. */
function countBy(row: readonly number[], of: (n: number) => number): ReadonlyMap<number, number> {
  const out = new Map<number, number>();
  for (const n of row) out.set(of(n), (out.get(of(n)) ?? 0) + 1);
  return out;
}

/** The least number that will do, 0 … most; most is known to do. */
function fewest(most: number, does: (n: number) => boolean): number {
  let low = -1;
  let high = most;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (does(middle)) high = middle;
    else low = middle;
  }
  return high;
}

/**
 * A second cut once she has grown again what regrows soonest.
 * @param taken of each giver at the first cut
 */
function againOf(
  state: State,
  wish: Wish,
  givers: readonly Way[],
  taken: readonly number[],
): Again | null {
  const cuts = givers.map((way, i) => ({ way, taken: taken[i] ?? 0 }));
  const readyOf = (those: typeof cuts): readonly number[] =>
    those.reduce<readonly number[]>((sum, cut) => sumOf(sum, fromHer(cut.way, cut.taken)), [1]);
  const rounds = cuts.flatMap((cut) => {
    const { method, figures, spare, belief, paces } = cut.way;
    const days = AGAIN_DAYS[method];
    if (days === undefined) return [];
    const day = addDays(wish.cutOn, days);
    if (day >= wish.by) return [];
    const way = wayOf(state, { ...wish, cutOn: day }, figures);
    if (way.ready < 0.01) return [];
    const both = readyOfTwoCuts(
      { taken: cut.taken, paces },
      { taken: Math.min(spare!.count, MOST_OF_A_KIND), paces: way.paces },
      belief,
    );
    const sum = sumOf(readyOf(cuts.filter((other) => other !== cut)), both);
    return [
      {
        method,
        day,
        chance: atLeast(wish.count, sum),
        reached: Math.min(wish.count, mostReached(wish.certainty, sum)),
      },
    ];
  });
  const [best] = rounds.toSorted((a, b) => b.chance - a.chance || b.reached - a.reached);
  const without = Math.min(wish.count, mostReached(wish.certainty, readyOf(cuts)));
  return best && best.reached > without ? best : null;
}

const workPerPlant = ({ method, belief, ready, figures }: Way): number =>
  (MINUTES[method] * (figures.worth === 'poor' ? 2 : 1)) / Math.max(belief.mean * ready, 1e-6);
