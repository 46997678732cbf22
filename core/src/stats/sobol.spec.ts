import { sobolFirst } from '.';

describe('first-order Sobol indices', () => {
  it('of the Ishigami function, a = 7, b = 0.1: 0.314, 0.442, 0', () => {
    // Ishigami & Homma 1990 (from memory): V1 = ½(1 + bπ⁴/5)², V2 = a²/8, V3 = 0, V = V1 + V2 + b²π⁸(1/18 − 1/50).
    const [a, b] = [7, 0.1];
    const v1 = 0.5 * (1 + (b * Math.PI ** 4) / 5) ** 2;
    const v2 = a ** 2 / 8;
    const v = v1 + v2 + b ** 2 * Math.PI ** 8 * (1 / 18 - 1 / 50);
    const ishigami = (row: readonly number[]): number => {
      const [x, y, z] = row.map((u) => Math.PI * (2 * u - 1)) as [number, number, number];
      return Math.sin(x) + a * Math.sin(y) ** 2 + b * z ** 4 * Math.sin(x);
    };
    const [s1, s2, s3] = sobolFirst(ishigami, 3, 20_000, 1).map((s) => s.share);
    expect(s1).toBeCloseTo(v1 / v, 1);
    expect(Math.abs(s1! - v1 / v)).toBeLessThan(0.03);
    expect(Math.abs(s2! - v2 / v)).toBeLessThan(0.03);
    expect(s3).toBeLessThan(0.03);
  });

  it('of a sum, the shares of its variances; of a constant, none', () => {
    const [big, small] = sobolFirst(([x, y]) => 3 * x! + y!, 2, 20_000, 2).map((s) => s.share);
    expect(big).toBeCloseTo(0.9, 1);
    expect(small).toBeCloseTo(0.1, 1);
    const none = { share: 0, se: 0 };
    expect(sobolFirst(() => 5, 2, 100, 3)).toEqual([none, none]);
  });

  it('its standard error is how far samples of it lie apart', () => {
    const one = (seed: number) => sobolFirst(([x, y]) => 2 * x! + y!, 2, 48, seed)[0]!;
    const all = Array.from({ length: 200 }, (_, i) => one(i));
    const mean = all.reduce((s, { share }) => s + share, 0) / all.length;
    const sd = Math.sqrt(all.reduce((s, { share }) => s + (share - mean) ** 2, 0) / all.length);
    const said = all.reduce((s, { se }) => s + se, 0) / all.length;
    expect(said / sd).toBeGreaterThan(0.75);
    expect(said / sd).toBeLessThan(1.4);
  });
});
