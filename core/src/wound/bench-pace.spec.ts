import { addEvidence, benchEvidence, benchPace, NO_EVIDENCE, paceBelief, doseFor } from '.';

const slow = [
  { dose: 1.2, seen: 'tacky' as const },
  { dose: 1.7, seen: 'firm' as const },
];
const many = (n: number) =>
  Array.from({ length: n }, () => benchEvidence(slow)).reduce(
    (a, b) => addEvidence(a, b),
    NO_EVIDENCE,
  );

describe('the pace of a bench', () => {
  it('before any look is as modelled, spread as wide as one wound’s', () => {
    const { factor, low, high, prior } = benchPace();
    expect(factor).toBeCloseTo(1, 9);
    expect(low * high).toBeCloseTo(1, 3);
    // The spread between benches and between wounds together is that of the plain belief.
    const plain = paceBelief();
    const bench = paceBelief([], prior);
    for (const p of [0.1, 0.5, 0.9]) expect(doseFor(bench, p)).toBeCloseTo(doseFor(plain, p), 1);
  });

  it('wounds that close late move it, each further one less, and narrow it', () => {
    const after = [0, 1, 4, 16].map((n) => benchPace(many(n)));
    const factors = after.map((a) => a.factor);
    expect(factors).toEqual([...factors].sort((a, b) => a - b));
    // Between 1.2 and 1.7 times: √(1.2 · 1.7) = 1.43.
    expect(factors[3]).toBeGreaterThan(1.3);
    expect(factors[3]).toBeLessThan(1.5);
    const widths = after.map((a) => a.high / a.low);
    expect(widths).toEqual([...widths].sort((a, b) => b - a));
  });

  it('is plain Bayes: the posterior of one look against a sum by hand', () => {
    // ln bench ~ N(0, 0.25²), ln wound ~ bench + 0.1943·t₄, one look: tacky at dose 1, by the form of its likelihood.
    const [bench, wound] = [0.25, 0.1943];
    const nearly = Math.log(1.25) / Math.log(19);
    let [sum, weight] = [0, 0];
    for (let b = -1.2; b <= 1.2; b += 0.004)
      for (let x = -3.4; x <= 3.4; x += 0.01) {
        const p =
          (Math.exp(-0.5 * (b / bench) ** 2) * (1 + ((x - b) / wound) ** 2 / 4) ** -2.5 * 0.95) /
          (1 + Math.exp(-x / nearly));
        sum += p * b;
        weight += p;
      }
    expect(Math.log(benchPace(benchEvidence([{ dose: 1, seen: 'tacky' }])).factor)).toBeCloseTo(
      sum / weight,
      2,
    );
  });

  it('what was added can be taken away', () => {
    const [a, b] = [benchEvidence(slow), benchEvidence([{ dose: 0.5, seen: 'firm' }])];
    const left = benchPace(addEvidence(addEvidence(a, b), b, -1));
    expect(left.factor).toBeCloseTo(benchPace(a).factor, 9);
  });
});
