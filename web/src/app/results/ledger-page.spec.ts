import { mount } from '../../testing/mount';
import { LedgerPage } from './ledger-page';

describe('the ledger', () => {
  it('adds up: what became of everything that was stuck', async () => {
    const page = await mount(LedgerPage);
    const [stuck] = /Of (\d+) cuttings set/.exec(page.text)!.slice(1).map(Number);
    const parts = page.all('.overall dd').map((dd) => parseInt(dd.textContent, 10));
    expect(parts).toHaveLength(6);
    expect(parts.reduce((a, b) => a + b)).toBe(stuck);
    expect(page.text).toContain('86 more are cut and still callus.');
    expect(page.text).toContain('2 batches had water before it was safe.');
  });

  it('gives every share its interval', async () => {
    const page = await mount(LedgerPage);
    const row = page
      .all('.ledger tbody tr')
      .find((tr) => tr.textContent.includes('Zebra clump, offsets'))!;
    expect(row.textContent).toMatch(/89% \(36–99\)/);
  });

  it.each([
    ['method', 'Leaf section'],
    ['plant', 'Pachyphytum oviferum'],
    ['school', 'Dry to the touch'],
  ])('groups by %s, with the same total', async (by, name) => {
    const page = await mount(LedgerPage);
    const total = (): number =>
      page
        .all('.ledger tbody tr')
        .reduce((sum, tr) => sum + Number(tr.querySelectorAll('td')[0]!.textContent), 0);
    const before = total();
    await page.fill('A row for each', by);
    expect(page.text).toContain(name);
    expect(total()).toBe(before);
  });

  it('draws all together, and the plate of the batch that is picked, with a table of the same', async () => {
    const page = await mount(LedgerPage);
    const heads = (): string[] => page.all('summary').map((h) => h.textContent.trim());
    const last = (): number[] =>
      [...page.all('hy-chart tbody tr').at(-1)!.querySelectorAll('td')].map((td) =>
        Number(td.textContent),
      );
    await page.unfold();
    // The table twin stands in a fold of its own, inside.
    await page.unfold();
    expect(heads()).toContain('Roots over time: all batches');
    await page.fill('Batch shown', 'b-09');
    expect(heads()).toContain('Roots over time: Ox tongue, sections');
    expect(last()).toEqual([17, 17, 3, 2, 0, 2]);
    const rooted = page
      .all('hy-chart tbody tr')
      .map((tr) => Number(tr.querySelectorAll('td')[0]!.textContent));
    for (let i = 1; i < rooted.length; i++)
      expect(rooted[i]!).toBeGreaterThanOrEqual(rooted[i - 1]!);
  });

  it('keeps to the batches asked for, on all pages, until it is taken off', async () => {
    const page = await mount(LedgerPage);
    const stuck = (): number => Number(/Of (\d+) cuttings set/.exec(page.text)![1]);
    const all = stuck();
    await page.fill('Only by', 'method');
    await page.fill('Which method', 'Leaf');
    expect(stuck()).toBeLessThan(all);
    expect(page.text).toContain('Roots over time: Leaf');
    expect(page.all('.ledger tbody tr').every((tr) => tr.textContent.includes('leaves'))).toBe(
      true,
    );
    expect(page.stores.draft('ledger')).toEqual({ method: 'Leaf' });
    await page.tap('All again, not only Leaf');
    expect(stuck()).toBe(all);
  });

  it('says what to do while there is nothing', async () => {
    expect((await mount(LedgerPage, {}, [])).text).toContain('Nothing counted yet');
  });
});
