import * as fc from 'fast-check';
import { CATALOGUE, coursesFor, METHODS, type MethodId } from '../botany';
import { fold, type Batch, type BatchFields, type State } from '../journal';
import { UNROOTED_WATERS, FIRST_WATERS } from '../water';
import { WOUND_SCHOOLS } from '../wound';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import { deedsOf, storyDay } from '../testing/story';
import { careOf, type Ask, type Care, type StepId } from '.';

/*
 * The eight laws of care, over batches of every plant, way and course, with deeds in any order. `LAWS=400` runs more
 * batches than the suite does.
 */
const RUNS = Number(process.env.LAWS ?? 60);
const DAYS = 130;

type Draft = Parameters<typeof written>[number];

const WAYS: readonly (readonly [taxon: string, method: MethodId])[] = CATALOGUE.flatMap((t) => [
  ...t.methods.map((m) => [t.id, m.method] as const),
  ...METHODS.slice(-5).map((m) => [t.id, m] as const),
]);

const deed = fc.oneof(
  { weight: 4, arbitrary: fc.constant('set') },
  {
    weight: 3,
    arbitrary: fc.constantFrom(
      'tacky',
      'firm',
      'fine',
      'wrinkled',
      'soft',
      'torn',
      'recut',
      'roots-cut',
    ),
  },
  { weight: 4, arbitrary: fc.constantFrom('water', 'mist', 'breach') },
  {
    weight: 5,
    arbitrary: fc.constantFrom(
      'count 0r',
      'count 3r',
      'count 6r 1x',
      'count 5r 3p',
      'count 8r 1x 1d',
      'count 4r 4p 1x 1d',
    ),
  },
  { weight: 2, arbitrary: fc.constantFrom('potted 2', 'potted 3 bared', 'potted 5 hurt') },
  { weight: 2, arbitrary: fc.constantFrom('set 3', 'set wet', 'wean', 'root 30mm', 'root 8mm') },
  {
    weight: 2,
    arbitrary: fc.constantFrom('stir', 'change', 'light', 'feed', 'jar-feed', 'leaf-off'),
  },
  {
    weight: 1,
    arbitrary: fc.constantFrom(
      'put-off roots 60',
      'put-off stick 30',
      'put-off feed',
      'put-off water',
    ),
  },
);

interface Life {
  readonly fields: BatchFields;
  readonly deeds: readonly (readonly [number, string])[];
  readonly room: { readonly tempC: number; readonly rh: number };
}

const life: fc.Arbitrary<Life> = fc
  .record({
    way: fc.constantFrom(...WAYS),
    pick: fc.nat(20),
    school: fc.constantFrom(...WOUND_SCHOOLS),
    callusAt: fc.constantFrom('rack' as const, 'medium' as const),
    firstWater: fc.option(fc.constantFrom(...FIRST_WATERS), { nil: null, freq: 2 }),
    unrootedWater: fc.option(fc.constantFrom(...UNROOTED_WATERS), { nil: null, freq: 2 }),
    dryDays: fc.option(fc.constantFrom(0, 0.25, 2, 14), { nil: null, freq: 4 }),
    pot: fc.boolean(),
    containers: fc.option(fc.constantFrom(1, 10), { nil: null }),
    room: fc.constantFrom(
      { tempC: 22, rh: 0.55 },
      { tempC: 15, rh: 0.7 },
      { tempC: 27, rh: 0.4 },
      { tempC: 2, rh: 0.7 },
    ),
    deeds: fc.array(fc.tuple(fc.nat(DAYS), deed), { maxLength: 14 }),
  })
  .map(({ way: [taxon, method], pick, pot, room, deeds, ...choice }) => {
    const plant = CATALOGUE.find((t) => t.id === taxon)!;
    const wound = plant.methods.find((m) => m.method === method)?.wound ?? null;
    const courses = coursesFor(plant, method, wound);
    return {
      fields: {
        ...FIELDS,
        mother: null,
        taxon,
        method,
        count: 10,
        ...choice,
        ...(pick % 3 === 0 ? { course: courses[pick % courses.length]! } : {}),
        ...(pot ? { container: 'pot-7', mix: 'two-to-one' } : {}),
      },
      deeds: [[0, 'cut'] as const, ...[...deeds].sort(([a], [b]) => a - b)],
      room,
    };
  });

