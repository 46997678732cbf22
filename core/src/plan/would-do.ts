import type { Day } from '../days';
import type { State } from '../journal';
import { enoughTogether } from './combination';
import { generationDays, reach } from './multiply';
import { plannedOutlook } from './planned-outlook';
import { readiness } from './readiness';
import type { Way } from './way';
import type { Wish } from './wish';

/** What would do where one plant does not give so many by then. */
export interface WouldDo {
  /** So many such plants, cut the same way on the same day; null where more than a house holds would be needed. */
  readonly plants: number | null;
  /** From it and its young, each cut again once it is large enough; null where that is years off. */
  readonly by: Day | null;
}

/** More such plants than these nobody has. */
const MOST_PLANTS = 60;
/** Who is cut from so often that years go by asks another question. */
const MOST_ROUNDS = 6;

/** @param ways of the wish, of a mother that is named */
export function wouldDo(state: State, wish: Wish, ways: readonly Way[]): WouldDo {
  return { plants: suchPlants(wish, ways), by: fromHerYoung(state, wish, ways) };
}

function suchPlants(wish: Wish, ways: readonly Way[]): number | null {
  const does = (plants: number): boolean => {
    const all = ways.map((way) => timesAsMany(way, plants));
    return (
      all.some((w) => w.needed !== null && w.needed <= (w.spare?.count ?? 0)) ||
      enoughTogether(wish, all)
    );
  };
  if (!does(MOST_PLANTS)) return null;
  let [low, high] = [1, MOST_PLANTS];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (does(middle)) high = middle;
    else low = middle;
  }
  return high;
}

/** Of so many plants as well as of one: what one of them lacks another has. */
const timesAsMany = (way: Way, plants: number): Way =>
  way.spare === null
    ? way
    : { ...way, spare: { ...way.spare, count: plants * way.spare.count, guess: null } };

function fromHerYoung(state: State, wish: Wish, ways: readonly Way[]): Day | null {
  const [most] = ways
    .filter((w) => w.spare !== null && w.spare.count > 0)
    .toSorted((a, b) => lives(b) - lives(a));
  if (!most) return null;
  const { belief, figures, spare } = most;
  const { likely } = reach(
    { start: 1, pieces: spare!.count, mothersStay: true, belief },
    wish.count + 1,
  );
  if (likely === null || likely > MOST_ROUNDS) return null;
  const days = generationDays(wish.cutOn, likely, (cutOn) => {
    const outlook = plannedOutlook(state, { ...wish, cutOn }, figures);
    return outlook && readiness(outlook, figures, 'saleable', cutOn).dayFor(0.9);
  });
  const last = days.at(-1) ?? null;
  return last !== null && last > wish.by ? last : null;
}

const lives = ({ spare, belief }: Way): number => (spare?.count ?? 0) * belief.mean;
