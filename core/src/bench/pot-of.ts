import type { Batch, State } from '../journal';
import { fillPot, type FilledPot } from '../media';
import { containerOf, mixOf } from './medium-of';
import { potting } from './potting';

/** The filled container of a batch; null while pot or mix is not told. */
export function potOf(state: State, batch: Batch): FilledPot | null {
  const told = potting(batch);
  const container = told.container === undefined ? null : containerOf(state, told.container);
  const mix = told.mix === undefined ? null : mixOf(state, told.mix);
  return container && mix ? fillPot(mix.medium, container, mix.correction) : null;
}
