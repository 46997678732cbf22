import { CATALOGUE, filterTaxa, lightNeedOf, POISONS, PRICKS } from '.';

describe('looking through the guide', () => {
  it('asks nothing, and all fit', () => {
    expect(filterTaxa(CATALOGUE, {})).toEqual(CATALOGUE);
  });

  it('each filter keeps those it names and no others; together they keep what all keep', () => {
    const leaves = filterTaxa(CATALOGUE, { way: 'leaf' });
    expect(leaves.length).toBeGreaterThan(20);
    expect(leaves.every((t) => t.methods.some((m) => m.method === 'leaf'))).toBe(true);
    const shade = filterTaxa(CATALOGUE, { light: 'shade' });
    expect(shade.map((t) => t.id)).toContain('haberlea-rhodopensis');
    expect(shade.every((t) => lightNeedOf(t) === 'shade')).toBe(true);
    const both = filterTaxa(CATALOGUE, { way: 'leaf', light: 'shade' });
    expect(both).toEqual(leaves.filter((t) => shade.includes(t)));
    expect(filterTaxa(CATALOGUE, { family: 'Gesneriaceae' })).toHaveLength(4);
  });

  it('for a house with pets, and for bare hands', () => {
    const safe = filterTaxa(CATALOGUE, { without: POISONS });
    expect(safe.map((t) => t.id)).toContain('haworthiopsis-attenuata');
    expect(safe.some((t) => t.name.startsWith('Kalanchoe'))).toBe(false);
    expect(
      filterTaxa(CATALOGUE, { without: PRICKS }).some((t) => t.id === 'opuntia-microdasys'),
    ).toBe(false);
  });

  it('knows which root in water', () => {
    const jar = filterTaxa(CATALOGUE, { inWater: true }).map((t) => t.id);
    expect(jar).toContain('crassula-ovata');
    expect(jar).not.toContain('lithops-lesliei');
  });
});
