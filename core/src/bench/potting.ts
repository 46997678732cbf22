import { addDays, type Day } from '../days';
import type { Batch, RootState } from '../journal';

/** Days before the first drink in a new pot, by how the roots came through. Common practice, no source. */
export const POTTED_REST: Readonly<Record<RootState, number>> = { whole: 0, bared: 4, hurt: 7 };

/** What a batch stands in since a day: the pots it was moved into once all were, else what it was set in. */
export function potting(batch: Batch): {
  readonly container: string | undefined;
  readonly mix: string | undefined;
  readonly since: Day | null;
  readonly last: Batch['pottings'][number] | null;
} {
  const last = allPotted(batch) ? (batch.pottings.at(-1) ?? null) : null;
  return last
    ? { container: last.container, mix: last.mix, since: last.day, last }
    : { container: batch.container, mix: batch.mix, since: batch.stuck, last: null };
}

/** Every piece that still lives stands in a pot of its own. */
export const allPotted = ({ here, pottings }: Batch): boolean =>
  pottings.length > 0 &&
  here.waiting === 0 &&
  here.potted > 0 &&
  here.potted >= here.rooted + here.pupped;

/** Pieces in pots of their own that nothing was poured on since, and how their roots came through. */
export interface Undrunk {
  readonly count: number;
  /** The first day for their drink. */
  readonly due: Day;
  readonly restDays: number;
}

/** Those that were potted since the last drink, by the days their roots rest; null where none waits for one. */
export function undrunkOn({ pottings, waterings }: Batch, day: Day): Undrunk | null {
  const last = waterings.findLast((w) => w.day <= day)?.day ?? '';
  const dry = pottings
    .filter((p) => p.day <= day && p.day > last && p.wet !== true)
    .map((p) => {
      const restDays = POTTED_REST[p.roots ?? 'whole'];
      return { count: p.count, due: addDays(p.day, restDays), restDays };
    });
  const first = dry.reduce<Undrunk | null>((a, b) => (a && a.due <= b.due ? a : b), null);
  if (!first) return null;
  // One visit for all that may drink by then.
  const by = first.due > day ? first.due : day;
  const count = dry.filter((d) => d.due <= by).reduce((sum, d) => sum + d.count, 0);
  return { ...first, count };
}
