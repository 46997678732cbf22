import type { Day } from '../days';
import type { Batch } from '../journal';

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
