import { mount } from '../../testing/mount';
import { QuickPage } from './quick-page';

describe('what is already cut', () => {
  it('four fields, and it is on the bench with its day', async () => {
    const page = await mount(QuickPage);
    await page.fill('Plant', 'Echeveria elegans');
    await page.fill('What was taken', 'leaf');
    await page.fill('How many', '12');
    await page.fill('Cut on', '2026-04-05');
    await page.tap('Put it on the bench');
    const [put, cut] = page.recorded() as { kind: string; fields?: object; day: string }[];
    expect(put).toMatchObject({
      kind: 'put',
      record: 'batch',
      fields: { taxon: 'echeveria-elegans', method: 'leaf', count: 12, cutOn: '2026-04-05' },
    });
    expect(cut).toMatchObject({ kind: 'cut', day: '2026-04-05' });
  });

  it('offers the ways of the plant first, and says which are not usual for it', async () => {
    const page = await mount(QuickPage);
    await page.fill('Plant', 'Curio rowleyanus');
    const list = page.list('What was taken')!;
    list.open();
    await page.settle();
    const options = list.options.map((o) => o.viewValue);
    expect(options[1]).toBe('Trailing stem');
    expect(options).toContain('Leaf (not usual for it)');
    expect(options).toContain('Seed');
  });

  it('says at the field what is missing, and records nothing', async () => {
    const page = await mount(QuickPage);
    await page.fill('Cut on', '2026-05-01');
    expect(page.text).toContain('That day is still to come');
    await page.fill('How many', '0');
    await page.tap('Put it on the bench');
    expect(page.text).toContain('Which plant?');
    expect(page.text).toContain('What was taken?');
    expect(page.text).toContain('A whole number from 1 to 10,000');
    expect(page.recorded()).toEqual([]);
  });
});
