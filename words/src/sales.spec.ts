import { soldText } from './sales';

describe('what sales brought', () => {
  const money = (value: number): string => `€${value.toFixed(2)}`;

  it('is said with what has no price, and not at all where nothing was sold', () => {
    expect(soldText({ count: 0, priced: 0, income: 0 }, money)).toBe('');
    expect(soldText({ count: 14, priced: 14, income: 63 }, money)).toBe('14 were sold for €63.00.');
    expect(soldText({ count: 5, priced: 3, income: 9 }, money)).toBe(
      '5 were sold for €9.00, 2 of them without a price.',
    );
    expect(soldText({ count: 1, priced: 0, income: 0 }, money)).toBe(
      'One was sold, no price told.',
    );
  });
});
