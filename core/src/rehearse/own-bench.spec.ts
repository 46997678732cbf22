import { addDays } from '../days';
import { demoJournal } from '../demo';
import { fold, type BatchFields, type Counts, type State } from '../journal';
import { holdForecasts } from '../ledger';
import { randomFrom } from '../stats';
import { DAY, FIELDS, batchPut, written } from '../testing/entries';
import {
  asItWent,
  bestOf,
  calibrateRot,
  forecastOf,
  forecastTogether,
  luckOf,
  playBench,
  rehearse,
  rehearsing,
  rotCase,
  rotCases,
  runBench,
  USUAL_WEATHER,
  whatIf,
  type Outcome,
  type RotCase,
  type Strategy,
} from '.';

type Draft = Parameters<typeof written>[0];
const none: Counts = { rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0 };
const ROOM: Draft = {
  kind: 'put',
  record: 'space',
  key: 'bench',
  day: DAY,
  fields: { name: 'Bench', tempC: 22, rh: 0.55 },
};
const SET: BatchFields = {
  ...FIELDS,
  count: 20,
  widthMm: 12,
  container: 'pot-7',
  mix: 'half-and-half',
};

interface Told {
  readonly set?: number;
  readonly water?: readonly number[];
  readonly looks?: readonly (readonly [number, Partial<Counts>])[];
  readonly fields?: BatchFields;
}
const batch = (key: string, { set, water = [], looks = [], fields = {} }: Told): Draft[] => {
  const on = (n: number) => addDays(DAY, n);
  return [
    batchPut({ ...SET, ...fields }, key),
    { kind: 'cut', batch: key, day: DAY },
    ...(set === undefined ? [] : [{ kind: 'stuck', batch: key, day: on(set) } as Draft]),
    ...water.map((n): Draft => ({ kind: 'watered', batch: key, day: on(n), how: 'poured' })),
    ...looks.map(([n, counts]): Draft => ({
      kind: 'tally',
      batch: key,
      day: on(n),
      counts: { ...none, ...counts },
    })),
  ];
};
const bench = (...drafts: Draft[][]): State => fold(written(ROOM, ...drafts.flat()));
const went = (state: State, key: string, days = 60): Strategy => {
  const made = asItWent(state, state.batches.get(key)!, days);
  if ('problem' in made) throw new Error(made.problem);
  return made;
};

describe('a batch as it went', () => {
  it('is set and watered on its own days, and by no school', () => {
    const state = bench(batch('b1', { set: 4, water: [6, 20], looks: [[30, { rooted: 3 }]] }));
    const mine = went(state, 'b1');
    expect(mine.dryDays).toBe(4);
    const [luck] = luckOf(1, 20, 1, 60);
    expect(playBench(mine, luck!, USUAL_WEATHER, 60).waterings).toBe(2);
  });

  it('what cannot be played says why', () => {
    const problem = (told: Told, extra: Draft[] = []) => {
      const state = bench(batch('b1', told), extra);
      return asItWent(state, state.batches.get('b1')!, 30);
    };
    expect(problem({ fields: { container: null } })).toEqual({ problem: 'no pot' });
    expect(problem({ fields: { mix: 'mud' } })).toEqual({ problem: 'no mix' });
    expect(problem({ fields: { taxon: 'oak' } })).toEqual({ problem: 'unknown plant' });
    expect(problem({ fields: { course: 'water' } })).toEqual({ problem: 'not set in a mix' });
    expect(
      problem({}, [{ kind: 'reopened', batch: 'b1', day: addDays(DAY, 9), why: 'recut' }]),
    ).toEqual({ problem: 'cut again' });
  });
});

describe('somebody who waters when it comes to mind', () => {
  it('waters unevenly, about as often as is said, the same by the same luck', () => {
    const state = bench(batch('b1', { set: 0 }));
    const strategy: Strategy = {
      ...went(state, 'b1', 365),
      past: undefined,
      dryDays: 0,
      first: { day: 0 },
      then: { aboutEveryDays: 11 },
    };
    const [luck] = luckOf(5, 0, 1, 365);
    const days: number[] = [];
    for (let day = 1; day <= 365; day++)
      if (runBench(strategy, luck!, USUAL_WEATHER, day).waterings > days.length) days.push(day - 1);
    const gaps = days.slice(1).map((d, i) => d - days[i]!);
    expect(new Set(gaps).size).toBeGreaterThan(4);
    expect(Math.min(...gaps)).toBeGreaterThanOrEqual(5);
    expect(Math.max(...gaps)).toBeLessThanOrEqual(17);
    const mean = gaps.reduce((a, b) => a + b) / gaps.length;
    expect(Math.abs(mean - 11)).toBeLessThan(1.6);
  });
});

