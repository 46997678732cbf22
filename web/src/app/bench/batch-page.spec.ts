import { mount, type Bench } from '../../testing/mount';
import { BatchPage } from './batch-page';

const open = (id: string): Promise<Bench<BatchPage>> => mount(BatchPage, { id });

describe('the page of a batch', () => {
  it('answers first: what today means for it', async () => {
    const page = await open('b-24');
    expect(page.all('.verdict')[0]!.textContent).toMatch(/No water until Mon 20 Apr/);
    expect(page.text).toContain('6 pads of Opuntia microdasys from Bunny ears');
  });

  it('gives the loud colour to what is asked now, and to nothing else', async () => {
    const page = await open('b-21');
    expect(page.all('.deeds .act').map((b) => b.textContent.trim())).toEqual(['Watered', 'Count']);
    const quiet = await open('b-25');
    expect(quiet.all('.deeds .act')).toEqual([]);
  });

  it('waters without a question once the gate is open', async () => {
    const page = await open('b-21');
    await page.tap('Watered');
    // What was known of the gate is written down with it.
    expect(page.recorded()).toEqual([
      {
        kind: 'watered',
        batch: 'b-21',
        how: 'poured',
        day: '2026-04-09',
        gate: { opens: '2026-04-03' },
      },
    ]);
  });

  it('records looks, notes and moves on the day that is set', async () => {
    const page = await open('b-19');
    await page.fill('On', '2026-04-07');
    await page.tap('Inspected');
    await page.fill('What else was seen (optional)', 'a little red');
    await page.tap('Wrinkled, but firm');
    await page.tap('Note');
    await page.fill('Note', 'Turned the tray');
    await page.tap('Keep it');
    await page.tap('Moved');
    await page.fill('To', 'shelf');
    page.all('.panel .act')[0]!.click();
    await page.settle();
    expect(page.recorded()).toEqual([
      {
        kind: 'inspected',
        batch: 'b-19',
        seen: 'wrinkled',
        text: 'a little red',
        day: '2026-04-07',
      },
      { kind: 'note', batch: 'b-19', text: 'Turned the tray', day: '2026-04-07' },
      { kind: 'moved', batch: 'b-19', space: 'shelf', day: '2026-04-07' },
    ]);
    expect(page.text).toContain('Warm shelf');
  });

  it('tells of a setting how many, into what, and a cut torn open', async () => {
    const page = await open('b-22');
    await page.tap('Set, and tell how');
    await page.fill('How many were set', '9');
    page.all('.panel .act')[0]!.click();
    await page.settle();
    expect(page.text).toContain('A whole number from 1 to 7');
    await page.fill('How many were set', '3');
    page.all('.panel input[type="checkbox"]').forEach((box) => box.click());
    page.all('.panel .act')[0]!.click();
    await page.settle();
    expect(page.recorded()).toMatchObject([
      { kind: 'stuck', batch: 'b-22', count: 3, wet: true },
      { kind: 'reopened', batch: 'b-22', why: 'torn' },
    ]);
    // The wound is open again: no water, and the day begins anew.
    expect(page.all('.verdict')[0]!.textContent).toMatch(/No water until/);
  });

  it('a look may tell roots, their length and signs', async () => {
    const page = await open('b-19');
    await page.tap('Inspected');
    await page.fill('Roots', 'few');
    await page.fill('Longest root, mm', '1 in');
    page.all('.ticks input')[1]!.click();
    await page.tap('Fine');
    expect(page.recorded()).toMatchObject([
      { kind: 'inspected', seen: 'fine', roots: 'few', rootMm: 25.4, signs: ['white-roots'] },
    ]);
    expect(page.text).toContain('Looked: fine, a few roots, roots of 25 mm, white roots');
  });

  it('pots on into a pot and a mix, with roots as they came', async () => {
    const page = await open('b-19');
    await page.tap('Potted on');
    await page.fill('Into (optional)', 'pot-7');
    await page.fill('The roots came', 'bared');
    page.all('.panel .act')[0]!.click();
    await page.settle();
    expect(page.recorded()).toMatchObject([
      { kind: 'potted', count: 8, container: 'pot-7', roots: 'bared' },
    ]);
  });

  it('names what stands near rot', async () => {
    expect((await open('b-19')).text).toMatch(/Rot was seen here\.\s*At risk: Echeveria crowns/);
    expect((await open('b-20')).text).toMatch(/Rot near it\.\s*Sedum crowns had rot/);
  });

  it('does not record on a day before the cut', async () => {
    const page = await open('b-19');
    await page.fill('On', '2026-01-01');
    expect(page.text).toContain('It was cut on');
    await page.tap('Watered');
    expect(page.recorded()).toEqual([]);
  });

  it.each([
    ['', 'A whole number of 1 or more'],
    ['0', 'A whole number of 1 or more'],
    ['1.5', 'A whole number of 1 or more'],
    ['9', 'Only 8 with roots are left'],
  ])('refuses to pot “%s”', async (count, sentence) => {
    const page = await open('b-19');
    await page.tap('Potted on');
    await page.fill('How many went into pots', count);
    page.all('.panel .act')[0]!.click();
    await page.settle();
    expect(page.text).toContain(sentence);
    expect(page.recorded()).toEqual([]);
  });

  it('changes only the fields that were changed', async () => {
    const page = await open('b-19');
    await page.tap('Change');
    await page.fill('Wound width', '5/16 in');
    await page.fill('Tray or place', 'Tray Z');
    await page.tap('Change it');
    expect(page.recorded()).toEqual([
      {
        kind: 'put',
        record: 'batch',
        key: 'b-19',
        day: '2026-04-09',
        fields: { widthMm: 7.9375, place: 'Tray Z' },
      },
    ]);
  });

  it('does not make the batch smaller than what was counted', async () => {
    const page = await open('b-19');
    await page.tap('Change');
    await page.fill('How many cuttings', '4');
    await page.tap('Change it');
    expect(page.text).toContain('9 of them have an outcome already, so it cannot be 4.');
    await page.fill('How many cuttings', '24');
    await page.fill('Wound width', 'thick');
    await page.tap('Change it');
    expect(page.text).toContain('“thick” is not a length');
    expect(page.recorded()).toEqual([]);
  });

  it('ends and takes back, and the log says both', async () => {
    const page = await open('b-19');
    await page.tap('End');
    await page.fill('Why (optional)', 'Frost');
    await page.tap('End it');
    expect(page.all('.verdict')[0]!.textContent).toContain('Done.');
    await page.tap(/^Take back: Ended: Frost/);
    expect(page.all('.verdict')[0]!.textContent).not.toContain('Done.');
    expect(page.recorded().map((e) => (e as { kind: string }).kind)).toEqual(['ended', 'retract']);
  });

  it('shows HTML in a note as the text it is', async () => {
    const page = await open('b-19');
    await page.tap('Note');
    await page.fill('Note', '<img src=x onerror=alert(1)>');
    await page.tap('Keep it');
    expect(page.all('.log img')).toEqual([]);
    expect(page.text).toContain('<img src=x onerror=alert(1)>');
  });
});
