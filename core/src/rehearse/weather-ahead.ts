import type { Air } from '../climate';

/** Day-to-day weather round the usual year: a first-order autoregression. Working assumptions where no readings are. */
export interface Weather {
  /** sd of a day round the usual, °C; 1–4. */
  readonly tempSd: number;
  /** sd of relative humidity, 0–1; 0.03–0.12. */
  readonly rhSd: number;
  /** How much of a day is left in the next, 0–1; 0.5–0.85. */
  readonly persistence: number;
}

export const USUAL_WEATHER: Weather = { tempSd: 2, rhSd: 0.07, persistence: 0.7 };

/** So many days of readings and a place's own weather is taken from them. */
export const OWN_WEATHER_DAYS = 60;

/**
 * The weather of a place from its own readings: spread round the usual, and how long it lasts.
 * @param departures of each day from the usual, in order; °C and 0–1
 * @returns the shipped figures below `OWN_WEATHER_DAYS`
 * Source: moments of a first-order autoregression (Box & Jenkins 1970, ch. 3).
 */
export function weatherOf(
  departures: readonly { readonly tempC: number; readonly rh: number }[],
): Weather {
  if (departures.length < OWN_WEATHER_DAYS) return USUAL_WEATHER;
  const temps = departures.map((d) => d.tempC);
  return {
    tempSd: sdOf(temps),
    rhSd: sdOf(departures.map((d) => d.rh)),
    persistence: Math.min(Math.max(lagOne(temps), 0), 0.95),
  };
}

/** A run of days round the usual ones. @param normals standard normal draws, two a day at least */
export function weatherAhead(
  usual: readonly Air[],
  { tempSd, rhSd, persistence }: Weather,
  normals: Float64Array,
): readonly Air[] {
  const fresh = Math.sqrt(1 - persistence ** 2);
  let [t, h] = [normals[0]!, normals[1]!];
  return usual.map(({ tempC, rh }, day) => {
    if (day > 0) {
      t = persistence * t + fresh * normals[2 * day]!;
      h = persistence * h + fresh * normals[2 * day + 1]!;
    }
    // A damp spell is a cool one, mostly.
    return {
      tempC: tempC + tempSd * t,
      rh: Math.min(0.98, Math.max(0.1, rh + rhSd * (0.8 * h - 0.6 * t))),
    };
  });
}

function sdOf(values: readonly number[]): number {
  const mean = values.reduce((s, v) => s + v, 0) / values.length;
  return Math.sqrt(values.reduce((s, v) => s + (v - mean) ** 2, 0) / values.length);
}

function lagOne(values: readonly number[]): number {
  const mean = values.reduce((s, v) => s + v, 0) / values.length;
  let [with_, square] = [0, 0];
  values.forEach((v, i) => {
    square += (v - mean) ** 2;
    if (i > 0) with_ += (v - mean) * (values[i - 1]! - mean);
  });
  return square === 0 ? 0 : with_ / square;
}
