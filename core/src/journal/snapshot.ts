import { gatherAlike, spread, type Alike } from './alike';
import { wateringsIn, type Batch } from './batch';
import type { Entry } from './entry';
import { RECORD_NAMES, RECORDS } from './records';
import { EMPTY_STATE, type State } from './state';
import type { TaskId } from './task';

/*
 * The folded state beside the entries it was folded from, so that opening costs no fold. A snapshot is only a
 * comfort: it may be thrown away at any time, and is at the slightest doubt. Law (property-tested): a snapshot and
 * the entries that came since tell the same as a fold of all of them.
 */

/** Raised whenever what is folded or packed changes. */
export const SNAPSHOT_VERSION = 9;

/** Lists of entries that a batch keeps beside all of them. */
const ENTRY_LISTS = ['photos', 'measured', 'forecasts', 'reopenings', 'pottings', 'looks'] as const;
type EntryList = (typeof ENTRY_LISTS)[number];

type PackedBatch = Omit<Batch, 'entries' | 'waterings' | 'cuttings' | 'putOff' | EntryList> &
  Readonly<Record<EntryList, readonly number[]>> & {
    readonly entries: readonly number[];
    readonly groups: readonly Alike[];
    readonly putOff: readonly (readonly [TaskId, { day: string; until?: string; text: string }])[];
  };

/** Plain data; entries are told by their place in the list they were packed with. */
export interface Snapshot {
  readonly version: number;
  /** Entries it was packed with, and the last stamp among them. */
  readonly entries: number;
  readonly lastStamp: string | null;
  readonly batches: readonly PackedBatch[];
  readonly records: Readonly<Record<string, readonly (readonly [string, object])[]>>;
  readonly examinations: readonly (readonly [string, readonly number[]])[];
  readonly motherEvents: readonly (readonly [string, readonly number[]])[];
  readonly jugs: readonly (readonly [string, readonly object[]])[];
  readonly walks: readonly number[];
  readonly air: readonly (readonly [string, readonly object[]])[];
  readonly settings: object;
  /** The log: the entries of every subject, in its order. */
  readonly log: readonly (readonly [string, readonly number[]])[];
}

/** @param entries those the state was folded from, one of each id, in the order they will be handed in again */
export function packState(state: State, entries: readonly Entry[]): Snapshot {
  const places = new Map(entries.map((e, i) => [e, i]));
  const placeOf = (entry: Entry): number => {
    const place = places.get(entry);
    if (place === undefined) throw new RangeError(`entry ${entry.id} is not of these entries`);
    return place;
  };
  return {
    version: SNAPSHOT_VERSION,
    entries: entries.length,
    lastStamp: state.lastStamp,
    batches: [...state.batches.values()].map(
      ({ entries: told, waterings: _told, cuttings, putOff, ...rest }) => ({
        ...rest,
        ...lists((list) => rest[list].map(placeOf)),
        entries: told.map(placeOf),
        groups: gatherAlike(cuttings),
        putOff: [...putOff],
      }),
    ),
    records: Object.fromEntries(
      RECORD_NAMES.flatMap((name) => {
        const { into } = RECORDS[name];
        return into === null ? [] : [[into, [...state[into]]]];
      }),
    ),
    examinations: [...state.examinations].map(([id, looks]) => [id, looks.map(placeOf)]),
    motherEvents: [...state.motherEvents].map(([id, done]) => [id, done.map(placeOf)]),
    jugs: [...state.jugs],
    walks: state.walks.map(placeOf),
    air: [...state.air],
    settings: state.settings,
    log: [...state.log].map(([subject, group]) => [subject, group.map(placeOf)]),
  };
}

/**
 * The state a snapshot tells, on the entries it was packed with.
 * @returns null where it is not of these entries, or not of this version
 */
export function unpackState(snapshot: Snapshot, entries: readonly Entry[]): State | null {
  if (snapshot.version !== SNAPSHOT_VERSION || snapshot.entries !== entries.length) return null;
  const at = (places: readonly number[]): readonly never[] =>
    places.map((place) => {
      const entry = entries[place];
      if (!entry) throw new RangeError(`no entry ${place}`);
      // Packed from a list of that kind: the snapshot is of these very entries.
      return entry as never;
    });
  const batches = new Map<string, Batch>();
  for (const { groups, entries: told, putOff, ...rest } of snapshot.batches)
    batches.set(rest.id, {
      ...rest,
      ...lists((list) => at(rest[list])),
      entries: at(told),
      waterings: wateringsIn(at(told)),
      cuttings: spread(groups),
      putOff: new Map(putOff),
    });
  const records = Object.fromEntries(
    Object.entries(snapshot.records).map(([into, kept]) => [into, new Map(kept)]),
  );
  return {
    ...EMPTY_STATE,
    ...records,
    batches,
    examinations: new Map(snapshot.examinations.map(([id, looks]) => [id, at(looks)])),
    motherEvents: new Map(snapshot.motherEvents.map(([id, done]) => [id, at(done)])),
    jugs: new Map(snapshot.jugs) as unknown as State['jugs'],
    walks: at(snapshot.walks),
    air: new Map(snapshot.air) as unknown as State['air'],
    settings: snapshot.settings,
    log: new Map(snapshot.log.map(([subject, group]) => [subject, at(group)])),
    size: entries.length,
    lastStamp: snapshot.lastStamp,
  };
}

const lists = <V>(of: (list: EntryList) => V): Record<EntryList, V> =>
  Object.fromEntries(ENTRY_LISTS.map((list) => [list, of(list)])) as Record<EntryList, V>;
