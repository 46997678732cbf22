import * as say from '@hypogeon/messages/core-part';
import type { Day } from '../days';
import {
  carry,
  chooseLeaving,
  everHeld,
  isRooted,
  MOST_CUTTINGS,
  stampMs,
  type Batch,
  type BatchEntry,
  type BatchFields,
  type Cutting,
  type Entry,
  type EntryDraft,
  type EntryOf,
  type Parting,
  type RecutFor,
  type State,
  type Taken,
} from '../journal';
import { batchCode } from './plant';

/** Which cuttings are meant: so many of each kind, or the ones at these places. */
export interface Which {
  readonly taken: Taken;
  readonly places?: readonly number[] | undefined;
}

/** The kinds of cuttings that still stand in a batch, for a form. */
export function standingIn(batch: Batch): Required<Pick<Taken, 'waiting' | 'rooted' | 'pupped'>> {
  const { waiting, rooted, pupped } = batch.here;
  return { waiting, rooted, pupped };
}

export const takenCount = (taken: Taken): number =>
  Object.values(taken).reduce((sum, n) => sum + n, 0);

/** Why so many cannot be taken, in the grower's words; empty if they can. */
export function takingProblem(batch: Batch, { taken, places }: Which): string {
  const count = places ? places.length : takenCount(taken);
  if (count < 1) return say.howManyTakeOne();
  if (places) {
    const there = chooseLeaving(batch.cuttings, { taken, places: [...places] });
    return there.length === places.length ? '' : say.someOfTheMarked();
  }
  for (const kind of ['waiting', 'rooted', 'pupped'] as const) {
    const wanted = taken[kind] ?? 0;
    if (!Number.isInteger(wanted) || wanted < 0) return say.wholeNumbersOf0();
    if (wanted > batch.here[kind])
      return say.onlyAreHereTake({ here: batch.here[kind], kindWord: KIND_WORD[kind] });
  }
  return '';
}

const KIND_WORD = {
  get waiting() {
    return say.withoutRoots();
  },
  get rooted() {
    return say.withRoots();
  },
  get pupped() {
    return say.withPups();
  },
} as const;

/** Potted ones go first: they are ready to go. */
function pottedAmong(batch: Batch, chosen: readonly Cutting[]): { readonly potted?: number } {
  const alive = chosen.filter((c) => c.outcome === 'rooted' || c.outcome === 'pupped').length;
  const potted = Math.min(batch.here.potted, alive);
  return potted > 0 ? { potted } : {};
}

function parted(
  batch: Batch,
  which: Which,
  day: Day,
  why: Parting,
  more: Partial<Pick<EntryOf<'parted'>, 'to' | 'cause' | 'order' | 'priceEach' | 'text'>> = {},
): EntryDraft {
  const chosen = chooseLeaving(batch.cuttings, {
    taken: which.taken,
    places: listOf(which.places),
  });
  const taken: Record<string, number> = {};
  for (const { outcome } of chosen) taken[outcome] = (taken[outcome] ?? 0) + 1;
  return {
    kind: 'parted',
    batch: batch.id,
    day,
    why,
    taken,
    ...(which.places ? { places: [...which.places] } : {}),
    ...pottedAmong(batch, chosen),
    ...more,
  };
}

const listOf = (places: readonly number[] | undefined): number[] | undefined =>
  places ? [...places] : undefined;

/** Given away, sold or thrown out: they leave, and stay counted as what they had come to. */
export function leaveEntries(
  batch: Batch,
  which: Which,
  day: Day,
  why: 'given' | 'sold' | 'discarded',
  about: { readonly text?: string; readonly order?: string; readonly priceEach?: number } = {},
): readonly EntryDraft[] {
  return [parted(batch, which, day, why, about)];
}

