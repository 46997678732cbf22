import * as say from '@hypogeon/messages/core-journal-file';
import { parseTree, type Node, type ParseError } from 'jsonc-parser';
import '../zod-setup';
import * as z from 'zod';
import {
  bringBack,
  canonical,
  everHeld,
  fold,
  isAhead,
  isKind,
  isKnown,
  isPlausibleClock,
  MOST_EVER,
  preferred,
  subjectOf,
  sumCounts,
  unite,
  type Entry,
  type State,
} from '../journal';
import { depthProblem, lineAt } from './bounded-json';
import { JOURNAL_VERSION, migrateEntry } from './migrate';
import type { Problem } from './problem';
import { readEntry } from './read-entry';
import { sizeProblem } from './size';

const FORMAT = 'hypogeon-journal';
/** Enough to mend a file by; a thousand would be read by nobody. */
const MOST_PROBLEMS = 20;
/** A bench of a lifetime has a tenth of it. */
const MOST_ENTRIES = 4_000_000;

export type ReadJournal =
  | {
      readonly ok: true;
      readonly entries: readonly Entry[];
      /** So many of them were stamped ahead of this device's clock, and are stamped anew. */
      readonly ahead: number;
    }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** The journal as a file, an entry a line, so that a problem can be found by its line. */
export function writeJournal(entries: readonly Entry[]): string {
  return `${headLine(JOURNAL_VERSION)}\n${entries.map((e) => JSON.stringify(e)).join(',\n')}\n${FOOT_LINE}\n`;
}

const headLine = (version: number): string =>
  `{"format":"${FORMAT}","version":${version},"entries":[`;
const HEAD_LINE = /^\{"format":"hypogeon-journal","version":(\d{1,6}),"entries":\[$/;
const FOOT_LINE = ']}';

/**
 * Reads a journal file of any past version. Either every entry is good, or nothing is taken and the
 * problems say which line and field.
 * @param known the state it will be merged into: tallies are held against its batches too
 * @param nowMs this device's clock, ms since 1970: what was stamped far ahead of it is stamped anew
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
  const unwanted = versionProblem(version) ?? numberProblem(rawEntries.length);
  if (unwanted) return refuse([unwanted]);
  const reading = new Reading(version);
  for (const rawEntry of rawEntries) if (!reading.takes(rawEntry)) break;
  const read = reading.end(known, nowMs);
  return read.found.length > 0 ? refuse(located(read.found, text)) : read.journal;
}

/**
 * Reads a journal file as it was written here, line by line: of a file of hundreds of megabytes no second copy is
 * made. Hand in its lines one after the other, then ask for the end.
 */
export class JournalLines {
  private reading: Reading | null = null;
  private problem: Problem | null = null;
  private line = 0;
  private ended = false;

  /** @returns whether more lines are wanted */
  take(line: string): boolean {
    this.line++;
    this.problem ??= this.problemOf(line);
    return this.problem === null;
  }

  /** What the lines came to. */
  end(known: State, nowMs: number): ReadJournal {
    if (!this.reading) return refuse([this.problem ?? { sentence: say.cutOff() }]);
    const read = this.reading.end(known, nowMs);
    if (read.found.length > 0)
      return refuse(
        read.found.slice(0, MOST_PROBLEMS).map(({ index, path, sentence }) => ({
          line: index + LINES_BEFORE,
          ...(path.length > 0 ? { field: path.join('.') } : {}),
          sentence,
        })),
      );
    if (this.problem) return refuse([this.problem]);
    return this.ended ? read.journal : refuse([{ line: this.line, sentence: say.cutOff() }]);
  }

  private problemOf(line: string): Problem | null {
    if (!this.reading) {
      const version = Number(HEAD_LINE.exec(line)?.[1]);
      if (!version) return { line: 1, sentence: say.isNotLaidOut() };
      this.reading = new Reading(version);
      return versionProblem(version);
    }
    if (line === '') return null;
    if (line === FOOT_LINE) {
      this.ended = true;
      return null;
    }
    if (this.ended) return { line: this.line, sentence: say.standsBehind() };
    const entry = line.endsWith(',') ? line.slice(0, -1) : line;
    const deep = depthProblem(entry);
    if (deep) return { ...deep, line: this.line };
    try {
      if (this.reading.takes(JSON.parse(entry))) return numberProblem(this.reading.size);
      // What was found is told at the end.
      return { line: this.line, sentence: '' };
    } catch {
      return { line: this.line, sentence: say.noEntryHere({ why: say.cutOff() }) };
    }
  }

  /** Whether the first line was one of ours: otherwise the file must be read as a whole. */
  static fits(firstLine: string): boolean {
    return HEAD_LINE.test(firstLine);
  }
}

/** The head stands in line 1, the first entry in line 2. */
const LINES_BEFORE = 2;

const versionProblem = (version: number): Problem | null =>
  version <= JOURNAL_VERSION
    ? null
    : {
        field: 'version',
        sentence: say.isOfVersion({ version, known: JOURNAL_VERSION }),
      };

const numberProblem = (entries: number): Problem | null =>
  entries <= MOST_ENTRIES
    ? null
    : {
        field: 'entries',
        sentence: say.tooManyEntries({ most: MOST_ENTRIES }),
      };

/** Entries as they are read, and what is wrong with those that are none. */
class Reading {
  private readonly found: Found[] = [];
  private readonly entries: Entry[] = [];
  /** Entries that were handed in. */
  size = 0;

  constructor(private readonly version: number) {}

  /** @returns whether more is wanted: of a file that is refused twenty problems are enough */
  takes(raw: unknown): boolean {
    const index = this.size++;
    const read = readEntry(migrateEntry(raw, this.version));
    if (read.ok) this.entries.push(read.entry);
    else this.found.push(...read.issues.map((p) => ({ ...p, index })));
    return this.found.length < MOST_PROBLEMS;
  }

  end(
    known: State,
    nowMs: number,
  ): { readonly found: readonly Found[]; readonly journal: ReadJournal } {
    const { found, entries } = this;
    if (found.length === 0) found.push(...batchProblems(entries, known));
    return { found, journal: { ok: true, ...inOrder(entries, known, nowMs) } };
  }
}

/**
 * What was written while a clock stood far ahead comes back in its order, as it would have where it was written: a
 * backup of one's own is never refused for it. Of what is here already the one that is here stands.
 */
function inOrder(
  entries: readonly Entry[],
  known: State,
  nowMs: number,
): { readonly entries: readonly Entry[]; readonly ahead: number } {
  if (!isPlausibleClock(nowMs) || !entries.some((e) => isAhead(e.at, nowMs)))
    return { entries, ahead: 0 };
  const here = entriesById(known);
  const { entries: back, moved } = bringBack(
    entries.filter((e) => !here.has(e.id) || !isAhead(e.at, nowMs)),
    nowMs,
  );
  return { entries: back, ahead: moved.size };
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
          sentence: say.outcomesAreCounted({ outcomes, count }),
        },
      ];
    return beyond === undefined
      ? []
      : [
          {
            index,
            path: ['places', beyond],
            sentence: say.noSuchPlace({ count }),
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
        sentence: say.tooManyCuttings({ held, most: MOST_EVER }),
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
    sentence: cut ? say.cutOff() : say.isNoJson(),
  };
}

function headProblem(raw: unknown): Problem {
  const format =
    raw !== null && typeof raw === 'object' && 'format' in raw ? raw.format : undefined;
  return format === FORMAT
    ? {
        sentence: say.noVersionOrEntries(),
      }
    : {
        field: 'format',
        sentence: say.isNoJournal(),
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
