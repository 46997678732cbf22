import { parseTree, findNodeAtLocation, type Node } from 'jsonc-parser';
import '../zod-setup';
import * as z from 'zod';
import { countsField, MOST_ROWS, type BenchCounts } from '../journal';
import { csvOf } from './csv';
import { depthProblem, lineAt } from './bounded-json';
import type { PackageFile } from './data-package';
import type { Problem } from './problem';

const FORMAT = 'hypogeon-counts';
export const COUNTS_VERSION = 1;
/** Two thousand rows come to a tenth of it. */
export const MAX_COUNTS_BYTES = 10_000_000;
const MOST_PROBLEMS = 20;

export type ReadCounts =
  | { readonly ok: true; readonly counts: BenchCounts }
  | { readonly ok: false; readonly problems: readonly Problem[] };

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
      sentence: `This file has ${(text.length / 1e6).toFixed(0)} MB; counts have ${MAX_COUNTS_BYTES / 1e6} at most. Ask for the file of counts, not for the journal.`,
    });
  const deep = depthProblem(text);
  if (deep) return refuse(deep);
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return refuse({
      sentence: 'This is no JSON, or it broke off on the way. Ask for the file again.',
    });
  }
  const head = headSchema.safeParse(raw);
  if (!head.success)
    return refuse({ sentence: 'This is no file of counts: it does not say “hypogeon-counts”.' });
  if (head.data.version > COUNTS_VERSION)
    return refuse({
      sentence: `This file is of version ${head.data.version}; this Hypogeon knows ${COUNTS_VERSION}. Update it, then take the file in again.`,
    });
  if (Array.isArray(head.data.rows) && head.data.rows.length > MOST_ROWS)
    return refuse({
      field: 'rows',
      sentence: `has ${head.data.rows.length.toLocaleString('en')} rows; a bench has ${MOST_ROWS.toLocaleString('en')} at most.`,
    });
  const { format: _format, version: _version, ...rest } = head.data;
  const read = countsField.safeParse(rest);
  if (read.success) return { ok: true, counts: read.data };
  const tree = parseTree(text);
  return {
    ok: false,
    problems: read.error.issues.slice(0, MOST_PROBLEMS).map((issue) => ({
      ...lineOf(text, tree, issue.path),
      ...(issue.path.length > 0 ? { field: issue.path.join('.') } : {}),
      sentence: sentenceOf(issue),
    })),
  };
}

const headSchema = z.looseObject({
  format: z.literal(FORMAT),
  version: z.int().min(1),
  rows: z.unknown(),
});

function sentenceOf({ code, message, ...issue }: z.core.$ZodIssue): string {
  if (code === 'unrecognized_keys')
    return `holds ${(issue as { keys: readonly string[] }).keys.slice(0, 3).join(', ').slice(0, 80)}, which counts do not.`;
  return `${message}.`;
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

const refuse = (problem: Problem): ReadCounts => ({ ok: false, problems: [problem] });

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
    title: 'Hypogeon: counts of a bench',
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
