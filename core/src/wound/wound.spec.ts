import * as fc from 'fast-check';
import { CATALOGUE, type TaxonMethod } from '../botany';
import { addDays, daysBetween, type Day } from '../days';
import {
  chanceClosed,
  chanceClosedOn,
  closureOn,
  closureRate,
  defaultSchool,
  doseFor,
  hydraulicWidth,
  paceBelief,
  PACE_NINTH_DECILE,
  referenceClosureDays,
  longerSchool,
  usualSchool,
  WOUND_SCHOOL,
  WOUND_SCHOOLS,
  woundClock,
  type Tissue,
  type WoundClockInput,
} from '.';

const REFERENCE = { tempC: 22, rh: 0.55 };
const CUT = '2026-03-01';

const clock = (over: Partial<WoundClockInput> = {}) =>
  woundClock({
    cutOn: CUT,
    widthMm: 5,
    tissue: 'soft stem',
    school: WOUND_SCHOOL['dry-to-touch'],
    callusAt: 'rack',
    air: () => REFERENCE,
    ...over,
  });

const opens = (over: Partial<WoundClockInput> = {}): number => {
  const { gate } = clock(over);
  if (gate.state === 'stopped') throw new Error('stopped');
  return daysBetween(CUT, gate.opens);
};

describe('the wound clock’s reference figures (design figures of this product)', () => {
  it.each<[Tissue, number, number]>([
    ['leaf base', 3.5, 1.1],
    ['soft stem', 5, 2.0],
    ['soft stem', 8, 2.7],
    ['semi-woody stem', 22, 4.4],
    ['cactus body', 60, 14],
  ])('%s, %d mm: %d days at 22 °C and 55%% RH', (tissue, widthMm, days) => {
    const modelled = referenceClosureDays(widthMm, tissue) / closureRate(REFERENCE);
    expect(Math.abs(modelled - days) / days).toBeLessThan(0.05);
  });

  it('takes about five times as long at 12 °C and 80% RH, half as long at 28 °C and 40%', () => {
    const times = (tempC: number, rh: number): number =>
      closureRate(REFERENCE) / closureRate({ tempC, rh });
    expect(times(12, 0.8)).toBeGreaterThan(4.2);
    expect(times(12, 0.8)).toBeLessThan(5.5);
    expect(times(28, 0.4)).toBeCloseTo(0.5, 1);
  });

  it('follows the temperature sense of potato wounds within a factor of two (Wigginton 1974, from memory)', () => {
    const dry = 0.5;
    const slower = (tempC: number): number =>
      closureRate({ tempC: 25, rh: dry }) / closureRate({ tempC, rh: dry });
    expect(slower(15)).toBeGreaterThan(2 / 1.5);
    expect(slower(15)).toBeLessThan(2 * 2);
    expect(slower(5)).toBeGreaterThan(5);
    expect(slower(5)).toBeLessThan(8 * 2);
  });

  it('stands still in frost and in heat', () => {
    expect(closureRate({ tempC: 3.9, rh: 0.5 })).toBe(0);
    expect(closureRate({ tempC: 42.1, rh: 0.5 })).toBe(0);
    expect(closureRate({ tempC: 20, rh: 1 })).toBe(0);
  });

  it('a 60 × 5 mm strap dries like a 9.2 mm stem, a round cut like its diameter', () => {
    expect(hydraulicWidth(60, 5)).toBeCloseTo(9.2, 1);
    expect(hydraulicWidth(8, 8)).toBe(8);
    expect(hydraulicWidth(8)).toBe(8);
    expect(() => hydraulicWidth(0)).toThrow(RangeError);
  });
});

describe('callus windows, common practice, no source', () => {
  // Days growers name, against the day a likely and a nearly sure wound is closed at 20–25 °C.
  it.each<[string, Tissue, number, number, number]>([
    ['leaf', 'leaf base', 3.5, 1, 3],
    ['thin stem', 'soft stem', 4, 1, 3],
    ['fleshy stem', 'soft stem', 10, 3, 5],
    ['woody stem', 'semi-woody stem', 25, 3, 14],
    ['tuber or rhizome', 'tuber', 14, 2, 7],
    ['thick cactus', 'cactus body', 70, 14, 42],
  ])('%s: between %s and the window %d … closes in time', (_name, tissue, widthMm, from, to) => {
    const { doses } = clock({ tissue, widthMm });
    const day = (chance: number): number =>
      doses.findIndex((d) => d >= doseFor(paceBelief(), chance));
    expect(day(0.5)).toBeGreaterThanOrEqual(from);
    expect(day(0.5)).toBeLessThanOrEqual(to);
  });

  it('is never shorter than a day in the cautious school', () => {
    expect(opens({ widthMm: 0.5, tissue: 'leaf base', air: () => ({ tempC: 32, rh: 0.1 }) })).toBe(
      1,
    );
  });
});

