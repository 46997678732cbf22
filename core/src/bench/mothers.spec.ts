import {
  CATALOGUE,
  everyWay,
  lightNeedOf,
  lightSteps,
  methodOf,
  METHODS,
  PLANNED_METHODS,
} from '../botany';
import { sunUpHours } from '../climate';
import { addDays } from '../days';
import { append, fold, type KnownEntry, type SpaceFields } from '../journal';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import { mother, settings, space, type Draft } from '../testing/mothers';
import {
  clockOf,
  cutTogether,
  familyOf,
  familyRows,
  growingDay,
  paceOf,
  pacePriorFor,
  plantOf,
  plants,
  seasonNow,
  seasonOn,
  seasonSpells,
  seasonYear,
} from '.';

const taxon = (id: string) => CATALOGUE.find((t) => t.id === id)!;

/** A temperate year with its warmest month at `warmest` (0 = January). */
const year = (warmest: number, mean = 12, swing = 9) =>
  Array.from({ length: 12 }, (_, m) => {
    const t = mean + swing * Math.cos(((m - warmest) / 12) * 2 * Math.PI);
    return { minC: t - 5, maxC: t + 5, rh: 0.65 };
  });

describe('the season of a plant where it stands', () => {
  const north = fold(written(settings(50), space({ monthly: year(6) })));
  const south = fold(written(settings(-50), space({ monthly: year(0) })));

  it('is half a year apart in the two hemispheres, from air and light alone', () => {
    const at = (state: typeof north, day: string) =>
      seasonOn(state, taxon('echeveria-elegans'), 'bench', day).state;
    expect(at(north, '2026-07-10')).toBe('active');
    expect(at(south, '2026-07-10')).not.toBe('active');
    expect(at(south, '2026-01-10')).toBe('active');
    expect(at(north, '2026-01-10')).not.toBe('active');
    // The days there are as long as FAO-56 eq. 34 says, checked against its examples in climate.
    expect(growingDay(south, 'bench', '2026-01-10').dayHours).toBeCloseTo(
      sunUpHours(-50, '2026-01-10'),
      12,
    );
  });

  it('winter growers wake when summer growers rest', () => {
    const warm = fold(written(settings(35), space({ monthly: year(6, 19, 9) })));
    const state = (id: string, day: string) => seasonOn(warm, taxon(id), 'bench', day).state;
    expect(state('aeonium-arboreum', '2026-01-15')).toBe('active');
    expect(state('aeonium-arboreum', '2026-07-20')).toBe('resting');
    expect(state('plumeria-rubra', '2026-07-20')).toBe('active');
    expect(state('plumeria-rubra', '2026-01-15')).toBe('resting');
  });

  it('a warm room is held back by short days, and lamps stand in for them', () => {
    const room = (lamps: SpaceFields) =>
      seasonOn(
        fold(written(settings(55), space(lamps))),
        taxon('echeveria-elegans'),
        'bench',
        '2026-12-21',
      );
    expect(room({})).toMatchObject({
      state: 'marginal',
      reason: expect.stringContaining('days this short') as string,
    });
    expect(room({ lampPpfd: 150, lampHours: 12 })).toMatchObject({ state: 'active', dayHours: 12 });
    // A glimmer is no lamp; in the tropics days are never short.
    expect(room({ lampPpfd: 5, lampHours: 12 }).state).toBe('marginal');
    const tropics = fold(written(settings(4), space({ tempC: 25 })));
    expect(
      new Set(seasonYear(tropics, taxon('echeveria-elegans'), 'bench', DAY).map((d) => d.state)),
    ).toEqual(new Set(['active']));
  });

  it('says when it opens, when it closes, and where frost may come', () => {
    const open = seasonNow(seasonYear(north, taxon('echeveria-elegans'), 'bench', '2026-01-10'));
    expect(open.closes).toBeNull();
    expect(open.opens! > '2026-03-15' && open.opens! < '2026-06-15').toBe(true);
    const now = seasonNow(seasonYear(north, taxon('echeveria-elegans'), 'bench', '2026-07-10'));
    expect(now.opens).toBeNull();
    expect(now.closes! > '2026-08-15' && now.closes! < '2026-11-01').toBe(true);
    const cold = fold(written(settings(50), space({ monthly: year(6, 6, 9) })));
    expect(seasonOn(cold, taxon('echeveria-elegans'), 'bench', '2026-01-10')).toMatchObject({
      frost: true,
      state: 'resting',
      reason: 'frost may come: nothing is cut or set out',
    });
    const spells = seasonSpells(
      seasonYear(cold, taxon('echeveria-elegans'), 'bench', '2026-01-01'),
    );
    expect(spells[0]!.state).toBe('frost');
    expect(spells.at(-1)!.to).toBe('2026-12-31');
    for (let i = 1; i < spells.length; i++)
      expect(spells[i]!.from).toBe(addDays(spells[i - 1]!.to, 1));
    expect(() => seasonNow([])).toThrow(RangeError);
  });
});

