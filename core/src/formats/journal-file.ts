import { parseTree, type Node, type ParseError } from 'jsonc-parser';
import '../zod-setup';
import * as z from 'zod';
import {
  canonical,
  everHeld,
  fold,
  isAhead,
  isKind,
  isKnown,
  MOST_EVER,
  preferred,
  stampMs,
  subjectOf,
  sumCounts,
  unite,
  type Entry,
  type State,
} from '../journal';
import { depthProblem, lineAt } from './bounded-json';
import { JOURNAL_VERSION, migrateEntry } from './migrate';
import type { Problem } from './problem';
import { readEntry, type EntryProblem } from './read-entry';
import { sizeProblem } from './size';

const FORMAT = 'hypogeon-journal';
/** Enough to mend a file by; a thousand would be read by nobody. */
const MOST_PROBLEMS = 20;
/** A bench of a lifetime has a tenth of it. */
const MOST_ENTRIES = 1_000_000;

export type ReadJournal =
  | { readonly ok: true; readonly entries: readonly Entry[] }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** The journal as a file, an entry a line, so that a problem can be found by its line. */
export function writeJournal(entries: readonly Entry[]): string {
  const head = `{"format":"${FORMAT}","version":${JOURNAL_VERSION},"entries":[`;
  return `${head}\n${entries.map((e) => JSON.stringify(e)).join(',\n')}\n]}\n`;
}

/**
 * Reads a journal file of any past version. Either every entry is good, or nothing is taken and the
 * problems say which line and field.
 * @param known the state it will be merged into: tallies are held against its batches too
 * @param nowMs this device's clock, ms since 1970: what was stamped far ahead of it is refused
 */
export function readJournal(text: string, known: State, nowMs: number): ReadJournal {
  const unreadable = sizeProblem(text.length) ?? depthProblem(text);
  if (unreadable) return refuse([unreadable]);
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return refuse([brokenJson(text)]);
  }
  const head = headSchema.safeParse(raw);
  if (!head.success) return refuse([headProblem(raw)]);
  const { version, entries: rawEntries } = head.data;
  if (version > JOURNAL_VERSION)
    return refuse([
      {
        field: 'version',
        sentence: `the file is of version ${version}, newer than this Hypogeon, which reads up to ${JOURNAL_VERSION}. Update Hypogeon first, then import again.`,
      },
    ]);
  if (rawEntries.length > MOST_ENTRIES)
    return refuse([
      {
        field: 'entries',
        sentence: `the file has ${rawEntries.length} entries; ${MOST_ENTRIES} are the most that can be taken at once.`,
      },
    ]);

  const found: Found[] = [];
  const entries: Entry[] = [];
  for (const [index, rawEntry] of rawEntries.entries()) {
    const read = readEntry(migrateEntry(rawEntry, version));
    if (!read.ok) found.push(...read.issues.map((p) => ({ ...p, index })));
    else if (isAhead(read.entry.at, nowMs)) found.push({ index, ...aheadOf(read.entry, nowMs) });
    else entries.push(read.entry);
    if (found.length >= MOST_PROBLEMS) break;
  }
  if (found.length === 0) found.push(...batchProblems(entries, known));
  return found.length > 0 ? refuse(located(found, text)) : { ok: true, entries };
}

const headSchema = z.looseObject({
  format: z.literal(FORMAT),
  version: z.int().min(1),
  entries: z.array(z.unknown()),
});

interface Found {
  readonly index: number;
  readonly path: readonly (string | number)[];
  readonly sentence: string;
}

function refuse(problems: readonly Problem[]): ReadJournal {
  return { ok: false, problems };
}

function aheadOf({ at }: Entry, nowMs: number): EntryProblem {
  const days = Math.ceil((stampMs(at) - nowMs) / 86_400_000);
  return {
    path: ['at'],
    sentence: `was written ${days} days ahead of this device’s clock. Set whichever clock is wrong, open Hypogeon there once more, save the file again and import that.`,
  };
}

/** More than the most cuttings a batch ever had, here or there: such a tally was never counted. */
function batchProblems(entries: readonly Entry[], known: State): readonly Found[] {
  const most = mostCuttings([...entries, ...batchEntries(known)]);
  const large = tooLarge(entries, most, known);
  if (large.length > 0) return large;
  return entries.flatMap((entry, index): Found[] => {
    if (!isTally(entry)) return [];
    const count = most.get(entry.batch);
    if (count === undefined) return [];
    const outcomes = entry.counts ? sumCounts(entry.counts) : 0;
    const beyond = Object.keys(entry.places ?? {}).find((place) => Number(place) >= count);
    if (outcomes > count)
      return [
        {
          index,
          path: ['counts'],
          sentence: `${outcomes} outcomes are counted, but the batch has ${count} cuttings.`,
        },
      ];
    return beyond === undefined
      ? []
      : [
          {
            index,
            path: ['places', beyond],
            sentence: `there is no such place: the batch has ${count} cuttings, numbered from 0.`,
          },
        ];
  });
}

const isTally = isKind('tally');
const isJoined = isKind('joined');
const isPut = isKind('put');

/**
 * Cuttings by batch: the largest number it was ever put down with, and all that ever joined it. What was taken back
 * counts too: a tally may have been made before.
 */
