import type { Entry } from '@hypogeon/core/journal';
import { mount, type Bench } from '../../testing/mount';
import { BatchPage } from './batch-page';
import { LogPage } from './log-page';

const open = (id: string): Promise<Bench<BatchPage>> => mount(BatchPage, { id });

const more = (page: Bench<BatchPage>, item: string): Promise<void> =>
  page.menu('More to record', item);
/** Hands in the form that is open. */
async function hand(page: Bench<BatchPage>): Promise<void> {
  page.all('.panel [type=submit]')[0]!.click();
  await page.settle();
}

describe('the page of a batch', () => {
  it('answers first: what today means for it', async () => {
    const page = await open('b-24');
    expect(page.all('.verdict')[0]!.textContent).toMatch(/Not before Fri 1 May/);
    expect(page.text).toContain('6 pads of Opuntia microdasys, cut Sat 4 Apr');
    expect(page.text).toContain('From Bunny ears');
  });

  it('gives the loud colour to what is asked now, and to nothing else', async () => {
    const loud = (page: Bench<BatchPage>): string[] =>
      page.all('.mat-mdc-unelevated-button').map((b) => b.textContent.trim());
    expect(loud(await open('b-21'))).toEqual(['Watered']);
    expect(loud(await open('b-25'))).toEqual([]);
  });

  it('waters by its one filled button, by as much as is asked', async () => {
    const page = await open('b-21');
    await page.tap(/^Watered: /);
    // What was known of the gate is written down with it.
    expect(page.recorded()).toEqual([
      {
        kind: 'watered',
        batch: 'b-21',
        how: 'poured',
        ml: expect.any(Number),
        day: '2026-04-09',
        gate: { opens: '2026-04-03' },
      },
    ]);
  });

  it('records looks, notes and moves on the day that is set', async () => {
    const page = await open('b-19');
    await more(page, 'For another day …');
    await page.fill('On', '2026-04-07');
    expect(page.text).toContain('Recording for Tue 7 Apr');
    await more(page, 'Looked at …');
    await page.fill('What else was seen (optional)', 'a little red');
    await page.tap('Wrinkled, but firm');
    await more(page, 'Note …');
    await page.fill('Note', 'Turned the tray');
    await page.tap('Save the note');
    await more(page, 'Moved …');
    await page.fill('To', 'shelf');
    await page.tap('Moved');
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
    await more(page, 'Set …');
    await page.fill('How many were set', '9');
    await hand(page);
    expect(page.text).toContain('A whole number from 1 to 7');
    await page.fill('How many were set', '3');
    page.all('.panel input[type="checkbox"]').forEach((box) => box.click());
    await hand(page);
    expect(page.recorded()).toMatchObject([
      { kind: 'stuck', batch: 'b-22', count: 3, wet: true },
      { kind: 'reopened', batch: 'b-22', why: 'torn' },
    ]);
    // The wound is open again: no water, and the day begins anew.
    expect(page.all('.verdict')[0]!.textContent).toMatch(/Not before/);
  });

  it('a look may tell roots, their length and signs', async () => {
    const page = await open('b-19');
    await more(page, 'Looked at …');
    await page.fill('Roots', 'few');
    await page.fill('Longest root, mm', '1 in');
    await page.tap('White roots');
    await page.tap('Fine');
    expect(page.recorded()).toMatchObject([
      { kind: 'inspected', seen: 'fine', roots: 'few', rootMm: 25.4, signs: ['white-roots'] },
    ]);
  });

  it('pots on into a pot and a mix, with roots as they came', async () => {
    const page = await open('b-19');
    await more(page, 'Potted on …');
    await page.fill('Into (optional)', 'pot-7');
    await page.fill('The roots came', 'bared');
    await hand(page);
    expect(page.recorded()).toMatchObject([
      { kind: 'potted', count: 8, container: 'pot-7', roots: 'bared' },
    ]);
  });

  it('names what stands near rot', async () => {
    expect((await open('b-19')).text).toMatch(
      /Rot was seen here\.\s*At risk: Snowball bowl, crowns/,
    );
    expect((await open('b-20')).text).toMatch(/Rot near it\.\s*Jelly beans, crowns had rot/);
  });

  it('does not record on a day before the cut', async () => {
    const page = await open('b-19');
    await more(page, 'For another day …');
    await page.fill('On', '2026-01-01');
    expect(page.text).toContain('It was cut on');
    expect(page.button(/^Watered: /)).toHaveProperty('disabled', true);
    await more(page, 'Watered');
    expect(page.recorded()).toEqual([]);
  });

  it.each([
    ['', 'A whole number of 1 or more'],
    ['0', 'A whole number of 1 or more'],
    ['1.5', 'A whole number of 1 or more'],
    ['9', 'Only 8 with roots are left'],
  ])('refuses to pot “%s”', async (count, sentence) => {
    const page = await open('b-19');
    await more(page, 'Potted on …');
    await page.fill('How many went into pots', count);
    await hand(page);
    expect(page.text).toContain(sentence);
    expect(page.recorded()).toEqual([]);
  });

  it('changes only the fields that were changed', async () => {
    const page = await open('b-19');
    await page.tap('Change');
    await page.fill('Wound width, mm', '5/16 in');
    await page.fill('Tray or place', 'Tray Z');
    await page.tap('Save');
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

  it('puts plant, way and day of the cut right, and says what follows before it is saved', async () => {
    const page = await open('b-24');
    await page.tap('Change');
    await page.fill('Plant', 'Opuntia ficus-indica');
    await page.fill('Cut on', '2026-03-30');
    expect(page.text).toMatch(/What follows ?Water: Not before .*\(now: Not before Fri 1 May\)/);
    await page.tap('Save');
    expect(page.recorded()).toMatchObject([
      {
        kind: 'put',
        record: 'batch',
        key: 'b-24',
        fields: { taxon: 'opuntia-ficus-indica', cutOn: '2026-03-30' },
      },
      { kind: 'retract', subject: 'batch/b-24' },
      { kind: 'cut', batch: 'b-24', day: '2026-03-30' },
    ]);
    expect(page.text).toContain('6 pads of Opuntia ficus-indica, cut Mon 30 Mar');
  });

  it('does not move the cut past what was done since, and says what that was', async () => {
    const page = await open('b-19');
    await page.tap('Change');
    await page.fill('Cut on', '2026-04-08');
    await page.tap('Save');
    expect(page.text).toMatch(/was recorded for .*: the cut cannot be later/);
    expect(page.recorded()).toEqual([]);
  });

  it('does not make the batch smaller than what was counted', async () => {
    const page = await open('b-19');
    await page.tap('Change');
    await page.fill('How many cuttings', '4');
    await page.tap('Save');
    expect(page.text).toContain('9 of them have an outcome already, so it cannot be 4.');
    await page.fill('How many cuttings', '24');
    await page.fill('Wound width, mm', 'thick');
    await page.tap('Save');
    expect(page.text).toContain('“thick” is not a length');
    expect(page.recorded()).toEqual([]);
  });

  it('ends, and the log undoes it', async () => {
    const page = await open('b-19');
    await page.tap('End …');
    await page.fill('Why (optional)', 'Frost');
    await page.tap('End it');
    expect(page.all('.verdict')[0]!.textContent).toContain('Done.');
    expect(page.recorded()).toMatchObject([{ kind: 'ended', text: 'Frost' }]);
  });
});

describe('the log of a batch', () => {
  it('tells all, the latest first, and undoes a line', async () => {
    const page = await mount(LogPage, { id: 'b-19' });
    const texts = page.all('li > span').map((l) => l.textContent);
    expect(texts.at(-1)).toBe('Cut');
    await page.tap(/^Undo: /);
    expect(page.recorded()).toMatchObject([{ kind: 'retract' }]);
    expect(page.all('li > span')).toHaveLength(texts.length - 1);
  });

  it('puts a line right where it stands: its day, its counts, what follows is said first', async () => {
    const page = await mount(LogPage, { id: 'b-19' });
    const counted = page.journal
      .state()
      .batches.get('b-19')!
      .entries.findLast((e) => e.kind === 'tally')!;
    await page.tap(/^Change: Counted/);
    await page.fill('Rotted', '900');
    await page.tap('Save');
    expect(page.text).toMatch(/9\d\d are told, but the batch had \d+\. Take \d+ off\./);
    await page.tap('Cancel');
    await page.tap(/^Change: Counted/);
    await page.fill('Rotted', '2');
    await page.tap('Save');
    expect(page.recorded()).toMatchObject([
      { kind: 'retract', entry: counted.id },
      { kind: 'tally', day: counted.day, counts: { rotted: 2 } },
    ]);
    expect(page.all('hy-log-change')).toHaveLength(0);
  });

  it('says why a line cannot be told so, and Escape leaves only what was not touched', async () => {
    const page = await mount(LogPage, { id: 'b-19' });
    await page.tap(/^Change: Watered/);
    await page.fill('Day', '2020-01-01');
    await page.tap('Save');
    expect(page.text).toContain('nothing was done to it before');
    const escape = async (): Promise<void> => {
      page
        .all('hy-log-change form')[0]!
        .dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }));
      await page.settle();
    };
    // What was typed is not thrown away by a key.
    await escape();
    expect(page.all('hy-log-change')).toHaveLength(1);
    expect(document.body.textContent).toContain('What you typed stands. Cancel throws it away.');
    await page.tap('Cancel');
    await page.tap(/^Change: Watered/);
    await escape();
    expect(page.all('hy-log-change')).toHaveLength(0);
    expect(page.recorded()).toEqual([]);
  });

  it('shows HTML in a note as the text it is', async () => {
    const batch = await open('b-19');
    await more(batch, 'Note …');
    await batch.fill('Note', '<img src=x onerror=alert(1)>');
    await batch.tap('Save the note');
    const told = [...batch.journal.state().log.values()].flat();
    const page = await mount(LogPage, { id: 'b-19' }, told);
    expect(page.all('li img')).toEqual([]);
    expect(page.text).toContain('<img src=x onerror=alert(1)>');
  });
});

