import { parseTree, findNodeAtLocation, type Node } from 'jsonc-parser';
import '../zod-setup';
import * as z from 'zod';
import { countsField, MOST_ROWS, type BenchCounts, type CountsRow } from '../journal';
import { csvOf } from './csv';
import { lineAt, tooDeepAt } from './bounded-json';
import { brokenRules } from './counts-rules';
import type { PackageFile } from './data-package';

const FORMAT = 'hypogeon-counts';
export const COUNTS_VERSION = 1;
/** Two thousand rows come to a tenth of it. */
export const MAX_COUNTS_BYTES = 10_000_000;
const MOST_PROBLEMS = 20;

/** Why counts are refused; worded where it is shown. */
export type CountsReason =
  | { readonly is: 'too large'; readonly megabytes: number; readonly most: number }
  | { readonly is: 'too deep' }
  | { readonly is: 'broken' }
  | { readonly is: 'another file' }
  | { readonly is: 'newer'; readonly version: number; readonly known: number }
  | { readonly is: 'rows'; readonly rows: number; readonly most: number }
  | { readonly is: 'unknown fields'; readonly fields: readonly string[] }
  /** A rule of the counts with its numbers, or what the check of the field said. */
  | { readonly is: 'field'; readonly says: string };

export interface CountsProblem {
  readonly line?: number;
  /** Path of the field, as `rows.3.rotted`. */
  readonly field?: string;
  readonly reason: CountsReason;
}

export type ReadCounts =
  | { readonly ok: true; readonly counts: BenchCounts }
  | { readonly ok: false; readonly problems: readonly CountsProblem[] };

/** The counts of a bench as a file, a row a line, so that a problem can be found by its line. */
export function writeCounts({ rows, ...head }: BenchCounts): string {
  const start = JSON.stringify({ format: FORMAT, version: COUNTS_VERSION, ...head }).slice(0, -1);
  return `${start},"rows":[\n${rows.map((r) => JSON.stringify(r)).join(',\n')}\n]}\n`;
}

/**
 * Reads the counts of a bench. All of it is good, or nothing is taken and the problems say where and why.
 * What a plant is that the guide does not know is for the preview to say: a newer guide may know it.
 */
export function readCounts(text: string): ReadCounts {
  if (text.length > MAX_COUNTS_BYTES)
    return refuse({
      is: 'too large',
      megabytes: text.length / 1e6,
      most: MAX_COUNTS_BYTES / 1e6,
    });
  if (tooDeepAt(text) !== null) return refuse({ is: 'too deep' });
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return refuse({ is: 'broken' });
  }
  const head = headSchema.safeParse(raw);
  if (!head.success) return refuse({ is: 'another file' });
  if (head.data.version > COUNTS_VERSION)
    return refuse({ is: 'newer', version: head.data.version, known: COUNTS_VERSION });
  if (Array.isArray(head.data.rows) && head.data.rows.length > MOST_ROWS)
    return refuse({ is: 'rows', rows: head.data.rows.length, most: MOST_ROWS });
  const { format: _format, version: _version, ...rest } = head.data;
  const read = countsField.safeParse(rest);
  const found = read.success
    ? read.data.rows.flatMap((row, i) => broken(row, i))
    : read.error.issues.flatMap((issue) => foundIn(issue, rest));
  if (read.success && found.length === 0) return { ok: true, counts: read.data };
  const tree = parseTree(text);
  return {
    ok: false,
    problems: found.slice(0, MOST_PROBLEMS).map(({ path, reason }) => ({
      ...lineOf(text, tree, path),
      ...(path.length > 0 ? { field: path.join('.') } : {}),
      reason,
    })),
  };
}

interface Found {
  readonly path: readonly PropertyKey[];
  readonly reason: CountsReason;
}

const broken = (row: CountsRow, i: number): readonly Found[] =>
  brokenRules(row).map(({ field, says }) => ({
    path: ['rows', i, ...field.split('.').map((f) => (/^\d+$/.test(f) ? Number(f) : f))],
    reason: { is: 'field', says },
  }));

/** Of a row that contradicts itself it is said by what; all else is said by the field. */
function foundIn(issue: z.core.$ZodIssue, { rows }: { readonly rows?: unknown }): readonly Found[] {
  const [at, i] = issue.path;
  if (issue.message === 'contradicts' && at === 'rows' && typeof i === 'number')
    return broken((rows as readonly CountsRow[])[i]!, i);
  return [{ path: issue.path, reason: reasonOf(issue) }];
}

const headSchema = z.looseObject({
  format: z.literal(FORMAT),
  version: z.int().min(1),
  rows: z.unknown(),
});

function reasonOf(issue: z.core.$ZodIssue): CountsReason {
  return issue.code === 'unrecognized_keys'
    ? { is: 'unknown fields', fields: issue.keys }
    : { is: 'field', says: issue.message };
}

/** The line of what is wrong; of what is missing that of what should hold it. */
function lineOf(
  text: string,
  tree: Node | undefined,
  path: readonly PropertyKey[],
): { line?: number } {
  for (let n = path.length; tree && n >= 0; n--) {
    const node = findNodeAtLocation(
      tree,
      path.slice(0, n).map((p) => (typeof p === 'number' ? p : String(p))),
    );
    if (node) return { line: lineAt(text, node.offset) };
  }
  return {};
}

const refuse = (reason: CountsReason): ReadCounts => ({ ok: false, problems: [{ reason }] });

const COLUMNS = [
  ['taxon', 'string'],
  ['method', 'string'],
  ['course', 'string'],
  ['year', 'integer'],
  ['half', 'string'],
  ['settled', 'boolean'],
  ['temperature', 'string'],
  ['damp', 'string'],
  ['batches', 'integer'],
  ['set', 'integer'],
  ['rooted', 'integer'],
  ['pupped', 'integer'],
  ['rotted', 'integer'],
  ['dried', 'integer'],
  ['lost', 'integer'],
  ['waiting', 'integer'],
] as const;

/**
 * The same as a tabular data package, for other programs: a table of rows, and the file itself.
 * Source: Frictionless Data, Data Package and Table Schema, specs v1.
 */
export function countsPackage(counts: BenchCounts): readonly PackageFile[] {
  const descriptor = {
    profile: 'data-package',
    name: 'hypogeon-counts',
    title: 'Hypogeon counts',
    resources: [
      {
        name: 'counts',
        path: 'counts.csv',
        profile: 'tabular-data-resource',
        format: 'csv',
        mediatype: 'text/csv',
        encoding: 'utf-8',
        schema: { fields: COLUMNS.map(([name, type]) => ({ name, type })) },
      },
      {
        name: 'file',
        path: 'counts.json',
        profile: 'data-resource',
        format: 'json',
        mediatype: 'application/json',
        encoding: 'utf-8',
      },
    ],
  };
  return [
    { name: 'datapackage.json', text: `${JSON.stringify(descriptor, null, 2)}\n` },
    {
      name: 'counts.csv',
      text: csvOf(
        COLUMNS.map(([name]) => name),
        counts.rows.map((row) => COLUMNS.map(([name]) => String(row[name] ?? ''))),
      ),
    },
    { name: 'counts.json', text: writeCounts(counts) },
  ];
}
