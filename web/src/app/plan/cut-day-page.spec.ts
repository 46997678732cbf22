import { mount, type Bench } from '../../testing/mount';
import { CutDayPage } from './cut-day-page';
import { SheetPage } from './sheet-page';

const open = (mother?: string): Promise<Bench<CutDayPage>> =>
  mount(CutDayPage, mother ? { mother } : {});
interface Recorded {
  kind: string;
  key?: string;
  batch?: string;
  fields?: { count: number };
}

describe('a cut day', () => {
  it('begins with the mothers, and takes each by a tap', async () => {
    const page = await open();
    expect(page.all('hy-mother-wall button')).toHaveLength(12);
    await page.tap(/^Snowball bowl/);
    await page.tap('Add a mother');
    // Who is on the list is not offered twice.
    expect(page.all('hy-mother-wall button')).toHaveLength(11);
    await page.tap(/^The tall aeonium/);
    expect(page.text).toMatch(/2 mothers, \d+ pieces, about \d+ minutes/);
    expect(page.text).toMatch(/Lay ready.*A sharp, clean blade and a board/);
    expect(page.all('.mat-mdc-unelevated-button')).toHaveLength(1);
  });

  it('cuts them one by one, counted, with labels and sheets for all', async () => {
    const page = await open('m-aeon');
    await page.tap('One less: The tall aeonium');
    await page.fill('Lies on (optional)', 'Rack A');
    await page.tap('Cut: The tall aeonium');
    await page.tap('Add a mother');
    await page.tap(/^Snowball bowl/);
    await page.fill('How many: Snowball bowl', '12');
    await page.tap('Cut: Snowball bowl');
    const told = page.recorded() as Recorded[];
    expect(told.map((e) => e.kind)).toEqual(['put', 'cut', 'put', 'cut']);
    expect(told.flatMap((e) => e.fields ?? [])).toMatchObject([
      { mother: 'm-aeon', method: 'crown', count: 3, place: 'Rack A' },
      { mother: 'm-eche', method: 'leaf', count: 12 },
    ]);
    expect(page.text).toMatch(/3 crowns, cut\..*12 leaves, cut\./);
    expect(page.button('Print 2 labels').getAttribute('href')).toContain('/bench/labels?of=');
    expect(page.button('Print 2 sheets').getAttribute('href')).toContain('/plan/sheets?of=');
  });

  it('turns to another way with what it can spare of it; no number gets a sentence', async () => {
    const page = await open('m-aeon');
    await page.fill('What is taken: The tall aeonium', 'segment');
    expect(page.field('How many: The tall aeonium').value).toBe('3');
    await page.fill('How many: The tall aeonium', 'many');
    expect(page.recorded()).toEqual([]);
    await page.tap('Not today: The tall aeonium');
    expect(page.text).toContain('Who is cut today?');
  });

  it('says what speaks against a cut, and leaves it to the grower', async () => {
    const page = await open('m-mamm');
    expect(page.text).toContain('Do not cut it. Pests or rot.');
    expect(page.button('Cut: Thimble cushion')).toHaveProperty('disabled', false);
  });

  it('warns where an owner was not asked, and of protected varieties', async () => {
    const page = await open('m-eche');
    expect(page.text).not.toContain('Not asked yet');
    await page.journal.record({
      kind: 'put',
      record: 'mother',
      key: 'm-eche',
      fields: { permission: 'unknown', protectedVariety: true },
    });
    await page.settle();
    expect(page.text).toContain('Not asked yet');
    expect(page.text).toContain('Often a protected variety');
  });

  it('asks for a mother where there is none', async () => {
    expect((await mount(CutDayPage, {}, [])).text).toContain('First a mother');
  });
});

describe('sheets of several batches', () => {
  it('stand one under the other, each its own; an unknown one is left out', async () => {
    const page = await mount(SheetPage, { of: 'b-28,nope,b-22' });
    expect(page.text).toContain('2 sheets, each on a page of its own.');
    expect(page.all('h1').map((h) => h.textContent)).toEqual([
      'Plan sheet: Moonstones, crowns',
      'Plan sheet: The tall aeonium, crowns',
    ]);
    expect((await mount(SheetPage, {})).text).toContain('No sheets');
  });
});
