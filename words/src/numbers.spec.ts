import { decimal, quarters, rounded } from './numbers';

describe('numbers as the region writes them', () => {
  it('group and point differ', () => {
    expect(decimal(1234.5, 2, 'en-GB')).toBe('1,234.50');
    expect(decimal(1234.5, 2, 'en-DE')).toBe('1.234,50');
    expect(rounded(2, 1, 'en-DE')).toBe('2');
    expect(rounded(2.46, 1, 'en-DE')).toBe('2,5');
  });

  it('scoops go by quarters', () => {
    expect([0.05, 0.2, 0.5, 1, 2.3, 2.9, 0].map((n) => quarters(n))).toEqual([
      'under 1/8',
      '1/4',
      '1/2',
      '1',
      '2 1/4',
      '3',
      '0',
    ]);
  });
});
