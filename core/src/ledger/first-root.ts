import { daysBetween } from '../days';
import type { Batch } from '../journal';

/** Days since the cut: after `after` and by `by`. */
export interface DaysBetween {
  readonly after: number;
  readonly by: number;
}

/**
 * When the first root showed, as bounds: roots are seen only at checks, so the day itself is never
 * known, only that it lies after one look and by the next.
 * @returns null while nothing has rooted
 */
export function firstRoot(batch: Pick<Batch, 'cuttings' | 'cutOn'>): DaysBetween | null {
  const rooted = batch.cuttings.flatMap((c) => c.rooted ?? []);
  if (rooted.length === 0) return null;
  return {
    after: Math.min(...rooted.map((r) => daysBetween(batch.cutOn, r.after))),
    by: Math.min(...rooted.map((r) => daysBetween(batch.cutOn, r.by))),
  };
}
