import type { Entry } from '@hypogeon/core/journal';
import { DAY, mount, type Bench } from '../../testing/mount';
import { OwnFigures } from '../plants/own-figures';
import { PotsPage } from '../mixes/pots-page';
import { MotherForm } from '../mothers/mother-form';
import { SettingsPage } from './settings-page';

let n = 0;
const put = (record: string, key: string, fields: object): Entry =>
  ({
    id: `p${n}`,
    at: `2026-03-01T08:00:00.000Z~${(n++).toString(16).padStart(4, '0')}`,
    day: DAY,
    by: 'demo',
    kind: 'put',
    record,
    key,
    fields,
  }) as Entry;

/** Figures finer than any screen shows them. */
const ENTRIES = [
  put('settings', 'grower', { temperature: 'F' }),
  put('space', 'porch', { name: 'Porch', tempC: 4, rh: 0.555 }),
  put('mother', 'm1', {
    name: 'The bowl',
    taxon: 'echeveria-elegans',
    permission: 'own',
    heightMm: 112.4,
    space: 'porch',
  }),
  put('container', 'tin', {
    name: 'Tin',
    shape: 'round',
    topMm: 73.335,
    bottomMm: 73.335,
    heightMm: 101.625,
    freeboardMm: 10,
    wall: 'plastic',
    holes: true,
  }),
  put('taxon', 'echeveria-elegans', {
    season: { fromC: 12.3, toC: 24.7 },
    methods: [{ method: 'leaf', success: 0.4567, widthMm: 3.55 }],
  }),
];

/** What a form wrote, and whatever else was recorded. */
const written = (page: Bench<unknown>): readonly object[] =>
  page.recorded().flatMap((e) => ('fields' in e ? [e.fields as object] : [e]));

describe('a form opened and saved without a touch changes nothing stored', () => {
  it('of a place, at 4 °C shown as 39 °F', async () => {
    const page = await mount(SettingsPage, {}, ENTRIES);
    await page.tap('Change Porch');
    await page.tap('Save the place');
    expect(written(page)).toEqual([]);
    await page.tap('Change Porch');
    await page.fill('Name', 'North porch');
    await page.tap('Save the place');
    expect(written(page)).toEqual([{ name: 'North porch' }]);
  });

  it('of a mother, 112.4 mm tall', async () => {
    const page = await mount(MotherForm, { id: 'm1' }, ENTRIES);
    await page.tap('Keep the change');
    expect(written(page)).toEqual([]);
    const again = await mount(MotherForm, { id: 'm1' }, ENTRIES);
    await again.fill('Where it came from', 'A swap');
    await again.tap('Keep the change');
    expect(written(again)).toEqual([{ provenance: 'A swap' }]);
  });

  it('of a pot, measured to the hundredth', async () => {
    const page = await mount(PotsPage, {}, ENTRIES);
    await page.tap('Change Tin');
    await page.tap('Save');
    expect(written(page)).toEqual([]);
    await page.tap('Change Tin');
    await page.fill('Name', 'Tall tin');
    await page.tap('Save');
    expect(written(page)).toEqual([{ name: 'Tall tin' }]);
  });

  it('of own figures, success of 45.67%', async () => {
    const page = await mount(OwnFigures, { id: 'echeveria-elegans' }, ENTRIES);
    await page.tap('Keep the figures');
    expect(written(page)).toEqual([]);
    const again = await mount(OwnFigures, { id: 'echeveria-elegans' }, ENTRIES);
    await again.fill('Leaf: days to roots', '9-15');
    await again.tap('Keep the figures');
    expect(written(again)).toEqual([
      { methods: [{ method: 'leaf', roots: [9, 15], success: 0.4567, widthMm: 3.55 }] },
    ]);
  });
});
