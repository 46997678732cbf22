import {
  alikeCalledDifferent,
  biasOfOpen,
  closedAtGate,
  COARSE_THUMB,
  drawsOf,
  FINE_THUMB,
  NEVER_TOUCHED,
} from '.';

/* Small forms of what `npm run honesty` plays; ledgers, numbers and ranges are played beside their own code. */

describe('draws', () => {
  it('of a beta have its mean and variance, of a tray its correlation', () => {
    const { beta, tray } = drawsOf(4);
    const all = Array.from({ length: 20_000 }, () => beta(2, 6));
    const mean = all.reduce((s, x) => s + x, 0) / all.length;
    const variance = all.reduce((s, x) => s + (x - mean) ** 2, 0) / all.length;
    expect(mean).toBeCloseTo(0.25, 2);
    expect(variance).toBeCloseTo((2 * 6) / (8 ** 2 * 9), 3);
    const trays = Array.from({ length: 20_000 }, () => tray(0.4, 0.2));
    const spread = trays.reduce((s, x) => s + (x - 0.4) ** 2, 0) / trays.length;
    expect(spread / (0.4 * 0.6)).toBeCloseTo(0.2, 2);
  });
});

describe('promises, in small', () => {
  it('a wound is closed on its day as surely as is said, touched or not, and nearly so under a coarse thumb', () => {
    expect(closedAtGate(NEVER_TOUCHED, 0.9, 4000, 1)).toBeGreaterThan(0.88);
    expect(closedAtGate(FINE_THUMB, 0.9, 400, 1)).toBeGreaterThan(0.88);
    expect(closedAtGate(COARSE_THUMB, 0.95, 400, 1)).toBeGreaterThan(0.9);
    // Asked every day as well: one hand is not ten.
    expect(closedAtGate({ coarse: 2, every: 0.1 }, 0.9, 300, 1)).toBeGreaterThan(0.88);
  });

  it('trays that are alike are called different five times in a hundred at most', () => {
    const trial = { trays: 4, chance: 0.6, correlation: 0.3 };
    expect(alikeCalledDifferent(trial, 400, 2)).toBeLessThan(0.06);
    expect(alikeCalledDifferent({ ...trial, trays: 3 }, 50, 2)).toBe(0);
  });

  it('what still waits teaches neither too quick nor too few', () => {
    const { pace, chance } = biasOfOpen(8, 60, 3);
    expect(Math.abs(pace)).toBeLessThan(0.06);
    expect(Math.abs(chance)).toBeLessThan(0.06);
  });
});
