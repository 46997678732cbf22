import * as fc from 'fast-check';
import { addDays } from '../days';
import { anyEntry, anyJournal, batchPut, DAY, FIELDS, written } from '../testing/entries';
import {
  append,
  appendAll,
  canonical,
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
    // Ids are unique here: a device never writes one twice under another subject.
    fc.assert(
      fc.property(fc.uniqueArray(anyEntry, { selector: (e) => e.id, maxLength: 25 }), (journal) => {
        const grown = journal.reduce(append, fold([]));
        expect(grown).toEqual(fold(journal));
        expect(appendAll(fold([]), journal)).toEqual(grown);
      }),
    );
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

  it('carries over when the counter is full', () => {
    expect(nextStamp('2026-03-01T08:00:00.999Z~ffff', 0)).toBe('2026-03-01T08:00:01.000Z~0000');
  });
});
