import { addDays, dayFromNumber, dayNumber, daysBetween, isDay, isoWeek, weekday } from '.';

it.each([
  ['2005-01-01', 53],
  ['2005-12-31', 52],
  ['2008-12-29', 1],
  ['2010-01-03', 53],
  ['2020-12-31', 53],
  ['2026-06-15', 25],
])('%s lies in week %i (ISO 8601; strftime %%V of R 4.2.2)', (day, week) => {
  expect(isoWeek(day)).toBe(week);
});

describe('calendar days', () => {
  it.each(['2026-11-24', '2024-02-29', '1999-12-31'])('%s is a day', (day) => {
    expect(isDay(day)).toBe(true);
  });

  it.each([
    '2026-02-30',
    '2025-02-29',
    '2026-13-01',
    '2026-1-1',
    '26-01-01',
    '',
    '2026-00-10',
    '0050-01-01',
  ])('%s is not', (text) => {
    expect(isDay(text)).toBe(false);
  });

  it('counts over a leap day and both daylight-saving nights', () => {
    expect(daysBetween('2024-02-28', '2024-03-01')).toBe(2);
    expect(addDays('2026-03-28', 2)).toBe('2026-03-30');
    expect(addDays('2026-10-24', 2)).toBe('2026-10-26');
    expect(daysBetween('2026-01-01', '2025-12-31')).toBe(-1);
  });

  it('walks there and back', () => {
    expect(dayFromNumber(dayNumber('2026-11-24'))).toBe('2026-11-24');
    expect(dayNumber('1970-01-02')).toBe(1);
  });

  it('knows the weekday: 24 November 2026 is a Tuesday', () => {
    expect(weekday('2026-11-24')).toBe(1);
    expect(weekday('1969-12-28')).toBe(6);
  });

  it('refuses what is no day', () => {
    expect(() => dayNumber('soon')).toThrow(RangeError);
  });
});