describe('how ready wounds rot here', () => {
  it('is as assumed, with its range, while nothing tells', () => {
    const { factor, low, high, told, batches } = calibrateRot([]);
    expect([factor, told, batches]).toEqual([1, 0, 0]);
    // 0.03–0.25 a day round 0.1: the range of the assumption.
    expect(low).toBeCloseTo(0.345, 2);
    expect(high).toBeCloseTo(2.9, 1);
  });

  it('finds a known truth again from what rotted, and is surer the more there is', () => {
    const random = randomFrom(7);
    const draw = (factor: number, batches: number): RotCase[] =>
      Array.from({ length: batches }, (_, i) => {
        const wet = i % 2 === 0 ? 0.4 : 0.02;
        const p = 0.02 + 0.98 * (1 - Math.exp(-(factor * wet + 0.01)));
        const rotted = Array.from({ length: 12 }).filter(() => random() < p).length;
        return {
          wounds: [{ weight: 1, wet, other: 0.01 }],
          cuttings: 12,
          rotted,
          early: i % 2 === 0,
        };
      });
    for (const truth of [0.5, 1, 2.5]) {
      const many = calibrateRot(draw(truth, 80));
      expect(Math.abs(Math.log(many.factor / truth))).toBeLessThan(0.4);
      expect(many.told).toBeGreaterThan(calibrateRot(draw(truth, 6)).told);
    }
    expect(calibrateRot(draw(1, 40)).early.cuttings).toBe(240);
  });

  it('eight ranges of ten hold the truth', () => {
    const random = randomFrom(11);
    let held = 0;
    for (let n = 0; n < 200; n++) {
      // Benches as the assumption says they are, their cuttings no more alike than it assumes.
      const factor = Math.exp(0.83 * normal(random));
      const cases = Array.from({ length: 10 }, (): RotCase => {
        const wet = 0.5 * random();
        const p = 0.02 + 0.98 * (1 - Math.exp(-factor * wet));
        return {
          wounds: [{ weight: 1, wet, other: 0 }],
          cuttings: 1,
          rotted: random() < p ? 1 : 0,
          early: null,
        };
      });
      const { low, high } = calibrateRot(cases);
      if (low <= factor && factor <= high) held++;
    }
    expect(held / 200).toBeGreaterThan(0.73);
    expect(held / 200).toBeLessThan(0.9);
  });

  it('a batch watered on its open wound went through more than one that waited', () => {
    const looks = [[40, { rooted: 10, rotted: 5 }]] as const;
    const state = bench(
      batch('early', { set: 0, water: [0, 3], looks }),
      batch('late', { set: 12, water: [16], looks }),
      batch('dry', { set: 0, looks }),
      batch('bare', { looks, fields: { container: null } }),
    );
    const wet = (key: string): number =>
      rotCase(state, state.batches.get(key)!)!.wounds.reduce((s, w) => s + w.weight * w.wet, 0);
    expect(wet('early')).toBeGreaterThan(0.1);
    expect(wet('late')).toBeLessThan(0.02);
    expect(rotCase(state, state.batches.get('early')!)!.early).toBe(true);
    expect(rotCase(state, state.batches.get('bare')!)).toBeNull();
    expect(rotCases(state)).toHaveLength(3);
    const many = (key: string, rotted: number) =>
      calibrateRot(
        Array.from({ length: 8 }, () => ({
          ...rotCase(state, state.batches.get(key)!)!,
          rotted,
        })),
      ).factor;
    // As many lost of early ones as of late ones: wounds must be readier than was thought, and the other way round.
    expect(many('early', 20)).toBeGreaterThan(1.2);
    expect(many('early', 0)).toBeLessThan(0.7);
  });
});

