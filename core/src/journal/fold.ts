import { foldAir } from './fold-air';
import { foldBatch, type BatchEntry } from './batch';
import {
  compareByDay,
  compareEntries,
  isKind,
  subjectOf,
  type Entry,
  type SubjectName,
} from './entry';
import { foldJugs } from './fold-jugs';
import { KINDS } from './kinds';
import { distinct, preferred } from './merge';
import {
  RECORD_NAMES,
  RECORDS,
  SETTINGS_KEY,
  type FieldsOf,
  type Kept,
  type ListedRecord,
  type RecordName,
} from './records';
import { standing } from './retract';
import { laterStamp, type Stamp } from './stamp';
import { EMPTY_STATE, RECORD_MAPS, type MotherEvent, type State } from './state';

/**
 * The state that a set of entries tells. Pure: the order they arrive in and repeats do not matter.
 * Each subject (a batch, a mother, the air of a space …) is folded by itself, so that one new entry
 * costs one subject.
 */
export function fold(entries: readonly Entry[]): State {
  const all = distinct(entries);
  const draft = draftOf({ ...EMPTY_STATE, log: logOf(all) });
  for (const [subject, group] of draft.log) foldSubject(draft, subject, group);
  return { ...draft, size: all.length, lastStamp: lastOf(entries) };
}

/**
 * The entries by subject, each in the order of stamps; subjects in the order in which they were first written.
 * @param entries one of each id
 */
export function logOf(entries: readonly Entry[]): Map<string, readonly Entry[]> {
  const groups = new Map<string, Entry[]>();
  for (const entry of entries) {
    const subject = subjectOf(entry);
    const group = groups.get(subject);
    if (group) group.push(entry);
    else groups.set(subject, [entry]);
  }
  // Many short sorts instead of one long one.
  for (const group of groups.values()) group.sort(compareEntries);
  return new Map([...groups].sort(([, a], [, b]) => compareEntries(a[0]!, b[0]!)));
}

export function lastOf(entries: readonly Entry[]): Stamp | null {
  let last: Stamp | null = null;
  for (const { at } of entries) last = laterStamp(last, at);
  return last;
}

/** The state after one more entry; the same as folding all of them, at the cost of one subject. */
export function append(state: State, entry: Entry): State {
  return appendAll(state, [entry]);
}

/** The state after more entries, whatever their order; the same as folding all of them. */
export function appendAll(state: State, entries: readonly Entry[]): State {
  if (entries.length === 0) return state;
  const places = placesOf(state);
  const touched = new Map<string, Map<string, Entry>>();
  const groupOf = (subject: string): Map<string, Entry> => {
    const known = touched.get(subject);
    if (known) return known;
    const group = new Map((state.log.get(subject) ?? []).map((e) => [e.id, e]));
    touched.set(subject, group);
    return group;
  };
  let { size } = state;
  for (const entry of entries) {
    const subject = subjectOf(entry);
    const before = places.get(entry.id)?.find((place) => groupOf(place).has(entry.id));
    const other = before === undefined ? undefined : groupOf(before).get(entry.id);
    if (other && preferred(other, entry) === other) continue;
    // The same id under two subjects is a damaged file: one is kept, the same one as a fold of all keeps.
    if (before === undefined) size++;
    else if (before !== subject) groupOf(before).delete(entry.id);
    groupOf(subject).set(entry.id, entry);
    remember(places, entry.id, subject);
  }
  const lastStamp = laterStamp(state.lastStamp, lastOf(entries));
  if (touched.size === 0) return { ...state, lastStamp };
  const log = new Map(state.log);
  let reordered = false;
  for (const [subject, group] of touched) {
    const sorted = [...group.values()].sort(compareEntries);
    reordered ||= state.log.get(subject)?.[0] !== sorted[0];
    if (sorted.length === 0) log.delete(subject);
    else log.set(subject, sorted);
  }
  const ordered = reordered
    ? new Map([...log].sort(([, a], [, b]) => compareEntries(a[0]!, b[0]!)))
    : log;
  kept.set(ordered, places);
  const draft = draftOf({ ...state, log: ordered });
  for (const subject of touched.keys()) foldSubject(draft, subject, ordered.get(subject) ?? []);
  return { ...(reordered ? inOrder(draft) : draft), size, lastStamp };
}

/** What was written first stands first on every device, whatever it met first. */
function inOrder(draft: StateDraft): StateDraft {
  const keys = new Map<string, number>();
  for (const subject of draft.log.keys()) keys.set(subject, keys.size);
  const sorted = (name: string, map: ReadonlyMap<string, unknown>): Map<string, unknown> => {
    const nth = (key: string): number => keys.get(`${name}/${key}`) ?? keys.size;
    return new Map([...map].sort(([a], [b]) => nth(a) - nth(b)));
  };
  const maps = FOLDED_MAPS.map(([name, into]) => [into, sorted(name, draft[into])]);
  return { ...draft, ...(Object.fromEntries(maps) as Partial<StateDraft>) };
}

/** Of which subjects the maps of the state are. */
const FOLDED_MAPS: readonly (readonly [SubjectName, MapName])[] = [
  ...RECORD_NAMES.flatMap((name) => {
    const { into } = RECORDS[name];
    return into === null ? [] : [[name, into] as const];
  }),
  ['batch', 'batches'],
  ['mother', 'examinations'],
  ['mother', 'motherEvents'],
  ['jug', 'jugs'],
  ['air', 'air'],
];
type MapName = {
  [K in keyof StateDraft]: StateDraft[K] extends Map<string, unknown> ? K : never;
}[keyof StateDraft];

