import { plantOf, rootingPace, seasonOn } from '../bench';
import { growthOn, shareBy, slowed, timeOf, type SeasonState, type TaxonMethod } from '../botany';
import { addDays, daysBetween, type Day } from '../days';
import type { State } from '../journal';
import { successBelief } from './belief';
import { forOneBatch, numberNeeded } from './number-needed';
import { pacesOf } from './paces';
import { growthDays } from './readiness';
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
  const belief = forOneBatch(successBelief(state, wish.taxon, figures));
  const times = pacesOf(rootingPace(state, wish.taxon, figures)).map((pace) =>
    slowed(timeOf(figures), pace),
  );
  const later = growthDays(figures.method, wish.size);
  // Growth from any day to the day it is wanted, by one sum over all of them.
  const airs = Array.from({ length: span }, (_, n) =>
    seasonOn(state, taxon, wish.space, addDays(from, n)),
  );
  const growth = [0];
  for (const air of airs) growth.push(growth.at(-1)! + growthOn(taxon, air));
  const days: NeededOn[] = [];
  for (let n = 0; n < span; n += step) {
    const grown = growth[span]! - growth[n]! - later;
    const ready = times.map((time) => shareBy(time, grown));
    days.push({
      day: addDays(from, n),
      needed:
        Math.max(...ready) < 0.01
          ? null
          : numberNeeded(wish.count, wish.certainty, belief, ready, PRACTICAL),
      season: airs[n]!.state,
    });
  }
  const fewest = Math.min(...days.map((d) => d.needed ?? Infinity));
  const sensible = days.filter(
    (d) => d.needed !== null && d.needed <= Math.max(fewest * SENSIBLE, fewest + 1),
  );
  return { days, latest: sensible.at(-1)?.day ?? null };
}
