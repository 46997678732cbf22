import { LIGHT_LEVEL, lightFrom, SKY_SEEN, SUN_SEEN } from '.';

describe('light by what a leaf sees', () => {
  it('never falls where more sky or more sun is seen', () => {
    const mol = SKY_SEEN.map((sky) =>
      SUN_SEEN.map((sun) => LIGHT_LEVEL[lightFrom(sky, sun)].molPerDay),
    );
    for (const row of mol) expect(row).toEqual([...row].sort((a, b) => a - b));
    for (const [i] of SUN_SEEN.entries()) {
      const column = mol.map((row) => row[i]!);
      expect(column).toEqual([...column].sort((a, b) => a - b));
    }
  });

  it('is dim without sky, whatever the eye says', () => {
    for (const sun of SUN_SEEN) expect(lightFrom('none', sun)).toBe('dim');
    expect(lightFrom('open', 'most')).toBe('open-sun');
    expect(lightFrom('half', 'never')).toBe('north-sill');
  });
});
