import { figuresOf, plantOf, teaches } from '../bench';
import type { Taxon, TaxonMethod } from '../botany';
import type { Day } from '../days';
import { settleAll } from '../faults';
import { growthSoFar } from '../growth';
import { countedElsewhere, isLoss, type Batch, type State } from '../journal';
import { memo, memoAround, memoBy, togetherOf } from '../memo';
import {
  cureVector,
  sumOf,
  type CureEvidence,
  type SeenBetween,
  type Waits,
} from './cure-evidence';
import { logitOf } from './cure-grid';
import { correlationVector, CORRELATION_CELLS, type SettledTray } from './tray-correlation';
import { timesOf } from './times';

/*
 * What every batch has told of its roots, and the sums of it by plant and way. A batch is asked once; a sum changes by
 * what a batch told anew and no longer tells; both can be laid beside the journal and taken up again.
 */

/** What a batch has told. */
export interface RootEvidence extends CureEvidence {
  readonly taxon: string;
  /** What its plant's figures are worth, in cuttings. */
  readonly worth: number;
}

/** All that batches of a plant have told of a way. */
export interface PlantEvidence {
  readonly told: readonly RootEvidence[];
  /** ln likelihood over the grid of shifts. @param correlation of two cuttings of a tray */
  readonly sumAt: (correlation: number) => Float64Array;
  /** ln likelihood of the correlation itself, by its settled trays. */
  trays(): Float64Array;
}

/** The same of the plants of a genus. */
export interface GenusEvidence {
  readonly all: readonly RootEvidence[];
  readonly own: ReadonlyMap<string, PlantEvidence>;
  readonly sumAt: (correlation: number) => Float64Array;
}

const gathered = memoBy<State['batches'], ReadonlyMap<string, GenusEvidence>>(1);

/** What batches that were looked at have told, by genus and way. */
export function toldIn(state: State): ReadonlyMap<string, GenusEvidence> {
  return gathered(state.batches, '', () => {
    const world = worldIn(state);
    const groups = grouped(state, world);
    const fresh = new Map([...groups].map(([key, all]) => [key, ofGenus(key, all)]));
    // The same object while the same was told: what hangs on it need not be worked out again.
    if (!(before && sameGroups(before, fresh))) before = fresh;
    return before;
  });
}

let before: ReadonlyMap<string, GenusEvidence> | null = null;
const sameGroups = (
  a: ReadonlyMap<string, GenusEvidence>,
  b: ReadonlyMap<string, GenusEvidence>,
): boolean => a.size === b.size && [...a].every(([key, group]) => b.get(key) === group);

export function genusOf(state: State, taxon: string): string {
  const plant = plantOf(state, taxon);
  return plant ? genus(plant.taxon) : taxon;
}
const genus = memo((taxon: Taxon): string => taxon.name.split(' ')[0]!);

/** What a batch teaches, and of what genus and way. */
interface Lesson {
  readonly told: RootEvidence;
  readonly key: string;
}
const lessons = new WeakMap<
  Batch,
  { readonly world: object; readonly learnFrom: Day | undefined; readonly lesson: Lesson | null }
>();

function grouped(state: State, world: object): ReadonlyMap<string, readonly RootEvidence[]> {
  const { learnFrom } = state.settings;
  const settled = settleAll(state.batches.values(), (batch) => {
    // Those never looked at lived or died unseen: they tell nothing.
    if (batch.lastLook === null) return null;
    const known = lessons.get(batch);
    // What a batch taught is not asked for again while neither it nor anything around it changed.
    if (known?.world === world && known.learnFrom === learnFrom) return known.lesson;
    const teaching = teaches(state, batch) && figuresOf(state, batch) !== null;
    const told = teaching ? toldBy(state, batch, world) : null;
    const lesson = told && { told, key: `${genusOf(state, batch.taxon)}/${batch.method}` };
    lessons.set(batch, { world, learnFrom, lesson });
    return lesson;
  });
  const groups = new Map<string, RootEvidence[]>();
  for (const is of settled.results) {
    if (!is) continue;
    const group = groups.get(is.key);
    if (group) group.push(is.told);
    else groups.set(is.key, [is.told]);
  }
  return groups;
}

