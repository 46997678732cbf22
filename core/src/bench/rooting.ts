import { memoAround, memoBy } from '../memo';
import {
  growthOn,
  logShareBetween,
  shareBy,
  slowed,
  timeOf,
  type Taxon,
  type TaxonMethod,
  type WeibullTime,
} from '../botany';
import { addDays, daysBetween, type Day } from '../days';
import { spaceOn, type Batch, type State } from '../journal';
import { gridPosterior, weightInCluster } from '../stats';
import { figuresOf, plantOf } from './plant';
import { growingDay } from './season-of';
import { teaches } from './teaches';

import { sparing } from '../faults';

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

/** Spread of the factor before any record, sd of the log. Working assumption; 0.2–0.6 make sense. */
const PACE_SD = 0.4;
/**
 * Cuttings of one batch share tray, weather and hand: each further one tells less. Working assumption,
 * correlation of their times within a batch; 0.05–0.4 make sense. Times are more alike than fates, for all wait for
 * the same look.
 */
const ALIKE = 0.2;
const POINTS = 121;
/** How far the factor may lie from the window, in spreads: a bench six times as slow is still learned. */
const REACH = 4.5;
const GRID: readonly number[] = Array.from(
  { length: POINTS },
  (_, i) => -REACH * PACE_SD + (2 * REACH * PACE_SD * i) / (POINTS - 1),
);

/** Roots seen between two looks, as growth since the cut, for so many cuttings. */
export interface SeenBetween {
  readonly after: number;
  readonly by: number;
  readonly count: number;
}

/** Cuttings of a batch that is not settled and that had none at their last look: slow, or never to root. */
export interface Waits {
  readonly growth: number;
  readonly count: number;
  /** Share that is thought to root in the end, 0–1. */
  readonly share: number;
}

/** What seen intervals make of the factor. @param groups by batch, with the weight of its evidence */
export function paceFrom(
  groups: readonly {
    readonly seen: readonly SeenBetween[];
    readonly weight: number;
    /** The window of the group's own plant: each is measured by its own. */
    readonly time: WeibullTime;
    readonly waits?: Waits | null | undefined;
  }[],
): { readonly factor: number; readonly low: number; readonly high: number } {
  const { mean, quantile } = gridPosterior(GRID, (x) => {
    let sum = -0.5 * (x / PACE_SD) ** 2;
    for (const { seen, weight, time, waits } of groups) {
      const stretched = slowed(time, Math.exp(x));
      const n = seen.reduce((all, s) => all + s.count, waits?.count ?? 0);
      const tempered = weight * weightInCluster(n, ALIKE);
      for (const { after, by, count } of seen) {
        sum += tempered * count * logShareBetween(stretched, after, by);
      }
      if (waits)
        sum +=
          tempered * waits.count * Math.log(1 - waits.share * shareBy(stretched, waits.growth));
    }
    return sum;
  });
  return { factor: Math.exp(mean), low: Math.exp(quantile(0.1)), high: Math.exp(quantile(0.9)) };
}

/** What a batch has told. */
interface Told {
  readonly taxon: string;
  /** The window of its own plant. */
  readonly time: WeibullTime;
  readonly seen: readonly SeenBetween[];
  readonly waits: Waits | null;
  readonly count: number;
}

/** The pace of a plant's roots by a method on this bench. */
export function rootingPace(state: State, taxon: string, way: TaxonMethod): RootingPace {
  const told = toldIn(state).get(`${genusOf(state, taxon)}/${way.method}`) ?? [];
  const key = `${taxon}/${way.method}`;
  const known = paces.get(key);
  // What is told by a batch stays the same object while nothing it hangs on changes.
  if (
    known?.way === way &&
    known.told.length === told.length &&
    known.told.every((t, i) => t === told[i])
  )
    return known.pace;
  const pace = learn(taxon, way, told);
  paces.set(key, { way, told, pace });
  return pace;
}

const paces = new Map<
  string,
  { readonly way: TaxonMethod; readonly told: readonly Told[]; readonly pace: RootingPace }
>();
const kept = memoAround<Batch, Told>();
const gathered = memoBy<State['batches'], ReadonlyMap<string, readonly Told[]>>(1);

/** Batches that were looked at, by genus and method. */
function toldIn(state: State): ReadonlyMap<string, readonly Told[]> {
  return gathered(state.batches, '', () => gatherTold(state));
}

