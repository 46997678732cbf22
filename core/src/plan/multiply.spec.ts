import { generationDays, multiplicationProblem, multiply, reach } from '.';

describe('cuttings from cuttings', () => {
  const sure = (p: number) => ({ a: p * 1e8, b: (1 - p) * 1e8 });

  // By hand: Galton–Watson mean m^n and variance σ²m^(n−1)(m^n − 1)/(m − 1) (Harris 1963, ch. I.5).
  it('with a chance known for sure is the branching process of the textbook', () => {
    const plan = { start: 1, pieces: 4, mothersStay: true, belief: sure(0.75) };
    const [g0, g1, g2] = multiply(plan, 2);
    expect(g0).toEqual({ number: 0, likely: 1, low: 1, high: 1 });
    expect(g1!.likely).toBeCloseTo(4, 5);
    expect(g2!.likely).toBeCloseTo(16, 4);
    // σ² = 4 · 0.75 · 0.25 = 0.75; V₂ = 0.75 · 4 · (16 − 1)/3 = 15.
    const s2 = Math.log(1 + 15 / 256);
    expect(g2!.high).toBeCloseTo(Math.exp(Math.log(16) - s2 / 2 + 1.2816 * Math.sqrt(s2)), 3);
  });

  it('an unknown chance widens the range, more with every generation', () => {
    const plan = { start: 5, pieces: 3, mothersStay: false, belief: { a: 5.6, b: 2.4 } };
    const width = multiply(plan, 4).map((g) => (g.high - g.low) / g.likely);
    expect(width).toEqual([...width].sort((a, b) => a - b));
    expect(width[4]).toBeGreaterThan(0.8);
  });

  it('says how many rounds a stock takes, at best and at worst', () => {
    const plan = { start: 2, pieces: 3, mothersStay: true, belief: { a: 8, b: 2 } };
    const { likely, best, worst, generations } = reach(plan, 200);
    // 2 · 3.4ⁿ ≥ 200: n = 4.
    expect(likely).toBe(4);
    expect(best!).toBeLessThanOrEqual(likely!);
    expect(worst!).toBeGreaterThanOrEqual(likely!);
    expect(generations.at(-1)!.number).toBe(worst);
    // One piece that seldom takes, and the mother is used up: it never grows.
    const dying = { start: 3, pieces: 1, mothersStay: false, belief: { a: 3, b: 3 } };
    expect(reach(dying, 10).likely).toBeNull();
  });

  it('dates follow from the air, and end where it does', () => {
    const days = generationDays('2026-03-01', 3, (d) => (d < '2026-09-01' ? '2026-09-10' : null));
    expect(days).toEqual(['2026-03-01', '2026-09-10', null, null]);
  });

  it('refuses what makes no sense, with a sentence', () => {
    expect(multiplicationProblem(0, 3, 10)).toMatch(/How many plants/);
    expect(multiplicationProblem(2, 0, 10)).toMatch(/pieces/);
    expect(multiplicationProblem(2, 3, 0)).toMatch(/stock/);
    expect(multiplicationProblem(5, 3, 5)).toMatch(/already/);
    expect(multiplicationProblem(5, 3, 2e6)).toMatch(/million/);
    expect(multiplicationProblem(5, 3, 500)).toBe('');
  });
});
