import { bisect } from '../bisect';
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

/** Days on either side of one whose mean its usual air is taken to be. */
const ROUND_DAYS = 15;

/**
 * The weather of a place from its own readings: spread round the usual, and how long it lasts. The usual of a day is
 * the mean of the days round it, which takes part of the weather with it: what that leaves is put back.
 * @param readings of days in order; °C and 0–1
 * @returns the shipped figures below `OWN_WEATHER_DAYS`
 * Source: moments of a first-order autoregression (Box & Jenkins 1970, ch. 3), of departures from a moving mean.
 */
export function weatherOf(
  readings: readonly { readonly tempC: number; readonly rh: number }[],
): Weather {
  if (readings.length < OWN_WEATHER_DAYS) return USUAL_WEATHER;
  const temps = departuresOf(readings.map((d) => d.tempC));
  const lag = lagOne(temps);
  const most = 0.95;
  const persistence =
    lag <= leftOver(0).lag
      ? 0
      : lag >= leftOver(most).lag
        ? most
        : bisect((p) => leftOver(p).lag - lag, 0, most);
  const { share } = leftOver(persistence);
  return {
    tempSd: sdOf(temps) / Math.sqrt(share),
    rhSd: sdOf(departuresOf(readings.map((d) => d.rh))) / Math.sqrt(share),
    persistence,
  };
}

/** Each of a row less the mean of those round it. */
function departuresOf(row: readonly number[]): readonly number[] {
  return row.map((value, i) => {
    const near = row.slice(Math.max(0, i - ROUND_DAYS), i + ROUND_DAYS + 1);
    return value - near.reduce((sum, v) => sum + v, 0) / near.length;
  });
}

/** What a moving mean leaves of such weather: the share of its variance, and its correlation from day to day. */
function leftOver(persistence: number): { readonly share: number; readonly lag: number } {
  const days = 2 * ROUND_DAYS + 1;
  // Each departure is a weighted sum of days; covariances of the sums, one day apart and none.
  const weight = (k: number): number =>
    (k === 0 ? 1 : 0) - (Math.abs(k) <= ROUND_DAYS ? 1 / days : 0);
  const covariance = (apart: number): number => {
    let sum = 0;
    for (let i = -ROUND_DAYS; i <= ROUND_DAYS; i++)
      for (let j = -ROUND_DAYS; j <= ROUND_DAYS; j++)
        sum += weight(i) * weight(j) * persistence ** Math.abs(i - j - apart);
    return sum;
  };
  const share = covariance(0);
  return { share, lag: covariance(1) / share };
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
