import { addDays, type Day } from '../days';
import { airOf, yearGuessed, type AirState } from './air-of';

/** Months, 0 to 11 in order of days, between two days whose warmth is guessed in a space. */
export function guessedBetween(
  state: AirState,
  space: string,
  from: Day,
  to: Day,
): readonly number[] {
  if (!yearGuessed(state, space)) return [];
  const months = new Set<number>();
  for (let day = from; day <= to; day = addDays(day, 1))
    if ((airOf(state, space, day).spreadC ?? 0) > 0) months.add(Number(day.slice(5, 7)) - 1);
  return [...months];
}
