import ICAL from 'ical.js';
import {
  clockOf,
  containerOf,
  figuresOf,
  GENUS_WEIGHT,
  paceFrom,
  paceVector,
  paceWords,
  rootingPace,
  sumOf,
  type PaceEvidence,
} from '../bench';
import { CATALOGUE, methodOf, shareBy, timeOf, timeWithin, type MethodId } from '../botany';
import { addDays, daysBetween } from '../days';
import { calendarOf } from '../formats';
import { fold, foldBatch, type BatchFields } from '../journal';
import { careOf } from '../care';
import { roundOn, verdictsOn } from '../round';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import {
  chanceOfAtLeast,
  forOneBatch,
  containersFor,
  costOf,
  firstWaterOutlooks,
  givingOf,
  materialsOf,
  risksOf,
  spareOf,
  waysTo,
  yieldOf,
  type Wish,
} from '.';

type Draft = Parameters<typeof written>[0];
const bench: Draft = {
  kind: 'put',
  record: 'space',
  key: 'bench',
  day: DAY,
  fields: { name: 'Bench', tempC: 22, rh: 0.55 },
};
const mother = (has: Partial<Record<MethodId, number>>): Draft => ({
  kind: 'put',
  record: 'mother',
  key: 'm1',
  day: DAY,
  fields: { name: 'Bowl', taxon: 'echeveria-elegans', permission: 'own', has },
});
const wish = (over: Partial<Wish> = {}): Wish => ({
  taxon: 'echeveria-elegans',
  count: 12,
  size: 'rooted',
  by: addDays(DAY, 90),
  certainty: 0.8,
  cutOn: DAY,
  space: 'bench',
  mother: 'm1',
  ...over,
});
const taxon = (id: string) => CATALOGUE.find((t) => t.id === id)!;
const crown = methodOf(taxon('echeveria-elegans'), 'crown')!;

describe('what a mother can spare', () => {
  it('a third of her leaves, one head at least, all parts of a clump but one', () => {
    const has = { leaf: 40, crown: 1, division: 4, offset: 3 };
    const count = (m: MethodId) => spareOf({ has }, m)?.count;
    expect([count('leaf'), count('crown'), count('division'), count('offset')]).toEqual([
      13, 1, 3, 3,
    ]);
    expect(spareOf({ has: { crown: 0 } }, 'crown')!.count).toBe(0);
    expect(spareOf({ has }, 'pad')).toBeNull();
    expect(spareOf({}, 'leaf')).toBeNull();
  });

  it('holds the plan back to it, and says how many can be had of it', () => {
    const poor = fold(written(bench, mother({ leaf: 9, crown: 2, offset: 1 })));
    const ways = waysTo(poor, wish())!;
    expect(ways.best).toBeNull();
    expect(ways.instead).toMatchObject({ instead: 'fewer', hers: true });
    const rich = fold(written(bench, mother({ leaf: 90, crown: 2, offset: 1 })));
    expect(waysTo(rich, wish())!.best!.method).toBe('leaf');
  });

  it('gives as much as is safe, or what lies there, with its range', () => {
    const state = fold(written(bench, mother({ leaf: 90, offset: 3 })));
    const safe = givingOf(state, wish(), null);
    expect(safe.filter((g) => g.spare!.guess === null).map((g) => [g.way.method, g.taken])).toEqual(
      [
        ['leaf', 30],
        ['offset', 3],
      ],
    );
    // What nobody counted is offered by her build, and said to be so.
    expect(safe.find((g) => g.way.method === 'crown')).toMatchObject({
      taken: 1,
      spare: { guess: { low: 0, high: 1 } },
    });
    const [fallen] = givingOf(state, wish(), { leaf: 30 });
    expect(fallen!.plants.likely).toBeCloseTo(30 * 0.7 * fallen!.way.ready, 6);
    expect(fallen!.plants.low).toBeLessThan(fallen!.plants.likely);
    expect(fallen!.plants.high).toBeGreaterThan(fallen!.plants.likely);
  });
});

