import type { Batch, State } from '../journal';
import { leftBelow, type WaterSchoolId } from '../water';
import { plantOf } from './plant';
import { potOf } from './pot-of';

/** The school a batch is watered by once it has roots: its own, the grower's, or what suits it. */
export const waterSchoolOf = (state: State, batch: Batch): WaterSchoolId =>
  chosenSchool(state, batch) ?? usualSchool(state, batch).school;

/** What the grower chose, for this batch or for all; null where nothing. */
export const chosenSchool = (state: State, batch: Batch): WaterSchoolId | null =>
  batch.waterSchool ?? state.settings.waterSchool ?? null;

/** Why a school is the usual one: of the plant, of its pot, or since rot is what cannot be undone. */
export type UsualBecause = 'stores' | 'no-stores' | 'dry-top' | 'rot';

export interface UsualSchool {
  readonly school: WaterSchoolId;
  readonly because: UsualBecause;
}

/** With more than this of its water left a pot is not dry, whatever a finger’s first joint finds. 0.35–0.45. */
const STILL_HOLDS = 0.4;

/**
 * Rot is the one loss that cannot be undone: by dryness, not by calendar. What has stores of its own is watered bone dry;
 * where the top dries long before the rest, a stick tells, not a finger.
 */
export function usualSchool(state: State, batch: Batch): UsualSchool {
  const own = plantOf(state, batch.taxon)?.taxon.waterSchool;
  if (own) return { school: own, because: own === 'bone-dry' ? 'stores' : 'no-stores' };
  const pot = potOf(state, batch);
  return pot && leftBelow(pot) > STILL_HOLDS
    ? { school: 'top-60', because: 'dry-top' }
    : { school: 'top-25', because: 'rot' };
}
