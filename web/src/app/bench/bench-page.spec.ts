import { mount } from '../../testing/mount';
import { BenchPage } from './bench-page';

describe('the bench', () => {
  it('groups what is growing by the bench one walks past, without what is done', async () => {
    const page = await mount(BenchPage);
    expect(page.all('h2').map((h) => h.textContent.replace(/\d+/, '').trim())).toEqual(
      expect.arrayContaining(['Lean-to', 'Warm shelf', 'North porch']),
    );
    const living = page.all('.row').length;
    page.all('input[type=checkbox]')[0]!.click();
    await page.settle();
    expect(page.all('.row')).toHaveLength(30);
    expect(living).toBeLessThan(30);
  });

  it.each([
    ['gasteria', 3],
    ['tray g', 3],
    ['ox tongue', 3],
    ['callusing', 6],
    ['gasteria porch', 1],
  ])('finds “%s”', async (query, most) => {
    const page = await mount(BenchPage);
    await page.fill('Find a batch', query);
    const found = page.all('.row').length;
    expect(found).toBeGreaterThan(0);
    expect(found).toBeLessThanOrEqual(most);
  });

  it('says what to try when nothing is found', async () => {
    const page = await mount(BenchPage);
    await page.fill('Find a batch', 'rosemary');
    expect(page.text).toContain('Nothing by that name');
  });

  it('tells a batch in a line: stage, age and what came of it', async () => {
    const page = await mount(BenchPage);
    await page.fill('Find a batch', 'Tray G');
    expect(page.text).toMatch(
      /Jelly beans, crowns ?Mat tray · SED-\w{3} ?8 rooted, 15 waiting ?day 37/,
    );
    expect(page.text).toContain('8 of 24 rooted, 1 lost, 15 waiting');
  });

  it('sieves by stage and by trouble, and sorts', async () => {
    const page = await mount(BenchPage);
    await page.tap(/^Filter/);
    await page.fill('Stage', 'callusing');
    expect(page.text).toContain('6 batches');
    await page.fill('In order', 'plant');
    const names = page.all('.row strong').map((n) => n.textContent);
    expect(names).toEqual([...names].sort());
    await page.tap('Clear the filter');
    expect(page.all('.row').length).toBeGreaterThan(6);
  });

  it('is empty at first, and says what a batch is', async () => {
    const page = await mount(BenchPage, {}, []);
    expect(page.text).toContain('A batch is a number of cuttings');
  });
});
