import { mount, type Bench } from '../../testing/mount';
import { BenchSheetPage } from './bench-sheet-page';

/** 24 sedum crowns: 8 rooted, 1 rotted, 15 waiting at the last count. */
const CODE = 'SED-UMZ';

async function typing(): Promise<Bench<BenchSheetPage>> {
  const page = await mount(BenchSheetPage);
  await page.tap('Type it in');
  return page;
}

describe('the pencil sheet', () => {
  it('has a row for every batch that can be counted, bench by bench', async () => {
    const page = await mount(BenchSheetPage);
    expect(page.all('h2').map((h) => h.textContent.trim())).toEqual([
      'Lean-to',
      'Warm shelf',
      'North porch',
    ]);
    const row = page.all('tbody tr').find((r) => r.textContent.includes(CODE))!;
    expect(row.textContent).toContain('Mat tray');
    expect([...row.querySelectorAll('small')].slice(0, 3).map((s) => s.textContent)).toEqual([
      '8',
      '0',
      '1',
    ]);
  });

  it('what was pencilled in becomes counts, cells left empty stay', async () => {
    const page = await typing();
    await page.fill(`Rooted, ${CODE}`, '11');
    await page.tap(/^Save/);
    expect(page.recorded()).toMatchObject([
      { kind: 'tally', batch: 'b-19', counts: { rooted: 11, pupped: 0, rotted: 1 } },
    ]);
  });

  it.each([
    ['some', '“some” is not a whole number.'],
    ['30', '31'],
  ])('“%s” is told in its row, kept as typed and not saved', async (typed, says) => {
    const page = await typing();
    await page.fill(`Rooted, ${CODE}`, typed);
    const alert = page
      .all('[role=alert]')
      .map((a) => a.textContent)
      .join(' ');
    expect(alert).toContain(says);
    expect(page.field(`Rooted, ${CODE}`).getAttribute('aria-invalid')).toBe('true');
    expect(page.field(`Rooted, ${CODE}`).value).toBe(typed);
    expect(page.recorded()).toEqual([]);
  });
});
