import { timeOf, type Taxon } from '../botany';
import { addDays, daysBetween, type Day } from '../days';
import { settleAll } from '../faults';
import { spaceOn, type Batch, type State } from '../journal';
import { memo, memoAround, memoBy, memoOnce, togetherOf } from '../memo';
import {
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

/*
 * What every batch has told of the pace of roots, and the sums of it by genus and way. A batch is asked once; a sum
 * changes by what a batch told anew and no longer tells; both can be laid beside the journal and taken up again.
 */

/** What a batch has told. */
export interface RootEvidence extends PaceEvidence {
  readonly taxon: string;
  /** Cuttings whose roots (or pups) were seen. */
  readonly count: number;
  /** Worked out when it is first asked for. */
  readonly vector: PaceVector;
}

interface TaxonEvidence {
  readonly told: readonly RootEvidence[];
  readonly sum: PaceVector;
}

/** What batches of a genus and way have told: all of it, and of every plant. */
export interface GenusEvidence {
  readonly all: readonly RootEvidence[];
  readonly sum: PaceVector;
  readonly own: ReadonlyMap<string, TaxonEvidence>;
}

const gathered = memoBy<State['batches'], ReadonlyMap<string, GenusEvidence>>(1);

/** What batches that were looked at have told, by genus and way. */
export function toldIn(state: State): ReadonlyMap<string, GenusEvidence> {
  return gathered(state.batches, '', () => {
    const world = worldIn(state);
    const groups = grouped(state, (batch) => toldBy(state, batch, world));
    return new Map([...groups].map(([key, all]) => [key, ofGenus(key, all)]));
  });
}

export function genusOf(state: State, taxon: string): string {
  const plant = plantOf(state, taxon);
  return plant ? genus(plant.taxon) : taxon;
}
const genus = memo((taxon: Taxon): string => taxon.name.split(' ')[0]!);

function grouped(
  state: State,
  tell: (batch: Batch) => RootEvidence,
): ReadonlyMap<string, readonly RootEvidence[]> {
  const settled = settleAll(state.batches.values(), (batch) =>
    // One that still waits teaches too: what it has seen, and that the rest had none by then.
    batch.lastLook !== null && teaches(state, batch) && figuresOf(state, batch)
      ? { batch, told: tell(batch) }
      : null,
  );
  const groups = new Map<string, RootEvidence[]>();
  for (const is of settled.results) {
    if (!is || is.told.count === 0) continue;
    const key = `${genusOf(state, is.batch.taxon)}/${is.batch.method}`;
    const group = groups.get(key);
    if (group) group.push(is.told);
    else groups.set(key, [is.told]);
  }
  return groups;
}

/** The group of a genus from before, where its batches tell the very same. */
function ofGenus(key: string, all: readonly RootEvidence[]): GenusEvidence {
  const before = latest.get(key);
  if (before && same(before.all, all)) return before;
  const byTaxon = new Map<string, RootEvidence[]>();
  for (const told of all) {
    const own = byTaxon.get(told.taxon);
    if (own) own.push(told);
    else byTaxon.set(told.taxon, [told]);
  }
  const own = new Map(
    [...byTaxon].map(([taxon, told]) => [taxon, ofTaxon(told, before?.own.get(taxon))]),
  );
  return remember(key, all, own);
}

const latest = new Map<string, GenusEvidence>();

function remember(
  key: string,
  all: readonly RootEvidence[],
  own: ReadonlyMap<string, TaxonEvidence>,
): GenusEvidence {
  const sum = sumOf([...own.values()].map((o) => ({ vector: o.sum, weight: 1 })));
  const group = { all, own, sum };
  latest.set(key, group);
  return group;
}

/** The sum from before, with what is told anew and without what is told no longer. */
function ofTaxon(told: readonly RootEvidence[], before: TaxonEvidence | undefined): TaxonEvidence {
  if (before && same(before.told, told)) return before;
  const then = new Set(before?.told);
  const now = new Set(told);
  const fresh = told.filter((t) => !then.has(t));
  const gone = [...then].filter((t) => !now.has(t));
  if (!before || fresh.length + gone.length >= told.length)
    return { told, sum: sumOf(told.map(({ vector }) => ({ vector, weight: 1 }))) };
  const sum = sumOf([
    { vector: before.sum, weight: 1 },
    ...fresh.map(({ vector }) => ({ vector, weight: 1 })),
    ...gone.map(({ vector }) => ({ vector, weight: -1 })),
  ]);
  return { told, sum };
}

const same = (a: readonly RootEvidence[], b: readonly RootEvidence[]): boolean =>
  a.length === b.length && a.every((t, i) => t === b[i]);

/** All beside a batch that its evidence may hang on, as one object. */
const worldIn = (state: State): object =>
  worldOf([
    state.settings.latitude,
    ...[state.ownTaxa, state.spaces, state.air].flatMap((map) => [...map.values()]),
  ]);
const worldOf = togetherOf();

const quick = new WeakMap<Batch, { readonly world: object; readonly told: RootEvidence }>();
const kept = memoAround<Batch, RootEvidence>();
/** What the batches told last, by their id: a drink makes a batch another object that tells the very same. */
const lately = new Map<string, RootEvidence>();

/** What a batch has told, the same object while neither it nor anything around it changed. */
function toldBy(state: State, batch: Batch, world: object): RootEvidence {
  const before = quick.get(batch);
  if (before?.world === world) return before.told;
  const told = kept(batch, around(state, batch), () => ask(state, batch));
  quick.set(batch, { world, told });
  return told;
}

function around(state: State, batch: Batch): readonly unknown[] {
  const spaces = [...new Set([batch.standSpace, ...batch.moves.map((m) => m.space)])];
  return [
    plantOf(state, batch.taxon)?.taxon,
    state.settings.latitude,
    // Readings after its last count tell it nothing; back-dated ones do.
    ...spaces.flatMap((s) => [state.spaces.get(s), readingsUntil(state, s, batch.lastLook)]),
  ];
}

function ask(state: State, batch: Batch): RootEvidence {
  const { taxon } = plantOf(state, batch.taxon)!;
  const figures = figuresOf(state, batch)!;
  const evidence = {
    time: timeOf(figures),
    ...seenIn(state, batch, taxon, figures.success.mean),
  };
  const before = lately.get(batch.id);
  if (before?.taxon === batch.taxon && sameEvidence(before, evidence)) return before;
  return tell(batch, evidence);
}

function tell(batch: Batch, evidence: PaceEvidence): RootEvidence {
  const vector = memoOnce(() => paceVector(evidence));
  const told: RootEvidence = {
    ...evidence,
    taxon: batch.taxon,
    count: evidence.seen.reduce((n, s) => n + s.count, 0),
    get vector() {
      return vector();
    },
  };
  lately.set(batch.id, told);
  return told;
}

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

/** The evidence of a state as plain data: by batch, and the sums by plant and way. */
export interface PackedRoots {
  readonly batches: readonly (readonly [id: string, evidence: PaceEvidence])[];
  readonly sums: readonly (readonly [key: string, taxon: string, sum: readonly number[]])[];
}

export function packRoots(state: State): PackedRoots {
  const told = toldIn(state);
  return {
    batches: [...state.batches].flatMap(([id, batch]) => {
      const is = quick.get(batch)?.told;
      // Those without roots yet are asked, too, and tell of it again for nothing.
      if (!is) return [];
      const { time, seen, waits } = is;
      return [[id, { time, seen, waits }] as const];
    }),
    sums: [...told].flatMap(([key, { own }]) =>
      [...own].map(([taxon, { sum }]) => [key, taxon, [...sum]] as const),
    ),
  };
}

/** Takes up what was packed of this very state: nothing of it is worked out again. */
export function recallRoots(state: State, packed: PackedRoots): void {
  const world = worldIn(state);
  for (const [id, evidence] of packed.batches) {
    const batch = state.batches.get(id);
    if (!batch) continue;
    const told = kept(batch, around(state, batch), () => tell(batch, evidence));
    quick.set(batch, { world, told });
  }
  const sums = new Map(packed.sums.map(([key, taxon, sum]) => [`${key}/${taxon}`, sum]));
  for (const [key, all] of grouped(state, (batch) => toldBy(state, batch, world))) {
    const byTaxon = new Map<string, RootEvidence[]>();
    for (const told of all) byTaxon.set(told.taxon, [...(byTaxon.get(told.taxon) ?? []), told]);
    const own = [...byTaxon].map(([taxon, told]) => {
      const sum = sums.get(`${key}/${taxon}`);
      return [
        taxon,
        sum ? { told, sum: Float64Array.from(sum) } : ofTaxon(told, undefined),
      ] as const;
    });
    remember(key, all, new Map(own));
  }
}