describe('what if', () => {
  it('an open batch: what was done stays, from today on it goes several ways', () => {
    const state = bench(batch('b1', { set: 3, water: [5], looks: [[9, { rotted: 2 }]] }));
    const asked = whatIf(state, state.batches.get('b1')!, addDays(DAY, 10));
    if ('problem' in asked) throw new Error(asked.problem);
    expect(asked.strategies.map((s) => s.name)).toEqual(['course', 'now', 'weekly', 'roots']);
    expect([asked.since, asked.pieces, asked.came]).toEqual([10, 18, null]);
    for (const { past, dryDays } of asked.strategies) {
      expect(dryDays).toBe(3);
      expect(past!.watered[0]).toEqual({ day: 5, how: 'poured' });
    }
    const played = rehearse({ ...asked, cuttings: 400, seed: 1 });
    if (!played.ok) throw new Error(played.problem);
    // On the same past the same cuttings wait today.
    const all = played.outcomes.map((o) =>
      [o.rooted, o.rotted, o.dried, o.waiting].reduce((s, e) => s + e.share, 0),
    );
    for (const sum of all) expect(sum).toBeCloseTo(1, 9);
    const [course, , weekly, roots] = played.outcomes;
    expect(weekly!.waterings).toBeGreaterThan(course!.waterings);
    expect(roots!.waterings).toBeLessThanOrEqual(course!.waterings);
  });

  it('one not set yet: watered today it rots the more for its fresh wound', () => {
    const state = bench(batch('b1', {}));
    const asked = whatIf(state, state.batches.get('b1')!, addDays(DAY, 1));
    if ('problem' in asked) throw new Error(asked.problem);
    const played = rehearse({ ...asked, cuttings: 600, seed: 2 });
    if (!played.ok) throw new Error(played.problem);
    const [course, now] = played.outcomes;
    expect(asked.strategies[1]!.dryDays).toBe(1);
    expect(now!.rotted.share).toBeGreaterThan(course!.rotted.share);
    expect(course!.days!.early).toBeGreaterThan(1);
  });

  it('a settled one: the same days told again, beside what really came', () => {
    const looks = [[50, { rooted: 12, rotted: 8 }]] as const;
    const state = bench(batch('b1', { set: 0, water: [0, 7, 14], looks }));
    const asked = whatIf(state, state.batches.get('b1')!, addDays(DAY, 80));
    if ('problem' in asked) throw new Error(asked.problem);
    expect(asked.strategies.map((s) => s.name)).toEqual(['went', 'course', 'weekly', 'roots']);
    expect([asked.since, asked.days, asked.came!.rotted]).toEqual([0, 50, 8]);
    const [went, course] = asked.strategies;
    expect(went!.dryDays).toBe(0);
    expect(course!.dryDays).toBeGreaterThan(3);
    expect(course!.past).toBeUndefined();
    const played = rehearse({ ...asked, cuttings: 600, seed: 1 });
    if (!played.ok) throw new Error(played.problem);
    expect(played.outcomes[1]!.rotted.share).toBeLessThan(played.outcomes[0]!.rotted.share);
  });

  it('one that waits for longer than a year is not played on', () => {
    const state = bench(batch('b1', { set: 3 }));
    expect(whatIf(state, state.batches.get('b1')!, addDays(DAY, 400))).toEqual({
      problem: 'a year past',
    });
  });

  it('watered today, then weekly: weekly also where its course waits for roots', () => {
    const state = bench(batch('b1', { set: 3, fields: { firstWater: 'roots-show' } }));
    const asked = whatIf(state, state.batches.get('b1')!, addDays(DAY, 10));
    if ('problem' in asked) throw new Error(asked.problem);
    const played = rehearse({ ...asked, cuttings: 100, seed: 1 });
    if (!played.ok) throw new Error(played.problem);
    // Ninety days of Sundays.
    expect(played.outcomes[2]!.waterings).toBe(13);
  });

  it('nothing to try, nothing counted: says so', () => {
    const of = (told: Told) => {
      const state = bench(batch('b1', told));
      return whatIf(state, state.batches.get('b1')!, addDays(DAY, 60));
    };
    expect(of({ set: 3, looks: [[30, { rooted: 10, rotted: 10 }]] })).toHaveProperty('came');
    expect(of({ set: 3, fields: { mix: null } })).toEqual({ problem: 'no mix' });
    const state = bench(batch('b1', { set: 3, looks: [[30, { rooted: 10 }]] }), [
      { kind: 'parted', batch: 'b1', day: addDays(DAY, 31), why: 'given', taken: { waiting: 10 } },
    ]);
    expect(whatIf(state, state.batches.get('b1')!, addDays(DAY, 60))).toEqual({
      problem: 'all have roots',
    });
  });

  it('every batch of the demo is answered, or says why', () => {
    const today = '2026-04-09';
    const state = fold(demoJournal(today));
    const answers = [...state.batches.values()].map((b) => whatIf(state, b, today));
    expect(answers.filter((a) => !('problem' in a)).length).toBeGreaterThan(5);
    for (const asked of answers)
      if (!('problem' in asked)) {
        const played = rehearse({ ...asked, cuttings: 20, seed: 1 });
        expect(played).toMatchObject({ ok: true });
      }
  });
});

