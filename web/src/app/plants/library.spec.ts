import { plantDrawn, plantOf } from '@hypogeon/core/bench';
import { PIECES } from '@hypogeon/core/botany';
import { CATALOGUE } from '@hypogeon/core/botany';
import { mount } from '../../testing/mount';
import { LibraryPage } from './library-page';
import { OwnFigures } from './own-figures';
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
    await page.fill('Find a plant', '');
    expect(page.all('li a')).toHaveLength(CATALOGUE.length);
  });

  it('looks through by way, family, light and what it hurts', async () => {
    const page = await mount(LibraryPage, {}, []);
    await page.fill('Way', 'bulbil');
    expect(page.all('li a')).toHaveLength(2);
    await page.fill('Way', '');
    await page.fill('Family', 'Gesneriaceae');
    expect(page.all('li a')).toHaveLength(4);
    await page.fill('Light', 'sun');
    expect(page.text).toContain('None like that.');
    await page.fill('Family', '');
    await page.fill('Light', '');
    page.all('mat-chip-option button')[1]!.click();
    await page.settle();
    expect(page.all('li a').length).toBeLessThan(CATALOGUE.length);
    expect(page.text).not.toContain('Kalanchoe tomentosa');
  });

  it('a plant’s page answers first how to make more of it', async () => {
    const page = await mount(TaxonPage, { id: 'crassula-perforata' }, []);
    expect(page.all('.lead')[0]!.textContent).toContain('Take crowns: about 95% live');
  });

  it.each(CATALOGUE.map((t) => t.id))('%s: every figure stands with its evidence', async (id) => {
    const page = await mount(TaxonPage, { id }, []);
    for (const mark of page.all('article hy-evidence button')) mark.click();
    await page.settle();
    for (const figure of page.all('article dl div')) {
      const said = figure.textContent.replace(/\s+/g, ' ');
      expect(said).toMatch(/no source|none that could rot/);
    }
    expect(page.root.innerHTML).not.toMatch(/NaN|undefined/);
  });

  it('says so where a plant is not kept', async () => {
    expect((await mount(TaxonPage, { id: 'oak' }, [])).text).toContain('Not in the plant guide');
  });

  it('shows all marks in all states, each by name', async () => {
    const page = await mount(MarksPage, {}, []);
    const names = page.all('svg[role=img]').map((s) => s.getAttribute('aria-label'));
    expect(names).toHaveLength(PIECES.length * 12);
    expect(new Set(names).size).toBe(names.length);
  });

  it('own figures stand over the library’s, each with a sentence where it is wrong', async () => {
    const page = await mount(OwnFigures, { id: 'echeveria-elegans' }, []);
    const type = (label: string, value: string): Promise<void> => page.fill(label, value);
    await type('Leaf: success, per cent', '120');
    await type('Crown: days to roots', 'soon');
    await type('Division: success, per cent', '90');
    await page.fill('Grows from, mean °C', '30');
    await page.tap('Keep the figures');
    expect(page.text).toContain('Leaf: success is between 0 and 100%');
    expect(page.text).toContain('Give both ends of the band');
    await type('Leaf: success, per cent', '45');
    expect(page.text).toContain('Crown: write roots as days, like 14–28.');
    await type('Crown: days to roots', '20-40');
    expect(page.text).toContain('Division is not in the guide for this plant');
    await type('Division: days to roots', '10');
    await page.fill('Up to, °C', '20');
    expect(page.text).toContain('The band runs from cooler to warmer');
    await page.fill('Grows from, mean °C', '12');
    await page.tap('Keep the figures');
    expect(page.recorded()).toEqual([
      {
        kind: 'put',
        record: 'taxon',
        key: 'echeveria-elegans',
        day: '2026-04-09',
        fields: {
          season: { fromC: 12, toC: 20 },
          methods: [
            { method: 'leaf', success: 0.45 },
            { method: 'crown', roots: [20, 40] },
            { method: 'division', success: 0.9, roots: [10, 10] },
          ],
        },
      },
    ]);
    const taxon = await mount(
      TaxonPage,
      { id: 'echeveria-elegans' },
      [...page.journal.state().log.values()].flat(),
    );
    expect(taxon.text).toContain('12 °C to 20 °C');
    await taxon.tap('Crown, Roots: what it rests on');
    expect(taxon.text).toContain('measured here');
    expect(taxon.text).toContain('20–40 days');
  });

  it('a new plant wants a name and one it is like', async () => {
    const page = await mount(OwnFigures, {}, []);
    await page.tap('Keep the figures');
    expect(page.text).toContain('What is the plant called?');
    expect(page.text).toContain('Choose the plant it is most like');
    await page.fill('Name', 'Blue cross');
    await page.fill('Most like', 'echeveria-elegans');
    await page.tap('Keep the figures');
    const library = await mount(LibraryPage, {}, [...page.journal.state().log.values()].flat());
    await library.fill('Find a plant', 'blue cr');
    expect(library.text).toContain('your own, like Echeveria elegans');
  });

  it('a new plant wears the look of its kin, bettered as one likes, drawn as it changes', async () => {
    const page = await mount(OwnFigures, {}, []);
    expect(page.all('hy-own-look')).toEqual([]);
    await page.fill('Name', 'Plum cross');
    await page.fill('Most like', 'echeveria-elegans');
    const drawing = (): string => page.all('hy-own-look use')[0]!.getAttribute('href')!;
    const before = drawing();
    await page.fill('Colour', 'plum');
    await page.fill('On its leaves', 'dots');
    expect(drawing()).not.toBe(before);
    await page.tap('As its kin');
    await page.fill('Colour', 'plum');
    await page.tap('Keep the figures');
    expect(page.recorded()).toMatchObject([
      { kind: 'put', record: 'taxon', fields: { name: 'Plum cross', look: { fill: 'plum' } } },
    ]);
    const state = page.journal.state();
    const [own] = [...state.ownTaxa.keys()];
    expect(plantDrawn(plantOf(state, own!)!.taxon).look).toEqual({
      ...plantDrawn(plantOf(state, 'echeveria-elegans')!.taxon).look,
      fill: 'plum',
    });
  });

  it('shows what this bench has taught beside the figures', async () => {
    const page = await mount(TaxonPage, { id: 'echeveria-elegans' });
    await page.tap('Leaf, On this bench: what it rests on');
    expect(page.text).toMatch(/On this bench ?\d+% succeed ?your own 36 leaves/);
    expect(page.text).toMatch(/times the days, \d\.\d\d to \d\.\d\d/);
    expect(page.text).toContain('It does not trail.');
    expect(page.text).toContain('From day 14');
  });
});
