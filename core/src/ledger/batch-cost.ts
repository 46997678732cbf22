import type { Batch, State } from '../journal';
import { costOf, MINUTES } from '../plan';

/** What a batch took, in the grower's own money and minutes. */
export interface BatchCost {
  /** Null where nothing of it has a price. */
  readonly total: number | null;
  /** Hands-on minutes from the cut to the label. */
  readonly minutes: number;
  readonly unpriced: readonly string[];
}

export function batchCost(state: State, batch: Batch): BatchCost {
  const { total, unpriced } = costOf(state, {
    method: batch.method,
    taken: batch.count,
    plants: batch.counts.rooted + batch.counts.pupped,
    container: batch.container,
    containers: batch.containers,
    mix: batch.mix,
  });
  return { total, minutes: batch.count * MINUTES[batch.method], unpriced };
}
