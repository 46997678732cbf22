import { assertPositive } from '../assert';
import { vapourPressureDeficit, type Air } from '../climate';
import { TISSUE_FACTOR, type Tissue } from './tissue';

/** A 5 mm soft stem closes in two days at 22 °C and 55% RH. Working assumption (1.5–3 make sense). */
const REFERENCE_DAYS = 2;
const REFERENCE_WIDTH_MM = 5;
/** Wider wounds take longer, but less than in proportion. Working assumption (0.5–0.8). */
const WIDTH_EXPONENT = 0.6;

/**
 * Ten degrees more close a wound 2.2 times as fast. Working assumption (2–2.8), of the order seen
 * in potato wounds, about 1 d at 25 °C, 2 d at 15 °C, 5–8 d at 5 °C (Wigginton 1974, from memory).
 */
const Q10 = 2.2;
const REFERENCE_TEMP_C = 22;
/** Warmth helps no further above this. Working assumption. */
const FASTEST_TEMP_C = 32;
/** Outside this band the clock stands still. Working assumption. */
export const COLDEST_TEMP_C = 4;
export const HOTTEST_TEMP_C = 42;
/** Drying power at which the air's share is half of its most. Working assumption, kPa. */
const HALF_VPD_KPA = 0.6;
const MOST_VPD_SHARE = 1.5;

/** Above this a wound is likelier to mould than to dry. Common practice, no source. */
export const MOULD_RH = 0.85;

/**
 * The width that counts for drying, 4·area/perimeter of the cut face: for a round stem its diameter,
 * for a 60 × 5 mm strap 9.2 mm.
 * @param widthMm across the cut, mm
 * @param thicknessMm the other way, mm; leave out for a round cut
 * @returns mm
 */
export function hydraulicWidth(widthMm: number, thicknessMm?: number): number {
  assertPositive('widthMm', widthMm);
  if (thicknessMm === undefined) return widthMm;
  assertPositive('thicknessMm', thicknessMm);
  return (2 * widthMm * thicknessMm) / (widthMm + thicknessMm);
}

/**
 * Days to close in the reference air (22 °C, about 55% RH) on a bare rack.
 * @param widthMm hydraulic width, mm
 */
export function referenceClosureDays(widthMm: number, tissue: Tissue): number {
  assertPositive('widthMm', widthMm);
  return REFERENCE_DAYS * (widthMm / REFERENCE_WIDTH_MM) ** WIDTH_EXPONENT * TISSUE_FACTOR[tissue];
}

/**
 * How fast wounds close in this air against the reference air.
 * @returns ≥ 0; 1 near 22 °C and 55% RH, 0 where the clock stands still
 */
export function closureRate(air: Air): number {
  if (air.tempC < COLDEST_TEMP_C || air.tempC > HOTTEST_TEMP_C) return 0;
  const warmth = Q10 ** ((Math.min(air.tempC, FASTEST_TEMP_C) - REFERENCE_TEMP_C) / 10);
  const vpd = vapourPressureDeficit(air.tempC, air.rh);
  return (warmth * MOST_VPD_SHARE * vpd) / (vpd + HALF_VPD_KPA);
}
