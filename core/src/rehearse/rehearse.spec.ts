import { plannedClock } from '../bench';
import { addDays, daysBetween } from '../days';
import { fold, foldBatch, type BatchFields } from '../journal';
import { grownAs, growthOn, shareBy } from '../botany';
import { plantTime, timesBy } from '../learn';
import { careOf } from '../care';
import { DAY, FIELDS, written } from '../testing/entries';
import { doseOf, evenly, mobilityAt, runPot, type WaterCase } from '../water';
import { MOULD_HAZARD, ROT_Q10 } from './assumptions';
import {
  choose,
  CHOICES,
  luckOf,
  rehearse,
  runBench,
  strategyOf,
  strategyProblem,
  warmed,
  weatherAhead,
  whatMatters,
  weatherIn,
  weatherOf,
  USUAL_WEATHER,
  type BenchLuck,
  type Strategy,
  type Weather,
} from '.';

type Draft = Parameters<typeof written>[0];
const space = (key: string, tempC: number, rh: number): Draft => ({
  kind: 'put',
  record: 'space',
  key,
  day: DAY,
  fields: { name: key, tempC, rh },
});
const state = fold(
  written(
    space('bench', 22, 0.55),
    space('porch', 12, 0.82),
    space('dry', 26, 0.35),
    space('frost', 1, 0.8),
  ),
);
const plan = (over: BatchFields = {}): BatchFields => ({
  ...FIELDS,
  widthMm: 7,
  callusSpace: over.space ?? 'bench',
  container: 'pot-7',
  mix: 'half-and-half',
  disinfectant: 'alcohol',
  ...over,
});
const strategy = (over: BatchFields = {}, days = 120): Strategy => {
  const made = strategyOf(state, 'mine', plan(over), days);
  if ('problem' in made) throw new Error(made.problem);
  return made;
};
const STILL: Weather = { tempSd: 0, rhSd: 0, persistence: 0 };
/** A bench to which nothing happens but what is asked for. */
const charmed = (count: number, over: Partial<BenchLuck['cuttings'][number]> = {}): BenchLuck => ({
  normals: new Float64Array(900),
  pot: 0,
  pace: 0.5,
  chance: 0.5,
  rot: 0,
  whims: Float64Array.of(0.5),
  cuttings: Array.from({ length: count }, (_, i) => ({
    wound: 0,
    reserve: 20,
    roots: (i + 0.5) / count,
    dud: 1,
    infection: Infinity,
    ...over,
  })),
});