/** All that batches have told, batch by batch: the same objects while they tell the same. */
export const rootsTaught = (state: State): readonly unknown[] => [...toldIn(state).values()].flat();

function gatherTold(state: State): ReadonlyMap<string, readonly Told[]> {
  const groups = new Map<string, Told[]>();
  const settled = sparing(state.batches.values(), (batch) =>
    // One that still waits teaches too: what it has seen, and that the rest had none by then.
    batch.lastLook !== null && teaches(state, batch) && figuresOf(state, batch)
      ? [{ batch, told: toldBy(state, batch) }]
      : [],
  );
  for (const { batch, told } of settled.results.flat()) {
    if (told.count === 0) continue;
    const key = `${genusOf(state, batch.taxon)}/${batch.method}`;
    const group = groups.get(key);
    if (group) group.push(told);
    else groups.set(key, [told]);
  }
  return groups;
}

function toldBy(state: State, batch: Batch): Told {
  const spaces = [...new Set([batch.standSpace, ...batch.moves.map((m) => m.space)])];
  const around = [
    plantOf(state, batch.taxon)?.taxon,
    state.settings.latitude,
    // Readings after its last count tell it nothing; back-dated ones do.
    ...spaces.flatMap((s) => [state.spaces.get(s), readingsUntil(state, s, batch.lastLook)]),
  ];
  return kept(batch, around, () => {
    const { taxon } = plantOf(state, batch.taxon)!;
    const figures = figuresOf(state, batch)!;
    const { seen, waits } = seenIn(state, batch, taxon, figures.success.mean);
    const count = seen.reduce((n, s) => n + s.count, 0);
    return { taxon: batch.taxon, time: timeOf(figures), seen, waits, count };
  });
}

function readingsUntil(state: State, space: string, day: Day | null): number {
  const readings = state.air.get(space) ?? [];
  let low = 0;
  let high = readings.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (readings[middle]!.day <= (day ?? '')) low = middle + 1;
    else high = middle;
  }
  return low;
}

function genusOf(state: State, taxon: string): string {
  return plantOf(state, taxon)?.taxon.name.split(' ')[0] ?? taxon;
}

function learn(taxon: string, way: TaxonMethod, told: readonly Told[]): RootingPace {
  const count = { own: 0, genus: 0 };
  for (const t of told) count[t.taxon === taxon ? 'own' : 'genus'] += t.count;
  if (told.length === 0) return { factor: 1, ...spreadOf(), ...count };
  const groups = told.map(({ seen, waits, time, taxon: of }) => ({
    seen,
    waits,
    time: of === taxon ? timeOf(way) : time,
    weight: of === taxon ? 1 : GENUS_WEIGHT,
  }));
  return { ...paceFrom(groups), ...count };
}

function spreadOf(): { low: number; high: number } {
  const z = 1.2816;
  return { low: Math.exp(-z * PACE_SD), high: Math.exp(z * PACE_SD) };
}

/** When its cuttings had what makes them plants, as growth at 22 °C in season. */
function seenIn(
  state: State,
  batch: Batch,
  taxon: Taxon,
  share: number,
): { readonly seen: readonly SeenBetween[]; readonly waits: Waits | null } {
  const sign = batch.method === 'leaf' || batch.method === 'leaf-section' ? 'pupped' : 'rooted';
  const growth: number[] = [0];
  const grown = (day: Day): number => {
    const days = Math.min(Math.max(daysBetween(batch.cutOn, day), 0), 1100);
    for (let n = growth.length; n <= days; n++) {
      const on = addDays(batch.cutOn, n - 1);
      growth.push(
        growth[n - 1]! + growthOn(taxon, growingDay(state, spaceOn(batch, on, true), on)),
      );
    }
    return growth[days]!;
  };
  const counts = new Map<string, SeenBetween>();
  for (const cutting of batch.cuttings) {
    const between = cutting[sign];
    if (!between) continue;
    const key = `${between.after}/${between.by}`;
    const known = counts.get(key);
    counts.set(key, {
      after: grown(between.after),
      by: grown(between.by),
      count: (known?.count ?? 0) + 1,
    });
  }
  const last = batch.lastLook;
  const waiting =
    batch.stage === 'done' || last === null
      ? 0
      : batch.cuttings.filter((c) => c[sign] === undefined && c.lost === undefined).length;
  return {
    seen: [...counts.values()],
    waits: waiting === 0 ? null : { growth: grown(last!), count: waiting, share },
  };
}

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
