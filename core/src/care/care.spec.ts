import { wateredEarly } from '../bench';
import { addDays } from '../days';
import { demoJournal } from '../demo';
import { append, fold, type BatchFields, type State } from '../journal';
import { roundOn, tasksAhead, taskDone, verdictsOn } from '../round';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import { batchIn, deedsOf, storyCare, storyDay, storyState } from '../testing/story';
import { careOf, motherCareOf, neighboursAtRisk, rotBeside, type Care, type StepId } from '.';

type Draft = Parameters<typeof written>[number];
const step = (care: Care, id: StepId) => care.steps.find((s) => s.id === id);
const CROWN: Partial<BatchFields> = { taxon: 'echeveria-elegans', method: 'crown' };

describe('the steps of a life', () => {
  it('lie all ahead before the cut, in the order in which they are lived', () => {
    const { steps } = storyCare(storyState(CROWN, []), -3);
    expect(steps.map((s) => s.is)).toEqual(Array(9).fill('ahead'));
    expect(steps.map((s) => s.id)).toEqual([
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
    const days = steps.flatMap((s) => ('from' in s ? [s.from] : []));
    expect(days).toEqual([...days].sort());
  });

  it('a jar has no first water, and a way into the mix; a bare leaf roots before it is set', () => {
    const ids = (fields: Partial<BatchFields>): readonly string[] =>
      storyCare(storyState(fields, [[0, 'cut']]), 0).steps.map((s) => s.id);
    expect(ids({ ...CROWN, course: 'water' })).not.toContain('first-water');
    expect(ids({ ...CROWN, course: 'water' })).toContain('wean');
    const bare = ids({ ...CROWN, method: 'leaf', course: 'bare' });
    expect(bare.indexOf('roots')).toBeLessThan(bare.indexOf('stick'));
  });

  it('tells roots between the two looks that found them, and potting four weeks later', () => {
    const state = storyState(CROWN, [
      [0, 'cut'],
      [4, 'set'],
      [7, 'water'],
      [14, 'count 0r'],
      [18, 'count 3r'],
    ]);
    const care = storyCare(state, 18);
    expect(step(care, 'roots')).toMatchObject({ is: 'done', from: storyDay(14), to: storyDay(18) });
    expect(step(care, 'pot-on')).toMatchObject({ is: 'ahead', to: storyDay(46) });
  });

  it('what stands is late with its true days', () => {
    const late = storyCare(storyState(CROWN, [[0, 'cut']]), 20);
    expect(step(late, 'stick')).toMatchObject({ is: 'late' });
    const [stick] = late.asks.filter((a) => a.kind === 'stick');
    expect(stick!.late).toBe(20 - 3);
    const mist = storyState({ ...CROWN, method: 'leaf' }, [
      [0, 'cut'],
      [2, 'set'],
      [5, 'mist'],
    ]);
    // Was: a mist of 253, 309 and 367 days ago is “88 days” ago.
    for (const n of [253, 309, 367]) {
      const [alive] = storyCare(mist, n).asks.filter((a) => a.kind === 'alive');
      expect(alive!.late).toBeGreaterThan(n - 30);
    }
  });

  it('are done or passed over once all of it is gone', () => {
    const state = storyState(CROWN, [
      [0, 'cut'],
      [3, 'set'],
      [9, 'count 10x'],
    ]);
    const care = storyCare(state, 10);
    expect(care.asks).toEqual([]);
    expect(care.leave).toEqual([]);
    expect(new Set(care.steps.map((s) => s.is))).toEqual(new Set(['done', 'skipped']));
  });
});

describe('a watering keeps what was known on its day', () => {
  const lines = [
    [0, 'cut'],
    [3, 'set'],
    [8, 'water'],
  ] as const;
  it('what is seen later does not make it early', () => {
    for (const later of ['tacky', 'firm'] as const) {
      const state = storyState(CROWN, [...lines, [9, later]]);
      expect(wateredEarly(state, batchIn(state))).toBe(false);
    }
  });

  it('what was seen by then does', () => {
    const state = storyState(CROWN, [
      [0, 'cut'],
      [3, 'set'],
      [8, 'tacky'],
      [8, 'water'],
    ]);
    expect(wateredEarly(state, batchIn(state))).toBe(true);
  });

  it('in the demo only those that were told as a slip are early', () => {
    const today = '2026-04-09';
    const state = fold(demoJournal(today));
    const early = [...state.batches.values()].filter((b) => wateredEarly(state, b) === true);
    const slips = [...state.batches.values()].filter((b) =>
      b.waterings.some((w) => w.breach !== undefined),
    );
    // Was: 9 of 30.
    expect(early.map((b) => b.id).sort()).toEqual(slips.map((b) => b.id).sort());
  });
});

describe('numbers of pieces', () => {
  it('6 of 20 leaves have roots: those are set, the others stay', () => {
    const state = storyState({ ...CROWN, method: 'leaf', count: 20, course: 'bare' }, [
      [0, 'cut'],
      [14, 'count 6r'],
    ]);
    const [stick] = storyCare(state, 14).asks;
    expect(stick).toMatchObject({ kind: 'stick', count: 6, reason: { why: 'roots-on-rack' } });
    if (stick?.band !== 'do') throw new Error('nothing to do');
    expect(taskDone(stick).entries).toEqual([{ kind: 'stuck', batch: 'b1', count: 6 }]);
  });

  it('the first water names those that are set', () => {
    const state = storyState({ ...CROWN, method: 'leaf', count: 20, course: 'bare' }, [
      [0, 'cut'],
      [14, 'count 6r'],
      [14, 'set 6'],
    ]);
    expect(storyCare(state, 15).asks).toMatchObject([{ kind: 'first-water', count: 6 }]);
  });
});

describe('what the grower chose', () => {
  it('three dry days of a laid leaf are not called a choice', () => {
    const state = storyState({ ...CROWN, method: 'leaf' }, [
      [0, 'cut'],
      [2, 'set'],
    ]);
    expect(storyCare(state, 5).asks).toMatchObject([
      { kind: 'first-water', reason: { why: 'laid-dry' } },
    ]);
  });

  it('water at once before the gate is said with its risk, and counts as asked, not as a slip', () => {
    const state = storyState(
      { ...CROWN, school: 'straight-in', callusAt: 'medium', firstWater: 'at-once' },
      [
        [0, 'cut'],
        [0, 'set'],
      ],
    );
    expect(storyCare(state, 0).asks).toMatchObject([
      {
        kind: 'first-water',
        reason: { why: 'first-chosen', choice: 'at-once', open: { closes: expect.any(String) } },
      },
    ]);
  });

  it('first water a week after setting: list, step and calendar name one day', () => {
    const state = storyState({ ...CROWN, firstWater: 'week' }, [
      [0, 'cut'],
      [4, 'set'],
    ]);
    const day = storyDay(11);
    const care = storyCare(state, 8);
    expect(care.leave.find((l) => l.kind === 'water')?.until).toBe(day);
    expect(step(care, 'first-water')).toMatchObject({ is: 'ahead', from: day });
    const [task] = tasksAhead(state, storyDay(8)).filter((t) => t.uid.includes('first-water'));
    expect(task?.from).toBe(day);
  });
});

describe('light', () => {
  it('a plant of the shade is asked for one step, and never for sun', () => {
    const shade = storyState({ taxon: 'zamioculcas-zamiifolia', method: 'division' }, [
      [0, 'cut'],
      [6, 'set'],
      [13, 'water'],
      [40, 'count 10r'],
    ]);
    const places = new Set<string>();
    let steps = 0;
    let state = shade;
    for (let n = 14; n < 120; n++) {
      const ask = storyCare(state, n).asks.find((a) => a.kind === 'light');
      if (ask?.reason.why !== 'harden') continue;
      steps++;
      places.add(ask.reason.to);
      state = more(state, deedsOf('light', n), n);
    }
    expect(steps).toBe(1);
    expect([...places]).toEqual(['window']);
  });
});

let stamp = 0;
function more(state: State, drafts: readonly Draft[], n: number): State {
  return written(...drafts).reduce(
    (s, e) =>
      append(s, {
        ...e,
        id: `more-${n}-${stamp}`,
        at: `2026-04-01T00:00:00.000Z~${(stamp++).toString(16).padStart(4, '0')}`,
      }),
    state,
  );
}

describe('rest', () => {
  const winter: Draft = {
    kind: 'put',
    record: 'space',
    key: 'bench',
    day: DAY,
    fields: { name: 'Porch', tempC: 6, rh: 0.6 },
  };
  it('a rooted plant in its rest is left nearly dry and unfed', () => {
    const told = { container: 'pot-7', mix: 'two-to-one' } as const;
    const lines = [
      [0, 'cut'],
      [4, 'set'],
      [30, 'water, count 10r'],
    ] as const;
    for (const fields of [{ ...CROWN, ...told }, CROWN]) {
      const state = fold(
        written(
          winter,
          batchPut({ ...FIELDS, mother: null, ...fields }),
          ...lines.flatMap(([n, deeds]) => deedsOf(deeds, n)),
        ),
      );
      const care = storyCare(state, 45);
      expect(care.leave.map((l) => l.kind)).toEqual(expect.arrayContaining(['water', 'rest']));
      expect(care.asks.map((a) => a.kind)).not.toContain('feed');
      expect(care.asks.map((a) => a.kind)).not.toContain('water');
    }
  });
});

describe('rot and its neighbours', () => {
  const put = (id: string, fields: Partial<BatchFields>): readonly Draft[] => [
    batchPut({ ...FIELDS, mother: null, ...CROWN, ...fields }, id),
    { kind: 'cut', batch: id, day: DAY },
    { kind: 'stuck', batch: id, day: addDays(DAY, 3) },
    { kind: 'watered', batch: id, day: addDays(DAY, 8), how: 'poured' },
  ];
  const bench = (...others: readonly (readonly Draft[])[]): State =>
    fold(
      written(...put('rotted', { tray: 't1', mother: 'm1' }), ...others.flat(), {
        kind: 'tally',
        batch: 'rotted',
        day: storyDay(12),
        counts: { rooted: 0, pupped: 0, rotted: 2, dried: 0, lost: 0 },
      }),
    );

  it('in the same tray: an extra look, and the can is held until it was had', () => {
    // Kept damp, it would be watered today.
    const state = bench(put('near', { tray: 't1', unrootedWater: 'damp' }));
    const care = careOf(state, batchIn(state, 'near'), storyDay(13));
    expect(care.asks).toMatchObject([
      {
        kind: 'neighbour',
        reason: { why: 'rot-near', near: { batch: 'rotted', link: 'tray', day: storyDay(12) } },
      },
    ]);
    // Said until the day the can is asked for again, and not longer.
    expect(care.leave.find((l) => l.kind === 'held')?.until).toBe(storyDay(20));
    const kinds = (n: number) =>
      careOf(state, batchIn(state, 'near'), storyDay(n)).leave.map((l) => l.kind);
    expect(kinds(19)).toContain('held');
    expect(kinds(20)).not.toContain('held');
    const looked = more(
      state,
      [{ kind: 'inspected', batch: 'near', day: storyDay(13), seen: 'fine' }],
      13,
    );
    const after = careOf(looked, batchIn(looked, 'near'), storyDay(13));
    expect(after.asks.map((a) => a.kind)).not.toContain('neighbour');
    expect(after.leave.map((l) => l.kind)).not.toContain('held');
  });

  it('of the same mother, or in the same mix: named, not asked', () => {
    const state = bench(put('sister', { mother: 'm1' }));
    const near = neighboursAtRisk(state, batchIn(state, 'sister'), storyDay(13));
    expect(near).toEqual([{ batch: 'rotted', link: 'mother', day: storyDay(12) }]);
    const care = careOf(state, batchIn(state, 'sister'), storyDay(13));
    expect(care.asks.map((a) => a.kind)).not.toContain('neighbour');
  });

  it('is over after two weeks', () => {
    const state = bench(put('near', { tray: 't1' }));
    expect(neighboursAtRisk(state, batchIn(state, 'near'), storyDay(27))).toEqual([]);
    // What stood in the same tray saw rot close by, before any of its own; what rotted first did not.
    expect(rotBeside(state, batchIn(state, 'near'))).toBe(true);
    expect(rotBeside(state, batchIn(state, 'rotted'))).toBe(false);
  });

  it('cut the same day with a blade that was only clean', () => {
    const state = fold(
      written(
        ...put('rotted', { disinfectant: 'none' }),
        ...put('near', { disinfectant: 'none', taxon: 'crassula-ovata', method: 'branch' }),
        { kind: 'inspected', batch: 'rotted', day: storyDay(9), seen: 'soft' },
      ),
    );
    const care = careOf(state, batchIn(state, 'near'), storyDay(10));
    expect(care.asks.find((a) => a.kind === 'neighbour')?.reason).toMatchObject({
      near: { link: 'blade' },
    });
  });
});

describe('a mother after what was done to her', () => {
  const mother: Draft = {
    kind: 'put',
    record: 'mother',
    key: 'm1',
    day: DAY,
    fields: { name: 'Old one', taxon: 'echeveria-elegans', space: 'bench' },
  };
  const asks = (state: State, n: number): readonly string[] =>
    motherCareOf(state, state.mothers.get('m1')!, storyDay(n)).asks.map((a) => a.kind);
  const leaves = (state: State, n: number): readonly string[] =>
    motherCareOf(state, state.mothers.get('m1')!, storyDay(n)).leave.map((l) => l.reason.why);

  it('cut: dry some days, new heads in three to six weeks, looked for again', () => {
    const state = storyState({ ...CROWN, mother: 'm1' }, [[0, 'cut']], [mother]);
    expect(leaves(state, 1)).toEqual(['mother-dry']);
    expect(leaves(state, 10)).toEqual(['regrowing']);
    expect(asks(state, 20)).toEqual([]);
    expect(asks(state, 21)).toEqual(['looked']);
    const looked = more(
      state,
      [{ kind: 'mothered', mother: 'm1', day: storyDay(22), what: 'looked' }],
      22,
    );
    expect(asks(looked, 23)).toEqual([]);
    expect(asks(looked, 36)).toContain('looked');
    expect(asks(looked, 90)).toEqual([]);
  });

  it('new heads that were counted on her are told with the next look', () => {
    const state = storyState({ ...CROWN, mother: 'm1' }, [[0, 'cut']], [mother]);
    const counted = more(
      state,
      [{ kind: 'mothered', mother: 'm1', day: storyDay(22), what: 'looked', heads: 3 }],
      22,
    );
    const reason = (n: number) =>
      motherCareOf(counted, counted.mothers.get('m1')!, storyDay(n)).leave[0]?.reason;
    expect(reason(24)).toMatchObject({
      why: 'regrowing',
      heads: { count: 3, on: storyDay(22) },
    });
    expect(
      motherCareOf(state, state.mothers.get('m1')!, storyDay(10)).leave[0]!.reason,
    ).toMatchObject({ heads: null });
  });

  it.each(['repotted', 'divided'] as const)('%s: a week dry, shade, water, light, feed', (kind) => {
    const state = storyState(
      { ...CROWN, method: 'leaf' },
      [],
      [mother, { kind, mother: 'm1', day: DAY }],
    );
    expect(leaves(state, 3)).toEqual(['mother-dry', 'mother-shade']);
    expect(asks(state, 6)).toEqual([]);
    expect(asks(state, 7)).toEqual(['watered']);
    expect(asks(state, 12)).toEqual(['watered', 'light']);
    const done = more(
      state,
      [
        { kind: 'mothered', mother: 'm1', day: storyDay(12), what: 'watered' },
        { kind: 'mothered', mother: 'm1', day: storyDay(12), what: 'light' },
      ],
      12,
    );
    expect(asks(done, 13)).toEqual([]);
    // Buds: about three weeks, a month and four months on.
    expect(leaves(done, 13)).toEqual(['buds-ahead']);
    expect(asks(done, 20)).toEqual([]);
    expect(asks(done, 21)).toEqual(['looked']);
    expect(asks(done, 28)).toEqual(['feed', 'looked']);
    const seen = (n: number, from: State): State =>
      more(from, [{ kind: 'mothered', mother: 'm1', day: storyDay(n), what: 'looked' }], n);
    expect(asks(seen(22, done), 29)).toEqual(['feed']);
    expect(asks(seen(22, done), 30)).toContain('looked');
    expect(asks(seen(31, done), 119)).not.toContain('looked');
    expect(asks(seen(31, done), 121)).toContain('looked');
  });

  it('told late, what has passed is passed', () => {
    const state = storyState(
      { ...CROWN, method: 'leaf' },
      [],
      [mother, { kind: 'divided', mother: 'm1', day: DAY }],
    );
    // Forty days on nobody is sent to water or to shade what stands as usual by now; her buds are still worth a look.
    expect(asks(state, 40)).toEqual(['feed', 'looked']);
    expect(asks(state, 100)).toEqual(['looked']);
  });

  it('new growth is looked for where it comes', () => {
    const regrows = (taxon: string, method: 'crown' | 'leaf-section' | 'pad') => {
      const fields = { name: 'Old one', taxon, space: 'bench' };
      const plant: Draft = { kind: 'put', record: 'mother', key: 'm1', day: DAY, fields };
      const state = storyState({ taxon, method, mother: 'm1' }, [[0, 'cut']], [plant]);
      return motherCareOf(state, state.mothers.get('m1')!, storyDay(21)).asks[0]?.reason;
    };
    expect(regrows('crassula-perforata', 'crown')).toMatchObject({ where: 'stem' });
    expect(regrows('dracaena-trifasciata', 'leaf-section')).toMatchObject({ where: 'soil' });
    expect(regrows('opuntia-microdasys', 'pad')).toMatchObject({ where: 'joint' });
  });

  it('is nothing without a deed, and long after one', () => {
    const state = storyState({ ...CROWN, mother: 'm1' }, [[0, 'cut']], [mother]);
    expect(asks(state, -1)).toEqual([]);
    expect(asks(state, 120)).toEqual([]);
  });
});

describe('the round, the calendar and the page say one thing', () => {
  const states: readonly (readonly [string, State, number])[] = [
    [
      'a crown set',
      storyState(CROWN, [
        [0, 'cut'],
        [4, 'set'],
      ]),
      5,
    ],
    [
      'a jar',
      storyState({ ...CROWN, course: 'water' }, [
        [0, 'cut'],
        [6, 'set'],
      ]),
      7,
    ],
    ['bare leaves', storyState({ ...CROWN, method: 'leaf', course: 'bare' }, [[0, 'cut']]), 3],
    [
      'a told pot',
      storyState({ ...CROWN, container: 'pot-7', mix: 'two-to-one' }, [
        [0, 'cut'],
        [4, 'set'],
        [8, 'water'],
      ]),
      9,
    ],
  ];
  it.each(states)('%s', (_name, state, n) => {
    const verdicts = verdictsOn(state, storyDay(n));
    const round = roundOn(state, storyDay(n), verdicts);
    const care = storyCare(state, n);
    expect([...round.do, ...round.look].map((a) => a.kind).sort()).toEqual(
      care.asks.map((a) => a.kind).sort(),
    );
    // Every first day of a task in the calendar is a day the list asks for it, as things stand.
    for (const task of tasksAhead(state, storyDay(n), verdicts)) {
      if (task.is.kind !== 'ask') continue;
      const then = careOf(state, batchIn(state), task.from, verdicts.get('b1'));
      expect(then.asks.map((a) => a.kind)).toContain(task.is.ask.kind);
    }
  });
});

describe('what is foreseen is said from the first day', () => {
  it('food that falls due after today’s drink comes with the next one, in steps as in the calendar', () => {
    const state = storyState({ taxon: 'ramonda-myconi', method: 'bulbil' }, [
      [0, 'cut, set'],
      [10, 'water'],
    ]);
    const feedOn = (n: number) => {
      const step = storyCare(state, n).steps.find((s) => s.id === 'feed');
      return step && 'from' in step ? step.from : null;
    };
    expect(feedOn(10)).toBe(feedOn(11));
    expect(feedOn(10)! > storyDay(20)).toBe(true);
  });

  it('where roots hold before another mist is due, the first sip’s day is said', () => {
    const state = storyState({ taxon: 'cereus-hildmannianus', method: 'seed', count: 10 }, [
      [0, 'cut, set'],
      [20, 'mist'],
      [60, 'count 6r'],
      [73, 'mist'],
    ]);
    const water = (n: number) => storyCare(state, n).leave.find((l) => l.kind === 'water')?.until;
    expect(water(73)).toBeDefined();
    expect(new Set([73, 74].map(water)).size).toBe(1);
  });

  it('what waits to be set is kept dry until it has roots, though others of it are potted', () => {
    const dry = {
      taxon: 'delosperma-cooperi',
      method: 'crown',
      unrootedWater: 'dry',
      count: 10,
    } as const;
    const state = storyState(dry, [
      [0, 'cut'],
      [5, 'set 3'],
      [30, 'potted 3'],
    ]);
    expect(storyCare(state, 31).leave.map((l) => l.kind)).toContain('water');
  });
});
