import { memo } from '../memo';
import type { MethodId } from './method';
import { growsCool, seasonStateAt, type NightAndNoon } from './season';
import type { Taxon, Window } from './taxon';

/** Growth doubles with ten degrees. Working assumption; 1.7–2.5 make sense. */
const Q10 = 2;
/** The warmth that windows are told at: of most 22 °C, of plants of the cool the middle of their own band. */
const WINDOW_C = 22;
/** So much warmer roots nothing sooner; so much colder the stretch says nothing any more. */
const WARMER_C = 6;
const COLDER_C = 16;

/** How warmth and light decide when a piece of a plant roots. */
export interface Grower extends Pick<Taxon, 'season'> {
  /** The warmth at which its roots take as long as its window says, °C. */
  readonly windowC: number;
  /** Warmer than this roots nothing sooner. */
  readonly warmestC: number;
}

const asItself = memo(({ season }: Taxon): Grower => {
  const windowC = growsCool({ season })
    ? Math.min(WINDOW_C, (season.fromC + season.toC) / 2)
    : WINDOW_C;
  return { season, windowC, warmestC: windowC + WARMER_C };
});

/**
 * Root cuttings are taken as the plant rests and come in the cool, whatever it does in summer: of mid October they
 * show shoots by January at about 10 °C. Common practice, no source.
 */
const ROOT_CUTTING_C = 10;
const COOLEST_ROOT_CUTTING_C = 2;
const asRootCutting = memo(({ season }: Taxon): Grower => ({
  season: { ...season, grower: 'winter', fromC: COOLEST_ROOT_CUTTING_C },
  windowC: ROOT_CUTTING_C,
  warmestC: ROOT_CUTTING_C,
}));

/** How a piece of a plant grows towards roots. */
export const grownAs = (taxon: Taxon, method: MethodId): Grower =>
  method === 'root-cutting' ? asRootCutting(taxon) : asItself(taxon);

/** How fast roots come at a temperature, against that of the window. */
export function growthRate(tempC: number, { windowC, warmestC }: Omit<Grower, 'season'>): number {
  const held = Math.min(Math.max(tempC, windowC - COLDER_C), warmestC);
  return Q10 ** ((held - windowC) / 10);
}

/** Growth in a day against the window’s warmth in season. Resting plants hardly root. Working assumptions. */
const SEASON_PACE = { active: 1, marginal: 0.6, resting: 0.15 } as const;

/** What plants grow by on a day: mean °C, and hours of light where they are known. */
export interface GrowingAir extends NightAndNoon {
  readonly tempC: number;
  readonly dayHours?: number | undefined;
}

/** What a day gives towards roots, in days at the warmth of its window, in season. */
export function growthOn(grower: Grower, air: GrowingAir): number {
  const state = seasonStateAt(grower, air.tempC, air.dayHours, air);
  return growthRate(air.tempC, grower) * SEASON_PACE[state];
}

export interface WeibullTime {
  readonly shape: number;
  /** Days at 22 °C in season. */
  readonly scale: number;
}

/**
 * The time to a first root or pup whose window says when one in ten and nine in ten have it.
 * @returns Weibull shape and scale
 */
export function timeWithin({ from, to }: Pick<Window, 'from' | 'to'>): WeibullTime {
  // A window of a single day is still a window.
  const wide = Math.max(to, from * 1.05);
  const early = -Math.log(0.9);
  const shape = Math.log(Math.log(10) / early) / Math.log(wide / from);
  return { shape, scale: from / early ** (1 / shape) };
}

/** The same time, stretched. */
export function slowed({ shape, scale }: WeibullTime, pace: number): WeibullTime {
  return { shape, scale: scale * pace };
}

/** Share that has it after so much growth, 0–1. */
export function shareBy(time: WeibullTime, growth: number): number {
  return growth <= 0 ? 0 : 1 - Math.exp(-hazardBy(time, growth));
}

/** The cumulative hazard after so much growth: −ln of the share that has it not yet. */
export function hazardBy({ shape, scale }: WeibullTime, growth: number): number {
  return (Math.max(growth, 0) / scale) ** shape;
}

/**
 * ln of the share that gets it between two growths: finite however late it came, so that the slow teach as much as
 * the quick.
 * @param after growth at the last look without it, ≥ 0
 * @param by growth at the first look with it, > after
 */
export function logShareBetween(time: WeibullTime, after: number, by: number): number {
  return logShareOver(hazardBy(time, after), hazardBy(time, by));
}

/** The same by the cumulative hazards at the two looks. */
export function logShareOver(from: number, to: number): number {
  return -from + Math.log(-Math.expm1(from - Math.max(to, from * (1 + 1e-12) + 1e-12)));
}
