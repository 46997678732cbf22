import { dueToSet, plantOf, rowOf } from '../bench';
import { grownAs } from '../botany';
import { addDays, type Day } from '../days';
import { spaceOn, type Batch, type State } from '../journal';
import { growthUnder, growthUntil, type GrowthChange, type GrowthUntil } from './space-growth';

/** Growth of a piece from its cut on, wherever it lay and stood: the one measure of when roots come. */
export interface GrowthLine {
  /** From the cut to the morning of a day, in days at the warmth of the plant's window in season; 0 before the cut. */
  at(day: Day): number;
  /** The first day by whose morning it has grown so much; null where that is beyond three years. */
  dayFor(growth: number): Day | null;
}

/** A plan looks no further ahead than this, days. */
export const FURTHEST_DAYS = 1100;

/** Where it is from a day on. */
interface Stay {
  readonly from: Day;
  readonly space: string;
}

/**
 * The line of a batch: bare where it dries, set where it stands, and on with every move.
 * @param change of its air: for “what if”
 */
export function growthOf(state: State, batch: Batch, change?: GrowthChange): GrowthLine | null {
  return lineOf(state, batch, () => batch.stuck ?? dueToSet(state, batch), change);
}

/** The same of what has been: what is not set as yet has lain where it dries until now. */
export function growthSoFar(state: State, batch: Batch): GrowthLine | null {
  return lineOf(state, batch, () => batch.stuck);
}

function lineOf(
  state: State,
  batch: Batch,
  setOn: () => Day | null,
  change: GrowthChange = {},
): GrowthLine | null {
  const plant = plantOf(state, batch.taxon)?.taxon;
  if (!plant) return null;
  const taxon = grownAs(plant, batch.method);
  const same = !change.byC && !change.lampHours && !change.guessesBy;
  const until = same ? growthUntil(state, taxon) : growthUnder(state, taxon, change);
  const stored = rowOf(state, batch).storedDays > 0;
  return lineOver(until, batch.cutOn, staysOf(batch, setOn, stored));
}

/** @param stored it lies dry and does not grow before it is set: seed */
function staysOf(batch: Batch, setOn: () => Day | null, stored: boolean): readonly Stay[] {
  const { moves, callusSpace, standSpace } = batch;
  const cutOn = stored ? setOn() : batch.cutOn;
  if (cutOn === null) return [];
  if (moves.length === 0 && (!callusSpace || callusSpace === standSpace))
    return [{ from: cutOn, space: standSpace }];
  const set = setOn();
  const turns = [cutOn, ...(set === null ? [] : [set]), ...moves.map((m) => m.day)]
    .filter((day) => day >= cutOn)
    .sort();
  return turns.map((from) => ({ from, space: spaceOn(batch, from, set !== null && from >= set) }));
}

function lineOver(until: GrowthUntil, cutOn: Day, stays: readonly Stay[]): GrowthLine {
  const at = (day: Day): number => {
    let sum = 0;
    for (let i = 0; i < stays.length; i++) {
      const { from, space } = stays[i]!;
      if (from >= day) break;
      const next = stays[i + 1]?.from;
      const to = next !== undefined && next < day ? next : day;
      if (to > from) sum += until(space, to) - until(space, from);
    }
    return sum;
  };
  return {
    at,
    dayFor(growth) {
      if (!(growth > 0)) return cutOn;
      let high = 32;
      while (at(addDays(cutOn, high)) < growth) {
        if (high >= FURTHEST_DAYS) return null;
        high = Math.min(2 * high, FURTHEST_DAYS);
      }
      let low = high === 32 ? 0 : Math.floor(high / 2);
      while (high - low > 1) {
        const middle = (low + high) >> 1;
        if (at(addDays(cutOn, middle)) < growth) low = middle;
        else high = middle;
      }
      return addDays(cutOn, high);
    },
  };
}
