import * as fc from 'fast-check';
import { spaceFields } from '../journal';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { dailyReadings, minuteText, monthlyFrom } from '../climate';
import {
  deviceClock,
  guessMapping,
  ordersFor,
  possibleOrders,
  readMonthly,
  readNumber,
  readTable,
  readWallTime,
  readWeather,
  splitSeries,
  zoneOf,
  type WeatherRead,
} from '.';

const read = (text: string): WeatherRead => {
  const table = readTable(text)!;
  return readWeather(table, guessMapping(table));
};
const at = (text: string, order: Parameters<typeof readWallTime>[1], time?: string) => {
  const minute = readWallTime(text, order, time);
  return minute === null ? null : minuteText(minute);
};

describe('dates as loggers write them', () => {
  it.each([
    ['2026-04-09', 'ymd', '2026-04-09T00:00'],
    ['2026/4/9 8:05', 'ymd', '2026-04-09T08:05'],
    ['2026-04-09T23:59:30Z', 'ymd', '2026-04-09T23:59'],
    ['09.04.2026 17:30', 'dmy', '2026-04-09T17:30'],
    ['9/4/26', 'dmy', '2026-04-09T00:00'],
    ['4/9/2026 12:15 AM', 'mdy', '2026-04-09T00:15'],
    ['4/9/2026, 1:15 pm', 'mdy', '2026-04-09T13:15'],
    // The hour that summer time skips is an hour like any other on a logger.
    ['2026-03-29 02:30', 'ymd', '2026-03-29T02:30'],
    ['1775692800', 'unix', '2026-04-09T00:00'],
    ['1775692800000', 'unix', '2026-04-09T00:00'],
  ] as const)('%s as %s is %s', (text, order, minute) => {
    expect(at(text, order)).toBe(minute);
  });

  it('a column of its own for the time', () => {
    expect(at('2026-04-09', 'ymd', '07:45')).toBe('2026-04-09T07:45');
  });

  it.each([
    '2026-04-09 24:59',
    '2026-04-09 24:00:01',
    '0100-01-01',
    '9999-01-01',
    '99999999999999',
  ])('“%s” is no time of a bench', (text) => {
    for (const order of ['ymd', 'dmy', 'mdy', 'unix'] as const) expect(at(text, order)).toBeNull();
  });

  it('midnight may end its day', () => {
    expect(at('2026-04-09 24:00', 'ymd')).toBe('2026-04-10T00:00');
  });

  it.each([
    ['2026-04-09T08:00+05:00', 'ymd', '+05:00'],
    ['2026-04-09T08:00Z', 'ymd', 'Z'],
    ['1775692800', 'unix', 'UTC'],
    ['2026-04-09 08:00', 'ymd', null],
  ] as const)('%s tells of its zone: %s, %s', (text, order, zone) => {
    expect(zoneOf(text, order)).toBe(zone);
  });

  it('times of a zone become the clock of the bench, moved by as much as is asked', () => {
    const table = readTable(
      'date,temp\n2026-04-09T08:00Z,20\n2026-04-09T12:00+03:00,21\n2026-04-09T02:30-07:30,22\n',
    )!;
    const twoAhead = (utc: number): number => utc + 120;
    const { zones, series } = readWeather(table, guessMapping(table), twoAhead);
    expect(zones).toEqual(['Z', '+03:00', '-07:30']);
    expect(series.minutes.map(minuteText)).toEqual([
      '2026-04-09T10:00',
      '2026-04-09T11:00',
      '2026-04-09T12:00',
    ]);
    const moved = readWeather(table, { ...guessMapping(table), shiftHours: -1 }, twoAhead);
    expect(minuteText(moved.series.minutes[0]!)).toBe('2026-04-09T09:00');
    const plain = readTable('date,temp\n2026-04-09T08:00,20\n')!;
    const as = readWeather(plain, guessMapping(plain), twoAhead);
    expect(minuteText(as.series.minutes[0]!)).toBe('2026-04-09T08:00');
  });

  it('the clock of this device knows its own summer time', () => {
    for (const iso of ['2026-01-15T12:00:00Z', '2026-07-15T12:00:00Z']) {
      const at = new Date(iso);
      const here = deviceClock(at.getTime() / 60_000);
      expect(minuteText(here).slice(11)).toBe(
        `${String(at.getHours()).padStart(2, '0')}:${String(at.getMinutes()).padStart(2, '0')}`,
      );
    }
  });

  it.each(['', 'yesterday', '2026-02-30', '31/31/2026', '2026-04-09 25:00', '4/9/2026 13:00 pm'])(
    '“%s” is no date',
    (text) => {
      for (const order of ['ymd', 'dmy', 'mdy', 'unix'] as const)
        expect(at(text, order)).toBeNull();
    },
  );

  it('days and months that could be swapped are both offered; one day above 12 settles it', () => {
    expect(ordersFor(['4/9/2026', '5/9/2026'])).toEqual(['dmy', 'mdy']);
    expect(ordersFor(['4/9/2026', '23/9/2026'])).toEqual(['dmy']);
    const table = readTable('date,temp\n4/9/2026,1\n5/9/2026,2')!;
    expect(possibleOrders(table, guessMapping(table))).toEqual(['dmy', 'mdy']);
  });
});

