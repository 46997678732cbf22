import type { Entry } from '@hypogeon/core/journal';
import { DAY, mount, type Bench } from '../../testing/mount';
import { SettingsPage } from './settings-page';

const open = (entries?: readonly Entry[]): Promise<Bench<SettingsPage>> =>
  mount(SettingsPage, {}, entries);

const mother: Entry = {
  id: 'm',
  at: '2026-03-01T08:00:00.000Z~0000',
  day: DAY,
  by: 'phone',
  kind: 'put',
  record: 'mother',
  key: 'm1',
  fields: { name: 'From a file' },
};

describe('settings', () => {
  it('keeps units and the school in the journal', async () => {
    const page = await open([]);
    await page.fill('Lengths', 'in');
    await page.fill('Temperatures', 'F');
    await page.fill('How long to dry the cut', 'long-cure');
    expect(page.journal.state().settings).toEqual({
      length: 'in',
      temperature: 'F',
      school: 'long-cure',
    });
    await page.fill('How long to dry the cut', '');
    expect(page.journal.state().settings.school).toBeUndefined();
  });

  it.each([
    ['Name', '', 'What do you call the place?'],
    ['Usual mean, °C', 'warm', 'The mean of the day in °C, from -30 °C to 60 °C.'],
    ['Usual mean, °C', '75', 'The mean of the day in °C'],
    ['Relative humidity, %', '0.55', 'Relative humidity in per cent'],
    ['Relative humidity, %', '140', 'Relative humidity in per cent'],
  ])('%s “%s” gets a sentence and is not kept', async (label, typed, sentence) => {
    const page = await open([]);
    await page.tap('Add a place');
    await page.fill('Name', 'Loft');
    await page.fill('Usual mean, °C', '18');
    await page.fill('Relative humidity, %', '60');
    await page.fill(label, typed);
    await page.tap('Save the place');
    expect(page.text).toContain(sentence);
    expect(page.recorded()).toEqual([]);
  });

  it('keeps a place, and a reading of it apart from what it usually has', async () => {
    const page = await open([]);
    await page.tap('Add a place');
    await page.fill('Name', 'Loft');
    await page.fill('Usual mean, °C', '18,5');
    await page.fill('Relative humidity, %', '60');
    await page.tap('Save the place');
    await page.tap('Today’s reading in Loft');
    await page.fill('Mean, °C', '11');
    await page.tap('Save the reading');
    expect(page.text).toContain('usually 18.5 °C, 60%');
    expect(page.text).toContain('now 11 °C, 60%');
    expect(page.recorded()).toMatchObject([{ kind: 'put' }, { kind: 'air', tempC: 11, rh: 0.6 }]);
  });

  it('finds a setting by what one would call it', async () => {
    const page = await open([]);
    const box = page.field('Find a setting');
    const offered = async (typed: string): Promise<string[]> => {
      box.focus();
      await page.fill('Find a setting', typed);
      return [...document.querySelectorAll('mat-option')].map((o) => o.textContent.trim());
    };
    expect(await offered('inch')).toEqual(['Lengths: millimetres or inches']);
    expect(await offered('fahr')).toEqual(['Temperatures: °C or °F']);
    expect(await offered('dark')).toEqual(['Theme: Noon or Lamp']);
    await offered('xyz');
    expect(page.text).toContain('No setting is called so');
  });

  it('loads the demo beside the own journal, and asks before clearing it', async () => {
    const page = await open([mother]);
    await page.tap('Look round the demo');
    expect(page.text).toContain('30 batches');
    await page.fill('Lengths', 'in');
    await page.tap('Clear the demo');
    expect(page.text).toContain('One entry of your own in it would go too');
    await page.tap('Cancel');
    await page.tap('Clear the demo');
    await page.tap('Clear it');
    expect(page.text).toContain('1 entry, 0 batches, 1 mother.');
  });

  it('puts an empty place away: it leaves the lists, keeps its air, and comes back by undo', async () => {
    const at = '2026-03-01T08:00:00.000Z~000';
    const shared = { day: DAY, by: 'phone' } as const;
    const page = await open([
      {
        ...shared,
        id: 's',
        at: `${at}0`,
        kind: 'put',
        record: 'space',
        key: 'sill',
        fields: { name: 'Old sill', tempC: 20, rh: 0.5 },
      },
      { ...shared, id: 'a', at: `${at}1`, kind: 'air', space: 'sill', tempC: 23, rh: 0.4 },
    ]);
    expect(page.text).toContain('Old sill');
    await page.tap('Delete Old sill');
    expect(page.text).not.toContain('Old sill');
    expect(page.recorded()).toContainEqual(
      expect.objectContaining({ key: 'sill', fields: { away: true } }),
    );
    expect(page.journal.state().spaces.get('sill')).toMatchObject({ name: 'Old sill', away: true });
    expect(
      [...page.journal.state().log.values()].flat().filter((e) => e.kind === 'air'),
    ).toHaveLength(1);
    const put = [...page.journal.state().log.values()]
      .flat()
      .find((e) => JSON.stringify(e).includes('"away":true'))!;
    await page.journal.retract(put);
    await page.settle();
    expect(page.text).toContain('Old sill');
  });

  it('a place in which something stands is not deleted', async () => {
    const page = await open();
    const standing = [...page.journal.state().batches.values()].find((b) => b.ended === null)!;
    const name = page.journal.state().spaces.get(standing.space)!.name;
    expect(page.all(`[aria-label="Delete ${name}"]`)).toEqual([]);
  });
});
