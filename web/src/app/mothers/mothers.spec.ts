import { mount } from '../../testing/mount';
import { MotherForm } from './mother-form';
import { MotherPage } from './mother-page';
import { MothersPage } from './mothers-page';

describe('adding a mother', () => {
  it('asks for what is missing, at each field, and records nothing', async () => {
    const page = await mount(MotherForm, {}, []);
    await page.tap('Add her');
    expect(page.text).toContain('Which plant is it?');
    expect(page.text).toContain('What do you call her at the bench?');
    expect(page.text).toContain('May she be propagated?');
    expect(page.recorded()).toEqual([]);
  });

  it('records a plant of the library with its permission', async () => {
    const page = await mount(MotherForm, {}, []);
    await page.fill('Plant', 'aeonium ARBOREUM');
    expect(page.text).toContain('A leaf carries no bud');
    await page.fill('What you call her', '  The tall one ');
    await page.fill('Permission to propagate', 'asked');
    await page.tap('Add her');
    expect(page.recorded()).toMatchObject([
      {
        kind: 'put',
        record: 'mother',
        fields: { name: 'The tall one', taxon: 'aeonium-arboreum', permission: 'asked' },
      },
    ]);
  });

  it('makes an own plant once, however many mothers of it there are', async () => {
    const page = await mount(MotherForm, {}, []);
    for (const name of ['First', 'Second']) {
      await page.fill('Plant', 'Nameless cross');
      await page.fill('Most like', 'echeveria-elegans');
      await page.fill('What you call her', name);
      await page.fill('Permission to propagate', 'own');
      await page.tap('Add her');
    }
    const { ownTaxa, mothers } = page.journal.state();
    expect([...ownTaxa.values()].map((t) => t.name)).toEqual(['Nameless cross']);
    expect(new Set([...mothers.values()].map((m) => m.taxon)).size).toBe(1);
    expect(mothers.size).toBe(2);
  });

  it('does not take a day to come', async () => {
    const page = await mount(MotherForm, {}, []);
    await page.fill('With us since (optional)', '2026-12-01');
    await page.tap('Add her');
    expect(page.text).toContain('That day is still to come.');
  });

  it('keeps what was typed when the page is left and opened again', async () => {
    const page = await mount(MotherForm, {}, []);
    await page.fill('What you call her', 'Half done');
    const kept = localStorage.getItem('hypogeon.draft.mother.new');
    expect(JSON.parse(kept!)).toMatchObject({ name: 'Half done' });
  });

  it('changes one that is known, starting from what is kept of her', async () => {
    const page = await mount(MotherForm, { id: 'm-aeon' });
    expect(page.field('What you call her').value).toBe('The tall aeonium');
    await page.fill('Where she came from', '');
    await page.tap('Keep the change');
    expect(page.journal.state().mothers.get('m-aeon')!.provenance).toBeUndefined();
    expect(page.journal.state().mothers.get('m-aeon')!.permission).toBe('asked');
  });
});

describe('mothers', () => {
  it('tells where each came from and what she gave', async () => {
    const page = await mount(MothersPage);
    const rows = page.all('li').map((li) => li.textContent.replace(/\s+/g, ' '));
    expect(rows).toHaveLength(11);
    const aeonium = rows.find((r) => r.includes('The tall aeonium'))!;
    expect(aeonium).toContain('the owner said yes');
    expect(aeonium).toContain('gave 33, 19 rooted so far');
  });

  it('shows one with her ways, cautions and batches', async () => {
    const page = await mount(MotherPage, { id: 'm-opun' });
    expect(page.text).toContain('Pad or joint');
    expect(page.text).toMatch(/Roots in 14–35 days, pups in 60–180 at 22 °C; \d+–\d+ % succeed/);
    expect(page.text).toContain('Glochids');
    expect(page.all('.gave li')).toHaveLength(2);
    expect((await mount(MotherPage, { id: 'no' })).text).toContain('No such mother');
  });
});
