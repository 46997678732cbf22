import { plantOf, seasonOn } from '../bench';
import type { SeasonState, TaxonMethod } from '../botany';
import { addDays, daysBetween, type Day } from '../days';
import type { State } from '../journal';
import { plantTime } from '../learn';
import { expected, numberNeeded } from './number-needed';
import { plannedOutlook } from './planned-outlook';
import { chancesByDay, growthDays } from './readiness';
import { PRACTICAL } from './way';
import type { Wish } from './wish';

/** The number needed for every day of cutting until the day it is wanted. */
export interface NeededOn {
  readonly day: Day;
  readonly needed: number | null;
  readonly season: SeasonState;
}

export interface NeededCurve {
  readonly days: readonly NeededOn[];
  /** The last day on which not much more is needed than at the best time; null where none is good. */
  readonly latest: Day | null;
}

/** Not much more than the fewest. Working assumption. */
const SENSIBLE = 1.5;

/** A chance below this is none: no number would do. */
const LEAST_CHANCE = 0.005;

/** @param from first day that is looked at; every day, or every few where the time is long */
export function neededCurve(
  state: State,
  wish: Wish,
  figures: TaxonMethod,
  from: Day,
): NeededCurve {
  const span = daysBetween(from, wish.by);
  if (span <= 0) return { days: [], latest: null };
  const step = Math.max(1, Math.ceil(span / 60));
  const { taxon } = plantOf(state, wish.taxon)!;
  const later = growthDays(figures.method, wish.size);
  const days: NeededOn[] = [];
  for (let n = 0; n < span; n += step) {
    const day = addDays(from, n);
    // The very piece that would be cut on that day: it dries where it dries, and stands where it stands.
    const outlook = plannedOutlook(state, { ...wish, cutOn: day }, figures)!;
    const time = plantTime(outlook.times, figures);
    const chances = chancesByDay(outlook, time, later, wish.by);
    days.push({
      day,
      needed:
        expected(chances) < LEAST_CHANCE
          ? null
          : numberNeeded(wish.count, wish.certainty, chances, PRACTICAL),
      season: seasonOn(state, taxon, wish.space, day).state,
    });
  }
  const fewest = Math.min(...days.map((d) => d.needed ?? Infinity));
  const sensible = days.filter(
    (d) => d.needed !== null && d.needed <= Math.max(fewest * SENSIBLE, fewest + 1),
  );
  return { days, latest: sensible.at(-1)?.day ?? null };
}
