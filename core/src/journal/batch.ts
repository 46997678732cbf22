import type { Day } from '../days';
import type { Touch, WaterManner } from '../water';
import type { WoundCheck } from '../wound/clock';
import { compareByDay, type Counts, type Entry, type EntryOf, type KnownEntry } from './entry';
import type { BatchFields } from './record';
import { applyLeaving, countedHere, unpack } from './leave';
import type { TaskId, Tending } from './task';
import { applyTally, contradictions, countOutcomes, startCuttings, type Cutting } from './tally';

/** The fields of a batch that nothing can be said without. */
type Needed = 'taxon' | 'method' | 'count' | 'cutOn' | 'school' | 'callusAt' | 'space';

export type BatchRecord = {
  readonly [K in keyof Required<BatchFields>]: K extends Needed
    ? NonNullable<BatchFields[K]>
    : NonNullable<BatchFields[K]> | undefined;
};

export type BatchEntry = Exclude<
  KnownEntry,
  { kind: 'put' | 'air' | 'series' | 'jug' | 'examined' | 'walked' | 'retract' }
>;

export type BatchStage = 'planned' | 'callusing' | 'stuck' | 'growing' | 'done';

export interface Watering {
  readonly entry: string;
  readonly day: Day;
  readonly how: WaterManner;
  readonly ml?: number | undefined;
  readonly breach?: string | undefined;
}

export type Photo = EntryOf<'photo'>;

/** A batch as the journal tells it. */
export interface Batch extends BatchRecord {
  readonly id: string;
  readonly stage: BatchStage;
  /** What was done and seen, in order of the grower's days. */
  readonly entries: readonly BatchEntry[];
  readonly cut: Day | null;
  readonly stuck: Day | null;
  readonly waterings: readonly Watering[];
  readonly weighings: readonly { readonly day: Day; readonly grams: number }[];
  readonly touches: readonly {
    readonly day: Day;
    readonly depthMm: number;
    readonly seen: Touch;
  }[];
  readonly woundChecks: readonly WoundCheck[];
  /** Days on which the whole batch was counted. */
  readonly tallies: readonly Day[];
  /** The last day anyone looked, whatever for. */
  readonly lastLook: Day | null;
  readonly moves: readonly { readonly day: Day; readonly space: string }[];
  /** Where it was meant to stand, before any move. */
  readonly standSpace: string;
  readonly cuttings: readonly Cutting[];
  readonly counts: Counts;
  /** Nothing has come of them yet, also those that have left since. */
  readonly waiting: number;
  /** Potted on, also those that have left since. */
  readonly potted: number;
  /** What stands here still: the round asks after these only. */
  readonly here: {
    readonly waiting: number;
    readonly rooted: number;
    readonly pupped: number;
    readonly potted: number;
  };
  /** Cuttings it began with, before any joined or were split off. */
  readonly begunWith: number;
  readonly tendings: readonly { readonly day: Day; readonly what: Tending }[];
  /** Tasks put off, by task; without `until` they are dropped. The last word counts. */
  readonly putOff: ReadonlyMap<
    TaskId,
    { readonly day: Day; readonly until?: Day; readonly text: string }
  >;
  readonly photos: readonly Photo[];
  readonly measured: readonly EntryOf<'measured'>[];
  readonly ended: Day | null;
  /** Tallies that contradict the ones before and were not said to be a recount. */
  readonly conflicts: readonly { readonly entry: string; readonly problem: string }[];
}

/**
 * Folds one batch from its record and the observations that stand.
 * @returns null while the record lacks a field that nothing can be said without
 */
