import fc from 'fast-check';
import type { MethodId } from '../botany';
import { addDays } from '../days';
import { fold } from '../journal';
import { written } from '../testing/entries';
import { drawsOf } from '../testing/draws';
import {
  atLeast,
  chanceOfAtLeast,
  combinationOf,
  estimateStock,
  fromHer,
  likelySpareOf,
  mostReached,
  plantsReady,
  sumOf,
  waysTo,
  type Chances,
  type Wish,
} from '.';

type Draft = Parameters<typeof written>[0];
const DAY = '2026-04-09';
const bench: Draft = {
  kind: 'put',
  record: 'space',
  key: 'bench',
  day: DAY,
  fields: { name: 'Bench', tempC: 22, rh: 0.55 },
};
const state = (has: Partial<Record<MethodId, number>>, taxon = 'echeveria-elegans') =>
  fold(
    written(bench, {
      kind: 'put',
      record: 'mother',
      key: 'm1',
      day: DAY,
      fields: { name: 'Bowl', taxon, permission: 'own', has },
    }),
  );
const wish = (over: Partial<Wish> = {}): Wish => ({
  taxon: 'echeveria-elegans',
  count: 12,
  size: 'rooted',
  by: addDays(DAY, 120),
  certainty: 0.8,
  cutOn: DAY,
  space: 'bench',
  mother: 'm1',
  ...over,
});

describe('the distribution of plants ready', () => {
  const beliefs = fc.record({
    a: fc.double({ min: 0.5, max: 12, noNaN: true }),
    b: fc.double({ min: 0.5, max: 12, noNaN: true }),
  });
  const batches = fc
    .array(fc.tuple(beliefs, fc.double({ min: 0, max: 1, noNaN: true })), {
      minLength: 1,
      maxLength: 5,
    })
    .map((all): readonly Chances[] =>
      all.map(([{ a, b }, ready]) => ({ weight: 1 / all.length, a, b, ready })),
    );

  it('sums to one, and its tails are those the number needed is found by', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 40 }), batches, (taken, batch) => {
        const chances = plantsReady(taken, batch);
        expect(chances).toHaveLength(taken + 1);
        expect(atLeast(0, chances)).toBeCloseTo(1, 9);
        for (const k of [1, Math.ceil(taken / 2), taken].filter((n) => n > 0))
          expect(atLeast(k, chances)).toBeCloseTo(chanceOfAtLeast(k, taken, batch), 8);
      }),
      { numRuns: 60 },
    );
  });

  it('the sum of two is their convolution: two coins, three dice by hand', () => {
    expect(sumOf([0.5, 0.5], [0.5, 0.5])).toEqual([0.25, 0.5, 0.25]);
    expect(sumOf([1], [0.2, 0.8])).toEqual([0.2, 0.8]);
    const die = [0, ...Array<number>(6).fill(1 / 6)];
    const three = sumOf(sumOf(die, die), die);
    // Of 216 throws of three dice 27 show ten.
    expect(three[10]).toBeCloseTo(27 / 216, 12);
  });

  it('the most that is reached counts an exact tie', () => {
    expect(mostReached(0.75, [0.25, 0.5, 0.25])).toBe(1);
    expect(mostReached(0.76, [0.25, 0.5, 0.25])).toBe(0);
    expect(mostReached(0.25, [0.25, 0.5, 0.25])).toBe(2);
  });
});

