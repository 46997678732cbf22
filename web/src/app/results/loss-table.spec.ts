import type { LossGroup } from '@hypogeon/core/ledger';
import { mount, type Bench } from '../../testing/mount';
import { LossTable } from './loss-table';

const group = (name: string, rotted: number, told: number): LossGroup =>
  ({
    name,
    told,
    count: { rotted, dried: 1, lost: 0 },
    lost: told === 0 ? null : { share: (rotted + 1) / told, low: 0.1, high: 0.4 },
  }) as unknown as LossGroup;

const open = (rows: readonly LossGroup[]): Promise<Bench<LossTable>> =>
  mount(LossTable, { heading: 'By plant', rows });

describe('what groups lost', () => {
  it('is a row each, the share with its range, drawn to the same scale', async () => {
    const page = await open([group('Ghost plant', 3, 20)]);
    expect(page.text).toContain('Lost in all');
    expect(page.text).toContain('10–40%');
    const [range] = page.all('tbody i');
    expect(range!.style.left).toBe('10%');
    expect(range!.style.right).toBe('60%');
    expect(page.all('tbody em')[0]!.style.left).toBe('20%');
  });

  it('draws nothing where nothing is settled, and says when there is nothing at all', async () => {
    const page = await open([group('Ox tongue', 0, 0)]);
    expect(page.all('tbody i')).toHaveLength(0);
    expect(page.text).not.toContain('NaN');
    expect((await open([])).text).toContain('Nothing told yet.');
  });

  it('is put in order by a heading, what is unknown last', async () => {
    const page = await open([group('A', 0, 0), group('B', 1, 20), group('C', 9, 20)]);
    const names = (): string[] => page.all('tbody th').map((th) => th.textContent.trim());
    const head = page.all('thead th').find((th) => th.textContent.includes('Lost in all'))!;
    const sort = head.querySelector<HTMLElement>('.mat-sort-header-container')!;
    sort.click();
    await page.settle();
    const once = names();
    sort.click();
    await page.settle();
    const twice = names();
    expect(once.at(-1)).toBe('A');
    expect(twice.at(-1)).toBe('A');
    expect(once.slice(0, 2)).toEqual([...twice.slice(0, 2)].reverse());
  });
});