/**
 * The subjects that an id ever lay under, in this state or in one that went another way from the same beginning:
 * whoever asks looks whether it lies there still. Shared by all of them, and only ever added to.
 */
type Places = Map<string, readonly string[]>;
const kept = new WeakMap<State['log'], Places>();

function placesOf({ log }: State): Places {
  const known = kept.get(log);
  if (known) return known;
  const places: Places = new Map();
  for (const [subject, group] of log) {
    const alone = [subject];
    for (const { id } of group) places.set(id, alone);
  }
  kept.set(log, places);
  return places;
}

function remember(places: Places, id: string, subject: string): void {
  const known = places.get(id);
  if (known === undefined) places.set(id, [subject]);
  else if (!known.includes(subject)) places.set(id, [...known, subject]);
}

/** All entries of a state, in the one order of all entries. */
export function entriesOf(state: State): readonly Entry[] {
  return [...state.log.values()].flat().sort(compareEntries);
}

type Mutable<T> = {
  -readonly [K in keyof T]: T[K] extends ReadonlyMap<infer K2, infer V> ? Map<K2, V> : T[K];
};
export type StateDraft = Mutable<Omit<State, 'log'>> & Pick<State, 'log'>;

/** A shallow copy that may be written to while it is being made. */
export function draftOf(state: State): StateDraft {
  const maps = Object.fromEntries(
    RECORD_MAPS.map((into) => [into, new Map<string, unknown>(state[into])]),
  );
  return {
    ...state,
    ...(maps as unknown as Pick<StateDraft, (typeof RECORD_MAPS)[number]>),
    batches: new Map(state.batches),
    examinations: new Map(state.examinations),
    motherEvents: new Map(state.motherEvents),
    jugs: new Map(state.jugs),
    air: new Map(state.air),
  };
}

/**
 * @param entries those of a subject that stand, in the order of stamps
 * @param gone nothing at all is told of it any more
 */
type FoldSubject = (
  draft: StateDraft,
  key: string,
  entries: readonly Entry[],
  gone: boolean,
) => void;

/** How the entries of a subject become state: one line for each, and none may be missing. */
const FOLDS: Readonly<Record<SubjectName, FoldSubject>> = {
  ...(Object.fromEntries(
    RECORD_NAMES.flatMap((name) =>
      RECORDS[name].into === null ? [] : [[name, keepRecord(name as ListedRecord)]],
    ),
  ) as Record<ListedRecord, FoldSubject>),
  batch: (draft, key, entries) =>
    set(draft.batches, key, foldBatch(key, foldFields('batch', entries), entries.filter(ofBatch))),
  mother: (draft, key, entries) => {
    const looks = entries.filter(isKind('examined')).sort(compareByDay);
    set(draft.examinations, key, looks.length > 0 ? looks : null);
    const done = entries.filter(isMotherEvent).sort(compareByDay);
    set(draft.motherEvents, key, done.length > 0 ? done : null);
    keepRecord('mother')(draft, key, entries, false);
  },
  jug: (draft, key, entries, gone) => set(draft.jugs, key, gone ? null : foldJugs(entries)),
  air: (draft, key, entries, gone) => set(draft.air, key, gone ? null : foldAir(entries)),
  walk: (draft, _key, entries) => {
    draft.walks = entries.filter(isKind('walked')).sort(compareByDay);
  },
  settings: (draft, key, entries) => {
    // Settings are one record: what a damaged file keeps under another key tells nothing.
    if (key === SETTINGS_KEY) draft.settings = clean(foldFields('settings', entries));
  },
};

function foldSubject(draft: StateDraft, subject: string, group: readonly Entry[]): void {
  const slash = subject.indexOf('/');
  const name = subject.slice(0, slash);
  // Entries of unknown kinds tell this version nothing; the log keeps them.
  if (Object.hasOwn(FOLDS, name))
    FOLDS[name as SubjectName](
      draft,
      subject.slice(slash + 1),
      standing(group),
      group.length === 0,
    );
}

const isMotherEvent = (entry: Entry): entry is MotherEvent =>
  entry.kind === 'repotted' || entry.kind === 'divided' || entry.kind === 'mothered';

const ofBatch = (entry: Entry): entry is BatchEntry =>
  Object.hasOwn(KINDS, entry.kind) && KINDS[entry.kind as keyof typeof KINDS].subject === 'batch';

function keepRecord(record: ListedRecord): FoldSubject {
  return (draft, id, entries) => {
    const kept = clean(foldFields(record, entries));
    const map = draft[RECORDS[record].into] as Map<string, unknown>;
    set(map, id, Object.keys(kept).length > 0 ? { ...kept, id } : null);
  };
}

function set<V>(map: Map<string, V>, key: string, value: V | null): void {
  if (value === null) map.delete(key);
  else map.set(key, value);
}

/** Field by field the latest put wins; a field set to null is cleared. */
function foldFields<R extends RecordName>(record: R, entries: readonly Entry[]): FieldsOf[R] {
  const fields: Record<string, unknown> = {};
  for (const entry of entries)
    if (entry.kind === 'put' && 'record' in entry && entry.record === record)
      for (const [name, value] of Object.entries(entry.fields))
        if (name !== '__proto__') fields[name] = value;
  return fields;
}

function clean<F extends object>(fields: F): Kept<F> {
  return Object.fromEntries(
    Object.entries(fields).filter(([, value]) => value !== null && value !== undefined),
  ) as Kept<F>;
}
