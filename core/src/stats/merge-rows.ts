import type { Timed } from './timed';

/** Rows alike in one, with their counts added: many batches share few days. What is estimated stays the same. */
export function mergeRows<T extends Timed>(
  rows: readonly T[],
  more?: (row: T) => string,
): readonly T[] {
  const merged = new Map<string, T & { count: number }>();
  for (const row of rows) {
    const key = `${row.left}/${row.right}/${row.cause ?? ''}/${more ? more(row) : ''}`;
    const known = merged.get(key);
    if (known) known.count += row.count ?? 1;
    else merged.set(key, { ...row, count: row.count ?? 1 });
  }
  return [...merged.values()];
}
