import { METHOD } from '../botany';
import type { Batch, State } from '../journal';
import { isCrumb, rowOf } from './course-of';
import { containerOf } from './medium-of';

/**
 * It was set where it is to grow: a pot each, or a pot that several trails fill together. A tray and its cells are left
 * behind. Common practice, no source.
 */
export function staysPut(state: State, batch: Batch): boolean {
  const { singly, shares } = rowOf(state, batch);
  if (singly && !isCrumb(batch)) return true;
  if (shares) return false;
  const { containers = 1, count, method } = batch;
  if (batch.containers !== undefined && containers >= count) return true;
  const pot = batch.container === undefined ? null : containerOf(state, batch.container);
  if (!pot || pot.shape === 'tray' || (pot.cells ?? 1) > 1) return false;
  return containers >= count || METHOD[method].together === true;
}
