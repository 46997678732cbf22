import * as fc from 'fast-check';
import { randomFrom } from '../stats';
import jStat from 'jstat';
import { predicted, SPREAD_SCALE, type Prediction } from './prediction';
import { quantileOfPieces } from './quantile';

const quantile = quantileOfPieces;
const width = (prediction: Prediction): number =>
  quantile(prediction, 0.9) - quantile(prediction, 0.1);

/**
 * How often a new bench lies within the eight in ten that are said, over seeded worlds whose spread is drawn as supposed.
 */
function held(benches: number, worlds: number, seed: number): number {
  const random = randomFrom(seed);
  const normal = (): number =>
    jStat.normal.inv(Math.min(Math.max(random(), 1e-12), 1 - 1e-12), 0, 1);
  let hits = 0;
  for (let world = 0; world < worlds; world++) {
    const common = 0.4 + normal();
    const tau = Math.abs(SPREAD_SCALE * normal());
    const counts = Array.from({ length: benches }, () => {
      const share = 1 / (1 + Math.exp(-(common + tau * normal())));
      const of = 10 + Math.floor(30 * random());
      let yes = 0;
      for (let i = 0; i < of; i++) if (random() < share) yes++;
      return { yes, of };
    });
    const fresh = common + tau * normal();
    const is = predicted(counts)!;
    const below = is.reduce(
      (sum, { weight, mean, sd }) => sum + weight * jStat.normal.cdf(fresh, mean, sd),
      0,
    );
    if (below >= 0.1 && below <= 0.9) hits++;
  }
  return hits / worlds;
}

describe('what a new bench may be like', () => {
  it.each([
    [3, 2000],
    [10, 1200],
    [30, 600],
  ])('with %i benches eight in ten hold within three of a hundred', (benches, worlds) => {
    // As many worlds as tell a share to one or two of a hundred: two errors of theirs beside the three.
    const error = 2 * Math.sqrt((0.8 * 0.2) / worlds);
    expect(Math.abs(held(benches, worlds, 41) - 0.8)).toBeLessThan(0.03 + error);
  });

  const counts = fc.array(
    fc
      .integer({ min: 1, max: 60 })
      .chain((of) => fc.integer({ min: 0, max: of }).map((yes) => ({ yes, of }))),
    { minLength: 1, maxLength: 8 },
  );

  it('does not hang on the order of benches, and a bench of nothing changes nothing', () => {
    fc.assert(
      fc.property(counts, (some) => {
        const is = predicted(some)!;
        expect(predicted([...some].reverse())).toEqual(is);
        expect(predicted([...some, { yes: 0, of: 0 }])).toEqual(is);
        expect(is.reduce((sum, p) => sum + p.weight, 0)).toBeCloseTo(1, 9);
      }),
      { numRuns: 40 },
    );
    expect(predicted([])).toBeNull();
  });

  it('more benches alike narrow it, a bench unlike widens it', () => {
    const alike = (n: number) => Array.from({ length: n }, () => ({ yes: 14, of: 20 }));
    const widths = [2, 5, 12, 30].map((n) => width(predicted(alike(n))!));
    widths.slice(1).forEach((w, i) => expect(w).toBeLessThan(widths[i]!));
    expect(width(predicted([...alike(5), { yes: 1, of: 20 }])!)).toBeGreaterThan(
      width(predicted(alike(5))!),
    );
  });

  it('benches where all or none rooted are finite, and pull the right way', () => {
    const [none, all] = [predicted([{ yes: 0, of: 12 }])!, predicted([{ yes: 12, of: 12 }])!];
    expect(quantile(none, 0.5)).toBeLessThan(-1);
    expect(quantile(all, 0.5)).toBeGreaterThan(1);
  });
});
