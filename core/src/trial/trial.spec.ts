import * as fc from 'fast-check';
import { addDays } from '../days';
import { fold, type BatchFields, type Counts, type State, type TrialFields } from '../journal';
import { batchPut, DAY, written } from '../testing/entries';
import {
  alphaOf,
  batchesFor,
  chanceToFind,
  eachFor,
  judgeAfter,
  judgeTrial,
  optionsOf,
  sizeWords,
  stopRules,
  trialLayout,
  verdictWords,
} from '.';

type Draft = Parameters<typeof written>[0];
const none: Counts = { rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0 };
const JUDGE = addDays(DAY, 42);

const DESIGN: TrialFields = {
  name: 'Cinnamon or not',
  factor: 'aid',
  arms: [
    { name: 'Nothing', value: 'none' },
    { name: 'Ground cinnamon', value: 'cinnamon' },
  ],
  taxon: 'echeveria-elegans',
  method: 'leaf',
  space: 'bench',
  each: 20,
  usual: 0.5,
  better: 0.9,
  power: 0.8,
  columns: 8,
  seed: 11,
  cutOn: DAY,
  judgeOn: JUDGE,
};

const put = (fields: TrialFields): Draft => ({
  kind: 'put',
  record: 'trial',
  key: 't1',
  day: DAY,
  fields,
});

/** The trial with its batches cut, and the tallies of each arm. */
function run(
  tallies: readonly (readonly {
    readonly on: number;
    readonly counts: Partial<Counts>;
    readonly heads?: number;
  }[])[],
  design: TrialFields = DESIGN,
  change: BatchFields = {},
): State {
  const planned = fold(written(put(design)));
  const fields = batchesFor(planned, planned.trials.get('t1')!)!;
  return fold(
    written(
      put(design),
      ...fields.flatMap((f, arm): Draft[] => [
        batchPut({ ...f, ...(arm === 1 ? change : {}) }, `arm${arm}`),
        { kind: 'cut', batch: `arm${arm}`, day: DAY },
        ...(tallies[arm] ?? []).map(({ on, counts, heads }): Draft => ({
          kind: 'tally',
          batch: `arm${arm}`,
          day: addDays(DAY, on),
          counts: { ...none, ...counts },
          ...(heads === undefined ? {} : { heads }),
        })),
      ]),
    ),
  );
}

const judged = (state: State, on: number) =>
  judgeTrial(state, state.trials.get('t1')!, addDays(DAY, on));

describe('the lot', () => {
  it('gives every arm its number, every row its share, and the same to the same seed', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 5 }),
        fc.integer({ min: 2, max: 40 }),
        fc.integer({ min: 2, max: 15 }),
        fc.nat(),
        (arms, each, columns, seed) => {
          const cells = trialLayout(arms, each, columns, seed);
          expect(cells).toHaveLength(arms * each);
          for (let arm = 0; arm < arms; arm++)
            expect(cells.filter((c) => c === arm)).toHaveLength(each);
          for (let at = 0; at < cells.length; at += columns) {
            const row = cells.slice(at, at + columns);
            const had = Array.from({ length: arms }, (_, a) => row.filter((c) => c === a).length);
            expect(Math.max(...had) - Math.min(...had)).toBeLessThanOrEqual(1);
          }
          expect(trialLayout(arms, each, columns, seed)).toEqual(cells);
        },
      ),
    );
    expect(trialLayout(2, 20, 8, 1)).not.toEqual(trialLayout(2, 20, 8, 2));
    expect(() => trialLayout(2, 3, 0, 1)).toThrow('columns');
  });

  it('favours no place: over many lots the first cell is as often of either arm', () => {
    const first = Array.from({ length: 2000 }, (_, seed) => trialLayout(2, 8, 4, seed)[0]!);
    const share = first.filter((arm) => arm === 1).length / first.length;
    expect(Math.abs(share - 0.5)).toBeLessThan(0.04);
  });
});

describe('the design', () => {
  it('says how many, with what chance, and shares the error out over more arms', () => {
    const ask = { arms: 2, usual: 0.5, better: 0.9, power: 0.8 };
    expect(eachFor(ask)).toBe(23);
    expect(chanceToFind(23, ask)).toBeGreaterThanOrEqual(0.8);
    expect(alphaOf(3)).toBe(0.025);
    expect(eachFor({ ...ask, arms: 3 })!).toBeGreaterThan(23);
    expect(eachFor({ ...ask, better: 0.5 })).toBeNull();
  });

  it('makes batches alike in all but what is tried, over all cells of the tray', () => {
    const state = fold(written(put(DESIGN)));
    const [a, b] = batchesFor(state, state.trials.get('t1')!)!;
    expect([a!.aid, b!.aid]).toEqual(['none', 'cinnamon']);
    const { aid: _a, cells: ca, arm: _x, ...restA } = a!;
    const { aid: _b, cells: cb, arm: _y, ...restB } = b!;
    expect(restA).toEqual(restB);
    expect([...ca!, ...cb!].sort((x, y) => x - y)).toEqual(Array.from({ length: 40 }, (_, i) => i));
    const lacks = fold(written(put({ ...DESIGN, each: null })));
    expect(batchesFor(lacks, lacks.trials.get('t1')!)).toBeNull();
  });

  it('is judged half as long again after the slow end of the window', () => {
    // Leaves of echeveria: 7–14 days (common practice, no source).
    expect(judgeAfter(fold([]), 'echeveria-elegans', 'leaf')).toBe(21);
    expect(judgeAfter(fold([]), 'nobody-knows-it', 'leaf')).toBe(90);
  });

  it('every factor has two ways or more', () => {
    for (const factor of [
      'school',
      'callusAt',
      'aid',
      'firstWater',
      'waterSchool',
      'mix',
      'container',
      'disinfectant',
    ] as const)
      expect(optionsOf(fold([]), factor).length).toBeGreaterThan(1);
  });
});

