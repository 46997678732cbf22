import * as say from '@hypogeon/messages/core-readiness';
import { shareBy, slowed, type MethodId, type TaxonMethod, type WeibullTime } from '../botany';
import type { Day } from '../days';
import {
  awaitedRoots,
  batchesToCome,
  chanceOn,
  dayOfShare,
  growthFor,
  growthsOn,
  pacesOf,
  plantTime,
  type Belief,
  type Outlook,
} from '../learn';
import type { Chances } from './number-needed';

/** How far a young plant is to be grown. */
export const SIZES = ['rooted', 'small', 'saleable'] as const;
export type Size = (typeof SIZES)[number];

export const SIZE_WORD: Readonly<Record<Size, string>> = {
  get rooted() {
    return say.rooted();
  },
  get small() {
    return say.smallPlants();
  },
  get saleable() {
    return say.saleablePlants();
  },
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

/** How likely a pace is, and the share of those that live which is ready at it; 0–1. */
export interface PaceReady {
  readonly weight: number;
  readonly ready: number;
}

/** How a cutting comes along, from its cut to the size that is wanted. */
export interface Readiness {
  /** What is believed of its batch by a day. */
  on(day: Day): readonly Chances[];
  /** The share of those that live which is ready by a day, by how quick the batch is. */
  paces(day: Day): readonly PaceReady[];
  /** Chance that one which lives is ready by a day, 0–1. */
  by(day: Day): number;
  /** First day by which this share of those that live is ready; null within three years. */
  dayFor(share: number): Day | null;
}

/** @param outlook of the piece: the one clock of roots */
export function readiness(
  { line, around, belief, times }: Pick<Outlook, 'line' | 'around' | 'belief' | 'times'>,
  way: TaxonMethod,
  size: Size,
  cutOn: Day,
): Readiness {
  const time = plantTime(times, way);
  const later = growthDays(way.method, size);
  const awaited = awaitedRoots(belief.batch, time, 0);
  return {
    on: (day) => chancesByDay({ line, around, belief }, time, later, day),
    paces: (day) =>
      growthsOn({ line, around }, day).flatMap(({ growth, weight: of }) =>
        pacesOf(belief).map(({ weight, pace }) => ({
          weight: of * weight,
          ready: shareBy(slowed(time, pace), growth - later),
        })),
      ),
    by: (day) => chanceOn({ line, around }, awaited, day, later).mean / awaited.ever,
    dayFor: (share) =>
      dayOfShare({ line, around }, (s) => growthFor(awaited, s) + later, share, cutOn),
  };
}

/** What is believed of a batch after so much growth. */
export const chancesAfter = (
  belief: Pick<Belief, 'batch'>,
  time: WeibullTime,
  growth: number,
): readonly Chances[] => batchesToCome(belief, (pace) => shareBy(slowed(time, pace), growth));

/**
 * What is believed of a batch by a day, whatever its guessed months turn out to be.
 * @param later days of growth from its roots to the size that is wanted
 */
export const chancesByDay = (
  { line, around, belief }: Pick<Outlook, 'line' | 'around' | 'belief'>,
  time: WeibullTime,
  later: number,
  day: Day,
): readonly Chances[] =>
  growthsOn({ line, around }, day).flatMap(({ growth, weight }) =>
    chancesAfter(belief, time, growth - later).map((c) => ({ ...c, weight: weight * c.weight })),
  );

/** What is believed of a batch, whenever it is ready. */
export const chancesOf = (belief: Pick<Belief, 'batch'>): readonly Chances[] =>
  batchesToCome(belief, () => 1);