const entriesOf = ({ fields, deeds, room }: Life) =>
  written(
    { kind: 'put', record: 'space', day: DAY, key: 'bench', fields: { name: 'Bench', ...room } },
    batchPut(fields),
    ...deeds.flatMap(([n, d]): readonly Draft[] => deedsOf(d, n)),
  );

const stateOf = (l: Life): State => fold(entriesOf(l));
const batchOf = (state: State): Batch => state.batches.get('b1')!;

/** The last day anything was written of it: from then on only time passes. */
const lastDay = ({ deeds }: Life): number => Math.max(...deeds.map(([n]) => n));

/** Steps that a task is told by. */
const STEP_OF: Readonly<Partial<Record<Ask['kind'], StepId>>> = {
  cut: 'cut',
  stick: 'stick',
  'first-water': 'first-water',
  roots: 'roots',
  overdue: 'roots',
  wean: 'wean',
  pups: 'pups',
  light: 'light',
  feed: 'feed',
  'pot-on': 'pot-on',
};

/** What contradicts itself in one answer; empty where nothing does. */
function contradictions({ asks, leave, steps }: Care, chosen: boolean): readonly string[] {
  const asked = new Set<string>(asks.map((a) => a.kind));
  const left = new Set<string>(leave.map((l) => l.kind));
  const wrong: string[] = [];
  if (asked.size < asks.length) wrong.push(`asked twice: ${asks.map((a) => a.kind).join()}`);
  if (!chosen && left.has('gate') && ['first-water', 'water', 'mist'].some((k) => asked.has(k)))
    wrong.push('a shut gate and the can');
  if (left.has('drying') && asked.has('stick')) wrong.push('drying and set');
  if (left.has('rooting') && (asked.has('roots') || asked.has('overdue')))
    wrong.push('leave the roots and look for them');
  if (left.has('water') && (asked.has('water') || asked.has('mist') || asked.has('first-water')))
    wrong.push('no water and water');
  if (left.has('held') && ['first-water', 'water', 'mist'].some((k) => asked.has(k)))
    wrong.push('the can held and asked for');
  for (const kind of asked) {
    const id = STEP_OF[kind as Ask['kind']];
    const step = steps.find((s) => s.id === id);
    if (step && step.is !== 'due' && step.is !== 'late')
      wrong.push(`${kind} is asked, and its step is ${step.is}`);
  }
  return wrong;
}

const shown = (care: Care): string =>
  JSON.stringify([
    care.course,
    care.asks.map((a) => [a.kind, a.count, a.since, a.late, a.reason]),
    care.leave.map((l) => [l.kind, l.until, l.reason]),
    care.steps,
  ]);

let days = 0;
let batches = 0;
afterAll(() => console.info(`laws of care: ${batches} batches, ${days} days`));

const check = (name: string, law: (l: Life, state: State) => void): void =>
  it(name, () => {
    fc.assert(
      fc.property(life, (l) => {
        batches++;
        law(l, stateOf(l));
      }),
      { numRuns: RUNS, endOnFailure: true },
    );
  });

