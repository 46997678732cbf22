import { addDays, daysBetween, isDay, type Day } from './day';

/** Which of two small numbers is the day: `14/4` or `4/14`. */
export type DayOrder = 'dmy' | 'mdy';

export type ReadDay =
  | { readonly ok: true; readonly day: Day }
  | { readonly ok: false; readonly why: 'empty' | 'not-a-day' }
  /** Both can be meant: whoever knows the order says which. */
  | { readonly ok: false; readonly why: 'ambiguous'; readonly either: readonly [Day, Day] };

export interface ReadDayWith {
  /** What `3/4` means; without it a date that can be read both ways is ambiguous. */
  readonly order?: DayOrder;
  /** A day without a year is the one nearest to this. */
  readonly today: Day;
  /** Month names of these languages are read besides the English ones. */
  readonly languages?: readonly string[];
}

const NUMBERS = /^(\d{1,4})[-/. ]+(\d{1,2})(?:[-/. ]+(\d{1,4}))?\.?$/;
const COMPACT = /^(\d{4})(\d{2})(\d{2})$/;
const ORDINAL = /(\d)(?:st|nd|rd|th)\b/gi;

/**
 * Reads a day as people write it: `2025-05-20`, `May 20, 2025`, `20 May`, `14.4.2025`, `3/14/25`.
 * A date that can only be meant one way is read so whatever the order.
 * @example readDay('3/14/25', { today }) // 2025-03-14: there is no fourteenth month
 */
export function readDay(text: string, { order, today, languages = [] }: ReadDayWith): ReadDay {
  const trimmed = text.trim().replace(/\s+/g, ' ');
  if (trimmed === '') return { ok: false, why: 'empty' };
  const compact = COMPACT.exec(trimmed);
  if (compact) return one(dayOf(compact[1], compact[2]!, compact[3]!, today));
  const numbers = NUMBERS.exec(trimmed);
  if (!numbers) return one(named(trimmed, today, languages));
  const [, first, second, third] = numbers;
  if (first!.length > 2)
    return one(third !== undefined ? dayOf(first, second!, third, today) : null);
  const dayFirst = dayOf(third, second!, first!, today);
  const monthFirst = dayOf(third, first!, second!, today);
  if (dayFirst && monthFirst && dayFirst !== monthFirst) {
    if (!order) return { ok: false, why: 'ambiguous', either: [dayFirst, monthFirst] };
    return { ok: true, day: order === 'dmy' ? dayFirst : monthFirst };
  }
  return one(dayFirst ?? monthFirst);
}

/** Which order a date tells by itself: `14/3/25` has no fourteenth month. @returns null where it tells nothing */
export function orderTold(text: string): DayOrder | null {
  const [, first, second, third] = NUMBERS.exec(text.trim()) ?? [];
  if (first === undefined || first.length > 2 || second === undefined || third === undefined)
    return null;
  if (Number(first) > 12 && Number(second) <= 12) return 'dmy';
  return Number(second) > 12 && Number(first) <= 12 ? 'mdy' : null;
}

const one = (day: Day | null): ReadDay =>
  day === null ? { ok: false, why: 'not-a-day' } : { ok: true, day };

/** `May 20, 2025`, `Tue 20 May`, `20. Mai 2025`, `mar 20 de mayo`. */
function named(text: string, today: Day, languages: readonly string[]): Day | null {
  const words = text
    .replace(ORDINAL, '$1')
    .split(/[\s,./-]+/)
    .filter((w) => w !== '');
  // A weekday may begin like a month, and stands before it: `mar` is a Tuesday in Spanish.
  const month = words.map((w) => monthOf(w, languages)).findLast((m) => m !== null);
  const numbers = words.filter((w) => /^\d+$/.test(w));
  if (month == null || numbers.length < 1 || numbers.length > 2) return null;
  // A year may stand first: 2025 May 20.
  const [a, b] = numbers as [string, string?];
  const [day, year] = b !== undefined && a.length > 2 ? [b, a] : [a, b];
  return dayOf(year, `${month}`, day, today);
}

/** @returns 1–12, or null for a word that names no month */
function monthOf(word: string, languages: readonly string[]): number | null {
  const low = word.toLowerCase();
  if (low.length < 3 || /^\d/.test(low)) return null;
  for (const names of [ENGLISH, ...languages.map(monthsIn)]) {
    const at = names.findIndex((name) => name.startsWith(low));
    if (at >= 0) return at + 1;
  }
  return null;
}

const ENGLISH: readonly string[] =
  'january february march april may june july august september october november december'.split(
    ' ',
  );

function monthsIn(locale: string): readonly string[] {
  const format = new Intl.DateTimeFormat(locale, { month: 'long', timeZone: 'UTC' });
  return Array.from({ length: 12 }, (_, m) => format.format(Date.UTC(2025, m, 1)).toLowerCase());
}

function dayOf(year: string | undefined, month: string, day: string, today: Day): Day | null {
  const inYear = (y: number): Day | null => {
    const iso = `${`${y}`.padStart(4, '0')}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
    return isDay(iso) ? iso : null;
  };
  if (year !== undefined) {
    if (year.length === 3) return null;
    return inYear(year.length <= 2 ? 2000 + Number(year) : Number(year));
  }
  const now = Number(today.slice(0, 4));
  const near = [now - 1, now, now + 1].map(inYear).filter((d) => d !== null);
  const away = (d: Day): number => Math.abs(daysBetween(today, d));
  return near.length === 0 ? null : near.reduce((a, b) => (away(b) < away(a) ? b : a));
}

/** `today`, `yesterday`, `tomorrow`, `3 days ago`: words for days near. @returns null for anything else */
export function readNearDay(text: string, today: Day): Day | null {
  const low = text.trim().toLowerCase();
  if (low === 'today') return today;
  if (low === 'yesterday') return addDays(today, -1);
  if (low === 'tomorrow') return addDays(today, 1);
  const ago = /^(\d{1,4}) days? ago$/.exec(low);
  return ago ? addDays(today, -Number(ago[1])) : null;
}
