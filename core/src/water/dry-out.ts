import type { Column } from './column';
import { dry, evenly, fillOf, wetnessAt, type Wetness } from './drying';
import { UNKNOWN_PACE } from './pace';
import { DRY_TO_TOUCH } from './school';

/** Days of a range, whole; null where it takes longer than anybody waits. */
export type DayRange = { readonly from: number; readonly to: number } | null;

/** How long a drained pot lasts in air that stays as it is; eight times in ten within the range. */
export interface DryOut {
  readonly third: DayRange;
  readonly top25: DayRange;
}

const LONGEST_DAYS = 120;

/**
 * @param evaporationMm from a wet surface, mm/d
 * @param mobility of water in the medium, against 20 °C
 */
export function dryOut(column: Column, evaporationMm: number, mobility: number): DryOut {
  const finger = Math.min(25, column.depthMm * 0.9);
  const third = (w: Wetness): boolean => fillOf(column, w) < 2 / 3;
  const top = (w: Wetness): boolean => wetnessAt(column, w, finger) < DRY_TO_TOUCH;
  let wetness = evenly(column, 1);
  const met: { third: number | null; top: number | null } = { third: null, top: null };
  for (let day = 1; day <= LONGEST_DAYS && (met.third === null || met.top === null); day++) {
    wetness = dry(column, wetness, evaporationMm / mobility, mobility, 0.25).wetness;
    if (third(wetness)) met.third ??= day;
    if (top(wetness)) met.top ??= day;
  }
  return { third: ranged(met.third), top25: ranged(met.top) };
}

/** A pot that nobody weighed lives its days faster or slower by what is not known of it. */
function ranged(days: number | null): DayRange {
  if (days === null) return null;
  return {
    from: Math.max(1, Math.round(days / UNKNOWN_PACE.high)),
    to: Math.ceil(days / UNKNOWN_PACE.low),
  };
}
