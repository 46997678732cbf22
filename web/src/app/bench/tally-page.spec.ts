import { Router } from '@angular/router';
import { TestBed } from '@angular/core/testing';
import { mount, type Bench } from '../../testing/mount';
import { TallyPage } from './tally-page';

/** 24 sedum crowns: 8 rooted, 1 rotted, 15 waiting at the last count. */
const open = (): Promise<Bench<TallyPage>> => mount(TallyPage, { id: 'b-19' });

const NAMES = ['Rooted', 'With new heads', 'Rotted', 'Dried up', 'Lost otherwise'];

/** All five counts; those that are seldom are behind a tap until some are counted. */
async function shown(page: Bench<TallyPage>): Promise<number[]> {
  if (page.text.includes('More: ')) await page.tap(/^More: /);
  return NAMES.map((name) => Number(page.field(name).value));
}

/** Types into a count, letter for letter and without leaving it. */
async function type(page: Bench<TallyPage>, name: string, text: string): Promise<void> {
  const field = page.field(name);
  field.value = text;
  field.dispatchEvent(new Event('input'));
  await page.settle();
}

async function key(page: Bench<TallyPage>, code: string, shiftKey = false): Promise<void> {
  document.dispatchEvent(new KeyboardEvent('keydown', { code, key: code.slice(-1), shiftKey }));
  await page.settle();
}

