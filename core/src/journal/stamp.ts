/**
 * A hybrid logical clock as one sortable string, `2026-11-24T02:18:58.123Z~0003`: wall time while
 * the clock behaves, a counter while it stands still or jumps back. Plain string order is time order.
 * Source: Kulkarni et al. 2014, Logical Physical Clocks.
 */
export type Stamp = string;

const SHAPE = /^(\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}\.\d{3}Z)~([0-9a-f]{4})$/;
const MOST_COUNT = 0xffff;
/** The year after this is never stamped, so that the clock always has room to go on within its form. */
const LAST_MS = Date.UTC(9998, 11, 31, 23, 59, 59, 999);
const DAY_MS = 86_400_000;
/** A stamp may lie this far ahead of a clock: benches differ by time zones and slow clocks, not by more. */
export const AHEAD_MS = DAY_MS;

export function isStamp(text: string): boolean {
  const wall = SHAPE.exec(text)?.[1];
  if (!wall) return false;
  const ms = Date.parse(wall);
  return !Number.isNaN(ms) && ms <= LAST_MS && new Date(ms).toISOString() === wall;
}

/**
 * The next stamp of a device: later than everything it has seen, even if its clock fell back.
 * @param last the greatest stamp seen so far, own or from another device; what is no stamp counts as none
 * @param nowMs wall time, ms since 1970; a clock outside the years of stamps is held at their edge
 */
export function nextStamp(last: Stamp | null, nowMs: number): Stamp {
  const now = Math.min(Math.max(Number.isFinite(nowMs) ? Math.floor(nowMs) : 0, 0), LAST_MS);
  if (last === null || !isStamp(last)) return stamp(now, 0);
  const lastMs = stampMs(last);
  if (now > lastMs) return stamp(now, 0);
  const count = parseInt(last.slice(-4), 16) + 1;
  return count > MOST_COUNT ? stamp(lastMs + 1, 0) : stamp(lastMs, count);
}

/** Wall time of a stamp, ms since 1970. */
export const stampMs = (at: Stamp): number => Date.parse(at.slice(0, 24));

/** Whether a stamp lies further ahead of a clock than an honest one can. @param nowMs ms since 1970 */
export const isAhead = (at: Stamp, nowMs: number): boolean => stampMs(at) > nowMs + AHEAD_MS;

function stamp(ms: number, count: number): Stamp {
  return `${new Date(ms).toISOString()}~${count.toString(16).padStart(4, '0')}`;
}

/** The greater of two stamps. */
export function laterStamp(a: Stamp | null, b: Stamp | null): Stamp | null {
  if (a === null || b === null) return a ?? b;
  return a > b ? a : b;
}
