import { undrunkOn } from '../bench';
import type { Day } from '../days';
import type { Batch, State } from '../journal';
import type { WaterVerdict } from '../water';
import type { Asker } from './asker';
import { keptUntilRoots, type Facts } from './facts';
import { closed, firstWater, gateShut, kept, leaveUntilRoots } from './first-water';
import { again, drinks } from './next-drink';
import { potDrink } from './potted';

/** The gate, the first water, and the can from then on. */
export function drinking(
  ask: Asker,
  state: State,
  batch: Batch,
  facts: Facts,
  day: Day,
  verdict: WaterVerdict | undefined,
): void {
  if (facts.pottedOn !== null) return pottedDrink(ask, state, batch, facts, day, verdict);
  const shut = gateShut(facts, day);
  // Nothing drank yet, or its wound was laid open again: the can waits.
  if (facts.drinks.length === 0 && !facts.wet)
    return firstWater(ask, state, batch, facts, day, verdict);
  // Wet by a slip, or set in wet medium: the wound is still open, and nothing more comes near it.
  if (shut !== null && facts.drinks.every((d) => d.breach !== undefined))
    return closed(ask, facts, shut);
  if (batch.stuck === null || facts.inTray === 0) {
    // Watered by a slip before they were set, they are kept dry as before.
    if (keptUntilRoots(state, batch, facts)) leaveUntilRoots(ask, batch, facts, day, kept(batch));
    return;
  }
  again(ask, state, batch, facts, day, verdict);
}

/** In a pot of its own: the first drink by how the roots came through, then as the pot asks. */
function pottedDrink(
  ask: Asker,
  state: State,
  batch: Batch,
  facts: Facts,
  day: Day,
  verdict: WaterVerdict | undefined,
): void {
  const undrunk = facts.drinks.length === 0 && !facts.wet ? undrunkOn(batch, day) : null;
  if (undrunk) return potDrink(ask, undrunk, facts.living, day, verdict?.drink);
  drinks(ask, state, batch, facts, day, verdict, null, facts.living);
}