/** The group of a genus from before, where its batches tell the very same. */
function ofGenus(key: string, all: readonly RootEvidence[]): GenusEvidence {
  const known = latest.get(key);
  if (known && same(known.all, all)) return known;
  const own = new Map(
    [...byTaxon(all)].map(([taxon, told]) => [taxon, ofPlant(told, known?.own.get(taxon))]),
  );
  return remember(key, all, own);
}

function byTaxon(all: readonly RootEvidence[]): ReadonlyMap<string, readonly RootEvidence[]> {
  const plants = new Map<string, RootEvidence[]>();
  for (const told of all) {
    const own = plants.get(told.taxon);
    if (own) own.push(told);
    else plants.set(told.taxon, [told]);
  }
  return plants;
}

const latest = new Map<string, GenusEvidence>();

function remember(
  key: string,
  all: readonly RootEvidence[],
  own: ReadonlyMap<string, PlantEvidence>,
): GenusEvidence {
  const group = {
    all,
    own,
    sumAt: kept((correlation) =>
      sumOf([...own.values()].map((o) => ({ vector: o.sumAt(correlation), weight: 1 }))),
    ),
  };
  latest.set(key, group);
  return group;
}

/** A sum that is kept for the correlation it was last asked for. */
function kept(sum: (correlation: number) => Float64Array): (correlation: number) => Float64Array {
  let known: { readonly correlation: number; readonly is: Float64Array } | null = null;
  return (correlation) => {
    if (known?.correlation !== correlation) known = { correlation, is: sum(correlation) };
    return known.is;
  };
}

const vectors = new WeakMap<
  RootEvidence,
  { readonly correlation: number; readonly vector: Float64Array }
>();

/** What one batch tells of its plant; kept of those that wait, for these are asked for again. */
export function vectorOf(told: RootEvidence, correlation: number): Float64Array {
  if (told.waits.length === 0) return cureVector(told, correlation);
  const known = vectors.get(told);
  if (known?.correlation === correlation) return known.vector;
  const vector = cureVector(told, correlation);
  vectors.set(told, { correlation, vector });
  return vector;
}

/** What stands in the sums of a plant already, for one correlation. */
interface Standing {
  readonly correlation: number;
  readonly sum: Float64Array;
}

class PlantSums implements PlantEvidence {
  private standing: Standing | null = null;
  private traySum: Float64Array | null = null;

  constructor(
    readonly told: readonly RootEvidence[],
    private since: PlantSums | null,
  ) {}

  /** Sums that were worked out before, of the very same evidence. */
  static recalled(
    told: readonly RootEvidence[],
    standing: Standing,
    trays: Float64Array,
  ): PlantSums {
    const sums = new PlantSums(told, null);
    sums.standing = standing;
    sums.traySum = trays;
    return sums;
  }

  sumAt(correlation: number): Float64Array {
    if (this.standing?.correlation !== correlation) {
      const old = this.since?.standing;
      const sum =
        old?.correlation === correlation
          ? moved(this.told, this.since!.told, old.sum, (t) => vectorOf(t, correlation))
          : sumOf(this.told.map((t) => ({ vector: vectorOf(t, correlation), weight: 1 })));
      this.standing = { correlation, sum };
      this.forget();
    }
    return this.standing.sum;
  }

  trays(): Float64Array {
    if (this.traySum === null) {
      const old = this.since?.traySum;
      const settled = this.told.filter(isSettled);
      this.traySum = old
        ? moved(settled, this.since!.told.filter(isSettled), old, correlationVector)
        : sumOf(
            settled.map((t) => ({ vector: correlationVector(t), weight: 1 })),
            CORRELATION_CELLS,
          );
      this.forget();
    }
    return this.traySum;
  }

