import { mount, type Bench } from '../../testing/mount';
import { ClumpPage } from './clump-page';
import { CutMapPage } from './cut-map-page';
import { MultiplyPage } from './multiply-page';
import { SheetPage } from './sheet-page';
import { StrapsPage } from './straps-page';

const puts = (page: Bench<unknown>) =>
  page.recorded().filter((e) => 'fields' in e) as {
    key: string;
    fields: Record<string, unknown>;
  }[];

describe('the cut map of other stems', () => {
  it('a column is cut into pieces that stand, smooth or at its joints', async () => {
    const page = await mount(CutMapPage, { mother: 'm-cere' });
    expect(page.text).toMatch(/a tip and 6 segments/);
    expect(page.all('.node')).toHaveLength(0);
    await page.fill('Joints on it', '3');
    expect(page.text).toMatch(/a tip and 2 segments/);
    expect(page.all('.node')).toHaveLength(3);
    await page.tap('Cut: put them on the bench');
    expect(puts(page)).toMatchObject([{ fields: { method: 'column', count: 3, widthMm: 60 } }]);
  });

  it('takes typed heights, and says what is no height', async () => {
    const page = await mount(CutMapPage, { mother: 'm-sedu' });
    await page.fill('Or their heights, mm', '40 80 oak');
    expect(page.text).toContain('Heights are lengths with a space between');
    await page.fill('Or their heights, mm', '40 80 120 160 200 240');
    expect(page.all('.node')).toHaveLength(6);
    await page.fill('Or their heights, mm', '400');
    expect(page.text).toContain('none beyond the tip');
  });

  it('nodes can be moved by key, and are then typed', async () => {
    const page = await mount(CutMapPage, { mother: 'm-sedu' });
    await page.tap('Move nodes');
    const knobs = page.all('[role=slider]');
    expect(knobs).toHaveLength(14);
    const before = Number(knobs[0]!.getAttribute('aria-valuenow'));
    knobs[0]!.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp' }));
    await page.settle();
    const typed = page.field('Or their heights, mm').value.split(' ');
    expect(typed).toHaveLength(14);
    expect(Number(typed[0])).toBeCloseTo(before + 1, 0);
  });

  it('leaves of bared nodes become a batch of their own, related to the crown', async () => {
    const page = await mount(CutMapPage, { mother: 'm-sedu' });
    await page.fill('Leaves at a node', '2');
    await page.fill('Segments', 'laid');
    await page.tap('Cut: put them on the bench');
    const [crown, segments, leaves] = puts(page);
    expect(crown!.fields).toMatchObject({ method: 'crown', count: 1 });
    expect(crown!.fields.cutWith).toBeUndefined();
    expect(segments!.fields).toMatchObject({ method: 'segment', cutWith: crown!.key });
    // Laid segments bare no node: the crown's two pairs are left.
    expect(leaves!.fields).toMatchObject({ method: 'leaf', count: 4, cutWith: crown!.key });
  });
});

describe('strap leaves', () => {
  it('are cut into numbered sections, every one with its arrow', async () => {
    const page = await mount(StrapsPage, { mother: 'm-gast' });
    // Nobody has measured a leaf yet: an example is drawn, and nothing goes to the bench.
    expect(page.field('Leaves, length of each, mm').value).toBe('');
    expect(page.text).toContain('An example: two leaves of 400 mm and 360 mm.');
    expect(page.text).not.toContain('put them on the bench');
    await page.fill('Leaves, length of each, mm', '400 360');
    expect(page.text).toContain('9 sections');
    expect(page.all('.arrow')).toHaveLength(9);
    expect(page.all('svg text').map((t) => t.textContent.trim())).toContain('2.5');
    expect(page.text).toContain('Upside down none ever roots.');
    await page.tap('Cut: put them on the bench');
    expect(puts(page)).toMatchObject([
      { fields: { method: 'leaf-section', count: 9, space: 'shelf' } },
    ]);
  });

  it('says what is wrong, at the field', async () => {
    const page = await mount(StrapsPage, { mother: 'm-gast' });
    await page.fill('Section, mm', '30');
    expect(page.text).toContain('Sections of 50 mm to 100 mm root');
    await page.fill('Section, mm', 'wide');
    expect(page.text).toContain('A length, like 75 mm or 3 in.');
    await page.fill('Section, mm', '80');
    await page.fill('Leaves, length of each, mm', '60');
    expect(page.text).toContain('The longest leaf is 60 mm');
    expect((await mount(StrapsPage, { mother: 'm-eche' })).text).toContain(
      'not raised from sections',
    );
    expect((await mount(StrapsPage)).text).toContain('Choose a mother');
  });
});

