import Papa from 'papaparse';

export type Cell = string | number | null;

/**
 * A table as CSV, with a header. Cells that a spreadsheet would take for a formula are made text.
 * Source: RFC 4180.
 */
export function csvOf(header: readonly string[], rows: readonly (readonly Cell[])[]): string {
  return Papa.unparse(
    { fields: [...header], data: rows.map((row) => [...row]) },
    { escapeFormulae: true },
  );
}
