import { addDays, type Day } from '../days';
import { DEMO } from './story';
import type { DemoDraft } from './draft';

/** What the volunteers were told beforehand: batch, share said, its range. Invented. */
const SAID: readonly (readonly [batch: string, rooted: number, low: number, high: number])[] = [
  ['b-06', 0.88, 0.7, 1],
  ['b-08', 0.9, 0.73, 1],
  ['b-10', 0.91, 0.78, 1],
  ['b-07', 0.75, 0.5, 1],
  ['b-11', 0.84, 0.6, 0.96],
  ['b-13', 0.78, 0.5, 0.94],
  ['b-16', 0.82, 0.58, 0.96],
  ['b-17', 0.7, 0.44, 0.9],
  ['b-19', 0.86, 0.67, 0.96],
  ['b-20', 0.89, 0.75, 1],
];
const DAYS = 120;

/** Forecasts kept with plans, told on the day of the cut. */
export function demoForecasts(today: Day): readonly DemoDraft[] {
  return SAID.flatMap(([id, rooted, low, high]): DemoDraft[] => {
    const batch = DEMO.batches.find((b) => b.id === id);
    if (!batch) return [];
    return [
      {
        kind: 'forecast',
        batch: id,
        day: addDays(today, -batch.daysAgo),
        days: DAYS,
        cuttings: batch.count,
        rooted,
        low,
        high,
        rotted: Math.round(100 * 0.8 * (1 - rooted)) / 100,
        dried: Math.round(100 * 0.2 * (1 - rooted)) / 100,
      },
    ];
  });
}
