import * as say from '@hypogeon/messages/core-wall-time';
import { dayNumber, FIRST_DAY, isDay, LAST_DAY } from '../days';
import type { Minute } from '../climate';

/*
 * Dates as loggers write them, read as the wall clock they were: no time zone, so that the hour that
 * summer time skips or repeats harms nothing. Date libraries give instants; here none is wanted.
 */
export const DATE_ORDERS = ['ymd', 'dmy', 'mdy', 'unix'] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];

export const DATE_ORDER_WORD: Readonly<Record<DateOrder, string>> = {
  get ymd() {
    return say.yearMonthDay();
  },
  get dmy() {
    return say.dayMonthYear();
  },
  get mdy() {
    return say.monthDayYear();
  },
  get unix() {
    return say.secondsSince();
  },
};

const DATE = /^(\d{1,4})[-/. ](\d{1,2})[-/. ](\d{1,4})(?:[T, ]+(.*))?$/;
const TIME =
  /^(\d{1,2})(?:[:.](\d{2}))?(?:[:.]([0-5]\d)(?:[.,]\d+)?)?\s*([ap]\.?m\.?)?\s*(Z|UTC|GMT|[+-]\d{2}:?\d{2})?$/i;

/**
 * A date, with or without a time of day, in a given order.
 * @param time a second column with the time, where there is one
 * @returns minutes of the wall clock, or null if it cannot be read so
 */
export function readWallTime(text: string, order: DateOrder, time = ''): Minute | null {
  const trimmed = text.trim();
  if (order === 'unix') return readUnix(trimmed);
  const parts = DATE.exec(trimmed);
  if (!parts) return null;
  const [first, second, third] = [parts[1]!, parts[2]!, parts[3]!];
  const [year, month, day] =
    order === 'ymd'
      ? [first, second, third]
      : order === 'dmy'
        ? [third, second, first]
        : [third, first, second];
  const iso = `${fullYear(year)}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
  if (!isDay(iso) || iso < FIRST_DAY || iso > LAST_DAY) return null;
  const minutes = readTime((parts[4] ?? '').trim() || time.trim());
  return minutes === null ? null : dayNumber(iso) * 1440 + minutes;
}

/** Minutes that a zone is ahead of UTC. @param zone as `zoneOf` gives it: `Z`, `UTC`, `GMT`, `+05:30`, `-0800` */
export function zoneMinutes(zone: string): number {
  const parts = /^([+-])(\d{2}):?(\d{2})$/.exec(zone);
  if (!parts) return 0;
  const minutes = Number(parts[2]) * 60 + Number(parts[3]);
  return parts[1] === '-' ? -minutes : minutes;
}

/**
 * The clock of this device at an instant, summer time and all: the wall clock of a bench is the grower's.
 * @param utc minutes since 1970-01-01 00:00 UTC
 */
export const deviceClock = (utc: Minute): Minute =>
  utc - new Date(utc * 60_000).getTimezoneOffset();

/**
 * The time zone a time says it is of, as it is written (`Z`, `+05:00`), or `UTC` where seconds since 1970 are meant.
 * @returns null where no zone is told
 */
export function zoneOf(text: string, order: DateOrder, time = ''): string | null {
  if (order === 'unix') return 'UTC';
  const rest = (DATE.exec(text.trim())?.[4] ?? '').trim() || time.trim();
  return TIME.exec(rest)?.[5]?.toUpperCase() ?? null;
}

function fullYear(text: string): string {
  return text.length <= 2 ? `20${text.padStart(2, '0')}` : text;
}

/** Seconds or milliseconds since 1970, told apart by their size. */
function readUnix(text: string): Minute | null {
  if (!/^\d{9,13}$/.test(text)) return null;
  const value = Number(text);
  const minute = Math.floor((value > 1e11 ? value / 1000 : value) / 60);
  return minute < dayNumber(LAST_DAY) * 1440 ? minute : null;
}

function readTime(text: string): number | null {
  if (text === '') return 0;
  const parts = TIME.exec(text);
  if (!parts) return null;
  let hour = Number(parts[1]);
  const minute = Number(parts[2] ?? 0);
  const half = parts[4]?.[0]?.toLowerCase();
  if (half) {
    if (hour < 1 || hour > 12) return null;
    hour = (hour % 12) + (half === 'p' ? 12 : 0);
  }
  // Midnight may be written as the end of its day; there is no minute after it.
  const past = hour > 24 || (hour === 24 && (minute > 0 || Number(parts[3] ?? 0) > 0));
  return past || minute > 59 ? null : hour * 60 + minute;
}

/** In which orders all of these can be read; more than one where days and months could be swapped. */
export function ordersFor(
  texts: readonly string[],
  times: readonly string[] = [],
): readonly DateOrder[] {
  return DATE_ORDERS.filter((order) =>
    texts.every((text, i) => readWallTime(text, order, times[i]) !== null),
  );
}
