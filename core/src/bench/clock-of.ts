import type { Day } from '../days';
import { spaceOn, type Batch, type State } from '../journal';
import { hydraulicWidth, WOUND_SCHOOL, woundClock, type WoundClock } from '../wound';
import { airOf } from './air-of';
import { figuresOf } from './plant';

/** The wound clock of a batch; null where nothing was cut that could rot, so that there is no gate. */
export function clockOf(state: State, batch: Batch): WoundClock | null {
  const wound = figuresOf(state, batch)?.wound;
  if (!wound) return null;
  const widthMm = batch.widthMm ?? wound.widthMm;
  const thicknessMm = batch.widthMm === undefined ? wound.thicknessMm : batch.thicknessMm;
  return woundClock({
    cutOn: batch.cutOn,
    widthMm: hydraulicWidth(widthMm, thicknessMm),
    tissue: wound.tissue,
    school: WOUND_SCHOOL[batch.school],
    callusAt: batch.callusAt,
    stuckOn: batch.stuck ?? undefined,
    air: (day, stuck) => airOf(state, spaceOn(batch, day, stuck), day),
    checks: batch.woundChecks,
  });
}

/** Whether water may touch the batch on a day. */
export function gateOpen(clock: WoundClock | null, day: Day): boolean {
  if (clock === null) return true;
  return clock.gate.state === 'dated' && day >= clock.gate.opens;
}
