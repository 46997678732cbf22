import { growingDay } from '../bench';
import { CATALOGUE, grownAs, growthOn, methodOf } from '../botany';
import { factsOf } from '../care';
import { addDays, daysBetween } from '../days';
import { growthOf } from '../growth';
import { fold, foldBatch, type BatchFields, type Counts } from '../journal';
import { plannedOutlook, waysTo } from '../plan';
import { growingOf, placeOf, strategyOf } from '../rehearse';
import { held } from '../testing/held';
import { batchPut, FIELDS, written } from '../testing/entries';
import { HARSH, STATED } from '../testing/rooting-world';
import { betaBinomial } from '../stats';
import { chanceOfAtMost, howMany } from './how-many';
import { likelyBy, onItsWay } from './on-its-way';
import { longFrom, outlookOf, worthLooking } from './outlook';

type Draft = Parameters<typeof written>[0];
const NOVEMBER = '2026-11-29';
const MAY = '2026-05-10';
const month = (minC: number, maxC: number) => ({ minC, maxC, rh: 0.6 });
/** A heated room, a lean-to that goes with the year and has a mat, a porch. */
const BENCH: readonly Draft[] = [
  { kind: 'put', record: 'settings', key: 'grower', day: MAY, fields: { latitude: 48 } },
  { kind: 'put', record: 'space', key: 'room', day: MAY, fields: { tempC: 21, rh: 0.5 } },
  {
    kind: 'put',
    record: 'space',
    key: 'leanto',
    day: MAY,
    fields: {
      tempC: 15,
      rh: 0.65,
      matC: 4,
      monthly: Array.from({ length: 12 }, (_, m) => {
        const warm = 9 - 8 * Math.cos((2 * Math.PI * m) / 12);
        return month(warm - 4, warm + 9);
      }),
    },
  },
  { kind: 'put', record: 'space', key: 'porch', day: MAY, fields: { tempC: 11, rh: 0.8 } },
];
const bench = fold(written(...BENCH));
const CROWN: BatchFields = { ...FIELDS, space: 'room', callusSpace: 'room' };
const none: Counts = { rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0 };
const grown = (fields: BatchFields, looks: readonly (readonly [number, Partial<Counts>])[]) =>
  fold(
    written(
      ...BENCH,
      batchPut(fields),
      { kind: 'cut', batch: 'b1', day: fields.cutOn! },
      { kind: 'stuck', batch: 'b1', day: addDays(fields.cutOn!, 4) },
      ...looks.map(([n, counts]): Draft => ({
        kind: 'tally',
        batch: 'b1',
        day: addDays(fields.cutOn!, n),
        counts: { ...none, ...counts },
      })),
    ),
  );

