import ICAL from 'ical.js';
import { addDays, type Day } from '../days';
import { calendarOf } from '../formats';
import { fold, type BatchFields, type EntryDraft, type State } from '../journal';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import { tasksAhead } from './ahead';
import { noticesOn } from './notices';
import { batchRound } from './round';
import { jarChangeDays } from './tend';

/** Days since the cut, as the grower's days. */
const d = (n: number): Day => addDays(DAY, n);

const stateOf = (...drafts: readonly EntryDraft[]): State =>
  fold(written(...drafts.map((draft) => ({ day: DAY, ...draft }))));

const SPACE: EntryDraft = {
  kind: 'put',
  record: 'space',
  key: 'bench',
  fields: { name: 'Bench', tempC: 22, rh: 0.6 },
};
const batch = (fields: BatchFields = {}): readonly EntryDraft[] => [
  SPACE,
  batchPut({ ...FIELDS, ...fields }),
  { kind: 'cut', batch: 'b1', day: DAY },
  { kind: 'stuck', batch: 'b1', day: d(3) },
];
const rooted = (day: Day, over: object = {}): EntryDraft => ({
  kind: 'tally',
  batch: 'b1',
  day,
  counts: { rooted: 10, pupped: 0, rotted: 0, dried: 0, lost: 0, ...over },
});
const asks = (state: State, day: Day): readonly string[] =>
  batchRound(state, state.batches.get('b1')!, day).flatMap((i) =>
    i.band === 'leave' ? [] : [i.kind],
  );
/** The days, counted from the cut, on which a task is asked. */
const daysOf = (state: State, kind: string, until: number): readonly number[] =>
  Array.from({ length: until }, (_, n) => n).filter((n) => asks(state, d(n)).includes(kind));

/* The rules are those of the trade: common practice, no source. */
describe('a jar', () => {
  const jar: EntryDraft = {
    kind: 'put',
    record: 'tray',
    key: 'j1',
    fields: { name: 'Jar 1', kind: 'jar', space: 'bench' },
  };
  const inJar = [jar, ...batch({ tray: 'j1' })];

  it.each([
    [12, 7],
    [15, 7],
    [19, 6],
    [23, 4],
    [30, 4],
  ])('at %d °C is changed every %d days: 4–7, oftener in warmth', (tempC, days) => {
    expect(jarChangeDays(tempC)).toBe(days);
  });

  it('is stirred on the third day, and changed on the fourth at 22 °C', () => {
    const state = stateOf(...inJar);
    // Stuck on day 3.
    expect(daysOf(state, 'jar-stir', 7)).toEqual([6]);
    expect(daysOf(state, 'jar-change', 9)).toEqual([7, 8]);
    const changed = stateOf(...inJar, {
      kind: 'tended',
      batch: 'b1',
      day: d(7),
      what: 'jar-change',
    });
    expect(daysOf(changed, 'jar-stir', 11).filter((n) => n >= 7)).toEqual([10]);
    expect(daysOf(changed, 'jar-change', 13).filter((n) => n >= 7)).toEqual([11, 12]);
  });

  it('has no gate and wants no can: its stem stands in water', () => {
    const kinds = batchRound(stateOf(...inJar), stateOf(...inJar).batches.get('b1')!, d(4));
    expect(kinds.map((k) => k.kind)).not.toContain('gate');
    expect(kinds.map((k) => k.kind)).not.toContain('first-water');
  });

  it('is left for soil at 2.5 cm of root, by ruler or after two weeks', () => {
    const state = stateOf(...inJar, rooted(d(20)));
    expect(daysOf(state, 'wean', 40)[0]).toBe(34);
    const short = stateOf(...inJar, rooted(d(20)), {
      kind: 'measured',
      batch: 'b1',
      day: d(33),
      what: 'root',
      mm: 18,
    });
    expect(daysOf(short, 'wean', 40)).toEqual([]);
    const long = stateOf(...inJar, rooted(d(20)), {
      kind: 'measured',
      batch: 'b1',
      day: d(24),
      what: 'root',
      mm: 26,
    });
    expect(asks(long, d(24))).toContain('wean');
  });
});

