import * as fc from 'fast-check';
import aml from './fixtures/aml.json';
import lung from './fixtures/lung.json';
import mgus2 from './fixtures/mgus2.json';
import {
  aalenJohansen,
  chanceAbove,
  eachNeededExactly,
  exactPowerOf,
  fisherExact,
  incidenceBy,
  kaplanMeier,
  mantelHaenszel,
  newcombe,
  powerOf,
  turnbull,
  turnbullBy,
  turnbullMedian,
  type Timed,
  type TwoByTwo,
} from '.';

/*
 * Reference figures: R 4.2.2 with survival 3.5-3 (survfit, survdiff, survreg), stats (fisher.test,
 * mantelhaen.test, power.prop.test, qbeta) and MASS (gehan), on the public datasets of those packages: acute
 * myelogenous leukaemia (aml), advanced lung cancer (lung), the veterans' trial (veteran), monoclonal gammopathy
 * (mgus2), the 6-mercaptopurine trial (Freireich et al. 1963).
 */
const exact = (time: readonly number[], event: readonly number[]): Timed[] =>
  time.map((t, i) => ({ left: t, right: event[i] === 1 ? t : Infinity }));
const relative = (seen: number, wanted: number, tolerance = 1e-6): void => {
  expect(Math.abs(seen - wanted)).toBeLessThanOrEqual(
    tolerance * Math.max(Math.abs(wanted), 1e-12),
  );
};

describe('shares', () => {
  // Newcombe 1998, table II: method 10 (without continuity correction), all eight examples.
  it.each([
    [56, 70, 48, 80, 0.0524, 0.3339],
    [9, 10, 3, 10, 0.1705, 0.809],
    [6, 7, 2, 7, 0.0582, 0.8062],
    [5, 56, 0, 29, -0.0381, 0.1926],
    [0, 10, 0, 20, -0.1611, 0.2775],
    [0, 10, 0, 10, -0.2775, 0.2775],
    [10, 10, 0, 20, 0.6791, 1.0],
    [10, 10, 0, 10, 0.6075, 1.0],
  ])('Newcombe’s own example %d/%d − %d/%d', (a, n, b, m, low, high) => {
    const d = newcombe({ successes: a, trials: n }, { successes: b, trials: m })!;
    expect(d.low).toBeCloseTo(low, 3);
    expect(d.high).toBeCloseTo(high, 3);
  });

  it('the chance that one is above the other, against integrate() of R', () => {
    relative(
      chanceAbove({ successes: 56, trials: 70 }, { successes: 48, trials: 80 }),
      0.9959295389769,
    );
    relative(
      chanceAbove({ successes: 7, trials: 9 }, { successes: 3, trials: 9 }, 0.5),
      0.9725225541878,
    );
    expect(chanceAbove({ successes: 0, trials: 0 }, { successes: 0, trials: 0 })).toBeCloseTo(
      0.5,
      9,
    );
  });

  it.each([
    // The lady tasting tea (Fisher 1935) first.
    [3, 1, 1, 3, 0.485714285714, 6.40831965819968, 0.21173559544658, 626.24353058881445],
    [10, 3, 2, 15, 5.36724119143e-4, 21.3053175567503, 2.7533827882493, 301.4623379715194],
    [7, 4, 0, 6, 0.0345022624434, Infinity, null, Infinity],
    [120, 90, 80, 110, 0.00363518555588, 1.8305149902235, 1.2089753687625, 2.7814290891996],
  ])('Fisher’s exact test of %d:%d and %d:%d', (a, b, c, d, p, odds, low, high) => {
    const test = fisherExact({ a: { yes: a, no: b }, b: { yes: c, no: d } })!;
    relative(test.p, p);
    // fisher.test() itself stops its root finding at 1e-4: these are its equations with uniroot at 1e-13.
    if (odds === Infinity) expect(test.oddsRatio).toBe(Infinity);
    else relative(test.oddsRatio, odds);
    if (low !== null) relative(test.low, low);
    else expect(test.low).toBeCloseTo(1.176, 3);
    if (high === Infinity) expect(test.high).toBe(Infinity);
    else relative(test.high, high);
  });

  it('an empty arm has no test, and nothing is NaN', () => {
    expect(fisherExact({ a: { yes: 0, no: 0 }, b: { yes: 3, no: 2 } })).toBeNull();
    expect(fisherExact({ a: { yes: 0, no: 4 }, b: { yes: 0, no: 2 } })).toMatchObject({
      p: 1,
      oddsRatio: 0,
      low: 0,
    });
    expect(newcombe({ successes: 0, trials: 0 }, { successes: 1, trials: 2 })).toBeNull();
  });

  it('Mantel–Haenszel over the six departments of Berkeley (R: UCBAdmissions; Bickel et al. 1975)', () => {
    const cells = [
      [512, 313, 89, 19],
      [353, 207, 17, 8],
      [120, 205, 202, 391],
      [138, 279, 131, 244],
      [53, 138, 94, 299],
      [22, 351, 24, 317],
    ];
    const tables = cells.map(([ay, an, by, bn]): TwoByTwo => ({
      a: { yes: ay!, no: an! },
      b: { yes: by!, no: bn! },
    }));
    const plain = mantelHaenszel(tables, false)!;
    relative(plain.oddsRatio, 0.904696828259);
    relative(plain.low, 0.771907361759);
    relative(plain.high, 1.060329764437);
    relative(plain.test.statistic, 1.524606660443);
    relative(plain.test.p, 0.216923697056);
    const yates = mantelHaenszel(tables)!;
    relative(yates.test.statistic, 1.426946228587);
    relative(yates.test.p, 0.232263462817);
    expect(mantelHaenszel([{ a: { yes: 1, no: 0 }, b: { yes: 2, no: 0 } }])).toBeNull();
  });

  it('power, by formula and by enumeration', () => {
    relative(powerOf(50, 0.5, 0.75), 0.7401659013314);
    relative(exactPowerOf(12, 12, 0.9, 0.4), 0.6386394569775);
    relative(exactPowerOf(20, 20, 0.7, 0.4), 0.3474887147958);
    relative(exactPowerOf(10, 15, 0.8, 0.3), 0.6945824452481);
    expect(eachNeededExactly(0.8, 0.5, 0.5)).toBeNull();
    expect(eachNeededExactly(0.8, 0.5, 0.501)).toBeNull();
  });
});

