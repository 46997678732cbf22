import { METHOD } from '../botany';
import { addDays, daysBetween, type Day } from '../days';
import { spaceOn, type Batch, type State } from '../journal';
import { fillPot, type FilledPot } from '../media';
import { columnOf, GRIT_DRESSING, mobilityAt, type WaterCase, type WaterSchoolId } from '../water';
import { dryingOf, spaceDrying } from './air-of';
import { clockOf } from './clock-of';
import { firstDrinkFrom } from './first-drink';
import { containerOf, mixOf } from './medium-of';

/** How far ahead the can is looked for, days. */
export const OUTLOOK_DAYS = 60;
/** Further back than this a pot remembers nothing that a drink has not wiped out. */
const MEMORY_DAYS = 90;
/** Medium out of the bag, against drained. Working assumption. */
const AS_BOUGHT = 0.08;
/** Depth of stem or roots where nobody said. Common practice, no source. */
const USUAL_STEM_MM = 25;
const LAID_MM = 8;

/** The filled container of a batch; null while pot or mix is not told. */
export function potOf(state: State, batch: Batch): FilledPot | null {
  const container = batch.container === undefined ? null : containerOf(state, batch.container);
  const mix = batch.mix === undefined ? null : mixOf(state, batch.mix);
  return container && mix ? fillPot(mix.medium, container, mix.correction) : null;
}

/** The school a batch is watered by: its own, the grower's, or what suits it. */
export function waterSchoolOf(state: State, batch: Batch): WaterSchoolId {
  return batch.waterSchool ?? state.settings.waterSchool ?? defaultWaterSchool(batch);
}

/** Rot is the one loss that cannot be undone: by dryness, not by calendar; laid pieces by mist. */
export function defaultWaterSchool({ method }: Pick<Batch, 'method'>): WaterSchoolId {
  return isLaid(method) ? 'surface' : 'top-25';
}

const isLaid = (method: Batch['method']): boolean =>
  METHOD[method].piece === 'leaf' || method === 'plantlet';

/** How deep stem or roots of a batch reach, mm: as told, else as is usual for what it is. */
export function stemDepthOf({ stemMm, method }: Pick<Batch, 'stemMm' | 'method'>): number {
  return stemMm ?? (isLaid(method) ? LAID_MM : USUAL_STEM_MM);
}

/**
 * All that the verdict on a batch needs, as plain data that can be sent to a worker; null where there is
 * nothing to water or pot and mix are not told.
 * @param dryingIn the drying of a space on a day, handed in where many cases share it
 * @param learns goes back as far as a pot remembers, not only to its last soak
 */
export function waterCaseOf(
  state: State,
  batch: Batch,
  today: Day,
  learns = batch.weighings.length > 0 || batch.touches.length > 0,
  dryingIn = spaceDrying(state),
): WaterCase | null {
  const pot = potOf(state, batch);
  if (!pot || batch.stuck === null || batch.stuck > today || batch.stage === 'done') return null;
  const oldest = addDays(today, -MEMORY_DAYS);
  const lastSoak = learns
    ? undefined
    : batch.waterings.findLast((w) => w.how !== 'misted' && w.ml === undefined && w.day < today);
  const stuckOrOldest = batch.stuck > oldest ? batch.stuck : oldest;
  const from = lastSoak && lastSoak.day > stuckOrOldest ? lastSoak.day : stuckOrOldest;
  const at = (day: Day): number => daysBetween(from, day);
  const days = at(today) + OUTLOOK_DAYS;
  const cover = batch.dressed ? GRIT_DRESSING : 1;
  const drying = Array.from({ length: days }, (_, n) => {
    const day = addDays(from, n);
    return dryingIn(spaceOn(batch, day, true), day);
  });
  const now = dryingIn(spaceOn(batch, today, true), today);
  const warmer = dryingOf(state, spaceOn(batch, today, true), today, 4);
  const own = batch.container === undefined ? undefined : state.containers.get(batch.container);
  return {
    id: batch.id,
    column: columnOf(pot),
    dryG: pot.dryG,
    emptyG: own?.emptyG ?? null,
    from,
    startWetness: batch.stuck >= from || lastSoak ? AS_BOUGHT : 0.5,
    evaporation: drying.map((d) => d.evaporationMm * cover),
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
    wateredBefore: batch.waterings.length > 0,
    weighings: batch.weighings
      .filter((w) => w.day >= from && w.day <= today)
      .map(({ day, grams }) => ({ at: at(day), grams })),
    touches: batch.touches
      .filter((t) => t.day >= from && t.day <= today)
      .map(({ day, depthMm, seen }) => ({ at: at(day), depthMm, seen })),
    school: waterSchoolOf(state, batch),
    stemMm: stemDepthOf(batch),
    gateAt: gateAt(state, batch, at),
    firstAt: firstAt(batch, at),
    weanedAt: batch.rootedInWater ? at(batch.stuck) : null,
    laid: isLaid(batch.method),
  };
}

function firstAt(batch: Batch, at: (day: Day) => number): number | null {
  const day = firstDrinkFrom(batch, batch.stuck!);
  return day === null ? null : at(day);
}

function gateAt(state: State, batch: Batch, at: (day: Day) => number): number | null {
  // Roots in the medium say more about the wound than the clock does.
  const clock = batch.stage === 'growing' ? null : clockOf(state, batch);
  if (clock === null || batch.waterings.some((w) => w.breach === undefined)) return 0;
  return clock.gate.state === 'dated' ? at(clock.gate.opens) : null;
}
