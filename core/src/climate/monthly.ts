import { dayNumber, type Day } from '../days';
import type { AirReading, Weather } from './weather';
import { saturationVapourPressure } from './humidity';
import { isPlausible } from './plausible';
import { dayOfYear } from './sun';

/** One month of a place's usual year. */
export interface MonthAir {
  readonly minC: number;
  readonly maxC: number;
  /** Mean relative humidity, 0–1. */
  readonly rh: number;
  readonly windMps?: number | undefined;
  /** A guess from other months: its true mean lies off by so much, °C, a standard deviation. */
  readonly spreadC?: number | undefined;
}

/** What is wrong with a month of a usual year. */
export type MonthProblem = 'low' | 'high' | 'crossed' | 'humidity' | 'wind';

/** The first of its figures that no place can have; null where a place can have it. */
export function monthProblem({ minC, maxC, rh, windMps }: Partial<MonthAir>): MonthProblem | null {
  if (minC !== undefined && !isPlausible('minC', minC)) return 'low';
  if (maxC !== undefined && !isPlausible('maxC', maxC)) return 'high';
  if (minC !== undefined && maxC !== undefined && minC > maxC) return 'crossed';
  if (rh !== undefined && !isPlausible('rh', rh)) return 'humidity';
  if (windMps !== undefined && !isPlausible('windMps', windMps)) return 'wind';
  return null;
}

/** Day of the year on which the sun stands highest in the north. */
const SUMMER_SOLSTICE = 172;

/** Twelve months, January first: the calendar's numbers, not its seasons. */
export type MonthlyClimate = readonly MonthAir[];

/**
 * The usual weather of a day, between the middles of the months.
 * @throws RangeError unless there are twelve months
 */
export function monthlyOn(climate: MonthlyClimate, day: Day): Weather & Pick<MonthAir, 'spreadC'> {
  if (climate.length !== 12)
    throw new RangeError(`climate must have twelve months, got ${climate.length}`);
  const year = Number(day.slice(0, 4));
  const month = Number(day.slice(5, 7)) - 1;
  const middle = middleOf(year, month);
  const n = dayNumber(day);
  const before = n < middle ? month - 1 : month;
  const from = middleOf(year, before);
  const share = (n - from) / (middleOf(year, before + 1) - from);
  const a = climate[(before + 12) % 12]!;
  const b = climate[(before + 13) % 12]!;
  const mix = (x: number, y: number): number => x + (y - x) * share;
  const minC = mix(a.minC, b.minC);
  const maxC = mix(a.maxC, b.maxC);
  const spreadC = mix(a.spreadC ?? 0, b.spreadC ?? 0);
  return {
    tempC: (minC + maxC) / 2,
    rh: mix(a.rh, b.rh),
    minC,
    maxC,
    ...(spreadC > 0 ? { spreadC } : {}),
    ...(a.windMps === undefined || b.windMps === undefined
      ? {}
      : { windMps: mix(a.windMps, b.windMps) }),
  };
}

/** Day number of the middle of a month; the month may run over the year's ends. */
function middleOf(year: number, month: number): number {
  const first = (m: number): number => Date.UTC(year, m, 1) / 86_400_000;
  return (first(month) + first(month + 1)) / 2;
}

/** A usual year made of daily weather; null unless every month has at least ten days. */
export function monthlyFrom(readings: readonly AirReading[]): MonthlyClimate | null {
  const months = Array.from({ length: 12 }, () => [] as AirReading[]);
  for (const reading of readings) months[Number(reading.day.slice(5, 7)) - 1]!.push(reading);
  return months.some((m) => m.length < OWN_MONTH) ? null : months.map(monthOf);
}

/** @param days of one month, at least one */
function monthOf(days: readonly AirReading[]): MonthAir {
  const mean = (of: (r: AirReading) => number | undefined): number | undefined => {
    const known = days.map(of).filter((v) => v !== undefined);
    return known.length === 0 ? undefined : known.reduce((a, b) => a + b, 0) / known.length;
  };
  const windMps = mean((r) => r.windMps);
  return {
    minC: mean((r) => r.minC ?? r.tempC)!,
    maxC: mean((r) => r.maxC ?? r.tempC)!,
    rh: mean((r) => r.rh)!,
    ...(windMps === undefined ? {} : { windMps }),
  };
}

/** Fewer days than these say nothing of a year. Working assumption; 60–120. */
const LEAST_DAYS = 90;
/** The year's warmth lags the sun by a month. Working assumption; 25–40 days. */
const LAG_DAYS = 30;
/** What kind of place air is that of: how far its year swings hangs on it. */
export type PlaceKind = 'outdoors' | 'glass' | 'room' | 'lamps';

/**
 * Half the swing of the year's warmth by kind of place at 50°, °C, and how far places differ. Working assumptions:
 * outdoors 6–12, unheated glass 5–9, rooms that people live in 0–4, under lamps 0–3.
 */
