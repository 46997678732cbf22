import type { Taxon } from '../botany';
import { addDays, later, type Day } from '../days';
import { isRooted, spaceOn, type Batch, type State } from '../journal';
import { FIRST_WATER, leftDryBelow, type RegimeId } from '../water';
import type { WoundClock } from '../wound';
import { forJar, hadRoots, hasRoots, isCrumb, rowOf, unrootedWaterOf } from './course-of';
import { plantOf } from './plant';
import { seasonOn } from './season-of';

/** When the first water comes, and what decides it. */
export type FirstDrink =
  | {
      readonly on: Day;
      /**
       * The gate; the grower's choice of days; water at once, whatever the wound; nothing in its way; the end of a rest
       * in the cold, in which what has no roots rots where it is wet.
       */
      readonly by: 'gate' | 'choice' | 'at-once' | 'settling' | 'roots' | 'rest';
    }
  /** It waits for roots, or the wound does not close. */
  | { readonly on: null; readonly by: 'roots' | 'stopped' };

/** Roots were counted on so many standing pieces; the first of them was seen by that day. */
export function rootsSince(batch: Batch): Day | null {
  let first: Day | null = null;
  for (const { left, outcome, rooted } of batch.cuttings)
    if (!left && rooted && isRooted({ outcome }) && (first === null || rooted.by < first))
      first = rooted.by;
  return first;
}

/** Roots seen since the wound was last laid open say more of it than the clock does. */
export function gateClock(batch: Batch, clock: WoundClock | null): WoundClock | null {
  const roots = rootsSince(batch);
  return clock !== null && roots !== null && roots >= clock.from ? null : clock;
}

/**
 * Its first water waits for roots: chosen so, or it is kept dry until there are roots, and that means that. A day that
 * was chosen for the first water is kept to all the same.
 */
export function waitsForRoots(state: State, batch: Batch): boolean {
  if (hadRoots(state, batch)) return false;
  const choice = batch.firstWater ?? 'with-gate';
  return (
    choice === 'roots-show' ||
    (choice === 'with-gate' && unrootedWaterOf(state, batch) === 'dry' && !forJar(state, batch))
  );
}

/**
 * Days from setting to the first water as the grower chose them, whatever the wound: kept to until the wound is laid
 * open again or, set, is seen tacky. Null where it goes by the gate or by roots.
 */
export function chosenDays(batch: Batch): number | null {
  const choice = batch.firstWater ?? 'with-gate';
  if (choice === 'with-gate' || batch.reopenings.length > 0) return null;
  const { afterDays } = FIRST_WATER[choice];
  const seen = batch.woundChecks.at(-1);
  const tacky = seen?.seen === 'tacky' && batch.stuck !== null && seen.day >= batch.stuck;
  return tacky && afterDays !== 0 ? null : afterDays;
}

/**
 * The first day for water after a batch was set (or would be, `setOn`): never before the gate, unless the grower
 * chose a day for it.
 */
export function firstDrink(
  state: State,
  batch: Batch,
  clock: WoundClock | null,
  setOn: Day,
): FirstDrink {
  const choice = batch.firstWater ?? 'with-gate';
  const again = batch.reopenings.at(-1)?.day;
  const from = again !== undefined && again > setOn ? again : setOn;
  const chosen = chosenDays(batch);
  if (chosen !== null)
    return { on: addDays(setOn, chosen), by: chosen === 0 ? 'at-once' : 'choice' };
  const roots = rootsSince(batch);
  if (waitsForRoots(state, batch)) {
    if (roots === null) return { on: null, by: 'roots' };
    return { on: later(roots, setOn), by: 'roots' };
  }
  const gate = gateClock(batch, clock)?.gate;
  if (gate?.state === 'stopped') return { on: null, by: 'stopped' };
  const { afterDays } = FIRST_WATER[choice];
  const { dryDays } = rowOf(state, batch);
  const days = Math.max(afterDays ?? 0, roots === null && choice === 'with-gate' ? dryDays : 0);
  const wanted = addDays(setOn, days);
  const gated = gate !== undefined && gate.opens > wanted && gate.opens >= from;
  const on = gated ? gate.opens : wanted;
  const waits = choice === 'with-gate' && !hasRoots(state, batch);
  const wakes = waits ? wakesOn(state, batch, on) : on;
  if (wakes === null) return { on: null, by: 'roots' };
  if (wakes > on) return { on: wakes, by: 'rest' };
  return { on, by: gated ? 'gate' : days > 0 ? 'choice' : gate ? 'gate' : 'settling' };
}

/** Rest is looked through by weeks, so far ahead. */
const [WEEK, YEAR] = [7, 371];

/**
 * Below which temperature a batch without roots is left dry while it rests.
 * @returns °C, as {@link leftDryBelow}
 */
export function leftDryUnder(
  state: State,
  batch: Batch,
  regime: RegimeId | null,
  { season }: Pick<Taxon, 'season'>,
): number {
  const driesOut = isCrumb(batch) || rowOf(state, batch).shows === 'seedlings';
  return leftDryBelow(regime, season.fromC, driesOut);
}

/** The first day from one on, by weeks, on which it is not left dry in the cold; null if that is not within a year. */
function wakesOn(state: State, batch: Batch, from: Day): Day | null {
  const taxon = plantOf(state, batch.taxon)?.taxon;
  if (!taxon) return from;
  const under = leftDryUnder(state, batch, unrootedWaterOf(state, batch), taxon);
  if (under === -Infinity) return from;
  const rests = (day: Day): boolean => {
    const { state: season, tempC } = seasonOn(state, taxon, spaceOn(batch, day, true), day);
    return season === 'resting' && tempC < under;
  };
  for (let n = 0; n <= YEAR; n += WEEK) if (!rests(addDays(from, n))) return addDays(from, n);
  return null;
}