describe('the family of a mother', () => {
  const family = fold(
    written(
      mother(),
      batchPut({ ...FIELDS, mother: 'm1' }, 'b1'),
      batchPut({ ...FIELDS, mother: 'm1', cutOn: addDays(DAY, -30) }, 'b2'),
      mother({ name: 'Daughter', fromBatch: 'b1' }, 'm2'),
      batchPut({ ...FIELDS, mother: 'm2' }, 'b3'),
    ),
  );

  it('runs from the eldest down, whoever is asked', () => {
    const rows = familyRows(familyOf(family, 'm2')).map((r) => `${r.depth} ${r.id}`);
    expect(rows).toEqual(['0 m1', '1 b2', '1 b1', '2 m2', '3 b3']);
    expect(familyOf(family, 'm1')).toEqual(familyOf(family, 'm2'));
  });

  it('may be three thousand generations long', () => {
    const line = Array.from({ length: 3000 }, (_, i) => [
      mother(i === 0 ? {} : { fromBatch: `b${i}` }, `m${i}`),
      batchPut({ ...FIELDS, mother: `m${i}` }, `b${i + 1}`),
    ]).flat();
    const rows = familyRows(familyOf(fold(written(...line)), 'm2999'));
    expect(rows).toHaveLength(6000);
    expect(rows.at(-1)).toEqual({ kind: 'batch', id: 'b3000', depth: 5999 });
  });

  it('knows what was cut of one plant at one time', () => {
    const together = fold(
      written(
        batchPut({ ...FIELDS }, 'b1'),
        batchPut({ ...FIELDS, cutWith: 'b1' }, 'b2'),
        batchPut({ ...FIELDS, cutWith: 'b1' }, 'b3'),
        batchPut({ ...FIELDS }, 'b4'),
      ),
    );
    const of = (id: string) => cutTogether(together, together.batches.get(id)!).map((b) => b.id);
    expect(of('b1')).toEqual(['b2', 'b3']);
    expect(of('b3')).toEqual(['b1', 'b2']);
    expect(of('b4')).toEqual([]);
  });

  it('a circle in the records ends where it closes', () => {
    const circle = fold(
      written(mother({ fromBatch: 'b1' }, 'm1'), batchPut({ ...FIELDS, mother: 'm1' }, 'b1')),
    );
    expect(familyRows(familyOf(circle, 'm1')).length).toBeLessThanOrEqual(3);
    expect(familyRows(familyOf(family, 'nobody'))).toEqual([
      { kind: 'mother', id: 'nobody', depth: 0 },
    ]);
  });
});