describe('one clock of roots', () => {
  it.each([NOVEMBER, MAY])(
    '%s: plan, a batch and its care say the same window of every way',
    (day) => {
      for (const space of ['room', 'leanto', 'porch'])
        for (const { id, methods } of CATALOGUE)
          for (const way of methods) {
            const fields: BatchFields = {
              ...FIELDS,
              taxon: id,
              method: way.method,
              cutOn: day,
              space,
              callusSpace: 'room',
            };
            const { school, dryDays } = fields;
            const plan = plannedOutlook(
              bench,
              {
                taxon: id,
                cutOn: day,
                space,
                callusSpace: 'room',
                school: school!,
                ...(dryDays ? { dryDays } : {}),
              },
              way,
            )!;
            const { roots, pups } = factsOf(bench, foldBatch('b', fields, [])!);
            const span = (is: { from: string; to: string } | null) =>
              is && { from: daysBetween(day, is.from), to: daysBetween(day, is.to) };
            expect([id, way.method, roots, pups]).toEqual([
              id,
              way.method,
              span(plan.roots),
              span(plan.pups),
            ]);
          }
    },
  );

  it('with and without a number wanted: the same days', () => {
    const wish = {
      taxon: 'echeveria-elegans',
      count: 12,
      size: 'rooted',
      by: addDays(NOVEMBER, 200),
      certainty: 0.8,
      cutOn: NOVEMBER,
      space: 'leanto',
    } as const;
    for (const way of waysTo(bench, wish)!.ways) {
      const { roots, pups } = plannedOutlook(bench, wish, way.figures)!;
      const plant = way.method === 'leaf' ? pups! : roots;
      expect([way.from, way.half, way.to]).toEqual([plant.from, plant.half, plant.to]);
    }
  });

  it('a batch, a plan and a rehearsal grow by the very same days', () => {
    for (const cutOn of [NOVEMBER, MAY])
      for (const space of ['leanto', 'porch']) {
        const fields: BatchFields = {
          ...CROWN,
          cutOn,
          space,
          widthMm: 7,
          container: 'pot-7',
          mix: 'half-and-half',
        };
        const batch = foldBatch('b', fields, [])!;
        const line = growthOf(bench, batch)!;
        const strategy = strategyOf(bench, 'mine', fields, 120);
        if ('problem' in strategy) throw new Error(strategy.problem);
        const echeveria = CATALOGUE.find((t) => t.id === 'echeveria-elegans')!;
        let played = 0;
        let summed = 0;
        for (let n = 0; n < 120; n++) {
          const on = n < strategy.dryDays ? 'room' : space;
          played += growthOn(
            grownAs(echeveria, 'crown'),
            growingOf(strategy, strategy.place.usual[n]!, n),
          );
          summed += growthOn(grownAs(echeveria, 'crown'), growingDay(bench, on, addDays(cutOn, n)));
        }
        const end = addDays(cutOn, 120);
        expect(Math.abs(line.at(end) - played)).toBeLessThan(1e-9);
        expect(Math.abs(line.at(end) - summed)).toBeLessThan(1e-9);
        expect(placeOf(bench, batch, 3, () => 'leanto').matC).toEqual([4, 4, 4]);
      }
  });

  it('a move into the warm, a mat, a reading ahead of the climate: each brings roots sooner', () => {
    const to = (...more: Draft[]): string => {
      const state = fold(
        written(
          ...BENCH,
          batchPut({ ...CROWN, cutOn: NOVEMBER, space: 'porch' }),
          { kind: 'cut', batch: 'b1', day: NOVEMBER },
          ...more,
        ),
      );
      return outlookOf(state, state.batches.get('b1')!)!.roots.half;
    };
    const cold = to();
    expect(
      to({ kind: 'moved', batch: 'b1', day: addDays(NOVEMBER, 20), space: 'room' }) < cold,
    ).toBe(true);
    const porch = (fields: object): Draft => ({
      kind: 'put',
      record: 'space',
      key: 'porch',
      day: MAY,
      fields,
    });
    expect(to(porch({ matC: 8 })) < cold).toBe(true);
    const warm = Array.from({ length: 40 }, (_, n): Draft => ({
      kind: 'air',
      space: 'porch',
      day: addDays(NOVEMBER, n),
      tempC: 20,
      rh: 0.6,
    }));
    expect(to(...warm) < cold).toBe(true);
  });
});

