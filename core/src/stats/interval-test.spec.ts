import {
  chiSquareTest,
  correctedPowerOf,
  eachNeededExactly,
  exactPowerOf,
  intervalTest,
  randomFrom,
  type IntervalRow,
  type Timed,
} from '.';
import lung from './fixtures/lung.json';
import sixMp from './fixtures/six-mp.json';
import veteran from './fixtures/veteran.json';

const exact = (time: readonly number[], event: readonly number[]): Timed[] =>
  time.map((t, i) => (event[i] === 1 ? { left: t, right: t } : { left: t, right: Infinity }));
const grouped = (rows: readonly Timed[], group: readonly number[]): IntervalRow[] =>
  rows.map((r, i) => ({ ...r, group: group[i]! as 0 | 1 }));

describe('times that lie between two looks, compared', () => {
  // Log-rank statistics of R survival 3.5-3, survdiff (lung and veteran from memory): with known times the score test comes close to them.
  it.each([
    ['6-mercaptopurine', exact(sixMp.time, sixMp.event), sixMp.control, 16.7929409892],
    ['lung by sex', exact(lung.time, lung.event), lung.sex.map((s) => s - 1), 10.3267],
    [
      'veteran by treatment',
      exact(veteran.time, veteran.event),
      veteran.arm.map((t) => t - 1),
      0.0082,
    ],
  ] as const)('%s: as the log-rank test where times are known', (_name, rows, group, logRank) => {
    const { test } = intervalTest(grouped(rows, group));
    expect(Math.abs(test!.statistic - logRank)).toBeLessThan(0.15 * logRank + 0.05);
  });

  /** Roots at Weibull times of the same or another pace, seen at looks so many days apart, 40 or so watched 60 days. */
  const bench = (random: () => number, n: number, every: number, group: 0 | 1, pace = 1) => {
    const rows: IntervalRow[] = [];
    for (let i = 0; i < n; i++) {
      const roots = random() < 0.8 ? 20 * pace * (-Math.log(1 - random())) ** 0.4 : Infinity;
      const by = Math.ceil(roots / every) * every;
      rows.push(
        by <= 60 ? { left: by - every, right: by, group } : { left: 60, right: Infinity, group },
      );
    }
    return rows;
  };

  it('looking weekly or once is no difference: five in a hundred are called one', () => {
    const random = randomFrom(5);
    let called = 0;
    const RUNS = 600;
    for (let i = 0; i < RUNS; i++) {
      const rows = [...bench(random, 40, 6, 0), ...bench(random, 40, 60, 1)];
      const { test } = intervalTest(rows);
      if (test && test.p < 0.05) called++;
    }
    // Four standard errors of 5% of 600 are 3.6 points.
    expect(called / RUNS).toBeLessThan(0.086);
    expect(called / RUNS).toBeGreaterThan(0.014);
  });

  it('the same way looked at a week apart is no difference', () => {
    const rows: IntervalRow[] = [
      { left: 14, right: 21, count: 40, group: 0, weight: 0.2 },
      { left: 14, right: 28, count: 40, group: 1, weight: 0.2 },
    ];
    expect(intervalTest(rows).test?.p ?? 1).toBeGreaterThan(0.2);
  });

  it('half as fast again is found, by different calendars of looks too', () => {
    const random = randomFrom(6);
    let found = 0;
    for (let i = 0; i < 100; i++) {
      const { test, score } = intervalTest([
        ...bench(random, 90, 5, 0),
        ...bench(random, 90, 10, 1, 1.8),
      ]);
      if (test && test.p < 0.05 && score > 0) found++;
    }
    expect(found).toBeGreaterThan(75);
  });

  it('what shares a tray counts for less', () => {
    const rows = bench(randomFrom(7), 60, 5, 0).concat(bench(randomFrom(8), 60, 5, 1, 1.8));
    const alone = intervalTest(rows).test!;
    const alike = intervalTest(rows.map((r) => ({ ...r, weight: 0.25 }))).test!;
    expect(alike.statistic).toBeCloseTo(alone.statistic / 4, 9);
    expect(alike.p).toBeGreaterThan(alone.p);
  });

  it('groups that share no stratum, one group, nothing happened: no test, never NaN', () => {
    const row = (group: 0 | 1, stratum: string): IntervalRow => ({
      left: 3,
      right: 9,
      group,
      stratum,
    });
    expect(intervalTest([row(0, 'a'), row(1, 'b')]).test).toBeNull();
    expect(intervalTest([row(0, 'a')]).test).toBeNull();
    expect(intervalTest([]).test).toBeNull();
    const none = [0, 1].map((g) => ({ left: 9, right: Infinity, group: g as 0 | 1 }));
    expect(intervalTest(none).test).toBeNull();
    expect(() => intervalTest([{ left: 5, right: 3, group: 0 }])).toThrow(RangeError);
  });
});

describe('tails', () => {
  // Closed forms: of one degree of freedom erfc(√(x/2)), printed by the C library; of two e^(−x/2); of four e^(−x/2)(1 + x/2).
  it.each([
    [3.84, 1, 0.05004352124870509],
    [70.05, 1, 5.782013144601887e-17],
    [1300, 1, 1.1303728441492695e-284],
    [1383, 2, Math.exp(-1383 / 2)],
    [500, 4, Math.exp(-250) * 251],
    [0, 3, 1],
  ])('chi-square %d with %d degrees of freedom keeps its digits', (x, df, p) => {
    expect(Math.abs(chiSquareTest(x, df).p / p - 1)).toBeLessThan(1e-10);
  });
});

describe('trial sizes beyond enumeration', () => {
  it('the corrected formula follows the exact test: eighty asked is eighty at least', () => {
    const each = eachNeededExactly(0.8, 0.6, 0.7)!;
    expect(each).toBeGreaterThan(200);
    expect(exactPowerOf(each, each, 0.6, 0.7)).toBeGreaterThan(0.797);
    expect(
      Math.abs(correctedPowerOf(each, 0.6, 0.7) - exactPowerOf(each, each, 0.6, 0.7)),
    ).toBeLessThan(0.01);
    expect(correctedPowerOf(50, 0.6, 0.6)).toBe(0);
    // Fleiss, Levin & Paik 2003, table A.3 (from memory): 376 each for 0.6 against 0.7, 80% at 5%.
    expect(Math.abs(each - 376)).toBeLessThanOrEqual(2);
  });
});
