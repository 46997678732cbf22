import type { Do } from '../care';

/** What is done by walking along the bench with one can or one bottle: a row for all, not one for each. */
const TOGETHER: ReadonlySet<Do['kind']> = new Set([
  'feed',
  'light',
  'mist',
  'jar-stir',
  'jar-change',
  'jar-feed',
  'water',
]);

/** A row of the round: one task, or the same for several batches. */
export interface DoRow {
  readonly kind: Do['kind'];
  readonly items: readonly [Do, ...Do[]];
}

/** Tasks in their order, those done in one go put together where the first of them stands. */
export function groupTasks(items: readonly Do[]): readonly DoRow[] {
  const rows: { kind: Do['kind']; items: [Do, ...Do[]] }[] = [];
  const together = new Map<Do['kind'], { items: Do[] }>();
  for (const item of items) {
    const known = together.get(item.kind);
    if (known) {
      known.items.push(item);
      continue;
    }
    const row: { kind: Do['kind']; items: [Do, ...Do[]] } = { kind: item.kind, items: [item] };
    if (TOGETHER.has(item.kind)) together.set(item.kind, row);
    rows.push(row);
  }
  return rows;
}