describe('once rooted', () => {
  const state = stateOf(...batch(), rooted(d(20)));

  it('gets light by steps over two weeks', () => {
    expect(daysOf(state, 'light', 60)[0]).toBe(23);
    const one = stateOf(...batch(), rooted(d(20)), {
      kind: 'tended',
      batch: 'b1',
      day: d(23),
      what: 'light',
    });
    expect(daysOf(one, 'light', 60).find((n) => n > 23)).toBe(28);
    // Long in its place, nothing is to be hardened.
    expect(daysOf(state, 'light', 80).at(-1)).toBe(48);
  });

  it('is fed from two weeks after roots, every two weeks, in growth', () => {
    expect(daysOf(state, 'feed', 40)[0]).toBe(34);
    const fed = stateOf(...batch(), rooted(d(20)), {
      kind: 'tended',
      batch: 'b1',
      day: d(36),
      what: 'feed',
    });
    expect(daysOf(fed, 'feed', 60).find((n) => n >= 36)).toBe(50);
  });

  it('is not fed while it rests', () => {
    const cold = stateOf(
      { ...SPACE, fields: { name: 'Bench', tempC: 6, rh: 0.6 } },
      ...batch().slice(1),
      rooted(d(20)),
    );
    expect(daysOf(cold, 'feed', 80)).toEqual([]);
  });
});

describe('a mother leaf', () => {
  const leaves = stateOf(...batch({ method: 'leaf' }), rooted(d(50), { rooted: 4, pupped: 6 }));

  it('is left alone for six weeks after its pup, then looked at', () => {
    expect(daysOf(leaves, 'leaf-off', 110)[0]).toBe(92);
  });
});

describe('potting on', () => {
  it('comes with 2.5 cm of root by the ruler, whatever the calendar says', () => {
    const measured = (mm: number): State =>
      stateOf(...batch(), rooted(d(20)), {
        kind: 'measured',
        batch: 'b1',
        day: d(25),
        what: 'root',
        mm,
      });
    expect(asks(measured(31), d(25))).toContain('pot-on');
    expect(daysOf(measured(12), 'pot-on', 80)).toEqual([]);
  });

  it('comes with the end of the mother leaf', () => {
    const leaves = [
      ...batch({ method: 'leaf' }),
      rooted(d(50), { rooted: 4, pupped: 6 }),
      { kind: 'tended', batch: 'b1', day: d(60), what: 'leaf-off' },
    ] as const;
    const [item] = batchRound(
      stateOf(...leaves),
      stateOf(...leaves).batches.get('b1')!,
      d(61),
    ).filter((i) => i.kind === 'pot-on');
    expect(item).toMatchObject({ count: 6, reason: 'The mother leaf is gone.' });
  });
});

describe('laid leaves without a told pot', () => {
  it('are misted every day in warm dry air, every second day else, or held', () => {
    const misted = (rh: number, tempC: number): readonly number[] =>
      daysOf(
        stateOf(
          {
            ...SPACE,
            fields: { name: 'Bench', tempC, rh, lightLevel: 'bright-glass' },
          },
          ...batch({ method: 'leaf' }).slice(1),
          { kind: 'watered', batch: 'b1', day: d(10), how: 'misted' },
        ),
        'mist',
        14,
      );
    expect(misted(0.3, 30)[0]).toBe(11);
    expect(misted(0.85, 12)[0]).toBe(12);
  });
});

