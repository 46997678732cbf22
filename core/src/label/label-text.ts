import { batchCode, plantOf } from '../bench';
import { METHOD } from '../botany';
import type { Batch, State } from '../journal';
import { labelAddress } from './code';
import type { LabelText } from './draw';

/** What the label of a batch says. @param date as the grower writes days */
export function labelOf(state: State, batch: Batch, base: string, date: string): LabelText {
  const method = METHOD[batch.method];
  return {
    name: plantOf(state, batch.taxon)?.name ?? 'Unknown plant',
    lines: [`${batch.count} ${batch.count === 1 ? method.one : method.many}`, `cut ${date}`],
    code: batchCode(state, batch),
    polarity: method.polarity,
    address: labelAddress(base, batch.id),
  };
}

/** The batch a scanned address or a typed code names; null if it is not in this journal. */
export function batchCalled(state: State, id: string): Batch | null {
  const wanted = id.trim().toUpperCase();
  return (
    state.batches.get(id) ??
    [...state.batches.values()].find((b) => batchCode(state, b) === wanted) ??
    null
  );
}
