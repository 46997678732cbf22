import { mount, type Bench } from '../../testing/mount';
import { BenchSheetPage } from './bench-sheet-page';
import { WalkPage } from './walk-page';

const begun = async (): Promise<Bench<WalkPage>> => {
  const page = await mount(WalkPage);
  await page.tap('Begin');
  return page;
};

async function key(page: Bench<unknown>, key: string, code = key): Promise<void> {
  document.dispatchEvent(new KeyboardEvent('keydown', { code, key }));
  await page.settle();
}

const heading = (page: Bench<unknown>): string => page.all('h1')[0]!.textContent;

/** Goes on until a tray is reached. */
async function walkTo(page: Bench<WalkPage>, tray: string): Promise<void> {
  for (let n = 0; n < 40 && heading(page) !== tray; n++) await key(page, 'Enter');
  expect(heading(page)).toBe(tray);
}

describe('walking the benches', () => {
  it('goes tray by tray and says where it is', async () => {
    const page = await begun();
    expect(page.text).toMatch(/1 of \d+/);
    const first = heading(page);
    await key(page, 'Enter');
    expect(heading(page)).not.toBe(first);
    await page.tap('Back');
    expect(heading(page)).toBe(first);
  });

  it('counts by keys and saves at the next stop', async () => {
    const page = await begun();
    await walkTo(page, 'Mat tray');
    await key(page, '1', 'Digit1');
    await key(page, '3', 'Digit3');
    await page.tap('Save, next');
    expect(page.recorded()).toEqual([
      {
        kind: 'tally',
        batch: 'b-19',
        day: '2026-04-09',
        counts: { rooted: 9, pupped: 0, rotted: 2, dried: 0, lost: 0 },
      },
    ]);
  });

  it('takes “no change” as the count it is', async () => {
    const page = await begun();
    await walkTo(page, 'Mat tray');
    await key(page, '6', 'Digit6');
    expect(page.recorded()).toMatchObject([{ kind: 'tally', counts: { rooted: 8, rotted: 1 } }]);
  });

  it('does not hand out keys where a look would come too soon', async () => {
    const page = await begun();
    expect(page.text).toContain('No count is due: each look sets roots back.');
    expect(page.all('hy-tally-keys')).toHaveLength(0);
    await page.tap('Count anyway');
    expect(page.all('hy-tally-keys')).toHaveLength(1);
  });

  it('asks about a count that contradicts the last', async () => {
    const page = await begun();
    await walkTo(page, 'Mat tray');
    await page.tap('One less Rotted');
    expect(page.text).toContain('A loss does not come back.');
    await page.tap('Save, next');
    expect(page.recorded()).toEqual([]);
    await page.tap('miscounted');
    await page.tap('Save, next');
    expect(page.recorded()).toMatchObject([{ recount: 'miscounted' }]);
  });

  it('is kept where it was interrupted, the count under way too', async () => {
    const page = await begun();
    await walkTo(page, 'Mat tray');
    await key(page, '1', 'Digit1');
    expect(page.stores.draft('walk')).toMatchObject({ at: 'b-19', counts: { rooted: 9 } });
  });

  it('may be back-dated, but not into the future', async () => {
    const page = await begun();
    await walkTo(page, 'Mat tray');
    await page.fill('Walked on', '2026-04-20');
    expect(page.text).toContain('That day is still to come.');
    await page.fill('Walked on', '2026-04-08');
    await key(page, '6', 'Digit6');
    expect(page.recorded()).toMatchObject([{ kind: 'tally', day: '2026-04-08' }]);
  });

  it('ends with what it changed, and is remembered', async () => {
    const page = await begun();
    await walkTo(page, 'Mat tray');
    await key(page, '1', 'Digit1');
    await walkTo(page, 'Walked through');
    expect(page.text).toContain('1 of');
    expect(page.text).toMatch(/\+1 with roots/);
    await page.tap('Finish the walk');
    expect(page.recorded()).toContainEqual(
      expect.objectContaining({ kind: 'walked', day: '2026-04-09' }),
    );
    expect(page.text).toContain('Walk the benches');
  });
});

describe('the pencil sheet', () => {
  it('lists every batch to be counted in the order of the walk, with its last count', async () => {
    const page = await mount(BenchSheetPage);
    const row = page.all('tbody tr').find((r) => r.textContent.includes('Jelly beans, crowns'))!;
    expect(row.textContent.replace(/\s+/g, ' ')).toMatch(
      /Mat tray Jelly beans, crowns SED-\w{3} ?24 ?8 ?0 ?1/,
    );
  });

  it('is typed in afterwards; empty cells stay, and all is saved together', async () => {
    const page = await mount(BenchSheetPage);
    await page.tap('Type it in');
    const code = page
      .all('tbody tr')
      .find((r) => r.textContent.includes('Jelly beans, crowns'))!
      .querySelector('.code')!.textContent;
    await page.fill(`Rooted, ${code}`, '11');
    await page.fill(`Rotted, ${code}`, 'x');
    expect(page.text).toContain('“x” is not a whole number.');
    await page.fill(`Rotted, ${code}`, '30');
    expect(page.text).toContain('Take 17 off.');
    await page.fill(`Rotted, ${code}`, '');
    await page.tap('Save one count');
    expect(page.recorded()).toMatchObject([
      { kind: 'tally', batch: 'b-19', counts: { rooted: 11, rotted: 1 } },
    ]);
  });
});
