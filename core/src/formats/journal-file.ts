import { parseTree, type Node, type ParseError } from 'jsonc-parser';
import '../zod-setup';
import * as z from 'zod';
import {
  entrySchema,
  fold,
  isKnown,
  subjectOf,
  sumCounts,
  unite,
  unknownEntrySchema,
  type Entry,
  type State,
} from '../journal';
import { JOURNAL_VERSION, migrateEntry } from './migrate';
import type { Problem } from './problem';
import { sizeProblem } from './size';

const FORMAT = 'hypogeon-journal';
/** Enough to mend a file by; a thousand would be read by nobody. */
const MOST_PROBLEMS = 20;

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
 */
export function readJournal(text: string, known: State): ReadJournal {
  const tooLarge = sizeProblem(text.length);
  if (tooLarge) return refuse([tooLarge]);
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

  const found: Found[] = [];
  const entries: Entry[] = [];
  for (const [index, rawEntry] of rawEntries.entries()) {
    const read = readEntry(migrateEntry(rawEntry, version));
    if (Array.isArray(read)) found.push(...read.map((p) => ({ ...p, index })));
    else entries.push(read);
    if (found.length >= MOST_PROBLEMS) break;
  }
  if (found.length === 0) found.push(...outcomeProblems(entries, known));
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

function readEntry(raw: unknown): Entry | Omit<Found, 'index'>[] {
  const envelope = unknownEntrySchema.safeParse(raw);
  if (!envelope.success) return issues(envelope.error);
  if (!isKnown(envelope.data)) return raw as Entry;
  const known = entrySchema.safeParse(raw);
  return known.success ? (raw as Entry) : issues(known.error);
}

function issues(error: z.ZodError): Omit<Found, 'index'>[] {
  return error.issues.map((issue) => ({
    path: issue.path.map((key) => (typeof key === 'symbol' ? String(key) : key)),
    sentence: sentenceOf(issue),
  }));
}

/** Zod's words turned into a grower's: what is wrong, without the parser's jargon. */
function sentenceOf(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case 'custom':
      return `${issue.message}.`;
    case 'invalid_type':
      return issue.message.startsWith('must')
        ? `${issue.message}.`
        : `must be ${aKind(issue.expected)}, and is not.`;
    case 'invalid_value':
      return `must be one of: ${issue.values.map(String).join(', ')}.`;
    case 'too_small':
      return `is too small or too short; ${issue.minimum} is the least.`;
    case 'too_big':
      return `is too large or too long; ${issue.maximum} is the most.`;
    default:
      return `${issue.message}.`;
  }
}

function aKind(expected: string): string {
  if (expected === 'int') return 'a whole number';
  return /^[aeio]/.test(expected) ? `an ${expected}` : `a ${expected}`;
}

/** More outcomes than cuttings: held against the largest count the batch ever had, here or there. */
function outcomeProblems(entries: readonly Entry[], known: State): readonly Found[] {
  const most = new Map<string, number>();
  for (const entry of [...entries, ...batchPuts(known)])
    if (isKnown(entry) && entry.kind === 'put' && entry.record === 'batch')
      most.set(entry.key, Math.max(most.get(entry.key) ?? 0, entry.fields.count ?? 0));
  return entries.flatMap((entry, index): Found[] => {
    if (!isKnown(entry) || entry.kind !== 'tally') return [];
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

function batchPuts(state: State): readonly Entry[] {
  return [...state.batches.keys()].flatMap((id) => state.log.get(`batch/${id}`) ?? []);
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

function lineAt(text: string, offset: number): number {
  let line = 1;
  for (let i = text.indexOf('\n'); i >= 0 && i < offset; i = text.indexOf('\n', i + 1)) line++;
  return line;
}

/** What an import would change, said before it does. */
export interface ImportPreview {
  readonly fresh: number;
  readonly known: number;
  /** Of entry kinds this version does not know; they are kept. */
  readonly unknown: number;
  readonly newBatches: number;
  readonly changedBatches: number;
}

export function previewImport(state: State, incoming: readonly Entry[]): ImportPreview {
  const have = new Set([...state.log.values()].flat().map((e) => e.id));
  const all = unite(incoming);
  const fresh = all.filter((e) => !have.has(e.id));
  const touched = new Set(fresh.map(subjectOf).filter((s) => s.startsWith('batch/')));
  const before = [...touched].filter((s) => state.batches.has(s.slice('batch/'.length))).length;
  const after = [...fold(fresh).batches.keys()].filter((id) => !state.batches.has(id)).length;
  return {
    fresh: fresh.length,
    known: all.length - fresh.length,
    unknown: fresh.filter((e) => !isKnown(e)).length,
    newBatches: after,
    changedBatches: before,
  };
}
