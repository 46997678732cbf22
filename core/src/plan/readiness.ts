import {
  growthOn,
  shareBy,
  slowed,
  timeOf,
  type GrowingAir,
  type MethodId,
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
 * Days of growth at 22 °C in season from the first root (of leaves and sections: the first pup) to the size, by what
 * the piece is to begin with: a rooted pup is a small plant already, a leaf’s pup a crumb. Working assumptions, set on
 * what growers say (a good-sized rosette from a leaf in about six months, an offset within a season: common practice,
 * no source).
 */
const GROWTH_DAYS: Readonly<Record<MethodId, Readonly<Record<Exclude<Size, 'rooted'>, number>>>> = {
  leaf: { small: 60, saleable: 130 },
  'leaf-section': { small: 75, saleable: 160 },
  crown: { small: 10, saleable: 40 },
  segment: { small: 40, saleable: 90 },
  trailing: { small: 20, saleable: 60 },
  branch: { small: 14, saleable: 60 },
  pad: { small: 28, saleable: 90 },
  column: { small: 10, saleable: 45 },
  offset: { small: 21, saleable: 70 },
  'rooted-offset': { small: 0, saleable: 30 },
  division: { small: 0, saleable: 30 },
  plantlet: { small: 60, saleable: 130 },
  'root-cutting': { small: 60, saleable: 150 },
  bulbil: { small: 45, saleable: 110 },
  'flower-stalk': { small: 60, saleable: 130 },
  seed: { small: 120, saleable: 300 },
  culture: { small: 40, saleable: 120 },
};

export function growthDays(method: MethodId, size: Size): number {
  return size === 'rooted' ? 0 : GROWTH_DAYS[method][size];
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
