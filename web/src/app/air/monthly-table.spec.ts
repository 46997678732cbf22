import type { MonthAir } from '@hypogeon/core/climate';
import { mount, type Bench } from '../../testing/mount';
import { MonthlyTable } from './monthly-table';

const YEAR: readonly MonthAir[] = Array.from({ length: 12 }, (_, m) => ({
  minC: 5 + m,
  maxC: 15 + m,
  rh: 0.6,
  windMps: 2,
}));

async function open(
  monthly: readonly MonthAir[] | null,
): Promise<{ page: Bench<MonthlyTable>; told: (MonthAir[] | null)[] }> {
  const page = await mount(MonthlyTable, { monthly });
  const told: (MonthAir[] | null)[] = [];
  page.fixture.componentInstance.changed.subscribe((year) => told.push(year));
  return { page, told };
}

describe('the usual year by month', () => {
  it('is used once all twelve months are there', async () => {
    const { page, told } = await open(null);
    expect(page.text).toContain('Not told.');
    for (const [m, name] of page
      .all('tbody tr')
      .map((tr) => tr.querySelector('th')!.textContent.trim())
      .entries()) {
      expect(told).toEqual([]);
      await page.fill(`${name}, mean low`, `${m}`);
      await page.fill(`${name}, mean high`, `${m + 10}`);
      await page.fill(`${name}, humidity`, '55');
      if (m === 0) expect(page.text).toContain('11 months still to fill');
    }
    expect(told).toHaveLength(1);
    expect(told[0]![11]).toEqual({ minC: 11, maxC: 21, rh: 0.55 });
  });

  it('says which month is wrong, and keeps what was typed', async () => {
    const { page, told } = await open(YEAR);
    expect(page.text).toContain('Whole: in use.');
    await page.fill('March, mean low', '40');
    expect(page.text).toContain('March: the low is above the high');
    expect(page.field('March, mean low').value).toBe('40');
    await page.fill('March, mean low', '7');
    await page.fill('May, humidity', '140');
    expect(page.text).toContain('May: humidity from 1 to 100%.');
    await page.fill('May, humidity', '45');
    expect(told.at(-1)![4]).toEqual({ minC: 9, maxC: 19, rh: 0.45, windMps: 2 });
  });

  it('leaves months that were not touched as they are, guesses too; one that is typed is a guess no more', async () => {
    const guessed = YEAR.map((month) => ({ ...month, minC: month.minC + 0.04, spreadC: 1.5 }));
    const { page, told } = await open(guessed);
    await page.fill('March, mean low', '6');
    expect(told.at(-1)![2]).toEqual({ minC: 6, maxC: 17, rh: 0.6, windMps: 2 });
    expect(told.at(-1)![3]).toEqual(guessed[3]);
  });

  it('takes a temperature in the other unit, and forgets the year when all is emptied', async () => {
    const { page, told } = await open(YEAR);
    await page.fill('January, mean low', '41 F');
    expect(told.at(-1)![0]!.minC).toBe(5);
    for (const box of page.all('input:not([type=file])') as HTMLInputElement[]) {
      box.value = '';
      box.dispatchEvent(new Event('change'));
    }
    await page.settle();
    expect(told.at(-1)).toBeNull();
  });

  it('comes from a file of twelve months, and says why it does not', async () => {
    const { page, told } = await open(null);
    await page.pick('month,low,high\n1,2');
    expect(page.all('[role=alert]')).toHaveLength(1);
    expect(told).toEqual([]);
    const rows = YEAR.map((y, m) => `${m + 1},${y.minC},${y.maxC},60`);
    await page.pick(['month,min,max,rh', ...rows].join('\n'));
    expect(told.at(-1)).toHaveLength(12);
    expect(told.at(-1)![6]).toMatchObject({ minC: 11, maxC: 21, rh: 0.6 });
  });
});
