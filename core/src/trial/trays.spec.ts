import { addDays } from '../days';
import { fold, type Batch, type State, type TrialFields } from '../journal';
import { fisherP, randomFrom } from '../stats';
import { DAY, written } from '../testing/entries';
import {
  alphaOf,
  batchesFor,
  chanceByTrays,
  HARM,
  judgeTrial,
  leastTrays,
  lossesByTrays,
  needsTrays,
  perTrayOf,
  stopRules,
  traysFor,
  traysOf,
  trayTest,
  type TrayCount,
} from '.';

/** A tray of ten whose cuttings have a correlation: each that rooted makes the next likelier (Pólya’s urn, beta-binomial). */
function trayOf(mean: number, correlation: number, random: () => number): TrayCount {
  const worth = correlation === 0 ? 1e9 : 1 / correlation - 1;
  let rooted = 0;
  for (let i = 0; i < 10; i++) if (random() < (mean * worth + rooted) / (worth + i)) rooted++;
  return { rooted, stuck: 10 };
}
const traysDrawn = (
  n: number,
  mean: number,
  correlation: number,
  random: () => number,
): TrayCount[] => Array.from({ length: n }, () => trayOf(mean, correlation, random));

describe('a trial by trays', () => {
  it('needs four in each of two arms, five in each of three, for anything to be told', () => {
    expect([2, 3, 4].map(leastTrays)).toEqual([4, 5, 5]);
    expect(needsTrays('mix')).toBe(true);
    expect(needsTrays('aid')).toBe(false);
    expect(needsTrays(undefined)).toBe(false);
  });

  // R 4.2.2, wilcox.test(c(1,2,3,5), c(4,6,7,8)): W = 1, p = 0.05714; on ranks the two tests are one.
  it('agrees with the exact rank test where shares are ranks', () => {
    const of = (ranks: number[]) => ranks.map((rooted) => ({ rooted, stuck: 10 }));
    expect(trayTest(of([1, 2, 3, 5]), of([4, 6, 7, 8]), 2).p).toBeCloseTo(4 / 70, 9);
    expect(trayTest(of([1, 2, 3, 4]), of([5, 6, 7, 8]), 2).p).toBeCloseTo(2 / 70, 9);
  });

  it('with two or three trays nothing is told, however far they lie apart', () => {
    for (const n of [1, 2, 3]) {
      const side = (rooted: number) => Array.from({ length: n }, () => ({ rooted, stuck: 10 }));
      expect(trayTest(side(10), side(0), 2)).toMatchObject({ enough: false, p: 1, least: 4 });
    }
    const empty = Array.from({ length: 5 }, () => ({ rooted: 0, stuck: 0 }));
    expect(trayTest(empty, empty, 2)).toMatchObject({ enough: false, difference: null });
  });

  it('its difference is that of the mean shares, with a range that holds it', () => {
    const side = (...rooted: number[]) => rooted.map((r) => ({ rooted: r, stuck: 10 }));
    const { difference } = trayTest(side(8, 7, 9, 8), side(4, 5, 3, 4), 2);
    expect(difference!.difference).toBeCloseTo(0.4, 9);
    expect(difference!.low).toBeGreaterThan(0.2);
    expect(difference!.high).toBeLessThan(0.6);
  });

  // Alike arms of four trays of ten, 1,500 benches each, seeded: Fisher's test by cuttings calls them different far
  // more often than the five of a hundred it says.
  it.each([0, 0.1, 0.3])(
    'of alike arms it calls at most 6 in 100 different, at a correlation of %d',
    (rho) => {
      const random = randomFrom(3);
      let [byTrays, byCuttings] = [0, 0];
      for (let n = 0; n < 1500; n++) {
        const [a, b] = [traysDrawn(4, 0.6, rho, random), traysDrawn(4, 0.6, rho, random)];
        if (trayTest(a, b, 2).p <= alphaOf(2)) byTrays++;
        const sum = (side: TrayCount[]) => {
          const yes = side.reduce((s, t) => s + t.rooted, 0);
          return { yes, no: 40 - yes };
        };
        if ((fisherP({ a: sum(a), b: sum(b) }) ?? 1) <= 0.05) byCuttings++;
      }
      expect(byTrays / 1500).toBeLessThanOrEqual(0.06);
      if (rho === 0.3) expect(byCuttings / 1500).toBeGreaterThan(0.2);
    },
  );

  it('finds what it was made for at least as often as it says', () => {
    const size = { arms: 2, usual: 0.5, better: 0.85, power: 0.8 };
    for (const rho of [0.02, 0.1]) {
      const trays = traysFor(size, 10, rho)!;
      const random = randomFrom(11);
      let found = 0;
      for (let n = 0; n < 300; n++)
        if (
          trayTest(traysDrawn(trays, 0.85, rho, random), traysDrawn(trays, 0.5, rho, random), 2)
            .p <= 0.05
        )
          found++;
      expect(found / 300).toBeGreaterThanOrEqual(0.8);
    }
    expect(traysFor(size, 10, 0.2)!).toBeGreaterThan(traysFor(size, 10, 0.05)!);
    // Fuller trays tell little more once their cuttings share their fate.
    expect(traysFor(size, 100, 0.2)!).toBeGreaterThan(traysFor(size, 10, 0.2)! / 2);
    expect(traysFor({ ...size, better: 0.51 }, 10, 0.2)).toBeNull();
    expect(traysFor({ ...size, better: 0.5 }, 10, 0.2)).toBeNull();
  });
});

