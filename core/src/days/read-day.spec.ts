import fc from 'fast-check';
import { addDays, type Day } from './day';
import { orderTold, readDay, readNearDay, type DayOrder } from './read-day';

const today: Day = '2026-04-09';
const read = (text: string, order?: DayOrder, locale?: string): Day => {
  const r = readDay(text, {
    today,
    ...(order ? { order } : {}),
    ...(locale ? { languages: [locale] } : {}),
  });
  return r.ok ? r.day : r.why;
};

describe('a day as people write it', () => {
  it.each([
    ['2025-05-20', '2025-05-20'],
    ['20250520', '2025-05-20'],
    ['2025/5/20', '2025-05-20'],
    ['May 20, 2025', '2025-05-20'],
    ['20 May 2025', '2025-05-20'],
    ['20th of May 2025', '2025-05-20'],
    ['Tue 20 May 2025', '2025-05-20'],
    ['Sept 3 2025', '2025-09-03'],
    ['2025 May 20', '2025-05-20'],
    ['14.4.2025', '2025-04-14'],
    ['3/14/25', '2025-03-14'],
    ['14/3/25', '2025-03-14'],
    ['5.5.2025', '2025-05-05'],
  ])('%s can be meant one way only', (text, day) => {
    expect(read(text)).toBe(day);
    expect(read(text, 'dmy')).toBe(day);
    expect(read(text, 'mdy')).toBe(day);
  });

  it('asks where both can be meant, and takes the order once it is told', () => {
    expect(readDay('3/4/25', { today })).toEqual({
      ok: false,
      why: 'ambiguous',
      either: ['2025-04-03', '2025-03-04'],
    });
    expect(read('3/4/25', 'dmy')).toBe('2025-04-03');
    expect(read('3/4/25', 'mdy')).toBe('2025-03-04');
  });

  it('puts a day without a year next to today', () => {
    expect(read('20 May')).toBe('2026-05-20');
    expect(read('24 Dec')).toBe('2025-12-24');
    expect(read('12/24')).toBe('2025-12-24');
  });

  it('reads month names of the grower’s language', () => {
    expect(read('20. Mai 2025', undefined, 'de')).toBe('2025-05-20');
    expect(read('20 Dezember 2025', undefined, 'de')).toBe('2025-12-20');
    expect(read('20 May 2025', undefined, 'de')).toBe('2025-05-20');
  });

  it.each(['', ' '])('%j is no day yet', (text) => expect(read(text)).toBe('empty'));

  it.each(['soon', '30 Feb 2026', '2026-13-40', '99/99/25', 'May', '123', '1.2.3.4', '20 May 123'])(
    '%s is not a day',
    (text) => expect(read(text, 'dmy')).toBe('not-a-day'),
  );

  it('reads back every day written out in the usual ways', () => {
    fc.assert(
      fc.property(fc.integer({ min: -20_000, max: 20_000 }), (n) => {
        const day = addDays(today, n);
        const [y, m, d] = day.split('-').map(Number) as [number, number, number];
        const name = new Date(Date.UTC(y, m - 1, d)).toLocaleString('en', {
          month: 'long',
          timeZone: 'UTC',
        });
        expect(read(day)).toBe(day);
        expect(read(`${d}.${m}.${y}`, 'dmy')).toBe(day);
        expect(read(`${m}/${d}/${y}`, 'mdy')).toBe(day);
        expect(read(`${name} ${d}, ${y}`)).toBe(day);
      }),
    );
  });

  it.each([
    ['14/3/25', 'dmy'],
    ['3/14/25', 'mdy'],
    ['3/4/25', null],
    ['14/14/25', null],
    ['2025-03-14', null],
    ['14 March 2025', null],
  ])('%s tells the order %s', (text, order) => expect(orderTold(text)).toBe(order));

  it('knows today, yesterday and days ago', () => {
    expect(readNearDay('Today', today)).toBe(today);
    expect(readNearDay('yesterday', today)).toBe('2026-04-08');
    expect(readNearDay('tomorrow', today)).toBe('2026-04-10');
    expect(readNearDay('10 days ago', today)).toBe('2026-03-30');
    expect(readNearDay('some day', today)).toBeNull();
  });

  it.each([
    ['14. März 2025', 'de', '2025-03-14'],
    ['3. Dez. 2025', 'de', '2025-12-03'],
    ['14 de marzo de 2025', 'es', '2025-03-14'],
    // “mar” is a Tuesday here, and March by itself.
    ['mar 20 de mayo de 2025', 'es', '2025-05-20'],
    ['20 ene 2025', 'es', '2025-01-20'],
    ['Tue 20 May 2025', 'es', '2025-05-20'],
  ])('reads %s as it is written in %s', (text, locale, day) => {
    expect(read(text, undefined, locale)).toBe(day);
  });
});