describe('a cutting, by closed forms', () => {
  it('without infection and thirst it roots by the Weibull of the plan', () => {
    const mine = { ...strategy(), startWetness: 0.5 };
    const { fates } = runBench(mine, charmed(1000), STILL, 60);
    let growth = 0;
    for (let day = 0; day < 45; day++) {
      growth += growthOn(grownAs(mine.taxon, 'crown'), {
        tempC: 22,
        dayHours: mine.place.dayHours[day],
      });
      const share = fates.filter((f) => f.rooted >= 0 && f.rooted <= day).length / 1000;
      expect(
        Math.abs(share - shareBy(plantTime(timesBy(mine.way, 'dried'), mine.way), growth)),
      ).toBeLessThan(0.05);
    }
  });

  it('a constant hazard h leaves e^(−ht)', () => {
    // Too cold for the clock, damper than mould needs, never set: an open wound under one hazard.
    const cold = { ...strategy(), dryDays: 200, first: { day: 200 } };
    const usual = Array.from({ length: 120 }, () => ({ tempC: 3, rh: 0.9 }));
    const mouldy: Strategy = { ...cold, place: { ...cold.place, usual } };
    const h = MOULD_HAZARD * ROT_Q10 ** (-19 / 10);
    const bench = charmed(2000);
    const cuttings = bench.cuttings.map((c, i) => ({
      ...c,
      infection: -Math.log(1 - (i + 0.5) / 2000),
    }));
    const { fates } = runBench(mouldy, { ...bench, cuttings }, STILL, 100);
    const rotted = fates.filter((f) => f.rotted >= 0).length / 2000;
    expect(Math.abs(rotted - (1 - Math.exp(-h * 100)))).toBeLessThan(0.002);
  });

  it('its pot is the pot of the advice, to nine digits', () => {
    const mine = {
      ...strategy(),
      first: { day: 5 },
      dryDays: 0,
      then: { school: 'top-25', unrooted: 'half', laid: false, young: null },
    } as const;
    // None ever roots: one habit from its first drink to the end.
    const run = runBench(mine, charmed(1, { dud: 0 }), STILL, 60);
    const dry = evenly(mine.column, mine.startWetness);
    const given: WaterCase = {
      id: 'x',
      column: mine.column,
      dryG: 1,
      emptyG: null,
      from: DAY,
      startWetness: mine.startWetness,
      evaporation: mine.place.evaporation,
      rainMm: [],
      cover: [],
      mobility: mine.place.usual.map((a) => mobilityAt(a.tempC)),
      warmer: { evaporation: 1, mobility: 1 },
      today: 0,
      waterings: [],
      wateredBefore: false,
      weighings: [],
      touches: [],
      school: 'top-25',
      regime: 'half',
      regimeAt: 0,
      rooted: false,
      sown: false,
      beside: false,
      pieces: 1,
      stemMm: mine.stemMm,
      feltMm: mine.feltMm,
      gateAt: null,
      firstAt: null,
      weanedAt: null,
      laid: false,
    };
    const until5 = runPot(given, { pace: 1, until: 6 });
    const ml = doseOf(mine.column, until5[5]?.wetness ?? dry, 'sip', given)!;
    const first = { ...given, waterings: [{ at: 5, manner: 'poured' as const, ml }] };
    const days = runPot(first, { pace: 1, until: 60, watersFrom: 6 });
    const drunk = days.reduce((sum, d) => sum + d.drankMl, 0) / 1000;
    expect(run.litres).toBeCloseTo(drunk, 9);
    expect(run.waterings).toBe(days.filter((d) => d.drankMl > 1e-9).length);
  });
});

describe('strategies on the same luck', () => {
  const rotted = (mine: Strategy, seed: number): number => {
    const played = rehearse({ strategies: [mine], cuttings: 400, days: 90, seed });
    if (!played.ok) throw new Error(played.problem);
    return played.outcomes[0]!.rotted.share;
  };

  it('earlier water, a wider wound, a colder damper place: never fewer rotted', () => {
    for (const seed of [1, 2, 3]) {
      const at = (day: number): number =>
        rotted({ ...strategy(), dryDays: 0, first: { day } }, seed);
      const days = [0, 2, 4, 8].map(at);
      days.forEach((r, i) => i > 0 && expect(r).toBeLessThanOrEqual(days[i - 1]! + 1e-12));
      const wide = [4, 8, 16, 32].map((widthMm) =>
        rotted({ ...strategy(), widthMm, dryDays: 0, first: { day: 1 } }, seed),
      );
      wide.forEach((r, i) => i > 0 && expect(r).toBeGreaterThanOrEqual(wide[i - 1]! - 1e-12));
    }
  });

  it('the same seed the same figures, another seed others', () => {
    const play = (seed: number) =>
      rehearse({ strategies: [strategy()], cuttings: 500, days: 60, seed });
    expect(play(7)).toEqual(play(7));
    expect(play(8)).not.toEqual(play(7));
    // More cuttings change none of the others.
    const [few, many] = [luckOf(3, 40, 4, 30), luckOf(3, 80, 4, 30)];
    few.forEach((b, i) => expect(many[i]!.cuttings.slice(0, 10)).toEqual(b.cuttings));
  });

  it('a strategy against itself differs by nothing, and the error of a difference is the smaller for shared luck', () => {
    const [mine, bold] = [strategy(), { ...strategy(), dryDays: 0, first: { day: 1 } }];
    const played = rehearse({ strategies: [mine, mine, bold], cuttings: 1000, days: 60, seed: 2 });
    if (!played.ok) throw new Error(played.problem);
    const [same, apart] = played.differences;
    expect(same).toEqual({ a: 0, b: 1, rooted: { share: 0, se: 0 } });
    const [a, , b] = played.outcomes;
    expect(apart!.rooted.share).toBeCloseTo(a!.rooted.share - b!.rooted.share, 12);
    expect(apart!.rooted.se).toBeLessThan(Math.hypot(a!.rooted.se, b!.rooted.se));
  });

  it('the Monte-Carlo error shrinks as one over the root of benches', () => {
    const se = (benches: number): number => {
      const played = rehearse({
        strategies: [strategy({ space: 'porch', callusSpace: 'porch' })],
        cuttings: 20 * benches,
        benches,
        days: 60,
        seed: 4,
      });
      return played.ok ? played.outcomes[0]!.rooted.se : NaN;
    };
    const ratio = se(20) / se(180);
    expect(ratio).toBeGreaterThan(2);
    expect(ratio).toBeLessThan(4.5);
  });

  it('what cannot be says why; none and ten thousand are numbers too', () => {
    const early = { ...strategy(), dryDays: 5, first: { day: 2 } };
    expect(strategyProblem(early, 60)).toBe('water before it is set');
    expect(rehearse({ strategies: [strategy(), early], cuttings: 10, days: 60, seed: 1 })).toEqual({
      ok: false,
      strategy: 1,
      problem: 'water before it is set',
    });
    expect(strategyProblem(strategy({}, 30), 60)).toBe('no air');
    expect(strategyProblem(strategy(), 0)).toBe('too short');
    const none = rehearse({ strategies: [strategy()], cuttings: 0, days: 60, seed: 1 });
    expect(none.ok && none.outcomes[0]!.rooted).toEqual({ share: 0, se: 0 });
    const lots = rehearse({ strategies: [strategy()], cuttings: 10_000, days: 30, seed: 1 });
    expect(lots.ok && lots.cuttings).toBe(10_000);
    const year = rehearse({ strategies: [strategy({}, 366)], cuttings: 50, days: 366, seed: 1 });
    expect(year.ok && year.outcomes[0]!.byDay).toHaveLength(366);
    expect(() => rehearse({ strategies: [], cuttings: 1.5, days: 3, seed: 1 })).toThrow(RangeError);
  });
});

