import { never } from '../assert';
import type { Day } from '../days';
import type { Touch, WaterManner } from '../water';
import type { WoundCheck } from '../wound';
import { coalesce, countAlike, countOutcomes, spread, startAlike, type Alike } from './alike';
import type { Cutting } from './cutting';
import { compareByDay, type EntryOf, type KindsAbout } from './entry';
import { applyLeaving, unpack } from './leave';
import type { Counts } from './outcome';
import { MOST_CUTTINGS } from './record-fields';
import type { BatchFields } from './records';
import type { TaskId, Tending } from './task';
import { applyTally, contradictions, isCounted } from './tally';

/** The fields of a batch that nothing can be said without. */
type Needed = 'taxon' | 'method' | 'count' | 'cutOn' | 'school' | 'callusAt' | 'space';

export type BatchRecord = {
  readonly [K in keyof Required<BatchFields>]: K extends Needed
    ? NonNullable<BatchFields[K]>
    : NonNullable<BatchFields[K]> | undefined;
};

/** What was done to a batch and seen of it. */
export type BatchEntry = EntryOf<KindsAbout<'batch'>>;

export const BATCH_STAGES = ['planned', 'callusing', 'stuck', 'growing', 'done'] as const;
export type BatchStage = (typeof BATCH_STAGES)[number];

export interface Watering {
  readonly entry: string;
  readonly day: Day;
  readonly how: WaterManner;
  readonly ml?: number | undefined;
  readonly breach?: string | undefined;
  /** What was known of the gate when it was given. */
  readonly gate?: { readonly opens: Day | null } | undefined;
}

export type Photo = EntryOf<'photo'>;

interface Move {
  readonly day: Day;
  readonly space: string;
  readonly place: string | undefined;
}

/** A batch as the journal tells it. */
export interface Batch extends Omit<BatchRecord, 'dressed'> {
  readonly id: string;
  readonly stage: BatchStage;
  /** What was done and seen, in order of the grower's days. */
  readonly entries: readonly BatchEntry[];
  readonly cut: Day | null;
  readonly stuck: Day | null;
  /** Settings into medium or jar, in order of day; the count is null where all were set. */
  readonly settings: readonly {
    readonly day: Day;
    readonly count: number | null;
    readonly wet: boolean;
  }[];
  /** Wounds laid open again. */
  readonly reopenings: readonly EntryOf<'reopened'>[];
  readonly pottings: readonly EntryOf<'potted'>[];
  readonly looks: readonly EntryOf<'inspected'>[];
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
  /** Buds at the last count, where they were told; the next count tells anew. */
  readonly buds: { readonly day: Day; readonly count: number } | null;
  /** Young plants when they were last counted, and the pieces that brought them. */
  readonly heads: { readonly day: Day; readonly count: number; readonly of: number } | null;
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
  readonly forecasts: readonly EntryOf<'forecast'>[];
  readonly ended: Day | null;
  /** Tallies that contradict the ones before and were not said to be a recount. */
  readonly conflicts: readonly { readonly entry: string; readonly problem: string }[];
}

/** The drinks among what was done, in its order. */
export function wateringsIn(entries: readonly BatchEntry[]): readonly Watering[] {
  const waterings: Watering[] = [];
  for (const entry of entries)
    if (entry.kind === 'watered') {
      const { id, day, how, ml, breach, gate } = entry;
      waterings.push({ entry: id, day, how, ml, breach, gate });
    }
  return waterings;
}

/** More cuttings than this, those that left included, no batch has ever held: a damaged file would fill memory. */
export const MOST_EVER = 10 * MOST_CUTTINGS;

/** Cuttings a batch ever held, those that left included. */
export const everHeld = (batch: Pick<Batch, 'begunWith' | 'entries'>): number =>
  batch.entries.reduce(
    (sum, e) => sum + (e.kind === 'joined' ? e.cuttings.reduce((n, g) => n + g.count, 0) : 0),
    batch.begunWith,
  );

/**
 * Folds one batch from its record and the observations that stand.
 * @returns null while the record lacks a field that nothing can be said without
 */
