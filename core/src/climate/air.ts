import { addDays, type Day } from '../days';
import { monthlyOn, type MonthlyClimate } from './monthly';
import type { Air, AirReading, Weather } from './weather';

export interface AirOnDay extends Weather {
  /** Where the figures come from: a reading, the place's climate by the month, or its usual air. */
  readonly from: 'reading' | 'climate' | 'usual';
  /** Its warmth is a guess from other months, off by so much, °C, a standard deviation. */
  readonly spreadC?: number | undefined;
}

/**
 * How long a reading speaks for its bench when none follows. Working assumption: weather in an
 * unheated house turns over in about three days; 1–7 make sense.
 */
export const READING_HOLDS_DAYS = 3;

/**
 * The air of a space on a day: the last reading that is not too old, else its climate by the month,
 * else its usual air.
 * @param readings in order of day
 */
export function airOn(
  usual: Air,
  readings: readonly AirReading[],
  day: Day,
  monthly?: MonthlyClimate,
): AirOnDay {
  const reading = lastOnOrBefore(readings, day);
  if (reading && addDays(reading.day, READING_HOLDS_DAYS) >= day) {
    const { day: on, rainMm, ...weather } = reading;
    // Rain fell on its own day only.
    return { ...weather, ...(on === day ? { rainMm } : {}), from: 'reading' };
  }
  if (monthly) return { ...monthlyOn(monthly, day), from: 'climate' };
  return { tempC: usual.tempC, rh: usual.rh, from: 'usual' };
}

function lastOnOrBefore(readings: readonly AirReading[], day: Day): AirReading | undefined {
  let low = 0;
  let high = readings.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (readings[middle]!.day <= day) low = middle + 1;
    else high = middle;
  }
  return readings[low - 1];
}
