import { monthProblem, type MonthAir, type MonthProblem } from '../climate';
import { guessMapping, readNumber, toCore, type Table } from './weather-csv';

export type ReadMonthly =
  | { readonly ok: true; readonly monthly: readonly MonthAir[] }
  | { readonly ok: false; readonly problem: MonthlyProblem };

/** Why a table is no usual year. Months count from 0. */
export type MonthlyProblem =
  | { readonly is: 'rows'; readonly found: number }
  | { readonly is: 'columns' }
  | { readonly is: 'unread'; readonly row: number; readonly what: 'temperature' | 'humidity' }
  | { readonly is: 'month'; readonly month: number; readonly problem: MonthProblem };

/**
 * Twelve rows, January first, with a mean low and high and, if there is one, the humidity, as climate
 * tables give them. Columns and units are found by their names.
 */
export function readMonthly(table: Table): ReadMonthly {
  if (table.rows.length !== 12) return refuse({ is: 'rows', found: table.rows.length });
  const { columns } = guessMapping(table);
  const { minC, maxC, rh, windMps } = columns;
  if (!minC || !maxC) return refuse({ is: 'columns' });
  const months: MonthAir[] = [];
  for (const [m, row] of table.rows.entries()) {
    const value = (column: { index: number; unit: string } | undefined): number | null => {
      const raw = column ? readNumber(row[column.index] ?? '') : null;
      return column && raw !== null ? toCore(raw, column.unit) : null;
    };
    const [low, high, damp, wind] = [value(minC), value(maxC), value(rh), value(windMps)];
    if (low === null || high === null)
      return refuse({ is: 'unread', row: m + 2, what: 'temperature' });
    if (rh && damp === null) return refuse({ is: 'unread', row: m + 2, what: 'humidity' });
    const month = {
      minC: low,
      maxC: high,
      rh: damp ?? USUAL_RH,
      ...(wind === null ? {} : { windMps: wind }),
    };
    const problem = monthProblem(month);
    if (problem) return refuse({ is: 'month', month: m, problem });
    months.push(month);
  }
  return { ok: true, monthly: months };
}

/** Where a climate table says nothing of it. Working assumption, to be put right in the table. */
const USUAL_RH = 0.7;

function refuse(problem: MonthlyProblem): ReadMonthly {
  return { ok: false, problem };
}
