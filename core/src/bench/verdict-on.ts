import type { Day } from '../days';
import type { Batch, State } from '../journal';
import { judge, type WaterVerdict } from '../water';
import { spaceDrying } from './air-of';
import { waterCaseOf } from './water-case';

/** The verdict on the pot of one batch; none where pot or mix is not told. */
export function verdictOn(
  state: State,
  batch: Batch,
  today: Day,
  drying = spaceDrying(state),
): WaterVerdict | undefined {
  const given = waterCaseOf(state, batch, today, undefined, drying);
  return given ? judge(given) : undefined;
}
