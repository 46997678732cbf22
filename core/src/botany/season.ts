import type { Taxon, Window } from './taxon';

export type SeasonState = 'active' | 'marginal' | 'resting';

export interface Season {
  readonly state: SeasonState;
  readonly reason: string;
}

/** Degrees outside the band that still give some growth. Working assumption; 2–5 make sense. */
const MARGIN_C = 3;

/** Days shorter than this hold summer growers back, warm or not. Working assumption; 8–11 make sense. */
export const SHORT_DAY_HOURS = 9.5;

/** Nights so far under the band, °C, hold growth back though the mean of the day is within it. Working assumption; 4–8. */
const COLD_NIGHT_C = 6;
/** Noons so far over the band shut the plant down for the best of the day. Working assumption; 6–10. */
const HOT_NOON_C = 8;

/** How cold a night and how hot a noon, °C. */
export interface NightAndNoon {
  readonly nightC?: number | undefined;
  readonly noonC?: number | undefined;
}

/**
 * Whether a plant grows in air of this mean temperature, with the reason in words.
 * @param tempC mean of the day, °C
 * @param dayHours hours of light, of sun or lamps; left out where nobody knows
 * @param extremes of the same day: a mean within the band may hide a night or a noon far out of it
 */
export function seasonAt(
  taxon: Taxon,
  tempC: number,
  dayHours?: number,
  { nightC, noonC }: NightAndNoon = {},
): Season {
  const { fromC, toC, grower } = taxon.season;
  const outside = tempC < fromC ? fromC - tempC : tempC > toC ? tempC - toC : 0;
  const side = tempC < fromC ? 'too cool' : 'too warm';
  if (outside === 0 && dayHours !== undefined && dayHours < SHORT_DAY_HOURS && grower !== 'winter')
    return { state: 'marginal', reason: 'warm enough, but days this short slow it' };
  if (outside === 0 && nightC !== undefined && nightC < fromC - COLD_NIGHT_C)
    return { state: 'marginal', reason: 'warm enough by day, but the nights are too cold' };
  if (outside === 0 && noonC !== undefined && noonC > toC + HOT_NOON_C)
    return { state: 'marginal', reason: 'mild on the whole, but too hot at noon' };
  if (outside === 0) return { state: 'active', reason: 'in its growing band' };
  return outside <= MARGIN_C
    ? { state: 'marginal', reason: `a little ${side} to grow well` }
    : { state: 'resting', reason: `${side} to grow: roots will wait` };
}

/** Growth doubles with ten degrees. Working assumption; 1.7–2.5 make sense. */
const Q10 = 2;
const WINDOW_TEMP_C = 22;
/** Warmer than this roots nothing sooner; colder than this the stretch says nothing any more. */
const WARMEST_C = 28;
const COLDEST_C = 6;

/** How fast roots come at a temperature, against 22 °C. */
export function growthRate(tempC: number): number {
  const held = Math.min(Math.max(tempC, COLDEST_C), WARMEST_C);
  return Q10 ** ((held - WINDOW_TEMP_C) / 10);
}

/**
 * A window stretched from 22 °C to the air it happens in.
 * @param pace how many times as long it takes on this bench, 1 as catalogued
 * @returns days from the cut, whole
 */
export function windowAt(window: Window, tempC: number, pace = 1): { from: number; to: number } {
  const stretch = pace / growthRate(tempC);
  return { from: Math.round(window.from * stretch), to: Math.round(window.to * stretch) };
}
