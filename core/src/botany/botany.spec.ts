import {
  CATALOGUE,
  findTaxa,
  formOf,
  grownAs,
  growsCool,
  growthOn,
  growthRate,
  leastOf,
  METHOD,
  METHODS,
  type MethodId,
  methodOf,
  PIECES,
  seasonAt,
  taxonSchema,
} from '.';
import { sunUpHours } from '../climate';

const taxon = (id: string) => CATALOGUE.find((t) => t.id === id)!;
const roots = (id: string, method: (typeof METHODS)[number]) => methodOf(taxon(id), method)!.roots;

describe('the catalogue', () => {
  it.each(CATALOGUE.map((t) => [t.name, t] as const))('%s has no hole', (_name, t) => {
    expect(taxonSchema.safeParse(t).error?.issues).toBeUndefined();
  });

  it('covers a hundred and ten taxa and more, of all the families growers raise', () => {
    expect(CATALOGUE.length).toBeGreaterThanOrEqual(110);
    const families = new Set(CATALOGUE.map((t) => t.family));
    for (const family of [
      'Crassulaceae',
      'Asphodelaceae',
      'Asparagaceae',
      'Araceae',
      'Aizoaceae',
      'Apocynaceae',
      'Asteraceae',
      'Euphorbiaceae',
      'Didiereaceae',
      'Piperaceae',
      'Cactaceae',
      'Gesneriaceae',
      'Saxifragaceae',
    ])
      expect(families).toContain(family);
    const genera = new Set(CATALOGUE.map((t) => t.name.split(' ')[0]!));
    for (const genus of [
      'Echeveria',
      'Sedum',
      'Kalanchoe',
      'Aeonium',
      'Haworthia',
      'Agave',
      'Lithops',
      'Hoya',
    ])
      expect(genera).toContain(genus);
  });

  it('does not contradict itself', () => {
    expect(new Set(CATALOGUE.map((t) => t.id)).size).toBe(CATALOGUE.length);
    for (const t of CATALOGUE) {
      expect(t.season.fromC).toBeLessThan(t.season.toC);
      const ways = t.methods.map((m) => m.method);
      expect(new Set(ways).size).toBe(ways.length);
      for (const { method } of t.not) expect(ways).not.toContain(method);
      for (const m of t.methods) {
        if (m.pups) expect(m.pups.to).toBeGreaterThanOrEqual(m.roots.from);
        if (m.worth === 'poor') expect(m.why).toBeTruthy();
      }
      if (t.family === 'Cactaceae' || t.family === 'Euphorbiaceae') {
        expect(t.law).toContain('cites');
        // Forest cacti hang in trees and have no spines.
        const forest = [
          'Schlumbergera',
          'Rhipsalis',
          'Disocactus',
          'Epiphyllum',
          'Hatiora',
        ].includes(t.name.split(' ')[0]!);
        expect(t.hazards.length > 0).toBe(!forest);
      }
    }
  });

  it('no old name is a plant of its own, no milk goes unsaid', () => {
    const names = new Set(CATALOGUE.map((t) => t.name));
    for (const t of CATALOGUE) for (const old of t.synonyms) expect(names).not.toContain(old);
    for (const id of ['plumeria-rubra', 'adenium-obesum', 'euphorbia-tirucalli'])
      expect(taxon(id).hazards.map((h) => h.kind)).toContain('latex');
    for (const t of CATALOGUE.filter((c) => c.name.startsWith('Kalanchoe')))
      expect(t.hazards.map((h) => h.kind)).toContain('poisonous');
  });

  // Rooting and pupping windows, common practice, no source.
  it('holds the windows growers name', () => {
    expect(roots('crassula-perforata', 'crown').from).toBe(7);
    expect(roots('graptopetalum-paraguayense', 'leaf')).toMatchObject({ from: 7, to: 14 });
    expect(roots('graptopetalum-paraguayense', 'crown')).toMatchObject({ from: 14, to: 28 });
    expect(roots('curio-rowleyanus', 'trailing').from).toBeLessThanOrEqual(21);
    expect(roots('curio-rowleyanus', 'trailing').to).toBeGreaterThanOrEqual(21);
    expect(roots('mammillaria-vetula', 'offset')).toMatchObject({ from: 14, to: 28 });
    expect(roots('crassula-ovata', 'branch')).toMatchObject({ from: 21, to: 60 });
    expect(roots('kalanchoe-tomentosa', 'crown')).toMatchObject({ from: 14, to: 21 });
    expect(roots('dracaena-trifasciata', 'leaf-section')).toMatchObject({ from: 60, to: 240 });
    expect(methodOf(taxon('echeveria-elegans'), 'leaf')!.pups).toMatchObject({ from: 28, to: 56 });
  });

  it.each([
    ['zamioculcas-zamiifolia', ['division', 'segment', 'leaf']],
    ['dracaena-trifasciata', ['leaf-section', 'division', 'rooted-offset', 'leaf', 'offset']],
    ['kalanchoe-tomentosa', ['leaf', 'crown', 'segment']],
    ['kalanchoe-pinnata', ['leaf', 'crown']],
    ['agave-vilmoriniana', ['plantlet', 'bulbil']],
    ['haworthia-retusa', ['rooted-offset', 'offset', 'root-cutting']],
  ] as const)('offers %s every way growers take it by', (id, ways) => {
    expect(taxon(id).methods.map((m) => m.method)).toEqual(ways);
  });

  // A way that takes badly is never what a plan opens with while a better one is there.
  it('begins with a good way', () => {
    for (const t of CATALOGUE)
      if (t.methods.some((m) => m.worth === 'good'))
        expect([t.id, t.methods[0]!.worth]).toEqual([t.id, 'good']);
  });

  it('gives every plant a shape', () => {
    for (const t of CATALOGUE) expect([t.id, formOf(t)]).not.toEqual([t.id, null]);
  });

  // Common practice, no source: one leaf pair makes a stacked crown, two a segment.
  it('asks little of a stacked stem and much of a frangipani', () => {
    const least = (id: string, method: (typeof METHODS)[number]) =>
      leastOf(methodOf(taxon(id), method)!);
    for (const id of ['crassula-perforata', 'crassula-rupestris', 'crassula-marnieriana']) {
      expect(least(id, 'crown').nodes).toBe(1);
      expect(least(id, 'segment').nodes).toBe(2);
      expect(least(id, 'crown').lengthMm).toBeLessThanOrEqual(25);
    }
    expect(least('plumeria-rubra', 'branch').lengthMm).toBe(150);
  });

  it('names every method and a shape for it', () => {
    for (const id of METHODS) {
      expect(METHOD[id].id).toBe(id);
      expect(PIECES).toContain(METHOD[id].piece);
    }
  });
});

