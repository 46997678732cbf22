import { memo, memoAround, memoBy, togetherOf } from '../memo';
import { timeOf, type Taxon, type TaxonMethod } from '../botany';
import { addDays, daysBetween, type Day } from '../days';
import { spaceOn, type Batch, type State } from '../journal';
import {
  PACE_SD,
  paceFrom,
  paceVector,
  sumOf,
  type PaceEvidence,
  type PaceVector,
  type SeenBetween,
  type Waits,
} from './pace-evidence';
import { figuresOf, plantOf } from './plant';
import { growthIn } from './season-of';
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

/** What a batch has told. */
interface Told extends PaceEvidence {
  readonly taxon: string;
  readonly count: number;
  readonly vector: PaceVector;
}

/** What batches of a genus and way have told: all of it, and of every plant. */
interface ToldOfGenus {
  readonly all: readonly Told[];
  readonly sum: PaceVector;
  readonly own: ReadonlyMap<string, { readonly told: readonly Told[]; readonly sum: PaceVector }>;
}

/** The pace of a plant's roots by a method on this bench. */
export function rootingPace(state: State, taxon: string, way: TaxonMethod): RootingPace {
  const told = toldIn(state).get(`${genusOf(state, taxon)}/${way.method}`);
  if (!told) return UNTOLD;
  return learned(told, taxon, () => new Map()).get(way) ?? learn(told, taxon, way);
}

function learn(told: ToldOfGenus, taxon: string, way: TaxonMethod): RootingPace {
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
  const counted = (all: readonly Told[]): number => all.reduce((n, t) => n + t.count, 0);
  const count = { own: counted(own?.told ?? []), genus: 0 };
  count.genus = counted(told.all) - count.own;
  const pace = { ...paceFrom(sum), ...count };
  learned(told, taxon, () => new Map()).set(way, pace);
  return pace;
}

/** Paces of the plants of a genus, as long as its batches tell the same. */
const learned = memoBy<ToldOfGenus, Map<TaxonMethod, RootingPace>>(500);
const UNTOLD: RootingPace = {
  factor: 1,
  low: Math.exp(-1.2816 * PACE_SD),
  high: Math.exp(1.2816 * PACE_SD),
  own: 0,
  genus: 0,
};
const kept = memoAround<Batch, Told>();
const gathered = memoBy<State['batches'], ReadonlyMap<string, ToldOfGenus>>(1);

/** Batches that were looked at, by genus and method. */
function toldIn(state: State): ReadonlyMap<string, ToldOfGenus> {
  return gathered(state.batches, '', () => gatherTold(state));
}

function gatherTold(state: State): ReadonlyMap<string, ToldOfGenus> {
  const groups = new Map<string, Told[]>();
  const world = worldOf([
    state.settings.latitude,
    ...[state.ownTaxa, state.spaces, state.air].flatMap((map) => [...map.values()]),
  ]);
  const settled = sparing(state.batches.values(), (batch) =>
    // One that still waits teaches too: what it has seen, and that the rest had none by then.
    batch.lastLook !== null && teaches(state, batch) && figuresOf(state, batch)
      ? [{ batch, told: toldBy(state, batch, world) }]
      : [],
  );
  for (const { batch, told } of settled.results.flat()) {
    if (told.count === 0) continue;
    const key = `${genusOf(state, batch.taxon)}/${batch.method}`;
    const group = groups.get(key);
    if (group) group.push(told);
    else groups.set(key, [told]);
  }
  return new Map([...groups].map(([key, all]) => [key, ofGenus(key, all)]));
}

/** The group of a genus from before, where its batches tell the very same. */
function ofGenus(key: string, all: readonly Told[]): ToldOfGenus {
  const before = latest.get(key);
  if (before?.all.length === all.length && before.all.every((t, i) => t === all[i])) return before;
  const byTaxon = new Map<string, Told[]>();
  for (const told of all) byTaxon.set(told.taxon, [...(byTaxon.get(told.taxon) ?? []), told]);
  const own = new Map(
    [...byTaxon].map(([taxon, told]) => [taxon, { told, sum: sumOf(told.map(whole)) }]),
  );
  const sum = sumOf([...own.values()].map((o) => ({ vector: o.sum, weight: 1 })));
  const group = { all, own, sum };
  latest.set(key, group);
  return group;
}

const latest = new Map<string, ToldOfGenus>();
const whole = ({ vector }: Told) => ({ vector, weight: 1 });

/** What a batch has told, the same object while neither it nor anything around it changed. */
function toldBy(state: State, batch: Batch, world: object): Told {
  const before = quick.get(batch);
  if (before?.world === world) return before.told;
  const told = toldIndeed(state, batch);
  quick.set(batch, { world, told });
  return told;
}

const quick = new WeakMap<Batch, { readonly world: object; readonly told: Told }>();
const worldOf = togetherOf();

function toldIndeed(state: State, batch: Batch): Told {
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
    const evidence = { time: timeOf(figures), seen, waits };
    // A drink makes a batch another object that tells the very same of roots.
    const before = lately.get(batch.id);
    if (before?.taxon === batch.taxon && sameEvidence(before, evidence)) return before;
    const told = { ...evidence, taxon: batch.taxon, count, vector: paceVector(evidence) };
    lately.set(batch.id, told);
    return told;
  });
}

/** What the batches told last, by their id. */
const lately = new Map<string, Told>();

const sameEvidence = (a: PaceEvidence, b: PaceEvidence): boolean =>
  a.time.shape === b.time.shape &&
  a.time.scale === b.time.scale &&
  a.waits?.growth === b.waits?.growth &&
  a.waits?.count === b.waits?.count &&
  a.waits?.share === b.waits?.share &&
  a.seen.length === b.seen.length &&
  a.seen.every((s, i) => {
    const o = b.seen[i]!;
    return s.after === o.after && s.by === o.by && s.count === o.count;
  });

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
  const plant = plantOf(state, taxon);
  return plant ? genus(plant.taxon) : taxon;
}
const genus = memo((taxon: Taxon): string => taxon.name.split(' ')[0]!);

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
      growth.push(growth[n - 1]! + growthIn(state, taxon, spaceOn(batch, on, true), on));
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