describe('a clump', () => {
  it('says of each offset whether to take it, and takes them apart', async () => {
    const page = await mount(ClumpPage, { mother: 'm-hawo' });
    expect(page.text).toContain('Take 1 with roots');
    expect(page.text).toMatch(/Wait until about \w+ \d+ \w+/);
    await page.tap('Add an offset');
    await page.fill('Offset 3', '55');
    expect(page.text).toContain('Take 1 with roots, 1 by a cut');
    expect(page.all('svg[role=img]')[0]!.getAttribute('aria-label')).toContain(
      '1 take, 2 wait, 3 take',
    );
    await page.tap('Cut: put them on the bench');
    expect(puts(page)).toMatchObject([
      { fields: { method: 'rooted-offset', count: 1 } },
      { fields: { method: 'offset', count: 1 } },
    ]);
  });

  it('lists pads where a plant has them, and knows bad sizes', async () => {
    const page = await mount(ClumpPage, { mother: 'm-opun' });
    expect(page.text).toContain('Take 1 by a cut');
    await page.fill('Pad 1', '900');
    expect(page.text).toContain('larger than its mother');
    await page.fill('Pad 1', '');
    expect(page.text).toContain('A length, like 40 mm.');
    await page.tap('Off the list: 1');
    await page.tap('Off the list: 1');
    expect(page.text).toContain('No offset is listed');
    expect((await mount(ClumpPage, { mother: 'm-aeon' })).text).toContain('makes no offsets');
  });
});

describe('cuttings from cuttings', () => {
  it('says how many rounds a stock takes, with days and ranges', async () => {
    const page = await mount(MultiplyPage, { mother: 'm-kala' });
    expect(page.text).toMatch(/40 after \d rounds, by \w+ \d+ \w+ \d{4}\./);
    const rows = page.all('tbody tr');
    // A third of her leaves each time, and as many as the plan commonly asks for.
    expect(page.field('Each gives, every time').getAttribute('placeholder')).toBe('20');
    expect(rows.length).toBeGreaterThan(2);
    expect(rows[0]!.textContent).toContain('now');
    await page.fill('Stock wanted', '1');
    expect(page.text).toContain('You have that many already.');
    await page.fill('Stock wanted', '400');
    await page.fill('Each gives, every time', '0');
    expect(page.text).toContain('How many pieces does one plant give');
    expect(page.root.innerHTML).not.toContain('NaN');
    // Cleared, a field stays clear, and what is usual counts again.
    await page.fill('Each gives, every time', '');
    expect(page.field('Each gives, every time').value).toBe('');
    expect(page.text).toMatch(/400 after \d rounds/);
  });

  it('goes on from what the plan asks for', async () => {
    const asked = await mount(MultiplyPage, { mother: 'm-kala', want: '300' });
    expect(asked.text).toMatch(/300 after \d rounds/);
  });
});

describe('the plan sheet', () => {
  it('has the steps, the materials with the thinned disinfectant, and room for a pencil', async () => {
    const page = await mount(SheetPage, { id: 'b-28' });
    expect(page.text).toContain('Plan sheet: Moonstones, crowns');
    expect(page.text).toContain('Water the mother');
    expect(page.text).toMatch(/73 mL from the bottle and 27 mL of water/);
    await page.fill('The bottle holds, %', '50');
    expect(page.text).toContain('The bottle is weaker than that');
    expect(page.text).toContain('Upside down none ever roots.');
    expect(page.all('tbody tr')).toHaveLength(6);
    expect((await mount(SheetPage, { id: 'nope' })).text).toContain('No such batch');
  });

  it('hands out a calendar file', async () => {
    const page = await mount(SheetPage, { id: 'b-28' });
    const saved: Blob[] = [];
    URL.createObjectURL = (blob: Blob) => {
      saved.push(blob);
      return 'blob:x';
    };
    URL.revokeObjectURL = () => undefined;
    // jsdom cannot follow a link to a file.
    jest.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(() => undefined);
    await page.tap('Calendar file');
    expect(saved[0]!.type).toBe('text/calendar');
    expect(saved[0]!.size).toBeGreaterThan(1000);
  });
});