function mostCuttings(entries: readonly Entry[]): ReadonlyMap<string, number> {
  const put = new Map<string, number>();
  const joined = new Map<string, number>();
  for (const entry of entries)
    if (isPut(entry) && entry.record === 'batch')
      put.set(entry.key, Math.max(put.get(entry.key) ?? 0, entry.fields.count ?? 0));
    else if (isJoined(entry))
      joined.set(
        entry.batch,
        entry.cuttings.reduce((sum, g) => sum + g.count, joined.get(entry.batch) ?? 0),
      );
  return new Map([...put].map(([id, count]) => [id, count + (joined.get(id) ?? 0)]));
}

/** Batches that more cuttings joined than any holds; what stands there before the file comes counts too. */
function tooLarge(
  entries: readonly Entry[],
  most: ReadonlyMap<string, number>,
  known: State,
): readonly Found[] {
  const suspects = new Set([...most].filter(([, n]) => n > MOST_EVER).map(([id]) => id));
  if (suspects.size === 0) return [];
  const about = [...entries, ...batchEntries(known)].filter(
    (e) => isKnown(e) && suspects.has(subjectOf(e).slice('batch/'.length)),
  );
  const { batches } = fold(about);
  return [...suspects].flatMap((id): Found[] => {
    const batch = batches.get(id);
    const held = batch ? everHeld(batch) : 0;
    if (held <= MOST_EVER) return [];
    const index = entries.findLastIndex((e) => isJoined(e) && e.batch === id);
    return [
      {
        index: Math.max(0, index),
        path: ['cuttings'],
        sentence: `${held} cuttings in one batch; ${MOST_EVER} are the most. Split it where it was saved.`,
      },
    ];
  });
}

function batchEntries(state: State): readonly Entry[] {
  return [...state.log].flatMap(([subject, group]) => (subject.startsWith('batch/') ? group : []));
}

function brokenJson(text: string): Problem {
  const errors: ParseError[] = [];
  parseTree(text, errors);
  const [first] = errors;
  const offset = first?.offset ?? text.length;
  // A file that ends within a text or a number is cut off too.
  const begun = offset > 0 ? (first?.length ?? 0) : 0;
  const cut = text.slice(offset + begun).trim() === '';
  return {
    line: lineAt(text, offset),
    sentence: cut
      ? 'the file ends in the middle: it was cut off while it was saved or copied. Save it again and import the new one.'
      : 'this is not JSON. Choose the file that Hypogeon saved, unchanged.',
  };
}

function headProblem(raw: unknown): Problem {
  const format =
    raw !== null && typeof raw === 'object' && 'format' in raw ? raw.format : undefined;
  return format === FORMAT
    ? {
        sentence: 'The file says it is a journal, but has no version or no entries. Save it again.',
      }
    : {
        field: 'format',
        sentence: 'this is not a Hypogeon journal. Choose the file that Hypogeon saved.',
      };
}

/** Line and field of each problem, from the text itself; only a refused file pays for this. */
function located(found: readonly Found[], text: string): readonly Problem[] {
  const tree = parseTree(text);
  return found.slice(0, MOST_PROBLEMS).map(({ index, path, sentence }) => {
    const node = tree && deepest(tree, ['entries', index, ...path]);
    return {
      line: lineAt(text, node?.offset ?? 0),
      ...(path.length > 0 ? { field: path.join('.') } : {}),
      sentence,
    };
  });
}

/** The node at the path or, where that is missing, the nearest one around it. */
function deepest(root: Node, path: readonly (string | number)[]): Node {
  let node = root;
  for (const step of path) {
    const child =
      typeof step === 'number'
        ? node.children?.[step]
        : node.children?.find((p) => p.children?.[0]?.value === step)?.children?.[1];
    if (!child) break;
    node = child;
  }
  return node;
}

/** What an import would change, said before it does. */
export interface ImportPreview {
  readonly fresh: number;
  readonly known: number;
  /** Of entry kinds this version does not know; they are kept. */
  readonly unknown: number;
  /** Of an id that is here with other content: one of the two is kept, the same one on every device. */
  readonly clashing: number;
  readonly newBatches: number;
  readonly changedBatches: number;
}

export function previewImport(state: State, incoming: readonly Entry[]): ImportPreview {
  const have = entriesById(state);
  const all = unite(incoming);
  const fresh = all.filter((e) => !have.has(e.id));
  const touched = new Set(fresh.map(subjectOf).filter((s) => s.startsWith('batch/')));
  const before = [...touched].filter((s) => state.batches.has(s.slice('batch/'.length))).length;
  const after = [...fold(fresh).batches.keys()].filter((id) => !state.batches.has(id)).length;
  return {
    fresh: fresh.length,
    known: all.length - fresh.length,
    unknown: fresh.filter((e) => !isKnown(e)).length,
    clashing: all.filter((e) => isOther(have.get(e.id), e)).length,
    newBatches: after,
    changedBatches: before,
  };
}

/** The entries of an import that must be stored: those not here, and those kept instead of the one that is here. */
export function entriesToStore(state: State, incoming: readonly Entry[]): readonly Entry[] {
  const have = entriesById(state);
  return unite(incoming).filter((e) => {
    const here = have.get(e.id);
    return here === undefined || (isOther(here, e) && preferred(here, e) === e);
  });
}

const entriesById = (state: State): ReadonlyMap<string, Entry> =>
  new Map([...state.log.values()].flatMap((group) => group.map((e) => [e.id, e])));

const isOther = (here: Entry | undefined, entry: Entry): boolean =>
  here !== undefined &&
  here !== entry &&
  JSON.stringify(here) !== JSON.stringify(entry) &&
  canonical(here) !== canonical(entry);
