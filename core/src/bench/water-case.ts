import { addDays, daysBetween, later, type Day } from '../days';
import { spaceOn, type Batch, type State } from '../journal';
import { columnOf, dressingLeaves, mobilityAt, SURFACE_MM, type WaterCase } from '../water';
import { dryingOf, spaceDrying } from './air-of';
import { clockOf } from './clock-of';
import { coverOn } from './canopy';
import { hadRoots, hasRoots, inJar, isLaid, rowOf } from './course-of';
import { chosenDays, firstDrink, gateClock } from './first-drink';
import { POTTED_REST, potting } from './potting';
import { regimeFrom, regimeOn } from './regime';
import { potOf } from './pot-of';
import { waterSchoolOf } from './water-school';

/** How far ahead the can is looked for, days. */
export const OUTLOOK_DAYS = 60;
/** Further back than this a pot remembers nothing that a drink has not wiped out. */
const MEMORY_DAYS = 90;
/**
 * A can fills a pot whatever it held, but for bone-dry medium, which sheds a quarter: after so many cans nothing is left
 * of what was not known.
 */
const CANS_BACK = 3;
/** No further back is looked for them. */
const CANS_WITHIN_DAYS = 200;
/** A pot of which nothing is known, against drained. */
const UNKNOWN_START = 0.5;
/** Medium out of the bag, against drained. Working assumption. */
export const AS_BOUGHT = 0.08;
/** Soaked coir or a moist mix, against drained. Working assumption; 0.7–1. */
export const WET_START = 0.9;
/** Depth of stem or roots where nobody said. Common practice, no source. */
const USUAL_STEM_MM = 25;
const LAID_MM = 8;

/** How deep stem or roots of a batch reach, mm: as told, else as is usual for what it is. */
export function stemDepthOf(state: State, batch: Batch): number {
  return batch.stemMm ?? (isLaid(state, batch) ? LAID_MM : USUAL_STEM_MM);
}

/** A finger’s first joint: nobody feels deeper. Common practice, no source. */
const FINGER_MM = 25;

/** How deep one feels whether what is kept damp is damp, mm: at the end of its stem, of what lies on its mix at the top. */
export const feltDepthOf = (state: State, batch: Batch): number =>
  rowOf(state, batch).lies === 'on-surface'
    ? SURFACE_MM
    : Math.min(FINGER_MM, stemDepthOf(state, batch));

/** Drinks since it was set, potted on or laid open again: what came before does not count as its first. */
export function drinksOf(batch: Batch): Batch['waterings'] {
  const since = [potting(batch).since, batch.reopenings.at(-1)?.day ?? null]
    .filter((d): d is Day => d !== null)
    .sort()
    .at(-1);
  return since === undefined ? [] : batch.waterings.filter((w) => w.day >= since);
}

/** It was set, or potted on, in medium that was wet already. */
export function wetStart(batch: Batch): boolean {
  const { last } = potting(batch);
  if (last) return last.wet === true;
  return batch.settings.at(batch.rootedInWater ? -1 : 0)?.wet === true;
}

/**
 * All that the verdict on a batch needs, as plain data that can be sent to a worker; null where there is
 * nothing to water or pot and mix are not told.
 * @param dryingIn the drying of a space on a day, handed in where many cases share it
 * @param learns goes back as far as a pot remembers, not only over its last cans
 */
