import type * as z from 'zod';
import type { entrySchema, unknownEntrySchema } from './entry-schema';
import type { Named } from './field';
import { RECORDS, type FieldsOf, type RecordName } from './record';

export const OUTCOMES = ['waiting', 'rooted', 'pupped', 'rotted', 'dried', 'lost'] as const;
export type Outcome = (typeof OUTCOMES)[number];

export const WOUND_SEEN = ['tacky', 'firm'] as const;
export const SEEN = [...WOUND_SEEN, 'fine', 'wrinkled', 'soft'] as const;

/** What may be measured on a picture. */
export const MEASURED = ['wound', 'root'] as const;
export type Measured = (typeof MEASURED)[number];

export type KnownEntry = Exclude<Named<z.infer<typeof entrySchema>>, { kind: 'put' }> | Put;
export type Put = {
  [R in RecordName]: Named<z.infer<typeof unknownEntrySchema>> & {
    readonly kind: 'put';
    readonly record: R;
    readonly key: string;
    readonly fields: FieldsOf[R];
  };
}[RecordName];
export type UnknownEntry = Named<z.infer<typeof unknownEntrySchema>>;
export type Entry = KnownEntry | UnknownEntry;
export type EntryKind = KnownEntry['kind'];
export type EntryOf<K extends EntryKind> = Extract<KnownEntry, { kind: K }>;
export type Counts = Readonly<Record<Exclude<Outcome, 'waiting'>, number>>;

const KINDS: ReadonlySet<string> = new Set<EntryKind>([
  'put',
  'cut',
  'stuck',
  'inspected',
  'watered',
  'weighed',
  'felt',
  'tally',
  'potted',
  'moved',
  'note',
  'parted',
  'joined',
  'tended',
  'put-off',
  'photo',
  'measured',
  'ended',
  'air',
  'series',
  'jug',
  'examined',
  'walked',
  'retract',
]);

export function isKnown(entry: Entry): entry is KnownEntry {
  if (entry.kind === 'put') return (RECORDS as readonly string[]).includes((entry as Put).record);
  return KINDS.has(entry.kind);
}

/** What an entry speaks of; entries of one subject are folded together and of others apart. */
export function subjectOf(entry: Entry): string {
  if (!isKnown(entry)) return 'unknown';
  switch (entry.kind) {
    case 'put':
      return `${entry.record}/${entry.key}`;
    case 'retract':
      return entry.subject;
    case 'air':
    case 'series':
      return `air/${entry.space}`;
    case 'walked':
      return 'walk/rounds';
    case 'jug':
      return `jug/${entry.mix}`;
    case 'examined':
      return `mother/${entry.mother}`;
    default:
      return `batch/${entry.batch}`;
  }
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
