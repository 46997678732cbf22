import { spaceOn, type Batch, type State } from '../journal';
import { hydraulicWidth, WOUND_SCHOOL, type WoundClockInput } from '../wound';
import { airOf } from './air-of';
import { figuresOf } from './plant';

/** What the wound clock of a batch counts with; null where nothing was cut that could rot. */
export function woundInput(state: State, batch: Batch): WoundClockInput | null {
  const wound = figuresOf(state, batch)?.wound;
  if (!wound) return null;
  const widthMm = batch.widthMm ?? wound.widthMm;
  const thicknessMm = batch.widthMm === undefined ? wound.thicknessMm : batch.thicknessMm;
  return {
    cutOn: batch.cutOn,
    widthMm: hydraulicWidth(widthMm, thicknessMm),
    tissue: wound.tissue,
    school: WOUND_SCHOOL[batch.school],
    callusAt: batch.callusAt,
    stuckOn: batch.stuck ?? undefined,
    air: (day, stuck) => airOf(state, spaceOn(batch, day, stuck), day),
    checks: batch.woundChecks,
  };
}
