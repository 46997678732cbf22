import { addDays, daysBetween } from '../days';
import { fillPot, USUAL_CONTAINERS } from '../media';
import { recipe } from '../testing/components';
import {
  asksForWater,
  BONE_DRY,
  capacityOf,
  columnOf,
  compareSchools,
  evenly,
  fitPace,
  judge,
  mistEvery,
  runPot,
  schoolOn,
  WATER_SCHOOL,
  WATER_SCHOOLS,
  type WaterCase,
} from '.';

const FROM = '2026-03-01';
const container = (id: string) => USUAL_CONTAINERS.find((c) => c.id === id)!;

/** A 7 cm pot in gritty mix on a warm sill, filled on the first day, seen on the fifth. */
function given(over: Partial<WaterCase> = {}, pot = 'pot-7'): WaterCase {
  return {
    id: 'b1',
    column: columnOf(fillPot(recipe('two-to-one'), container(pot))),
    dryG: 130,
    emptyG: 20,
    from: FROM,
    startWetness: 0.08,
    evaporation: Array<number>(70).fill(2),
    rainMm: Array<number>(70).fill(0),
    cover: [],
    mobility: Array<number>(70).fill(1),
    warmer: { evaporation: 1.3, mobility: 1.09 },
    today: 4,
    waterings: [{ at: 0, manner: 'poured' }],
    wateredBefore: true,
    weighings: [],
    touches: [],
    school: 'top-25',
    stemMm: 25,
    feltMm: 25,
    gateAt: 0,
    firstAt: 0,
    weanedAt: null,
    laid: false,
    regime: null,
    regimeAt: 0,
    rooted: true,
    sown: false,
    beside: false,
    pieces: 1,
    ...over,
  };
}

describe('a pot whose piece has no roots', () => {
  it('is never overdue, and asks only by its own regime', () => {
    for (const unrooted of ['sip', 'damp', 'half', 'mist', 'dry'] as const) {
      const verdict = judge(
        given({ regime: unrooted, rooted: false, today: 40, laid: unrooted === 'mist' }),
      );
      expect(verdict.kind).not.toBe('overdue');
      expect(verdict.reason).toMatchObject({ why: 'regime', regime: unrooted });
    }
    expect(judge(given({ rooted: false, regime: 'dry', today: 60 })).kind).toBe('hold');
  });

  it('drinks no deeper than its stem, or half as much', () => {
    const full = judge(given({ today: 40 })).drink.ml;
    expect(judge(given({ rooted: false, regime: 'sip', today: 40 })).drink.ml).toBeLessThan(
      0.8 * full,
    );
    expect(judge(given({ rooted: false, regime: 'half', today: 40 })).drink.ml).toBeCloseTo(
      full / 2,
      6,
    );
  });
});

