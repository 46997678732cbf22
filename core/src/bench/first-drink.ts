import { addDays, type Day } from '../days';
import type { Batch } from '../journal';
import { FIRST_WATER } from '../water';

/** The first day water may be given by the school of first water; null while it waits for roots. */
export function firstDrinkFrom(
  { firstWater = 'with-gate', stage }: Pick<Batch, 'firstWater' | 'stage'>,
  stuckOn: Day,
): Day | null {
  const { afterDays } = FIRST_WATER[firstWater];
  if (afterDays === null) return stage === 'growing' || stage === 'done' ? stuckOn : null;
  return addDays(stuckOn, afterDays);
}
