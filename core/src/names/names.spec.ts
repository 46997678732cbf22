import { CATALOGUE, calledJustSo, findTaxa } from '../botany';
import { foldText } from '../text';
import { alsoCalled, namesThatFit } from '.';
import names from './names.json' with { type: 'json' };

const found = (query: string): string | undefined => findTaxa(CATALOGUE, query, alsoCalled)[0]?.id;

describe('names in German and Spanish', () => {
  it('are of plants of the guide, whole, and none twice for one plant', () => {
    const known = new Set(CATALOGUE.map((t) => t.id));
    for (const [id, of] of Object.entries(names)) {
      expect([id, known.has(id)]).toEqual([id, true]);
      for (const names of Object.values(of)) {
        expect(names.every((n) => n.trim() === n && n.length > 2)).toBe(true);
        expect(new Set(names.map(foldText)).size).toBe(names.length);
      }
    }
    // Nearly every plant has some: growers name what they keep.
    expect(Object.keys(names).length).toBeGreaterThan(CATALOGUE.length * 0.85);
  });

  it('are those that the plants are called by where their language is read', () => {
    for (const { id, common } of CATALOGUE)
      expect([id, common]).toEqual([
        id,
        (names as Record<string, { en?: string[] }>)[id]?.en ?? [],
      ]);
  });

  // From memory.
  it.each([
    ['Geldbaum', 'crassula-ovata'],
    ['Bogenhanf', 'dracaena-trifasciata'],
    ['siempreviva', 'sempervivum-tectorum'],
    ['árbol de jade', 'crassula-ovata'],
    ['arbol de jade', 'crassula-ovata'],
    ['Weihnachtskaktus', 'schlumbergera-truncata'],
    ['cola de burro', 'sedum-morganianum'],
    ['Hauswurz', 'sempervivum-tectorum'],
    ['collar de perlas', 'curio-rowleyanus'],
    ['jade plant', 'crassula-ovata'],
  ])('%s finds %s', (query, id) => {
    expect(found(query)).toBe(id);
  });

  it('are no names of other things, and are not asked for where they are not handed in', () => {
    expect(alsoCalled('__proto__')).toEqual([]);
    expect(alsoCalled('constructor')).toEqual([]);
    expect(findTaxa(CATALOGUE, 'Geldbaum')).toEqual([]);
    expect(calledJustSo(CATALOGUE, 'Geldbaum', alsoCalled).map((t) => t.id)).toEqual([
      'crassula-ovata',
    ]);
    expect(namesThatFit(['Árbol de jade', 'Geldbaum'], 'jade arbol')).toEqual(['Árbol de jade']);
    expect(namesThatFit(['Geldbaum'], ' ')).toEqual([]);
  });
});
