import { messageLocale } from '@hypogeon/messages';
import { AIR_LIMITS, type MonthProblem } from '@hypogeon/core/climate';
import type { MonthlyProblem } from '@hypogeon/core/formats';
import type { TemperatureUnit } from '@hypogeon/core/units';
import * as say from '@hypogeon/messages/months';
import { temperatureText } from './quantities';

/** The months of the year by name, January first. */
export const monthNames = (locale = messageLocale()): readonly string[] =>
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
    return say.to({
      temperature: temperatureText(low, unit),
      temperature2: temperatureText(high, unit),
    });
  };
  switch (problem) {
    case 'low':
      return say.aMeanLowFrom({ name, between: between('minC') });
    case 'high':
      return say.aMeanHighFrom({ name, between: between('maxC') });
    case 'crossed':
      return say.theLowIsAbove({ name });
    case 'humidity':
      return say.humidityFrom1To({ name });
    case 'wind':
      return say.windFrom0To({ name, windMps: AIR_LIMITS.windMps[1] });
  }
}

/** Why a file is no usual year. */
export function monthlyProblemText(problem: MonthlyProblem, unit: TemperatureUnit): string {
  switch (problem.is) {
    case 'rows':
      return say.twelveRowsWereExpected({ found: problem.found });
    case 'columns':
      return say.aColumnWithThe();
    case 'unread':
      return problem.what === 'humidity'
        ? say.rowTheHumidityCannot({ row: problem.row })
        : say.rowTheLowAnd({ row: problem.row });
    case 'month':
      return monthProblemText(monthNames()[problem.month]!, problem.problem, unit);
  }
}