export function foldBatch(
  id: string,
  fields: BatchFields,
  observations: readonly BatchEntry[],
): Batch | null {
  const { taxon, method, count, cutOn, school, callusAt, space } = fields;
  if (!taxon || !method || !count || !cutOn || !school || !callusAt || !space) return null;

  const entries = observations.toSorted(compareByDay);
  const cut = entries.findLast((e) => e.kind === 'cut')?.day ?? null;
  const begun = cut ?? cutOn;
  const carried = (fields.carried ? unpack(fields.carried, 0) : []).filter(
    (g) => g.from + g.count <= count,
  );
  const brought = countAlike(carried);
  let all: readonly Alike[] = coalesce([
    ...carried,
    ...startAlike(count - brought, begun, brought),
  ]);
  let ever = count;
  let counted = begun;
  let potted = 0;
  let pottedGone = 0;
  const settings: Batch['settings'][number][] = [];
  const reopenings: EntryOf<'reopened'>[] = [];
  const pottings: EntryOf<'potted'>[] = [];
  const looks: EntryOf<'inspected'>[] = [];
  const weighings: Batch['weighings'][number][] = [];
  const touches: Batch['touches'][number][] = [];
  const woundChecks: WoundCheck[] = [];
  const tallies: Day[] = [];
  let buds: Batch['buds'] = null;
  let heads: Batch['heads'] = null;
  const moves: Move[] = [];
  const tendings: Batch['tendings'][number][] = [];
  const putOff = new Map<TaskId, { day: Day; until?: Day; text: string }>();
  const photos: Photo[] = [];
  const measured: EntryOf<'measured'>[] = [];
  const forecasts: EntryOf<'forecast'>[] = [];
  const conflicts: { entry: string; problem: string }[] = [];
  let lastLook: Day | null = null;
  let ended: Day | null = null;
  for (const entry of entries) {
    const { day } = entry;
    switch (entry.kind) {
      case 'tally': {
        lastLook = day;
        if (entry.counts && entry.recount === undefined) {
          const pool = all.filter(isCounted);
          for (const problem of contradictions(countOutcomes(pool), entry.counts, countAlike(pool)))
            conflicts.push({ entry: entry.id, problem });
        }
        all = applyTally(all, entry, counted);
        if (!entry.counts) break;
        counted = day;
        tallies.push(day);
        buds = entry.buds ? { day, count: entry.buds } : null;
        heads = headsIn(entry, heads);
        break;
      }
      case 'parted':
        all = applyLeaving(all, entry, counted);
        if (entry.why === 'split' || entry.why === 'merged') potted -= entry.potted ?? 0;
        else pottedGone += entry.potted ?? 0;
        break;
      case 'joined': {
        const more = unpack(entry.cuttings, ever);
        if (ever + countAlike(more) > MOST_EVER) {
          conflicts.push({
            entry: entry.id,
            problem: `${countAlike(more)} cuttings joined, more than a batch can hold: they are not counted.`,
          });
          break;
        }
        all = [...all, ...more];
        ever += countAlike(more);
        potted += entry.potted ?? 0;
        break;
      }
      case 'potted':
        potted += entry.count;
        pottings.push(entry);
        break;
      case 'stuck':
        settings.push({ day, count: entry.count ?? null, wet: entry.wet ?? false });
        break;
      case 'reopened':
        reopenings.push(entry);
        break;
      case 'inspected':
        lastLook = day;
        looks.push(entry);
        if (entry.seen === 'tacky' || entry.seen === 'firm')
          woundChecks.push({ day, seen: entry.seen });
        break;
      case 'weighed':
        weighings.push({ day, grams: entry.grams });
        break;
      case 'felt':
        touches.push({ day, depthMm: entry.depthMm, seen: entry.seen });
        break;
      case 'moved':
        moves.push({ day, space: entry.space, place: entry.place });
        break;
      case 'tended':
        tendings.push({ day, what: entry.what });
        break;
      case 'put-off': {
        const { task, until, text } = entry;
        putOff.set(task, until === undefined ? { day, text } : { day, until, text });
        break;
      }
      case 'photo':
        photos.push(entry);
        break;
      case 'measured':
        measured.push(entry);
        break;
      case 'forecast':
        forecasts.push(entry);
        break;
      case 'ended':
        ended = day;
        break;
      case 'cut':
      case 'note':
      case 'watered':
        break;
      default:
        never(entry);
    }
  }
  // From a jar into soil it is stuck a second time, and that is where the pot's story begins.
  const stuck = settings.at(fields.rootedInWater ? -1 : 0)?.day ?? null;
  const cuttings = spread(all.filter(isCounted));
  const counts = countOutcomes(all.filter(isCounted));
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
    topDress: fields.topDress ?? (fields.dressed ? 'grit' : undefined),
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
    course: fields.course ?? undefined,
    dryDays: fields.dryDays ?? undefined,
    unrootedWater: fields.unrootedWater ?? undefined,
    opening: fields.opening ?? undefined,
    through: fields.through ?? undefined,
    ownRoots: fields.ownRoots ?? undefined,
    rings: fields.rings ?? undefined,
    feeding: fields.feeding ?? undefined,
    firmed: fields.firmed ?? undefined,
    leaves: fields.leaves ?? undefined,
    lengthMm: fields.lengthMm ?? undefined,
    stage: stageOf(cut, stuck, alive, ended, settled),
    entries,
    cut,
    stuck,
    settings,
    reopenings,
    pottings,
    looks,
    waterings: wateringsIn(entries),
    weighings,
    touches,
    woundChecks,
    tallies,
    buds,
    heads,
    lastLook,
    moves: moves.map(({ day, space: to }) => ({ day, space: to })),
    standSpace: space,
    cuttings,
    counts,
    waiting,
    potted,
    here,
    begunWith: count,
    tendings,
    putOff,
    photos,
    measured,
    forecasts,
    ended,
    conflicts,
  };
}

/** Fewer young plants than pieces that have one is a slip: each has one at least. */
function headsIn({ day, counts, heads }: EntryOf<'tally'>, before: Batch['heads']): Batch['heads'] {
  const of = counts?.pupped ?? 0;
  if (heads === undefined) return of === 0 ? null : before;
  return of === 0 ? null : { day, count: Math.max(heads, of), of };
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
