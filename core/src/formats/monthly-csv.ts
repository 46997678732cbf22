import { isPlausible, type MonthAir } from '../climate';
import { guessMapping, readNumber, toCore, type Table } from './weather-csv';

export type ReadMonthly =
  | { readonly ok: true; readonly monthly: readonly MonthAir[] }
  | { readonly ok: false; readonly problem: string };

/**
 * Twelve rows, January first, with a mean low and high and, if there is one, the humidity, as climate
 * tables give them. Columns and units are found by their names.
 */
export function readMonthly(table: Table): ReadMonthly {
  if (table.rows.length !== 12)
    return refuse(`Twelve rows were expected, a month each; here are ${table.rows.length}.`);
  const { columns } = guessMapping(table);
  const { minC, maxC, rh, windMps } = columns;
  if (!minC || !maxC)
    return refuse('A column with the mean low and one with the mean high are needed (min, max).');
  const months: MonthAir[] = [];
  for (const [m, row] of table.rows.entries()) {
    const value = (column: { index: number; unit: string } | undefined): number | null => {
      const raw = column ? readNumber(row[column.index] ?? '') : null;
      return column && raw !== null ? toCore(raw, column.unit) : null;
    };
    const [low, high, damp, wind] = [value(minC), value(maxC), value(rh), value(windMps)];
    if (low === null || high === null || !isPlausible('minC', low) || low > high)
      return refuse(`Row ${m + 2}: the low and the high of a month cannot be read.`);
    if (rh && (damp === null || !isPlausible('rh', damp)))
      return refuse(`Row ${m + 2}: the humidity cannot be read.`);
    months.push({
      minC: low,
      maxC: high,
      rh: damp ?? USUAL_RH,
      ...(wind === null ? {} : { windMps: wind }),
    });
  }
  return { ok: true, monthly: months };
}

/** Where a climate table says nothing of it. Working assumption, to be put right in the table. */
const USUAL_RH = 0.7;

function refuse(problem: string): ReadMonthly {
  return { ok: false, problem };
}