describe('own figures of a plant', () => {
  const own = (
    fields: Extract<KnownEntry, { kind: 'put'; record: 'taxon' }>['fields'],
    key = 'echeveria-elegans',
  ): Draft => ({
    kind: 'put',
    record: 'taxon',
    key,
    day: DAY,
    fields,
  });

  it('stand over the library’s, and say whose they are', () => {
    const state = fold(
      written(
        own({
          season: { fromC: 10, toC: 30 },
          methods: [
            { method: 'leaf', success: 0.5, roots: [9, 20], pups: [40, 70], widthMm: 4 },
            { method: 'crown', worth: 'no', why: 'Ours never bare a stem.' },
            { method: 'division', success: 0.9, roots: [10, 20] },
            { method: 'pad', why: 'no figures yet' },
          ],
        }),
      ),
    );
    const t = plantOf(state, 'echeveria-elegans')!.taxon;
    expect(t.season).toMatchObject({ fromC: 10, toC: 30, evidence: 'measured here' });
    expect(methodOf(t, 'leaf')).toMatchObject({
      success: { mean: 0.5, evidence: 'measured here' },
      roots: { from: 9, to: 20 },
      wound: { widthMm: 4, tissue: 'leaf base' },
    });
    expect(methodOf(t, 'crown')).toBeUndefined();
    expect(t.not).toContainEqual({ method: 'crown', why: 'Ours never bare a stem.' });
    expect(methodOf(t, 'division')).toMatchObject({
      worth: 'good',
      wound: { tissue: 'soft stem' },
    });
    expect(methodOf(t, 'pad')).toBeUndefined();
    // The library itself is as it was, and the plant stands in the list once.
    expect(methodOf(taxon('echeveria-elegans'), 'crown')).toBeDefined();
    expect(plants(state).filter((p) => p.id === 'echeveria-elegans')).toHaveLength(1);
  });

  it('a plant of one’s own borrows, and then has its own', () => {
    const state = fold(
      written(
        own(
          {
            name: 'Blue cross',
            like: 'echeveria-elegans',
            methods: [{ method: 'leaf', success: 0.3 }],
          },
          'x1',
        ),
      ),
    );
    const plant = plantOf(state, 'x1')!;
    expect(plant).toMatchObject({ name: 'Blue cross', like: 'Echeveria elegans' });
    expect(methodOf(plant.taxon, 'leaf')!.success.mean).toBe(0.3);
    expect(methodOf(plant.taxon, 'crown')!.success.mean).toBeCloseTo(0.92, 12);
  });
});

describe('every method for every plant', () => {
  it.each(CATALOGUE.map((t) => [t.name, t] as const))(
    '%s: possible, poor or no, and why',
    (_name, t) => {
      const ways = everyWay(t);
      // A way that few take is only spoken of where this plant takes it.
      const spoken = METHODS.filter(
        (m) => PLANNED_METHODS.includes(m) || t.methods.some((w) => w.method === m),
      );
      expect(ways.map((w) => w.method)).toEqual(spoken);
      for (const w of ways) if (w.is !== 'good') expect(w.why).toMatch(/\S{2,}.*[.]$/);
      expect(lightSteps(lightNeedOf(t)).at(-1)!.afterDays).toBe(14);
    },
  );
});

describe('looks at wounds, over the bench', () => {
  const batch = (key: string, seen: 'tacky' | 'firm', after: number): Draft[] => [
    batchPut({ ...FIELDS }, key),
    { kind: 'cut', batch: key, day: DAY },
    { kind: 'inspected', batch: key, seen, day: addDays(DAY, after) },
  ];
  const plain = fold(written(space({}), ...batch('b1', 'tacky', 1).slice(0, 2)));

  it('one bench’s slow wounds shift the gates of the others, by other wounds’ looks and its own once', () => {
    const slow = fold(
      written(
        space({}),
        ...batch('b1', 'tacky', 1).slice(0, 2),
        ...['b2', 'b3', 'b4', 'b5'].flatMap((k) => batch(k, 'tacky', 5)),
      ),
    );
    expect(paceOf(slow)).toMatchObject({ wounds: 4, looks: 4 });
    expect(paceOf(slow).factor).toBeGreaterThan(1.1);
    const opens = (state: typeof plain) => clockOf(state, state.batches.get('b1')!)!.gate;
    const [before, after] = [opens(plain), opens(slow)];
    expect(before.state === 'dated' && after.state === 'dated' && after.opens > before.opens).toBe(
      true,
    );
    // Own figures of the plant change what the same looks say.
    const own = append(slow, {
      ...written({
        kind: 'put',
        record: 'taxon',
        key: FIELDS.taxon!,
        day: DAY,
        fields: { methods: [{ method: 'crown', widthMm: 16 }] },
      })[0]!,
      id: 'own',
      at: '2026-03-09T08:00:00.000Z~0000',
    });
    expect(paceOf(own).factor).toBeLessThan(paceOf(slow).factor);
    // A wound’s own looks are not counted twice.
    expect(pacePriorFor(plain, plain.batches.get('b1'))).toBeUndefined();
    const alone = fold(written(space({}), ...batch('b1', 'tacky', 5)));
    expect(pacePriorFor(alone, alone.batches.get('b1'))).toBeUndefined();
    expect(pacePriorFor(alone)).toBeDefined();
  });
});
