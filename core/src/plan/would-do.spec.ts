import { demoJournal } from '../demo';
import { fold } from '../journal';
import { combinationOf, waysTo, wouldDo, yieldIn, type Way, type Wish } from '.';

const DAY = '2026-11-30';
const state = fold(demoJournal(DAY));
const wishOf = (mother: string, count: number, by = '2027-02-28'): Wish => ({
  taxon: state.mothers.get(mother)!.taxon!,
  mother,
  count,
  size: 'rooted',
  by,
  certainty: 0.8,
  cutOn: DAY,
  space: 'leanto',
});
/** So many of her, counted. */
const times = (ways: readonly Way[], n: number): readonly Way[] =>
  ways.map((way) => {
    const count = n * way.spare!.count;
    return {
      ...way,
      spare: { ...way.spare!, count, guess: null },
      within: way.needed !== null && way.needed <= count,
    };
  });

describe('what would do where one plant is not enough', () => {
  it('so many such plants are enough, and one fewer is not', () => {
    const wish = wishOf('m-aeon', 40);
    const { ways } = waysTo(state, wish)!;
    const { plants } = wouldDo(state, wish, ways);
    const enough = (n: number): boolean => {
      const all = times(ways, n);
      return all.some((w) => w.within) || combinationOf(state, wish, all)!.enough;
    };
    expect(plants).toBeGreaterThan(1);
    expect([enough(plants!), enough(plants! - 1)]).toEqual([true, false]);
  });

  it('no number of plants is promised that nobody has, or that would not be ready', () => {
    const wish = wishOf('m-cere', 24, '2026-12-10');
    const { ways } = waysTo(state, wish)!;
    expect(wouldDo(state, wish, ways).plants).toBeNull();
  });

  it('from her and her young it takes longer than was asked, and longer for more', () => {
    const by = (count: number): string => {
      const wish = wishOf('m-aeon', count);
      return wouldDo(state, wish, waysTo(state, wish)!.ways).by!;
    };
    expect(by(40) > '2027-02-28').toBe(true);
    expect(by(400) > by(40)).toBe(true);
  });
});

describe('what a sum of chances gives', () => {
  it('is its mean, and the numbers had nine times and once in ten', () => {
    // Two fair coins: 0, 1, 2 with 1/4, 1/2, 1/4.
    expect(yieldIn([0.25, 0.5, 0.25])).toEqual({ likely: 1, low: 0, high: 2 });
    expect(yieldIn([0, 0, 0, 1])).toEqual({ likely: 3, low: 3, high: 3 });
  });
});