  /** Once both stand nothing of what was before is needed. */
  private forget(): void {
    if (this.standing !== null && this.traySum !== null) this.since = null;
  }
}

/** The sum from before, with what is told anew and without what is told no longer. */
function moved<T>(
  now: readonly T[],
  then: readonly T[],
  sum: Float64Array,
  vectorOf: (told: T) => Float64Array,
): Float64Array {
  const [is, was] = [new Set(now), new Set(then)];
  const fresh = now.filter((t) => !was.has(t));
  const gone = then.filter((t) => !is.has(t));
  if (fresh.length + gone.length >= now.length)
    return sumOf(
      now.map((t) => ({ vector: vectorOf(t), weight: 1 })),
      sum.length,
    );
  return sumOf(
    [
      { vector: sum, weight: 1 },
      ...fresh.map((t) => ({ vector: vectorOf(t), weight: 1 })),
      ...gone.map((t) => ({ vector: vectorOf(t), weight: -1 })),
    ],
    sum.length,
  );
}

function ofPlant(told: readonly RootEvidence[], known: PlantEvidence | undefined): PlantEvidence {
  if (known && same(known.told, told)) return known;
  return new PlantSums(told, known instanceof PlantSums ? known : null);
}

/** Nothing of it is open any more: its share says how trays differ. */
const isSettled = ({ waits, lived, lost }: SettledTray & Pick<CureEvidence, 'waits'>): boolean =>
  waits.length === 0 && lived + lost > 1;

const same = (a: readonly RootEvidence[], b: readonly RootEvidence[]): boolean =>
  a.length === b.length && a.every((t, i) => t === b[i]);

/** All beside a batch that its evidence may hang on, as one object. */
const worldIn = (state: State): object =>
  worldOf([
    state.settings.latitude,
    ...[state.ownTaxa, state.spaces, state.air, state.trays].flatMap((map) => [...map.values()]),
  ]);
const worldOf = togetherOf();

const quick = new WeakMap<Batch, { readonly world: object; readonly told: RootEvidence | null }>();
const asked = memoAround<Batch, RootEvidence | null>();
/** What the batches told last, by their id: a drink makes a batch another object that tells the very same. */
const lately = new Map<string, RootEvidence>();

/** What a batch has told, the same object while neither it nor anything around it changed; null where nothing. */
function toldBy(state: State, batch: Batch, world: object): RootEvidence | null {
  const known = quick.get(batch);
  if (known?.world === world) return known.told;
  const told = asked(batch, around(state, batch), () => ask(state, batch));
  quick.set(batch, { world, told });
  return told;
}

/** What one batch has told; null where it was not looked at, or is left out. */
export function toldOf(state: State, batch: Batch): RootEvidence | null {
  if (batch.lastLook === null || !figuresOf(state, batch)) return null;
  return toldBy(state, batch, worldIn(state));
}

function around(state: State, batch: Batch): readonly unknown[] {
  const spaces = new Set([
    batch.standSpace,
    batch.callusSpace ?? batch.standSpace,
    ...batch.moves.map((m) => m.space),
  ]);
  return [
    plantOf(state, batch.taxon)?.taxon,
    state.settings.latitude,
    batch.tray === undefined ? null : state.trays.get(batch.tray),
    // Readings after its last count tell it nothing; back-dated ones do.
    ...[...spaces].flatMap((s) => [state.spaces.get(s), readingsUntil(state, s, batch.lastLook)]),
  ];
}

function ask(state: State, batch: Batch): RootEvidence | null {
  const figures = figuresOf(state, batch)!;
  const evidence = seenIn(state, batch, figures);
  if (evidence === null) return null;
  const known = lately.get(batch.id);
  if (known && sameEvidence(known, evidence)) return known;
  // What it was before something was told of it is asked for, too; that is not kept.
  if (state.batches.get(batch.id) === batch) lately.set(batch.id, evidence);
  return evidence;
}

const sameEvidence = (a: RootEvidence, b: RootEvidence): boolean =>
  JSON.stringify(a) === JSON.stringify(b);

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