describe('the verdict on a pot', () => {
  it('holds while it is wetter than its school, with a date as a range', () => {
    const verdict = judge(given());
    expect(verdict.kind).toBe('hold');
    const { likely, earliest, latest } = verdict.due!;
    expect(earliest <= likely && likely <= latest!).toBe(true);
    expect(daysBetween(FROM, likely)).toBeGreaterThanOrEqual(5);
    expect(daysBetween(FROM, likely)).toBeLessThanOrEqual(12);
    expect(verdict.reason).toMatchObject({ why: 'holds', school: 'top-25', weaning: false });
    const cool = given({ evaporation: Array<number>(70).fill(0.6) });
    const { unless } = judge(cool);
    if (unless.what !== 'warmer') throw new Error(unless.what);
    expect(unless.days).toBeGreaterThan(0);
    expect(unless.weigh).toBe(true);
  });

  it('says water when the school asks, and overdue when it has asked for long', () => {
    const due = daysBetween(FROM, judge(given()).due!.likely);
    expect(judge(given({ today: due })).kind).toBe('water');
    expect(judge(given({ today: due - 1 })).kind).toBe('hold');
    const late = judge(given({ today: due + 9 }));
    expect(late.kind).toBe('overdue');
    expect(late.reason).toMatchObject({ why: 'overdue', school: 'top-25' });
  });

  it('is not overdue with plenty of its water left, however long a careful school asks', () => {
    const careful = (today: number) => judge(given({ school: 'third', today }));
    const days = Array.from({ length: 45 }, (_, today) => careful(today));
    const asks = days.findIndex((v) => v.kind === 'water');
    const overdue = days.findIndex((v) => v.kind === 'overdue');
    expect(asks).toBeGreaterThan(0);
    // Asked for at two thirds; a third of it lasts days longer.
    expect(overdue - asks).toBeGreaterThan(4);
    for (const v of days.slice(overdue)) expect(v.fill.likely).toBeLessThan(1 / 3);
  });

  it('knows of a drink on the same day, and does not ask for it twice', () => {
    const due = daysBetween(FROM, judge(given()).due!.likely);
    const waterings = [
      { at: 0, manner: 'poured' as const },
      { at: due, manner: 'poured' as const },
    ];
    const verdict = judge(given({ today: due, waterings }));
    expect(verdict.kind).toBe('hold');
    expect(verdict.fill.likely).toBeCloseTo(1, 1);
    expect(daysBetween(FROM, verdict.due!.likely)).toBeGreaterThan(due + 4);
    const sip = judge(
      given({ today: due, waterings: [waterings[0]!, { at: due, manner: 'poured', ml: 20 }] }),
    );
    const before = judge(given({ today: due }));
    const capacity = capacityOf(given().column) / 1000;
    expect((sip.fill.likely - before.fill.likely) * capacity).toBeCloseTo(20, 6);
  });

  it('a shut gate stands before all dryness', () => {
    const shut = judge(given({ gateAt: 9 }));
    expect(shut.kind).toBe('closed');
    expect(shut.opens).toBe(addDays(FROM, 9));
    expect(shut.due).toBeNull();
    expect(judge(given({ gateAt: null })).reason).toEqual({ why: 'gate-stopped' });
  });

  it('the amount fills what is missing and a little runs through', () => {
    const verdict = judge(given({ today: 12 }));
    const column = given().column;
    const missing = ((1 - verdict.fill.likely) * capacityOf(column)) / 1000;
    expect(verdict.drink.ml / missing).toBeCloseTo(1.1, 1);
    expect(verdict.drink.mm).toBeCloseTo((verdict.drink.ml * 1000) / column.surfaceMm2, 9);
    expect(verdict.drink.through).toBe(true);
    expect(verdict.everyDays).toBeGreaterThan(4);
  });

  it('a first drink goes no deeper than the stem, a laid leaf gets a mist', () => {
    const first = { waterings: [], wateredBefore: false } as const;
    const verdict = judge(given(first));
    expect(verdict.kind).toBe('water');
    expect(verdict.reason).toMatchObject({ why: 'first-soak' });
    expect(verdict.drink.through).toBe(true);
    const bare = judge(given({ ...first, regime: 'sip', rooted: false }));
    expect(bare.reason).toMatchObject({ why: 'first-drink' });
    expect(bare.drink.ml).toBeLessThan(capacityOf(given().column) / 1000);
    expect(bare.drink.through).toBe(false);
    const leaf = judge(given({ ...first, laid: true }));
    expect(leaf.drink.manner).toBe('misted');
    expect(leaf.drink.mm).toBeCloseTo(0.8, 9);
  });

  it('without a hole it warns of standing water and is a miser', () => {
    const drowned = judge(given({ waterings: [{ at: 3, manner: 'poured', ml: 250 }] }, 'glass-9'));
    expect(drowned.kind).toBe('hold');
    expect(drowned.poolMl).toBeGreaterThan(20);
    expect(drowned.reason).toMatchObject({ why: 'pool' });
    const thirsty = judge(given({ today: 14 }, 'glass-9'));
    const missing = ((1 - thirsty.fill.likely) * capacityOf(given({}, 'glass-9').column)) / 1000;
    expect(thirsty.drink.ml).toBeLessThan(0.6 * missing);
    expect(thirsty.drink.through).toBe(false);
  });

  it('roots grown in a jar are weaned: moist, then a third, then as its school has it', () => {
    const weaned = { weanedAt: 0, school: 'bone-dry', regime: null } as const;
    expect([0, 13, 14, 27, 28].map((at) => schoolOn(weaned, at))).toEqual([
      'surface',
      'surface',
      'third',
      'third',
      'bone-dry',
    ]);
    expect(judge(given({ ...weaned })).school).toBe('surface');
  });

  it('what was asked before a step of the weaning is still asked after it', () => {
    const weaned = (today: number, ...waterings: number[]) =>
      judge(
        given({
          weanedAt: 0,
          school: 'bone-dry',
          today,
          waterings: waterings.map((at) => ({ at, manner: 'poured' })),
        }),
      );
    // A third is gone on the last day of the weaning; from then on it would be let go bone dry.
    expect(weaned(27, 25)).toMatchObject({ kind: 'water', school: 'third' });
    expect(weaned(28, 25)).toMatchObject({ kind: 'water', school: 'bone-dry' });
    expect(weaned(28, 25).fill.likely).toBeGreaterThan(BONE_DRY);
    // Watered since, it waits until it is.
    expect(weaned(29, 25, 28).kind).toBe('hold');
  });

  it('is done with rain where rain falls', () => {
    const rainMm = Array<number>(70).fill(0);
    rainMm[7] = 20;
    const wet = judge(given({ today: 9, rainMm }));
    expect(wet.kind).toBe('hold');
    expect(wet.fill.likely).toBeGreaterThan(judge(given({ today: 9 })).fill.likely);
  });
});

