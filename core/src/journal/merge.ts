import { compareEntries, type Entry } from './entry';

/**
 * The union of two journals by entry id, in the one order of all entries. Commutative, associative
 * and idempotent: devices may exchange files in any order and end up with the same journal.
 */
export function merge(a: readonly Entry[], b: readonly Entry[]): readonly Entry[] {
  return unite([...a, ...b]);
}

/** One entry per id, in the one order of all entries. */
export function unite(entries: readonly Entry[]): readonly Entry[] {
  return distinct(entries).sort(compareEntries);
}

/**
 * One entry per id, in no order. Two that share an id and differ are a damaged file; which of them is
 * kept is arbitrary, but the same everywhere.
 */
export function distinct(entries: readonly Entry[]): Entry[] {
  const byId = new Map<string, Entry>();
  for (const entry of entries) {
    const other = byId.get(entry.id);
    byId.set(entry.id, other === undefined ? entry : preferred(other, entry));
  }
  return [...byId.values()];
}

/** Of two entries of one id the one that every device keeps, whichever it met first. */
export function preferred(a: Entry, b: Entry): Entry {
  return a === b || canonical(a) >= canonical(b) ? a : b;
}

/** JSON with sorted keys: the same entry gives the same text whoever wrote it. */
export function canonical(value: unknown): string {
  return JSON.stringify(value, (_key, inner: unknown) =>
    inner !== null && typeof inner === 'object' && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  );
}