/** What became of its cuttings, and when, as growth since the cut. */
function seenIn(state: State, batch: Batch, figures: TaxonMethod): RootEvidence | null {
  const line = growthSoFar(state, batch)!;
  const counted = batch.tallies.at(-1) ?? '';
  const between = new Map<string, SeenBetween>();
  const waiting = new Map<number, number>();
  let [lived, lost] = [0, 0];
  for (const cutting of batch.cuttings) {
    const { left, outcome } = cutting;
    // What was split off tells of itself where it is counted.
    if (left && countedElsewhere(left.why)) continue;
    const seen = cutting.pupped
      ? ({ sign: 'pups', is: cutting.pupped } as const)
      : cutting.rooted && ({ sign: 'roots', is: cutting.rooted } as const);
    if (seen) {
      const { after, by } = seen.is;
      const key = `${seen.sign}/${after}/${by}`;
      const known = between.get(key);
      between.set(key, {
        sign: seen.sign,
        after: line.at(after),
        by: line.at(by),
        count: (known?.count ?? 0) + 1,
      });
    }
    if (outcome === 'waiting') {
      const whole = left && left.day < counted ? '' : counted;
      const growth = line.at(whole > cutting.lastLook ? whole : cutting.lastLook);
      if (growth > 0) waiting.set(growth, (waiting.get(growth) ?? 0) + 1);
    } else if (isLoss(outcome)) lost++;
    else lived++;
  }
  const waits = [...waiting].map(([growth, count]): Waits => ({ growth, count }));
  if (lived + lost + waits.length === 0) return null;
  const { mean, worth } = figures.success;
  return {
    taxon: batch.taxon,
    logit: logitOf(mean),
    worth,
    ...timesOf(state, batch, figures),
    seen: [...between.values()],
    lived,
    lost,
    waits: waits.length > MOST_WAITS ? [together(waits)] : waits,
  };
}

/** Pieces that were last looked at on many days are taken as one company. */
const MOST_WAITS = 3;

function together(waits: readonly Waits[]): Waits {
  const count = waits.reduce((sum, w) => sum + w.count, 0);
  return { count, growth: waits.reduce((sum, w) => sum + w.count * w.growth, 0) / count };
}

/** The evidence of a state as plain data: by batch, and the sums by plant and way. */
export interface PackedRoots {
  readonly batches: readonly (readonly [id: string, evidence: RootEvidence | null])[];
  readonly sums: readonly (readonly [
    key: string,
    taxon: string,
    correlation: number,
    sum: readonly number[],
    trays: readonly number[],
  ])[];
}

/** What was asked of the batches of a state, by id. */
export const askedIn = (state: State): PackedRoots['batches'] =>
  [...state.batches].flatMap(([id, batch]) => {
    const is = quick.get(batch);
    return is ? [[id, is.told] as const] : [];
  });

/** Takes up what was packed of this very state: nothing of it is worked out again. */
export function recallRoots(state: State, packed: PackedRoots): void {
  const world = worldIn(state);
  for (const [id, evidence] of packed.batches) {
    const batch = state.batches.get(id);
    if (!batch) continue;
    const told = asked(batch, around(state, batch), () => evidence);
    if (told) lately.set(id, told);
    quick.set(batch, { world, told });
  }
  const sums = new Map(packed.sums.map((is) => [`${is[0]}/${is[1]}`, is]));
  for (const [key, all] of grouped(state, world)) {
    const own = [...byTaxon(all)].map(([taxon, told]) => {
      const is = sums.get(`${key}/${taxon}`);
      if (!is) return [taxon, new PlantSums(told, null)] as const;
      const [, , correlation, sum, trays] = is;
      return [
        taxon,
        PlantSums.recalled(
          told,
          { correlation, sum: Float64Array.from(sum) },
          Float64Array.from(trays),
        ),
      ] as const;
    });
    remember(key, all, new Map(own));
  }
}
