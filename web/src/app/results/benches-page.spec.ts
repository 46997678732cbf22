import { societyFiles } from '@hypogeon/core/demo';
import { writeCounts } from '@hypogeon/core/formats';
import { mount, type Bench } from '../../testing/mount';
import { BenchesPage } from './benches-page';

const saved: { name: string; text: string }[] = [];
jest.mock('../data/save-text', () => ({
  saveText: (name: string, text: string) => saved.push({ name, text }),
  saveBlob: (name: string) => saved.push({ name, text: '' }),
}));

const files = societyFiles(2025);

async function choose(page: Bench<BenchesPage>, ...chosen: readonly (readonly [string, string])[]) {
  const input = page.all('input[type=file]')[0] as HTMLInputElement;
  const list = chosen.map(([name, text]) => {
    const file = new File([text], name, { type: 'application/json' });
    // jsdom has no text() of a file.
    Object.defineProperty(file, 'text', { value: () => Promise.resolve(text) });
    return file;
  });
  Object.defineProperty(input, 'files', { value: list, configurable: true });
  input.dispatchEvent(new Event('change'));
  for (let i = 0; i < 5; i++) await page.settle();
}

describe('counts of other benches', () => {
  beforeEach(() => saved.splice(0));

  it('are read, shown with their doubts, and taken in only when wanted', async () => {
    const page = await mount(BenchesPage);
    expect(page.text).toContain('Most figures of the guide are from memory');
    await choose(page, ...files.map((f) => [`${f.name}.json`, writeCounts(f.counts)] as const));
    expect(page.all('article')).toHaveLength(6);
    expect(page.text).toMatch(/All \d+ rooted. No bench loses nothing/);
    expect(page.recorded()).toEqual([]);
    await page.tap('Take in all without a doubt');
    expect(page.recorded()).toHaveLength(5);
    expect(page.all('article')).toHaveLength(1);
    await page.tap('Leave out Lamp cupboard');
    expect(page.all('article')).toHaveLength(0);
    // One bench has hardly begun: what waits is no share, and four are drawn.
    const plate = page.all('hy-chart .place')[0]!.getAttribute('aria-label')!;
    expect(plate).toMatch(/Share of \w[\w ]* that rooted\./);
    for (const name of [
      'Kiln loft',
      'Walled yard',
      'A bench to come',
      'Yours, as counted',
      'Believed here',
    ])
      expect(plate).toContain(name);
    expect(plate).not.toContain('Front step');
    expect(page.all('.words')[0]!.textContent).toMatch(
      /^Your .* (than at \d of 4 benches|about as often as at the other 4)/,
    );
    await page.unfold();
    expect(page.all('hy-table table').length).toBeGreaterThan(1);
  });

  it('go out in one tap, and come in again', async () => {
    const page = await mount(BenchesPage);
    await choose(page, ['kiln.json', writeCounts(files[0]!.counts)]);
    await page.fill('What you call this bench', 'Loft');
    await page.tap('Take in Loft');
    await page.tap('Take out: Loft');
    expect(page.journal.state().benches.get(files[0]!.counts.bench)).toMatchObject({ out: true });
    expect(page.text).toContain('Loft, taken out');
    await page.tap('Take in again: Loft');
    expect(page.text).not.toContain('taken out');
    // The same file once more is known.
    await choose(page, ['kiln.json', writeCounts(files[0]!.counts)]);
    expect(page.text).toContain('You have these already.');
  });

  it('that are broken are told by line and field, and the good ones beside them are kept', async () => {
    const page = await mount(BenchesPage);
    const broken = writeCounts(files[1]!.counts).replace(/"rooted":\d+/, '"rooted":99999');
    await choose(
      page,
      ['cellar.json', broken],
      ['journal.json', '{"format":"x"}'],
      ['kiln.json', writeCounts(files[0]!.counts)],
    );
    expect(page.text).toMatch(
      /cellar\.json\. Line 2, rows\.0\.rooted: is 99999, more than the \d+ that were set\./,
    );
    expect(page.text).toContain('journal.json. This is no file of counts');
    expect(page.all('article')).toHaveLength(1);
    expect(page.recorded()).toEqual([]);
  });

  it('are given with all that is in them shown, a number for good and an edition more each time', async () => {
    const page = await mount(BenchesPage);
    await page.unfold();
    expect(page.text).toMatch(/\d+ cuttings of \d+ plants in \d+ batches/);
    expect(page.text).toContain('Echeveria elegans');
    await page.tap('Save the file');
    await page.tap('Save the file');
    expect(saved.map((s) => s.name)).toEqual(['hypogeon-counts-1.json', 'hypogeon-counts-2.json']);
    const [one, two] = saved.map((s) => JSON.parse(s.text) as { bench: string; edition: number });
    expect(two!.bench).toBe(one!.bench);
    expect([one!.edition, two!.edition]).toEqual([1, 2]);
    // One's own, come back, are known as such.
    await choose(page, ['mine.json', saved[1]!.text]);
    expect(page.text).toContain('These are your own counts');
    expect((await mount(BenchesPage, {}, [])).text).toContain('Nothing is counted yet');
  });
});
