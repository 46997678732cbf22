import { compareEntries, isKind, type Entry } from './entry';

const isRetract = isKind('retract');

/**
 * The entries that count: all but those taken back. A retract works only on an entry older than
 * itself, and may be taken back in turn; read from the newest, each is settled when it is reached.
 * @param entries of one subject, in any order
 */
export function standing(entries: readonly Entry[]): readonly Entry[] {
  if (!entries.some((e) => e.kind === 'retract')) return entries;
  const takenBack = new Set<string>();
  const kept: Entry[] = [];
  for (const entry of [...entries].sort((a, b) => compareEntries(b, a))) {
    if (takenBack.has(entry.id)) continue;
    if (isRetract(entry)) takenBack.add(entry.entry);
    else kept.push(entry);
  }
  return kept.reverse();
}
