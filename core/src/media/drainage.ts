import { assertPositive } from '../assert';
/** Water on a filled pot that the test of the eye uses: about two fingers' breadth, mm. */
const PONDED_MM = 20;
const GRAVITY = 9.81;
/** Kinematic viscosity of water at 20 °C, m²/s. */
const VISCOSITY = 1.0e-6;

export const DRAIN_CLASSES = ['at once', 'within two minutes', 'slowly', 'hardly'] as const;
export type DrainClass = (typeof DRAIN_CLASSES)[number];

/**
 * Seconds for ponded water to sink into a wetted medium.
 * @param voids share between the grains, 0–1
 * @param surfaceMeanMm grain size that rules the flow, mm
 * Source: Kozeny–Carman, K = g/ν · d²/180 · ε³/(1 − ε)² (Bear 1972, Dynamics of Fluids in Porous
 * Media); unit gradient.
 */
export function pondedSeconds(voids: number, surfaceMeanMm: number): number {
  assertPositive('voids', voids);
  assertPositive('surfaceMeanMm', surfaceMeanMm);
  const d = surfaceMeanMm / 1000;
  const speed = ((GRAVITY / VISCOSITY) * d ** 2 * voids ** 3) / (180 * (1 - voids) ** 2);
  return PONDED_MM / 1000 / speed;
}

/**
 * The class a grower sees: water that stands longer than one or two minutes is too slow.
 * Common practice, no source.
 */
export function drainClass(seconds: number): DrainClass {
  if (seconds <= 15) return 'at once';
  if (seconds <= 120) return 'within two minutes';
  return seconds <= 900 ? 'slowly' : 'hardly';
}