describe('the best of several ways', () => {
  const way = (share: number, waiting = 0) =>
    ({ rooted: { share, se: 0.01 }, waiting: { share: waiting, se: 0.01 } }) as Outcome;
  const apart = (b: number, share: number, se: number) => ({ a: 0, b, rooted: { share, se } });
  const best = (outcomes: readonly Outcome[], ...differences: ReturnType<typeof apart>[]) =>
    bestOf({ ok: true, cuttings: 100, outcomes, differences });

  it('is the first, unless another is better by more than chance', () => {
    expect(best([way(0.9), way(0.91)], apart(1, -0.01, 0.01))).toBe(0);
    expect(best([way(0.7), way(0.91)], apart(1, -0.21, 0.02))).toBe(1);
    expect(best([way(0.9), way(0.7)], apart(1, 0.2, 0.02))).toBe(0);
    expect(best([way(0.6), way(0.8), way(0.9)], apart(1, -0.2, 0.02), apart(2, -0.3, 0.02))).toBe(
      2,
    );
  });

  it('is none that loses more than it roots: what waits alive may still root', () => {
    expect(best([way(0.18, 0.8), way(0.22, 0.54)], apart(1, -0.04, 0.01))).toBe(0);
    expect(best([way(0.18, 0.8), way(0.32, 0.62)], apart(1, -0.14, 0.01))).toBe(1);
  });
});

describe('bench by bench', () => {
  it('tells how far it is, and comes to the very same', () => {
    const state = bench(batch('b1', { set: 0 }));
    const input = { strategies: [went(state, 'b1')], cuttings: 50, days: 30, seed: 3, benches: 5 };
    const play = rehearsing(input);
    const far: number[] = [];
    for (let step = play.next(); ; step = play.next())
      if (step.done) {
        expect(step.value).toEqual(rehearse(input));
        break;
      } else far.push(step.value);
    expect(far).toEqual([0.2, 0.4, 0.6, 0.8, 1]);
  });
});

describe('a forecast', () => {
  const state = bench(batch('b1', { set: 5, water: [9] }));
  const strategy: Strategy = { ...went(state, 'b1', 120), past: undefined, first: { day: 9 } };
  const sure = { factor: 1, low: 1, high: 1 };
  const input = { strategy, cuttings: 12, days: 90, seed: 4, rot: sure };

  it('has a range that holds what it says, and is wider where less is known', () => {
    const known = forecastOf(input);
    const guessed = forecastOf({ ...input, rot: { factor: 1, low: 0.2, high: 5 } });
    if ('problem' in known || 'problem' in guessed) throw new Error('it can be');
    expect(known.low).toBeLessThanOrEqual(known.rooted);
    expect(known.high).toBeGreaterThanOrEqual(known.rooted);
    expect(guessed.high - guessed.low).toBeGreaterThanOrEqual(known.high - known.low);
    expect(known.rooted + known.rotted + known.dried).toBeLessThanOrEqual(1 + 1e-9);
    const one = forecastOf({ ...input, cuttings: 1 });
    if ('problem' in one) throw new Error('it can be');
    expect(one.low).toBeLessThanOrEqual(one.rooted);
    expect(one.high).toBeGreaterThanOrEqual(one.rooted);
    expect(forecastOf(input)).toEqual(known);
    expect(forecastOf({ ...input, strategy: { ...strategy, first: { day: 1 } } })).toEqual({
      problem: 'water before it is set',
    });
    expect(() => forecastOf({ ...input, cuttings: 0 })).toThrow(RangeError);
  });

  it('eight batches of ten played by the same truth lie in its range', () => {
    const said = forecastOf(input);
    if ('problem' in said) throw new Error('it can be');
    const held = luckOf(99, 12 * 300, 300, 90)
      .map((luck) => runBench(strategy, luck, USUAL_WEATHER, 90).fates)
      .map((f) => f.filter((x) => x.rooted >= 0 && x.rotted < 0 && x.dried < 0).length / 12)
      .filter((share) => share >= said.low && share <= said.high).length;
    expect(held / 300).toBeGreaterThan(0.76);
  });
});

