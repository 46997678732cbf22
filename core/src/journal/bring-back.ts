import { compareEntries, type Entry } from './entry';
import { isAhead, laterStamp, nextStamp, type Stamp } from './stamp';

/** A clock that stands before this application was written is wrong, whatever else is. */
const CLOCK_FLOOR_MS = Date.UTC(2026, 0, 1);

/** Whether a clock can be right at all: one that stands before this application was written judges no entry. */
export const isPlausibleClock = (nowMs: number): boolean => nowMs >= CLOCK_FLOOR_MS;

export interface BroughtBack {
  readonly entries: readonly Entry[];
  /** Ids of the entries that were stamped anew. */
  readonly moved: ReadonlySet<string>;
}

/**
 * Stamps anew what was written while a clock stood far ahead and has since been set right. Left alone, such an
 * entry would stand after everything written for years to come, and no other device would take it. Their order
 * among each other, their ids and their days stay; all others are untouched.
 * @param nowMs the clock as it is now, ms since 1970
 */
export function bringBack(entries: readonly Entry[], nowMs: number): BroughtBack {
  const ahead = entries.filter((e) => isAhead(e.at, nowMs)).toSorted(compareEntries);
  if (ahead.length === 0) return { entries, moved: new Set() };
  const moved = new Set(ahead.map((e) => e.id));
  const honest = entries.filter((e) => !isAhead(e.at, nowMs));
  // Written twice by a crash between stamping anew and clearing away: the honest one is the newer.
  const known = new Set(honest.map((e) => e.id));
  let last: Stamp | null = null;
  for (const { at } of honest) last = laterStamp(last, at);
  const back: Entry[] = [];
  for (const entry of ahead) {
    if (known.has(entry.id)) continue;
    last = nextStamp(last, nowMs);
    back.push({ ...entry, at: last });
    known.add(entry.id);
  }
  return { entries: [...honest, ...back], moved };
}
