import * as fc from 'fast-check';
import { addDays } from '../days';
import { anyEntry, anyJournal, batchPut, DAY, FIELDS, written } from '../testing/entries';
import {
  append,
  appendAll,
  bringBack,
  canonical,
  isAhead,
  entriesOf,
  fold,
  isStamp,
  merge,
  nextStamp,
  unite,
  type Batch,
  type Entry,
} from '.';

const same = (a: readonly Entry[], b: readonly Entry[]): void =>
  expect(canonical(a)).toBe(canonical(b));
const batchOf = (entries: readonly Entry[], id = 'b1'): Batch => fold(entries).batches.get(id)!;

describe('merging two devices’ journals', () => {
  it('is commutative', () => {
    fc.assert(fc.property(anyJournal, anyJournal, (a, b) => same(merge(a, b), merge(b, a))));
  });

  it('is associative', () => {
    fc.assert(
      fc.property(anyJournal, anyJournal, anyJournal, (a, b, c) =>
        same(merge(merge(a, b), c), merge(a, merge(b, c))),
      ),
    );
  });

  it('is idempotent', () => {
    fc.assert(
      fc.property(anyJournal, anyJournal, (a, b) => {
        const once = merge(a, b);
        same(merge(once, b), once);
        same(merge(once, once), once);
      }),
    );
  });
});

describe('folding', () => {
  it('ignores the order of arrival and repeats', () => {
    fc.assert(
      fc.property(
        anyJournal.chain((j) =>
          fc.tuple(fc.constant(j), fc.shuffledSubarray(j, { minLength: j.length })),
        ),
        ([journal, shuffled]) => {
          expect(fold([...shuffled, ...shuffled.slice(0, 5)])).toEqual(fold(journal));
        },
      ),
    );
  });

  it('one entry at a time comes to the same as all at once', () => {
    // Ids collide on purpose, within a subject and across: a damaged journal folds alike too.
    fc.assert(
      fc.property(fc.array(anyEntry, { maxLength: 25 }), (journal) => {
        const grown = journal.reduce(append, fold([]));
        expect(grown).toEqual(fold(journal));
        expect([...grown.log.keys()]).toEqual([...fold(journal).log.keys()]);
        expect(appendAll(fold([]), journal)).toEqual(grown);
      }),
    );
  });

  it('goes on from any state, also twice from the same', () => {
    fc.assert(
      fc.property(anyJournal, anyJournal, anyJournal, (a, b, c) => {
        const base = fold(a);
        expect(appendAll(base, b)).toEqual(fold([...a, ...b]));
        expect(appendAll(base, c)).toEqual(fold([...a, ...c]));
      }),
    );
  });

  it('knows one record of settings, whatever key a damaged file keeps another under', () => {
    const put = (key: string, latitude: number) =>
      ({ kind: 'put', record: 'settings', key, day: DAY, fields: { latitude } }) as const;
    const entries = written(put('grower', 52), put('other', 10));
    expect(fold(entries).settings).toEqual({ latitude: 52 });
    expect(appendAll(fold([]), entries)).toEqual(fold(entries));
  });

  it('finds no fields that every object has', () => {
    const fields = JSON.parse('{"__proto__":{"count":3},"constructor":1}') as object;
    const state = fold(written({ ...batchPut(), fields } as never, batchPut(FIELDS)));
    expect(state.batches.get('b1')!.count).toBe(10);
    expect(({} as { count?: number }).count).toBeUndefined();
  });

  it('counts no more cuttings than a batch can hold, and says so', () => {
    const group = { count: 10_000, outcome: 'waiting', lastLook: DAY } as const;
    const joined = Array.from({ length: 12 }, (_, i) => ({
      kind: 'joined' as const,
      batch: 'b1',
      day: DAY,
      from: 'b2',
      cuttings: [group],
      id: `j${i}`,
    }));
    const batch = fold(written(batchPut(), ...joined)).batches.get('b1')!;
    expect(batch.count).toBe(90_010);
    expect(batch.conflicts.map((c) => c.entry)).toEqual(['j9', 'j10', 'j11']);
    expect(batch.conflicts[0]!.problem).toMatch(/more than a batch can hold/);
  });

  it('loses nothing: the entries come out as they went in', () => {
    fc.assert(fc.property(anyJournal, (j) => same(entriesOf(fold(j)), unite(j))));
  });

  it('leaves the state before it untouched', () => {
    const before = fold(written(batchPut()));
    const kept = structuredClone(before);
    append(before, written({ kind: 'cut', batch: 'b1', day: DAY, id: 'x' })[0]!);
    expect(before).toEqual(kept);
  });
});

