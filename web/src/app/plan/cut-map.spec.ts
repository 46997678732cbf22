import { mount, type Bench } from '../../testing/mount';
import { CutMapPage } from './cut-map-page';

const open = (mother: string): Promise<Bench<CutMapPage>> => mount(CutMapPage, { mother });
const cuts = (page: Bench<CutMapPage>): number[] =>
  page.all('[role=slider]').map((s) => Number(s.getAttribute('aria-valuenow')));

describe('the cut map', () => {
  it('draws the best cutting up of a stem, every piece with its arrow, and says what it gives', async () => {
    const page = await open('m-sedu');
    expect(page.text).toMatch(/About \d\.\d plants \d–\d, eight times in ten/);
    expect(page.text).toContain('No other cutting gives more.');
    const pieces = page.all('.part.crown, .part.segment');
    expect(page.all('.arrow')).toHaveLength(pieces.length);
    expect(cuts(page)).toEqual([...cuts(page)].sort((a, b) => b - a));
    expect(page.root.innerHTML).not.toContain('NaN');
  });

  it('follows a cut that is moved, warns where a piece would not do, and finds back', async () => {
    const page = await open('m-sedu');
    const before = cuts(page);
    const press = async (key: string): Promise<void> => {
      page.all('[role=slider]')[0]!.dispatchEvent(new KeyboardEvent('keydown', { key }));
      await page.settle();
    };
    for (let i = 0; i < 4; i++) await press('PageUp');
    expect(cuts(page)[0]).toBe(before[0]! + 40);
    expect(page.text).toContain('One piece would not do');
    expect(page.text).toMatch(/Only \d+ of \d+/);
    await page.tap('Cut: put them on the bench');
    expect(page.recorded()).toEqual([]);
    await page.tap('Back to the best');
    expect(cuts(page)).toEqual(before);
  });

  it('draws the branches it is told of, each cut at its base, and lists what they give', async () => {
    const page = await open('m-sedu');
    expect(page.all('.branch')).toEqual([]);
    await page.fill('Side branches, mm', '120 200 20');
    expect(page.all('.branch')).toHaveLength(3);
    const lines = page.all('hy-stem-drawing li').map((li) => li.textContent.trim());
    // In order of length, as lengths are read; the shortest is no cutting and stays.
    expect(lines[0]).toBe('Branch 1, 20 mm: too short, stays');
    expect(lines[1]).toMatch(/^Branch 2, 120 mm: a crown/);
    const [tooShort, , long] = page.all('.branch');
    expect(tooShort!.querySelectorAll('.cut')).toHaveLength(0);
    expect(long!.querySelectorAll('.part')).toHaveLength(long!.querySelectorAll('.cut').length);
    expect(page.root.innerHTML).not.toContain('NaN');
    // A branch longer than its stem is drawn whole: the stem gets smaller, and its handles still do what they say.
    await page.fill('Side branches, mm', '3000');
    const [, , wide, tall] = page
      .all('hy-stem-drawing svg')[0]!
      .getAttribute('viewBox')!
      .split(' ');
    expect(Number(wide) / Number(tall)).toBeLessThan(2);
  });

  it('cuts the old end of a loose one afresh, where that is wanted', async () => {
    const page = await open('m-sedu');
    expect(page.list('Its old end')).toBeNull();
    await page.fill('Where it is', 'yes');
    await page.fill('Its old end', 'fresh');
    expect(cuts(page).at(-1)).toBe(10);
    expect(page.text).toContain('10 mm of base are left over');
  });

  it('becomes batches of one plant on one day, crown and segments apart', async () => {
    const page = await open('m-sedu');
    await page.tap('Cut: put them on the bench');
    const puts = page.recorded().filter((e) => 'fields' in e) as { fields: object }[];
    expect(puts).toMatchObject([
      { fields: { mother: 'm-sedu', method: 'crown', count: 1, widthMm: 8 } },
      { fields: { mother: 'm-sedu', method: 'segment', cutOn: '2026-04-09' } },
    ]);
    expect(page.recorded()).toHaveLength(4);
  });

  it.each([
    ['Nodes on it', '0', 'No node is marked'],
    ['Nodes on it', '4.5', 'A whole number up to 300.'],
    [
      'Stem, soil to tip, mm',
      '60',
      'Too short: a stump of 25 mm stays, and this plant’s top takes from 50 mm; that is 75 mm.',
    ],
    ['Stem, soil to tip, mm', 'long', 'is not a length'],
    ['Side branches, mm', '120 6000', 'Longer than'],
    ['Its width, mm', '0', 'A length is more than nothing'],
  ])('%s “%s” gets a sentence', async (label, typed, sentence) => {
    const page = await open('m-sedu');
    await page.fill(label, typed);
    expect(page.text).toContain(sentence);
  });

  it('writes what the plan says: the day, the blade, the pot and the mix', async () => {
    const page = await open('m-sedu');
    await page.fill('Cut on', '2026-04-20');
    await page.fill('Blade', 'bleach');
    await page.fill('Goes into (optional)', 'pot-7');
    await page.fill('Filled with (optional)', 'mix-bench');
    await page.tap('Cut: put them on the bench');
    const puts = page.recorded() as { kind: string; fields: object }[];
    // What is cut later is planned, not cut.
    expect(puts.every((e) => e.kind === 'put')).toBe(true);
    for (const { fields } of puts)
      expect(fields).toMatchObject({
        cutOn: '2026-04-20',
        disinfectant: 'bleach',
        container: 'pot-7',
        mix: 'mix-bench',
      });
  });

  it('records nothing on a day that is none', async () => {
    const page = await open('m-sedu');
    await page.fill('Cut on', '2040-04-20');
    expect(page.text).toContain('More than two years ahead.');
    await page.tap('Cut: put them on the bench');
    expect(page.recorded()).toEqual([]);
  });

  it('says where a plant is not cut along its stem', async () => {
    expect((await open('m-gast')).text).toContain('not cut along its stem');
    expect((await open('nobody')).text).toContain('Choose a mother');
  });
});