describe('finding a plant', () => {
  it('by old name, common name or family', () => {
    expect(findTaxa(CATALOGUE, 'sansevieria trif')[0]?.id).toBe('dracaena-trifasciata');
    expect(findTaxa(CATALOGUE, 'senecio').every((t) => /Curio|Caputia/.test(t.name))).toBe(true);
    expect(findTaxa(CATALOGUE, 'bunny EARS')[0]?.id).toBe('opuntia-microdasys');
    // Both are called jade; the one whose name begins so stands first.
    expect(findTaxa(CATALOGUE, 'jade')[0]?.id).toBe('crassula-ovata');
    expect(findTaxa(CATALOGUE, 'crasula ov')[0]?.id).toBe('crassula-ovata');
    expect(findTaxa(CATALOGUE, 'cactaceae').length).toBe(19);
    expect(findTaxa(CATALOGUE, 'rose bush')).toEqual([]);
  });

  // Misspellings as they are heard and typed.
  it.each([
    ['echevaria elegans', 'echeveria-elegans'],
    ['haworthia retsua', 'haworthia-retusa'],
    ['sanseveria cylindrica', 'dracaena-angolensis'],
    ['kalanchoë tomentosa', 'kalanchoe-tomentosa'],
    ['pigs ear', 'cotyledon-orbiculata'],
    ['portulacria', 'portulacaria-afra'],
    ['euforbia mili', 'euphorbia-milii'],
    ['frangapani', 'plumeria-rubra'],
    ['zamioculas', 'zamioculcas-zamiifolia'],
  ])('forgives a slip: “%s”', (typed, id) => {
    expect(findTaxa(CATALOGUE, typed).map((t) => t.id)).toContain(id);
    expect(findTaxa(CATALOGUE, typed).length).toBeLessThan(12);
  });

  // What people search for, common names as they are said.
  it.each([
    ['donkey tail', 'sedum-morganianum'],
    ['hens and chicks', 'sempervivum-tectorum'],
    ['hen and chicks', 'echeveria-elegans'],
    ['silver dollar', 'crassula-arborescens'],
    ['silver dollar vine', 'xerosicyos-danguyi'],
    ['haworthia fasciata', 'haworthiopsis-fasciata'],
    ['zebra plant', 'haworthiopsis-attenuata'],
    ['string of buttons', 'crassula-perforata'],
    ['worm plant', 'crassula-marnieriana'],
    ['christmas cactus', 'schlumbergera-truncata'],
    ['mother of millions', 'kalanchoe-delagoensis'],
    ['snake plant', 'dracaena-trifasciata'],
    ['ZZ plant', 'zamioculcas-zamiifolia'],
  ])('finds “%s” first', (typed, id) => {
    expect(findTaxa(CATALOGUE, typed)[0]?.id).toBe(id);
  });

  it('forgives nothing in short words', () => {
    expect(findTaxa(CATALOGUE, 'xyz')).toEqual([]);
    expect(findTaxa(CATALOGUE, '  ').length).toBe(CATALOGUE.length);
  });
});

