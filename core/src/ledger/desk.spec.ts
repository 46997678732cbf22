import { addDays } from '../days';
import { demoJournal } from '../demo';
import { append, fold, type BatchFields, type Counts, type Entry } from '../journal';
import { beliefOf } from '../learn';
import { methodOf } from '../botany';
import { figuresOf, plantOf } from '../bench';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import { emergence } from '.';
import {
  batchCost,
  choicesOf,
  countedBy,
  groupOf,
  ledgerCase,
  ledgerCases,
  ledgerDesk,
  lossesByWater,
  lossesByYearWeek,
  matching,
  moneyBy,
  overallOf,
  pooledEmergence,
  seasonReport,
} from '.';

type Draft = Parameters<typeof written>[0];
const none: Counts = { rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0 };

const batch = (
  key: string,
  fields: Partial<BatchFields>,
  looks: readonly (readonly [number, Partial<Counts>])[],
  watered?: number,
): Draft[] => {
  const cutOn = fields.cutOn ?? DAY;
  return [
    batchPut({ ...FIELDS, ...fields }, key),
    { kind: 'cut', batch: key, day: cutOn },
    ...(watered === undefined
      ? []
      : [{ kind: 'watered', batch: key, day: addDays(cutOn, watered), how: 'poured' } as Draft]),
    ...looks.map(([on, counts]): Draft => ({
      kind: 'tally',
      batch: key,
      day: addDays(cutOn, on),
      counts: { ...none, ...counts },
    })),
  ];
};
/** What growers disagree about is told of a batch, and held against the others. */
const GROUPED: readonly (readonly [Parameters<typeof groupOf>[2], BatchFields, string])[] = [
  ['opening', { opening: 'broken' }, 'Broken'],
  ['firmness', { firmed: 'hard' }, 'Firmed hard'],
  ['leaves', { leaves: 'misted' }, 'Leaves misted'],
  ['depth', { stemMm: 12 }, 'Shallow'],
  ['depth', { stemMm: 60 }, 'Deep'],
  ['length', { lengthMm: 80 }, 'Medium'],
];

const casesOf = (...drafts: Draft[][]) => ledgerCases(fold(written(...drafts.flat())));
const RHO = 0.1;
const DEMO = fold(demoJournal('2026-04-09'));

describe('what growers disagree about', () => {
  it.each(GROUPED)('%s: %j is “%s”; untold it stands in no group', (by, fields, name) => {
    const [told, not] = [fields, {}].map((f) => fold(written(...batch('b1', f, []))));
    expect(groupOf(told!, told!.batches.get('b1')!, by)).toBe(name);
    expect(groupOf(not!, not!.batches.get('b1')!, by)).toBeNull();
  });

  it('a broken leaf is believed to root a third as often, by the plan of its batch alone', () => {
    const of = (fields: BatchFields) => {
      const state = fold(
        written(...batch('b1', { taxon: 'echeveria-elegans', method: 'leaf', ...fields }, [])),
      );
      const figures = figuresOf(state, state.batches.get('b1')!)!;
      return beliefOf(state, 'echeveria-elegans', figures).mean;
    };
    expect(of({ opening: 'broken' })).toBeCloseTo(0.3 * of({}), 6);
    expect(of({ opening: 'snapped' })).toBe(of({}));
  });
});

