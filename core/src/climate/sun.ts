import { assertFinite } from '../assert';
import { addDays, dayNumber, type Day } from '../days';

const SOLAR_CONSTANT = 0.082;
const YEAR = 365;

/** Number of the day in its year, 1 to 366. */
export function dayOfYear(day: Day): number {
  return dayNumber(day) - dayNumber(`${day.slice(0, 4)}-01-01`) + 1;
}

/** Inverse relative distance between earth and sun. Source: FAO-56 (Allen et al. 1998), eq. 23. */
function sunDistance(j: number): number {
  return 1 + 0.033 * Math.cos(((2 * Math.PI) / YEAR) * j);
}

/** Declination of the sun, rad. Source: FAO-56, eq. 24. */
function declination(j: number): number {
  return 0.409 * Math.sin(((2 * Math.PI) / YEAR) * j - 1.39);
}

/** Sunset hour angle, rad: 0 in the polar night, π where the sun does not set. Source: FAO-56, eq. 25. */
function sunsetAngle(latitude: number, j: number): number {
  const cosine = -Math.tan(latitude) * Math.tan(declination(j));
  return Math.acos(Math.min(1, Math.max(-1, cosine)));
}

/**
 * Radiation on a level surface above the air.
 * @param latitudeDeg −90 (south) to 90 (north)
 * @returns MJ m⁻² d⁻¹
 * Source: FAO-56, eq. 21.
 */
export function extraterrestrialRadiation(latitudeDeg: number, day: Day): number {
  const phi = radians(latitudeDeg);
  const j = dayOfYear(day);
  const delta = declination(j);
  const omega = sunsetAngle(phi, j);
  return (
    ((24 * 60) / Math.PI) *
    SOLAR_CONSTANT *
    sunDistance(j) *
    (omega * Math.sin(phi) * Math.sin(delta) + Math.cos(phi) * Math.cos(delta) * Math.sin(omega))
  );
}

/**
 * Hours that the middle of the sun is above the horizon of a world without air: what radiation is reckoned with.
 * @param latitudeDeg −90 (south) to 90 (north)
 * Source: FAO-56, eq. 34.
 */
export function dayLength(latitudeDeg: number, day: Day): number {
  return (24 / Math.PI) * sunsetAngle(radians(latitudeDeg), dayOfYear(day));
}

/** The sun rises and sets with its middle so far under the horizon: 34′ of refraction and 16′ of its own disc. */
const SUNRISE_DEG = -50 / 60;

/**
 * Hours from sunrise to sunset, as an almanac and a grower’s eye have them: a quarter of an hour longer than
 * {@link dayLength} at 45°, over twenty minutes at 60°. Season rules mean these.
 * @param latitudeDeg −90 (south) to 90 (north)
 * Source: Meeus 1998, Astronomical Algorithms, ch. 15 (from memory); declination of FAO-56, eq. 24.
 */
export function sunUpHours(latitudeDeg: number, day: Day): number {
  const phi = radians(latitudeDeg);
  const delta = declination(dayOfYear(day));
  const rise = (SUNRISE_DEG * Math.PI) / 180;
  // At a pole itself the sun goes round level with the horizon.
  const flat = Math.max(Math.cos(phi) * Math.cos(delta), 1e-12);
  const cosine = (Math.sin(rise) - Math.sin(phi) * Math.sin(delta)) / flat;
  return (24 / Math.PI) * Math.acos(Math.min(1, Math.max(-1, cosine)));
}

/**
 * How bright the sky of a day is against the mean of its year at this place: above 1 in its summer,
 * below in its winter, in either hemisphere.
 */
export function lightOfSeason(latitudeDeg: number, day: Day): number {
  return extraterrestrialRadiation(latitudeDeg, day) / meanRadiation(latitudeDeg);
}

const means = new Map<number, number>();

function meanRadiation(latitudeDeg: number): number {
  const known = means.get(latitudeDeg);
  if (known !== undefined) return known;
  let sum = 0;
  for (let i = 0; i < YEAR; i += 5)
    sum += extraterrestrialRadiation(latitudeDeg, addDays('2026-01-01', i));
  const mean = sum / (YEAR / 5);
  means.set(latitudeDeg, mean);
  return mean;
}

function radians(degrees: number): number {
  assertFinite('latitudeDeg', degrees);
  if (Math.abs(degrees) > 90)
    throw new RangeError(`latitudeDeg must be between -90 and 90, got ${degrees}`);
  return (degrees * Math.PI) / 180;
}
