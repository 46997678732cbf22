import { dayNumber, daysBetween, type Day } from '@hypogeon/core/days';
import * as say from '@hypogeon/messages/days';

/** How days are written: the grower's language, and today, which decides whether a year is told. */
export interface DayStyle {
  readonly locale: string;
  readonly today: Day;
}

/** `Tuesday 24 November`, `Dienstag, 24. November`. */
export function longDay(day: Day, { locale }: DayStyle): string {
  const text = formatFor(locale, LONG).format(msOf(day));
  return locale.startsWith('en') ? plainly(text) : text;
}

const LONG: Intl.DateTimeFormatOptions = { weekday: 'long', day: 'numeric', month: 'long' };

/** `Thu 26 Nov`, with the year once it is another one. */
export function dayText(day: Day, { locale, today }: DayStyle): string {
  const other = day.slice(0, 4) !== today.slice(0, 4);
  return write(day, locale, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    ...(other ? { year: 'numeric' } : {}),
  });
}

/** `26 Nov`. */
export const shortDay = (day: Day, { locale }: DayStyle): string =>
  write(day, locale, { day: 'numeric', month: 'short' });

/** `Nov`. */
export const monthName = (day: Day, { locale }: DayStyle): string =>
  write(day, locale, { month: 'short' });

/** `Thu`. */
export const weekdayName = (day: Day, { locale }: DayStyle): string =>
  write(day, locale, { weekday: 'short' });

/** `25–27 Nov`, `28 Nov – 3 Dec`; one day where both ends are the same. */
export function daySpan(from: Day, to: Day, style: DayStyle): string {
  if (from === to) return shortDay(from, style);
  const [first, last] = from < to ? [from, to] : [to, from];
  const format = formatFor(style.locale, { day: 'numeric', month: 'short' });
  // Within a month the two numbers stand close.
  return plainly(format.formatRange(msOf(first), msOf(last)))
    .replace(/^(\d+) – (\d+ \D+)$/, '$1–$2')
    .replace(/^(\D+ \d+) – (\d+)$/, '$1–$2');
}

/** `today`, `tomorrow`, `yesterday`, `Thu 26 Nov`. */
export function nearDay(day: Day, style: DayStyle): string {
  switch (daysBetween(style.today, day)) {
    case 0:
      return say.today();
    case 1:
      return say.tomorrow();
    case -1:
      return say.yesterday();
    default:
      return dayText(day, style);
  }
}

const formats = new Map<string, Intl.DateTimeFormat>();

/** A grower's day has no time zone: it is written in UTC, where it was counted. */
const write = (day: Day, locale: string, options: Intl.DateTimeFormatOptions): string =>
  plainly(formatFor(locale, options).format(msOf(day)));

function formatFor(locale: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = locale + JSON.stringify(options);
  let format = formats.get(key);
  if (!format) {
    format = new Intl.DateTimeFormat(locale, { ...options, timeZone: 'UTC' });
    formats.set(key, format);
  }
  return format;
}

const msOf = (day: Day): number => dayNumber(day) * 86_400_000;

/** `Thu 26 Nov`: without commas, and with plain spaces, which differ between browsers. */
const plainly = (text: string): string =>
  text
    .replace(/,/g, '')
    .replace(/[\u2009\u202f]/g, ' ')
    // `19. Apr.` would end a sentence twice.
    .replace(/(\p{L})\./gu, '$1');