describe('records', () => {
  it('resolve field by field: two devices’ edits of different fields both stand', () => {
    const entries = written(
      batchPut(),
      { ...batchPut({ place: 'Tray A' }), by: 'phone' },
      { ...batchPut({ columns: 5 }), by: 'laptop' },
    );
    expect(batchOf(entries)).toMatchObject({ place: 'Tray A', columns: 5, count: 10 });
  });

  it('the later stamp wins a field; at the same stamp the device decides, on both devices alike', () => {
    const at = '2026-03-02T08:00:00.000Z~0000';
    const a = { ...batchPut({ place: 'from laptop' }), by: 'laptop', at, id: 'a' };
    const b = { ...batchPut({ place: 'from phone' }), by: 'phone', at, id: 'b' };
    expect(batchOf(written(batchPut(), a, b)).place).toBe('from phone');
    expect(batchOf(written(batchPut(), b, a)).place).toBe('from phone');
  });

  it('a cleared field is gone, and both values stay in history', () => {
    const state = fold(
      written(batchPut({ ...FIELDS, place: 'Tray A' }), batchPut({ place: null })),
    );
    expect(state.batches.get('b1')!.place).toBeUndefined();
    expect(state.log.get('batch/b1')).toHaveLength(2);
  });

  it('a batch without its needed fields is not a batch yet', () => {
    expect(fold(written(batchPut({ count: 3 }))).batches.size).toBe(0);
  });
});

describe('undo', () => {
  const tally = {
    kind: 'tally',
    batch: 'b1',
    day: DAY,
    id: 't',
    counts: { rooted: 3, pupped: 0, rotted: 0, dried: 0, lost: 0 },
  } as const;
  const undo = { kind: 'retract', day: DAY, entry: 't', subject: 'batch/b1', id: 'u' } as const;

  it('takes an entry out of the account without deleting it', () => {
    const entries = written(batchPut(), tally, undo);
    expect(batchOf(entries).counts.rooted).toBe(0);
    expect(entriesOf(fold(entries))).toHaveLength(3);
  });

  it('can itself be undone', () => {
    const redo = { ...undo, entry: 'u', id: 'r' };
    expect(batchOf(written(batchPut(), tally, undo, redo)).counts.rooted).toBe(3);
  });

  it('takes back a change of a record', () => {
    const entries = written(
      batchPut(),
      { ...batchPut({ count: 99 }), id: 'wrong' },
      { ...undo, entry: 'wrong' },
    );
    expect(batchOf(entries).count).toBe(10);
  });

  it('cannot reach forward: a retract older than its entry does nothing', () => {
    expect(batchOf(written(batchPut(), undo, tally)).counts.rooted).toBe(3);
  });
});