describe('a task', () => {
  const base = [...batch(), rooted(d(20))];

  it('says why and how sure', () => {
    const state = stateOf(...base);
    for (const n of [0, 5, 23, 34, 48])
      for (const item of batchRound(state, state.batches.get('b1')!, d(n)))
        if (item.band !== 'leave') {
          expect(item.reason).not.toBe('');
          expect(item.sure).not.toBe('');
        }
  });

  it('can be put off until a day', () => {
    const state = stateOf(...base, {
      kind: 'put-off',
      batch: 'b1',
      day: d(34),
      task: 'feed',
      until: d(40),
      text: 'no feed in the house',
    });
    expect(asks(state, d(39))).not.toContain('feed');
    expect(asks(state, d(40))).toContain('feed');
  });

  it('can be dropped, and asked again once that is taken back', () => {
    const dropped: EntryDraft = {
      kind: 'put-off',
      batch: 'b1',
      day: d(34),
      task: 'feed',
      text: 'never feed these',
    };
    expect(daysOf(stateOf(...base, dropped), 'feed', 90)).toEqual([]);
  });
});

describe('the calendar of what lies ahead', () => {
  const state = stateOf(...batch(), rooted(d(20)));
  const write = (day: Day): ICAL.Event[] => {
    const text = calendarOf('Hypogeon', tasksAhead(state, day), new Date('2026-03-25T08:00:00Z'));
    return new ICAL.Component(ICAL.parse(text) as unknown[])
      .getAllSubcomponents('vevent')
      .map((e) => new ICAL.Event(e));
  };

  it('is read by another parser, each task once, on the day it first comes up', () => {
    const events = write(d(21));
    const feed = events.find((e) => e.summary.startsWith('Feed'));
    expect(feed?.startDate.toString()).toBe(d(34));
    expect(feed?.endDate.toString()).toBe(d(35));
    expect(new Set(events.map((e) => e.uid)).size).toBe(events.length);
  });

  it('names a task the same in a later export, so that a calendar moves it', () => {
    const uid = (day: Day): string | undefined =>
      write(day).find((e) => e.summary.startsWith('Feed'))?.uid;
    expect(uid(d(30))).toBe(uid(d(21)));
  });
});

describe('notices', () => {
  it('warn of frost where something stands, and say by what', () => {
    const state = stateOf(...batch(), {
      kind: 'air',
      space: 'bench',
      day: d(4),
      tempC: 3,
      rh: 0.8,
      minC: 0,
    });
    expect(noticesOn(state, d(4))).toMatchObject([
      { kind: 'frost', day: d(4), sure: 'by its last reading' },
    ]);
  });

  it('tell an order ten days before it is due, with what is short', () => {
    const order = (from: { batch: string; count: number }[]): EntryDraft => ({
      kind: 'put',
      record: 'order',
      key: 'o1',
      fields: { who: 'Mara', taxon: FIELDS.taxon, count: 12, by: d(40), from },
    });
    const state = stateOf(...batch(), rooted(d(20)), order([{ batch: 'b1', count: 8 }]));
    expect(noticesOn(state, d(29)).filter((n) => n.kind === 'order')).toEqual([]);
    expect(noticesOn(state, d(30))).toMatchObject([
      { kind: 'order', day: d(40), reason: '8 of 12 are set aside, 4 are short.' },
    ]);
  });

  it('say when the season of a mother ends', () => {
    const months = [4, 5, 9, 14, 19, 22, 24, 23, 19, 14, 8, 5];
    const state = stateOf(
      {
        ...SPACE,
        fields: {
          name: 'Bench',
          tempC: 18,
          rh: 0.6,
          monthly: months.map((t) => ({ minC: t - 3, maxC: t + 3, rh: 0.6 })),
        },
      },
      {
        kind: 'put',
        record: 'mother',
        key: 'm1',
        fields: { name: 'Old Grey', taxon: FIELDS.taxon!, space: 'bench' },
      },
    );
    const on = (day: Day): number =>
      noticesOn(state, day).filter((n) => n.kind === 'season').length;
    expect(on('2026-06-15')).toBe(0);
    const told = Array.from({ length: 160 }, (_, n) => addDays('2026-07-01', n)).filter(
      (x) => on(x) > 0,
    );
    expect(told.length).toBeGreaterThan(14);
    expect(told.length).toBeLessThanOrEqual(29);
  });
});