describe('forecasts held against what came', () => {
  const said = (key: string, rooted: number, low: number, high: number): Draft => ({
    kind: 'forecast',
    batch: key,
    day: DAY,
    days: 60,
    cuttings: 20,
    rooted,
    low,
    high,
    rotted: 1 - rooted,
    dried: 0,
  });

  it('each by itself, and all of them together', () => {
    const state = bench(
      batch('a', { set: 3, looks: [[50, { rooted: 15, rotted: 5 }]] }),
      batch('b', { set: 3, looks: [[50, { rooted: 4, rotted: 16 }]] }),
      batch('c', { set: 3, looks: [[20, { rooted: 4 }]] }),
      [said('a', 0.8, 0.6, 0.95), said('b', 0.7, 0.5, 0.9), said('c', 0.9, 0.8, 1)],
    );
    const held = holdForecasts(state, addDays(DAY, 55));
    const by = (key: string) => held.forecasts.find((f) => f.batch === key)!;
    expect([by('a').came, by('a').held]).toEqual([15, true]);
    expect([by('b').came, by('b').held]).toEqual([4, false]);
    expect([by('c').came, by('c').held]).toEqual([null, null]);
    expect(held.ranges).toMatchObject({ held: 1, of: 2, share: 0.5 });
    expect(held.bins.map((b) => [b.from, b.forecasts, b.came.share])).toEqual([
      [0.6, 1, 0.2],
      [0.8, 1, 0.75],
    ]);
    for (const { came } of held.bins) {
      expect(came.low).toBeLessThan(came.share);
      expect(came.high).toBeGreaterThan(came.share);
    }
    // Past its last day and counted since, one that still waits is told by what has roots.
    const later = bench(batch('c', { set: 3, looks: [[70, { rooted: 17 }]] }), [
      said('c', 0.9, 0.8, 1),
    ]);
    expect(holdForecasts(later, addDays(DAY, 71)).forecasts[0]).toMatchObject({
      came: 17,
      held: true,
    });
  });

  it('none kept, none held', () => {
    expect(holdForecasts(bench(batch('a', {})), DAY)).toEqual({
      forecasts: [],
      ranges: null,
      bins: [],
    });
  });
});

/** Box & Muller 1958. */
function normal(random: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

describe('several ways together', () => {
  const rot = calibrateRot([]);
  const state = bench(batch('b1', {}), batch('b2', { fields: { method: 'leaf', widthMm: 3 } }));
  const part = (key: string, cuttings: number) => {
    const strategy: Strategy = {
      ...went(state, key, 90),
      past: undefined,
      dryDays: 3,
      first: { day: 8 },
      then: { school: 'top-25', unrooted: 'sip', laid: false, young: null },
    };
    return { strategy, cuttings, days: 90, seed: 5, rot };
  };
  const said = (...parts: ReturnType<typeof part>[]) => {
    const is = forecastTogether(parts);
    if ('problem' in is) throw new Error(is.problem);
    return is;
  };

  it('come to what each comes to, by how many there are of it, and are surer than either', () => {
    const [crowns, leaves] = [said(part('b1', 10)), said(part('b2', 30))];
    const both = said(part('b1', 10), part('b2', 30));
    expect(both.cuttings).toBe(40);
    expect(both.rooted).toBeGreaterThan(Math.min(crowns.rooted, leaves.rooted));
    expect(both.rooted).toBeLessThan(Math.max(crowns.rooted, leaves.rooted));
    expect(Math.abs(both.rooted - (10 * crowns.rooted + 30 * leaves.rooted) / 40)).toBeLessThan(
      0.05,
    );
    expect(both.high - both.low).toBeLessThan(leaves.high - leaves.low + 0.02);
    expect(said(part('b1', 10))).toEqual(forecastOf(part('b1', 10)));
  });

  it('of none, and of a part without a cutting, nothing is said', () => {
    expect(() => forecastTogether([])).toThrow(RangeError);
    expect(() => forecastTogether([part('b1', 0)])).toThrow(RangeError);
    const never = part('b1', 3);
    expect(
      forecastTogether([
        { ...never, strategy: { ...never.strategy, dryDays: 9, first: { day: 2 } } },
      ]),
    ).toEqual({ problem: 'water before it is set' });
  });
});