describe('several ways together', () => {
  const short = state({ leaf: 30, crown: 2, offset: 3, 'flower-stalk': 0 });

  it('is offered where one alone is not enough, of what she has and no more', () => {
    const ways = waysTo(short, wish())!;
    expect(ways.best).toBeNull();
    const { parts, chance, enough, reached } = ways.together!;
    expect(enough).toBe(false);
    expect(reached).toBeGreaterThan(0);
    expect(reached).toBeLessThan(12);
    expect(chance).toBeLessThan(0.8);
    for (const { method, taken } of parts)
      expect(taken).toBeLessThanOrEqual(ways.ways.find((w) => w.method === method)!.spare!.count);
  });

  it('reaches what is asked with nothing to spare: one less of any part, and it does not', () => {
    const ways = waysTo(short, wish({ count: 7 }))!;
    const { parts, chance, enough } = ways.together!;
    expect(enough).toBe(true);
    expect(chance).toBeGreaterThanOrEqual(0.8);
    const sum = (of: typeof parts): number =>
      atLeast(
        7,
        of.reduce<readonly number[]>(
          (all, { method, taken }) => {
            const way = ways.ways.find((w) => w.method === method)!;
            return sumOf(all, fromHer(way, taken));
          },
          [1],
        ),
      );
    expect(sum(parts)).toBeCloseTo(chance, 9);
    // The last to be trimmed is trimmed to the bone.
    const first = parts[0]!;
    expect(sum([{ ...first, taken: first.taken - 1 }, ...parts.slice(1)])).toBeLessThan(0.8);
  });

  it('agrees with 20,000 simulated benches of the stated model', () => {
    const ways = waysTo(short, wish({ count: 7 }))!;
    const { parts, chance } = ways.together!;
    const { random, beta } = drawsOf(11);
    let reached = 0;
    const RUNS = 20_000;
    for (let run = 0; run < RUNS; run++) {
      let plants = 0;
      for (const { method, taken } of parts) {
        const way = ways.ways.find((w) => w.method === method)!;
        // A batch has one of the chances that are believed.
        let place = random();
        const is = way.chances.find(({ weight }) => (place -= weight) < 0)!;
        const lives = 'share' in is ? is.share : is.ready * beta(is.a, is.b);
        for (let i = 0; i < taken; i++) if (random() < lives) plants++;
      }
      if (plants >= 7) reached++;
    }
    // Four standard errors of a share of 20,000.
    expect(Math.abs(reached / RUNS - chance)).toBeLessThan(0.012);
  });

  it('of what nobody counted she may have less: said and reached, by simulation', () => {
    const way = waysTo(state({}), wish({ count: 30 }))!.ways.find((w) => w.method === 'leaf')!;
    const taken = way.spare!.count;
    const said = atLeast(3, fromHer(way, taken));
    expect(said).toBeLessThan(atLeast(3, plantsReady(taken, way.chances)));
    const { random, normal, tray, beta } = drawsOf(5);
    let reached = 0;
    for (let run = 0; run < 20_000; run++) {
      // Eight plants in ten have between half and twice as many leaves, of which a third is spared.
      const has = Math.floor(Math.round(way.spare!.of * 2 ** (normal() / 1.2816)) / 3);
      const lives = tray(beta(way.belief.a, way.belief.b), 0.1) * way.ready;
      let plants = 0;
      for (let i = 0; i < Math.min(has, taken); i++) if (random() < lives) plants++;
      if (plants >= 3) reached++;
    }
    expect(Math.abs(reached / 20_000 - said)).toBeLessThan(0.02);
  });

  it('is silent where one way is enough, where she gives nothing, and where nobody asks of whom', () => {
    expect(waysTo(state({ leaf: 300 }), wish())!.together).toBeNull();
    const bare = state({ leaf: 0, crown: 0, offset: 0, 'flower-stalk': 0 });
    expect(waysTo(bare, wish())!.together).toBeNull();
    const nobody = wish({ count: 2000 });
    expect(waysTo(short, { ...nobody, mother: undefined })!.together).toBeNull();
    expect(combinationOf(short, wish(), [])).toBeNull();
  });

  it('offers a second round where there is time for one', () => {
    const far = waysTo(short, wish({ by: addDays(DAY, 300) }))!.together!;
    expect(far.again!.reached).toBeGreaterThan(far.reached);
    expect(far.again!.day > DAY && far.again!.day < addDays(DAY, 300)).toBe(true);
    expect(waysTo(short, wish({ by: addDays(DAY, 60) }))!.together!.again).toBeNull();
  });
});

describe('what an uncounted mother is thought to have', () => {
  it('one crown of one rosette, never 31', () => {
    const ways = waysTo(state({}), wish({ count: 20 }))!;
    const crown = ways.ways.find((w) => w.method === 'crown')!;
    expect(crown.spare).toMatchObject({ count: 1, of: 1, guess: { low: 0, high: 1 } });
    expect(crown.within).toBe(false);
    expect(ways.best?.method).not.toBe('crown');
  });

  it('more of a taller plant, within sense; a count replaces the guess', () => {
    const leaves = (mm: number | null) => estimateStock('branch', 'leaf', mm).likely;
    expect(leaves(600)).toBeGreaterThan(leaves(300));
    expect(leaves(null)).toBe(leaves(300));
    expect(leaves(20_000)).toBe(6 * leaves(300));
    const counted = likelySpareOf({ has: { leaf: 9 } }, 'rosette', 'leaf');
    expect(counted).toMatchObject({ count: 3, of: 9, guess: null });
    for (const n of ['leaf', 'crown', 'offset', 'division', 'column'] as const) {
      const { low, likely, high } = estimateStock(null, n);
      expect(low <= likely && likely <= high).toBe(true);
    }
  });
});
