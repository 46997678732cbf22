import ICAL from 'ical.js';
import { clockOf, containerOf, figuresOf } from '../bench';
import { CATALOGUE, methodOf, type MethodId } from '../botany';
import { addDays, daysBetween } from '../days';
import { calendarOf } from '../formats';
import { fold, foldBatch, type BatchFields } from '../journal';
import { careOf } from '../care';
import { roundOn, verdictsOn } from '../round';
import { certain } from '../testing/chances';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import {
  chanceOfAtLeast,
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
  it('a third of its leaves, one head at least, all parts of a clump but one', () => {
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
    expect(fallen!.plants.likely).toBeCloseTo(30 * 0.7 * fallen!.way.ready, 2);
    expect(fallen!.plants.low).toBeLessThan(fallen!.plants.likely);
    expect(fallen!.plants.high).toBeGreaterThan(fallen!.plants.likely);
  });
});

describe('what pieces give', () => {
  it('its bounds are the quantiles of the beta-binomial', () => {
    const batch = certain(5.6, 2.4, 0.8);
    const { low, high, likely } = yieldOf(30, batch);
    expect(likely).toBeCloseTo(30 * 0.7 * 0.8, 12);
    expect(chanceOfAtLeast(low, 30, batch)).toBeGreaterThanOrEqual(0.9);
    expect(chanceOfAtLeast(low + 1, 30, batch)).toBeLessThan(0.9);
    expect(chanceOfAtLeast(high, 30, batch)).toBeGreaterThanOrEqual(0.1);
    expect(chanceOfAtLeast(high + 1, 30, batch)).toBeLessThan(0.1);
    expect(yieldOf(0, batch)).toEqual({ likely: 0, low: 0, high: 0 });
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

  it('a chosen day is kept to, also before the gate; each says how long the wound would sit wet', () => {
    const gate = clock.gate.state === 'dated' ? clock.gate : null;
    const rows = firstWaterOutlooks(clock, DAY);
    const of = (id: string) => rows.find((r) => r.school.id === id)!;
    expect(of('with-gate').on).toBe(gate!.opens);
    expect(of('next-day').on).toBe(addDays(clock.stickOn!, 1));
    expect(of('at-once').on! < gate!.opens).toBe(true);
    expect(of('at-once').open).toBeGreaterThan(of('next-day').open);
    expect(of('at-once').wetDays).toBe(daysBetween(of('at-once').on!, gate!.latest));
    expect(of('week').open).toBeLessThan(0.02);
    expect(of('roots-show')).toMatchObject({ on: null });
    // What is kept dry until roots show is not watered because it would be safe.
    const dry = firstWaterOutlooks(clock, DAY, true);
    expect(dry.find((r) => r.school.id === 'with-gate')).toMatchObject({ on: null });
    expect(dry.find((r) => r.school.id === 'week')!.on).toBe(of('week').on);
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
        reason: { why: 'first-chosen', choice: 'week', open: null },
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
    // 100 mL of 70% from 96%: 72.9 of spirit and 27.1 of water.
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
