import type { DayOrder } from '@hypogeon/core/days';
import type { LengthUnit, TemperatureUnit } from '@hypogeon/core/units';

/**
 * Sentences, days, numbers and paper as the grower has them: `de-AT` stays where there is German, and becomes `en-AT`
 * where there is none.
 * @param tag the browser's language, BCP 47
 * @param languages those that sentences can be said in
 * @returns a locale that `Intl` knows; `en-GB` where the tag cannot be read
 */
export function localeOf(tag: string, languages: readonly string[] = ['en']): string {
  try {
    const { language, region } = new Intl.Locale(tag).maximize();
    if (language === 'en' && region === undefined) return 'en-GB';
    return `${languages.includes(language) ? language : 'en'}-${region ?? 'GB'}`;
  } catch {
    return 'en-GB';
  }
}

const REFERENCE = Date.UTC(2025, 10, 25);

/** Which of day and month is written first there. */
export function dayOrderOf(locale: string): DayOrder {
  const parts = new Intl.DateTimeFormat(locale, { dateStyle: 'short', timeZone: 'UTC' })
    .formatToParts(REFERENCE)
    .map((p) => p.type);
  return parts.indexOf('month') < parts.indexOf('day') && parts[0] !== 'year' ? 'mdy' : 'dmy';
}

interface WithWeek {
  readonly weekInfo?: { readonly firstDay: number };
  getWeekInfo?(): { readonly firstDay: number };
}

/** First day of the week there, 0 = Sunday … 6 = Saturday; Monday where the browser cannot tell. */
export function firstWeekdayOf(locale: string): number {
  const known = new Intl.Locale(locale) as unknown as WithWeek;
  return (known.getWeekInfo?.() ?? known.weekInfo ?? { firstDay: 1 }).firstDay % 7;
}

export type Paper = 'a4' | 'letter';

/** Regions that print on Letter. Source: Unicode CLDR, supplemental measurementData, paperSize (from memory). */
const LETTER: ReadonlySet<string> = new Set('BZ CA CL CO CR GT MX NI PA PH PR SV US VE'.split(' '));

export function paperOf(locale: string): Paper {
  return LETTER.has(new Intl.Locale(locale).region ?? '') ? 'letter' : 'a4';
}

/** Regions that measure in inches and °F. Source: Unicode CLDR, supplemental measurementData, measurementSystem US (from memory). */
const INCHES: ReadonlySet<string> = new Set(['US', 'LR', 'MM']);

export function unitsOf(locale: string): 'metric' | 'inches' {
  return INCHES.has(new Intl.Locale(locale).region ?? '') ? 'inches' : 'metric';
}

/** Lengths as they are measured there, until the grower says otherwise. */
export const lengthUnitOf = (locale: string): LengthUnit =>
  unitsOf(locale) === 'inches' ? 'in' : 'mm';

/** Temperatures as they are read there, until the grower says otherwise. */
export const temperatureUnitOf = (locale: string): TemperatureUnit =>
  unitsOf(locale) === 'inches' ? 'F' : 'C';