export function foldBatch(
  id: string,
  fields: BatchFields,
  observations: readonly Entry[],
): Batch | null {
  const { taxon, method, count, cutOn, school, callusAt, space } = fields;
  if (!taxon || !method || !count || !cutOn || !school || !callusAt || !space) return null;

  const entries = (observations as readonly BatchEntry[]).toSorted(compareByDay);
  const of = <K extends BatchEntry['kind']>(kind: K): readonly EntryOf<K>[] =>
    entries.filter((e) => e.kind === kind) as unknown as readonly EntryOf<K>[];

  const cut = of('cut').at(-1)?.day ?? null;
  // From a jar into soil it is stuck a second time, and that is where the pot's story begins.
  const stuck = of('stuck').at(fields.rootedInWater ? -1 : 0)?.day ?? null;
  const ended = of('ended').at(-1)?.day ?? null;
  const tallies = of('tally');
  const moves = of('moved');
  const conflicts: { entry: string; problem: string }[] = [];

  const begun = cut ?? cutOn;
  const carried = fields.carried ? unpack(fields.carried, 0) : [];
  let all: readonly Cutting[] = [
    ...carried.slice(0, count),
    ...startCuttings(Math.max(0, count - carried.length), begun, carried.length),
  ];
  let counted = begun;
  let potted = 0;
  let pottedGone = 0;
  for (const entry of entries)
    switch (entry.kind) {
      case 'tally': {
        const pool = countedHere(all);
        if (entry.counts && entry.recount === undefined)
          for (const problem of contradictions(countOutcomes(pool), entry.counts, pool.length))
            conflicts.push({ entry: entry.id, problem });
        const looked = new Map(applyTally(pool, entry, counted).map((c) => [c.place, c]));
        all = all.map((c) => looked.get(c.place) ?? c);
        if (entry.counts) counted = entry.day;
        break;
      }
      case 'parted':
        all = applyLeaving(all, entry, counted);
        if (entry.why === 'split' || entry.why === 'merged') potted -= entry.potted ?? 0;
        else pottedGone += entry.potted ?? 0;
        break;
      case 'joined':
        all = [...all, ...unpack(entry.cuttings, all.length)];
        potted += entry.potted ?? 0;
        break;
      case 'potted':
        potted += entry.count;
        break;
      default:
    }
  const cuttings = countedHere(all);
  const counts = countOutcomes(cuttings);
  const waiting = cuttings.filter((c) => c.outcome === 'waiting').length;
  const hereNow = cuttings.filter((c) => !c.left);
  const standing = (outcome: Cutting['outcome']): number =>
    hereNow.filter((c) => c.outcome === outcome).length;
  const here = {
    waiting: standing('waiting'),
    rooted: standing('rooted'),
    pupped: standing('pupped'),
    potted: Math.max(0, potted - pottedGone),
  };
  const alive = counts.rooted + counts.pupped;
  const settled = here.waiting === 0 && here.potted >= here.rooted + here.pupped;
  const putOff = new Map<TaskId, { day: Day; until?: Day; text: string }>();
  for (const { task, day, until, text } of of('put-off'))
    putOff.set(task, until === undefined ? { day, text } : { day, until, text });

  return {
    id,
    mother: fields.mother ?? undefined,
    cutWith: fields.cutWith ?? undefined,
    taxon,
    method,
    count: cuttings.length,
    cutOn: begun,
    widthMm: fields.widthMm ?? undefined,
    thicknessMm: fields.thicknessMm ?? undefined,
    school,
    callusAt,
    callusSpace: fields.callusSpace ?? undefined,
    space: moves.at(-1)?.space ?? space,
    place: moves.findLast((m) => m.place !== undefined)?.place ?? fields.place ?? undefined,
    columns: fields.columns ?? undefined,
    disinfectant: fields.disinfectant ?? undefined,
    aid: fields.aid ?? undefined,
    firstWater: fields.firstWater ?? undefined,
    medium: fields.medium ?? undefined,
    container: fields.container ?? undefined,
    containers: fields.containers ?? undefined,
    mix: fields.mix ?? undefined,
    dressed: fields.dressed ?? undefined,
    waterSchool: fields.waterSchool ?? undefined,
    stemMm: fields.stemMm ?? undefined,
    excluded: fields.excluded ?? undefined,
    trial: fields.trial ?? undefined,
    arm: fields.arm ?? undefined,
    cells: fields.cells ?? undefined,
    tray: fields.tray ?? undefined,
    partOf: fields.partOf ?? undefined,
    parting: fields.parting ?? undefined,
    carried: fields.carried ?? undefined,
    rootedInWater: fields.rootedInWater ?? undefined,
    stage: stageOf(cut, stuck, alive, ended, settled),
    entries,
    cut,
    stuck,
    waterings: of('watered').map(({ id: entry, day, how, ml, breach }) => ({
      entry,
      day,
      how,
      ml,
      breach,
    })),
    weighings: of('weighed').map(({ day, grams }) => ({ day, grams })),
    touches: of('felt').map(({ day, depthMm, seen }) => ({ day, depthMm, seen })),
    woundChecks: of('inspected').flatMap(({ day, seen }) =>
      seen === 'tacky' || seen === 'firm' ? [{ day, seen }] : [],
    ),
    tallies: tallies.filter((t) => t.counts).map((t) => t.day),
    lastLook: entries.findLast((e) => e.kind === 'tally' || e.kind === 'inspected')?.day ?? null,
    moves: moves.map(({ day, space: to }) => ({ day, space: to })),
    standSpace: space,
    cuttings,
    counts,
    waiting,
    potted,
    here,
    begunWith: count,
    tendings: of('tended').map(({ day, what }) => ({ day, what })),
    putOff,
    photos: of('photo'),
    measured: of('measured'),
    ended,
    conflicts,
  };
}

function stageOf(
  cut: Day | null,
  stuck: Day | null,
  alive: number,
  ended: Day | null,
  allSettled: boolean,
): BatchStage {
  if (ended !== null) return 'done';
  if (cut === null) return 'planned';
  if (allSettled) return 'done';
  if (alive > 0) return 'growing';
  return stuck === null ? 'callusing' : 'stuck';
}

/** The space a batch is in on a day: where it was moved, else where it calluses or, stuck, stands. */
export function spaceOn(batch: Batch, day: Day, stuck: boolean): string {
  const move = batch.moves.findLast((m) => m.day <= day);
  if (move) return move.space;
  return stuck || !batch.callusSpace ? batch.standSpace : batch.callusSpace;
}
