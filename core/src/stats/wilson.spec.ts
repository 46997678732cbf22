import * as fc from 'fast-check';
import { wilson } from '.';

describe('Wilson interval', () => {
  // Newcombe 1998, Statistics in Medicine 17:857–872, table I, method 3.
  it.each([
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [0, 20, 0, 0.1611],
    [1, 29, 0.0061, 0.1718],
  ])('%d of %d: %d to %d', (k, n, low, high) => {
    const interval = wilson(k, n)!;
    expect(interval.low).toBeCloseTo(low, 4);
    expect(interval.high).toBeCloseTo(high, 4);
  });

  it('mirrors: losses are one minus successes', () => {
    fc.assert(
      fc.property(fc.nat(200), fc.nat(200), (k, more) => {
        const n = k + more;
        if (n === 0) return;
        const a = wilson(k, n)!;
        const b = wilson(n - k, n)!;
        expect(a.low).toBeCloseTo(1 - b.high, 10);
        expect(a.low).toBeGreaterThanOrEqual(0);
        expect(a.low).toBeLessThanOrEqual(a.share);
        expect(a.high).toBeGreaterThanOrEqual(a.share);
        expect(a.high).toBeLessThanOrEqual(1);
      }),
    );
  });

  it('knows nothing of no trials, and refuses counts that are none', () => {
    expect(wilson(0, 0)).toBeNull();
    expect(() => wilson(3, 2)).toThrow(/successes must not be above trials/);
    expect(() => wilson(-1, 2)).toThrow(RangeError);
    expect(() => wilson(1.5, 2)).toThrow(/whole number/);
    expect(() => wilson(1, 2, 95)).toThrow(/confidence/);
  });
});
