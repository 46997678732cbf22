import { addDays } from '../days';
import { fold, type BatchFields, type State } from '../journal';
import { judge } from '../water';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import {
  airOf,
  componentOf,
  componentsOf,
  containerOf,
  containersOf,
  dryingOf,
  mixesOf,
  mixOf,
  potOf,
  shedOf,
  waterCaseOf,
  usualSchool,
  waterSchoolOf,
} from '.';

type Drafts = Parameters<typeof written>;
const put = (record: string, key: string, fields: object) =>
  ({ kind: 'put', record, key, day: DAY, fields }) as Drafts[number];
const day = (n: number): string => addDays(DAY, n);
const state = (...drafts: Drafts) => fold(written(...drafts));

const POTTED: BatchFields = { ...FIELDS, container: 'pot-7', containers: 10, mix: 'two-to-one' };
const life = (fields: BatchFields = POTTED, ...more: Drafts) =>
  state(
    put('space', 'bench', { tempC: 22, rh: 0.5, lightLevel: 'sun-sill' }),
    batchPut(fields),
    { kind: 'cut', batch: 'b1', day: DAY },
    { kind: 'stuck', batch: 'b1', day: day(3) },
    ...more,
  );
const given = (s: ReturnType<typeof life>, on: string) => waterCaseOf(s, s.batches.get('b1')!, on);

describe('components, mixes and pots of a bench', () => {
  it('the grower’s own figures lie over those that ship, and say so', () => {
    const s = state(put('component', 'pumice', { densityGPerL: 520, stockL: 12, pricePerL: 2 }));
    const pumice = componentOf(s, 'pumice')!;
    expect(pumice.densityGPerL).toBe(520);
    expect(pumice.evidence.densityGPerL).toBe('measured here');
    expect(pumice.evidence.heldWater).toBe('from memory');
    expect(shedOf(s).get('pumice')).toEqual({ litres: 12, pricePerL: 2 });
    // Stock alone measures nothing.
    expect(
      componentOf(state(put('component', 'coir', { stockL: 3 })), 'coir')!.evidence.grainMm,
    ).toBe('from memory');
  });

  it('an own component needs its figures before it can be mixed', () => {
    const half = state(put('component', 'own', { name: 'Cinder', grainMm: 5 }));
    expect(componentOf(half, 'own')).toBeNull();
    const whole = state(
      put('component', 'own', { name: 'Cinder', grainMm: 5, densityGPerL: 700, heldWater: 0.1 }),
    );
    expect(componentOf(whole, 'own')).toMatchObject({
      name: 'Cinder',
      packing: 0.58,
      diffusivity: 2,
    });
    expect(componentsOf(whole).at(-1)!.id).toBe('own');
  });

  it('own mixes come first; one whose components are gone is not offered', () => {
    const s = state(
      put('mix', 'm', { name: 'Bench mix', parts: [{ component: 'pumice', parts: 2 }] }),
      put('mix', 'gone', { name: 'Lost', parts: [{ component: 'nowhere', parts: 1 }] }),
    );
    expect(mixesOf(s)[0]).toMatchObject({ id: 'm', name: 'Bench mix', house: false });
    expect(mixOf(s, 'gone')).toBeNull();
    expect(mixOf(s, 'coir')!.house).toBe(true);
  });

  it('drain tests correct the mix they were made with', () => {
    const test = { potMl: 720, depthMm: 95, soakedMl: 400, drainedMl: 160 };
    const s = state({ kind: 'jug', mix: 'coir', day: DAY, ...test });
    expect(mixOf(s, 'coir')!.tests).toHaveLength(1);
    expect(mixOf(s, 'coir')!.correction.water).toBeLessThan(1);
    expect(mixOf(s, 'thirds')!.correction.water).toBe(1);
  });

  it('a usual pot can be changed for this bench, a new one needs its measures', () => {
    const s = state(
      put('container', 'pot-7', { heightMm: 95 }),
      put('container', 'own', { name: 'Tin', topMm: 60 }),
    );
    expect(containerOf(s, 'pot-7')).toMatchObject({ heightMm: 95, topMm: 70 });
    expect(containerOf(s, 'own')).toBeNull();
    expect(containersOf(s).map((c) => c.id)).not.toContain('own');
  });
});

