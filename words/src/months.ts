import { AIR_LIMITS, type MonthProblem } from '@hypogeon/core/climate';
import type { MonthlyProblem } from '@hypogeon/core/formats';
import type { TemperatureUnit } from '@hypogeon/core/units';
import { temperatureText } from './quantities';

/** The months of the year by name, January first. */
export const monthNames = (locale = 'en'): readonly string[] =>
  Array.from({ length: 12 }, (_, m) =>
    new Intl.DateTimeFormat(locale, { month: 'long', timeZone: 'UTC' }).format(
      Date.UTC(2026, m, 15),
    ),
  );

/** What is wrong with a month of a place's usual year, and what it may be. */
export function monthProblemText(
  name: string,
  problem: MonthProblem,
  unit: TemperatureUnit,
): string {
  const between = (column: 'minC' | 'maxC'): string => {
    const [low, high] = AIR_LIMITS[column];
    return `${temperatureText(low, unit)} to ${temperatureText(high, unit)}`;
  };
  switch (problem) {
    case 'low':
      return `${name}: a mean low from ${between('minC')}.`;
    case 'high':
      return `${name}: a mean high from ${between('maxC')}.`;
    case 'crossed':
      return `${name}: the low is above the high.`;
    case 'humidity':
      return `${name}: humidity from 1 to 100%.`;
    case 'wind':
      return `${name}: wind from 0 to ${AIR_LIMITS.windMps[1]} m/s.`;
  }
}

/** Why a file is no usual year. */
export function monthlyProblemText(problem: MonthlyProblem, unit: TemperatureUnit): string {
  switch (problem.is) {
    case 'rows':
      return `Twelve rows were expected, a month each; here are ${problem.found}.`;
    case 'columns':
      return 'A column with the mean low and one with the mean high are needed (min, max).';
    case 'unread':
      return problem.what === 'humidity'
        ? `Row ${problem.row}: the humidity cannot be read.`
        : `Row ${problem.row}: the low and the high of a month cannot be read.`;
    case 'month':
      return monthProblemText(monthNames()[problem.month]!, problem.problem, unit);
  }
}