describe('what pieces give', () => {
  it('its bounds are the quantiles of the beta-binomial', () => {
    const belief = { a: 5.6, b: 2.4 };
    const { low, high, likely } = yieldOf(30, belief, 0.8);
    expect(likely).toBeCloseTo(30 * 0.7 * 0.8, 12);
    // What is taken is one batch, and batches differ.
    const batch = forOneBatch(belief);
    expect(chanceOfAtLeast(low, 30, batch, 0.8)).toBeGreaterThanOrEqual(0.9);
    expect(chanceOfAtLeast(low + 1, 30, batch, 0.8)).toBeLessThan(0.9);
    expect(chanceOfAtLeast(high, 30, batch, 0.8)).toBeGreaterThanOrEqual(0.1);
    expect(chanceOfAtLeast(high + 1, 30, batch, 0.8)).toBeLessThan(0.1);
    expect(yieldOf(0, belief)).toEqual({ likely: 0, low: 0, high: 0 });
  });
});

const paceOfAll = (groups: readonly (PaceEvidence & { readonly weight: number })[]) =>
  paceFrom(sumOf(groups.map((g) => ({ vector: paceVector(g), weight: g.weight }))));

describe('evidence of the pace adds up', () => {
  const time = timeWithin({ from: 14, to: 28 });

  it('to what was summed batch by batch at every pace', () => {
    const groups = [
      { seen: [{ after: 7, by: 14, count: 4 }], time, waits: { growth: 30, count: 6, share: 0.8 } },
      { seen: [{ after: 20, by: 40, count: 9 }], time: timeWithin({ from: 21, to: 60 }) },
    ];
    const sum = sumOf(groups.map((g) => ({ vector: paceVector(g), weight: 1 })));
    // Worked by hand at pace e^0.9, point 90 of a grid from -1.8 in steps of 0.03.
    const x = 0.9;
    const by = (t: typeof time, growth: number): number => shareBy(t, growth / Math.exp(x));
    const first =
      (1 / (1 + 9 * 0.2)) *
      (4 * Math.log(by(time, 14) - by(time, 7)) + 6 * Math.log(1 - 0.8 * by(time, 30)));
    const wide = groups[1]!.time;
    const second = (9 / (1 + 8 * 0.2)) * Math.log(by(wide, 40) - by(wide, 20));
    expect(sum[90]).toBeCloseTo(first + second, 9);
  });

  it('also where it is next to impossible at every pace', () => {
    const day = timeWithin({ from: 20, to: 20 });
    const slow = paceVector({ time: day, seen: [{ after: 90_000, by: 99_000, count: 3 }] });
    const waits = { growth: 99_000, count: 5, share: 1 };
    const never = paceVector({ time: day, seen: [], waits });
    const sum = sumOf([
      { vector: slow, weight: 1 },
      { vector: never, weight: 0.3 },
      { vector: never, weight: -0.3 },
    ]);
    expect(paceFrom(sum).factor).toBeGreaterThan(0);
    expect([...sum].every(Number.isFinite)).toBe(true);
  });

  it('in any order, and what is taken away again leaves no trace', () => {
    const one = paceVector({ time, seen: [{ after: 7, by: 14, count: 4 }] });
    const two = paceVector({ time, seen: [{ after: 14, by: 30, count: 2 }] });
    const both = sumOf([one, two].map((vector) => ({ vector, weight: 1 })));
    const turned = sumOf([two, one].map((vector) => ({ vector, weight: 1 })));
    const back = sumOf([
      { vector: both, weight: 1 },
      { vector: two, weight: -1 },
    ]);
    one.forEach((value, i) => {
      expect(turned[i]).toBeCloseTo(both[i]!, 9);
      expect(back[i]).toBeCloseTo(value, 9);
    });
  });
});

