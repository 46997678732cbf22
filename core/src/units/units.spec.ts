import { celsiusFrom, lengthIn, readLength, temperatureIn } from '.';

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