describe('a weather table', () => {
  it('finds columns, units and delimiter by itself', () => {
    const table = readTable(
      'Date;Time;Temp (°F);Humidity %;Wind km/h;Rain in\n2026-04-09;08:00;68;55;36;0,1\n',
    )!;
    const mapping = guessMapping(table);
    expect(mapping).toMatchObject({
      date: 0,
      time: 1,
      order: 'ymd',
      columns: {
        tempC: { index: 2, unit: '°F' },
        rh: { index: 3, unit: '%' },
        windMps: { index: 4, unit: 'km/h' },
        rainMm: { index: 5, unit: 'in' },
      },
    });
    const { series } = readWeather(table, mapping);
    expect(series.columns).toEqual({ tempC: [20], rh: [0.55], windMps: [10], rainMm: [2.54] });
  });

  it('guesses °F and lux by size where the name is silent', () => {
    const table = readTable('time,temp,light\n2026-07-01 12:00,86,54000\n')!;
    expect(readWeather(table, guessMapping(table)).series.columns).toEqual({
      tempC: [30],
      ppfd: [1000],
    });
  });

  it('says what it left out, line by line, and keeps the rest', () => {
    const out = read(
      'date,temp,rh\n2026-04-09 00:00,10,50\nrubbish,11,50\n2026-04-09 01:00,,\n' +
        '09/04/2026 02:00,12,50\n2026-04-09 02:00,12,50\n2026-04-09 02:00,13,50\n' +
        '2026-04-09 03:00,900,60\n2026-04-09 09:00,14,60\n2026-04-09 10:00,14,60\n',
    );
    expect(out.refused).toBe(3);
    expect(out.problems.map((p) => p.line)).toEqual([3, 4, 5]);
    expect(out.problems[0]!.sentence).toContain('“rubbish”');
    expect(out.duplicates).toBe(1);
    expect(out.series.columns.tempC).toEqual([10, 13, null, 14, 14]);
    expect(out.impossible).toBe(1);
    expect(out.gaps).toEqual([{ from: '2026-04-09', to: '2026-04-09', hours: 6 }]);
    expect(out.stepMinutes).toBe(60);
  });

  it('sorts what is out of order and splits between days', () => {
    const rows = Array.from(
      { length: 96 },
      (_, i) => `2026-04-${String(9 + Math.floor(i / 24)).padStart(2, '0')} ${i % 24}:00,${i}`,
    );
    const out = read(`time,rain\n${rows.reverse().join('\n')}`);
    expect(out.series.columns.rainMm![0]).toBe(0);
    const pieces = splitSeries(out.series, 30);
    expect(pieces.map((p) => p.minutes.length)).toEqual([48, 48]);
    expect(pieces.flatMap((p) => p.columns.rainMm!)).toEqual(out.series.columns.rainMm);
  });

  it('nothing is nothing', () => {
    expect(readTable('')).toBeNull();
    expect(readTable('date,temp\n')).toBeNull();
    expect(readNumber('-9999')).toBeNull();
    expect(readNumber('n/a')).toBeNull();
    expect(readNumber('3,5')).toBe(3.5);
  });
});

