import { TestBed } from '@angular/core/testing';
import { mount, type Bench } from '../../testing/mount';
import { WeatherImport } from './weather-import';

const open = (): Promise<Bench<WeatherImport>> => mount(WeatherImport, { space: 'porch' });

const HOURS = [0, 1, 2, 3].map((h) => `2026-04-01 0${h}:00`);
const table = (head: string, cells: readonly string[]): string =>
  [head, ...cells.map((c, i) => `${HOURS[i]!},${c}`)].join('\n');

describe('a table of readings', () => {
  it('becomes one series of the place, with what each column is in', async () => {
    const page = await open();
    await page.pick(table('date,temp F,rh %', ['50,60', '59,55', '68,50', '59,50']));
    expect(page.text).toContain('4 readings from Wed 1 Apr to Wed 1 Apr, one every hour.');
    expect(page.shown('Temperature, unit')).toBe('°F');
    await page.tap('Take these readings');
    expect(page.recorded()).toMatchObject([
      {
        kind: 'series',
        day: '2026-04-01',
        space: 'porch',
        source: 'log.csv',
        start: '2026-04-01T00:00',
        offsets: [0, 60, 120, 180],
        columns: { tempC: [10, 15, 20, 15], rh: [0.6, 0.55, 0.5, 0.5] },
      },
    ]);
    expect(page.all('h3')).toHaveLength(0);
  });

  it('is read anew when a unit is put right or a column left out', async () => {
    const page = await open();
    await page.pick(table('date,temp,rh', ['50,60', '59,55', '68,50', '59,50']));
    await page.fill('Temperature, unit', '°F');
    await page.fill('Humidity', '');
    expect(page.text).toContain('Without humidity: it is filled in from the night’s low');
    await page.tap('Take these readings');
    const [series] = page.recorded() as { columns: { tempC: number[]; rh?: number[] } }[];
    expect(series!.columns.tempC).toEqual([10, 15, 20, 15]);
    // It is not written down as read: it is worked out whenever it is asked for.
    expect(series!.columns).not.toHaveProperty('rh');
  });

  it('asks which is the day where both could be, and takes the answer', async () => {
    const page = await open();
    await page.pick('date,temp\n03/04/2026,10\n04/04/2026,12\n05/04/2026,11\n');
    expect(page.text).toContain('Day and month could be swapped: please check.');
    const shown = (): string => /readings from (.*?),/.exec(page.text)![1]!;
    const before = shown();
    const other = before.includes('Apr') ? 'mdy' : 'dmy';
    await page.fill('Dates are written', other);
    expect(shown()).not.toBe(before);
  });

  it('turns times of another zone into the clock here, and lets them be moved on', async () => {
    const page = await open();
    await page.pick('date,temp\n2026-04-01T10:00Z,10\n2026-04-01T11:00Z,11\n');
    expect(page.text).toContain('They are marked Z');
    await page.fill('Move all times by, hours', '30');
    expect(page.text).toContain('Hours between −26 and 26');
    await page.fill('Move all times by, hours', '2');
    await page.tap('Take these readings');
    const [series] = page.recorded() as { start: string }[];
    const here = new Date('2026-04-01T12:00Z');
    const at = `${here.getHours()}`.padStart(2, '0');
    expect(series!.start.slice(11)).toBe(`${at}:00`);
  });

  it('is refused with its reason, and nothing is taken', async () => {
    const page = await open();
    await page.pick('date,temp\n2026-04-01,10', 'log.csv', 41_000_000);
    expect(page.text).toContain('log.csv is larger than 40 MB. Split it');
    await page.pick('no table at all');
    expect(page.all('[role=alert]')[0]!.textContent.length).toBeGreaterThan(10);
    expect(page.all('h3')).toHaveLength(0);
    expect(page.recorded()).toEqual([]);
  });

  it('says what has no number in it, what no bench has, and is left by Cancel', async () => {
    const page = await open();
    await page.pick(table('date,temp,rh', ['10,50', 'hot,50', '400,50', '12,50']));
    expect(page.text).toMatch(/1 that are no numbers are left out, the first of them “hot”/);
    expect(page.text).toContain('1 values no bench has are left out.');
    await page.tap('Cancel');
    expect(page.all('h3')).toHaveLength(0);
    expect(page.recorded()).toEqual([]);
  });

  it('says so when the open table does not come', async () => {
    const fetched = globalThis.fetch;
    globalThis.fetch = () => Promise.resolve({ ok: false } as Response);
    const page = await open();
    await page.tap('Try the open Seattle weather table');
    expect(page.text).toContain('The table does not come: is the server there?');
    globalThis.fetch = fetched;
    TestBed.resetTestingModule();
  });
});
