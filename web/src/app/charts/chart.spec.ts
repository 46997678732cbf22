import { mount } from '../../testing/mount';
import { Chart } from './chart';
import type { ChartModel } from './chart-model';

const model: ChartModel = {
  says: 'Three days',
  stops: [0, 1, 2].map((x) => ({ x, says: `Day ${x}: ${x * 10}.` })),
  table: { header: ['Day', 'Count'], rows: [0, 1, 2].map((x) => [x, x * 10]) },
  option: () => ({ xAxis: {}, yAxis: {}, grid: {}, series: [] }),
};

const open = () => mount(Chart, { name: 'Counts', model }, []);

describe('a chart', () => {
  it('is a picture with words, and is read by the arrow keys', async () => {
    const page = await open();
    const place = page.all('.place')[0]!;
    expect(place.getAttribute('aria-label')).toBe('Three days');
    const press = async (key: string): Promise<string> => {
      place.dispatchEvent(new KeyboardEvent('keydown', { key }));
      await page.settle();
      return page.all('[aria-live]')[0]!.textContent;
    };
    expect(await press('ArrowRight')).toBe('Day 0: 0.');
    expect(await press('ArrowRight')).toBe('Day 1: 10.');
    expect(await press('End')).toBe('Day 2: 20.');
    expect(await press('ArrowRight')).toBe('Day 2: 20.');
    expect(await press('Home')).toBe('Day 0: 0.');
    expect(await press('Escape')).toBe('');
    expect(await press('ArrowLeft')).toBe('Day 2: 20.');
  });

  it('has the same as a table once it is asked for', async () => {
    const page = await open();
    expect(page.all('hy-table')).toHaveLength(0);
    const box = page.all('details')[0] as HTMLDetailsElement;
    box.open = true;
    box.dispatchEvent(new Event('toggle'));
    await page.settle();
    expect(page.all('tbody tr')).toHaveLength(3);
    expect(page.text).toContain('CSV');
  });

  it('has days in its table as they are read here', async () => {
    const rows = [
      ['2026-04-12', 3],
      ['2027-01-02', 5],
    ];
    const page = await mount(
      Chart,
      { name: 'Counts', model: { ...model, table: { header: ['Day', 'Count'], rows } } },
      [],
    );
    const box = page.all('details')[0] as HTMLDetailsElement;
    box.open = true;
    box.dispatchEvent(new Event('toggle'));
    await page.settle();
    expect(page.all('tbody th').map((th) => th.textContent.trim())).toEqual([
      'Sun 12 Apr',
      'Sat 2 Jan 2027',
    ]);
  });
});