describe('the air as a pot feels it', () => {
  const drying = (fields: object, n = 0) =>
    dryingOf(state(put('space', 'bench', { tempC: 20, rh: 0.5, ...fields })), 'bench', day(n));

  it('lamps, wind, mat and light dry; a lid holds', () => {
    const plain = drying({}).evaporationMm;
    expect(drying({ lampPpfd: 200, lampHours: 14 }).evaporationMm).toBeGreaterThan(plain);
    expect(drying({ windMps: 1 }).evaporationMm).toBeGreaterThan(plain);
    expect(drying({ matC: 6 }).evaporationMm).toBeGreaterThan(plain);
    expect(drying({ lightLevel: 'dim' }).evaporationMm).toBeLessThan(plain);
    expect(drying({ lid: true }).evaporationMm).toBeLessThan(0.7 * plain);
    const lidded = state(put('space', 'bench', { tempC: 20, rh: 0.5, lid: true }));
    expect(airOf(lidded, 'bench', DAY).rh).toBeCloseTo(0.85, 12);
  });

  it('the season of the place moves its light, upside down in the south', () => {
    const at = (latitude: number, on: string) =>
      dryingOf(
        state(
          put('space', 'bench', { tempC: 20, rh: 0.5, lightLevel: 'open-sun' }),
          put('settings', 'grower', { latitude }),
        ),
        'bench',
        on,
      ).molPerDay;
    expect(at(50, '2026-06-21')).toBeGreaterThan(2 * at(50, '2026-12-21'));
    expect(at(-35, '2026-12-21')).toBeGreaterThan(1.5 * at(-35, '2026-06-21'));
  });

  it('rain falls only where it can, a sensor’s light stands before the level', () => {
    const reading: Drafts[number] = {
      kind: 'air',
      space: 'bench',
      day: DAY,
      tempC: 18,
      rh: 0.8,
      rainMm: 7,
      molPerDay: 3,
    };
    const roofed = state(put('space', 'bench', {}), reading);
    expect(dryingOf(roofed, 'bench', DAY)).toMatchObject({ rainMm: 0, molPerDay: 3 });
    expect(
      dryingOf(state(put('space', 'bench', { open: true }), reading), 'bench', DAY).rainMm,
    ).toBe(7);
  });
});