export function waterCaseOf(
  state: State,
  batch: Batch,
  today: Day,
  learns = batch.weighings.length > 0 || batch.touches.length > 0,
  dryingIn = spaceDrying(state),
): WaterCase | null {
  const pot = potOf(state, batch);
  const { since, last } = potting(batch);
  if (!pot || since === null || since > today || batch.ended !== null) return null;
  if (inJar(state, batch) || (batch.stage === 'done' && last === null)) return null;
  const from = caseFrom(batch, since, today, learns);
  const at = (day: Day): number => daysBetween(from, day);
  const days = at(today) + OUTLOOK_DAYS;
  const cover = dressingLeaves(batch.topDress);
  const drying = Array.from({ length: days }, (_, n) => {
    const day = addDays(from, n);
    return dryingIn(spaceOn(batch, day, true), day);
  });
  const now = dryingIn(spaceOn(batch, today, true), today);
  const warmer = dryingOf(state, spaceOn(batch, today, true), today, 4);
  const { container } = potting(batch);
  const own = container === undefined ? undefined : state.containers.get(container);
  const column = columnOf(pot);
  return {
    id: batch.id,
    column,
    dryG: pot.dryG,
    emptyG: own?.emptyG ?? null,
    from,
    startWetness: since < from ? UNKNOWN_START : wetStart(batch) ? WET_START : AS_BOUGHT,
    evaporation: drying.map((d) => d.evaporationMm * cover),
    cover: coverOn(batch, column, hadRoots(state, batch), from, days),
    rainMm: drying.map((d) => d.rainMm),
    mobility: drying.map((d) => mobilityAt(d.mediumC)),
    warmer: {
      evaporation: now.evaporationMm > 0 ? warmer.evaporationMm / now.evaporationMm : 1,
      mobility: mobilityAt(warmer.mediumC) / mobilityAt(now.mediumC),
    },
    today: at(today),
    waterings: batch.waterings
      .filter((w) => w.day >= from && w.day <= today)
      .map(({ day, how, ml }) => ({ at: at(day), manner: how, ml })),
    wateredBefore: wetStart(batch) || drinksOf(batch).length > 0,
    weighings: batch.weighings
      .filter((w) => w.day >= from && w.day <= today)
      .map(({ day, grams }) => ({ at: at(day), grams })),
    touches: batch.touches
      .filter((t) => t.day >= from && t.day <= today)
      .map(({ day, depthMm, seen }) => ({ at: at(day), depthMm, seen })),
    school: waterSchoolOf(state, batch),
    regime: regimeOn(state, batch, today),
    regimeAt: at(regimeFrom(state, batch, today)),
    rooted: hasRoots(state, batch),
    sown: rowOf(state, batch).shows === 'seedlings' && !hasRoots(state, batch),
    beside:
      !hadRoots(state, batch) &&
      rowOf(state, batch).shows !== 'seedlings' &&
      hasRoots(state, batch) &&
      batch.here.waiting > 0,
    pieces: Math.max(1, Math.round(drinkersIn(batch) / (batch.containers ?? 1))),
    stemMm: stemDepthOf(state, batch),
    feltMm: feltDepthOf(state, batch),
    ...gateAndFirst(state, batch, at),
    weanedAt: batch.rootedInWater && !last ? at(since) : null,
    laid: isLaid(state, batch) && !last,
  };
}

/**
 * The day the account of a pot begins: that of a soak, which fills it whatever it held; else some cans ago, the same day
 * as long as nothing is told; else that of its setting.
 */
function caseFrom(batch: Batch, since: Day, today: Day, learns: boolean): Day {
  const furthest = addDays(today, -CANS_WITHIN_DAYS);
  const before = learns ? addDays(today, -MEMORY_DAYS) : today;
  const cans = batch.waterings.filter(
    (w) => w.how !== 'misted' && w.ml === undefined && w.day >= since && w.day < before,
  );
  const soak = cans.findLast((w) => w.how !== 'poured');
  const can = cans.filter((w) => w.day >= furthest).at(learns ? -1 : -CANS_BACK);
  const known = later(soak?.day ?? since, can?.day ?? since);
  const oldest = addDays(today, -MEMORY_DAYS);
  return known < furthest ? oldest : known;
}

/** Those that drink: with roots where any have them, all else. */
function drinkersIn({ here }: Batch): number {
  const rooted = here.rooted + here.pupped;
  return rooted > 0 ? rooted : here.waiting;
}

/** From when the gate is open, and from when the first water may come, in days of the case. */
function gateAndFirst(
  state: State,
  batch: Batch,
  at: (day: Day) => number,
): Pick<WaterCase, 'gateAt' | 'firstAt'> {
  const { last } = potting(batch);
  if (last)
    return { gateAt: 0, firstAt: at(addDays(last.day, POTTED_REST[last.roots ?? 'whole'])) };
  const clock = gateClock(batch, clockOf(state, batch));
  const first = firstDrink(state, batch, clock, batch.stuck!);
  const firstAt = first.on === null ? null : at(first.on);
  if (
    clock === null ||
    chosenDays(batch) !== null ||
    wetStart(batch) ||
    drinksOf(batch).some((w) => w.breach === undefined)
  )
    return { gateAt: 0, firstAt };
  return { gateAt: clock.gate.state === 'dated' ? at(clock.gate.opens) : null, firstAt };
}