const SWING: Readonly<Record<PlaceKind, { readonly mean: number; readonly sd: number }>> = {
  outdoors: { mean: 9, sd: 3 },
  glass: { mean: 7, sd: 3 },
  room: { mean: 2, sd: 2 },
  lamps: { mean: 1.5, sd: 1.5 },
};
/** Humidity hardly has a year of its own; half a swing, 0–1. Working assumption. */
const DAMP_SWING = { mean: 0, sd: 0.06 };
/** Weather lasts: so many days tell as much as one would by itself. Working assumption; 3–8, r of 0.5–0.8 from day to day. */
const DAYS_ALIKE = 5.7;
/** What a day differs by though the year were known, at least: °C, and of humidity. */
const LEAST_NOISE = { tempC: 0.5, rh: 0.02 };
/** Days that a month needs to be told by itself. */
const OWN_MONTH = 10;

/**
 * A usual year from less than a year of readings: months that were read as they were, the others along a yearly wave
 * fitted to all that were. A season alone says little of the wave's height, so it is drawn towards that of its kind of
 * place: near its turning points a wave hardly moves, and weather would make a summer of a warm fortnight.
 * @param latitudeDeg south negative: which way round the year runs, and how far it swings
 * @returns null from fewer than 90 days
 * Source: normal linear regression with a normal prior on its slope (conjugate).
 */
export function yearFrom(
  readings: readonly AirReading[],
  latitudeDeg: number | undefined,
  kind: PlaceKind,
): MonthlyClimate | null {
  const whole = monthlyFrom(readings);
  if (whole || readings.length < LEAST_DAYS) return whole;
  const warmest = (latitudeDeg ?? 1) >= 0 ? SUMMER_SOLSTICE : SUMMER_SOLSTICE + 182;
  const wave = (day: Day): number =>
    Math.cos(((2 * Math.PI) / 365) * (dayOfYear(day) - warmest - LAG_DAYS));
  const known = readings.map((r) => ({ ...r, wave: wave(r.day) }));
  const here = swingHere(kind, latitudeDeg);
  const fit = (
    of: (r: AirReading) => number,
    swing: { readonly mean: number; readonly sd: number },
    noise: number,
  ): ((day: Day) => { readonly value: number; readonly sd: number }) => {
    const seen = known.map(({ wave: x, ...r }) => [x, of(r)] as const);
    const mean = (values: readonly number[]): number =>
      values.reduce((a, b) => a + b, 0) / values.length;
    const [x0, y0] = [mean(seen.map(([x]) => x)), mean(seen.map(([, y]) => y))];
    const across = seen.reduce((sum, [x]) => sum + (x - x0) ** 2, 0);
    const along = seen.reduce((sum, [x, y]) => sum + (x - x0) * (y - y0), 0);
    const fitted = across === 0 ? swing.mean : along / across;
    const left = mean(seen.map(([x, y]) => (y - y0 - fitted * (x - x0)) ** 2)) + noise ** 2;
    const told = across / DAYS_ALIKE / left;
    const sure = told + 1 / swing.sd ** 2;
    const slope = (told * fitted + swing.mean / swing.sd ** 2) / sure;
    return (day) => ({
      value: y0 + slope * (wave(day) - x0),
      sd: Math.abs(wave(day) - x0) / Math.sqrt(sure),
    });
  };
  const low = fit((r) => r.minC ?? r.tempC, here, LEAST_NOISE.tempC);
  const high = fit((r) => r.maxC ?? r.tempC, here, LEAST_NOISE.tempC);
  const damp = fit((r) => r.rh, DAMP_SWING, LEAST_NOISE.rh);
  return Array.from({ length: 12 }, (_, m) => {
    const own = readings.filter((r) => Number(r.day.slice(5, 7)) === m + 1);
    if (own.length >= OWN_MONTH) return monthOf(own);
    const middle = `2025-${String(m + 1).padStart(2, '0')}-15`;
    const [minC, maxC] = [low(middle), high(middle)];
    return {
      minC: Math.min(minC.value, maxC.value),
      maxC: Math.max(minC.value, maxC.value),
      rh: Math.min(1, Math.max(0.05, damp(middle).value)),
      // A place that is warm by day is warm by night: both are off together.
      spreadC: (minC.sd + maxC.sd) / 2,
    };
  });
}

/** The swing of a kind of place, less towards the tropics. */
function swingHere(
  kind: PlaceKind,
  latitudeDeg = 50,
): { readonly mean: number; readonly sd: number } {
  const { mean, sd } = SWING[kind];
  const share = kind === 'room' || kind === 'lamps' ? 1 : Math.min(1, Math.abs(latitudeDeg) / 45);
  return { mean: mean * share, sd };
}

/** Months, 0 to 11, of which too little was read to tell them: they follow the wave. */
export const guessedMonths = (readings: readonly AirReading[]): readonly number[] =>
  Array.from({ length: 12 }, (_, m) => m).filter(
    (m) => readings.filter((r) => Number(r.day.slice(5, 7)) === m + 1).length < OWN_MONTH,
  );

/**
 * Relative humidity where none was measured: the night's low is taken as the dew point.
 * @returns mean of the day, 0–1
 * Source: FAO-56 (Allen et al. 1998), eq. 48, with eqs 10 and 12.
 */
export function humidityFromLow(minC: number, maxC: number): number {
  const mean = (saturationVapourPressure(minC) + saturationVapourPressure(maxC)) / 2;
  return Math.min(1, saturationVapourPressure(minC) / mean);
}