describe('season and windows in the air of a bench', () => {
  it('says whether it grows, and why', () => {
    const aeonium = taxon('aeonium-arboreum');
    expect(seasonAt(aeonium, 15).state).toBe('active');
    expect(seasonAt(aeonium, 24)).toEqual({
      state: 'marginal',
      reason: 'a little too warm to grow well',
    });
    expect(seasonAt(aeonium, 30).state).toBe('resting');
    expect(seasonAt(taxon('opuntia-microdasys'), 9).reason).toMatch(/too cool/);
  });

  it('looks at the night and the noon where the mean alone would say that all is well', () => {
    const opuntia = taxon('opuntia-microdasys');
    const mean = (opuntia.season.fromC + opuntia.season.toC) / 2;
    const at = (nightC?: number, noonC?: number) => seasonAt(opuntia, mean, 14, { nightC, noonC });
    expect(at().state).toBe('active');
    expect(at(opuntia.season.fromC - 6, opuntia.season.toC + 8).state).toBe('active');
    expect(at(opuntia.season.fromC - 6.1)).toMatchObject({
      state: 'marginal',
      reason: 'warm enough by day, but the nights are too cold',
    });
    expect(at(undefined, opuntia.season.toC + 8.1)).toMatchObject({
      state: 'marginal',
      reason: 'mild on the whole, but too hot at noon',
    });
    // A mean outside the band says more than its night does.
    expect(seasonAt(opuntia, opuntia.season.fromC - 9, 14, { nightC: -2 }).state).toBe('resting');
    const grows = grownAs(opuntia, 'pad');
    expect(growthOn(grows, { tempC: mean, dayHours: 14, nightC: 0 })).toBeLessThan(
      growthOn(grows, { tempC: mean, dayHours: 14 }),
    );
  });

  it('grows twice as fast with ten degrees, within sense', () => {
    const rate = (tempC: number): number =>
      growthRate(tempC, grownAs(taxon('echeveria-elegans'), 'crown'));
    expect(rate(22)).toBe(1);
    expect(rate(12)).toBeCloseTo(0.5, 12);
    expect(rate(-20)).toBe(rate(6));
    expect(rate(40)).toBe(rate(28));
  });
});

// Common practice, no source: tips of alpines root in three to four weeks in a cold light greenhouse; root cuttings of
// mid October show shoots by early January at about 10 °C; eight hours in December at 43° carry them, under five at 62°
// hold them back.
describe('what grows in the cool', () => {
  const alpine = taxon('saxifraga-paniculata');
  const day = (id: string, method: MethodId, tempC: number, dayHours?: number): number =>
    growthOn(grownAs(taxon(id), method), { tempC, ...(dayHours ? { dayHours } : {}) });

  it('alpines and winter growers keep their windows in their own band', () => {
    for (const { id, season } of CATALOGUE.filter(growsCool)) {
      const middle = (season.fromC + season.toC) / 2;
      expect([id, day(id, 'crown', Math.min(22, middle))]).toEqual([id, 1]);
    }
    const { roots } = methodOf(alpine, 'offset')!;
    const days = roots.from / day(alpine.id, 'offset', 10, 9);
    expect(days).toBeGreaterThan(14);
    expect(days).toBeLessThan(28);
    // A summer grower of the same cold greenhouse waits.
    expect(day('echeveria-elegans', 'offset', 10, 9)).toBeLessThan(0.3);
  });

  it('root cuttings of mid October show shoots about new year at 10 °C', () => {
    const { roots } = methodOf(taxon('haworthia-retusa'), 'root-cutting')!;
    const grown = day('haworthia-retusa', 'root-cutting', 10, 9);
    expect(roots.from / grown).toBeLessThan(80);
    expect(roots.to / grown).toBeGreaterThan(80);
    expect(day('haworthia-retusa', 'offset', 10, 9)).toBeLessThan(grown);
  });

  it('light decides with warmth: eight hours carry them, under five do not', () => {
    expect(sunUpHours(43, '2026-12-15')).toBeGreaterThan(8);
    expect(sunUpHours(62, '2026-12-15')).toBeLessThan(5.5);
    const [south, north] = [43, 62].map((latitude) =>
      day(alpine.id, 'offset', 12, sunUpHours(latitude, '2026-12-15')),
    );
    expect(south).toBe(1);
    expect(north).toBeLessThan(0.7);
    expect(day('echeveria-elegans', 'crown', 22, sunUpHours(43, '2026-12-15'))).toBeLessThan(0.7);
  });
});
