import { addDays, type Day } from '../days';

/** The air around a bench: mean of the day, °C and relative humidity 0–1. */
export interface Air {
  readonly tempC: number;
  readonly rh: number;
}

export interface AirReading extends Air {
  readonly day: Day;
}

export interface AirOnDay extends Air {
  /** Where the figures come from: a reading, or what the space usually has. */
  readonly from: 'reading' | 'usual';
}

/**
 * How long a reading speaks for its bench when none follows. Working assumption: weather in an
 * unheated house turns over in about three days; 1–7 make sense.
 */
export const READING_HOLDS_DAYS = 3;

/**
 * The air of a space on a day: the last reading that is not too old, else its usual air.
 * @param readings in order of day
 */
export function airOn(usual: Air, readings: readonly AirReading[], day: Day): AirOnDay {
  const reading = lastOnOrBefore(readings, day);
  if (reading && addDays(reading.day, READING_HOLDS_DAYS) >= day)
    return { tempC: reading.tempC, rh: reading.rh, from: 'reading' };
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
