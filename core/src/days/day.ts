import { utc } from '@date-fns/utc';
import { getISOWeek } from 'date-fns';

/**
 * A grower's calendar day, `YYYY-MM-DD`. It has no time zone: the day a wound was looked at stays
 * that day wherever the journal is opened later.
 */
export type Day = string;

const SHAPE = /^(\d{4})-(\d{2})-(\d{2})$/;
const MS_PER_DAY = 86_400_000;

/** No bench has records before or after: a day beyond is a slip of the pen or a damaged file. */
export const FIRST_DAY: Day = '1900-01-01';
export const LAST_DAY: Day = '2199-12-31';

/** True only for a day that exists: 2026-02-30 has the shape and is still refused. */
export function isDay(text: string): boolean {
  const parts = SHAPE.exec(text);
  if (!parts) return false;
  const [, y, m, d] = parts.map(Number);
  const date = new Date(Date.UTC(y!, m! - 1, d));
  // Date.UTC reads the years 0–99 as 1900–1999; the round trip refuses them.
  return date.toISOString().slice(0, 10) === text;
}

/**
 * Whole days since 1970-01-01. Counted in UTC, so a daylight-saving night is one day like any other.
 * @throws RangeError if `day` is not a calendar day
 */
export function dayNumber(day: Day): number {
  const known = numbers.get(day);
  if (known !== undefined) return known;
  const ms = Date.UTC(+day.slice(0, 4), +day.slice(5, 7) - 1, +day.slice(8, 10));
  if (Number.isNaN(ms)) throw new RangeError(`day must be YYYY-MM-DD, got ${day}`);
  const number = ms / MS_PER_DAY;
  if (numbers.size > MOST_KNOWN) numbers.clear();
  numbers.set(day, number);
  return number;
}

/** The day that lies `number` whole days after 1970-01-01. */
export function dayFromNumber(number: number): Day {
  const known = names.get(number);
  if (known !== undefined) return known;
  const day = new Date(number * MS_PER_DAY).toISOString().slice(0, 10);
  if (names.size > MOST_KNOWN) names.clear();
  names.set(number, day);
  return day;
}

// Benches ask for the same few hundred days millions of times; writing one out takes a microsecond.
const MOST_KNOWN = 20_000;
const numbers = new Map<Day, number>();
const names = new Map<number, Day>();

export function addDays(day: Day, days: number): Day {
  return dayFromNumber(dayNumber(day) + days);
}

/** Days from `from` to `to`; negative if `to` lies before. */
export function daysBetween(from: Day, to: Day): number {
  return dayNumber(to) - dayNumber(from);
}

/** 0 = Monday … 6 = Sunday. */
export function weekday(day: Day): number {
  // 1970-01-01 was a Thursday.
  return (((dayNumber(day) + 3) % 7) + 7) % 7;
}

/** Week of the year, 1–53: weeks begin on Monday, the first has the year's first Thursday. Source: ISO 8601. */
export function isoWeek(day: Day): number {
  return getISOWeek(day, { in: utc });
}

/** The later of two days. */
export const later = (a: Day, b: Day): Day => (a > b ? a : b);