describe('harm, by trays', () => {
  const loses = (...lost: number[]) => lost.map((n) => ({ lost: n, stuck: 10 }));

  // Alike groups, 2,000 seeded pairs each: at most 2 in 1,000 stop where one in 1,000 is said.
  it.each([0, 0.1, 0.3])('stops alike groups hardly ever, at a correlation of %d', (rho) => {
    const random = randomFrom(17);
    let stopped = 0;
    for (let n = 0; n < 2000; n++) {
      const side = () =>
        traysDrawn(5, 0.35, rho, random).map((t) => ({ lost: t.rooted, stuck: t.stuck }));
      if (lossesByTrays(side(), side()) < HARM) stopped++;
    }
    expect(stopped / 2000).toBeLessThanOrEqual(0.002);
  });

  it('stops where whole trays are lost on one side, and not for one bad tray', () => {
    expect(lossesByTrays(loses(10, 9, 10, 10), loses(0, 0, 1, 0))).toBeLessThan(HARM);
    expect(lossesByTrays(loses(10, 0, 1, 0), loses(0, 0, 1, 0))).toBeGreaterThan(0.1);
    expect(lossesByTrays(loses(10), loses(0))).toBe(1);
    expect(lossesByTrays(loses(3, 3), loses(3, 3))).toBe(1);
  });

  it('the chance by trays is that for which trays are asked', () => {
    const size = { arms: 2, usual: 0.5, better: 0.85, power: 0.8 };
    for (const rho of [0.02, 0.1, 0.3]) {
      const trays = traysFor(size, 10, rho)!;
      expect(chanceByTrays(trays, size, 10, rho)).toBeGreaterThanOrEqual(0.8 - 1e-9);
      if (trays > leastTrays(2)) expect(chanceByTrays(trays - 1, size, 10, rho)).toBeLessThan(0.8);
    }
    expect(chanceByTrays(3, size, 10, 0.1)).toBe(0);
  });
});

const DESIGN: TrialFields = {
  name: 'Grit or half',
  factor: 'mix',
  arms: [
    { name: 'Grit', value: 'all-mineral' },
    { name: 'Half and half', value: 'half-and-half' },
  ],
  taxon: 'echeveria-elegans',
  method: 'crown',
  space: 'bench',
  each: 40,
  trays: 4,
  usual: 0.5,
  better: 0.9,
  power: 0.8,
  columns: 8,
  seed: 5,
  cutOn: DAY,
  judgeOn: addDays(DAY, 42),
};