describe('cases', () => {
  it('are made once while nothing around them changes, and anew when something does', () => {
    const state = fold(written(...batch('b1', {}, [[10, { rooted: 10 }]])));
    const one = ledgerCase(state, state.batches.get('b1')!)!;
    expect(ledgerCase(state, state.batches.get('b1')!)).toBe(one);
    const put = (fields: object): Entry => ({
      id: 'later',
      at: '2026-04-01T08:00:00.000Z~0000',
      day: DAY,
      by: 'phone',
      kind: 'put',
      record: 'space',
      key: 'bench',
      fields,
    });
    const named = append(state, put({ name: 'Porch', tempC: 18, rh: 0.7 }));
    const again = ledgerCase(named, named.batches.get('b1')!)!;
    expect([one.groups.space, again.groups.space]).toEqual([null, 'Porch']);
    expect(again.groups.air).toBe('Damp, over 65%');
  });

  it('cost more once a component of their mix costs more', () => {
    const potted = [...DEMO.batches.values()].find((b) => b.id === 'b-19')!;
    const before = ledgerCase(DEMO, potted)!.cost.total!;
    const dearer = [...DEMO.components.values()].reduce(
      (state, { id, pricePerL = 1 }, i) =>
        append(state, {
          id: `dear-${i}`,
          at: `2026-04-09T12:00:00.000Z~${i.toString(16).padStart(4, '0')}`,
          day: '2026-04-09',
          by: 'phone',
          kind: 'put',
          record: 'component',
          key: id,
          fields: { pricePerL: pricePerL * 10 },
        }),
      DEMO,
    );
    expect(ledgerCase(dearer, dearer.batches.get('b-19')!)!.cost.total!).toBeGreaterThan(before);
  });

  it('are plain data: a worker can be handed them', () => {
    const cases = ledgerCases(DEMO);
    expect(structuredClone(cases)).toEqual(cases);
    // Cut and not stuck yet is a case, planned is none.
    expect(cases.some((c) => !c.stuck)).toBe(true);
    expect(cases.length).toBe([...DEMO.batches.values()].filter((b) => b.cut !== null).length);
  });

  it('know the season by the hemisphere, and the days to the first water', () => {
    const entries = written(...batch('b1', { cutOn: '2026-04-10' }, [], 5));
    const north = fold(entries);
    expect(groupOf(north, north.batches.get('b1')!, 'season')).toBe('Spring');
    const south = fold([
      ...entries,
      ...written({
        kind: 'put',
        record: 'settings',
        key: 'grower',
        id: 's',
        day: DAY,
        fields: { latitude: -34 },
      }),
    ]);
    expect(groupOf(south, south.batches.get('b1')!, 'season')).toBe('Autumn');
    expect(groupOf(north, north.batches.get('b1')!, 'days to water')).toBe('After 4–7 days');
  });
});

describe('filters', () => {
  const cases = ledgerCases(DEMO);

  it('fit all that was asked, and an empty one fits everything', () => {
    expect(matching(cases, {})).toBe(cases);
    const leaves = matching(cases, { method: 'Leaf', space: 'Lean-to' });
    expect(leaves.length).toBeGreaterThan(0);
    expect(leaves.every((c) => c.groups.method === 'Leaf' && c.groups.space === 'Lean-to')).toBe(
      true,
    );
    expect(matching(cases, { method: 'Nothing of the kind' })).toEqual([]);
    const methods = choicesOf(cases, 'method');
    expect(methods.reduce((sum, c) => sum + c.batches, 0)).toBe(cases.length);
  });

  it('rows add up to all, whatever they are made by', () => {
    const all = overallOf(cases, RHO).count.stuck;
    for (const by of ['batch', 'method', 'school', 'gate', 'mother', 'season'] as const)
      expect(countedBy(cases, by, RHO).reduce((sum, row) => sum + row.count.stuck, 0)).toBe(all);
    const { parts, count } = overallOf(cases, RHO);
    expect(parts.reduce((sum, p) => sum + p.count, 0)).toBe(count.stuck);
  });
});

