import { CATALOGUE } from './catalogue';
import { FORMS, formOf, pieceDrawn } from './form';
import { PIECES } from './method';

describe('how a plant is built', () => {
  it('is told for every plant of the guide', () => {
    expect(CATALOGUE.filter((t) => formOf(t) === null).map((t) => t.name)).toEqual([]);
  });

  it('gives every form a shape of its own, and uses all forms', () => {
    expect(new Set(FORMS.map((form) => pieceDrawn('crown', form))).size).toBe(FORMS.length);
    expect(new Set(CATALOGUE.map(formOf)).size).toBe(FORMS.length);
    for (const form of FORMS) expect(PIECES).toContain(pieceDrawn('crown', form));
  });

  // Facts of the trade. Common practice, no source.
  it.each([
    ['crassula-perforata', 'crown', 'stacked'],
    ['crassula-ovata', 'branch', 'branch'],
    ['echeveria-elegans', 'crown', 'crown'],
    ['echeveria-elegans', 'offset', 'offset'],
    ['rebutia-heliosa', 'offset', 'ball'],
    ['mammillaria-elongata', 'offset', 'ball'],
    ['lithops-lesliei', 'division', 'stone'],
    ['dracaena-trifasciata', 'rooted-offset', 'fan'],
    ['dracaena-trifasciata', 'leaf-section', 'strap'],
    ['plumeria-rubra', 'branch', 'bare-branch'],
    ['zamioculcas-zamiifolia', 'division', 'tuber'],
    ['zamioculcas-zamiifolia', 'leaf', 'leaf'],
    ['curio-rowleyanus', 'trailing', 'trailing'],
    ['euphorbia-trigona', 'column', 'column'],
    ['opuntia-microdasys', 'pad', 'pad'],
    ['aeonium-arboreum', 'segment', 'segment'],
  ] as const)('%s taken as %s is drawn as %s', (id, method, piece) => {
    const taxon = CATALOGUE.find((t) => t.id === id)!;
    expect(pieceDrawn(method, formOf(taxon))).toBe(piece);
  });

  it('leaves a plant that nobody has drawn to the shape of its way', () => {
    expect(formOf({ id: 'x', name: 'Unheard of' })).toBeNull();
    for (const name of ['constructor', '__proto__', 'toString', ''])
      expect(formOf({ id: name, name })).toBeNull();
    expect(pieceDrawn('crown', null)).toBe('crown');
  });
});