/** The fields a batch made of another's cuttings shares with it. */
function inherited(batch: Batch): BatchFields {
  const { mother, taxon, method, widthMm, thicknessMm, school, callusAt, callusSpace } = batch;
  const { disinfectant, aid, firstWater, medium, container, mix, topDress, waterSchool, stemMm } =
    batch;
  const { course, dryDays, unrootedWater, opening, through, ownRoots, rings, feeding } = batch;
  const { firmed, leaves, lengthMm } = batch;
  const all = {
    mother,
    taxon,
    method,
    widthMm,
    thicknessMm,
    school,
    callusAt,
    callusSpace,
    disinfectant,
    aid,
    firstWater,
    medium,
    container,
    mix,
    topDress,
    waterSchool,
    stemMm,
    space: batch.space,
    place: batch.place,
    columns: batch.columns,
    rootedInWater: batch.rootedInWater,
    course,
    dryDays,
    unrootedWater,
    opening,
    through,
    ownRoots,
    rings,
    feeding,
    firmed,
    leaves,
    lengthMm,
  };
  return Object.fromEntries(Object.entries(all).filter(([, v]) => v !== undefined));
}

/** What was done to the whole batch is part of the story of each of its cuttings. */
function retold(batch: Batch, id: string, rooted: boolean): readonly EntryDraft[] {
  return batch.entries.flatMap((entry) => {
    const tell = RETOLD[entry.kind] as Retell<BatchEntry['kind']> | null;
    const told = tell?.(entry, rooted) ?? null;
    return told === null
      ? []
      : [{ ...told, kind: entry.kind, batch: id, day: entry.day } as EntryDraft];
  });
}

/** What of an entry stands for each of the cuttings: its own fields, or null where it does not. */
type Retell<K extends BatchEntry['kind']> = (
  entry: EntryOf<K>,
  rooted: boolean,
) => Partial<EntryOf<K>> | null;

/** Every kind says whether it goes with the cuttings that leave: a new one that says nothing does not compile. */
const RETOLD: { readonly [K in BatchEntry['kind']]: Retell<K> | null } = {
  cut: () => ({}),
  // Of a setting of some nobody knows which: those with roots were.
  stuck: ({ count, wet }, rooted) => (count !== undefined && !rooted ? null : wet ? { wet } : {}),
  reopened: ({ why, widthMm, through }) => given({ why, widthMm, through }),
  watered: ({ how, ml, breach, gate }) => given({ how, ml, breach, gate }),
  moved: ({ space }) => ({ space }),
  inspected: ({ seen }) => (seen === 'tacky' || seen === 'firm' ? { seen } : null),
  tended: ({ what }) => ({ what }),
  'put-off': ({ task, until, text }) => given({ task, until, text }),
  // Carried over as what the cuttings had come to.
  tally: null,
  // Of one pot, or of some: nobody knows whether of these.
  weighed: null,
  felt: null,
  potted: null,
  photo: null,
  measured: null,
  // Of the batch as a whole.
  note: null,
  parted: null,
  joined: null,
  forecast: null,
  ended: null,
};

/** Only what is there: a missing figure is no field at all. */
const given = <T extends object>(fields: T): T =>
  Object.fromEntries(Object.entries(fields).filter(([, v]) => v !== undefined)) as T;

const countedOn = (batch: Batch): Day => batch.tallies.at(-1) ?? batch.cutOn;

/** Where the cuttings of a new batch stand, if not where they stood. */
export interface Stand {
  readonly space?: string | undefined;
  readonly place?: string | undefined;
  readonly tray?: string | undefined;
  readonly cells?: readonly number[] | undefined;
}

const stand = ({ space, place, tray, cells }: Stand): BatchFields => ({
  ...(space === undefined ? {} : { space }),
  ...(place === undefined ? {} : { place }),
  ...(tray === undefined ? {} : { tray }),
  ...(cells === undefined ? {} : { cells: [...cells] }),
});