describe('time to something, where the time is known', () => {
  it('Kaplan–Meier of aml: steps, Greenwood, log–log limits, median', () => {
    const { steps, median, count, events } = kaplanMeier(exact(aml.time, aml.event));
    expect([count, events]).toEqual([23, 18]);
    const wanted = [
      [5, 23, 2, 0.9130434782609, 0.0587533847558, 0.69494753753206, 0.977515669901],
      [13, 17, 1, 0.695652173913, 0.0959438755422, 0.465641749762, 0.841721291392],
      [23, 13, 2, 0.5465838509317, 0.1072506417401, 0.31925041397119, 0.726449173821],
      [48, 2, 1, 0.0828157349896, 0.0726618005035, 0.00695596679854, 0.286760367981],
    ];
    for (const [time, atRisk, had, survival, se, low, high] of wanted) {
      const step = steps.find((s) => s.time === time)!;
      expect([step.atRisk, step.events]).toEqual([atRisk, had]);
      relative(step.survival, survival!);
      relative(step.se, se!);
      relative(step.low!, low!);
      relative(step.high!, high!);
    }
    expect(median).toEqual({ time: 27, low: 13, high: 34 });
  });

  it('medians of both arms of aml and both sexes of lung, with what cannot be told', () => {
    const arm = (m: number) =>
      kaplanMeier(exact(aml.time, aml.event).filter((_, i) => aml.maintained[i] === m)).median;
    expect(arm(1)).toEqual({ time: 31, low: 13, high: null });
    expect(arm(0)).toEqual({ time: 23, low: 5, high: 33 });
    const sex = (s: number) =>
      kaplanMeier(exact(lung.time, lung.event).filter((_, i) => lung.sex[i] === s));
    expect(sex(1).median).toEqual({ time: 270, low: 210, high: 306 });
    expect(sex(2).median).toEqual({ time: 426, low: 345, high: 524 });
    const year = sex(2).steps.findLast((s) => s.time <= 365)!;
    relative(year.survival, 0.526463030186);
    relative(year.se, 0.0597368539904);
  });

  it('ties, zero events, one row, one arm: defined, never NaN', () => {
    expect(kaplanMeier([]).median).toEqual({ time: null, low: null, high: null });
    expect(kaplanMeier([{ left: 5, right: Infinity, count: 4 }]).steps).toEqual([]);
    const all = kaplanMeier([{ left: 5, right: 5, count: 4 }]);
    expect(all.steps).toEqual([
      { time: 5, atRisk: 4, events: 4, survival: 0, se: 0, low: null, high: null },
    ]);
    expect(all.median.time).toBe(5);
    expect(() => kaplanMeier([{ left: 3, right: 2 }])).toThrow(RangeError);
    expect(() => kaplanMeier([{ left: 0, right: 2, count: 1.5 }])).toThrow(RangeError);
  });

  it('grouped counts say the same as rows', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.integer({ min: 0, max: 9 }), fc.boolean(), fc.integer({ min: 1, max: 4 })),
          {
            minLength: 1,
            maxLength: 12,
          },
        ),
        (raw) => {
          const grouped = raw.map(([t, had, count]) => ({
            left: t,
            right: had ? t : Infinity,
            count,
          }));
          const rows = grouped.flatMap(({ count, ...r }) => Array.from({ length: count }, () => r));
          expect(kaplanMeier(grouped)).toEqual(kaplanMeier(rows));
        },
      ),
    );
  });
});

