import {
  CATALOGUE,
  findTaxa,
  METHOD,
  METHODS,
  methodOf,
  PIECES,
  seasonAt,
  taxonSchema,
  windowAt,
} from '.';

const taxon = (id: string) => CATALOGUE.find((t) => t.id === id)!;
const roots = (id: string, method: (typeof METHODS)[number]) => methodOf(taxon(id), method)!.roots;

describe('the catalogue', () => {
  it.each(CATALOGUE.map((t) => [t.name, t] as const))('%s has no hole', (_name, t) => {
    expect(taxonSchema.safeParse(t).error?.issues).toBeUndefined();
  });

  it('covers a dozen taxa of five families or more, cacti among them', () => {
    const families = new Set(CATALOGUE.map((t) => t.family));
    expect(CATALOGUE.length).toBeGreaterThanOrEqual(12);
    expect(families.size).toBeGreaterThanOrEqual(5);
    expect(families).toContain('Cactaceae');
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
        expect(t.hazards.length).toBeGreaterThan(0);
      }
    }
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
    expect(roots('kalanchoe-tomentosa', 'crown')).toMatchObject({ from: 13, to: 21 });
    expect(roots('dracaena-trifasciata', 'leaf-section')).toMatchObject({ from: 60, to: 240 });
    expect(methodOf(taxon('echeveria-elegans'), 'leaf')!.pups).toMatchObject({ from: 28, to: 56 });
    expect(methodOf(taxon('crassula-perforata'), 'leaf')!.success.mean).toBeCloseTo(1 / 50, 6);
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
    expect(findTaxa(CATALOGUE, 'sansevieria')[0]?.id).toBe('dracaena-trifasciata');
    expect(findTaxa(CATALOGUE, 'bunny EARS')[0]?.id).toBe('opuntia-microdasys');
    expect(findTaxa(CATALOGUE, 'cactaceae').length).toBe(3);
    expect(findTaxa(CATALOGUE, 'rose bush')).toEqual([]);
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

  it('stretches a window by two for ten degrees, within sense', () => {
    const window = { from: 14, to: 28, evidence: 'common practice' } as const;
    expect(windowAt(window, 22)).toEqual({ from: 14, to: 28 });
    expect(windowAt(window, 12)).toEqual({ from: 28, to: 56 });
    expect(windowAt(window, -20)).toEqual(windowAt(window, 6));
    expect(windowAt(window, 40)).toEqual(windowAt(window, 28));
  });
});