/** Some cuttings become a batch of their own, with all that is known of them; they are counted there. */
export function splitEntries(
  batch: Batch,
  which: Which,
  id: string,
  day: Day,
  where: Stand = {},
): readonly EntryDraft[] {
  const chosen = chooseLeaving(batch.cuttings, {
    taken: which.taken,
    places: listOf(which.places),
  });
  const { potted } = pottedAmong(batch, chosen);
  return [
    parted(batch, which, day, 'split', { to: id }),
    {
      kind: 'put',
      record: 'batch',
      key: id,
      day,
      fields: {
        ...inherited(batch),
        ...stand(where),
        count: chosen.length,
        cutOn: batch.cutOn,
        partOf: batch.id,
        parting: 'split',
        carried: [...carry(chosen, countedOn(batch))],
      },
    },
    ...retold(batch, id, chosen.every(isRooted)),
    ...(where.space !== undefined && where.space !== batch.space
      ? [{ kind: 'moved', batch: id, day, space: where.space } as const]
      : []),
    ...(potted === undefined ? [] : [{ kind: 'potted', batch: id, day, count: potted } as const]),
  ];
}

/** A cutting that was cut back to clean tissue has a new wound: a batch with a clock of its own. */
export function rescueEntries(
  state: State,
  batch: Batch,
  which: Which,
  id: string,
  day: Day,
  cut: Pick<BatchFields, 'widthMm' | 'school' | 'disinfectant'> & { readonly cause: RecutFor },
  where: Stand = {},
): readonly EntryDraft[] {
  const { cause, ...fields } = cut;
  const count = which.places?.length ?? takenCount(which.taken);
  return [
    parted(batch, which, day, 'rescued', { to: id, cause }),
    {
      kind: 'put',
      record: 'batch',
      key: id,
      day,
      fields: {
        ...inherited(batch),
        ...stand(where),
        ...fields,
        count,
        cutOn: day,
        partOf: batch.id,
        parting: 'rescued',
        // Weakened pieces say nothing of what a fresh one would have done.
        excluded: say.cutAfreshFrom({ batchCode: batchCode(state, batch) }),
      },
    },
    { kind: 'cut', batch: id, day },
  ];
}

/** Rooted plants go into pots of their own, each with its own page and label; they stay counted where they rooted. */
export function singleEntries(
  state: State,
  batch: Batch,
  which: Which,
  ids: readonly string[],
  day: Day,
  where: Stand = {},
): readonly EntryDraft[] {
  const chosen = chooseLeaving(batch.cuttings, {
    taken: which.taken,
    places: listOf(which.places),
  });
  const bare = batch.here.rooted + batch.here.pupped - batch.here.potted;
  return chosen.slice(0, ids.length).flatMap((cutting, i): readonly EntryDraft[] => {
    const id = ids[i]!;
    return [
      {
        kind: 'parted',
        batch: batch.id,
        day,
        why: 'single',
        taken: { [cutting.outcome]: 1 },
        places: [cutting.place],
        ...(i < bare ? {} : { potted: 1 }),
        to: id,
      },
      {
        kind: 'put',
        record: 'batch',
        key: id,
        day,
        fields: {
          ...inherited(batch),
          place: null,
          ...stand(where),
          count: 1,
          cutOn: batch.cutOn,
          partOf: batch.id,
          parting: 'single',
          carried: [...carry([cutting], countedOn(batch))],
          excluded: say.countedIn({ batchCode: batchCode(state, batch) }),
        },
      },
      ...retold(batch, id, true),
      { kind: 'potted', batch: id, day, count: 1 },
    ];
  });
}

/** Why two batches cannot become one; empty if they can. */
export function mergeProblem(state: State, from: Batch, into: Batch): string {
  if (from.id === into.id) return say.chooseAnotherBatch();
  const apart = (
    [
      ['taxon', say.theyAreDifferentPlants()],
      ['method', say.theyWereTakenIn()],
      ['cutOn', say.theyWereCutOn()],
      ['school', say.theirWoundsAreTreated()],
    ] as const
  ).find(([field]) => from[field] !== into[field]);
  if (!apart) {
    const together = standingCount(from) + everHeld(into);
    return together > MOST_CUTTINGS
      ? say.togetherTheyWould({ together, most: MOST_CUTTINGS, code: batchCode(state, from) })
      : '';
  }
  return say.theirCountsWould({ why: apart[1], code: batchCode(state, from) });
}

