import { assertFinite, assertFraction, assertPositive } from '../assert';
/**
 * Saturation vapour pressure e°(T).
 * @param tempC air temperature, °C
 * @returns kPa
 * Source: FAO-56 (Allen et al. 1998), eq. 11.
 */
export function saturationVapourPressure(tempC: number): number {
  assertFinite('tempC', tempC);
  return 0.6108 * Math.exp((17.27 * tempC) / (tempC + 237.3));
}

/**
 * Slope Δ of the saturation vapour pressure curve.
 * @param tempC air temperature, °C
 * @returns kPa °C⁻¹
 * Source: FAO-56, eq. 13.
 */
export function saturationSlope(tempC: number): number {
  return (4098 * saturationVapourPressure(tempC)) / (tempC + 237.3) ** 2;
}

/**
 * Atmospheric pressure at a height above the sea.
 * @param elevationM m
 * @returns kPa
 * Source: FAO-56, eq. 7.
 */
export function atmosphericPressure(elevationM: number): number {
  assertFinite('elevationM', elevationM);
  return 101.3 * ((293 - 0.0065 * elevationM) / 293) ** 5.26;
}

/**
 * Psychrometric constant γ.
 * @param pressureKPa atmospheric pressure, kPa
 * @returns kPa °C⁻¹
 * Source: FAO-56, eq. 8.
 */
export function psychrometricConstant(pressureKPa: number): number {
  assertPositive('pressureKPa', pressureKPa);
  return 0.665e-3 * pressureKPa;
}

/**
 * Actual vapour pressure from a day's extremes of temperature and humidity.
 * @param minC, maxC °C; rhMax belongs to the cool hour, rhMin to the warm one, fractions 0–1
 * @returns kPa
 * Source: FAO-56, eq. 17.
 */
export function actualVapourPressure(
  minC: number,
  maxC: number,
  rhMin: number,
  rhMax: number,
): number {
  assertFraction('rhMin', rhMin);
  assertFraction('rhMax', rhMax);
  return (saturationVapourPressure(minC) * rhMax + saturationVapourPressure(maxC) * rhMin) / 2;
}

/**
 * Actual vapour pressure where only the mean humidity is known.
 * @param minC, maxC °C
 * @param rhMean fraction 0–1
 * @returns kPa
 * Source: FAO-56, eq. 19 (with eq. 12 for the mean saturation pressure).
 */
export function actualVapourPressureFromMean(minC: number, maxC: number, rhMean: number): number {
  assertFraction('rhMean', rhMean);
  return (rhMean * (saturationVapourPressure(minC) + saturationVapourPressure(maxC))) / 2;
}

/**
 * Vapour pressure deficit: the drying power of the air.
 * @param tempC air temperature, °C
 * @param rh relative humidity, fraction 0–1
 * @returns kPa, ≥ 0
 * @throws RangeError if rh is outside 0–1
 * Source: FAO-56, eqs 11 and 17.
 */
export function vapourPressureDeficit(tempC: number, rh: number): number {
  assertFraction('rh', rh);
  return saturationVapourPressure(tempC) * (1 - rh);
}