describe('a cut that stands still in the air', () => {
  const at = '2026-03-01T08:00:00.000Z~000';
  const shared = { day: '2026-04-07', by: 'phone', kind: 'put' } as const;
  const damp: readonly Entry[] = [
    {
      ...shared,
      id: 's',
      at: `${at}0`,
      record: 'space',
      key: 'cellar',
      fields: { name: 'Cellar', tempC: 4, rh: 1 },
    },
    {
      ...shared,
      id: 'd',
      at: `${at}1`,
      record: 'space',
      key: 'sill',
      fields: { name: 'Sill', tempC: 22, rh: 0.4 },
    },
    {
      ...shared,
      id: 'b',
      at: `${at}2`,
      record: 'batch',
      key: 'b1',
      fields: {
        taxon: 'crassula-ovata',
        method: 'branch',
        count: 3,
        space: 'cellar',
        cutOn: '2026-04-07',
        school: 'dry-to-touch',
        callusAt: 'rack',
      },
    },
    { id: 'c', at: `${at}3`, day: '2026-04-07', by: 'phone', kind: 'cut', batch: 'b1' },
  ];

  it('Move opens the move on the page itself, each time it is tapped', async () => {
    const page = await mount(BatchPage, { id: 'b1' }, damp);
    expect(page.all('hy-move-deed')).toEqual([]);
    await page.tap(/^Move: /);
    expect(page.all('hy-move-deed')).toHaveLength(1);
    await more(page, 'Note …');
    await page.tap(/^Move: /);
    expect(page.all('hy-move-deed')).toHaveLength(1);
  });

  it('and stands open for who came here to move it', async () => {
    const page = await mount(BatchPage, { id: 'b1', tell: 'move' }, damp);
    expect(page.all('hy-move-deed')).toHaveLength(1);
  });
});
