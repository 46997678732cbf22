import {
  netOfSun,
  potentialEvaporation,
  saturationVapourPressure,
  vapourPressureDeficit,
} from '@hypogeon/core/climate';
import { LUX_PER_PPFD } from '@hypogeon/core/formats';

/** What really is at the simulated bench at a time. */
export interface Truth {
  readonly tempC: number;
  readonly rh: number;
  readonly lux: number;
  /** From a wet surface at this moment, mm/d. */
  readonly evaporationMm: number;
}

const DAY = 86_400;

/**
 * The air and light of an invented lean-to: sun by day, a moisture that changes from day to day, clouds.
 * The same second always has the same weather. @param seconds since 1970, on the bench's own clock
 */
export function truthAt(seconds: number): Truth {
  const day = seconds / DAY;
  const hour = (day % 1) * 24;
  const sun = Math.max(0, Math.sin(((hour - 6) / 12) * Math.PI));
  const cloud = 0.35 + 0.65 * smooth(day * 3, 11);
  const lux = 22_000 * sun * cloud;
  const warm = 17.5 + 3 * (smooth(day, 23) - 0.5);
  const tempC =
    warm + 5.5 * cloud * Math.max(0, Math.sin(((hour - 8) / 13) * Math.PI)) - 1.2 * (1 - sun);
  // The moisture of the air stays while the day warms: humidity falls and rises again.
  const moisture = saturationVapourPressure(9.5 + 3 * smooth(day, 37));
  const rh = Math.min(0.97, moisture / saturationVapourPressure(tempC));
  const molPerDay = ((lux / LUX_PER_PPFD) * DAY) / 1e6;
  const evaporationMm = potentialEvaporation({
    tempC,
    vpdKPa: vapourPressureDeficit(tempC, rh),
    netMJ: netOfSun(molPerDay),
    windMps: 0.15,
  });
  return { tempC, rh, lux, evaporationMm };
}

/** A slow wander between 0 and 1, without memory. */
export function smooth(x: number, seed: number): number {
  const i = Math.floor(x);
  const share = x - i;
  const ease = share * share * (3 - 2 * share);
  return chance(i, seed) * (1 - ease) + chance(i + 1, seed) * ease;
}

/** A number in [0, 1) that belongs to a whole number and a seed. */
export function chance(n: number, seed: number): number {
  let a = Math.imul(n ^ 0x9e3779b9, 0x85ebca6b) ^ Math.imul(seed, 0xc2b2ae35);
  a = Math.imul(a ^ (a >>> 15), 1 | a);
  a = (a + Math.imul(a ^ (a >>> 7), 61 | a)) ^ a;
  return ((a ^ (a >>> 14)) >>> 0) / 4_294_967_296;
}
