import { decimal, quarters, rounded, moneyText } from './numbers';

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

describe('money', () => {
  it('in the grower’s currency as the region writes it; a bare number while nobody said which', () => {
    expect(moneyText(0.41, 'EUR', 'en-GB')).toBe('€0.41');
    expect(moneyText(1234.5, 'EUR', 'de-DE').replace(/\s/g, ' ')).toBe('1.234,50 €');
    // A yen has no hundredths.
    expect(moneyText(120.4, 'JPY', 'en-US')).toBe('¥120');
    expect(moneyText(0.41, undefined, 'de-DE')).toBe('0,41');
  });
});