describe('what water does, common practice, no source', () => {
  const outcomes = (strategies: readonly Strategy[], days: number) => {
    const played = rehearse({ strategies, cuttings: 400, days, seed: 3 });
    if (!played.ok) throw new Error(played.problem);
    return played.outcomes;
  };

  it('leaves on a wet mix rot that are sprayed do not', () => {
    const sprayed = strategy({ method: 'leaf', widthMm: 3 });
    const soaked = { ...sprayed, then: { everyDays: 4 } };
    const [spray, soak] = outcomes([sprayed, soaked], 90);
    expect(soak!.rotted.share).toBeGreaterThan(spray!.rotted.share + 0.04);
    // Soaked a crown with a closed wound does not rot for that: it is set in, not laid on.
    const crown = strategy();
    const [mine, wet] = outcomes([crown, { ...crown, then: { everyDays: 8 } }], 90);
    expect(Math.abs(wet!.rotted.share - mine!.rotted.share)).toBeLessThan(0.03);
  });

  it('a mist is a drink for what lies on the mix, until the next is due', () => {
    const mine = strategy({ method: 'leaf', widthMm: 3, container: 'tray-4' });
    const never: Strategy = { ...mine, first: { day: 89 } };
    const [misted, dry] = outcomes([mine, never], 90);
    expect(misted!.grown!).toBeGreaterThan(dry!.grown!);
  });

  it('with roots in bone dry mix a plant stands nearly still, though it lives', () => {
    const mine = strategy({ mix: 'all-mineral' });
    const seldom: Strategy = { ...mine, then: { everyDays: 28 } };
    const [often, rarely] = outcomes([mine, seldom], 120);
    expect(often!.grown!).toBeGreaterThan(0.9);
    expect(rarely!.grown!).toBeLessThan(0.8);
    expect(rarely!.rooted.share).toBeGreaterThan(0.2);
    const [none] = outcomes([mine], 2);
    expect(none!.grown).toBeNull();
  });
});