/** The trial cut and counted: so many of ten rooted in each tray of an arm, in turn. */
function counted(
  rooted: readonly (readonly number[])[],
  design = DESIGN,
  on = addDays(DAY, 42),
  /** Those that do not rot wait still. */
  early = false,
): State {
  const put = { kind: 'put', record: 'trial', key: 't1', day: DAY, fields: design } as const;
  const planned = fold(written(put));
  const fields = batchesFor(planned, planned.trials.get('t1')!)!;
  const turn = rooted.map(() => 0);
  return fold(
    written(
      put,
      ...fields.flatMap((f, i) => {
        const key = `b${i}`;
        const yes = rooted[f.arm!]![turn[f.arm!]!++]!;
        const counts = { rooted: early ? 0 : yes, pupped: 0, rotted: 10 - yes, dried: 0, lost: 0 };
        return [
          { kind: 'put', record: 'batch', key, day: DAY, fields: f } as const,
          { kind: 'cut', batch: key, day: DAY } as const,
          { kind: 'tally', batch: key, day: on, counts } as const,
        ];
      }),
    ),
  );
}
const judged = (state: State) => judgeTrial(state, state.trials.get('t1')!, addDays(DAY, 42));

describe('its trays on the bench', () => {
  it('are batches of their own: each arm in every row of places, by lot', () => {
    const state = counted([
      [5, 5, 5, 5],
      [5, 5, 5, 5],
    ]);
    const batches: readonly Batch[] = [...state.batches.values()];
    expect(batches).toHaveLength(8);
    expect(new Set(batches.map((b) => b.place)).size).toBe(8);
    for (const b of batches) expect(b).toMatchObject({ count: 10, trial: 't1' });
    const trial = state.trials.get('t1')!;
    const lot = traysOf(trial);
    for (let i = 0; i < 8; i += 2) expect(lot[i]).not.toBe(lot[i + 1]);
    expect(perTrayOf(trial)).toBe(10);
    expect(perTrayOf({ ...trial, trays: undefined })).toBe(10);
    expect(traysOf({ ...trial, arms: undefined })).toEqual([]);
    expect(judgeTrial(state, { ...trial, arms: undefined }, DAY).arms).toEqual([]);
  });

  it('are judged as trays, and found where all of one arm did better', () => {
    const result = judged(
      counted([
        [2, 3, 2, 4],
        [9, 8, 10, 8],
      ]),
    );
    expect(result.stage).toBe('judged');
    expect(result.departures).toEqual([]);
    expect(result.arms.map((a) => [a.stuck, a.rooted])).toEqual([
      [40, 11],
      [40, 35],
    ]);
    const [against] = result.against;
    expect(against).toMatchObject({ found: true, rows: null, trays: { trays: [4, 4] } });
    expect(against!.p).toBeCloseTo(2 / 70, 9);
    expect(against!.difference!.difference).toBeCloseTo(0.6, 9);
  });

  it('one bad tray that cuttings would have made much of tells nothing', () => {
    const { against } = judged(
      counted([
        [8, 8, 7, 0],
        [8, 9, 8, 8],
      ]),
    );
    expect(against[0]).toMatchObject({ found: false });
    expect(fisherP({ a: { yes: 33, no: 7 }, b: { yes: 23, no: 17 } })!).toBeLessThan(0.05);
  });

  it('are stopped on the way where one way loses whole trays', () => {
    const on = addDays(DAY, 20);
    const kept = { ...DESIGN, judgeOn: addDays(DAY, 60) };
    const going = (rooted: readonly (readonly number[])[]) => {
      const state = counted(rooted, kept, on, true);
      return judgeTrial(state, { ...state.trials.get('t1')! }, on);
    };
    const bad = going([
      [10, 10, 10, 9],
      [0, 0, 1, 0],
    ]);
    expect(bad).toMatchObject({ stage: 'running', harm: [{ arm: 1 }] });
    expect(
      going([
        [10, 8, 7, 9],
        [9, 0, 9, 8],
      ]).harm,
    ).toEqual([]);
  });

  it('two trays in each arm are too few, and that is said', () => {
    const design = { ...DESIGN, trays: 2, each: 20 };
    const result = judged(
      counted(
        [
          [0, 0],
          [10, 10],
        ],
        design,
      ),
    );
    expect(result.against[0]).toMatchObject({ found: false, trays: { enough: false, least: 4 } });
    expect(stopRules({ id: 't1', ...design } as never, (d) => d).join()).not.toContain('Fisher');
  });
});
