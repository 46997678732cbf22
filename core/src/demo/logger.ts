import { minuteText } from '../climate';
import { dayNumber, type Day } from '../days';
import type { DemoDraft } from './draft';

/** The logger was bought so many days before. */
export const LOGGED_DAYS = 14;
const STEP_MIN = 60;

/** Hourly readings whose means are those of the days: coolest before dawn, warmest after noon. */
export function loggerWeeks(
  space: string,
  source: string,
  days: readonly { readonly day: Day; readonly tempC: number; readonly rh: number }[],
): DemoDraft {
  const start = dayNumber(days[0]!.day) * 1440;
  const offsets: number[] = [];
  const tempC: number[] = [];
  const rh: number[] = [];
  for (const { day, tempC: mean, rh: damp } of days)
    for (let m = 0; m < 1440; m += STEP_MIN) {
      // A full turn of the sine in each day adds up to nothing: the mean stays.
      const swing = Math.sin((2 * Math.PI * (m - 9 * 60)) / 1440);
      offsets.push(dayNumber(day) * 1440 + m - start);
      tempC.push(+(mean + 3.2 * swing).toFixed(2));
      rh.push(+(damp - 0.07 * swing).toFixed(4));
    }
  return {
    kind: 'series',
    day: days[0]!.day,
    space,
    source,
    start: minuteText(start),
    offsets,
    columns: { tempC, rh },
  };
}