describe('counting', () => {
  it('begins where the last count ended', async () => {
    const page = await open();
    expect(await shown(page)).toEqual([8, 0, 1, 0, 0]);
    expect(page.text).toContain('15 of 24 still waiting');
    expect(page.text).toMatch(/24 in all · last counted/);
  });

  it('adds by tap and by key, takes off with Shift, never below none', async () => {
    const page = await open();
    await page.tap('One more Rooted');
    document.body.focus();
    await key(page, 'Digit1');
    await key(page, 'Numpad4');
    await key(page, 'Digit3', true);
    await key(page, 'Digit3', true);
    expect(await shown(page)).toEqual([10, 0, 0, 1, 0]);
    await key(page, 'Digit9');
    expect(await shown(page)).toEqual([10, 0, 0, 1, 0]);
  });

  it('loses no tap that comes before the screen is drawn again, and keeps each at once', async () => {
    const page = await open();
    for (let i = 0; i < 5; i++)
      document.dispatchEvent(new KeyboardEvent('keydown', { code: 'Digit1', key: '1' }));
    await page.settle();
    expect(page.stores.draft('tally.b-19')).toMatchObject({ counts: { rooted: 13 } });
    expect((await shown(page))[0]).toBe(13);
  });

  it('once nothing waits, a pup comes from the rooted and a root from nowhere', async () => {
    const page = await open();
    for (let i = 0; i < 15; i++) await page.tap('One more Rooted');
    expect(page.text).toContain('0 of 24 still waiting');
    await page.tap('One more Rooted');
    expect(await shown(page)).toEqual([23, 0, 1, 0, 0]);
    await page.tap('One more With new heads');
    expect(await shown(page)).toEqual([22, 1, 1, 0, 0]);
  });

  it('saves one entry and goes back to the batch', async () => {
    const page = await open();
    const go = jest.spyOn(TestBed.inject(Router), 'navigate');
    await page.tap('One more Dried up');
    await page.tap('Save the count');
    expect(page.recorded()).toEqual([
      {
        kind: 'tally',
        batch: 'b-19',
        day: '2026-04-09',
        counts: { rooted: 8, pupped: 0, rotted: 1, dried: 1, lost: 0 },
      },
    ]);
    expect(go).toHaveBeenCalledWith(['/bench', 'b-19']);
  });

  it('asks about a loss that comes back and takes a reason', async () => {
    const page = await open();
    await page.tap('One less Rotted');
    expect(page.text).toContain('A loss does not come back');
    await page.tap('Save the count');
    expect(page.recorded()).toEqual([]);
    await page.fill('Another reason', 'It was callus');
    await page.tap('Save the count');
    expect(page.recorded()).toMatchObject([{ recount: 'It was callus', counts: { rotted: 0 } }]);
    expect(page.journal.state().batches.get('b-19')!.conflicts).toEqual([]);
  });

  it('refuses more than there are, whatever the reason', async () => {
    const page = await open();
    await type(page, 'Dried up', '40');
    expect(page.text).toContain('49 outcomes, but only 24 in the batch. Take 25 off.');
    expect(page.all('.ask input')).toEqual([]);
    await page.tap('Save the count');
    expect(page.recorded()).toEqual([]);
    // Put right as it is typed: the first tap on the button counts.
    await type(page, 'Dried up', '4');
    page.button('Save the count').click();
    await page.settle();
    expect(page.recorded()).toMatchObject([{ counts: { rooted: 8, rotted: 1, dried: 4 } }]);
  });

  it.each(['-1', '2.5', 'many'])('keeps its number when “%s” is typed', async (typed) => {
    const page = await open();
    await type(page, 'Rooted', typed);
    await page.tap('Save the count');
    expect(page.recorded()).toMatchObject([{ counts: { rooted: 8 } }]);
  });

  it.each([
    ['2026-04-10', 'That day is still to come.'],
    ['2026-03-01', 'It was cut on'],
  ])('refuses %s as the day of the count', async (day, sentence) => {
    const page = await open();
    await page.fill('Counted on', day);
    expect(page.text).toContain(sentence);
    await page.tap('Save the count');
    expect(page.recorded()).toEqual([]);
  });

  it('says so where there is no such batch', async () => {
    const page = await mount(TallyPage, { id: 'nowhere' });
    expect(page.text).toContain('No such batch');
  });

  it('offers one more only while one waits; what has roots may still rot', async () => {
    const page = await open();
    await type(page, 'Rooted', '23');
    const more = (name: string): HTMLButtonElement =>
      page.root.querySelector<HTMLButtonElement>(`[aria-label="One more ${name}"]`)!;
    expect(page.text).toContain('0 of 24 still waiting');
    expect(more('Rooted').disabled).toBe(true);
    expect(more('Rotted').disabled).toBe(false);
    await type(page, 'Rooted', '22');
    expect(more('Rooted').disabled).toBe(false);
  });

  it('buds, and young plants in all, where a piece brings some; never fewer than pieces that have one', async () => {
    const leaves = [...(await open()).journal.state().batches.values()].find(
      (b) => b.method === 'leaf' && b.here.waiting > 4,
    )!;
    const page = await mount(TallyPage, { id: leaves.id });
    if (page.text.includes('More: ')) await page.tap(/^More: /);
    const { pupped, rooted } = leaves.counts;
    await type(page, 'Rooted', `${rooted + 1}`);
    await type(page, 'With pups', `${pupped + 2}`);
    await type(page, 'Pups in all', '1');
    expect(page.text).toContain(`so at least ${pupped + 2}.`);
    await page.tap('Save the count');
    expect(page.recorded()).toEqual([]);
    await type(page, 'Pups in all', `${pupped + 5}`);
    await type(page, 'With a bud below, so far', '1');
    // A field that is not asked any more blocks nothing.
    await type(page, 'Rooted', '0');
    expect(page.text).not.toContain('With a bud below');
    expect(page.text).not.toMatch(/Only 0 are rooted/);
    await type(page, 'Rooted', `${rooted + 1}`);
    await page.tap('Save the count');
    expect(page.recorded()).toMatchObject([{ heads: pupped + 5, buds: 1 }]);
    const { heads, buds } = page.journal.state().batches.get(leaves.id)!;
    expect(heads).toMatchObject({ count: pupped + 5, of: pupped + 2 });
    expect(buds).toMatchObject({ count: 1 });
  });
});
