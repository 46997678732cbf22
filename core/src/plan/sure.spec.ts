import jStat from 'jstat';
import { shareBy, slowed, timeWithin } from '../botany';
import { randomFrom } from '../stats';
import { forOneBatch, chanceOfAtLeast, numberNeeded, pacesOf, BATCH_CORRELATION } from '.';

const time = timeWithin({ from: 14, to: 35 });
const belief = { a: 6.4, b: 1.6 };
/** Nothing learned: eight in ten between e^∓0.51. */
const pace = {
  factor: 1,
  low: Math.exp(-0.4 * 1.2816),
  high: Math.exp(0.4 * 1.2816),
  own: 0,
  genus: 0,
};
const readyBy = (day: number): number[] =>
  pacesOf(pace).map((factor) => shareBy(slowed(time, factor), day));

/** Standard normal and gamma draws of one seeded source. */
function luck(seed: number) {
  const random = randomFrom(seed);
  const normal = (): number =>
    Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  // Quantiles of the beta are dear: a table of them is drawn from.
  const beta = (a: number, b: number): (() => number) => {
    const table = Array.from({ length: 4000 }, (_, i) => jStat.beta.inv((i + 0.5) / 4000, a, b));
    return () => table[Math.floor(random() * 4000)]!;
  };
  return { random, normal, beta };
}

describe('“90 % sure” is 90 %', () => {
  // The stated model, simulated: a chance of the long run, a batch that differs, a pace that the batch shares, and
  // every cutting by itself. 20,000 benches.
  it.each([20, 25, 30, 35, 45])('ten wanted by day %d', (day) => {
    const n = numberNeeded(10, 0.9, forOneBatch(belief), readyBy(day))!;
    const { random, normal, beta } = luck(7 + day);
    const batch = forOneBatch(belief);
    const chance = beta(batch.a, batch.b);
    let reached = 0;
    for (let bench = 0; bench < 20_000; bench++) {
      const ready = chance() * shareBy(slowed(time, Math.exp(0.4 * normal())), day);
      let plants = 0;
      for (let i = 0; i < n && plants < 10; i++) if (random() < ready) plants++;
      if (plants === 10) reached++;
    }
    expect(reached / 20_000).toBeGreaterThan(0.88);
    expect(reached / 20_000).toBeLessThan(0.925);
  });

  // Windows of a quick crown, a leaf, a snake plant's section; a plant that takes well, one that takes badly.
  const WINDOWS = [
    { from: 7, to: 18 },
    { from: 21, to: 60 },
    { from: 60, to: 240 },
  ];
  const BELIEFS = [
    { a: 7.4, b: 0.6 },
    { a: 3, b: 5 },
  ];
  it.each(
    WINDOWS.flatMap((w) => BELIEFS.flatMap((b) => [0.9, 1.5].map((late) => [w, b, late] as const))),
  )('window %o, belief %o, by %d times its end', (window, share, late) => {
    const span = timeWithin(window);
    const day = Math.round(window.to * late);
    const ready = pacesOf(pace).map((factor) => shareBy(slowed(span, factor), day));
    const n = numberNeeded(6, 0.9, forOneBatch(share), ready);
    if (n === null) throw new Error('a number would do here');
    const { random, normal, beta } = luck(window.to + share.b);
    const batch = forOneBatch(share);
    const chance = beta(batch.a, batch.b);
    let reached = 0;
    for (let bench = 0; bench < 20_000; bench++) {
      const made = chance() * shareBy(slowed(span, Math.exp(0.4 * normal())), day);
      let plants = 0;
      for (let i = 0; i < n && plants < 6; i++) if (random() < made) plants++;
      if (plants === 6) reached++;
    }
    // One cutting more is a step of its own where few are taken: the next smaller number must fall short.
    expect(reached / 20_000).toBeGreaterThan(0.88);
    const fewer = chanceOfAtLeast(6, n - 1, forOneBatch(share), ready);
    expect(fewer).toBeLessThan(0.9);
    expect(
      Math.abs(reached / 20_000 - chanceOfAtLeast(6, n, forOneBatch(share), ready)),
    ).toBeLessThan(0.015);
  });

  it('the middle of the belief alone is far from sure', () => {
    const middle = numberNeeded(10, 0.9, belief, shareBy(time, 20))!;
    expect(middle).toBe(63);
    expect(chanceOfAtLeast(10, middle, belief, readyBy(20))).toBeCloseTo(0.64, 2);
  });

  // The same integral without the batches’ own spread; these figures were simulated, so within 2 %.
  it.each([
    [20, 212],
    [25, 104],
    [30, 60],
    [35, 39],
    [45, 23],
  ])('by day %d about %d would do, were batches alike', (day, about) => {
    const n = numberNeeded(10, 0.9, belief, readyBy(day))!;
    expect(Math.abs(n - about)).toBeLessThanOrEqual(Math.max(1, 0.02 * about));
  });
});

describe('one batch to come', () => {
  it('has the mean of the long run and is less sure', () => {
    const { a, b } = forOneBatch(belief);
    expect(a / (a + b)).toBeCloseTo(0.8, 12);
    expect(a + b).toBeLessThan(8);
    // However sure the long run, a batch keeps its own spread: worth 1/ρ − 1 cuttings at most.
    const sure = forOneBatch({ a: 8e6, b: 2e6 });
    expect(sure.a + sure.b).toBeCloseTo(1 / BATCH_CORRELATION - 1, 3);
    expect(forOneBatch(belief, 0)).toEqual({
      a: expect.closeTo(6.4, 9),
      b: expect.closeTo(1.6, 9),
    });
  });

  it('a tie is enough: three of fourteen at just 80 %', () => {
    // The least certainty that 14 give exactly is taken as what is asked for.
    const exact = chanceOfAtLeast(3, 14, { a: 2, b: 5 });
    expect(numberNeeded(3, exact, { a: 2, b: 5 })).toBe(14);
    expect(numberNeeded(3, exact + 1e-14, { a: 2, b: 5 })).toBe(14);
  });
});
