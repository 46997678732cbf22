import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { mount, type Bench } from '../../testing/mount';
import { AirPage } from './air-page';

const SEATTLE = readFileSync(
  join(__dirname, '../../../public/samples/seattle-weather.csv'),
  'utf8',
);

const open = (id = 'porch'): Promise<Bench<AirPage>> => mount(AirPage, { id });

describe('the air of a place', () => {
  beforeAll(() => {
    globalThis.ResizeObserver = class {
      observe = (): void => undefined;
      disconnect = (): void => undefined;
      unobserve = (): void => undefined;
    };
    Object.defineProperty(document, 'fonts', { value: { ready: Promise.resolve() } });
  });

  it('says what a wet surface loses there, and where the figures come from', async () => {
    const page = await open('leanto');
    expect(page.text).toMatch(/[\d.]+ mm a day ?a wet surface loses/);
    expect(page.text).toContain('From: reading.');
  });

  it('moves with light, lamps, mat and lid', async () => {
    const page = await open();
    const mm = (): number => Number(/([\d.]+) mm a day ?a wet surface/.exec(page.text)![1]);
    const plain = mm();
    await page.fill('Light', 'open-sun');
    expect(mm()).toBeGreaterThan(3 * plain);
    page.all('input[type=checkbox]')[0]!.click();
    await page.settle();
    expect(mm()).toBeLessThan(4 * plain + 4);
    await page.fill('Lamps on, hours a day', '30');
    expect(page.text).toContain('Between 0 and 24, or nothing.');
    await page.fill('Latitude, degrees (optional)', '-95');
    expect(page.text).toContain('south negative.');
    expect(page.recorded()).toHaveLength(2);
  });

  it('reads the open Seattle table, fills the humidity and makes a usual year of it', async () => {
    const page = await open();
    await page.pick(SEATTLE);
    expect(page.text).toContain('log.csv: 1,461 rows');
    expect(page.text).toContain(
      '1,461 readings from Sun 1 Jan 2012 to Thu 31 Dec 2015, one every day',
    );
    expect(page.text).toContain('filled in from the night’s low (FAO-56, eq. 48)');
    await page.tap('Take these readings');
    expect(page.recorded()).toHaveLength(1);
    expect(page.text).toContain('on 1,461 of them the humidity is filled in');
    await page.tap('Make it from the readings here');
    const monthly = page.journal.state().spaces.get('porch')!.monthly!;
    expect(monthly).toHaveLength(12);
    expect(page.text).toContain('Whole: in use.');
    await page.unfold();
    expect(page.all('hy-chart tbody tr').length).toBeGreaterThan(5);
  });

  it('shows duplicates, gaps and broken rows before it takes anything', async () => {
    const page = await open();
    await page.pick(
      'date,temp\n2026-04-01 00:00,10\n2026-04-01 01:00,11\n2026-04-01 01:00,12\nbroken,1\n2026-04-01 02:00,11\n2026-04-03 02:00,9\n',
    );
    expect(page.text).toContain('1 of them twice: the later one stands');
    expect(page.text).toContain('Gaps: 1–3 Apr (48 h)');
    expect(page.text).toContain('Line 5: “broken” is no date of this order.');
    expect(page.recorded()).toEqual([]);
    await page.tap('Cancel');
    expect(page.text).not.toContain('Take these readings');
  });

  it('lets columns and units be put right', async () => {
    const page = await open();
    await page.pick('when,a,b\n4/9/2026,50,0.6\n5/9/2026,52,0.7\n');
    expect(page.text).toContain('Nothing in it can be read so.');
    await page.fill('Temperature', '1');
    await page.fill('Temperature, unit', '°F');
    await page.fill('Humidity', '2');
    await page.fill('Humidity, unit', '0–1');
    expect(page.text).toContain('Day and month could be swapped: please check.');
    await page.fill('Dates are written', 'mdy');
    expect(page.text).toContain('2 readings from Thu 9 Apr to Sat 9 May');
    await page.tap('Take these readings');
    expect(page.recorded()).toMatchObject([
      {
        kind: 'series',
        start: '2026-04-09T00:00',
        columns: { tempC: [10, 11.1111], rh: [0.6, 0.7] },
      },
    ]);
  });

  it('a file without a table changes nothing', async () => {
    const page = await open();
    await page.pick('');
    expect(page.text).toContain('There is no table in this file:');
  });

  it('a usual year is taken once it is whole, and wrong months are named', async () => {
    const page = await open();
    const cell = (label: string, value: string): Promise<void> => page.fill(label, value);
    await cell('January, mean low', '12');
    await cell('January, mean high', '4');
    expect(page.text).toContain('January: the low is above the high');
    await cell('January, mean high', '18');
    await cell('January, humidity', '140');
    expect(page.text).toContain('January: humidity from 1 to 100%.');
    await cell('January, humidity', '70');
    expect(page.text).toContain('11 months still to fill');
    expect(page.recorded()).toEqual([]);
  });

  it('or comes from a file of twelve rows', async () => {
    const page = await open();
    const give = async (text: string): Promise<void> => {
      const file = page.all('hy-monthly-table input[type=file]')[0] as HTMLInputElement;
      Object.defineProperty(file, 'files', {
        value: [{ name: 'y.csv', text: () => Promise.resolve(text) }],
        configurable: true,
      });
      file.dispatchEvent(new Event('change'));
      await page.settle();
    };
    await give('tmin,tmax\n1,2\n');
    expect(page.text).toContain('Twelve rows were expected');
    const rows = Array.from({ length: 12 }, (_, m) => `${m},${m + 9},60`);
    await give(`tmin,tmax,rh\n${rows.join('\n')}\n`);
    expect(page.text).toContain('Whole: in use.');
    expect(page.journal.state().spaces.get('porch')!.monthly![11]).toEqual({
      minC: 11,
      maxC: 20,
      rh: 0.6,
    });
  });

  it('no such place', async () => {
    expect((await open('nowhere')).text).toContain('No such place');
  });
});