describe('the gate', () => {
  it('is the day the wound is closed with the chance the school asks for', () => {
    for (const school of Object.values(WOUND_SCHOOL)) {
      const c = clock({ school, widthMm: 12 });
      if (c.gate.state === 'stopped') throw new Error('stopped');
      expect(chanceClosedOn(c, c.gate.opens)).toBeGreaterThanOrEqual(school.gateChance - 1e-9);
      const before = daysBetween(CUT, c.gate.opens) - 1;
      if (before >= school.leastDays)
        expect(chanceClosedOn(c, addDays(c.gate.opens, -1))).toBeLessThan(school.gateChance);
    }
  });

  it('opens later for wider wounds, colder and damper air, dry medium and cautious schools', () => {
    expect(opens({ widthMm: 20 })).toBeGreaterThan(opens());
    expect(opens({ air: () => ({ tempC: 12, rh: 0.55 }) })).toBeGreaterThan(opens());
    expect(opens({ air: () => ({ tempC: 22, rh: 0.8 }) })).toBeGreaterThan(opens());
    expect(opens({ callusAt: 'medium', widthMm: 20 })).toBeGreaterThan(opens({ widthMm: 20 }));
    expect(opens({ school: WOUND_SCHOOL['long-cure'] })).toBeGreaterThanOrEqual(7);
    expect(opens({ school: WOUND_SCHOOL['short-dry'], widthMm: 20 })).toBeLessThan(
      opens({ widthMm: 20 }),
    );
  });

  it('never opens where the clock stands still, and says so', () => {
    expect(clock({ air: () => ({ tempC: 2, rh: 0.6 }) }).gate).toEqual({
      state: 'stopped',
      horizon: addDays(CUT, 365),
    });
  });

  it('follows the air day by day: a cold week in between puts it off by that week', () => {
    const cold = (day: string) =>
      day >= '2026-03-02' && day < '2026-03-09' ? { tempC: 2, rh: 0.55 } : REFERENCE;
    expect(opens({ air: cold })).toBe(opens() + 7);
  });

  it('asks for the air of the bench it stands on once it is stuck', () => {
    const asked: [string, boolean][] = [];
    clock({
      stuckOn: '2026-03-03',
      air: (day, stuck) => {
        asked.push([day, stuck]);
        return REFERENCE;
      },
    });
    expect(asked[1]).toEqual(['2026-03-02', false]);
    expect(asked[2]).toEqual(['2026-03-03', true]);
  });

  it('sticks fresh, after a day, or when the wound is likely closed', () => {
    const stick = (school: keyof typeof WOUND_SCHOOL): number =>
      daysBetween(CUT, clock({ school: WOUND_SCHOOL[school], widthMm: 12 }).stickOn!);
    expect(stick('straight-in')).toBe(0);
    expect(stick('short-dry')).toBe(1);
    expect(stick('dry-to-touch')).toBeGreaterThan(1);
    expect(stick('long-cure')).toBeGreaterThanOrEqual(7);
  });

  it('monotone in width for any air it can close in', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 80, noNaN: true }),
        fc.double({ min: 1, max: 3, noNaN: true }),
        fc.double({ min: 15, max: 32, noNaN: true }),
        (widthMm, wider, tempC) => {
          const air = () => ({ tempC, rh: 0.5 });
          return opens({ widthMm, air }) <= opens({ widthMm: widthMm * wider, air });
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('what a look at the wound teaches', () => {
  it('two looks of one day that say the same are one', () => {
    const firm = { day: '2026-03-03', seen: 'firm' } as const;
    expect(opens({ checks: [firm, firm, firm] })).toBe(opens({ checks: [firm] }));
    const tacky = { day: '2026-03-05', seen: 'tacky' } as const;
    expect(opens({ checks: [tacky, tacky] })).toBe(opens({ checks: [tacky] }));
    // Another day, or another word, is another look.
    const next = { day: '2026-03-06', seen: 'tacky' } as const;
    expect(opens({ checks: [tacky, next] })).toBeGreaterThan(opens({ checks: [tacky] }));
  });

  it('starts around one: median 1, nine in ten within 1.57, and one in a hundred three times as slow', () => {
    const prior = paceBelief();
    expect(doseFor(prior, 0.5)).toBeCloseTo(1, 2);
    // The middle eight tenths are those of a log-normal of sd 0.35; the tails are Student's t of 4 df (0.99: 3.747).
    expect(Math.exp(PACE_NINTH_DECILE)).toBeCloseTo(Math.exp(1.2816 * 0.35), 2);
    expect(doseFor(prior, 0.9)).toBeCloseTo(Math.exp(1.2816 * 0.35), 1);
    expect(doseFor(prior, 0.99)).toBeCloseTo(Math.exp(3.747 * 0.2926), 1);
    expect(chanceClosed(prior, 0)).toBe(0);
    expect(chanceClosed(prior, 100)).toBeGreaterThan(0.999);
  });

  it('firm opens the gate sooner, tacky later, and the belief narrows', () => {
    const wide = { widthMm: 20 };
    const on = (seen: 'firm' | 'tacky') =>
      opens({ ...wide, checks: [{ day: addDays(CUT, 5), seen }] });
    expect(on('firm')).toBeLessThan(opens(wide));
    expect(on('tacky')).toBeGreaterThan(opens(wide));
    const spread = (looks: Parameters<typeof paceBelief>[0]): number => {
      const b = paceBelief(looks);
      return Math.log(doseFor(b, 0.9) / doseFor(b, 0.1));
    };
    expect(
      spread([
        { dose: 0.8, seen: 'tacky' },
        { dose: 1.2, seen: 'firm' },
      ]),
    ).toBeLessThan(spread([]));
  });

  it('one firm look half a day’s dose in does not overrule the model', () => {
    expect(chanceClosed(paceBelief([{ dose: 0.2, seen: 'firm' }]), 0.2)).toBeLessThan(0.1);
  });

  it('the ring of the mark runs from 0 to 1', () => {
    const c = clock({ widthMm: 20 });
    expect(closureOn(c, CUT)).toBe(0);
    expect(closureOn(c, addDays(CUT, 2))).toBeGreaterThan(0.2);
    expect(closureOn(c, addDays(CUT, 400))).toBe(1);
  });
});

const SCHOOLS = Object.values(WOUND_SCHOOL);
const anyCut = fc.record({
  widthMm: fc.double({ min: 1, max: 80, noNaN: true }),
  tissue: fc.constantFrom<Tissue>(
    'leaf base',
    'soft stem',
    'semi-woody stem',
    'tuber',
    'cactus body',
  ),
  school: fc.constantFrom(...SCHOOLS),
  callusAt: fc.constantFrom('rack' as const, 'medium' as const),
  tempC: fc.double({ min: 12, max: 32, noNaN: true }),
  rh: fc.double({ min: 0.2, max: 0.85, noNaN: true }),
  stuckC: fc.double({ min: 12, max: 32, noNaN: true }),
});
type AnyCut = typeof anyCut extends fc.Arbitrary<infer T> ? T : never;

/** Days from the cut to its gate; further than any other where it does not open. */
const gateOf = (
  { tempC, rh, stuckC, ...cut }: AnyCut,
  over: Partial<WoundClockInput> = {},
): number => {
  const { gate } = clock({
    ...cut,
    air: (_day, stuck) => ({ tempC: stuck ? stuckC : tempC, rh }),
    ...over,
  });
  return gate.state === 'dated' ? daysBetween(CUT, gate.opens) : Infinity;
};

describe('laws of looks at a wound', () => {
  const tackyOn = (...days: readonly number[]) => ({
    checks: days.map((d) => ({ day: addDays(CUT, d), seen: 'tacky' as const })),
  });

  it('seen tacky on day 6, 8, 10: never released by then, and the later the later', () => {
    // Was: gate on 9, 7 and 6 March.
    const gates = [6, 8, 10].map((d) => opens(tackyOn(d)));
    for (const [i, d] of [6, 8, 10].entries()) expect(gates[i]).toBeGreaterThan(d);
    expect(gates).toEqual([...gates].sort((a, b) => a - b));
    const seen = clock(tackyOn(10));
    expect(chanceClosedOn(seen, addDays(CUT, 10))).toBeLessThan(0.25);
  });

  it('nine tacky looks to day 24 leave it open on day 24', () => {
    const seen = clock(tackyOn(2, 4, 6, 9, 12, 15, 18, 21, 24));
    expect(chanceClosedOn(seen, addDays(CUT, 24))).toBeLessThan(0.25);
    if (seen.gate.state === 'dated') expect(daysBetween(CUT, seen.gate.opens)).toBeGreaterThan(24);
  });

  it('a tacky look gives no gate on or before its day; the later still tacky, the later', () => {
    fc.assert(
      fc.property(
        anyCut,
        fc.integer({ min: 0, max: 40 }),
        fc.integer({ min: 1, max: 20 }),
        (cut, day, more) => {
          const [early, late] = [day, day + more].map((d) => gateOf(cut, tackyOn(d)));
          return early! > day && late! > day + more && late! >= early! && early! >= gateOf(cut);
        },
      ),
      { numRuns: 400, endOnFailure: true },
    );
  });

  it('a firm look never moves the gate later, also among others', () => {
    const looks = fc.array(
      fc.record({ day: fc.integer({ min: 0, max: 25 }), firm: fc.boolean() }),
      { maxLength: 4 },
    );
    fc.assert(
      fc.property(anyCut, looks, fc.integer({ min: 0, max: 30 }), (cut, others, day) => {
        const checks = others.map(({ day: d, firm }) => ({
          day: addDays(CUT, d),
          seen: firm ? ('firm' as const) : ('tacky' as const),
        }));
        // Set on a known day: a look may not decide that too.
        const stuckOn: Day = addDays(CUT, 3);
        const firm = { day: addDays(CUT, day), seen: 'firm' as const };
        return (
          gateOf(cut, { stuckOn, checks: [...checks, firm] }) <= gateOf(cut, { stuckOn, checks })
        );
      }),
      { numRuns: 400, endOnFailure: true },
    );
  });

  it('wider, cooler, damper, denser: later or not at all, wherever the day of setting falls', () => {
    const more = fc.double({ min: 1, max: 1.6, noNaN: true });
    fc.assert(
      fc.property(anyCut, more, (cut, times) => {
        const gate = gateOf(cut);
        const colder = { ...cut, tempC: cut.tempC - times, stuckC: cut.stuckC - times };
        const damper = { ...cut, rh: Math.min(0.95, cut.rh * times) };
        return (
          gateOf({ ...cut, widthMm: cut.widthMm * times }) >= gate &&
          gateOf(colder) >= gate &&
          gateOf(damper) >= gate &&
          gateOf({ ...cut, tissue: 'cactus body' }) >= gate
        );
      }),
      { numRuns: 300 },
    );
  });

  it('days to dry of one’s own set the day; the gate is still worked out', () => {
    const two = clock({ dryDays: 14, widthMm: 12 });
    expect(two.stickOn).toBe(addDays(CUT, 14));
    expect(clock({ dryDays: 0.25 }).stickOn).toBe(CUT);
    expect(opens({ dryDays: 0, widthMm: 12 })).toBeGreaterThan(opens({ dryDays: 14, widthMm: 12 }));
  });
});

describe('wounds of the catalogue against the windows of the trade (common practice, no source)', () => {
  const wounds = new Map<string, TaxonMethod['wound']>(
    CATALOGUE.flatMap((t) => t.methods.map((m) => [`${t.id} ${m.method}`, m.wound] as const)),
  );
  it.each([
    ['crassula-ovata branch', 2, 14],
    ['zamioculcas-zamiifolia division', 2, 7],
    ['plumeria-rubra branch', 3, 14],
    ['kalanchoe-blossfeldiana crown', 1, 3],
    ['kalanchoe-beharensis branch', 2, 14],
    ['dracaena-trifasciata leaf-section', 1, 5],
    ['dracaena-trifasciata division', 2, 7],
    ['cereus-hildmannianus column', 14, 42],
    ['trichocereus-spachianus column', 12, 42],
    ['echeveria-elegans leaf', 1, 3],
    ['curio-rowleyanus trailing', 1, 3],
  ])('%s is likely closed after %d to %d days in season', (name, from, to) => {
    const wound = wounds.get(name)!;
    const { doses } = clock({
      tissue: wound.tissue,
      widthMm: hydraulicWidth(wound.widthMm, wound.thicknessMm),
    });
    const likely = doses.findIndex((d) => d >= 1);
    expect(likely).toBeGreaterThanOrEqual(from);
    expect(likely).toBeLessThanOrEqual(to);
  });
});

describe('schools', () => {
  it('each tissue has a default with a reason', () => {
    for (const taxon of CATALOGUE)
      for (const { wound } of taxon.methods) {
        if (!wound) continue;
        const advice = defaultSchool(wound.tissue);
        expect(advice.reason.length).toBeGreaterThan(20);
        expect(WOUND_SCHOOL[advice.school].temper).toBe('cautious');
      }
  });
});

describe('how long a cut dries where nobody says', () => {
  it('is the grower’s habit, else what its tissue asks; what has no wound dries not at all', () => {
    expect(usualSchool({ tissue: 'cactus body' })).toBe('long-cure');
    expect(usualSchool({ tissue: 'cactus body' }, 'short-dry')).toBe('short-dry');
    expect(usualSchool(null)).toBe('straight-in');
  });

  it('after rot is never shorter than the first time (common practice, no source)', () => {
    for (const first of WOUND_SCHOOLS)
      expect(WOUND_SCHOOLS.indexOf(longerSchool(first))).toBeGreaterThanOrEqual(
        Math.max(WOUND_SCHOOLS.indexOf(first), WOUND_SCHOOLS.indexOf('dry-to-touch')),
      );
  });
});
