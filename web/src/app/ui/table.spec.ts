import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { MatSortHarness } from '@angular/material/sort/testing';
import { MatTableHarness } from '@angular/material/table/testing';
import { mount } from '../../testing/mount';
import type { Column } from './column';
import { Table } from './table';

interface Row {
  readonly name: string;
  readonly set: number | null;
}

const COLUMNS: readonly Column<Row>[] = [
  { key: 'name', head: 'Tray', text: (r) => r.name, sort: (r) => r.name },
  { key: 'set', head: 'Set', number: true, text: (r) => `${r.set ?? ''}`, sort: (r) => r.set },
  { key: 'go', head: 'Change', act: true, text: () => 'Change' },
];
const ROWS: readonly Row[] = [
  { name: 'Tray 10', set: 4 },
  { name: 'Tray 9', set: null },
  { name: '=Sill', set: 40 },
];

async function open(rows: readonly Row[] = ROWS) {
  const page = await mount(Table<Row>, { name: 'My trays', columns: COLUMNS, rows }, []);
  const loader = TestbedHarnessEnvironment.loader(page.fixture);
  const names = (): string[] =>
    [...page.root.querySelectorAll('tbody th')].map((th) => th.textContent.trim());
  const sortBy = async (head: string): Promise<void> => {
    const sort = await loader.getHarness(MatSortHarness);
    const [header] = await sort.getSortHeaders({ label: head });
    await header!.click();
    await page.settle();
  };
  return Object.assign(page, { loader, names, sortBy });
}

describe('a table', () => {
  it('keeps the order it was given until a heading is asked', async () => {
    const page = await open();
    expect(page.names()).toEqual(['Tray 10', 'Tray 9', '=Sill']);
    const table = await page.loader.getHarness(MatTableHarness);
    const [head] = await table.getHeaderRows();
    expect(await head!.getCellTextByIndex()).toEqual(['Tray', 'Set', 'Change']);
  });

  it('sorts figures as figures, names with their numbers, and leaves the unknown last both ways', async () => {
    const page = await open();
    await page.sortBy('Set');
    expect(page.names()).toEqual(['Tray 10', '=Sill', 'Tray 9']);
    await page.sortBy('Set');
    expect(page.names()).toEqual(['=Sill', 'Tray 10', 'Tray 9']);
    await page.sortBy('Tray');
    expect(page.names()).toEqual(['=Sill', 'Tray 9', 'Tray 10']);
  });

  it('names every row by its first cell and every figure by its column', async () => {
    const page = await open();
    expect(page.root.querySelectorAll('tbody th[scope=row]')).toHaveLength(3);
    expect(page.root.querySelector<HTMLElement>('tbody td')!.dataset.name).toBe('Set');
    expect(page.root.querySelector('caption')!.textContent.trim()).toBe('My trays');
  });

  it('draws only what is in sight once there are many', async () => {
    const rows = Array.from({ length: 2000 }, (_, n) => ({ name: `Tray ${n}`, set: n }));
    const page = await open(rows);
    expect(page.root.querySelector('cdk-virtual-scroll-viewport')).not.toBeNull();
    expect(page.root.querySelectorAll('tbody tr').length).toBeLessThan(200);
  });
});
