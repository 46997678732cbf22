import { ledgerHonesty } from '../testing/ledger-world';
import { effectiveSize, wilsonOf } from '../stats';
import { effectiveOf, ledgerShares, shareOf, surenessOf } from '.';

describe('effective numbers', () => {
  it('a mean of uneven trays, by hand', () => {
    // (40 + 10)² / (40 · 4.9 + 10 · 1.9).
    expect(effectiveSize([40, 10], 0.1)).toBeCloseTo(2500 / 215, 12);
    expect(effectiveSize([1, 1, 1], 0.5)).toBe(3);
    expect(effectiveSize([40, 40], 0)).toBe(80);
    expect(effectiveSize([], 0.1)).toBe(0);
  });

  it('the variance of such a mean, by its own definition', () => {
    const [sizes, rho] = [[12, 40, 25, 3], 0.2];
    const all = sizes.reduce((a, b) => a + b);
    // Var(Σy/N) of 0/1 pieces of one chance, over p(1 − p): a pair of one tray shares ρ of its variance.
    const pairs = sizes.reduce((sum, n) => sum + n + rho * n * (n - 1), 0);
    expect(1 / effectiveSize(sizes, rho)).toBeCloseTo(pairs / all ** 2, 12);
  });

  it('four trays of forty that fared differently say little, fewer say less', () => {
    const trays = [38, 36, 16, 30].map((yes) => ({ of: 40, yes }));
    const size = effectiveSize([40, 40, 40, 40], 0.1);
    const known = wilsonOf({ yes: 0.75 * size, no: 0.25 * size })!;
    expect([known.low, known.high].map((x) => Math.round(100 * x))).toEqual([58, 87]);
    const is = shareOf(trays, 0.1)!;
    expect(is.share).toBeCloseTo(0.75, 12);
    expect(is.low).toBeLessThan(known.low);
    expect(is.high).toBeGreaterThan(known.high);
    // R 4.2.2: (qnorm(.975) / qt(.975, 8))^2
    expect(surenessOf(4)).toBeCloseTo(0.7223971, 6);
    expect(surenessOf(1000)).toBeGreaterThan(0.99);
    expect(effectiveOf([], 0.1)).toEqual({ yes: 0, no: 0 });
    expect(ledgerShares([], 0.1).rooted).toBeNull();
  });

  it('ranges hold what they say and nothing is found where nothing is, by simulation', () => {
    const usual = ledgerHonesty({ trays: 8, correlation: 0.1, chance: 0.7 }, 80, 1);
    expect(usual.shares).toBeGreaterThan(0.9);
    expect(usual.money).toBeGreaterThan(0.7);
    const harsh = ledgerHonesty({ trays: 20, correlation: 0.3, chance: 0.7 }, 160, 1);
    expect(harsh.shares).toBeGreaterThan(0.85);
    for (const is of [usual, harsh]) {
      expect(is.findings).toBeLessThanOrEqual(0.05);
      expect(is.compared).toBeLessThanOrEqual(0.1);
      expect(is.times).toBeLessThanOrEqual(0.1);
    }
  });
});