describe('the laws of care', () => {
  check('1 and 2: never silent, never in two minds', (l, state) => {
    const batch = batchOf(state);
    const living = batch.here.waiting + batch.here.rooted + batch.here.pupped > 0;
    for (let n = 0; n < DAYS; n++) {
      days++;
      const care = careOf(state, batch, storyDay(n));
      if (living && care.asks.length + care.leave.length === 0) throw new Error(`day ${n}: silent`);
      for (const until of care.leave.map((x) => x.until))
        if (!/^\d{4}-\d\d-\d\d$/.test(until)) throw new Error(`day ${n}: no date`);
      const wrong = contradictions(care, l.fields.firstWater === 'at-once');
      if (wrong.length > 0) throw new Error(`day ${n}: ${wrong.join('; ')}`);
    }
  });

  check('3: what is due stays due, and its days are counted', (l, state) => {
    const batch = batchOf(state);
    // Light is over once it is hardened, feed with the season; neighbours after two weeks.
    const passing = new Set([
      'light',
      'feed',
      'neighbour',
      'wound',
      'roots',
      'overdue',
      'pups',
      'stopped',
    ]);
    const from = lastDay(l);
    let before: readonly Ask[] = careOf(state, batch, storyDay(from)).asks;
    for (let n = from + 1; n < from + 90; n++) {
      const put = [...batch.putOff.values()].some((p) => p.until === storyDay(n));
      const asks = careOf(state, batch, storyDay(n)).asks;
      const grown = careOf(state, batch, storyDay(n)).leave.some((x) => x.kind === 'grown');
      for (const ask of before) {
        if (passing.has(ask.kind) || put || grown) continue;
        const again =
          asks.find((a) => a.kind === ask.kind) ??
          // A jar's stir becomes its change, and what stood too long a look whether it lives.
          asks.find(
            (a) => a.kind === 'alive' || (ask.kind === 'jar-stir' && a.kind === 'jar-change'),
          );
        if (!again) throw new Error(`day ${n}: ${ask.kind} is forgotten`);
        if (again.kind === ask.kind && again.since === ask.since && again.late !== ask.late + 1)
          if (ask.late > 0 || again.late > 1)
            throw new Error(`day ${n}: ${ask.kind} is ${again.late} days late after ${ask.late}`);
      }
      before = asks;
    }
  });

  check('4: no first water before the gate, unless that was chosen', (l, state) => {
    if (l.fields.firstWater === 'at-once') return;
    const batch = batchOf(state);
    for (let n = 0; n < DAYS; n++) {
      const { asks, leave } = careOf(state, batch, storyDay(n));
      const gate = leave.find((x) => x.kind === 'gate');
      if (gate && gate.until <= storyDay(n)) throw new Error(`day ${n}: an open gate is shut`);
      const first = asks.find((a) => a.kind === 'first-water');
      const tacky = batch.woundChecks.some((c) => c.seen === 'tacky' && c.day === storyDay(n));
      if (
        first &&
        tacky &&
        batch.counts.rooted + batch.counts.pupped === 0 &&
        first.sure.by === 'closure'
      )
        throw new Error(`day ${n}: seen tacky, and water is asked for`);
    }
  });

  check('6: a count of roots is an event wherever the piece lies', (l, state) => {
    const batch = batchOf(state);
    const roots = batch.here.rooted + batch.here.pupped;
    if (roots === 0 || batch.ended !== null) return;
    const from = lastDay(l);
    // What comes next follows from it within its four weeks, if nobody does anything: set, water, light, pot …
    const asked = new Set<string>();
    for (let n = from; n < from + 60; n++)
      for (const a of careOf(state, batch, storyDay(n)).asks) asked.add(a.kind);
    for (const { kind } of careOf(state, batch, storyDay(from)).leave) asked.add(kind);
    expect(asked.size).toBeGreaterThan(0);
    const after = ['stick', 'water', 'mist', 'first-water', 'pot-water', 'pot-on', 'wean', 'light'];
    const more = ['feed', 'pups', 'jar-change', 'alive', 'grown', 'rest', 'postponed'];
    expect([...asked].some((k) => [...after, ...more].includes(k))).toBe(true);
  });

  check('7: pieces at different points are numbered, and no more than live here', (_l, state) => {
    const batch = batchOf(state);
    const living = batch.here.waiting + batch.here.rooted + batch.here.pupped;
    for (let n = 0; n < DAYS; n += 3)
      for (const { kind, count } of careOf(state, batch, storyDay(n)).asks)
        if (count < 1 || count > Math.max(living, batch.count))
          throw new Error(`day ${n}: ${kind} for ${count} of ${living}`);
  });

  it('8: the order in which entries arrive changes nothing', () => {
    fc.assert(
      fc.property(life, fc.nat(), (l, seed) => {
        const entries = entriesOf(l);
        const shuffled = [...entries].sort(
          (a, b) =>
            ((a.id.length * 7 + a.id.charCodeAt(1) * seed) % 13) -
            ((b.id.length * 7 + b.id.charCodeAt(1) * seed) % 13),
        );
        for (const n of [0, 5, 20, 60]) {
          const [one, other] = [fold(entries), fold(shuffled)].map((s) =>
            shown(careOf(s, batchOf(s), storyDay(n))),
          );
          expect(other).toBe(one);
        }
      }),
      { numRuns: RUNS, endOnFailure: true },
    );
  });
});
