import {
  celsiusFrom,
  lengthIn,
  readAmount,
  readLength,
  readShare,
  readTemperature,
  readVolume,
  readWeight,
  temperatureIn,
} from '.';

describe('reading an amount', () => {
  it.each([
    ['8', 8, null],
    ['1,5 cm', 1.5, 'cm'],
    ['2 1/4 in', 2.25, 'in'],
    ['2¼″', 2.25, '″'],
    ['½ cup', 0.5, 'cup'],
    ['-3 °C', -3, '°c'],
    ['−3', -3, null],
    ['12 fl oz', 12, 'fl oz'],
  ] as const)('“%s”', (text, amount, unit) => {
    expect(readAmount(text)).toEqual({ amount, unit });
  });

  it.each(['', 'much', '8 5', '1/0', '3-4', '1.2.3', '1e3'])('“%s” is none', (text) => {
    expect(readAmount(text)).toBeNull();
  });
});

describe('reading other quantities', () => {
  it.each([
    ['20', 'C', 20],
    ['68', 'F', 20],
    ['68 F', 'C', 20],
    ['68°F', 'C', 20],
    ['20 °C', 'F', 20],
    ['-3,5', 'C', -3.5],
  ] as const)('temperature “%s” typed in °%s', (text, unit, tempC) => {
    expect(readTemperature(text, unit)).toEqual({ ok: true, tempC: expect.closeTo(tempC, 9) });
  });

  // NIST Handbook 44, appendix C: 1 gallon is 3.785 412 L, 1 cup 236.588 mL, 1 pound 453.592 37 g.
  it.each([
    ['250', 'mL', 250],
    ['1,5', 'L', 1500],
    ['1.5 L', 'mL', 1500],
    ['2 cups', 'L', 473.176],
    ['8', 'fl oz', 236.588],
    ['1/2 gal', 'mL', 1892.706],
    ['1 qt', 'mL', 946.353],
  ] as const)('volume “%s” in a field of %s', (text, bare, ml) => {
    expect(readVolume(text, bare)).toEqual({ ok: true, ml: expect.closeTo(ml, 3) });
  });

  it('weights and shares', () => {
    expect(readWeight('2 1/2 lb', 'g')).toEqual({
      ok: true,
      grams: expect.closeTo(1133.980925, 6),
    });
    expect(readWeight('1,2 kg', 'oz')).toEqual({ ok: true, grams: 1200 });
    expect(readShare('45%')).toEqual({ ok: true, share: 0.45 });
    expect(readShare('45')).toEqual({ ok: true, share: 0.45 });
  });

  it('the wrong unit, or none at all, gets a sentence', () => {
    for (const read of [
      readTemperature('20 mm', 'C'),
      readTemperature('', 'C'),
      readVolume('3 in', 'mL'),
      readVolume('-1', 'L'),
      readWeight('7 cups', 'g'),
      readShare('120'),
      readShare('4 g'),
      readLength('3 constructor', 'mm'),
      readVolume('3 constructor', 'mL'),
      readWeight('3 toString', 'g'),
    ])
      expect(read).toMatchObject({ ok: false, problem: expect.stringMatching(/\.$/) });
  });
});

describe('reading a length', () => {
  it.each([
    ['8', 'mm', 8],
    ['8 mm', 'in', 8],
    ['1,2 cm', 'mm', 12],
    ['.5', 'in', 12.7],
    ['0.3 in', 'mm', 7.62],
    ['5/16"', 'mm', 7.9375],
    ['1 1/4 in', 'mm', 31.75],
    ['1-1/4″', 'mm', 31.75],
    [' 3/8 ', 'in', 9.525],
    ['2¼ in', 'mm', 57.15],
  ] as const)('“%s” typed in %s is %d mm', (text, unit, mm) => {
    const read = readLength(text, unit);
    expect(read).toEqual({ ok: true, mm: expect.closeTo(mm, 9) });
  });

  it.each(['', 'wide', '8 5', '-3', '0', '1/0', '8 kg', '1e3'])(
    'refuses “%s” with a sentence',
    (text) => {
      const read = readLength(text, 'mm');
      expect(read.ok).toBe(false);
      if (!read.ok) expect(read.problem).toMatch(/\.$/);
    },
  );
});

describe('units', () => {
  it('turn °F and °C, inches and millimetres into each other', () => {
    expect(lengthIn(50.8, 'in')).toBe(2);
    expect(temperatureIn(100, 'F')).toBe(212);
    expect(celsiusFrom(32, 'F')).toBe(0);
    expect(celsiusFrom(temperatureIn(19.4, 'F'), 'F')).toBeCloseTo(19.4, 12);
  });
});
