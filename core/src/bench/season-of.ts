import * as say from '@hypogeon/messages/core-season-of';
import { seasonAt, type NightAndNoon, type SeasonState, type Taxon } from '../botany';
import { sunUpHours } from '../climate';
import { addDays, type Day } from '../days';
import type { State } from '../journal';
import { airOf, bySpace, type AirState } from './air-of';
import { memoAround } from '../memo';

/** The warmth and light that plants of a space grow by. */
export interface GrowingDay extends NightAndNoon {
  /** At the roots: the air’s, and what a mat adds, by night and at noon as well. */
  readonly tempC: number;
  /** Of sun or lamps, whichever is longer; not known without a latitude or lamps. */
  readonly dayHours: number | undefined;
  /** The night may freeze. */
  readonly frost: boolean;
  readonly from: 'reading' | 'climate' | 'usual';
  /** The warmth is a guess from other months, off by so much, °C, a standard deviation; 0 where it is told. */
  readonly spreadC: number;
}

/** Lamps this strong lengthen the day, µmol m⁻² s⁻¹. Working assumption; 20–80 make sense. */
const LAMPS_COUNT = 40;
/** A usual minimum below this may be a frost. Working assumption: one night in a few is 2 °C colder. */
const FROST_C = 2;

const days = memoAround<object, Map<Day, GrowingDay>>();

/** Many plants of a space ask for the same day. */
export function growingDay(state: AirState, space: string, day: Day): GrowingDay {
  const known = bySpace(state, space, days, () => new Map<Day, GrowingDay>());
  let growing = known.get(day);
  if (!growing) known.set(day, (growing = growingOn(state, space, day)));
  return growing;
}

function growingOn(state: AirState, space: string, day: Day): GrowingDay {
  const air = airOf(state, space, day);
  const record = state.spaces.get(space);
  const { latitude } = state.settings;
  const sun = latitude === undefined ? undefined : sunUpHours(latitude, day);
  const lamps = (record?.lampPpfd ?? 0) >= LAMPS_COUNT ? record?.lampHours : undefined;
  const mat = record?.matC ?? 0;
  const onMat = (c: number | undefined): number | undefined => (c === undefined ? c : c + mat);
  return {
    tempC: air.tempC + mat,
    dayHours: lamps === undefined ? sun : Math.max(lamps, sun ?? 0),
    nightC: onMat(air.minC),
    noonC: onMat(air.maxC),
    frost: (air.minC ?? air.tempC) < FROST_C,
    from: air.from,
    spreadC: air.spreadC ?? 0,
  };
}

/** A day of a plant's year in a space. */
export interface SeasonDay extends GrowingDay {
  readonly day: Day;
  readonly state: SeasonState;
  readonly reason: string;
}

export function seasonOn(state: State, taxon: Taxon, space: string, day: Day): SeasonDay {
  const growing = growingDay(state, space, day);
  const season = growing.frost
    ? ({ state: 'resting', reason: say.frostMayComeNothing() } as const)
    : seasonAt(taxon, growing.tempC, growing.dayHours, growing);
  return { day, ...growing, ...season };
}

const YEAR = 365;

/** The year of a plant in a space, day by day. Season follows from air and light, never from month names. */
export function seasonYear(
  state: State,
  taxon: Taxon,
  space: string,
  from: Day,
): readonly SeasonDay[] {
  return Array.from({ length: YEAR }, (_, n) => seasonOn(state, taxon, space, addDays(from, n)));
}

/** How the season stands on the first day of a year. */
export interface SeasonNow extends SeasonDay {
  /** Where it rests or creeps: the next day it opens; null if not within the year. */
  readonly opens: Day | null;
  /** Where it grows: the last day of it, by which roots must stand; null if it does not end within the year. */
  readonly closes: Day | null;
}

/** A change of weather for a few days is no change of season. Working assumption; 5–14 make sense. */
const SPELL_DAYS = 7;

/** @param year as `seasonYear` gives it, not empty */
export function seasonNow(year: readonly SeasonDay[]): SeasonNow {
  const [now] = year;
  if (!now) throw new RangeError('year must not be empty');
  const holds = (n: number, active: boolean): boolean =>
    year.slice(n, n + SPELL_DAYS).every((d) => (d.state === 'active') === active);
  const turn = year.findIndex((_, n) => n > 0 && holds(n, now.state !== 'active'));
  return {
    ...now,
    opens: now.state === 'active' || turn < 0 ? null : year[turn]!.day,
    closes: now.state !== 'active' || turn < 0 ? null : year[turn - 1]!.day,
  };
}

/** Days on end in one state. */
export interface SeasonSpell {
  readonly state: SeasonState | 'frost';
  readonly from: Day;
  readonly to: Day;
}

/** The year in spells, as one draws it. */
export function seasonSpells(year: readonly SeasonDay[]): readonly SeasonSpell[] {
  const spells: { state: SeasonSpell['state']; from: Day; to: Day }[] = [];
  for (const { day, state, frost } of year) {
    const is = frost ? 'frost' : state;
    const last = spells.at(-1);
    if (last?.state === is) last.to = day;
    else spells.push({ state: is, from: day, to: day });
  }
  return spells;
}
