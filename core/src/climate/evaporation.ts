import { assertFinite } from '../assert';
import { atmosphericPressure, psychrometricConstant, saturationSlope } from './humidity';

/** γ at sea level, kPa °C⁻¹; a few hundred metres change little. */
const GAMMA = psychrometricConstant(atmosphericPressure(0));

/** Latent heat of vaporisation, MJ/kg. Source: FAO-56 (Allen et al. 1998), annex 3, eq. 3-1. */
export function latentHeat(tempC: number): number {
  return 2.501 - 0.002361 * tempC;
}

export interface WetSurface {
  readonly tempC: number;
  /** Vapour pressure deficit, kPa. */
  readonly vpdKPa: number;
  /** Net radiation, MJ m⁻² d⁻¹. */
  readonly netMJ: number;
  readonly windMps: number;
}

/**
 * Evaporation from a wet surface.
 * @returns mm/d, never below 0
 * Source: Penman in the form of Shuttleworth 1993, Handbook of Hydrology, eq. 4.2.30.
 */
export function potentialEvaporation({ tempC, vpdKPa, netMJ, windMps }: WetSurface): number {
  for (const [name, value] of Object.entries({ tempC, vpdKPa, netMJ, windMps }))
    assertFinite(name, value);
  const slope = saturationSlope(tempC);
  const air = GAMMA * 6.43 * (1 + 0.536 * windMps) * vpdKPa;
  return Math.max(0, (slope * netMJ + air) / ((slope + GAMMA) * latentHeat(tempC)));
}