describe('twelve months of a climate table', () => {
  const table = (rows: readonly string[]) =>
    readTable(['Month,Tmin °F,Tmax °F,RH %', ...rows].join('\n'))!;
  const year = Array.from({ length: 12 }, (_, m) => `${m + 1},${32 + m},${50 + m},${70 - m}`);

  it('become a usual year, in any unit', () => {
    const read = readMonthly(table(year));
    expect(read.ok && read.monthly[0]).toEqual({ minC: 0, maxC: 10, rh: 0.7 });
    expect(read.ok && read.monthly).toHaveLength(12);
  });

  it.each([
    ['min', 'max'],
    ['T min', 'T max'],
    ['temp_min', 'temp_max'],
    ['Minimum temperature', 'Maximum temperature'],
    ['mintemp', 'maxtemp'],
    ['TMIN (°C)', 'TMAX (°C)'],
    ['mean low', 'mean high'],
  ])('are found under %s and %s', (low, high) => {
    const rows = year.map((_, m) => `${m + 1},${m},${m + 10}`);
    expect(readMonthly(readTable([`Month,${low},${high}`, ...rows].join('\n'))!).ok).toBe(true);
    const logged = ['minutes,temp', '0,10', '10,11'].join('\n');
    expect(guessMapping(readTable(logged)!).columns).not.toHaveProperty('minC');
  });

  it('are taken by the door where they are taken here, and refused where they are refused', () => {
    const limits = fc.record({
      minC: fc.integer({ min: -70, max: 70 }),
      maxC: fc.integer({ min: -70, max: 80 }),
      windMps: fc.integer({ min: -1, max: 70 }),
    });
    fc.assert(
      fc.property(limits, (month) => {
        const rows = Array.from(
          { length: 12 },
          () => `${month.minC},${month.maxC},${month.windMps}`,
        );
        const read = readMonthly(readTable(['min °C,max °C,wind m/s', ...rows].join('\n'))!);
        const monthly = Array.from({ length: 12 }, () => ({ ...month, rh: 0.7 }));
        expect(read.ok).toBe(spaceFields.safeParse({ monthly }).success);
      }),
    );
  });

  it('or are refused with a reason', () => {
    const problem = (rows: readonly string[]) => {
      const read = readMonthly(table(rows));
      return read.ok ? null : read.problem;
    };
    const last = (row: string) => problem([...year.slice(1), row]);
    expect(problem(year.slice(1))).toEqual({ is: 'rows', found: 11 });
    expect(last('12,90,50,70')).toEqual({ is: 'month', month: 11, problem: 'crossed' });
    expect(last('12,30,18000,70')).toEqual({ is: 'month', month: 11, problem: 'high' });
    expect(last('12,-300,50,70')).toEqual({ is: 'month', month: 11, problem: 'low' });
    expect(last('12,30,50,170')).toEqual({ is: 'month', month: 11, problem: 'humidity' });
    expect(last('12,,50,70')).toEqual({ is: 'unread', row: 13, what: 'temperature' });
    expect(last('12,30,50,wet')).toEqual({ is: 'unread', row: 13, what: 'humidity' });
    const read = readMonthly(readTable(['a,b', ...year.map(() => '1,2')].join('\n'))!);
    expect(!read.ok && read.problem).toEqual({ is: 'columns' });
  });
});

// Daily weather of Seattle 2012–2015, NOAA, as packed in vega-datasets 3.2.1 (seattle-weather.csv).
describe('the open Seattle weather table', () => {
  const out = read(
    readFileSync(join(__dirname, '../../../web/public/samples/seattle-weather.csv'), 'utf8'),
  );
  const days = dailyReadings(out.series);

  it('is read whole: 1461 days without a gap, humidity filled in and marked', () => {
    expect(out).toMatchObject({
      refused: 0,
      duplicates: 0,
      gaps: [],
      from: '2012-01-01',
      to: '2015-12-31',
      withoutHumidity: true,
    });
    expect(days).toHaveLength(1461);
    expect(days[0]).toMatchObject({
      minC: 5,
      maxC: 12.8,
      tempC: 8.9,
      windMps: 4.7,
      rhFilled: true,
    });
    expect(days.every((d) => d.rhFilled)).toBe(true);
  });

  it('makes a usual year: mild wet winters, dry summers (facts of the place, common knowledge)', () => {
    const year = monthlyFrom(days)!;
    expect(year).toHaveLength(12);
    expect(year[6]!.maxC).toBeGreaterThan(23);
    expect(year[6]!.maxC).toBeLessThan(29);
    expect(year[0]!.minC).toBeGreaterThan(0);
    expect(year[0]!.minC).toBeLessThan(5);
    expect(year[6]!.rh).toBeLessThan(year[0]!.rh);
  });
});

describe('numbers as loggers and spreadsheets write them', () => {
  it.each([
    ['21.5', 21.5],
    ['21,5', 21.5],
    ['−3,5', -3.5],
    ['1.234,5', 1234.5],
    ['1,234.5', 1234.5],
    ['1 013,2', 1013.2],
    ["1'013.2", 1013.2],
    ['1.234.567', 1234567],
    ['.5', 0.5],
    ['1e-3', 0.001],
    ['0b11', null],
    ['0x1F', null],
    ['Infinity', null],
    ['1.2.3', null],
    ['12 °C', null],
    ['-999', null],
  ])('%s is %s', (text, value) => {
    expect(readNumber(text)).toBe(value);
  });

  it('what is no number is left out and told, never dropped in silence', () => {
    const { unreadable, unreadableLike, series } = read(
      'date,temp\n2026-04-09,20\n2026-04-10,0x1F\n2026-04-11,n/a\n2026-04-12,22\n',
    );
    // A row with nothing else to read is refused by its line; among others the cell alone is left out.
    expect(series.columns.tempC).toEqual([20, 22]);
    expect([unreadable, unreadableLike]).toEqual([0, null]);
    const two = read('date,temp,hum\n2026-04-09,20,50\n2026-04-10,0x1F,51\n2026-04-11,-,52\n');
    expect(two.series.columns.tempC).toEqual([20, null, null]);
    expect([two.unreadable, two.unreadableLike]).toEqual([1, '0x1F']);
  });
});
