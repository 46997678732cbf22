import type { WaterCase } from './case';
import { wetnessAt, fillOf, type Wetness } from './drying';
import {
  BONE_DRY,
  BONE_DRY_REST_DAYS,
  DRY_TO_TOUCH,
  mistEvery,
  SURFACE_MM,
  type WaterSchoolId,
} from './school';
import type { RegimeId } from './unrooted';

/** Weaning from water to medium: the surface kept moist, then a third let go, then as it pleases. */
export const WEAN_MOIST_DAYS = 14;
export const WEAN_TAPER_DAYS = 28;

/** The school that holds on a day: roots grown in water are weaned by steps. Common practice, no source. */
export function schoolOn(
  { weanedAt, school, regime }: Pick<WaterCase, 'weanedAt' | 'school' | 'regime'>,
  at: number,
): WaterSchoolId {
  if (regime !== null) return REGIME_SCHOOL[regime] ?? school;
  if (weanedAt === null || school === 'mist') return school;
  const days = at - weanedAt;
  if (days < WEAN_MOIST_DAYS) return 'surface';
  return days < WEAN_TAPER_DAYS ? 'third' : school;
}

/** What it is watered by until its roots drink for a pot, where not by the school it will have. */
const REGIME_SCHOOL: Readonly<Partial<Record<RegimeId, WaterSchoolId>>> = {
  mist: 'mist',
  damp: 'surface',
  sip: 'bone-dry-rest',
  dry: 'bone-dry-rest',
  base: 'surface',
};

/** Sips at the base come half as often as mists. Working assumption; 1.5–3. */
const SIP_EVERY = 2;

/** What a trigger needs to know of the days before. */
export interface Memory {
  /** The day of the last watering. */
  readonly wateredAt: number;
  /** Days in a row that it has been bone dry. */
  readonly boneDryDays: number;
}

/** Whether a school would water now. */
export function asksForWater(
  {
    column,
    evaporation,
    regime,
    feltMm,
  }: Pick<WaterCase, 'column' | 'evaporation' | 'regime' | 'feltMm'>,
  school: WaterSchoolId,
  wetness: Wetness,
  at: number,
  memory: Memory,
): boolean {
  const dryAt = (depthMm: number): boolean =>
    wetnessAt(column, wetness, Math.min(depthMm, column.depthMm * 0.9)) < DRY_TO_TOUCH;
  switch (school) {
    case 'mist':
      return at - memory.wateredAt >= mistEvery(evaporation[at] ?? 0);
    // In grit the very surface is dry within hours: no oftener than a mist would be given; and what is kept damp is damp
    // where its stem ends, again once that is dry. Common practice, no source.
    case 'surface':
      return (
        at - memory.wateredAt >= sipEvery(regime, evaporation[at] ?? 0) &&
        dryAt(regime === 'damp' ? feltMm : SURFACE_MM)
      );
    case 'top-25':
      return dryAt(25);
    case 'top-60':
      return dryAt(60);
    case 'third':
      return fillOf(column, wetness) < 2 / 3;
    case 'bone-dry':
      return fillOf(column, wetness) < BONE_DRY;
    case 'bone-dry-rest':
      return memory.boneDryDays >= BONE_DRY_REST_DAYS;
    case 'weekly':
      return at - memory.wateredAt >= 7;
  }
}

/** Days between sips at the base, or between drinks of a surface that is kept damp. @param evaporationMm mm a day */
export const sipEvery = (regime: RegimeId | null, evaporationMm: number): number =>
  mistEvery(evaporationMm) * (regime === 'base' ? SIP_EVERY : 1);

export const isBoneDry = (column: WaterCase['column'], wetness: Wetness): boolean =>
  fillOf(column, wetness) < BONE_DRY;