describe('the pace of roots, from a batch that waits', () => {
  const time = timeWithin({ from: 14, to: 28 });
  const waits = (growth: number) => ({ growth, count: 20, share: 0.9 });

  it('is slower the longer it waits, and says next to nothing while none could have roots', () => {
    const at = (growth: number): number =>
      paceOfAll([{ seen: [], weight: 1, time, waits: waits(growth) }]).factor;
    expect(at(5)).toBeCloseTo(1, 1);
    expect(at(28)).toBeGreaterThan(at(14));
    expect(at(60)).toBeGreaterThan(1.5);
  });

  it('beside some that rooted early it keeps them from being taken for all', () => {
    const seen = [{ after: 7, by: 14, count: 4 }];
    const alone = paceOfAll([{ seen, weight: 1, time }]).factor;
    const withRest = paceOfAll([{ seen, weight: 1, time, waits: waits(28) }]).factor;
    expect(withRest).toBeGreaterThan(alone);
  });
});

describe('the pace of roots, learned', () => {
  const time = timeWithin({ from: 14, to: 28 });

  it('comes back from a thousand cuttings that rooted at that pace', () => {
    const edges = [0, 10, 20, 30, 40, 50, 60, 80, 120];
    const seen = edges.slice(1).map((by, i) => ({
      after: edges[i]!,
      by,
      count: Math.round(1000 * (shareBy(time, by / 1.5) - shareBy(time, edges[i]! / 1.5))),
    }));
    // One by one: each of a batch of its own, so that each counts in full.
    const groups = seen.flatMap((s) =>
      Array.from({ length: s.count }, () => ({ seen: [{ ...s, count: 1 }], weight: 1 })),
    );
    const { factor, low, high } = paceOfAll(groups.map((g) => ({ ...g, time })));
    expect(factor).toBeCloseTo(1.5, 1);
    expect(high / low).toBeLessThan(1.1);
    // As one batch they share tray and weather, and tell far less.
    const one = paceOfAll([{ seen, weight: 1, time }]);
    expect(one.high / one.low).toBeGreaterThan(1.15);
  });

  it('is learned from the slow as from the quick', () => {
    const seenBy = (by: number) =>
      paceOfAll([{ seen: [{ after: by - 10, by, count: 20 }], weight: 1, time }]).factor;
    const factors = [20, 40, 60, 80, 90, 120].map(seenBy);
    for (const [i, f] of factors.entries()) if (i > 0) expect(f).toBeGreaterThan(factors[i - 1]!);
  });

  it('a mate is measured by its own window, not by this plant’s', () => {
    const slow = timeWithin({ from: 21, to: 60 });
    const asItsOwn = [0.25, 0.5, 0.75].map((share) => {
      const at = slow.scale * (-Math.log(1 - share)) ** (1 / slow.shape);
      return { after: at - 3, by: at + 3, count: 5 };
    });
    expect(paceOfAll([{ seen: asItsOwn, weight: 1, time: slow }]).factor).toBeCloseTo(1, 1);
  });

  it('own window in, factor 1 out, for every pair of a genus and way', () => {
    const genus = (t: (typeof CATALOGUE)[number]): string => t.name.split(' ')[0]!;
    let pairs = 0;
    for (const mate of CATALOGUE)
      for (const way of mate.methods) {
        const others = CATALOGUE.filter(
          (t) => t !== mate && genus(t) === genus(mate) && methodOf(t, way.method),
        );
        if (others.length === 0) continue;
        const time = timeOf(way);
        const seen = [0.1, 0.3, 0.5, 0.7, 0.9].map((share) => {
          const at = time.scale * (-Math.log(1 - share)) ** (1 / time.shape);
          return { after: at * 0.96, by: at * 1.04, count: 4 };
        });
        // What it teaches is measured by its own window, whoever asks; the asker’s own window moves nothing.
        const { factor } = paceOfAll([{ seen, weight: GENUS_WEIGHT, time }]);
        expect([mate.id, way.method, Math.abs(factor - 1) < 0.06]).toEqual([
          mate.id,
          way.method,
          true,
        ]);
        pairs += others.length;
      }
    expect(pairs).toBeGreaterThan(100);
  });

  const settled = (key: string, rootedBy: number, more: BatchFields = FIELDS): Draft[] => [
    batchPut({ ...more, count: 12 }, key),
    { kind: 'cut', batch: key, day: DAY },
    ...[rootedBy - 6, rootedBy].map((day, i): Draft => ({
      kind: 'tally',
      batch: key,
      day: addDays(DAY, day),
      counts: { rooted: i * 12, pupped: 0, rotted: 0, dried: 0, lost: 0 },
    })),
    { kind: 'ended', batch: key, day: addDays(DAY, rootedBy + 20) },
  ];

  it('settled batches move it, the genus at less weight, and the plan with it', () => {
    const none = fold(written(bench));
    expect(rootingPace(none, 'echeveria-elegans', crown)).toMatchObject({
      factor: 1,
      own: 0,
      genus: 0,
    });
    expect(paceWords(rootingPace(none, 'echeveria-elegans', crown))).toBe('catalogue');
    const late = fold(written(bench, ...settled('b1', 50), ...settled('b2', 55)));
    const pace = rootingPace(late, 'echeveria-elegans', crown);
    expect(pace).toMatchObject({ own: 24, genus: 0 });
    expect(pace.factor).toBeGreaterThan(1.3);
    expect(paceWords(pace)).toMatch(/^\d+ % slower than the catalogue, by your own 24$/);
    const genus = fold(
      written(bench, ...settled('b1', 50, { ...FIELDS, taxon: 'echeveria-agavoides' })),
    );
    const half = (state: typeof none) =>
      waysTo(state, wish())!.ways.find((w) => w.method === 'crown')!.half!;
    expect(half(late) > half(none)).toBe(true);
    const far = rootingPace(genus, 'echeveria-elegans', crown);
    // Another plant of the genus tells too, and less than its own.
    expect(far).toMatchObject({ own: 0, genus: 12 });
    expect(far.factor).toBeLessThan(pace.factor);
    expect(far.factor).toBeGreaterThan(1);
  });
});

