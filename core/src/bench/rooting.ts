import { timeOf, type TaxonMethod } from '../botany';
import type { State } from '../journal';
import { memoBy } from '../memo';
import { PACE_SD, paceFrom, paceVector, sumOf } from './pace-evidence';
import { genusOf, toldIn, type RootEvidence, type GenusEvidence } from './root-evidence';

/** What other plants of the genus weigh against the plant's own records. Working assumption; 0.1–0.5. */
export const GENUS_WEIGHT = 0.3;

/** How many times as long roots take here as the window says, learned from settled batches. */
export interface RootingPace {
  readonly factor: number;
  /** Eight times in ten between the two. */
  readonly low: number;
  readonly high: number;
  /** Cuttings of this plant whose roots (or pups) were seen between two looks, and of its genus. */
  readonly own: number;
  readonly genus: number;
}

/** The pace of a plant's roots by a method on this bench. */
export function rootingPace(state: State, taxon: string, way: TaxonMethod): RootingPace {
  const told = toldIn(state).get(`${genusOf(state, taxon)}/${way.method}`);
  if (!told) return UNTOLD;
  return learned(told, taxon, () => new Map()).get(way) ?? learn(told, taxon, way);
}

function learn(told: GenusEvidence, taxon: string, way: TaxonMethod): RootingPace {
  const time = timeOf(way);
  const own = told.own.get(taxon);
  // Its own batches are measured by the window that is asked for, which may be a planned one.
  const measured = own?.told.every(
    (t) => t.time.shape === time.shape && t.time.scale === time.scale,
  )
    ? own.sum
    : sumOf((own?.told ?? []).map((t) => ({ vector: paceVector({ ...t, time }), weight: 1 })));
  const sum = sumOf([
    { vector: measured, weight: 1 },
    { vector: told.sum, weight: GENUS_WEIGHT },
    ...(own ? [{ vector: own.sum, weight: -GENUS_WEIGHT }] : []),
  ]);
  const counted = (all: readonly RootEvidence[]): number => all.reduce((n, t) => n + t.count, 0);
  const count = { own: counted(own?.told ?? []), genus: 0 };
  count.genus = counted(told.all) - count.own;
  const pace = { ...paceFrom(sum), ...count };
  learned(told, taxon, () => new Map()).set(way, pace);
  return pace;
}

/** Paces of the plants of a genus, as long as its batches tell the same. */
const learned = memoBy<GenusEvidence, Map<TaxonMethod, RootingPace>>(500);
const UNTOLD: RootingPace = {
  factor: 1,
  low: Math.exp(-1.2816 * PACE_SD),
  high: Math.exp(1.2816 * PACE_SD),
  own: 0,
  genus: 0,
};
/** What the pace rests on, in words: `as catalogued`, `1.3 times the catalogue by your own 43`. */
export function paceWords({ factor, own, genus }: RootingPace): string {
  if (own + genus === 0) return 'catalogue';
  const whose = [own > 0 ? `your own ${own}` : '', genus > 0 ? `${genus} of the genus` : '']
    .filter(Boolean)
    .join(' and ');
  const percent = Math.round((factor - 1) * 100);
  if (Math.abs(percent) < 3) return `as the catalogue, by ${whose}`;
  return `${Math.abs(percent)} % ${percent > 0 ? 'slower' : 'sooner'} than the catalogue, by ${whose}`;
}