describe('a plan as a strategy', () => {
  // The plan, its calendar and its rehearsal say the same day.
  it.each([
    ['dried', {}],
    ['laid, first mist', { method: 'leaf', widthMm: 3 }],
    ['at once', { firstWater: 'at-once' }],
    ['a week later', { firstWater: 'week' }],
    ['days of one’s own', { dryDays: 12 }],
  ] as const)('is set and watered when its own course says: %s', (_name, over) => {
    const { steps } = careOf(state, foldBatch('b', plan(over), [])!, DAY);
    const on = (id: string): number => {
      const step = steps.find((s) => s.id === id);
      return step && 'from' in step ? daysBetween(DAY, step.from) : NaN;
    };
    const mine = strategy(over);
    expect(mine.dryDays).toBe(on('stick'));
    expect(mine.first).toEqual({ day: on('first-water') });
  });

  it('on a mean bench its first water is the gate of the plan', () => {
    const clock = plannedClock(state, {
      taxon: 'echeveria-elegans',
      method: 'crown',
      cutOn: DAY,
      widthMm: 7,
      school: 'dry-to-touch',
      callusAt: 'rack',
      callusSpace: 'bench',
      space: 'bench',
    })!;
    if (clock.gate.state !== 'dated') throw new Error('it closes here');
    expect(strategy().first).toEqual({ day: daysBetween(DAY, clock.gate.opens) });
    expect(strategy({ firstWater: 'roots-show' }).first).toEqual({ once: 'roots' });
    expect(strategy().place.usual[0]).toEqual({ tempC: 22, rh: 0.55 });
    // Leaves lie on the mix, their stems reach no deeper than their pads.
    expect(strategy({ method: 'leaf' }).stemMm).toBeLessThan(strategy().stemMm);
  });

  it('without plant, pot or mix, in water or where no cut closes says what is missing', () => {
    const problem = (over: BatchFields) => strategyOf(state, '', plan(over), 9);
    expect(problem({ taxon: 'oak' })).toEqual({ problem: 'unknown plant' });
    expect(problem({ container: 'hat' })).toEqual({ problem: 'no pot' });
    expect(problem({ mix: 'mud' })).toEqual({ problem: 'no mix' });
    expect(problem({ course: 'water' })).toEqual({ problem: 'not set in a mix' });
    expect(problem({ course: 'bare' })).toEqual({ problem: 'not set in a mix' });
    expect(problem({ space: 'frost', callusSpace: 'frost' })).toEqual({
      problem: 'does not close here',
    });
  });
});

describe('the same place warmer', () => {
  it('dries more and holds as much water in its air; nothing else moves', () => {
    const { place } = strategy();
    const warm = warmed(place, 6);
    expect(warm.usual[0]!.tempC).toBe(28);
    expect(warm.usual[0]!.rh).toBeLessThan(0.55);
    expect(warm.evaporation[0]!).toBeGreaterThan(1.5 * place.evaporation[0]!);
    expect(warmed(place, 0)).toEqual(place);
    expect(warmed(place, -15).usual[0]!.rh).toBeLessThanOrEqual(0.98);
  });
});

describe('the weather ahead', () => {
  it('keeps its spread and its memory', () => {
    const usual = Array.from({ length: 20_000 }, () => ({ tempC: 18, rh: 0.6 }));
    const [{ normals }] = luckOf(9, 0, 1, 20_000) as [BenchLuck];
    const air = weatherAhead(usual, USUAL_WEATHER, normals);
    const again = weatherOf(air);
    expect(again.tempSd).toBeCloseTo(USUAL_WEATHER.tempSd, 1);
    expect(again.persistence).toBeCloseTo(USUAL_WEATHER.persistence, 1);
    expect(weatherOf([{ tempC: 9, rh: 0.9 }])).toBe(USUAL_WEATHER);
    expect(weatherIn(state, 'bench')).toBe(USUAL_WEATHER);
    const read = fold(
      written(
        ...air.slice(0, 300).map((a, i): Draft => ({
          kind: 'air',
          space: 'bench',
          day: addDays(DAY, i),
          tempC: a.tempC,
          rh: a.rh,
        })),
      ),
    );
    // Of 300 days, each much like the last, the spread is known to a tenth or two.
    expect(Math.abs(weatherIn(read, 'bench').tempSd - USUAL_WEATHER.tempSd)).toBeLessThan(0.4);
    expect(weatherIn(read, 'bench')).not.toEqual(USUAL_WEATHER);
  });
});

