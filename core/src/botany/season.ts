import * as say from '@hypogeon/messages/core-season';
import type { Taxon } from './taxon';

export type SeasonState = 'active' | 'marginal' | 'resting';

export interface Season {
  readonly state: SeasonState;
  readonly reason: string;
}

/** Degrees outside the band that still give some growth. Working assumption; 2–5 make sense. */
const MARGIN_C = 3;

/** Days shorter than this hold summer growers back, warm or not. Working assumption; 8–11 make sense. */
export const SHORT_DAY_HOURS = 9.5;
/**
 * The same for winter growers and alpines: eight hours of a December at 43° carry them, under five at 62° do not.
 * Common practice, no source; 5.5–7.5 make sense.
 */
export const SHORT_COOL_DAY_HOURS = 6.5;
/** What has its upper end here or below is a plant of the cool, whenever it grows. Working assumption; 22–25. */
const COOL_TO_C = 24;

/** Winter growers, alpines: their time is the cool, and little light carries them. */
export const growsCool = ({ season }: Pick<Taxon, 'season'>): boolean =>
  season.grower === 'winter' || season.toC <= COOL_TO_C;

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
 * @param dayHours hours of light, sunrise to sunset or of lamps; left out where nobody knows
 * @param extremes of the same day: a mean within the band may hide a night or a noon far out of it
 */
export function seasonAt(
  taxon: Pick<Taxon, 'season'>,
  tempC: number,
  dayHours?: number,
  { nightC, noonC }: NightAndNoon = {},
): Season {
  const { fromC, toC } = taxon.season;
  const shortest = growsCool(taxon) ? SHORT_COOL_DAY_HOURS : SHORT_DAY_HOURS;
  const outside = tempC < fromC ? fromC - tempC : tempC > toC ? tempC - toC : 0;
  const side = tempC < fromC ? say.tooCool() : say.tooWarm();
  if (outside === 0 && dayHours !== undefined && dayHours < shortest)
    return { state: 'marginal', reason: say.warmEnoughButDays() };
  if (outside === 0 && nightC !== undefined && nightC < fromC - COLD_NIGHT_C)
    return { state: 'marginal', reason: say.warmEnoughByDay() };
  if (outside === 0 && noonC !== undefined && noonC > toC + HOT_NOON_C)
    return { state: 'marginal', reason: say.mildOnTheWhole() };
  if (outside === 0) return { state: 'active', reason: say.warmEnoughToGrow() };
  return outside <= MARGIN_C
    ? { state: 'marginal', reason: say.aLittleToGrow({ side }) }
    : { state: 'resting', reason: say.toGrowRootsWill({ side }) };
}