describe('cost', () => {
  it('by hand: medium, pots, labels and minutes, over the plants to be expected', () => {
    const prices: Draft[] = [
      {
        kind: 'put',
        record: 'settings',
        key: 'grower',
        day: DAY,
        fields: { labelPrice: 0.1, hourPrice: 12 },
      },
      { kind: 'put', record: 'container', key: 'pot-7', day: DAY, fields: { price: 0.25 } },
      { kind: 'put', record: 'component', key: 'pumice', day: DAY, fields: { pricePerL: 1 } },
    ];
    const state = fold(written(bench, ...prices));
    const cost = costOf(state, {
      method: 'crown',
      taken: 10,
      plants: 8,
      container: 'pot-7',
      containers: 10,
      mix: 'all-mineral',
    });
    expect(cost.containers).toBeCloseTo(2.5, 12);
    expect(cost.labels).toBeCloseTo(1, 12);
    // Ten crowns of two minutes at 12 an hour.
    expect(cost.hands).toBeCloseTo(4, 12);
    expect(cost.total).toBeCloseTo(cost.medium! + 7.5, 12);
    expect(cost.perPlant).toBeCloseTo(cost.total! / 8, 12);
    expect(cost.unpriced.length).toBeGreaterThan(0);
    // One to a small pot or a cell; a tray holds as many as their distance lets it.
    const fills = (id: string, n: number) => containersFor(containerOf(state, id)!, n);
    expect(fills('pot-7', 10)).toBe(10);
    expect(fills('cells-24', 25)).toBe(2);
    expect(fills('tray-4', 10)).toBe(1);
    const free = costOf(fold([]), { method: 'leaf', taken: 3, plants: 2 });
    expect(free).toMatchObject({ total: null, perPlant: null, unpriced: ['labels', 'your hours'] });
  });
});

describe('risks', () => {
  it('names what may go wrong here, and nothing that may not', () => {
    const state = fold(written(bench));
    expect(risksOf(state, wish(), crown)).toEqual(['upside down it never roots']);
    const cold = fold(written({ ...bench, fields: { tempC: 3, rh: 0.9 } }));
    expect(risksOf(cold, wish(), crown)).toEqual(
      expect.arrayContaining([
        'its wound does not close in this air',
        expect.stringMatching(/too cool/),
      ]),
    );
    const strap = methodOf(taxon('dracaena-trifasciata'), 'leaf-section')!;
    expect(risksOf(state, wish({ taxon: 'dracaena-trifasciata' }), strap)).toContain(
      'variegated edges are lost',
    );
  });
});

