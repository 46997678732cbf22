import Papa from 'papaparse';

export type Cell = string | number | null;

/** How the spreadsheets of a place set cells and decimals apart. */
export interface CsvMarks {
  readonly delimiter: ',' | ';';
  readonly decimal: '.' | ',';
}

/** As RFC 4180 has it: what programs read. */
export const PLAIN_MARKS: CsvMarks = { delimiter: ',', decimal: '.' };

/**
 * The marks of a place: where the decimal is a comma, cells stand apart by semicolons.
 * @param locale BCP 47
 */
export function csvMarksOf(locale: string): CsvMarks {
  const parts = new Intl.NumberFormat(locale).formatToParts(1.5);
  return parts.some((p) => p.type === 'decimal' && p.value === ',')
    ? { delimiter: ';', decimal: ',' }
    : PLAIN_MARKS;
}

/**
 * A table as CSV, with a header. Cells that a spreadsheet would take for a formula are made text.
 * Source: RFC 4180.
 */
export function csvOf(
  header: readonly string[],
  rows: readonly (readonly Cell[])[],
  { delimiter, decimal }: CsvMarks = PLAIN_MARKS,
): string {
  const cell = (value: Cell): Cell =>
    typeof value === 'number' && decimal === ',' ? `${value}`.replace('.', ',') : value;
  return Papa.unparse(
    { fields: [...header], data: rows.map((row) => row.map(cell)) },
    // A negative number is no formula, whatever its decimal.
    { escapeFormulae: /^(?:[=+@\t\r]|-(?!\d+(?:[.,]\d+)?$))/, delimiter },
  );
}

/** What tells a spreadsheet that a file is UTF-8. */
const BYTE_ORDER_MARK = '\uFEFF';

/** The same for the spreadsheets of a place, which open it with a double click. @param locale BCP 47 */
export const spreadsheetOf = (
  header: readonly string[],
  rows: readonly (readonly Cell[])[],
  locale: string,
): string => BYTE_ORDER_MARK + csvOf(header, rows, csvMarksOf(locale));