describe('the judgement', () => {
  it('waits: no score is read on the way, though one arm is ahead', () => {
    const state = run([[{ on: 14, counts: { rooted: 3 } }], [{ on: 14, counts: { rooted: 15 } }]]);
    const result = judged(state, 20);
    expect(result.stage).toBe('running');
    expect(result.against).toEqual([]);
    expect(result.arms.map((a) => a.rooted)).toEqual([3, 15]);
    expect(verdictWords(state.trials.get('t1')!, result)).toContain('judge later');
    expect(judged(state, 42).stage).toBe('due');
  });

  it('is given by the first count on the day or later, by hand: 10 of 20 against 18 of 20', () => {
    const state = run([
      [
        { on: 42, counts: { rooted: 10, rotted: 4 } },
        { on: 60, counts: { rooted: 16, rotted: 4 } },
      ],
      [{ on: 43, counts: { rooted: 18, rotted: 2 } }],
    ]);
    const result = judged(state, 70);
    expect(result.stage).toBe('judged');
    // What rooted after the judgement does not count.
    expect(result.arms.map((a) => [a.rooted, a.lost, a.waiting])).toEqual([
      [10, 4, 6],
      [18, 2, 0],
    ]);
    const [against] = result.against;
    expect(against!.difference!.difference).toBeCloseTo(0.4, 12);
    // fisher.test(matrix(c(18, 2, 10, 10), 2)) of R 4.2.2.
    expect(against!.p).toBeCloseTo(0.0138, 4);
    expect(against!.found).toBe(true);
    expect(verdictWords(state.trials.get('t1')!, result)).toBe(
      'Ground cinnamon rooted more often than nothing.',
    );
  });

  it('counts the young of each group by its day, and how many in all; roots alone are judged', () => {
    const state = run([
      [
        { on: 42, counts: { rooted: 6, pupped: 4 }, heads: 9 },
        { on: 60, counts: { rooted: 0, pupped: 10 }, heads: 20 },
      ],
      [{ on: 43, counts: { rooted: 10 } }],
    ]);
    const { arms, against } = judged(state, 70);
    expect(arms.map((a) => [a.rooted, a.young])).toEqual([
      [10, { pieces: 4, heads: 9 }],
      [10, { pieces: 0, heads: null }],
    ]);
    expect(against[0]!.found).toBe(false);
  });

  it('comes early where nothing waits, and finds nothing in alike arms', () => {
    const counts = { rooted: 14, rotted: 6 };
    const state = run([[{ on: 20, counts }], [{ on: 20, counts }]]);
    const result = judged(state, 21);
    expect(result.stage).toBe('judged');
    expect(result.against[0]!.found).toBe(false);
    expect(verdictWords(state.trials.get('t1')!, result)).toContain('no clear difference');
    expect(JSON.stringify(result.against)).not.toContain('NaN');
  });

  it('stops for harm only beyond Haybittle’s limit', () => {
    const bad = run([[{ on: 10, counts: { rotted: 1 } }], [{ on: 10, counts: { rotted: 13 } }]]);
    const result = judged(bad, 12);
    expect(result.harm.map((h) => h.arm)).toEqual([1]);
    expect(verdictWords(bad.trials.get('t1')!, result)).toContain('stop the trial for harm');
    const fair = run([[{ on: 10, counts: { rotted: 1 } }], [{ on: 10, counts: { rotted: 8 } }]]);
    expect(judged(fair, 12).harm).toEqual([]);
  });

  it('an arm that is told as a number was kept to', () => {
    for (const [factor, a, b] of [
      ['dryDays', '3', '7'],
      ['stemMm', '20', '40'],
      ['firmed', 'hard', 'loose'],
    ] as const) {
      const arms = [
        { name: 'One', value: a },
        { name: 'Other', value: b },
      ];
      expect(optionsOf(fold([]), factor).map((o) => o.value)).toEqual(
        expect.arrayContaining([a, b]),
      );
      expect(judged(run([[], []], { ...DESIGN, factor, arms }), 5).departures).toEqual([]);
    }
  });

  it('says where it was not run as designed', () => {
    const state = run([[], []], DESIGN, { aid: 'aloe', mother: 'm9' });
    expect(judged(state, 5).departures).toEqual([
      'The arms have different mothers.',
      'Ground cinnamon was not kept to: the batch says otherwise.',
    ]);
    expect(judged(run([[], []]), 5).departures).toEqual([]);
  });

  it('tells its rules and its size beforehand, and why it was given up', () => {
    const state = run([[], []], { ...DESIGN, stopped: 'Tray fell off the shelf' });
    const trial = state.trials.get('t1')!;
    expect(stopRules(trial, (d) => d).join(' ')).toMatch(
      /2026-04-12 at the latest.*5 times in 100.*harm only/,
    );
    expect(sizeWords(trial)).toMatch(/^20 each find 50% against 90% with a chance of \d\d%\.$/);
    expect(verdictWords(trial, judged(state, 9))).toBe('Given up: Tray fell off the shelf');
    const planned = fold(written(put(DESIGN)));
    expect(judgeTrial(planned, planned.trials.get('t1')!, DAY).stage).toBe('planned');
  });
});
