import type { Column } from './column';
import type { Wetness } from './drying';
import { SIP_ML, type RegimeId } from './unrooted';

/** A drink for a stem without roots reaches so far below it, mm. Working assumption; 5–15. */
const BELOW_STEM_MM = 10;
/** More than runs through, so that salts leave with it. Common practice, no source. */
export const THROUGH = 1.1;

/** The water a column takes up down to a depth until it is as wet as after draining, mL. */
export function roomTo(
  { middle, thick, capacity }: Column,
  { layers }: Wetness,
  toMm: number,
): number {
  let sum = 0;
  for (let i = 0; i < thick.length; i++)
    if (middle[i]! <= toMm) sum += Math.max(0, 1 - layers[i]!) * capacity[i]!;
  return sum / 1000;
}

/**
 * What one container is given while its pieces do not drink for a pot: the stem’s zone and no more as long as nothing
 * drinks there, some drops at the base of each young plant.
 * @param pieces living, to a container
 * @returns mL; null where nothing is measured: a mist, or as its school has it
 */
export function doseOf(
  column: Column,
  wetness: Wetness,
  regime: RegimeId | null,
  { stemMm, pieces }: { readonly stemMm: number; readonly pieces: number },
): number | null {
  switch (regime) {
    case null:
    case 'mist':
      return null;
    case 'base':
      return Math.min(SIP_ML * pieces, roomTo(column, wetness, column.depthMm));
    case 'half':
      return (roomTo(column, wetness, column.depthMm) * THROUGH) / 2;
    case 'sip':
    case 'damp':
    case 'dry':
      return roomTo(column, wetness, stemMm + BELOW_STEM_MM);
  }
}