describe('a batch', () => {
  const none = { rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0 };

  it('goes from planned to done', () => {
    const life = [
      batchPut(),
      { kind: 'cut', batch: 'b1', day: DAY },
      { kind: 'stuck', batch: 'b1', day: addDays(DAY, 3) },
      {
        kind: 'tally',
        batch: 'b1',
        day: addDays(DAY, 20),
        counts: { ...none, rooted: 8, rotted: 2 },
      },
      { kind: 'potted', batch: 'b1', day: addDays(DAY, 50), count: 8 },
    ] as const;
    const stages = life.map((_, i) => batchOf(written(...life.slice(0, i + 1))).stage);
    expect(stages).toEqual(['planned', 'callusing', 'stuck', 'growing', 'done']);
  });

  it('dates what was seen between two looks', () => {
    const batch = batchOf(
      written(
        batchPut(),
        { kind: 'cut', batch: 'b1', day: DAY },
        { kind: 'tally', batch: 'b1', day: addDays(DAY, 12), counts: none },
        { kind: 'tally', batch: 'b1', day: addDays(DAY, 15), counts: { ...none, rooted: 2 } },
        {
          kind: 'tally',
          batch: 'b1',
          day: addDays(DAY, 22),
          counts: { ...none, rooted: 1, pupped: 1, rotted: 1 },
        },
      ),
    );
    const rooted = { after: addDays(DAY, 12), by: addDays(DAY, 15) };
    expect(batch.cuttings.filter((c) => c.rooted)).toHaveLength(2);
    expect(batch.cuttings.find((c) => c.outcome === 'pupped')).toMatchObject({
      rooted,
      pupped: { after: addDays(DAY, 15), by: addDays(DAY, 22) },
    });
    expect(batch.cuttings.find((c) => c.outcome === 'rotted')!.lost).toEqual({
      after: addDays(DAY, 15),
      by: addDays(DAY, 22),
    });
    expect(batch.waiting).toBe(7);
    expect(batch.conflicts).toEqual([]);
  });

  it('by place: only what was looked at was looked at', () => {
    const batch = batchOf(
      written(
        batchPut(),
        {
          kind: 'tally',
          batch: 'b1',
          day: addDays(DAY, 12),
          places: { '3': 'rooted', '0': 'waiting' },
        },
        {
          kind: 'tally',
          batch: 'b1',
          day: addDays(DAY, 20),
          places: { '0': 'rotted', '5': 'dried' },
        },
      ),
    );
    expect(batch.cuttings[0]!.lost).toEqual({ after: addDays(DAY, 12), by: addDays(DAY, 20) });
    expect(batch.cuttings[5]!.lost).toEqual({ after: DAY, by: addDays(DAY, 20) });
    expect(batch.cuttings[3]).toMatchObject({ outcome: 'rooted', placed: true });
    expect(batch.tallies).toEqual([]);
  });

  it('counts and places can be mixed without losing what was counted', () => {
    const batch = batchOf(
      written(
        batchPut(),
        { kind: 'tally', batch: 'b1', day: addDays(DAY, 12), places: { '3': 'rooted' } },
        {
          kind: 'tally',
          batch: 'b1',
          day: addDays(DAY, 20),
          counts: { ...none, rooted: 4, rotted: 1 },
        },
      ),
    );
    expect(batch.counts).toEqual({ ...none, rooted: 4, rotted: 1 });
    expect(batch.cuttings[3]!.rooted!.by).toBe(addDays(DAY, 12));
  });

  it('back-dated entries stand on their day', () => {
    const batch = batchOf(
      written(
        batchPut(),
        { kind: 'tally', batch: 'b1', day: addDays(DAY, 20), counts: { ...none, rooted: 4 } },
        { kind: 'tally', batch: 'b1', day: addDays(DAY, 10), counts: none },
      ),
    );
    expect(batch.cuttings[0]!.rooted!.after).toBe(addDays(DAY, 10));
  });

  it.each([
    ['a loss that comes back', { rotted: 0 }, /A loss does not come back/],
    ['roots gone and nothing lost', { rooted: 2, rotted: 2 }, /fewer with roots/],
    ['more than there are', { rooted: 9, rotted: 2 }, /11 outcomes, but only 10/],
  ])('%s is kept and asked about, never clipped', (_name, change, problem) => {
    const tallies = [
      batchPut(),
      {
        kind: 'tally',
        batch: 'b1',
        day: addDays(DAY, 10),
        counts: { ...none, rooted: 5, rotted: 2 },
      },
      {
        kind: 'tally',
        batch: 'b1',
        day: addDays(DAY, 12),
        counts: { ...none, rooted: 5, ...change },
      },
    ] as const;
    expect(batchOf(written(...tallies)).conflicts[0]!.problem).toMatch(problem);
    const recount = { ...tallies[2], recount: 'Counted twice, this is right' };
    expect(batchOf(written(tallies[0], tallies[1], recount)).conflicts).toEqual([]);
  });

  it('remembers water before the gate as a breach', () => {
    const batch = batchOf(
      written(batchPut(), {
        kind: 'watered',
        batch: 'b1',
        day: DAY,
        how: 'misted',
        breach: 'slip',
      }),
    );
    expect(batch.waterings[0]!.breach).toBe('slip');
  });

  it('always counts every cutting once', () => {
    fc.assert(
      fc.property(anyJournal, (journal) => {
        for (const b of fold(journal).batches.values()) {
          const { rooted, pupped, rotted, dried, lost } = b.counts;
          expect(rooted + pupped + rotted + dried + lost + b.waiting).toBe(b.count);
        }
      }),
    );
  });
});

