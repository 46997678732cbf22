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

/** What a day is to a plant, and what makes it so. */
type Finding = 'grows' | 'short days' | 'cold nights' | 'hot noons' | 'a little out' | 'far out';

const STATE: Readonly<Record<Finding, SeasonState>> = {
  grows: 'active',
  'short days': 'marginal',
  'cold nights': 'marginal',
  'hot noons': 'marginal',
  'a little out': 'marginal',
  'far out': 'resting',
};

function findingOf(
  taxon: Pick<Taxon, 'season'>,
  tempC: number,
  dayHours: number | undefined,
  { nightC, noonC }: NightAndNoon,
): Finding {
  const { fromC, toC } = taxon.season;
  const outside = tempC < fromC ? fromC - tempC : tempC > toC ? tempC - toC : 0;
  if (outside > 0) return outside <= MARGIN_C ? 'a little out' : 'far out';
  const shortest = growsCool(taxon) ? SHORT_COOL_DAY_HOURS : SHORT_DAY_HOURS;
  if (dayHours !== undefined && dayHours < shortest) return 'short days';
  if (nightC !== undefined && nightC < fromC - COLD_NIGHT_C) return 'cold nights';
  if (noonC !== undefined && noonC > toC + HOT_NOON_C) return 'hot noons';
  return 'grows';
}

/** The same as {@link seasonAt} without its reason: sums over years ask for nothing else. */
export const seasonStateAt = (
  taxon: Pick<Taxon, 'season'>,
  tempC: number,
  dayHours: number | undefined,
  extremes: NightAndNoon,
): SeasonState => STATE[findingOf(taxon, tempC, dayHours, extremes)];

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
  extremes: NightAndNoon = {},
): Season {
  const finding = findingOf(taxon, tempC, dayHours, extremes);
  return {
    state: STATE[finding],
    reason: reasonOf(finding, tempC < taxon.season.fromC ? say.tooCool : say.tooWarm),
  };
}

function reasonOf(finding: Finding, side: () => string): string {
  switch (finding) {
    case 'grows':
      return say.warmEnoughToGrow();
    case 'short days':
      return say.warmEnoughButDays();
    case 'cold nights':
      return say.warmEnoughByDay();
    case 'hot noons':
      return say.mildOnTheWhole();
    case 'a little out':
      return say.aLittleToGrow({ side: side() });
    case 'far out':
      return say.toGrowRootsWill({ side: side() });
  }
}