describe('a batch on its way', () => {
  const crown = { ...CROWN, cutOn: MAY, count: 20 };
  const of = (looks: readonly (readonly [number, Partial<Counts>])[]) => {
    const state = grown(crown, looks);
    const batch = state.batches.get('b1')!;
    return { batch, is: outlookOf(state, batch)! };
  };

  it('is behind where few rooted of whom many were likely, and says how many; else as expected', () => {
    const few = of([[30, { rooted: 2 }]]);
    const told = onItsWay(few.batch, few.is)!;
    expect(told).toMatchObject({ is: 'behind', seen: 2, of: 20 });
    expect(told.expected.low).toBeGreaterThan(2);
    const usual = of([[24, { rooted: 12 }]]);
    expect(onItsWay(usual.batch, usual.is)!.is).toBe('as expected');
    const early = of([[13, { rooted: 18 }]]);
    expect(onItsWay(early.batch, early.is)!.is).toBe('ahead');
    expect(onItsWay(of([]).batch, of([]).is)).toBeNull();
  });

  it('looks that found nothing move what is ahead on, and make it less likely', () => {
    const [fresh, seen] = [of([]).is, of([[28, { rooted: 0 }]]).is];
    expect(seen.roots.half > fresh.roots.half).toBe(true);
    expect(seen.roots.ever).toBeLessThan(fresh.roots.ever);
    const day = addDays(MAY, 35);
    const { mean, low, high } = likelyBy(fresh, fresh.roots, day);
    expect(low).toBeLessThanOrEqual(mean);
    expect(high).toBeGreaterThanOrEqual(mean);
    expect(likelyBy(seen, seen.roots, day).mean).toBeLessThan(mean);
  });

  it('a tug is worth it once a third of them likely hold, and not before one in ten does', () => {
    const { is } = of([]);
    const day = worthLooking(is, is.roots);
    expect(day > is.roots.from && day < is.roots.to).toBe(true);
    expect(likelyBy(is, is.roots, day).mean / 20).toBeGreaterThanOrEqual(1 / 3);
    expect(likelyBy(is, is.roots, addDays(day, -2)).mean / 20).toBeLessThan(1 / 3);
  });

  it('is long without roots past its window, and where looks say that none will come', () => {
    const { batch, is } = of([]);
    const long = longFrom(batch, is)!;
    expect(daysBetween(MAY, long)).toBeGreaterThan(28);
    expect(daysBetween(MAY, long)).toBeLessThan(56);
    const never = of([
      [30, { rooted: 18 }],
      [60, { rooted: 18 }],
    ]);
    expect(never.is.roots.ever).toBeLessThan(0.25);
    expect(longFrom(never.batch, never.is)).toBe(addDays(MAY, 60));
  });

  it('own counts of many batches narrow what is said of the next', () => {
    const fields = { ...CROWN, cutOn: MAY, count: 20 };
    const batches = Array.from({ length: 10 }, (_, i): Draft[] => [
      batchPut(fields, `c${i}`),
      { kind: 'cut', batch: `c${i}`, day: MAY },
      ...[14, 19, 24, 32].map((n, k): Draft => ({
        kind: 'tally',
        batch: `c${i}`,
        day: addDays(MAY, n),
        counts: { ...none, rooted: [1, 6, 12, 16][k]!, dried: k === 3 ? 4 : 0 },
      })),
      { kind: 'ended', batch: `c${i}`, day: addDays(MAY, 40) },
    ]).flat();
    const way = methodOf(
      CATALOGUE.find((t) => t.id === 'echeveria-elegans')!,
      'crown',
    )!;
    const wish = { taxon: 'echeveria-elegans', cutOn: MAY, space: 'room' };
    const [guide, own] = [bench, fold(written(...BENCH, ...batches))].map((state) =>
      plannedOutlook(state, wish, way)!,
    );
    const wide = (is: typeof guide): number => daysBetween(is!.roots.from, is!.roots.to);
    expect(wide(own)).toBeLessThan(0.8 * wide(guide));
    expect(Math.abs(own!.belief.mean - 0.8)).toBeLessThan(0.06);
  });
});

// The stated model simulated: plants, trays and paces drawn as the product supposes, a history counted, and what is said
// of the next batch held against it. Thousands of benches by `npm run bench -- held`.
describe('what is said holds', () => {
  const BENCHES = 400;
  // Three standard errors of a share of so many.
  const slack = (share: number): number => 3 * Math.sqrt((share * (1 - share)) / BENCHES);

  it.each([
    ['nothing counted', 0],
    ['ten batches counted', 10],
  ])('as supposed, %s: nine in ten is nine in ten, eight in ten eight', (_name, batches) => {
    const { reached, inTime, range } = held(STATED, batches, BENCHES, 3);
    expect(Math.abs(reached - 0.9)).toBeLessThan(0.01 + slack(0.9));
    expect(Math.abs(inTime - 0.9)).toBeLessThan(0.01 + slack(0.9));
    expect(Math.abs(range - 0.8)).toBeLessThan(0.02 + slack(0.8));
  });

  it('where trays and benches differ more than supposed, ten counted batches keep it near', () => {
    const { reached, inTime } = held(HARSH, 10, BENCHES, 3);
    expect(reached).toBeGreaterThan(0.86 - slack(0.86));
    expect(inTime).toBeGreaterThan(0.86 - slack(0.86));
  });
});

describe('how many of many', () => {
  it('ten thousand are spoken of by their shares, as a few are by numbers', () => {
    const chance = { mean: 0.6, square: 0.36 + 0.02 };
    const [few, many] = [howMany(50, chance), howMany(10_000, chance)];
    expect(Math.abs(few.low / 50 - many.low / 10_000)).toBeLessThan(0.06);
    expect(Math.abs(few.high / 50 - many.high / 10_000)).toBeLessThan(0.06);
    expect(many.mean).toBe(6000);
    // Summed term by term, each by itself.
    let sum = 0;
    const worth = (0.6 * 0.4) / 0.02 - 1;
    for (let k = 0; k <= 30; k++) sum += betaBinomial(k, 50, 0.6 * worth, 0.4 * worth);
    expect(chanceOfAtMost(30, 50, chance)).toBeCloseTo(sum, 9);
    expect(chanceOfAtMost(10_000, 10_000, chance)).toBeCloseTo(1, 9);
  });
});
