import { dayFromNumber, dayNumber, FIRST_DAY, isDay, LAST_DAY, type Day } from '../days';
import type { AirReading } from './weather';
import { humidityFromLow } from './monthly';

/** What a logger or a weather table can tell, in the units of the core. */
export const SERIES_COLUMNS = [
  'tempC',
  'rh',
  'minC',
  'maxC',
  'windMps',
  'rainMm',
  /** Light at the bench, µmol m⁻² s⁻¹. */
  'ppfd',
] as const;
export type SeriesColumn = (typeof SERIES_COLUMNS)[number];

/** What a stored reading may be at all; the narrower limits of belief are asked before one is stored. */
export const SERIES_LIMITS: Readonly<Record<SeriesColumn, readonly [low: number, high: number]>> = {
  tempC: [-60, 80],
  rh: [0, 1],
  minC: [-70, 80],
  maxC: [-70, 80],
  windMps: [0, 80],
  rainMm: [0, 1000],
  ppfd: [0, 3000],
};

/** One stored series spans ten years at most. */
export const LONGEST_SERIES_MINUTES = 3660 * 1440;

/** Minutes of the grower's own wall clock since 1970-01-01 00:00: no time zone, no missing hour. */
export type Minute = number;

/** Readings of one space, in order of time. A gap in a column is null. */
export interface AirSeries {
  readonly minutes: readonly Minute[];
  readonly columns: Readonly<Partial<Record<SeriesColumn, readonly (number | null)[]>>>;
}

const PER_DAY = 1440;
const SHAPE = /^(\d{4}-\d{2}-\d{2})T(\d{2}):(\d{2})$/;

export function dayOfMinute(minute: Minute): Day {
  return dayFromNumber(Math.floor(minute / PER_DAY));
}

/** `2026-04-09T08:30` as minutes; null if it is not a time. */
export function minuteFrom(text: string): Minute | null {
  const parts = SHAPE.exec(text);
  if (!parts) return null;
  const [, day, hour, minute] = parts as unknown as [string, string, string, string];
  if (!isDay(day) || day < FIRST_DAY || day > LAST_DAY) return null;
  if (Number(hour) > 23 || Number(minute) > 59) return null;
  return dayNumber(day) * PER_DAY + Number(hour) * 60 + Number(minute);
}

export function minuteText(minute: Minute): string {
  const two = (n: number): string => String(n).padStart(2, '0');
  const rest = ((minute % PER_DAY) + PER_DAY) % PER_DAY;
  return `${dayOfMinute(minute)}T${two(Math.floor(rest / 60))}:${two(rest % 60)}`;
}

/**
 * The days of a series, each by its means, extremes and sums; days without a temperature are left
 * out. Where the humidity is missing the night's low stands in for the dew point, and is marked.
 */
export function dailyReadings({ minutes, columns }: AirSeries): readonly AirReading[] {
  const readings: AirReading[] = [];
  let from = 0;
  while (from < minutes.length) {
    const number = Math.floor(minutes[from]! / PER_DAY);
    let to = from;
    while (to < minutes.length && Math.floor(minutes[to]! / PER_DAY) === number) to++;
    const reading = dayReading(dayFromNumber(number), columns, from, to);
    if (reading) readings.push(reading);
    from = to;
  }
  return readings;
}

function dayReading(
  day: Day,
  columns: AirSeries['columns'],
  from: number,
  to: number,
): AirReading | null {
  const temperature = summary(columns.tempC, from, to);
  const minC = summary(columns.minC, from, to)?.min ?? temperature?.min;
  const maxC = summary(columns.maxC, from, to)?.max ?? temperature?.max;
  // FAO-56: the mean of a day of which only the extremes are known lies between them.
  const tempC =
    temperature?.mean ?? (minC !== undefined && maxC !== undefined ? (minC + maxC) / 2 : undefined);
  if (tempC === undefined) return null;
  const measured = summary(columns.rh, from, to)?.mean;
  const rh = measured ?? humidityFromLow(minC ?? tempC, maxC ?? tempC);
  const wind = summary(columns.windMps, from, to)?.mean;
  const rain = summary(columns.rainMm, from, to)?.sum;
  const light = summary(columns.ppfd, from, to)?.mean;
  return {
    day,
    tempC,
    rh,
    ...(minC === undefined ? {} : { minC }),
    ...(maxC === undefined ? {} : { maxC }),
    ...(wind === undefined ? {} : { windMps: wind }),
    ...(rain === undefined ? {} : { rainMm: rain }),
    ...(light === undefined ? {} : { molPerDay: light * 0.0864 }),
    ...(measured === undefined ? { rhFilled: true } : {}),
  };
}

function summary(
  column: readonly (number | null)[] | undefined,
  from: number,
  to: number,
): {
  readonly mean: number;
  readonly min: number;
  readonly max: number;
  readonly sum: number;
} | null {
  if (!column) return null;
  let sum = 0;
  let count = 0;
  let min = Infinity;
  let max = -Infinity;
  for (let i = from; i < to; i++) {
    const value = column[i];
    if (value === null || value === undefined) continue;
    sum += value;
    count++;
    if (value < min) min = value;
    if (value > max) max = value;
  }
  return count === 0 ? null : { mean: sum / count, min, max, sum };
}

/**
 * Several series as one in order of time. Where two have the same minute, the later list wins.
 */
export function mergeSeries(all: readonly AirSeries[]): AirSeries {
  const [only, ...more] = all;
  if (only && more.length === 0) return only;
  const names = SERIES_COLUMNS.filter((c) => all.some((s) => s.columns[c]));
  const rows = all.flatMap((series, s) => series.minutes.map((minute, i) => ({ minute, s, i })));
  rows.sort((a, b) => a.minute - b.minute || a.s - b.s);
  const kept = rows.filter((row, i) => rows[i + 1]?.minute !== row.minute);
  return {
    minutes: kept.map((r) => r.minute),
    columns: Object.fromEntries(
      names.map((name) => [name, kept.map(({ s, i }) => all[s]!.columns[name]?.[i] ?? null)]),
    ),
  };
}
