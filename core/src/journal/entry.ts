import '../zod-setup';
import * as z from 'zod';
import type { Day } from '../days';
import { dayField, idField, stampField, type Named } from './field';
import { KINDS, type Kinds } from './kinds';
import { RECORDS, type FieldsOf, type RecordName } from './records';
import type { Stamp } from './stamp';

/** What every entry carries: who wrote it, when, and of which of the grower's days it speaks. */
export interface Envelope {
  readonly id: string;
  readonly at: Stamp;
  readonly day: Day;
  readonly by: string;
}

const envelope = { id: idField, at: stampField, day: dayField, by: idField };

/** Sets fields of a record. */
export type Put = {
  readonly [R in RecordName]: Envelope & {
    readonly kind: 'put';
    readonly record: R;
    readonly key: string;
    readonly fields: FieldsOf[R];
  };
}[RecordName];

type KindOf<K extends keyof Kinds> = Envelope & { readonly kind: K } & {
  readonly [F in keyof Named<z.infer<Kinds[K]['schema']>>]: Named<z.infer<Kinds[K]['schema']>>[F];
};

export type KnownEntry = Put | { [K in keyof Kinds]: KindOf<K> }[keyof Kinds];
/** Of a kind, or of a record, that this version does not know: kept and passed on untouched. */
export type UnknownEntry = Envelope & { readonly kind: string };
export type Entry = KnownEntry | UnknownEntry;
export type EntryKind = KnownEntry['kind'];
export type EntryOf<K extends EntryKind> = Extract<KnownEntry, { kind: K }>;

/** What an entry may be about: a record, or something that has only entries. */
export type SubjectName = RecordName | NonNullable<Kinds[keyof Kinds]['subject']>;

/** Kinds that are folded together with a subject, besides puts of its record. */
export type KindsAbout<S extends SubjectName> = {
  [K in keyof Kinds]: Kinds[K]['subject'] extends S
    ? S extends Kinds[K]['subject']
      ? K
      : never
    : never;
}[keyof Kinds];

const kindSchemas = new Map<string, z.ZodType>(
  Object.entries(KINDS).map(([kind, { schema }]) => [
    kind,
    schema.safeExtend({ ...envelope, kind: z.literal(kind) }),
  ]),
);

const putSchemas = new Map<string, z.ZodType>(
  Object.entries(RECORDS).map(([record, { fields }]) => [
    record,
    z.looseObject({
      ...envelope,
      kind: z.literal('put'),
      record: z.literal(record),
      key: idField,
      fields,
    }),
  ]),
);

/** An entry of a kind, or a put of a record, that this version does not know. */
export const unknownEntrySchema = z.looseObject({ ...envelope, kind: z.string().min(1).max(40) });

/** All that may stand in a journal, for the JSON Schema; to read one entry ask {@link entryIssues}. */
export const anyEntrySchema = z.union([
  ...putSchemas.values(),
  ...kindSchemas.values(),
  unknownEntrySchema,
]);

/**
 * What is wrong with something that should be an entry: the door of every import, of the store and of what the
 * screens hand in. Empty if it may stand in a journal, also where its kind is of a newer version.
 */
export function entryIssues(raw: unknown): readonly z.core.$ZodIssue[] {
  const { kind, record } = (raw ?? {}) as { readonly kind?: unknown; readonly record?: unknown };
  const schema = kind === 'put' ? putSchemas.get(String(record)) : kindSchemas.get(String(kind));
  const read = (schema ?? unknownEntrySchema).safeParse(raw);
  return read.success ? [] : read.error.issues;
}

export function isKnown(entry: Entry): entry is KnownEntry {
  return entry.kind === 'put'
    ? Object.hasOwn(RECORDS, (entry as Put).record)
    : Object.hasOwn(KINDS, entry.kind);
}

/** Whether an entry is of this kind. */
export function isKind<K extends EntryKind>(kind: K): (entry: Entry) => entry is EntryOf<K> {
  return (entry): entry is EntryOf<K> => entry.kind === kind && isKnown(entry);
}

/** What an entry speaks of; entries of one subject are folded together and of others apart. */
export function subjectOf(entry: Entry): string {
  if (!isKnown(entry)) return 'unknown';
  if (entry.kind === 'put') return `${entry.record}/${entry.key}`;
  const { subject, key } = KINDS[entry.kind];
  const named = key === null ? 'all' : (entry as unknown as Readonly<Record<string, string>>)[key]!;
  return subject === null ? named : `${subject}/${named}`;
}

/** The one order of all entries: by stamp, ties by device, then by id. */
export function compareEntries(a: Entry, b: Entry): number {
  return compare(a.at, b.at) || compare(a.by, b.by) || compare(a.id, b.id);
}

/** The order of the grower's days: back-dated entries stand where they belong. */
export function compareByDay(a: Entry, b: Entry): number {
  return compare(a.day, b.day) || compareEntries(a, b);
}

const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);
