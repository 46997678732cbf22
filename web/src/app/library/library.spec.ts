import { CATALOGUE } from '@hypogeon/core';
import { mount } from '../../testing/mount';
import { LibraryPage } from './library-page';
import { MarksPage } from './marks-page';
import { TaxonPage } from './taxon-page';

describe('the library', () => {
  it('finds by any name', async () => {
    const page = await mount(LibraryPage, {}, []);
    expect(page.all('li a')).toHaveLength(CATALOGUE.length);
    await page.fill('Find a plant', 'Senecio rowleyanus');
    expect(page.text).toContain('Curio rowleyanus');
    expect(page.all('li a')).toHaveLength(1);
    await page.fill('Find a plant', 'string of perls');
    expect(page.text).toContain('Curio rowleyanus');
    await page.fill('Find a plant', 'oak');
    expect(page.text).toContain('None by that name.');
  });

  it.each(CATALOGUE.map((t) => t.id))('%s: every figure stands with its evidence', async (id) => {
    const page = await mount(TaxonPage, { id }, []);
    for (const figure of page.all('dl div')) {
      const said = figure.textContent.replace(/\s+/g, ' ');
      expect(said).toMatch(/no source|none that could rot/);
    }
    expect(page.root.innerHTML).not.toMatch(/NaN|undefined/);
  });

  it('says so where a plant is not kept', async () => {
    expect((await mount(TaxonPage, { id: 'oak' }, [])).text).toContain('Not in the library');
  });

  it('shows all marks in all states, each by name', async () => {
    const page = await mount(MarksPage, {}, []);
    const names = page.all('svg[role=img]').map((s) => s.getAttribute('aria-label'));
    expect(names).toHaveLength(9 * 12);
    expect(new Set(names).size).toBe(names.length);
  });
});
