import type { Day } from '../days';
import type { Batch, State } from '../journal';
import { woundClock, type WoundClock } from '../wound';
import { pacePriorFor } from './pace-of';
import { woundInput } from './wound-input';

/**
 * The wound clock of a batch, with what the other wounds of this bench have taught; null where nothing was
 * cut that could rot, so that there is no gate.
 */
export function clockOf(state: State, batch: Batch): WoundClock | null {
  const input = woundInput(state, batch);
  return input && woundClock({ ...input, prior: pacePriorFor(state, batch) });
}

/** Whether water may touch the batch on a day. */
export function gateOpen(clock: WoundClock | null, day: Day): boolean {
  if (clock === null) return true;
  return clock.gate.state === 'dated' && day >= clock.gate.opens;
}
