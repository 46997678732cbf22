import { growthRate, seasonAt, type NightAndNoon } from './season';
import type { Taxon, TaxonMethod, Window } from './taxon';

/** Growth in a day against 22 °C in season. Resting plants hardly root. Working assumptions. */
const SEASON_PACE = { active: 1, marginal: 0.6, resting: 0.15 } as const;

/** What plants grow by on a day: mean °C, and hours of light where they are known. */
export interface GrowingAir extends NightAndNoon {
  readonly tempC: number;
  readonly dayHours?: number | undefined;
}

/** What a day gives towards roots, in days at 22 °C in season. */
export function growthOn(taxon: Taxon, { tempC, dayHours, ...extremes }: GrowingAir): number {
  return growthRate(tempC) * SEASON_PACE[seasonAt(taxon, tempC, dayHours, extremes).state];
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
  return -from + Math.log(-Math.expm1(from - Math.max(to, from + 1e-12)));
}

/** The time to what makes it a plant: a leaf is one only with its pup, a crown is one already. */
export function timeOf({ method, pups, roots }: TaxonMethod): WeibullTime {
  return timeWithin(method === 'leaf' || method === 'leaf-section' ? (pups ?? roots) : roots);
}
