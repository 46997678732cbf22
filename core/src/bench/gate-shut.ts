import { addDays, type Day } from '../days';
import type { Batch, EntryDraft, State } from '../journal';
import { clockOf, gateOpen } from './clock-of';
import { inJar } from './course-of';
import { chosenDays, gateClock } from './first-drink';
import { allPotted } from './potting';

/** A gate that is shut on a day; `opens` is null while the wound does not close. */
export interface ShutGate {
  readonly opens: Day | null;
}

/**
 * Whether water on a day would come before the gate, so that a reason is asked for; null where it would not: no
 * wound, roots seen, a jar, or the grower chose that day.
 */
export function gateShutOn(state: State, batch: Batch, day: Day): ShutGate | null {
  if (batch.cut === null || inJar(state, batch) || allPotted(batch)) return null;
  const chosen = chosenDays(batch);
  if (chosen === 0) return null;
  if (chosen !== null && batch.stuck !== null && day >= addDays(batch.stuck, chosen)) return null;
  const clock = gateClock(batch, clockOf(state, batch));
  if (clock === null || gateOpen(clock, day)) return null;
  return { opens: clock.gate.state === 'dated' ? clock.gate.opens : null };
}

/** A watering tells what was known of the gate when it was given: later learning does not rewrite it. */
export function withGate(state: State, draft: EntryDraft): EntryDraft {
  if (draft.kind !== 'watered' || draft.gate !== undefined) return draft;
  const batch = state.batches.get(draft.batch);
  const clock = batch && clockOf(state, batch);
  if (!clock) return draft;
  return { ...draft, gate: { opens: clock.gate.state === 'dated' ? clock.gate.opens : null } };
}
