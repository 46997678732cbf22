import {
  airOn,
  yearFrom,
  type PlaceKind,
  lampLight,
  LIGHT_LEVEL,
  lightOfSeason,
  netOfLamps,
  netOfSun,
  potentialEvaporation,
  saturationVapourPressure,
  vapourPressureDeficit,
  type Air,
  type AirOnDay,
  type AirReading,
  type MonthlyClimate,
  type LightLevelId,
} from '../climate';
import type { Day } from '../days';
import { memoAround, type MemoAround } from '../memo';
import type { Space, State } from '../journal';

/** Where nothing is known of a space: a plain room. Working assumption, shown as such. */
export const PLAIN_ROOM: Air = { tempC: 20, rh: 0.55 };
/** Light of a space that does not say. Working assumption. */
export const PLAIN_LIGHT: LightLevelId = 'side-sill';

/** Under a lid the air keeps so much of what it lacked, light passes, wind does not. Working assumptions. */
const LID_DEFICIT = 0.3;
const LID_LIGHT = 0.85;
const LID_WIND = 0.02;
/** Of a mat's warmth so much reaches the surface of the medium. Working assumption; 0.3–0.7. */
const MAT_AT_SURFACE = 0.5;

/** What of a state the air hangs on. */
export type AirState = Pick<State, 'settings' | 'spaces' | 'air'>;

const NONE: readonly AirReading[] = [];
const remembered = memoAround<readonly AirReading[], MonthlyClimate | null>();
/** A year of its own, as far as its readings tell one; worked out once for the same readings. */
export const yearOf = (
  readings: readonly AirReading[],
  latitude: number | undefined,
  space: Space | undefined,
): MonthlyClimate | null => {
  const kind = placeKind(space);
  return remembered(readings, [latitude, kind], () => yearFrom(readings, latitude, kind));
};

/** The usual year of a space: told, or made of its readings; null where neither is there. */
function usualYear(state: AirState, space: string): MonthlyClimate | null {
  const record = state.spaces.get(space);
  const readings = state.air.get(space) ?? NONE;
  return record?.monthly ?? yearOf(readings, state.settings.latitude, record);
}

/** Some months of its year were never read there: they are guessed from the others. */
export const yearGuessed = (state: AirState, space: string): boolean =>
  usualYear(state, space)?.some((month) => (month.spreadC ?? 0) > 0) ?? false;

/** What kind of place a space is, by where its light falls from. */
function placeKind(space: Space | undefined): PlaceKind {
  const level = space?.lightLevel ?? PLAIN_LIGHT;
  if (level.startsWith('open-') || space?.open === true) return 'outdoors';
  if (level.endsWith('-glass')) return 'glass';
  return (space?.lampPpfd ?? 0) > 0 ? 'lamps' : 'room';
}

/** The air of a space on a day, as the cuttings feel it: under a lid it is damper. */
export function airOf(state: AirState, space: string, day: Day): AirOnDay {
  const days = bySpace(state, space, aired, () => new Map<Day, AirOnDay>());
  let air = days.get(day);
  if (!air) days.set(day, (air = airWorkedOut(state, space, day)));
  return air;
}

const aired = memoAround<object, Map<Day, AirOnDay>>();
const NO_RECORD: object = {};

/** What is remembered of a space, as long as its record, its readings and the latitude are the same. */
export function bySpace<V>(
  state: AirState,
  space: string,
  kept: MemoAround<object, V>,
  sum: () => V,
): V {
  const readings = state.air.get(space) ?? NONE;
  return kept(state.spaces.get(space) ?? NO_RECORD, [readings, state.settings.latitude], sum);
}

function airWorkedOut(state: AirState, space: string, day: Day): AirOnDay {
  const record = state.spaces.get(space);
  const usual: Air = {
    tempC: record?.tempC ?? PLAIN_ROOM.tempC,
    rh: record?.rh ?? PLAIN_ROOM.rh,
  };
  const readings = state.air.get(space) ?? NONE;
  const air = airOn(usual, readings, day, usualYear(state, space) ?? undefined);
  return record?.lid ? { ...air, rh: 1 - (1 - air.rh) * LID_DEFICIT } : air;
}

/** The drying of a space on a day: what a wet surface there would lose. */
export interface Drying {
  /** mm/d. */
  readonly evaporationMm: number;
  /** Light at the bench, mol m⁻² d⁻¹, sun and lamps. */
  readonly molPerDay: number;
  readonly windMps: number;
  /** Warmth of the medium, °C: the air's, and what a mat adds. */
  readonly mediumC: number;
  /** Rain that falls on it, mm; 0 under a roof. */
  readonly rainMm: number;
  readonly air: AirOnDay;
}

/** @param warmerC °C added to the air, its moisture unchanged: for “what if” */
export function dryingOf(state: State, space: string, day: Day, warmerC = 0): Drying {
  const record = state.spaces.get(space);
  const air = airOf(state, space, day);
  const light = lightOn(state, record, air, day);
  const level = LIGHT_LEVEL[record?.lightLevel ?? PLAIN_LIGHT];
  const windMps = record?.lid ? LID_WIND : (air.windMps ?? record?.windMps ?? level.windMps);
  const surfaceC = air.tempC + warmerC + MAT_AT_SURFACE * (record?.matC ?? 0);
  // Warmed by mat or day, the air holds as much water as before and wants more.
  const held = saturationVapourPressure(air.tempC) * air.rh;
  const vpdKPa =
    surfaceC === air.tempC
      ? vapourPressureDeficit(air.tempC, air.rh)
      : Math.max(0, saturationVapourPressure(surfaceC) - held);
  return {
    evaporationMm: potentialEvaporation({
      tempC: surfaceC,
      vpdKPa,
      netMJ: netOfSun(light.sun) + netOfLamps(light.lamps),
      windMps,
    }),
    molPerDay: light.sun + light.lamps,
    windMps,
    mediumC: air.tempC + warmerC + (record?.matC ?? 0),
    rainMm: record?.open ? (air.rainMm ?? 0) : 0,
    air,
  };
}

/** `dryingOf` that remembers what it worked out: many batches stand in one space. */
export function spaceDrying(state: State): (space: string, day: Day) => Drying {
  const known = new Map<string, Map<Day, Drying>>();
  return (space, day) => {
    let days = known.get(space);
    if (!days) known.set(space, (days = new Map<Day, Drying>()));
    let drying = days.get(day);
    if (!drying) days.set(day, (drying = dryingOf(state, space, day)));
    return drying;
  };
}

function lightOn(
  state: State,
  record: Space | undefined,
  air: AirOnDay,
  day: Day,
): { readonly sun: number; readonly lamps: number } {
  const through = record?.lid ? LID_LIGHT : 1;
  const lamps = lampLight(record?.lampPpfd ?? 0, record?.lampHours ?? 0);
  // A sensor at the bench sees sun and lamps together.
  if (air.molPerDay !== undefined)
    return {
      sun: Math.max(0, air.molPerDay - lamps) * through,
      lamps: Math.min(lamps, air.molPerDay),
    };
  const { latitude } = state.settings;
  const season = latitude === undefined ? 1 : lightOfSeason(latitude, day);
  const level = LIGHT_LEVEL[record?.lightLevel ?? PLAIN_LIGHT];
  return { sun: level.molPerDay * season * through, lamps: lamps * through };
}
