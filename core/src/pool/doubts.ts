import { CATALOGUE } from '../botany';
import type { BenchCounts, State } from '../journal';

/** Why counts may not be what they say. They can be taken in all the same. */
export type Doubt =
  /** The grower's own, come back. */
  | { readonly is: 'own' }
  /** All of so many rooted, everywhere. */
  | { readonly is: 'all rooted'; readonly set: number }
  /** Rows of plants that the guide here does not know: kept, and telling nothing until it does. */
  | { readonly is: 'unknown plants'; readonly rows: number }
  /** Row by row the counts of another bench. */
  | { readonly is: 'same as'; readonly bench: string }
  /** An edition that is no newer than the one that is here. */
  | { readonly is: 'not newer'; readonly edition: number; readonly known: number };

const KNOWN = new Set(CATALOGUE.map((t) => t.id));

/** So many cuttings of which not one was lost are no bench that anybody has seen. */
const MANY = 60;

/**
 * What speaks against the counts of a bench; empty where nothing does.
 * @param beside other counts that are about to be taken in
 */
export function doubtsOf(
  state: State,
  counts: BenchCounts,
  beside: readonly BenchCounts[] = [],
): readonly Doubt[] {
  const doubts: Doubt[] = [];
  if (state.settings.bench === counts.bench) doubts.push({ is: 'own' });
  const settled = counts.rows.filter((r) => r.settled);
  const set = settled.reduce((sum, r) => sum + r.set, 0);
  if (set >= MANY && settled.every((r) => r.rooted === r.set))
    doubts.push({ is: 'all rooted', set });
  const text = rowsText(counts.rows);
  const others = [
    ...[...state.benches].map(([bench, { rows = [] }]) => ({ bench, rows })),
    ...beside,
  ];
  const twin = others.find(
    ({ bench, rows }) =>
      bench !== counts.bench && rows.length === counts.rows.length && rowsText(rows) === text,
  );
  if (twin && counts.rows.length > 0) doubts.push({ is: 'same as', bench: twin.bench });
  const unknown = counts.rows.filter((r) => !KNOWN.has(r.taxon)).length;
  if (unknown > 0) doubts.push({ is: 'unknown plants', rows: unknown });
  const known = state.benches.get(counts.bench);
  if (known && (known.edition ?? 0) >= counts.edition)
    doubts.push({ is: 'not newer', edition: counts.edition, known: known.edition ?? 0 });
  return doubts;
}

/** Rows in an order of their own: the same counts in another order are the same counts. */
const rowsText = (rows: BenchCounts['rows']): string =>
  rows
    .map((r) => JSON.stringify(Object.entries(r).sort(([a], [b]) => (a < b ? -1 : 1))))
    .sort()
    .join('\n');
