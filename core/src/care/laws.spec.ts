import * as fc from 'fast-check';
import { fold, type State } from '../journal';
import {
  anyLife,
  batchOf,
  contradictions,
  entriesOf,
  lastDay,
  LIFE_DAYS as DAYS,
  stateOf,
  type Life,
} from '../testing/lives';
import { storyDay } from '../testing/story';
import { careOf, type Ask, type Care } from '.';

/*
 * The eight laws of care, over batches of every plant, way and course, with deeds in any order. `LAWS=400` runs more
 * batches than the suite does.
 */
const RUNS = Number(process.env.LAWS ?? 60);

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
      fc.property(anyLife, (l) => {
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
      'air',
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
          // A jar's stir becomes its change, a mist some drops at the base once roots hold, and what stood too long
          // a look whether it lives.
          asks.find(
            (a) =>
              a.kind === 'alive' ||
              (ask.kind === 'jar-stir' && a.kind === 'jar-change') ||
              (ask.kind === 'mist' && a.kind === 'water'),
          );
        // Drops at the base come half as often as mists: the next may be a day or two off.
        const sips = careOf(state, batch, storyDay(n)).leave.some(
          (x) => x.kind === 'water' && x.until <= storyDay(n + 4),
        );
        if (!again && ask.kind === 'mist' && ask.late <= 2 && sips) continue;
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
    // What is left alone counts too: at once, and as soon as a wound that was laid open again has closed.
    let shut = from;
    while (
      careOf(state, batch, storyDay(shut)).leave.some((x) => x.kind === 'gate') &&
      shut < from + 60
    )
      shut++;
    for (const n of [from, shut])
      for (const { kind } of careOf(state, batch, storyDay(n)).leave) asked.add(kind);
    expect(asked.size).toBeGreaterThan(0);
    const after = ['stick', 'water', 'mist', 'first-water', 'pot-water', 'pot-on', 'wean', 'light'];
    const more = ['feed', 'pups', 'jar-change', 'alive', 'grown', 'rest', 'postponed'];
    // A wound laid open again goes first: where it stands still in the cold, it is to be moved.
    const reopened = l.deeds.some(([, deed]) => /^(recut|torn|roots-cut)/.test(deed));
    if (reopened && asked.has('stopped')) return;
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
      fc.property(anyLife, fc.nat(), (l, seed) => {
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

it('a drink that fell due while roots are weaned stays due when they are to be kept drier', () => {
  const state = stateOf({
    fields: {
      taxon: 'kalanchoe-daigremontiana',
      method: 'flower-stalk',
      count: 10,
      cutOn: '2026-03-01',
      school: 'short-dry',
      callusAt: 'rack',
      space: 'bench',
      unrootedWater: 'half',
      containers: null,
    },
    deeds: [
      [0, 'cut'],
      [94, 'count 8r 1x 1d'],
      [104, 'wean'],
      [111, 'mist'],
    ],
    room: { tempC: 22, rh: 0.55 },
  });
  const water = (day: number): Ask | undefined =>
    careOf(state, batchOf(state), storyDay(day)).asks.find((a) => a.kind === 'water');
  expect(water(117)).toMatchObject({ since: storyDay(116), late: 1 });
  // Two weeks out of the jar the habit goes from five days here to eight.
  expect(water(118)).toMatchObject({ since: storyDay(116), late: 2, reason: { every: 5 } });
});

it('some potted on before half have roots are asked for their first drink', () => {
  const l: Life = {
    fields: {
      taxon: 'gasteria-glomerata',
      method: 'flower-stalk',
      count: 10,
      cutOn: '2026-03-01',
      school: 'long-cure',
      callusAt: 'rack',
      space: 'bench',
      unrootedWater: 'sip',
      containers: 1,
      course: 'dried',
    },
    deeds: [
      [0, 'cut'],
      [28, 'set'],
      [66, 'water'],
      [77, 'potted 3 bared'],
      [120, 'count 3r'],
    ],
    room: { tempC: 15, rh: 0.7 },
  };
  const state = stateOf(l);
  const kinds = careOf(state, batchOf(state), storyDay(121)).asks.map((a) => a.kind);
  expect(kinds).toContain('pot-water');
});
