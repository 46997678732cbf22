/**
 * A hybrid logical clock as one sortable string, `2026-11-24T02:18:58.123Z~0003`: wall time while
 * the clock behaves, a counter while it stands still or jumps back. Plain string order is time order.
 * Source: Kulkarni et al. 2014, Logical Physical Clocks.
 */
export type Stamp = string;

const SHAPE = /^(\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}\.\d{3}Z)~([0-9a-f]{4})$/;
const MOST = 0xffff;

export function isStamp(text: string): boolean {
  const wall = SHAPE.exec(text)?.[1];
  if (!wall) return false;
  const ms = Date.parse(wall);
  return !Number.isNaN(ms) && new Date(ms).toISOString() === wall;
}

/**
 * The next stamp of a device: later than everything it has seen, even if its clock fell back.
 * @param last the greatest stamp seen so far, own or from another device
 * @param nowMs wall time, ms since 1970
 */
export function nextStamp(last: Stamp | null, nowMs: number): Stamp {
  const parts = last === null ? null : SHAPE.exec(last);
  const lastMs = parts ? Date.parse(parts[1]!) : -1;
  if (nowMs > lastMs) return stamp(nowMs, 0);
  const count = parseInt(parts![2]!, 16) + 1;
  return count > MOST ? stamp(lastMs + 1, 0) : stamp(lastMs, count);
}

function stamp(ms: number, count: number): Stamp {
  return `${new Date(ms).toISOString()}~${count.toString(16).padStart(4, '0')}`;
}

/** The greater of two stamps. */
export function laterStamp(a: Stamp | null, b: Stamp | null): Stamp | null {
  if (a === null || b === null) return a ?? b;
  return a > b ? a : b;
}
