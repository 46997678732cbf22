import { shareBy, slowed, timeWithin } from '../botany';
import { USUAL_CORRELATION } from '../learn';
import { certain, untoldAfter } from '../testing/chances';
import { drawsOf } from '../testing/draws';
import { chanceOfAtLeast, numberNeeded } from '.';

const time = timeWithin({ from: 14, to: 35 });
const belief = { a: 6.4, b: 1.6 };
const readyBy = (day: number) => untoldAfter(belief, time, day);

/** Of 20,000 benches of the stated model itself, the share that reaches what is wanted. */
function reachedBy(
  wanted: number,
  n: number,
  { a, b }: typeof belief,
  readyAt: (pace: number) => number,
  seed: number,
): number {
  const { random, normal, beta, tray } = drawsOf(seed);
  let reached = 0;
  for (let bench = 0; bench < 20_000; bench++) {
    const ready = tray(beta(a, b), USUAL_CORRELATION) * readyAt(Math.exp(0.4 * normal()));
    let plants = 0;
    for (let i = 0; i < n && plants < wanted; i++) if (random() < ready) plants++;
    if (plants === wanted) reached++;
  }
  return reached / 20_000;
}

describe('“90% sure” is 90%', () => {
  // The stated model, simulated: a chance of the long run, a batch that differs, a pace that the batch shares, and
  // every cutting by itself. 20,000 benches.
  it.each([20, 25, 30, 35, 45])('ten wanted by day %d', (day) => {
    const n = numberNeeded(10, 0.9, readyBy(day))!;
    const reached = reachedBy(10, n, belief, (pace) => shareBy(slowed(time, pace), day), 7 + day);
    expect(reached).toBeGreaterThan(0.88);
    expect(reached).toBeLessThan(0.92);
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
    const ready = (pace: number): number => shareBy(slowed(span, pace), day);
    const reached = reachedBy(6, n, share, ready, window.to + share.b);
    // One cutting more is a step of its own where few are taken: the next smaller number must fall short.
    expect(reached).toBeGreaterThan(0.88);
    expect(chanceOfAtLeast(6, n - 1, chances)).toBeLessThan(0.9);
    expect(Math.abs(reached - chanceOfAtLeast(6, n, chances))).toBeLessThan(0.015);
  });

  // A mean and a variance alone say too much of what is hardly known: 0.90 where 0.84 is reached.
  it.each([
    { a: 0.75, b: 2.25 },
    { a: 1.5, b: 1.5 },
    { a: 0.5, b: 1.5 },
  ])('a weak belief, Beta(%o)', (weak) => {
    const chances = untoldAfter(weak, time, 60);
    const [wanted, n] = [2, 60];
    const said = chanceOfAtLeast(wanted, n, chances);
    const reached = reachedBy(wanted, n, weak, (pace) => shareBy(slowed(time, pace), 60), 3);
    expect(Math.abs(said - reached)).toBeLessThan(0.015);
  });

  it('the middle of the belief alone is far from sure', () => {
    const middle = numberNeeded(10, 0.9, certain(belief.a, belief.b, shareBy(time, 20)))!;
    expect(middle).toBe(63);
    expect(chanceOfAtLeast(10, middle, readyBy(20))).toBeLessThan(0.66);
  });
});

describe('ties', () => {
  // Of Beta(1, 1) every number of n is as likely as any other: at least 3 of 14 is 12 of 15, just 80%.
  it('a tie is enough: three of fourteen at just 80%', () => {
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
