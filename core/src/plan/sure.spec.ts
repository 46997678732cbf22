import jStat from 'jstat';
import { shareBy, slowed, timeWithin } from '../botany';
import { forOneBatch, USUAL_CORRELATION } from '../learn';
import { randomFrom } from '../stats';
import { certain, untoldAfter } from '../testing/chances';
import { chanceOfAtLeast, numberNeeded } from '.';

const time = timeWithin({ from: 14, to: 35 });
const belief = { a: 6.4, b: 1.6 };
const readyBy = (day: number) => untoldAfter(belief, time, day);

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
    const n = numberNeeded(10, 0.9, readyBy(day))!;
    const { random, normal, beta } = luck(7 + day);
    const batch = forOneBatch(belief, USUAL_CORRELATION);
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
    const chances = untoldAfter(share, span, day);
    const n = numberNeeded(6, 0.9, chances);
    if (n === null) throw new Error('a number would do here');
    const { random, normal, beta } = luck(window.to + share.b);
    const batch = forOneBatch(share, USUAL_CORRELATION);
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
    expect(chanceOfAtLeast(6, n - 1, chances)).toBeLessThan(0.9);
    expect(Math.abs(reached / 20_000 - chanceOfAtLeast(6, n, chances))).toBeLessThan(0.015);
  });

  it('the middle of the belief alone is far from sure', () => {
    const middle = numberNeeded(10, 0.9, certain(belief.a, belief.b, shareBy(time, 20)))!;
    expect(middle).toBe(63);
    expect(chanceOfAtLeast(10, middle, readyBy(20))).toBeLessThan(0.66);
  });
});

describe('one batch to come', () => {
  it('has the mean of the long run and is less sure', () => {
    const { a, b } = forOneBatch(belief, 0.1);
    expect(a / (a + b)).toBeCloseTo(0.8, 12);
    expect(a + b).toBeLessThan(8);
    // However sure the long run, a batch keeps its own spread: worth 1/ρ − 1 cuttings at most.
    const sure = forOneBatch({ a: 8e6, b: 2e6 }, 0.1);
    expect(sure.a + sure.b).toBeCloseTo(9, 3);
    expect(forOneBatch(belief, 0)).toEqual({
      a: expect.closeTo(6.4, 9),
      b: expect.closeTo(1.6, 9),
    });
  });

  // Of Beta(1, 1) every number of n is as likely as any other: at least 3 of 14 is 12 of 15, just 80 %.
  it('a tie is enough: three of fourteen at just 80 %', () => {
    expect(numberNeeded(3, 0.8, certain(1, 1))).toBe(14);
    expect(numberNeeded(3, 0.8 + 1e-6, certain(1, 1))).toBe(15);
  });

  // The same of every tie there is: wanted w of n at (n + 1 − w)/(n + 1).
  it('a tie is enough wherever there is one', () => {
    for (let n = 2; n <= 40; n++)
      for (let w = 1; w < n; w++)
        expect(numberNeeded(w, (n + 1 - w) / (n + 1), certain(1, 1))).toBe(n);
  });
});