describe('one plate of several batches', () => {
  it('of one settled batch is that batch’s own', () => {
    const b = [...DEMO.batches.values()].find((o) => o.id === 'b-11')!;
    const own = emergence(b, b.ended ?? '2026-04-09');
    const pooled = pooledEmergence([ledgerCase(DEMO, b)!])!;
    for (const curve of ['roots', 'pups'] as const)
      for (const { day, sure, possible } of own[curve].filter((s) => s.day <= pooled.lastDay)) {
        const at = pooled[curve].findLast((s) => s.day <= day)!;
        expect(at.sure).toBeCloseTo(sure, 9);
        expect(at.possible).toBeCloseTo(possible, 9);
      }
  });

  it('what is sure is never above what is possible, and both only rise', () => {
    // 10 rooted between the cut and day 30; 100 young ones seen waiting on day 10.
    const plate = pooledEmergence(
      casesOf(
        batch('b1', { count: 10 }, [[30, { rooted: 10 }]]),
        batch('b2', { count: 100 }, [[10, {}]]),
      ),
    )!;
    const last = plate.roots.at(-1)!;
    expect([last.sure, last.possible]).toEqual([
      expect.closeTo(10, 9) as number,
      expect.closeTo(110, 9) as number,
    ]);
    for (const steps of [plate.roots, plate.pups, ...Object.values(plate.losses)])
      steps.forEach((step, i) => {
        expect(step.sure).toBeLessThanOrEqual(step.possible + 1e-9);
        const before = steps[i - 1];
        if (!before) return;
        expect(step.sure).toBeGreaterThanOrEqual(before.sure - 1e-9);
        expect(step.possible).toBeGreaterThanOrEqual(before.possible - 1e-9);
      });
  });

  it('a young batch does not pull the shares down: by hand, half of 10 and then all at risk', () => {
    // 10 settled of which 5 root by day 20; 30 seen only until day 10.
    const plate = pooledEmergence(
      casesOf(
        batch('b1', { count: 10 }, [
          [10, {}],
          [20, { rooted: 5, rotted: 5 }],
        ]),
        batch('b2', { count: 30 }, [[10, {}]]),
      ),
    )!;
    expect(plate.count).toBe(40);
    // Half of what was watched till then: 20 of 40, not 5.
    expect(plate.roots.at(-1)!.sure).toBeCloseTo(20, 9);
    expect(plate.losses.rotted.at(-1)!.sure).toBeCloseTo(20, 9);
    expect(plate.waiting).toEqual([
      { day: 10, count: 40 },
      { day: 20, count: 0 },
    ]);
    expect(pooledEmergence([])).toBeNull();
  });
});

describe('losses', () => {
  it('by week of the year lie where the calendar has them, and none is lost', () => {
    const cases = casesOf(
      batch('b1', { cutOn: '2026-06-01', count: 8 }, [
        [10, {}],
        [17, { rotted: 6, rooted: 2 }],
      ]),
    );
    const weeks = lossesByYearWeek(cases);
    // Between 12 and 18 June 2026: week 24 (8–14 June) and 25.
    expect(weeks.reduce((sum, w) => sum + w.of.rotted, 0)).toBeCloseTo(6, 9);
    expect(weeks[23]!.of.rotted).toBeCloseTo(6, 9);
    expect(weeks).toHaveLength(53);
  });

  it('by days to the first water, in order', () => {
    const cases = casesOf(
      batch('b1', {}, [[20, { rotted: 8, rooted: 2 }]], 0),
      batch('b2', {}, [[20, { rotted: 1, rooted: 9 }]], 6),
      batch('b3', {}, [[20, { rooted: 10 }]]),
    );
    expect(lossesByWater(cases, RHO).map((g) => [g.name, g.count.rotted, g.told])).toEqual([
      ['Within a day', 8, 10],
      ['After 4–7 days', 1, 10],
    ]);
  });
});

describe('money and time', () => {
  const priced = (...drafts: Draft[][]) =>
    ledgerCases(
      fold(
        written(
          {
            kind: 'put',
            record: 'settings',
            key: 'grower',
            day: DAY,
            fields: { labelPrice: 0.5, hourPrice: 12 },
          },
          ...drafts.flat(),
        ),
      ),
    );

  it('by hand: 20 leaves, half a minute each at 12 an hour and a label, of which 8 made it', () => {
    const [row] = moneyBy(
      priced(batch('b1', { method: 'leaf', count: 20 }, [[40, { rooted: 8, rotted: 12 }]])),
      'method',
      RHO,
      3,
    );
    // 10 minutes are 2.00, the label 0.50.
    expect(row!.total).toBeCloseTo(2.5, 12);
    expect(row!.perCutting).toBeCloseTo(0.125, 12);
    expect(row!.perPlant!.value).toBeCloseTo(2.5 / 8, 12);
    expect(row!.minutesPerPlant!.value).toBeCloseTo(10 / 8, 12);
    expect(row!.perPlant!.low).toBeLessThan(2.5 / 8);
    expect(row!.perPlant!.high).toBeGreaterThan(2.5 / 8);
    expect(row!.lostValue).toEqual({ cuttings: 12, spent: 1.5, forgone: 36 });
  });

  it('what was sold is added up by hand: 3 at 4.50 and 2 without a price are 13.50 for 5', () => {
    const sold = (taken: number, priceEach?: number) => ({
      kind: 'parted' as const,
      batch: 'b1',
      day: addDays(DAY, 50),
      why: 'sold' as const,
      taken: { rooted: taken },
      ...(priceEach === undefined ? {} : { priceEach }),
    });
    const [row] = moneyBy(
      priced([
        ...batch('b1', { method: 'leaf', count: 20 }, [[40, { rooted: 8, rotted: 12 }]]),
        sold(3, 4.5),
        sold(2),
      ]),
      'method',
      RHO,
    );
    expect(row!.sold).toEqual({ count: 5, priced: 3, income: 13.5 });
  });

  it('nothing priced, nothing rooted, nothing settled: no figure, and no NaN', () => {
    const state = fold(written(...batch('b1', { count: 5 }, [[9, { rotted: 5 }]])));
    expect(batchCost(state, state.batches.get('b1')!).total).toBeNull();
    const [row] = moneyBy(ledgerCases(state), 'method', RHO);
    expect(row).toMatchObject({ perPlant: null, minutesPerPlant: null, perCutting: null });
    expect(moneyBy(casesOf(batch('b1', {}, [])), 'method', RHO)).toEqual([]);
  });
});