describe('the hybrid logical clock', () => {
  it('is wall time while the clock behaves', () => {
    expect(nextStamp(null, Date.parse('2026-03-01T08:00:00.123Z'))).toBe(
      '2026-03-01T08:00:00.123Z~0000',
    );
  });

  it('goes on when the clock stands still, falls back, or was outrun by another device', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 4e12 }), { minLength: 2 }), (times) => {
        let last = null as string | null;
        for (const time of times) {
          const next = nextStamp(last, time);
          expect(isStamp(next)).toBe(true);
          if (last !== null) expect(next > last).toBe(true);
          last = next;
        }
      }),
    );
  });

  it('never leaves its form: at the end of its years it goes on counting', () => {
    let last = '9998-12-31T23:59:59.998Z~ffff';
    for (let i = 0; i < 5; i++) {
      const next = nextStamp(last, 9e15);
      expect(isStamp(next)).toBe(true);
      expect(next > last).toBe(true);
      last = next;
    }
    for (const odd of [NaN, -1, Infinity, 8.64e15])
      expect(isStamp(nextStamp(null, odd))).toBe(true);
    expect(isStamp('9999-12-31T23:59:59.999Z~ffff')).toBe(false);
    // What is no stamp of ours poisons nothing.
    expect(nextStamp('9999-12-31T23:59:59.999Z~ffff', 0)).toBe('1970-01-01T00:00:00.000Z~0000');
  });

  it('carries over when the counter is full', () => {
    expect(nextStamp('2026-03-01T08:00:00.999Z~ffff', 0)).toBe('2026-03-01T08:00:01.000Z~0000');
  });
});

describe('a clock that stood far ahead and was set right', () => {
  const NOW = Date.parse('2026-03-05T08:00:00.000Z');
  const ahead = (id: string, place: string) => ({
    ...batchPut({ place }),
    id,
    at: `2031-01-01T00:00:00.000Z~000${id.slice(1)}`,
  });

  it('poisons nothing: what it wrote stands in order, and what comes after wins', () => {
    const entries = written(batchPut(), ahead('x1', 'first'), ahead('x2', 'second'));
    const { entries: back, moved } = bringBack(entries, NOW);
    expect([...moved]).toEqual(['x1', 'x2']);
    expect(batchOf(back).place).toBe('second');
    const state = fold(back);
    const later = { ...entries[1]!, id: 'n', at: nextStamp(state.lastStamp, NOW + 1) };
    const edited = append(state, { ...later, fields: { place: 'now' } } as Entry);
    expect(edited.batches.get('b1')!.place).toBe('now');
  });

  it('touches nothing that is honest, keeps every id once, and is done once', () => {
    const stamps = fc.array(fc.integer({ min: -3e9, max: 3e9 }), { maxLength: 20 });
    fc.assert(
      fc.property(stamps, (offsets) => {
        const entries = written(
          ...offsets.map((off, i) => ({
            ...batchPut({ columns: 1 + i }),
            id: `e${i}`,
            at: nextStamp(null, NOW + off),
          })),
        );
        const { entries: back, moved } = bringBack(entries, NOW);
        expect(back.map((e) => e.id).sort()).toEqual(entries.map((e) => e.id).sort());
        expect(back.some((e) => isAhead(e.at, NOW))).toBe(false);
        for (const e of entries) if (!moved.has(e.id)) expect(back).toContain(e);
        const order = (of: readonly Entry[]) => unite(of.filter((e) => moved.has(e.id)));
        expect(order(back).map((e) => e.id)).toEqual(order(entries).map((e) => e.id));
        expect(bringBack(back, NOW).moved.size).toBe(0);
      }),
    );
  });

  it('of one that a crash left twice, the one brought back stands', () => {
    const [put] = written({ ...batchPut(), at: '2026-03-04T08:00:00.000Z~0000', id: 'x1' });
    const { entries } = bringBack([put!, { ...put!, at: ahead('x1', '').at }], NOW);
    expect(entries).toEqual([put]);
  });
});

describe('cuttings folded in groups', () => {
  it('come to the same as one by one', () => {
    fc.assert(
      fc.property(anyJournal, (journal) => {
        for (const batch of fold(journal).batches.values()) {
          expect(new Set(batch.cuttings.map((c) => c.place)).size).toBe(batch.cuttings.length);
          expect(batch.cuttings.every((c, i, all) => i === 0 || c.place > all[i - 1]!.place)).toBe(
            true,
          );
        }
      }),
    );
  });
});
