import type { Day } from '../days';
import type { Touch, WaterManner } from '../water';
import type { WoundCheck } from '../wound/clock';
import { compareByDay, type Counts, type Entry, type EntryOf, type KnownEntry } from './entry';
import type { BatchFields } from './record';
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
  { kind: 'put' | 'air' | 'series' | 'jug' | 'examined' | 'retract' }
>;

export type BatchStage = 'planned' | 'callusing' | 'stuck' | 'growing' | 'done';

export interface Watering {
  readonly entry: string;
  readonly day: Day;
  readonly how: WaterManner;
  readonly ml?: number | undefined;
  readonly breach?: string | undefined;
}

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
  readonly waiting: number;
  readonly potted: number;
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
  const stuck = of('stuck')[0]?.day ?? null;
  const ended = of('ended').at(-1)?.day ?? null;
  const tallies = of('tally');
  const moves = of('moved');
  const conflicts: { entry: string; problem: string }[] = [];

  let cuttings = startCuttings(count, cut ?? cutOn);
  let counted = cut ?? cutOn;
  for (const tally of tallies) {
    if (tally.counts && tally.recount === undefined)
      for (const problem of contradictions(countOutcomes(cuttings), tally.counts, count))
        conflicts.push({ entry: tally.id, problem });
    cuttings = applyTally(cuttings, tally, counted);
    if (tally.counts) counted = tally.day;
  }
  const counts = countOutcomes(cuttings);
  const waiting = cuttings.filter((c) => c.outcome === 'waiting').length;
  const alive = counts.rooted + counts.pupped;
  const potted = of('potted').reduce((sum, p) => sum + p.count, 0);

  return {
    id,
    mother: fields.mother ?? undefined,
    cutWith: fields.cutWith ?? undefined,
    taxon,
    method,
    count,
    cutOn: cut ?? cutOn,
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
    rootedInWater: fields.rootedInWater ?? undefined,
    stage: stageOf(cut, stuck, alive, ended, waiting === 0 && potted >= alive),
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
