import { foldAir } from './fold-air';
import { foldBatch, type Batch } from './batch';
import {
  compareByDay,
  compareEntries,
  isKnown,
  subjectOf,
  type Entry,
  type EntryOf,
} from './entry';
import { foldJugs } from './fold-jugs';
import { distinct, unite } from './merge';
import type { FieldsOf, RecordName } from './record';
import { standing } from './retract';
import { laterStamp, type Stamp } from './stamp';
import { EMPTY_STATE, type Examination, type Kept, type State } from './state';

/**
 * The state that a set of entries tells. Pure: the order they arrive in and repeats do not matter.
 * Each subject (a batch, a mother, the air of a space …) is folded by itself, so that one new entry
 * costs one subject.
 */
export function fold(entries: readonly Entry[]): State {
  const groups = new Map<string, Entry[]>();
  const all = distinct(entries);
  let lastStamp: Stamp | null = null;
  for (const entry of all) {
    const subject = subjectOf(entry);
    const group = groups.get(subject);
    if (group) group.push(entry);
    else groups.set(subject, [entry]);
    lastStamp = laterStamp(lastStamp, entry.at);
  }
  // Many short sorts instead of one long one; subjects in the order in which they were first written.
  for (const group of groups.values()) group.sort(compareEntries);
  const log = new Map([...groups].sort(([, a], [, b]) => compareEntries(a[0]!, b[0]!)));
  const draft = draftOf({ ...EMPTY_STATE, log });
  for (const [subject, group] of log) foldSubject(draft, subject, group);
  return { ...draft, size: all.length, lastStamp };
}

/** The state after one more entry; the same as folding all of them, at the cost of one subject. */
export function append(state: State, entry: Entry): State {
  return appendAll(state, [entry]);
}

export function appendAll(state: State, entries: readonly Entry[]): State {
  const touched = new Map<string, readonly Entry[]>();
  let { size, lastStamp } = state;
  for (const entry of entries) {
    const subject = subjectOf(entry);
    const group = touched.get(subject) ?? state.log.get(subject) ?? [];
    const united = unite([...group, entry]);
    size += united.length - group.length;
    lastStamp = laterStamp(lastStamp, entry.at);
    touched.set(subject, united);
  }
  const draft = draftOf({ ...state, log: new Map([...state.log, ...touched]) });
  for (const [subject, group] of touched) foldSubject(draft, subject, group);
  return { ...draft, size, lastStamp };
}

/** All entries of a state, in the one order of all entries. */
export function entriesOf(state: State): readonly Entry[] {
  return [...state.log.values()].flat().sort(compareEntries);
}

type Mutable<T> = {
  -readonly [K in keyof T]: T[K] extends ReadonlyMap<infer K2, infer V> ? Map<K2, V> : T[K];
};
type Draft = Mutable<Omit<State, 'log'>> & Pick<State, 'log'>;

/** A shallow copy that may be written to while it is being made. */
function draftOf(state: State): Draft {
  return {
    ...state,
    batches: new Map(state.batches),
    mothers: new Map(state.mothers),
    examinations: new Map(state.examinations),
    spaces: new Map(state.spaces),
    ownTaxa: new Map(state.ownTaxa),
    components: new Map(state.components),
    mixes: new Map(state.mixes),
    containers: new Map(state.containers),
    protocols: new Map(state.protocols),
    trials: new Map(state.trials),
    trays: new Map(state.trays),
    orders: new Map(state.orders),
    jugs: new Map(state.jugs),
    air: new Map(state.air),
  };
}

function foldSubject(draft: Draft, subject: string, group: readonly Entry[]): void {
  const slash = subject.indexOf('/');
  const key = subject.slice(slash + 1);
  const entries = standing(group);
  switch (subject.slice(0, slash)) {
    case 'batch': {
      const batch = foldBatchSubject(key, entries);
      if (batch) draft.batches.set(key, batch);
      else draft.batches.delete(key);
      return;
    }
    case 'mother':
      keepLooks(draft, key, examinationsIn(entries));
      return keep(draft.mothers, key, foldFields('mother', entries));
    case 'space':
      return keep(draft.spaces, key, foldFields('space', entries));
    case 'taxon':
      return keep(draft.ownTaxa, key, foldFields('taxon', entries));
    case 'component':
      return keep(draft.components, key, foldFields('component', entries));
    case 'mix':
      return keep(draft.mixes, key, foldFields('mix', entries));
    case 'container':
      return keep(draft.containers, key, foldFields('container', entries));
    case 'protocol':
      return keep(draft.protocols, key, foldFields('protocol', entries));
    case 'trial':
      return keep(draft.trials, key, foldFields('trial', entries));
    case 'tray':
      return keep(draft.trays, key, foldFields('tray', entries));
    case 'order':
      return keep(draft.orders, key, foldFields('order', entries));
    case 'jug':
      draft.jugs.set(key, foldJugs(entries));
      return;
    case 'walk':
      draft.walks = entries
        .filter((e): e is EntryOf<'walked'> => isKnown(e) && e.kind === 'walked')
        .sort(compareByDay);
      return;
    case 'settings':
      draft.settings = clean(foldFields('settings', entries));
      return;
    case 'air':
      draft.air.set(key, foldAir(entries));
      return;
    default:
    // Entries of unknown kinds tell this version nothing; the log keeps them.
  }
}

function examinationsIn(entries: readonly Entry[]): readonly Examination[] {
  return entries
    .filter((e): e is Examination => isKnown(e) && e.kind === 'examined')
    .sort(compareByDay);
}

function keepLooks(draft: Draft, mother: string, looks: readonly Examination[]): void {
  if (looks.length > 0) draft.examinations.set(mother, looks);
  else draft.examinations.delete(mother);
}

function foldBatchSubject(key: string, entries: readonly Entry[]): Batch | null {
  return foldBatch(
    key,
    foldFields('batch', entries),
    entries.filter((e) => isKnown(e) && e.kind !== 'put'),
  );
}

function keep<F extends object>(
  map: Map<string, Kept<F> & { readonly id: string }>,
  id: string,
  fields: F,
): void {
  const kept = clean(fields);
  if (Object.keys(kept).length > 0) map.set(id, { ...kept, id });
  else map.delete(id);
}

/** Field by field the latest put wins; a field set to null is cleared. */
function foldFields<R extends RecordName>(record: R, entries: readonly Entry[]): FieldsOf[R] {
  let fields = {} as FieldsOf[R];
  for (const entry of entries)
    if (isKnown(entry) && entry.kind === 'put' && entry.record === record)
      fields = { ...fields, ...(entry.fields as FieldsOf[R]) };
  return fields;
}

function clean<F extends object>(fields: F): Kept<F> {
  return Object.fromEntries(
    Object.entries(fields).filter(([, value]) => value !== null && value !== undefined),
  ) as Kept<F>;
}
