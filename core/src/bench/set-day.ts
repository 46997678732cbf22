import { addDays, type Day } from '../days';
import type { Batch, State } from '../journal';
import type { WoundClock } from '../wound';
import { clockOf } from './clock-of';
import { rootsSince } from './first-drink';
import { forJar, rowOf } from './course-of';

/** When it is to be set: into the jar once the wound is closed, bare courses once there are roots. */
export function dueToSet(
  state: State,
  batch: Batch,
  clock: WoundClock | null = clockOf(state, batch),
): Day | null {
  if (forJar(state, batch))
    return clock === null ? batch.cutOn : clock.gate.state === 'dated' ? clock.gate.opens : null;
  if (rowOf(state, batch).setWhen === 'rooted') return rootsSince(batch);
  if (clock !== null) return clock.stickOn;
  return addDays(batch.cutOn, batch.dryDays ?? rowOf(state, batch).storedDays);
}
