import { dayNumber, type Day } from '../days';
import type { AirReading, Weather } from './weather';
import { saturationVapourPressure } from './humidity';

/** One month of a place's usual year. */
export interface MonthAir {
  readonly minC: number;
  readonly maxC: number;
  /** Mean relative humidity, 0–1. */
  readonly rh: number;
  readonly windMps?: number | undefined;
}

/** Twelve months, January first: the calendar's numbers, not its seasons. */
export type MonthlyClimate = readonly MonthAir[];

/**
 * The usual weather of a day, between the middles of the months.
 * @throws RangeError unless there are twelve months
 */
export function monthlyOn(climate: MonthlyClimate, day: Day): Weather {
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
  return {
    tempC: (minC + maxC) / 2,
    rh: mix(a.rh, b.rh),
    minC,
    maxC,
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
  if (months.some((m) => m.length < 10)) return null;
  return months.map((days) => {
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
  });
}

/**
 * Relative humidity where none was measured: the night's low is taken as the dew point.
 * @returns mean of the day, 0–1
 * Source: FAO-56 (Allen et al. 1998), eq. 48, with eqs 10 and 12.
 */
export function humidityFromLow(minC: number, maxC: number): number {
  const mean = (saturationVapourPressure(minC) + saturationVapourPressure(maxC)) / 2;
  return Math.min(1, saturationVapourPressure(minC) / mean);
}
