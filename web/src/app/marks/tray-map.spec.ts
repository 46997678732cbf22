import { demoJournal } from '@hypogeon/core/demo';
import { fold, type Batch } from '@hypogeon/core/journal';
import { DAY, mount, type Bench } from '../../testing/mount';
import { TrayMap, type PlacesCounted } from './tray-map';

const crowns = fold(demoJournal(DAY)).batches.get('b-19')!;

async function open(batch: Batch = crowns, editable = true) {
  const page = await mount(TrayMap, { batch, piece: 'crown', today: DAY, editable }, []);
  const counted: PlacesCounted[] = [];
  page.fixture.componentInstance.counted.subscribe((c) => counted.push(c));
  return { page, counted };
}

const place = (page: Bench<TrayMap>, n: number): HTMLElement => page.all(`[data-place="${n}"]`)[0]!;

async function press(page: Bench<TrayMap>, key: string): Promise<void> {
  page.all('.tray')[0]!.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
  await page.settle();
}

describe('the tray map', () => {
  it('draws a place for every cutting, in rows that carry letters', async () => {
    const { page } = await open();
    expect(page.all('[data-place]')).toHaveLength(24);
    expect(page.all('.row').map((r) => r.textContent)).toEqual(['A', 'B', 'C']);
    expect(place(page, 0).getAttribute('aria-label')).toBe('A1, rooted');
    expect(place(page, 8).getAttribute('aria-label')).toBe('B1, rotted');
  });

  it('marks places by tap and tells all of them at once', async () => {
    const { page, counted } = await open();
    place(page, 10).click();
    place(page, 11).click();
    place(page, 12).click();
    place(page, 12).click();
    await page.settle();
    expect(page.text).toContain('2 marked:');
    await page.tap(/^dried up/);
    expect(counted).toEqual([{ places: [10, 11], outcome: 'dried' }]);
    expect(page.text).not.toContain('marked:');
  });

  it('walks by arrows within its bounds, and tells the place in focus by its key', async () => {
    const { page, counted } = await open();
    await press(page, 'ArrowLeft');
    await press(page, 'ArrowUp');
    expect(place(page, 0).tabIndex).toBe(0);
    await press(page, 'ArrowRight');
    await press(page, 'ArrowDown');
    expect(place(page, 9).tabIndex).toBe(0);
    expect(page.all('[tabindex="0"]')).toHaveLength(1);
    await press(page, '3');
    expect(counted).toEqual([{ places: [9], outcome: 'rotted' }]);
    await press(page, '8');
    expect(counted).toHaveLength(1);
  });

  it('is only looked at before the cut', async () => {
    const { page, counted } = await open(crowns, false);
    place(page, 3).click();
    await press(page, '1');
    expect(page.text).not.toContain('marked');
    expect(counted).toEqual([]);
  });

  it('draws the first of very many, and says that the others are counted', async () => {
    const one = crowns.cuttings[20]!;
    const many: Batch = {
      ...crowns,
      count: 1000,
      columns: 40,
      cuttings: Array.from({ length: 1000 }, () => one),
    };
    const { page } = await open(many);
    expect(page.all('[data-place]')).toHaveLength(240);
    expect(page.text).toContain('760 more are counted, but not drawn.');
  });

  it('shows as many pots as were potted on', async () => {
    const { page } = await open({ ...crowns, potted: 3 });
    const potted = page
      .all('[data-place]')
      .filter(
        (c) =>
          c.ariaLabel?.includes('potted') ?? c.getAttribute('aria-label')!.includes('potted on'),
      );
    expect(potted).toHaveLength(3);
  });
});

describe('a tray shared with others', () => {
  it('names and places cuttings by their cells, and arrows go to the nearest own one', async () => {
    const { page } = await open({
      ...crowns,
      cells: [1, 3, 10, 12],
      columns: 8,
      count: 4,
      cuttings: crowns.cuttings.slice(0, 4),
    });
    const cells = page.all('[data-place]');
    expect(cells.map((c) => c.getAttribute('aria-label')!.split(',')[0])).toEqual([
      'A2',
      'A4',
      'B3',
      'B5',
    ]);
    expect(cells[2]!.style.gridRow).toBe('2');
    expect(cells[2]!.style.gridColumn).toBe('4');
    cells[0]!.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', bubbles: true }));
    await page.settle();
    expect(page.all('[data-place][tabindex="0"]')[0]!.getAttribute('aria-label')).toContain('B3');
  });
});
