import * as fc from 'fast-check';
import { csvMarksOf, csvOf, spreadsheetOf } from './csv';
import { readTable } from './weather-csv';

describe('a table as CSV', () => {
  it('is RFC 4180 where programs read it: commas, points, quotes doubled', () => {
    expect(csvOf(['plant', 'share'], [['a, "b"', 0.5]])).toBe('plant,share\r\n"a, ""b""",0.5');
  });

  it.each([
    ['en-GB', ',', '.'],
    ['en-US', ',', '.'],
    ['de-DE', ';', ','],
    ['es-ES', ';', ','],
    ['de-CH', ',', '.'],
  ])('in %s sets cells apart by %s, decimals by %s', (locale, delimiter, decimal) => {
    expect(csvMarksOf(locale)).toEqual({ delimiter, decimal });
  });

  it('opens with a double click: marked as UTF-8, with the decimals of the place', () => {
    const text = spreadsheetOf(['plant', 'share'], [['Höhe; "x"', -1.5]], 'de-DE');
    expect(text).toBe('\uFEFFplant;share\r\n"Höhe; ""x""";-1,5');
  });

  it('makes text of what a spreadsheet would take for a formula, and leaves negative numbers', () => {
    const cells = ['=1+1', '+a', '@x', '-a', '-1.5', '-1+2'].map((c) => [c]);
    expect(csvOf(['c'], cells).split('\r\n').slice(1)).toEqual([
      `"'=1+1"`,
      `"'+a"`,
      `"'@x"`,
      `"'-a"`,
      '-1.5',
      `"'-1+2"`,
    ]);
  });

  it('comes back as it was, in every place (law)', () => {
    const cell = fc
      .string({ maxLength: 8 })
      .filter((t) => /^[^\s=+@\-'][^\r\n]*$/.test(t) && t.trim() === t);
    fc.assert(
      fc.property(
        fc.array(fc.tuple(cell, cell), { minLength: 1, maxLength: 5 }),
        fc.constantFrom('en-GB', 'de-DE', 'es-ES'),
        (rows, locale) => {
          expect(readTable(spreadsheetOf(['one', 'two'], rows, locale))).toEqual({
            header: ['one', 'two'],
            rows,
          });
        },
      ),
    );
  });
});
