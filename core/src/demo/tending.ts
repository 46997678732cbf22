import { addDays, daysBetween, type Day } from '../days';
import type { Batch, EntryDraft } from '../journal';

/** The volunteers feed every other week, and lately they are behind with some. */
const FEED_EVERY = 14;
const LIGHT_DAYS = [3, 8, 14] as const;

/** Light by steps and feed, from the count that found half of a tray rooted. */
export function tendings(batch: Batch, today: Day, seed: number): readonly EntryDraft[] {
  const { waiting, rooted, pupped } = batch.here;
  const half = Math.ceil((waiting + rooted + pupped) / 2);
  const days = batch.cuttings.flatMap((c) => (c.lost ? [] : (c.rooted?.by ?? []))).sort();
  const from = days[half - 1];
  if (half === 0 || from === undefined || batch.ended !== null) return [];
  const behind = seed % 4 === 0 ? 6 : 0;
  const entries: EntryDraft[] = LIGHT_DAYS.map((n) => addDays(from, n))
    .filter((day) => daysBetween(day, today) > 1)
    .map((day) => ({ kind: 'tended', batch: batch.id, day, what: 'light' }));
  for (
    let day = addDays(from, FEED_EVERY);
    daysBetween(day, today) > behind;
    day = addDays(day, FEED_EVERY)
  )
    entries.push({ kind: 'tended', batch: batch.id, day, what: 'feed' });
  return entries;
}
