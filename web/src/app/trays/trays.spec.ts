import { mount, type Bench } from '../../testing/mount';
import { TrayPage } from './tray-page';
import { TraysPage } from './trays-page';

const open = (): Promise<Bench<TrayPage>> => mount(TrayPage, { id: 't-mat' });
const cell = (page: Bench<TrayPage>, name: string): HTMLElement =>
  page.all('[data-cell]').find((c) => c.getAttribute('aria-label')!.startsWith(`${name}, `))!;

describe('the trays', () => {
  it('stand by their bench with what they hold', async () => {
    const page = await mount(TraysPage);
    expect(page.text).toMatch(/Mat tray ?Tray with cells, 5 × 8 ?\d+ in 2 batches/);
  });

  it('are added with a name and a kind', async () => {
    const page = await mount(TraysPage);
    await page.tap('Add a tray');
    await page.tap('Add it');
    expect(page.text).toContain('It needs a name');
    await page.fill('What it is called', 'Jar by the tap');
    await page.fill('What it is', 'jar');
    await page.tap('Add it');
    expect(page.recorded()).toMatchObject([
      { kind: 'put', record: 'tray', fields: { name: 'Jar by the tap', kind: 'jar' } },
    ]);
  });
});

describe('a tray', () => {
  it('says of every cell who sits there', async () => {
    const page = await open();
    expect(page.all('[data-cell]')).toHaveLength(40);
    expect(cell(page, 'A1').getAttribute('aria-label')).toMatch(/^A1, Jelly beans, crowns, /);
    expect(cell(page, 'E8').getAttribute('aria-label')).toBe('E8, free');
  });

  it('moves a cutting by two taps, and Escape puts it back', async () => {
    const page = await open();
    cell(page, 'A1').click();
    await page.settle();
    expect(page.text).toContain('In the hand.');
    cell(page, 'A1').dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }));
    await page.settle();
    expect(page.text).not.toContain('In the hand.');
    cell(page, 'A1').click();
    await page.settle();
    cell(page, 'E8').click();
    await page.settle();
    expect(cell(page, 'E8').getAttribute('aria-label')).toMatch(/^E8, Jelly beans, crowns/);
    expect(page.recorded()).toHaveLength(1);
  });

  it('takes another batch in where there is room, and says where there is none', async () => {
    const page = await open();
    await page.tap(/^Put in: Ghost plant, leaves/);
    expect(page.text).toMatch(/40 want a cell, and \d+ are free/);
    await page.tap('Take out: Snowball bowl, crowns');
    expect(page.recorded()).toMatchObject([
      { kind: 'put', record: 'batch', key: 'b-20', fields: { tray: null, place: 'Mat tray' } },
    ]);
  });

  it('is not resized over what sits in it, nor put away full', async () => {
    const page = await open();
    await page.fill('Cells in a row', '6');
    await page.tap('Change');
    expect(page.text).toContain('Its rows are laid out already.');
    await page.tap('Put away');
    expect(page.text).toContain('Something stands in it.');
    expect(page.recorded()).toEqual([]);
  });

  it('is carried with all that stand in it', async () => {
    const page = await open();
    await page.fill('Stands in', 'shelf');
    const { trays, batches } = page.journal.state();
    expect(trays.get('t-mat')!.space).toBe('shelf');
    expect(['b-19', 'b-20'].map((id) => batches.get(id)!.space)).toEqual(['shelf', 'shelf']);
  });

  it('is walked by the arrows, no further than its edge', async () => {
    const page = await open();
    const press = async (from: string, key: string): Promise<string> => {
      cell(page, from).dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
      await page.settle();
      const at = document.activeElement?.getAttribute('aria-label') ?? '';
      return at.split(',')[0]!;
    };
    cell(page, 'A1').focus();
    expect(await press('A1', 'ArrowRight')).toBe('A2');
    expect(await press('A2', 'ArrowDown')).toBe('B2');
    expect(await press('B2', 'ArrowLeft')).toBe('B1');
    expect(await press('B1', 'ArrowUp')).toBe('A1');
    expect(await press('A1', 'ArrowUp')).toBe('A1');
  });

  it('two cuttings change places where both cells are taken', async () => {
    const page = await open();
    const said = (name: string): string => cell(page, name).getAttribute('aria-label')!.slice(4);
    const taken = page
      .all('[data-cell]')
      .map((c) => c.getAttribute('aria-label')!)
      .filter((label) => !label.endsWith('free'))
      .map((label) => label.split(',')[0]!);
    const [one] = taken;
    const other = taken.find((name) => said(name) !== said(one!))!;
    const [a, b] = [said(one!), said(other)];
    cell(page, one!).click();
    await page.settle();
    cell(page, other).click();
    await page.settle();
    expect([said(one!), said(other)]).toEqual([b, a]);
  });

  it('takes a batch in from its first free cell on', async () => {
    const page = await open();
    const free = (): number =>
      page.all('[data-cell]').filter((c) => c.getAttribute('aria-label')!.endsWith('free')).length;
    const before = free();
    const put = page
      .all('button')
      .map((b) => b.getAttribute('aria-label') ?? '')
      .filter((n) => n.startsWith('Put in: '));
    for (const name of put) {
      await page.tap(name);
      if (free() < before) break;
    }
    expect(free()).toBeLessThan(before);
    expect(page.recorded().length).toBeGreaterThan(0);
  });
});
