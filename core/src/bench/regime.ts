import { addDays, type Day } from '../days';
import { isRooted, type Batch, type State } from '../journal';
import { HOLD_AFTER, type RegimeId } from '../water';
import { hadRoots, hasRoots, isLaid, rowOf, unrootedWaterOf } from './course-of';
import { rootsSince } from './first-drink';
import { allPotted, potting } from './potting';

/** What came with roots of its own and was set on the surface stands steady so long after. Common practice, no source. */
const STEADY_AFTER = 7;

/**
 * The day from which the young roots of what shares a tray hold in its mix, half of them counted; null while that
 * cannot be said. What has pups or was seen to have taken hold has them now.
 */
export function rootsHoldFrom(state: State, batch: Batch): Day | null {
  const standing = batch.cuttings.filter((c) => !c.left && isRooted(c));
  const living = batch.here.waiting + batch.here.rooted + batch.here.pupped;
  const half = Math.ceil(living / 2);
  if (half === 0) return null;
  const nth = (days: readonly Day[]): Day | null => days.toSorted()[half - 1] ?? null;
  const rooted = nth(standing.flatMap((c) => c.rooted?.by ?? []));
  const own = hadRoots(state, batch);
  if (own && rooted !== null) return rooted;
  if (own) return batch.stuck === null ? null : addDays(batch.stuck, STEADY_AFTER);
  const pupped = nth(standing.flatMap((c) => c.pupped?.by ?? []));
  const held = rooted === null ? null : addDays(rooted, HOLD_AFTER);
  return pupped !== null && (held === null || pupped < held) ? pupped : held;
}

/**
 * What a batch is given on a day until its roots drink for a pot: by what it has; null once its school waters it.
 * Small young plants that share a tray are sprayed until their roots hold, then sip at the base, until each stands in
 * a pot of its own.
 * @param holds as {@link rootsHoldFrom} says
 */
export function regimeOn(
  state: State,
  batch: Batch,
  day: Day,
  holds: Day | null = rootsHoldFrom(state, batch),
): RegimeId | null {
  if (allPotted(batch)) return null;
  const { young } = rowOf(state, batch);
  if (!hasRoots(state, batch)) return unrootedWaterOf(state, batch);
  if (young !== null) return young;
  if (!isLaid(state, batch)) return null;
  return holds !== null && holds <= day ? 'base' : 'mist';
}

/** The day since when what {@link regimeOn} says of a day holds: it was set, has roots, they hold, or it was potted. */
export function regimeFrom(state: State, batch: Batch, day: Day): Day {
  const { last, since } = potting(batch);
  const set = since ?? batch.cutOn;
  if (last !== null) return set;
  const roots = hadRoots(state, batch) ? null : rootsSince(batch);
  const holds = regimeOn(state, batch, day) === 'base' ? rootsHoldFrom(state, batch) : null;
  return [set, roots, holds]
    .filter((d) => d !== null)
    .sort()
    .at(-1)!;
}
