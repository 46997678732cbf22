import { mount } from '../../testing/mount';
import { LedgerPage } from './ledger-page';

describe('the ledger', () => {
  it('adds up: what became of everything that was stuck', async () => {
    const page = await mount(LedgerPage);
    const [stuck] = /Of (\d+) cuttings stuck/.exec(page.text)!.slice(1).map(Number);
    const parts = page.all('.overall dd').map((dd) => parseInt(dd.textContent, 10));
    expect(parts).toHaveLength(6);
    expect(parts.reduce((a, b) => a + b)).toBe(stuck);
    expect(page.text).toContain('86 more are cut and still callus.');
    expect(page.text).toContain('2 batches had water before the gate opened.');
  });

  it('gives every share its interval', async () => {
    const page = await mount(LedgerPage);
    const row = page
      .all('.ledger tbody tr')
      .find((tr) => tr.textContent.includes('Haworthiopsis'))!;
    expect(row.textContent).toMatch(/89 % \(57–98\)/);
  });

  it.each([
    ['method', 'Leaf section'],
    ['plant', 'Pachyphytum oviferum'],
    ['school', 'Dry to touch'],
  ])('groups by %s, with the same total', async (by, name) => {
    const page = await mount(LedgerPage);
    const total = (): number =>
      page
        .all('.ledger tbody tr')
        .reduce((sum, tr) => sum + Number(tr.querySelectorAll('td')[0]!.textContent), 0);
    const before = total();
    await page.tap(by);
    expect(page.text).toContain(name);
    expect(total()).toBe(before);
  });

  it('draws the plate of the batch that is picked, with a table of the same', async () => {
    const page = await mount(LedgerPage);
    await page.fill('Batch shown', 'b-09');
    expect(page.all('h2').some((h) => h.textContent === 'Emergence of Gasteria sections')).toBe(
      true,
    );
    const rows = page
      .all('details tbody tr')
      .map((tr) => [...tr.querySelectorAll('td')].map((td) => Number(td.textContent)));
    expect(rows.at(-1)!.slice(1)).toEqual([17, 17, 2]);
    for (let i = 1; i < rows.length; i++)
      expect(rows[i]![1]!).toBeGreaterThanOrEqual(rows[i - 1]![1]!);
  });

  it('says what to do while there is nothing', async () => {
    expect((await mount(LedgerPage, {}, [])).text).toContain('Nothing counted yet');
  });
});