// What growers lose, common practice, no source: bounds wide as their words.
describe('the losses of the trade', () => {
  const played = (mine: Strategy, days = 120) => {
    const all = rehearse({ strategies: [mine], cuttings: 1000, days, seed: 11 });
    if (!all.ok) throw new Error(all.problem);
    return all.outcomes[0]!;
  };

  it('a crown dried and watered when it is safe: nine in ten root, few rot', () => {
    const { rooted, rotted, days } = played(strategy());
    expect(rooted.share).toBeGreaterThan(0.85);
    expect(rotted.share).toBeLessThan(0.08);
    expect(days!.half).toBeGreaterThanOrEqual(12);
    expect(days!.half).toBeLessThanOrEqual(35);
  });

  it('a fat stem set wet at once: many rot; dried for weeks: few', () => {
    const column = { taxon: 'cereus-hildmannianus', method: 'column', widthMm: 60 } as const;
    const wet = { ...strategy(column), dryDays: 0, first: { day: 0 } };
    const { rotted } = played({ ...wet, then: { everyDays: 7 }, startWetness: 1 });
    expect(rotted.share).toBeGreaterThan(0.35);
    expect(played(strategy({ ...column, school: 'long-cure' })).rotted.share).toBeLessThan(0.12);
  });

  it('a thin leaf base closes before it can drown: watered after two days most still take', () => {
    const leaf = { taxon: 'graptopetalum-paraguayense', method: 'leaf', widthMm: 3 } as const;
    const { rooted, rotted } = played({ ...strategy(leaf), dryDays: 0, first: { day: 2 } });
    expect(rotted.share).toBeLessThan(0.2);
    expect(rooted.share).toBeGreaterThan(0.7);
  });

  it('kept dry until roots in dry warm air a trail dries up, a pad does not', () => {
    const dry = { space: 'dry', callusSpace: 'dry', firstWater: 'roots-show' } as const;
    const trail = played(
      strategy({ ...dry, taxon: 'curio-rowleyanus', method: 'trailing', widthMm: 2 }),
    );
    const pad = played(
      strategy({ ...dry, taxon: 'opuntia-microdasys', method: 'pad', widthMm: 15 }),
    );
    expect(trail.dried.share).toBeGreaterThan(pad.dried.share);
    expect(pad.dried.share).toBeLessThan(0.1);
  });

  it('cold and damp is worse than warm and dry, watered alike', () => {
    const bold = { school: 'short-dry', firstWater: 'at-once' } as const;
    const warm = played(strategy(bold));
    const cold = played(strategy({ ...bold, space: 'porch', callusSpace: 'porch' }));
    expect(cold.rotted.share).toBeGreaterThan(warm.rotted.share);
  });
});

describe('what matters most', () => {
  it('puts a choice somewhere between its ends, and keeps a strategy that can be', () => {
    const mine = strategy();
    expect(choose(mine, 'width', 0).widthMm).toBeCloseTo(mine.widthMm! / 2, 9);
    expect(choose(mine, 'width', 1).widthMm).toBeCloseTo(mine.widthMm! * 2, 9);
    for (const choice of CHOICES)
      for (const at of [0, 0.3, 1])
        expect(strategyProblem(choose(mine, choice, at), 120)).toBeNull();
    expect(choose(mine, 'dry', 1).dryDays).toBe(21);
    expect(choose(mine, 'first', 0).first).toEqual({ day: mine.dryDays });
  });

  it('in a cool damp porch warmth does; shares are shares', () => {
    const matters = whatMatters({
      strategy: strategy({ space: 'porch', widthMm: 20 }),
      days: 90,
      seed: 3,
    });
    expect(matters).toHaveLength(6);
    const sizes = matters.map((m) => Math.abs(m.high - m.low));
    expect(sizes).toEqual([...sizes].sort((a, b) => b - a));
    for (const {
      share: { share },
    } of matters) {
      expect(share).toBeGreaterThanOrEqual(0);
      expect(share).toBeLessThanOrEqual(1);
    }
    expect(matters[0]!.choice).toBe('warmth');
    expect(matters[0]!.high).toBeGreaterThan(matters[0]!.low);
    expect(Math.max(...matters.map((m) => m.share.share))).toBe(matters[0]!.share.share);
    expect(whatMatters({ strategy: strategy(), days: 60, seed: 3 })).toEqual(
      whatMatters({ strategy: strategy(), days: 60, seed: 3 }),
    );
  });
});