describe('learning afresh', () => {
  it('leaves out what was cut before that day, and takes it in again', () => {
    const way = methodOf(plantOf(DEMO, 'echeveria-elegans')!.taxon, 'leaf')!;
    const own = (state = DEMO): number => beliefOf(state, 'echeveria-elegans', way).own.cuttings;
    expect(own()).toBeGreaterThan(0);
    const set = (learnFrom: string | null, n: number): Entry => ({
      id: `fresh${n}`,
      at: `2026-04-09T12:00:0${n}.000Z~0000`,
      day: '2026-04-09',
      by: 'phone',
      kind: 'put',
      record: 'settings',
      key: 'grower',
      fields: { learnFrom },
    });
    const fresh = append(DEMO, set('2026-04-01', 1));
    expect(own(fresh)).toBe(0);
    expect(own(append(fresh, set(null, 2)))).toBe(own());
    expect(figuresOf(DEMO, [...DEMO.batches.values()][0]!)).not.toBeNull();
  });
});

describe('the desk', () => {
  const desk = ledgerDesk();
  desk.begin(RHO);
  desk.add(ledgerCases(DEMO));

  it('answers every page, for all and for a filter that fits nothing', () => {
    for (const filter of [{}, { plant: 'Nothing' }]) {
      const counted = desk.counted({ filter, by: 'method', most: 40, plateOf: null });
      const lost = desk.lost(filter);
      const money = desk.money(filter, 'method', 2);
      const compared = desk.compared({ filter, by: 'method', a: 'Crown', b: 'Leaf' });
      expect(JSON.stringify([counted, lost, money, compared])).not.toMatch(/NaN/);
      expect(counted.rows.length > 0).toBe(compared.comparison !== null);
    }
    const { comparison } = desk.compared({ filter: {}, by: 'method', a: 'Crown', b: 'Leaf' });
    expect([comparison!.a.name, comparison!.b.name]).toEqual(['Crown', 'Leaf']);
  });

  it('sizes a trial, and says the chance with fewer', () => {
    const size = { arms: 2, usual: 0.5, better: 0.9, power: 0.8 };
    expect(desk.trialSize(size, null).needed).toBe(23);
    expect(desk.trialSize(size, 10).chance!).toBeLessThan(0.5);
    expect(desk.trialSize({ ...size, better: 0.501 }, null)).toEqual({
      needed: null,
      chance: null,
    });
  });

  it('a season has only what was cut in it', () => {
    const all = seasonReport(ledgerCases(DEMO), '2000-01-01', '2100-01-01', RHO);
    const parts = [
      desk.report('2000-01-01', '2025-12-31'),
      desk.report('2026-01-01', '2100-01-01'),
    ];
    expect(parts[0]!.batches + parts[1]!.batches).toBe(all.batches);
    expect(parts[0]!.batches).toBeGreaterThan(0);
    expect(desk.report('1999-01-01', '1999-12-31').plate).toBeNull();
  });
});