describe('schools of first water', () => {
  const state = fold(written(bench, batchPut(), { kind: 'cut', batch: 'b1', day: DAY }));
  const clock = clockOf(state, state.batches.get('b1')!)!;

  it('only “at once” waters before the gate; each says how long the wound would sit wet', () => {
    const gate = clock.gate.state === 'dated' ? clock.gate : null;
    const rows = firstWaterOutlooks(clock, DAY);
    const of = (id: string) => rows.find((r) => r.school.id === id)!;
    for (const r of rows) if (r.on) expect(r.on >= gate!.opens).toBe(r.school.id !== 'at-once');
    expect(of('at-once').wants! < gate!.opens).toBe(true);
    expect(of('at-once').open).toBeGreaterThan(of('next-day').open);
    expect(of('at-once').wetDays).toBe(daysBetween(of('at-once').wants!, gate!.latest));
    expect(of('week').open).toBeLessThan(0.02);
    expect(of('roots-show')).toMatchObject({ wants: null, on: null });
  });

  it('without a wound there is nothing to hold it', () => {
    const rows = firstWaterOutlooks(null, DAY);
    expect(rows.find((r) => r.school.id === 'at-once')).toMatchObject({
      on: DAY,
      open: 0,
      wetDays: 0,
    });
    expect(rows.find((r) => r.school.id === 'week')!.on).toBe(addDays(DAY, 7));
  });

  const stuckBatch = (firstWater: BatchFields['firstWater'], ...more: Draft[]) =>
    fold(
      written(
        bench,
        batchPut({
          ...FIELDS,
          method: 'offset',
          firstWater,
          container: 'pot-7',
          mix: 'all-mineral',
        }),
        { kind: 'cut', batch: 'b1', day: DAY },
        { kind: 'stuck', batch: 'b1', day: addDays(DAY, 20) },
        ...more,
      ),
    );

  it('the round waits for the school, and so does the verdict', () => {
    const on = (s: ReturnType<typeof stuckBatch>, day: string) =>
      roundOn(s, day, verdictsOn(s, day));
    const week = stuckBatch('week');
    expect(on(week, addDays(DAY, 22)).do).toEqual([]);
    expect(on(week, addDays(DAY, 22)).leave).toContainEqual(
      expect.objectContaining({
        kind: 'water',
        until: addDays(DAY, 27),
        reason: { why: 'first-chosen', choice: 'week', early: false },
      }),
    );
    expect(verdictsOn(week, addDays(DAY, 22)).get('b1')).toMatchObject({ kind: 'hold' });
    expect(on(week, addDays(DAY, 27)).do[0]).toMatchObject({ kind: 'first-water' });
    const roots = stuckBatch('roots-show');
    expect(on(roots, addDays(DAY, 40)).do).toEqual([]);
    expect(verdictsOn(roots, addDays(DAY, 40)).get('b1')).toMatchObject({
      kind: 'hold',
      due: null,
      reason: { why: 'first-waits', for: 'roots' },
    });
    const rooted = stuckBatch('roots-show', {
      kind: 'tally',
      batch: 'b1',
      day: addDays(DAY, 40),
      counts: { rooted: 4, pupped: 0, rotted: 0, dried: 0, lost: 0 },
    });
    expect(verdictsOn(rooted, addDays(DAY, 41)).get('b1')!.kind).toBe('water');
  });
});

