import type { Day } from '../days';
import {
  everHeld,
  subjectOf,
  sumCounts,
  type Batch,
  type BatchEntry,
  type EntryDraft,
  type EntryOf,
} from '../journal';
import { cutDayWrong, type CutDayWrong } from './put-right';

/** What of an entry can be put right where it stands. Only what is told is changed; null takes a thing back out. */
export interface Anew {
  readonly day?: Day;
  readonly counts?: NonNullable<EntryOf<'tally'>['counts']>;
  readonly count?: number;
  readonly ml?: number | null;
  readonly grams?: number;
  readonly container?: string | null;
  readonly mix?: string | null;
  readonly space?: string | null;
  readonly text?: string | null;
}

/** What leaves a batch or joins it is of two, and is undone as a whole; a forecast is what was said then. */
const AS_A_WHOLE: ReadonlySet<BatchEntry['kind']> = new Set(['parted', 'joined', 'forecast']);

/** Which parts of an entry can be put right where it stands, besides its day; null where it can only be undone. */
export function canBeAnew(entry: BatchEntry): readonly Exclude<keyof Anew, 'day'>[] | null {
  if (AS_A_WHOLE.has(entry.kind)) return null;
  switch (entry.kind) {
    case 'tally':
      return entry.counts ? ['counts'] : [];
    case 'watered':
      return ['ml'];
    case 'weighed':
      return ['grams'];
    case 'potted':
      return ['count', 'container', 'mix', 'space'];
    case 'moved':
      return ['space'];
    case 'note':
      return ['text'];
    case 'inspected':
    case 'photo':
    case 'ended':
      return ['text'];
    default:
      return [];
  }
}

/** Why an entry cannot be told so. */
export type AnewWrong =
  | CutDayWrong
  | { readonly why: 'to-come' }
  /** Before there was a cutting. */
  | { readonly why: 'uncut'; readonly cutOn: Day }
  /** More outcomes than cuttings, or more potted than there are. */
  | { readonly why: 'too-many'; readonly told: number; readonly of: number }
  | { readonly why: 'nothing' };

/** What is wrong with an entry told anew; null where nothing is. */
export function anewWrong(
  batch: Batch,
  entry: BatchEntry,
  anew: Anew,
  today: Day,
): AnewWrong | null {
  const day = anew.day ?? entry.day;
  if (entry.kind === 'cut') return cutDayWrong(batch, day, today);
  if (day > today) return { why: 'to-come' };
  if (batch.cut !== null && day < batch.cutOn && day !== entry.day)
    return { why: 'uncut', cutOn: batch.cutOn };
  const told = anew.counts ? sumCounts(anew.counts) : (anew.count ?? 0);
  const of = everHeld(batch);
  if (told > of) return { why: 'too-many', told, of };
  if (entry.kind === 'potted' && anew.count === 0) return { why: 'nothing' };
  if (entry.kind === 'note' && anew.text !== undefined && !anew.text?.trim())
    return { why: 'nothing' };
  return null;
}

/**
 * An entry told anew: the old one is taken back and stays in the history, the new one says what it said but for what is
 * put right.
 * @returns nothing where nothing differs
 */
export function toldAnew(entry: BatchEntry, anew: Anew): readonly EntryDraft[] {
  const { id, at: _at, by: _by, ...before } = entry;
  const fields = new Map<string, unknown>(Object.entries(before));
  for (const [field, value] of Object.entries(anew) as [string, unknown][]) {
    if (value === undefined) continue;
    if (value === null || value === '') fields.delete(field);
    else fields.set(field, value);
  }
  const after = Object.fromEntries(fields);
  if (JSON.stringify(sorted(after)) === JSON.stringify(sorted({ ...before }))) return [];
  return [{ kind: 'retract', entry: id, subject: subjectOf(entry) }, after as EntryDraft];
}

const sorted = (fields: Readonly<Record<string, unknown>>): unknown =>
  Object.entries(fields).sort(([a], [b]) => (a < b ? -1 : 1));
