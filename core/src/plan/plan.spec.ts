import * as fc from 'fast-check';
import jStat from 'jstat';
import { CATALOGUE, methodOf, shareBy, timeWithin } from '../botany';
import { addDays, daysBetween } from '../days';
import { fold } from '../journal';
import { beliefOf } from '../learn';
import { randomFrom } from '../stats';
import { certain } from '../testing/chances';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import {
  chanceOfAtLeast,
  neededCurve,
  numberNeeded,
  plannedOutlook,
  readiness,
  waysTo,
  type Way,
  type Wish,
} from '.';

// Reference: R 4.2.2, lchoose and lbeta summed, and integrate() of dbeta times pbinom.
describe('how many to take, against R 4.2.2', () => {
  it.each([
    [10, 0.8, 5.6, 2.4, 18, 0.8182070191],
    [10, 0.9, 5.6, 2.4, 22, 0.9152993716],
    [1, 0.8, 4, 4, 3, 0.8333333333],
    [50, 0.8, 40, 10, 67, 0.8009454867],
    [100, 0.5, 7, 1, 110, 0.5086156888],
    [25, 0.95, 36, 4, 32, 0.9533084578],
  ])('%d with certainty %d from Beta(%d, %d): take %d', (wanted, certainty, a, b, n, chance) => {
    expect(numberNeeded(wanted, certainty, certain(a, b))).toBe(n);
    expect(chanceOfAtLeast(wanted, n, certain(a, b))).toBeCloseTo(chance, 9);
  });

  // A chance that is known for sure is the plain binomial: qbinom of R.
  it.each([
    [10, 0.8, 0.7, 16],
    [20, 0.9, 0.5, 48],
    [100, 0.95, 0.9, 117],
    [500, 0.8, 0.6, 853],
  ])('binomial: %d with %d at %d each: take %d', (wanted, certainty, p, n) => {
    const sure = certain(p * 1e7, (1 - p) * 1e7);
    expect(numberNeeded(wanted, certainty, sure)).toBe(n);
  });

  it.each([
    [20, 40, 5.6, 2.4, 0.8, 0.70250776],
    [10, 15, 36, 4, 0.9, 0.93621136],
  ])('%d of %d from Beta(%d, %d), %d of them in time', (wanted, n, a, b, ready, chance) => {
    expect(chanceOfAtLeast(wanted, n, certain(a, b, ready))).toBeCloseTo(chance, 7);
  });

  it('none is wanted, none is taken; nothing ready is out of reach; nothing is certain', () => {
    expect(numberNeeded(0, 0.8, certain(1, 1))).toBe(0);
    expect(chanceOfAtLeast(3, 2, certain(1, 1))).toBe(0);
    expect(numberNeeded(5, 0.8, certain(1, 1, 0))).toBeNull();
    expect(numberNeeded(9000, 0.9, certain(1, 9))).toBeNull();
    expect(() => numberNeeded(5, 1, certain(1, 1))).toThrow(RangeError);
    expect(() => chanceOfAtLeast(1.5, 2, certain(1, 1))).toThrow(RangeError);
  });

  it('is the smallest that will do, and grows with what is asked', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.double({ min: 0.3, max: 0.97, noNaN: true }),
        fc.double({ min: 0.3, max: 0.95, noNaN: true }),
        fc.double({ min: 0.2, max: 1, noNaN: true }),
        (wanted, certainty, mean, ready) => {
          const chances = certain(mean * 20, (1 - mean) * 20, ready);
          const n = numberNeeded(wanted, certainty, chances);
          if (n === null) return;
          expect(chanceOfAtLeast(wanted, n, chances)).toBeGreaterThanOrEqual(certainty);
          expect(chanceOfAtLeast(wanted, n - 1, chances)).toBeLessThan(certainty);
          expect(numberNeeded(wanted + 1, certainty, chances) ?? Infinity).toBeGreaterThanOrEqual(
            n,
          );
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('when they are ready', () => {
  it('a window of 14–28 days is a Weibull with one in ten and nine in ten at its ends (R: pweibull)', () => {
    const time = timeWithin({ from: 14, to: 28 });
    expect(time.shape).toBeCloseTo(4.449848, 5);
    expect(time.scale).toBeCloseTo(23.21445, 4);
    expect(shareBy(time, 14)).toBeCloseTo(0.1, 12);
    expect(shareBy(time, 28)).toBeCloseTo(0.9, 12);
    expect(shareBy(time, 21)).toBeCloseTo(0.4727676, 6);
    expect(shareBy(time, -3)).toBe(0);
  });

  const taxon = CATALOGUE.find((t) => t.id === 'echeveria-elegans')!;
  const crown = methodOf(taxon, 'crown')!;
  const leaf = methodOf(taxon, 'leaf')!;
  const half = (tempC: number, way = crown, size: 'rooted' | 'saleable' = 'rooted'): number => {
    const state = fold(
      written({ kind: 'put', record: 'space', key: 's', day: DAY, fields: { tempC, rh: 0.5 } }),
    );
    const piece = plannedOutlook(state, { taxon: taxon.id, cutOn: DAY, space: 's' }, way)!;
    return daysBetween(DAY, readiness(piece, way, size, DAY).dayFor(0.5) ?? '2999-01-01');
  };

  it('keeps to the windows of the trade at 22 °C (common practice, no source)', () => {
    expect(half(22)).toBeGreaterThanOrEqual(14);
    expect(half(22)).toBeLessThanOrEqual(28);
    // A good-sized rosette from a leaf: about six months.
    expect(half(22, leaf, 'saleable')).toBeGreaterThan(140);
    expect(half(22, leaf, 'saleable')).toBeLessThan(220);
  });

  it('takes twice as long with ten degrees less, and far longer out of season', () => {
    expect(half(16) / half(26)).toBeCloseTo(2, 0);
    expect(half(9)).toBeGreaterThan(4 * half(22));
  });
});

describe('what this bench has taught', () => {
  const none = { rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0 };
  const settled = (key: string, taxon: string, rooted: number, rotted: number) => [
    batchPut({ ...FIELDS, taxon, count: rooted + rotted }, key),
    { kind: 'cut' as const, batch: key, day: DAY },
    {
      kind: 'tally' as const,
      batch: key,
      day: addDays(DAY, 40),
      counts: { ...none, rooted, rotted },
    },
    { kind: 'ended' as const, batch: key, day: addDays(DAY, 60) },
  ];
  const crown = methodOf(
    CATALOGUE.find((t) => t.id === 'echeveria-elegans')!,
    'crown',
  )!;

  it('moves the catalogue’s chance, and says what it rests on', () => {
    const fresh = beliefOf(fold([]), 'echeveria-elegans', crown);
    expect(fresh.mean).toBeCloseTo(crown.success.mean, 12);
    const taught = beliefOf(
      fold(written(...settled('b1', 'echeveria-elegans', 10, 30))),
      'echeveria-elegans',
      crown,
    );
    // R 4.2.2: integrate() of dbeta(p, 7.36, 0.64) times the beta-binomial of 10 of 40 at ρ 0.1, and of p times it.
    expect(taught.mean).toBeCloseTo(0.6061, 2);
    expect(taught.own).toEqual({ batches: 1, cuttings: 40, lived: 10, waiting: 0 });
  });

  it('a mate that does as its own figures say moves nothing, one that does worse moves it on the log-odds', () => {
    const mate = 'echeveria-agavoides';
    const usual = methodOf(
      CATALOGUE.find((t) => t.id === mate)!,
      'crown',
    )!.success.mean;
    const asUsual = Math.round(usual * 40);
    const told = (lived: number): number =>
      beliefOf(fold(written(...settled('b1', mate, lived, 40 - lived))), 'echeveria-elegans', crown)
        .mean;
    expect(told(asUsual)).toBeCloseTo(crown.success.mean, 1);
    expect(told(10)).toBeLessThan(told(asUsual));
    expect(told(10)).toBeGreaterThan(0.25);
  });

  it('batches still growing teach as far as they have come, other genera never', () => {
    const [put, cut, tally] = settled('b1', 'echeveria-elegans', 1, 9);
    const open = (after: number, counts: Partial<typeof none>) =>
      beliefOf(
        fold(
          written(put!, cut!, {
            ...tally!,
            day: addDays(DAY, after),
            counts: { ...none, ...counts },
          } as typeof tally & object),
        ),
        'echeveria-elegans',
        crown,
      );
    // None of the others has roots: on day 3 that says nothing, on day 40 nearly all it can.
    expect(open(3, { rotted: 1 }).own).toMatchObject({ cuttings: 10, lived: 0, waiting: 9 });
    expect(open(40, { rotted: 1 }).mean).toBeLessThan(open(20, { rotted: 1 }).mean);
    expect(open(20, { rotted: 1 }).mean).toBeLessThan(open(3, { rotted: 1 }).mean);
    const other = fold(written(...settled('b2', 'sedum-pachyphyllum', 1, 9)));
    expect(beliefOf(other, 'echeveria-elegans', crown).mean).toBeCloseTo(0.92, 12);
  });

  it('one of fifty that rooted, and none since, teaches “few”, not “one of one”', () => {
    const fields = { ...FIELDS, method: 'leaf', count: 50 } as const;
    const leaf = methodOf(
      CATALOGUE.find((t) => t.id === 'echeveria-elegans')!,
      'leaf',
    )!;
    const state = fold(
      written(
        batchPut(fields),
        { kind: 'cut', batch: 'b1', day: DAY },
        ...[30, 60, 90, 120].map((n) => ({
          kind: 'tally' as const,
          batch: 'b1',
          day: addDays(DAY, n),
          counts: { ...none, rooted: n < 60 ? 0 : 1 },
        })),
      ),
    );
    const { mean, own } = beliefOf(state, 'echeveria-elegans', leaf);
    expect(own).toMatchObject({ cuttings: 50, lived: 1, waiting: 49 });
    expect(leaf.success.mean - mean).toBeGreaterThan(0.15);
    const one = beliefOf(
      fold(written(...settled('b1', 'echeveria-elegans', 1, 49))),
      'echeveria-elegans',
      crown,
    );
    expect(one.mean).toBeLessThan(0.6);
  });
});

describe('ways to what is wanted', () => {
  const state = fold(
    written({
      kind: 'put',
      record: 'space',
      key: 'bench',
      day: DAY,
      fields: { name: 'Bench', tempC: 21, rh: 0.5 },
    }),
  );
  const wish = (over: Partial<Wish> = {}): Wish => ({
    taxon: 'echeveria-elegans',
    count: 12,
    size: 'rooted',
    by: addDays(DAY, 70),
    certainty: 0.8,
    cutOn: DAY,
    space: 'bench',
    ...over,
  });

  it('lays all methods side by side, recommends one and says why and what would change it', () => {
    const ways = waysTo(state, wish())!;
    expect(ways.ways.map((w) => w.method)).toEqual(['leaf', 'crown', 'offset', 'flower-stalk']);
    expect(ways.best).not.toBeNull();
    expect(ways.reasons.length).toBeGreaterThan(0);
    expect(ways.changes.at(-1)).toMatchObject({ change: 'more', more: 5 });
    for (const w of ways.ways.filter((way) => way.figures.worth === 'good')) {
      expect(w.needed!).toBeGreaterThanOrEqual(12);
      expect(w.from! <= w.half! && w.half! <= w.to!).toBe(true);
    }
    const [leaf, crown] = ways.ways;
    expect(leaf!.needed!).toBeGreaterThan(crown!.needed!);
  });

  it('calls a way the best where the ranges tell it, and names the one that may be as good where not', () => {
    const random = randomFrom(7);
    let [clear, close] = [0, 0];
    for (const taxon of CATALOGUE.filter((_, i) => i % 6 === 0)) {
      const { best, rival, ways } = waysTo(
        state,
        wish({ taxon: taxon.id, by: addDays(DAY, 200) }),
      )!;
      const others = ways.filter((w) => w.within && w !== best);
      if (!best || others.length === 0) continue;
      if (rival) close++;
      else clear++;
      // Work goes against the chance that one lives: drawn from what is believed of it.
      const work = ({ minutes, figures, belief: { a, b, mean } }: Way): number =>
        (minutes! * (figures.worth === 'poor' ? 2 : 1) * mean) /
        Math.max(jStat.beta.inv(random(), a, b), 1e-3);
      const surely = others.map((w) => {
        const draws = Array.from({ length: 400 }, () => work(best) < work(w));
        return { w, share: draws.filter(Boolean).length / draws.length };
      });
      for (const { w, share } of surely)
        if (rival === null) expect([w.method, share > 0.7]).toEqual([w.method, true]);
      if (rival) expect(surely.find(({ w }) => w === rival)!.share).toBeLessThan(0.9);
    }
    expect(clear).toBeGreaterThan(0);
    expect(close).toBeGreaterThan(0);
  });

  it('more than any plant gives is no way: the number is told, and not offered', () => {
    const ways = waysTo(state, wish({ count: 5000 }))!;
    const asked = ways.ways.filter((w) => w.needed !== null);
    expect(asked.length).toBeGreaterThan(0);
    for (const way of asked) expect(way.within).toBe(false);
    expect(ways.best).toBeNull();
    expect(ways.instead).toMatchObject({ instead: 'fewer', from: 400, hers: false });
  });

  it('the sooner it is wanted, the more are needed, until none would do', () => {
    const needed = (days: number): number =>
      waysTo(state, wish({ by: addDays(DAY, days) }))!.ways[1]!.needed ?? Infinity;
    expect(needed(20)).toBeGreaterThan(needed(26));
    expect(needed(26)).toBeGreaterThanOrEqual(needed(60));
    const soon = waysTo(state, wish({ by: addDays(DAY, 5) }))!;
    expect(soon.best).toBeNull();
    expect(soon.instead).toMatchObject({ instead: 'later' });
    const past = waysTo(state, wish({ by: addDays(DAY, -5) }))!;
    expect(past.best).toBeNull();
  });

  it('says how many can be had where so many cannot', () => {
    const many = waysTo(state, wish({ count: 2000 }))!;
    expect(many.best).toBeNull();
    expect(many.instead).toMatchObject({ instead: 'fewer', from: 400 });
  });

  it('the curve rises towards the day, and ends its sense before it', () => {
    const crown = waysTo(state, wish())!.ways[1]!.figures;
    const { days, latest } = neededCurve(state, wish(), crown, DAY);
    const needed = days.map((d) => d.needed ?? Infinity);
    expect(needed).toEqual([...needed].sort((a, b) => a - b));
    expect(latest! > DAY && latest! < wish().by).toBe(true);
    expect(days.at(-1)!.needed).toBeNull();
    expect(neededCurve(state, wish({ by: DAY }), crown, DAY)).toEqual({ days: [], latest: null });
  });

  it('the curve says of its first day what the ways say, also where they dry elsewhere', () => {
    const cold = fold(
      written(
        { kind: 'put', record: 'space', key: 'bench', day: DAY, fields: { tempC: 21, rh: 0.5 } },
        { kind: 'put', record: 'space', key: 'cellar', day: DAY, fields: { tempC: 9, rh: 0.6 } },
      ),
    );
    const asked = wish({ callusSpace: 'cellar', dryDays: 12, by: addDays(DAY, 40) });
    const way = waysTo(cold, asked)!.ways[1]!;
    const [first] = neededCurve(cold, asked, way.figures, DAY).days;
    expect(first!.needed).toBe(way.needed);
    expect(way.needed!).toBeGreaterThan(
      waysTo(cold, { ...asked, callusSpace: 'bench' })!.ways[1]!.needed!,
    );
  });

  it('an unknown plant has no ways', () => {
    expect(waysTo(state, wish({ taxon: 'nobody' }))).toBeNull();
  });
});