describe('the result of a plan', () => {
  const state = fold(written(bench));
  const plan = (fields: Partial<BatchFields> = {}) =>
    foldBatch(
      'plan',
      { ...FIELDS, cutOn: addDays(DAY, 10), disinfectant: 'alcohol', ...fields },
      [],
    )!;

  it('the steps of its care, dated, in their order', () => {
    const steps = careOf(state, plan(), DAY).steps;
    expect(steps.map((s) => s.id)).toEqual([
      'water-mother',
      'cut',
      'callused',
      'stick',
      'gate',
      'first-water',
      'roots',
      'light',
      'feed',
      'pot-on',
    ]);
    const at = (id: string, of = steps) => {
      const step = of.find((s) => s.id === id)!;
      if (step.is !== 'ahead') throw new Error(`${id} is ${step.is}`);
      return step;
    };
    expect(at('cut').from).toBe(addDays(DAY, 10));
    expect(at('stick').from > at('cut').from).toBe(true);
    expect(at('first-water').from >= at('stick').from).toBe(true);
    expect(at('feed').from).toBe(addDays(at('roots').from, 14));
    for (const s of steps) if (s.is === 'ahead') expect(s.from <= s.to).toBe(true);
    // Water waits a week after setting, where that was chosen.
    const week = careOf(state, plan({ firstWater: 'week' }), DAY).steps;
    expect(at('first-water', week).from).toBe(addDays(at('stick').from, 7));
  });

  it('materials: the disinfectant thinned from its bottle, litres of medium, what hands need', () => {
    const wanted = plan({ container: 'pot-7', containers: 12, mix: 'two-to-one' });
    const m = materialsOf(state, wanted, 0.96);
    // 100 mL of 70 % from 96 %: 72.9 of spirit and 27.1 of water.
    expect(m.disinfectant!.dilution!.stockMl).toBeCloseTo(72.917, 3);
    expect(m.medium!.litres).toBeGreaterThan(1);
    expect(m.labels).toBe(12);
    expect(materialsOf(state, wanted, 0.5).disinfectant).toMatchObject({
      dilution: null,
      problem: expect.stringMatching(/weaker than that/) as string,
    });
    const what = (id: string, method: MethodId) =>
      materialsOf(state, plan({ taxon: id, method }), 0.96).list.map((l) => l.what);
    expect(what('plumeria-rubra', 'branch')).toContain('Goggles and gloves');
    expect(what('opuntia-microdasys', 'pad')).toContain('Tongs or folded paper, eye cover');
    expect(what('dracaena-trifasciata', 'leaf-section')).toContain('A pen that writes on leaf');
    expect(materialsOf(state, plan({ disinfectant: 'none' }), 0.96).disinfectant).toBeNull();
    expect(figuresOf(state, wanted)).not.toBeNull();
  });

  it('a calendar that an independent parser reads: whole days, ends the day after, stable ids (RFC 5545)', () => {
    const steps = careOf(state, plan(), DAY).steps.flatMap((s) => (s.is === 'ahead' ? [s] : []));
    expect(steps.length).toBeGreaterThan(7);
    const events = steps.map((s) => ({
      uid: `plan.${s.id}@hypogeon`,
      title: `${s.id}; Bowl, north`,
      from: s.from,
      to: s.to,
      text: 'A long enough text to be folded over two lines of the file, with a comma, and more.',
    }));
    const file = calendarOf('Bowl', events, new Date('2026-03-01T08:00:00Z'));
    for (const line of file.split('\r\n'))
      expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
    const parsed = new ICAL.Component(ICAL.parse(file) as []);
    const read = parsed.getAllSubcomponents('vevent').map((v) => new ICAL.Event(v));
    expect(read).toHaveLength(steps.length);
    read.forEach((event, i) => {
      expect(event.uid).toBe(events[i]!.uid);
      expect(event.summary).toBe(events[i]!.title);
      expect(event.description).toBe(events[i]!.text);
      expect(event.startDate.isDate).toBe(true);
      expect(event.startDate.toString()).toBe(events[i]!.from);
      expect(event.endDate.toString()).toBe(addDays(events[i]!.to, 1));
    });
    const again = calendarOf('Bowl', events, new Date('2026-05-01T08:00:00Z'));
    expect(again.replace(/DTSTAMP:.*/g, '')).toBe(file.replace(/DTSTAMP:.*/g, ''));
  });
});