describe('causes that compete', () => {
  const rows: Timed[] = mgus2.time.map((t, i) => ({
    left: t,
    right: mgus2.event[i] === 0 ? Infinity : t,
    cause: mgus2.event[i] === 1 ? 'pcm' : 'death',
  }));
  const { causes, waiting } = aalenJohansen(rows);

  it.each([
    [12, 0.00940125934465, 0.00259515576302, 0.122185402813, 0.00880608437086],
    [60, 0.03410371297435, 0.00488925790767, 0.320367010268, 0.01256737154756],
    [120, 0.06372216801311, 0.00679684842396, 0.53181770408, 0.01405964516203],
    [240, 0.09981371593547, 0.00978484679339, 0.724027976143, 0.01560634506776],
  ])(
    'Aalen–Johansen of mgus2 by month %d, with its standard errors',
    (month, pcm, pcmSe, death, deathSe) => {
      const a = incidenceBy(causes.get('pcm')!, month);
      const b = incidenceBy(causes.get('death')!, month);
      relative(a.incidence, pcm);
      relative(a.se, pcmSe);
      relative(b.incidence, death);
      relative(b.se, deathSe);
      const left = waiting.findLast((w) => w.time <= month)!;
      expect(a.incidence + b.incidence + left.share).toBeCloseTo(1, 9);
    },
  );

  it('with one cause it is one minus Kaplan–Meier, by hand with two', () => {
    const km = kaplanMeier(exact(aml.time, aml.event));
    const aj = aalenJohansen(exact(aml.time, aml.event)).causes.get('it')!;
    km.steps.forEach((s, i) => relative(aj[i]!.incidence, 1 - s.survival, 1e-9));
    // Ten cuttings: two rot on day 5, four of eight root on day 10.
    const hand = aalenJohansen([
      { left: 5, right: 5, cause: 'rot', count: 2 },
      { left: 10, right: 10, cause: 'roots', count: 4 },
      { left: 20, right: Infinity, count: 4 },
    ]);
    expect(incidenceBy(hand.causes.get('roots')!, 10).incidence).toBeCloseTo(0.4, 12);
    expect(incidenceBy(hand.causes.get('rot')!, 30).incidence).toBeCloseTo(0.2, 12);
    // Without anyone lost from sight the variance is that of a share.
    expect(incidenceBy(hand.causes.get('roots')!, 10).se).toBeCloseTo(
      Math.sqrt((0.4 * 0.6) / 10),
      12,
    );
    expect(incidenceBy(hand.causes.get('roots')!, 3)).toEqual({ time: 3, incidence: 0, se: 0 });
    expect(aalenJohansen([]).causes.size).toBe(0);
  });
});

describe('time that lies between two looks', () => {
  /** The lung data as if patients were seen every fifty days. */
  const visits: Timed[] = lung.time.map((t, i) =>
    lung.event[i] === 1
      ? { left: Math.floor(t / 50) * 50, right: Math.floor(t / 50) * 50 + 50 }
      : { left: t, right: Infinity },
  );

  it('Turnbull’s estimate of lung in visits, against survfit (which stops at 5e-5)', () => {
    const fit = turnbull(visits);
    expect(fit.gap).toBeLessThan(1e-6);
    for (const [day, survival] of [
      [50, 0.95175438596491],
      [100, 0.86362897985705],
      [200, 0.67549387300244],
      [500, 0.28336885420303],
      [800, 0.07211424832654],
    ] as const)
      relative(1 - turnbullBy(fit, day).sure, survival, 1e-4);
    expect(turnbullMedian(fit)).toEqual({ from: 332, to: 350 });
  });

  it('overlapping intervals: the shares survfit gives, and better by its own measure', () => {
    const left = [
      0, 15, 12, 17, 13, 0, 6, 0, 14, 12, 13, 12, 12, 0, 0, 0, 0, 3, 4, 1, 13, 0, 0, 6, 0, 2, 1, 0,
      0, 2, 0,
    ];
    const right = [
      16, 0, 15, 0, 0, 18, 0, 2, 17, 15, 0, 0, 0, 16, 12, 8, 3, 0, 11, 9, 0, 13, 3, 0, 14, 7, 0, 13,
      5, 11, 4,
    ];
    const fit = turnbull(
      left.map((l, i) => ({ left: l, right: right[i] === 0 ? Infinity : right[i]! })),
    );
    const share = (from: number) => fit.masses.find((m) => m.from === from)?.share ?? 0;
    expect(share(1)).toBeCloseTo(1 - 0.8138832946, 3);
    expect(share(2)).toBeCloseTo(0.8138832946 - 0.6190764228, 3);
    expect(share(6)).toBeCloseTo(0.619018745729 - 0.44210121667, 3);
    expect(share(14)).toBeCloseTo(0.4421012167 - 0.1557130189, 3);
    expect(fit.masses.reduce((s, m) => s + m.share, 0)).toBeCloseTo(1, 9);
  });

  it('with known times it is Kaplan–Meier', () => {
    const rows = exact(aml.time, aml.event);
    const fit = turnbull(rows);
    for (const s of kaplanMeier(rows).steps)
      relative(1 - turnbullBy(fit, s.time).sure, s.survival, 1e-5);
  });

  it('empty, all waiting, one row', () => {
    expect(turnbull([]).masses).toEqual([]);
    expect(turnbullMedian(turnbull([{ left: 4, right: Infinity }]))).toBeNull();
    expect(turnbull([{ left: 2, right: 9 }]).masses).toEqual([{ from: 2, to: 9, share: 1 }]);
  });
});
