import {
  growthOn,
  shareBy,
  slowed,
  timeOf,
  type GrowingAir,
  type Taxon,
  type TaxonMethod,
} from '../botany';
import { addDays, daysBetween, type Day } from '../days';

/** How far a young plant is to be grown. */
export const SIZES = ['rooted', 'small', 'saleable'] as const;
export type Size = (typeof SIZES)[number];

export const SIZE_WORD: Readonly<Record<Size, string>> = {
  rooted: 'rooted',
  small: 'small plants',
  saleable: 'saleable plants',
};

/**
 * Days of growth at 22 °C in season from the first root or pup to the size. Working assumptions, set on
 * what growers say (a good-sized rosette from a leaf in about six months: common practice, no source).
 */
const GROWTH_DAYS: Readonly<Record<Exclude<Size, 'rooted'>, number>> = { small: 28, saleable: 60 };
const FROM_LEAF: Readonly<Record<Exclude<Size, 'rooted'>, number>> = { small: 60, saleable: 130 };

export function growthDays(method: TaxonMethod['method'], size: Size): number {
  if (size === 'rooted') return 0;
  const tiny = method === 'leaf' || method === 'leaf-section' || method === 'plantlet';
  return (tiny ? FROM_LEAF : GROWTH_DAYS)[size];
}

/** How a cutting comes along, from its cut to the size that is wanted. */
export interface Readiness {
  /** Chance that one which lives is ready by a day, 0–1, over all paces that are believed. */
  by(day: Day): number;
  /** The same for each pace, equally likely. */
  byPace(day: Day): readonly number[];
  /** First day by which this share of those that live is ready; null within three years. */
  dayFor(share: number): Day | null;
}

const MOST_DAYS = 1100;

/**
 * @param airOn air and light of a day where it stands
 * @param paces how many times as long roots take as the window says, equally likely; 1 as it says
 */
export function readiness(
  taxon: Taxon,
  way: TaxonMethod,
  size: Size,
  cutOn: Day,
  airOn: (day: Day) => GrowingAir,
  paces: readonly number[] = [1],
): Readiness {
  const times = paces.map((pace) => slowed(timeOf(way), pace));
  const later = growthDays(way.method, size);
  const sums: number[] = [0];
  const growthUntil = (days: number): number => {
    for (let n = sums.length; n <= days; n++)
      sums.push(sums[n - 1]! + growthOn(taxon, airOn(addDays(cutOn, n - 1))));
    return sums[days]!;
  };
  const grown = (growth: number): readonly number[] =>
    times.map((time) => shareBy(time, growth - later));
  const byPace = (day: Day): readonly number[] => {
    const days = Math.min(daysBetween(cutOn, day), MOST_DAYS);
    return grown(days <= 0 ? 0 : growthUntil(days));
  };
  return {
    byPace,
    by: (day) => mean(byPace(day)),
    dayFor(share) {
      for (let n = 1; n <= MOST_DAYS; n++)
        if (mean(grown(growthUntil(n))) >= share) return addDays(cutOn, n);
      return null;
    },
  };
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, v) => sum + v, 0) / values.length;
