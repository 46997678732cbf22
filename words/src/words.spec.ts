import {
  counted,
  daySpan,
  dayText,
  depthText,
  lengthText,
  longDay,
  monthName,
  nearDay,
  NOUN,
  percent,
  percentSpan,
  pluralOf,
  shortDay,
  temperatureText,
  weekdayName,
} from '.';

const british = { locale: 'en-GB', today: '2026-11-24' } as const;
const german = { ...british, locale: 'de-DE' };

describe('quantities in the grower’s units', () => {
  it.each([
    [8, 'mm', '8 mm'],
    [3.5, 'mm', '3.5 mm'],
    [12.4, 'mm', '12 mm'],
    [25.4, 'in', '1 in'],
    [8, 'in', '0.31 in'],
  ] as const)('%d mm in %s is %s', (mm, unit, text) => {
    expect(lengthText(mm, unit)).toBe(text);
  });

  it.each([
    [25, 'mm', '25 mm'],
    [25, 'in', '1 in'],
    [9.4, 'in', '3/8 in'],
    [0.2, 'mm', '1 mm'],
    [35, 'in', '1 3/8 in'],
  ] as const)('a depth of %d mm in %s is %s, as a ruler shows it', (mm, unit, text) => {
    expect(depthText(mm, unit)).toBe(text);
  });

  it.each([
    [19.44, 'C', '19.4 °C'],
    [20, 'C', '20 °C'],
    [20, 'F', '68 °F'],
    [-5, 'F', '23 °F'],
  ] as const)('%d °C in %s is %s', (tempC, unit, text) => {
    expect(temperatureText(tempC, unit)).toBe(text);
  });

  it('shares are whole per cent, and a span of equal ends is one figure', () => {
    expect(percent(0.666)).toBe('67%');
    expect(percentSpan({ low: 0.1, high: 0.305 })).toBe('10–31%');
    expect(percentSpan({ low: 0.301, high: 0.302 })).toBe('30%');
  });
});

describe('days', () => {
  it('are written in the grower’s language, with the year once it is another one', () => {
    expect(longDay('2026-11-24', british)).toBe('Tuesday 24 November');
    expect(
      ['de-DE', 'es-ES'].map((locale) => longDay('2026-11-24', { ...british, locale })),
    ).toEqual(['Dienstag, 24. November', 'martes, 24 de noviembre']);
    expect(dayText('2026-11-26', british)).toBe('Thu 26 Nov');
    expect(dayText('2027-01-02', british)).toBe('Sat 2 Jan 2027');
    expect(dayText('2026-11-26', german)).toMatch(/^Do\.? 26\. Nov/);
    expect([monthName('2026-11-24', british), weekdayName('2026-11-24', british)]).toEqual([
      'Nov',
      'Tue',
    ]);
    expect(shortDay('2026-11-05', british)).toBe('5 Nov');
  });

  it('span what they span, and no more', () => {
    expect(daySpan('2026-11-25', '2026-11-27', british)).toBe('25–27 Nov');
    expect(daySpan('2026-11-28', '2026-12-03', british)).toBe('28 Nov – 3 Dec');
    expect(daySpan('2026-11-28', '2026-11-28', british)).toBe('28 Nov');
  });

  it('close to today have names', () => {
    expect(
      ['2026-11-23', '2026-11-24', '2026-11-25', '2026-11-26'].map((d) => nearDay(d, british)),
    ).toEqual(['yesterday', 'today', 'tomorrow', 'Thu 26 Nov']);
  });
});

describe('plurals', () => {
  it('follow the number, and the language', () => {
    expect([0, 1, 2].map((n) => counted(n, NOUN.batch))).toEqual([
      '0 batches',
      '1 batch',
      '2 batches',
    ]);
    expect(counted(1200, NOUN.entry)).toBe('1,200 entries');
    // French counts nothing as one. Source: Unicode CLDR plural rules.
    expect(pluralOf(0, NOUN.day, 'fr')).toBe('day');
  });
});