describe('schools are triggers on one and the same pot', () => {
  const outlooks = compareSchools(given());
  const of = (school: (typeof WATER_SCHOOLS)[number]) => outlooks.find((o) => o.school === school)!;

  it('all are told, from the wettest to the driest', () => {
    expect(outlooks.map((o) => o.school)).toEqual([...WATER_SCHOOLS]);
    const every = (
      ['surface', 'third', 'top-25', 'top-60', 'bone-dry', 'bone-dry-rest'] as const
    ).map((s) => of(s).everyDays!);
    expect(every).toEqual([...every].sort((a, b) => a - b));
    expect(of('weekly').everyDays).toBe(7);
    expect(of('surface').wetShare).toBeGreaterThan(of('bone-dry').wetShare);
    for (const o of outlooks) expect(o.ml).toBeGreaterThan(0);
  });

  it('a rest of five days follows bone dryness', () => {
    expect(of('bone-dry-rest').everyDays! - of('bone-dry').everyDays!).toBeCloseTo(4, 0);
  });

  it('the day of that rest stands while it lasts: no dry morning is counted twice', () => {
    const drunk = given({ school: 'bone-dry-rest', waterings: [{ at: 0, manner: 'soaked' }] });
    const asked = judge({ ...drunk, today: 1 }).due!.likely;
    const days = daysBetween(drunk.from, asked);
    for (let today = 2; today <= days; today++)
      expect(judge({ ...drunk, today }).due!.likely).toBe(asked);
  });

  it('mists daily in heat, else every second day', () => {
    expect(mistEvery(4)).toBe(1);
    expect(mistEvery(1)).toBe(2);
    expect(of('mist').everyDays).toBe(2);
  });

  it('none waters before the gate', () => {
    for (const o of compareSchools(given({ gateAt: 12 })))
      if (o.next) expect(o.next >= addDays(FROM, 12)).toBe(true);
  });

  it('the surface dries before the depth in every pot', () => {
    for (const pot of USUAL_CONTAINERS) {
      const c = given({}, pot.id);
      const memory = { wateredAt: 0, boneDryDays: 0 };
      const wet = evenly(c.column, 1);
      for (const school of ['surface', 'top-25', 'top-60', 'third', 'bone-dry'] as const)
        expect(asksForWater(c, school, wet, 1, memory)).toBe(false);
      const dryPot = evenly(c.column, 0.05);
      for (const school of ['surface', 'top-25', 'top-60', 'third', 'bone-dry'] as const)
        expect(asksForWater(c, school, dryPot, 2, memory)).toBe(true);
    }
    for (const s of WATER_SCHOOLS) expect(WATER_SCHOOL[s].id).toBe(s);
  });

  it('what is kept damp drinks again once it is dry where its stem ends, not where grit dries within hours', () => {
    const c = given({ regime: 'damp', feltMm: 25 }, 'pot-7');
    const memory = { wateredAt: 0, boneDryDays: 0 };
    const asks = (feltMm: number, below: number): boolean => {
      const wet = evenly(c.column, below);
      const layers = wet.layers.map((w, i) => (c.column.middle[i]! < 10 ? 0.05 : w));
      return asksForWater({ ...c, feltMm }, 'surface', { ...wet, layers }, 4, memory);
    };
    expect(asks(25, 0.6)).toBe(false);
    expect(asks(25, 0.2)).toBe(true);
    // What lies on its mix has the surface alone.
    expect(asks(3, 0.6)).toBe(true);
  });
});