const standingCount = (batch: Batch): number => batch.cuttings.filter((c) => !c.left).length;

/** All that still stand in one batch join another that was cut with it. */
export function mergeEntries(from: Batch, into: Batch, day: Day): readonly EntryDraft[] {
  const all: Taken = Object.fromEntries(
    [...new Set(from.cuttings.map((c) => c.outcome))].map((outcome) => [
      outcome,
      from.cuttings.filter((c) => c.outcome === outcome && !c.left).length,
    ]),
  );
  const chosen = from.cuttings.filter((c) => !c.left);
  const { potted } = pottedAmong(from, chosen);
  return [
    parted(from, { taken: all }, day, 'merged', { to: into.id }),
    {
      kind: 'joined',
      batch: into.id,
      day,
      from: from.id,
      cuttings: [...carry(chosen, countedOn(from))],
      ...(potted === undefined ? {} : { potted }),
    },
    { kind: 'ended', batch: from.id, day, text: 'merged' },
  ];
}

/** One plant becomes a mother. */
export function motherEntries(batch: Batch, mother: string, day: Day): readonly EntryDraft[] {
  const kind = batch.here.pupped > 0 ? 'pupped' : 'rooted';
  return batch.here[kind] === 0
    ? []
    : [parted(batch, { taken: { [kind]: 1 } }, day, 'mother', { to: mother })];
}

/** Batches made of this one's cuttings, and the one it was made of. */
export function partsOf(
  state: State,
  batch: Batch,
): {
  readonly of: Batch | null;
  readonly parts: readonly Batch[];
} {
  return {
    of: (batch.partOf === undefined ? undefined : state.batches.get(batch.partOf)) ?? null,
    parts: batch.entries.flatMap((e) =>
      e.kind === 'parted' && e.to !== undefined ? (state.batches.get(e.to) ?? []) : [],
    ),
  };
}

/** Written within so many milliseconds they are of one tap. */
const ONE_TAP_MS = 5000;

export type TakeBack =
  | { readonly ok: true; readonly entries: readonly Entry[] }
  | { readonly ok: false; readonly problem: string };

/**
 * The entries that are taken back with one: a parting goes with the batch it made. Where that batch has a
 * history of its own by now nothing is taken back, and it is said.
 */
export function takenBackWith(state: State, entry: BatchEntry): TakeBack {
  if (entry.kind === 'joined') return takeBackPair(state, entry.from, entry.batch);
  if (entry.kind !== 'parted' || entry.to === undefined) return { ok: true, entries: [entry] };
  if (entry.why === 'merged') return takeBackPair(state, entry.batch, entry.to);
  const made = state.batches.get(entry.to);
  if (!made) return { ok: true, entries: [entry] };
  const log = state.log.get(`batch/${made.id}`) ?? [];
  const until = stampMs(entry.at) + ONE_TAP_MS;
  return log.some((e) => stampMs(e.at) > until)
    ? {
        ok: false,
        problem: say.hasAHistoryOf({ batchCode: batchCode(state, made) }),
      }
    : { ok: true, entries: [entry, ...log] };
}

function takeBackPair(state: State, from: string, into: string): TakeBack {
  const of = (id: string): readonly Entry[] => state.batches.get(id)?.entries ?? [];
  const pair = [
    ...of(from).filter(
      (e) => (e as BatchEntry).kind === 'parted' && (e as EntryOf<'parted'>).to === into,
    ),
    ...of(from).filter((e) => e.kind === 'ended'),
    ...of(into).filter(
      (e) => (e as BatchEntry).kind === 'joined' && (e as EntryOf<'joined'>).from === from,
    ),
  ];
  return { ok: true, entries: pair };
}
