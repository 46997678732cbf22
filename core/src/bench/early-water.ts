import type { Batch, State } from '../journal';
import { gateOpen } from './clock-of';
import { rootsSince } from './first-drink';
import { woundInput } from './wound-input';
import { woundClock } from '../wound';

/**
 * Whether the first water came before the gate, by what was known on its day: what a later look taught does not
 * rewrite it. A watering tells what was known; of one that does not (told by an older version, or from paper), the
 * looks of its own wound up to that day are asked.
 * @returns null where there was no wound, or no water yet
 */
export function wateredEarly(state: State, batch: Batch): boolean | null {
  const [first] = batch.waterings;
  if (!first) return null;
  if (batch.waterings.some((w) => w.breach !== undefined)) return true;
  if (first.gate) return first.gate.opens === null || first.day < first.gate.opens;
  // Roots seen by then say more of the wound than its clock.
  const roots = rootsSince(batch);
  if (roots !== null && roots <= first.day) return false;
  const reopenings = batch.reopenings.filter((r) => r.day <= first.day);
  const input = woundInput(state, { ...batch, reopenings });
  if (!input) return null;
  const known = (input.checks ?? []).filter((c) => c.day <= first.day);
  return !gateOpen(woundClock({ ...input, checks: known }), first.day);
}
