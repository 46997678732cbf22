import { fillPot, USUAL_CONTAINERS } from '../media';
import { recipe } from '../testing/components';
import { leftBelow } from '.';

const left = (container: string, mix: string): number =>
  leftBelow(
    fillPot(
      recipe(mix),
      USUAL_CONTAINERS.find((c) => c.id === container)!,
    ),
  );

describe('what a pot holds below a dry first joint', () => {
  it('is more in a deep pot than in a shallow one, and more in grit than in coir', () => {
    for (const mix of ['all-mineral', 'two-to-one', 'coir'])
      expect(left('tray-4', mix)).toBeLessThan(left('pot-7', mix));
    for (const mix of ['all-mineral', 'two-to-one', 'coir'])
      expect(left('pot-7', mix)).toBeLessThan(left('pot-12', mix));
    expect(left('pot-7', 'all-mineral')).toBeGreaterThan(left('pot-7', 'coir'));
  });

  it('is less beside an unglazed wall, which drinks at every depth', () => {
    expect(left('clay-8', 'all-mineral')).toBeLessThan(left('pot-7', 'all-mineral'));
  });

  it('is a share of what it holds after draining', () => {
    for (const { id } of USUAL_CONTAINERS) {
      const share = left(id, 'half-and-half');
      expect(share).toBeGreaterThan(0.1);
      expect(share).toBeLessThan(0.6);
    }
  });
});