describe('the case of a batch', () => {
  it('waits for pot and mix, and for the sticking', () => {
    expect(given(life(FIELDS), day(9))).toBeNull();
    expect(given(life(), day(2))).toBeNull();
    expect(potOf(life(), life().batches.get('b1')!)!.container.id).toBe('pot-7');
    expect(given(life(), day(9))).not.toBeNull();
  });

  it('begins at the last soak, some cans back, or further where weighings can teach', () => {
    const drink = (n: number, how: 'poured' | 'soaked'): Drafts[number] => ({
      kind: 'watered',
      batch: 'b1',
      day: day(n),
      how,
    });
    const soaked = given(life(POTTED, drink(12, 'soaked')), day(20))!;
    expect(soaked.from).toBe(day(12));
    expect(soaked.today).toBe(8);
    expect(given(life(POTTED, drink(12, 'poured')), day(20))!.from).toBe(day(3));
    const cans = [12, 24, 36, 48].map((n) => drink(n, 'poured'));
    expect(given(life(POTTED, ...cans), day(50))!.from).toBe(day(24));
    const weighed = given(
      life(POTTED, drink(12, 'soaked'), {
        kind: 'weighed',
        batch: 'b1',
        day: day(15),
        grams: 190,
      }),
      day(20),
    )!;
    expect(weighed.from).toBe(day(3));
    expect(weighed.weighings).toEqual([{ at: 12, grams: 190 }]);
  });

  it.each(['poured', 'soaked'] as const)(
    'says on the morning after a can what it said that day: %s',
    (how) => {
      for (const last of [14, 26, 60, 120]) {
        const cans = [12, last].map((n): Drafts[number] => ({
          kind: 'watered',
          batch: 'b1',
          day: day(n),
          how,
        }));
        const none = { rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0 };
        const pot = life(
          POTTED,
          { kind: 'tally', batch: 'b1', day: day(10), counts: { ...none, rooted: 4 } },
          ...cans,
        );
        const due = [0, 1, 2, 3].map((n) => judge(given(pot, day(last + n))!).due!.likely);
        expect(new Set(due).size).toBe(1);
      }
    },
  );

  it('is shut until the clock opens the gate, and open once there are roots', () => {
    const s = life();
    expect(judge(given(s, day(3))!).kind).toBe('closed');
    expect(judge(given(s, day(14))!).kind).toBe('water');
    const none = { rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0 };
    const rooted = life(POTTED, {
      kind: 'tally',
      batch: 'b1',
      day: day(3),
      counts: { ...none, rooted: 4 },
    });
    expect(given(rooted, day(3))!.gateAt).toBe(0);
    // A breach is no opening of the gate.
    const breached = life(POTTED, {
      kind: 'watered',
      batch: 'b1',
      day: day(3),
      how: 'misted',
      breach: 'slip',
    });
    expect(judge(given(breached, day(4))!).kind).toBe('closed');
  });

  it('a wound that cannot close keeps the can away', () => {
    const cold = state(
      put('space', 'bench', { tempC: 2, rh: 0.5 }),
      batchPut({ ...POTTED, school: 'straight-in' }),
      { kind: 'cut', batch: 'b1', day: DAY },
      { kind: 'stuck', batch: 'b1', day: DAY },
    );
    expect(judge(given(cold, day(20))!)).toMatchObject({ kind: 'closed', opens: null });
  });

  it('takes the school of the batch, else the grower’s, else what suits', () => {
    const schoolOf = (s: State) => waterSchoolOf(s, s.batches.get('b1')!);
    const of = (...drafts: Drafts) => schoolOf(life(POTTED, ...drafts));
    const because = (fields: BatchFields) => {
      const s = life({ ...POTTED, ...fields });
      return usualSchool(s, s.batches.get('b1')!).because;
    };
    const inPot = (fields: BatchFields) => schoolOf(life({ ...POTTED, ...fields }));
    // In grit the top dries long before the rest: there a stick tells, not a finger.
    expect(of()).toBe('top-60');
    expect(inPot({ mix: 'coir' })).toBe('top-25');
    expect(inPot({ container: 'tray-4' })).toBe('top-25');
    expect(inPot({ container: 'pot-12', mix: 'coir' })).toBe('top-60');
    // What has no stores is not left so long, in grit neither.
    expect(inPot({ taxon: 'haberlea-rhodopensis', method: 'leaf' })).toBe('top-25');
    expect(because({})).toBe('dry-top');
    expect(because({ container: 'tray-4' })).toBe('rot');
    expect(because({ taxon: 'haberlea-rhodopensis', method: 'leaf' })).toBe('no-stores');
    expect(because({ taxon: 'dracaena-trifasciata', method: 'leaf' })).toBe('stores');
    expect(of(put('settings', 'grower', { waterSchool: 'third' }))).toBe('third');
    expect(
      of(
        put('settings', 'grower', { waterSchool: 'third' }),
        put('batch', 'b1', { waterSchool: 'bone-dry' }),
      ),
    ).toBe('bone-dry');
    // What has stores of its own is left to dry out, whatever its way.
    expect(of(put('batch', 'b1', { taxon: 'dracaena-trifasciata' }))).toBe('bone-dry');
  });

  it('grit on top halves what the air takes', () => {
    const bare = given(life(), day(9))!;
    const dressed = given(life({ ...POTTED, dressed: true }), day(9))!;
    expect(dressed.evaporation[0]! / bare.evaporation[0]!).toBeCloseTo(0.5, 12);
    const moist = given(life({ ...POTTED, topDress: 'moist' }), day(9))!;
    expect(moist.evaporation[0]! / bare.evaporation[0]!).toBeCloseTo(0.7, 12);
  });
});

describe('how deep one feels what is kept damp', () => {
  it.each([
    ['a stem', {}, 25],
    ['one set shallow', { stemMm: 12 }, 12],
    ['a long branch: no finger goes deeper', { stemMm: 120 }, 25],
    ['a leaf that lies', { method: 'leaf', course: 'laid' }, 3],
    ['a leaf leaned under a layer that holds', { method: 'leaf', course: 'propped' }, 3],
  ] as const)('%s', (_, fields, mm) => {
    expect(given(life({ ...POTTED, ...fields }), day(5))?.feltMm).toBe(mm);
  });
});
