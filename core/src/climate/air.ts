import { addDays, type Day } from '../days';
import { monthlyOn, type MonthlyClimate } from './monthly';

/** The air around a bench: mean of the day, °C and relative humidity 0–1. */
export interface Air {
  readonly tempC: number;
  readonly rh: number;
}

/** What more may be known of a day. */
export interface Weather extends Air {
  readonly minC?: number | undefined;
  readonly maxC?: number | undefined;
  readonly windMps?: number | undefined;
  readonly rainMm?: number | undefined;
  /** Light at the bench, mol m⁻² d⁻¹. */
  readonly molPerDay?: number | undefined;
  /** The humidity was not measured but filled in from the night's low. */
  readonly rhFilled?: boolean | undefined;
}

export interface AirReading extends Weather {
  readonly day: Day;
}

export interface AirOnDay extends Weather {
  /** Where the figures come from: a reading, the place's climate by the month, or its usual air. */
  readonly from: 'reading' | 'climate' | 'usual';
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