describe('weighing a pot', () => {
  const waterings = [0, 9, 18].map((at) => ({ at, manner: 'poured' as const }));
  const TARE = 151;

  /** What a scale would say of a pot that really dries at this pace. */
  function weighed(pace: number, at: readonly number[]): WaterCase {
    const base = given({ waterings, today: 24 });
    const days = runPot(base, { pace, until: 25 });
    return {
      ...base,
      weighings: at.map((n) => ({ at: n, grams: TARE + days[n]!.waterMl })),
    };
  }
  const often = [1, 3, 5, 7, 10, 12, 14, 16, 19, 21, 23];

  it('finds this pot’s pace, and is surer the more it is weighed', () => {
    for (const pace of [0.75, 1, 1.4]) {
      const few = fitPace(weighed(pace, often.slice(0, 3)));
      const many = fitPace(weighed(pace, often));
      expect(Math.abs(Math.log(many.likely / pace))).toBeLessThan(2 * many.sd);
      expect(many.sd).toBeLessThan(0.15);
      expect(many.sd).toBeLessThan(few.sd);
      expect(few.sd).toBeLessThan(0.25);
      expect(many.low).toBeLessThan(many.likely);
    }
  });

  it('finds the weight without water, so that a lift of the pot says when', () => {
    const verdict = judge(weighed(1.2, often));
    expect(verdict.weights!.drainedG - TARE).toBeCloseTo(capacityOf(given().column) / 1000, -1);
    expect(verdict.weights!.dryG).toBeLessThan(verdict.weights!.nowG);
    expect(verdict.weights!.nowG).toBeLessThan(verdict.weights!.drainedG);
    expect(verdict.unless).not.toMatchObject({ weigh: true });
  });

  it('moves the date: a fast pot asks sooner than a slow one', () => {
    const due = (pace: number): string => judge(weighed(pace, often)).due!.likely;
    expect(due(1.5) < due(0.7)).toBe(true);
  });

  it('a finger counts for little beside a scale, but counts', () => {
    const dryEarly = given({ touches: [{ at: 3, depthMm: 25, seen: 'dry' }] });
    const stillWet = given({ touches: [{ at: 4, depthMm: 25, seen: 'wet' }] });
    expect(fitPace(dryEarly).likely).toBeGreaterThan(1.05);
    expect(fitPace(stillWet).likely).toBeLessThan(1);
    expect(fitPace(dryEarly).sd).toBeGreaterThan(fitPace(weighed(1, often)).sd);
    expect(fitPace(given()).sd).toBe(0.25);
  });
});
