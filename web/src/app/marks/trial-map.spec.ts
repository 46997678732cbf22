import { mount, type Bench } from '../../testing/mount';
import { FRESH } from './mark-state';
import { armLetter, TrialMap, type TrialCell } from './trial-map';

const cells = (count: number): readonly TrialCell[] =>
  Array.from({ length: count }, (_, i) => ({
    arm: i % 3,
    mark: i === 0 ? FRESH : null,
    says: `cell ${i + 1}`,
  }));
const open = (count: number, columns: number): Promise<Bench<TrialMap>> =>
  mount(TrialMap, { cells: cells(count), columns });

describe('the tray of a trial', () => {
  it('has the letter of the arm in every cell, row by row as the lot fell', async () => {
    const page = await open(10, 4);
    expect(page.all('thead th').map((th) => th.textContent.trim())).toEqual([
      'Row',
      '1',
      '2',
      '3',
      '4',
    ]);
    const rows = page
      .all('tbody tr')
      .map((tr) => [...tr.querySelectorAll('b')].map((b) => b.textContent).join(''));
    expect(rows).toEqual(['ABCA', 'BCAB', 'CA']);
  });

  it('draws what became of a cell, and says each in words', async () => {
    const page = await open(3, 3);
    expect(page.all('hy-mark')).toHaveLength(1);
    expect(page.all('td .unseen').map((s) => s.textContent)).toEqual([
      'cell 1',
      'cell 2',
      'cell 3',
    ]);
  });

  it('of very many is drawn in part, and that is said', async () => {
    const page = await open(640, 20);
    expect(page.all('td')).toHaveLength(600);
    expect(page.text).toContain('40 more cells are drawn by the same lot.');
  });

  it('has no more columns than cells', async () => {
    const page = await open(2, 8);
    expect(page.all('thead th')).toHaveLength(3);
    expect([0, 1, 25].map(armLetter)).toEqual(['A', 'B', 'Z']);
  });
});
