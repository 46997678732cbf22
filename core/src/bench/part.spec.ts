import * as fc from 'fast-check';
import { addDays } from '../days';
import { fold, type Batch, type EntryDraft, type State } from '../journal';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import { emergence } from '../ledger';
import { fateRows } from '../ledger';
import { clockOf } from './clock-of';
import {
  leaveEntries,
  mergeEntries,
  mergeProblem,
  motherEntries,
  partsOf,
  rescueEntries,
  singleEntries,
  splitEntries,
  takenBackWith,
  takingProblem,
} from './part';

const LATER = addDays(DAY, 30);

/** A batch of ten, cut and stuck, counted on day 20 as told. */
const tray = (counts = { rooted: 4, pupped: 1, rotted: 2, dried: 0, lost: 0 }): EntryDraft[] => [
  batchPut(),
  { kind: 'cut', batch: 'b1', day: DAY },
  { kind: 'stuck', batch: 'b1', day: addDays(DAY, 3) },
  { kind: 'watered', batch: 'b1', day: addDays(DAY, 6), how: 'poured' },
  { kind: 'tally', batch: 'b1', day: addDays(DAY, 20), counts },
];

const stateOf = (...drafts: readonly EntryDraft[]): State =>
  fold(written(...drafts.map((d) => ({ day: DAY, ...d }))));
const batchIn = (state: State, id: string): Batch => state.batches.get(id)!;

describe('splitting a batch', () => {
  const before = batchIn(stateOf(...tray()), 'b1');
  const after = stateOf(
    ...tray(),
    ...splitEntries(before, { taken: { waiting: 1, rooted: 2 } }, 'b2', LATER),
  );

  it('leaves both with their own, and nothing counted is lost', () => {
    expect(batchIn(after, 'b1')).toMatchObject({
      count: 7,
      counts: { rooted: 2, pupped: 1, rotted: 2 },
      waiting: 2,
    });
    expect(batchIn(after, 'b2')).toMatchObject({
      count: 3,
      counts: { rooted: 2, pupped: 0, rotted: 0 },
      waiting: 1,
      cutOn: DAY,
      stuck: addDays(DAY, 3),
      partOf: 'b1',
    });
    expect(batchIn(after, 'b2').waterings).toHaveLength(1);
  });

  it('carries along when roots were seen', () => {
    const rows = (b: Batch) => fateRows(b).first.filter((r) => r.cause === 'rooted');
    expect(rows(batchIn(after, 'b2'))).toEqual([{ left: 0, right: 20, cause: 'rooted', count: 2 }]);
    expect(emergence(batchIn(after, 'b2'), LATER).roots.at(-1)).toMatchObject({ sure: 2 });
  });

  it('keeps the wound clock of the cut', () => {
    expect(clockOf(after, batchIn(after, 'b2'))?.gate).toEqual(
      clockOf(after, batchIn(after, 'b1'))?.gate,
    );
  });

  it('knows where it came from and what came of it', () => {
    expect(partsOf(after, batchIn(after, 'b1')).parts.map((b) => b.id)).toEqual(['b2']);
    expect(partsOf(after, batchIn(after, 'b2')).of?.id).toBe('b1');
  });

  it('makes the same rows of time, whatever was counted and taken', () => {
    fc.assert(
      fc.property(
        fc.nat(3),
        fc.nat(3),
        fc.nat(3),
        fc.nat(4),
        fc.nat(4),
        (rooted, pupped, rotted, takeWaiting, takeRooted) => {
          const drafts = tray({ rooted, pupped, rotted, dried: 0, lost: 0 });
          const whole = batchIn(stateOf(...drafts), 'b1');
          const taken = {
            waiting: Math.min(takeWaiting, whole.here.waiting),
            rooted: Math.min(takeRooted, rooted),
          };
          if (taken.waiting + taken.rooted === 0) return;
          const parts = splitEntries(whole, { taken }, 'b2', LATER);
          const state = stateOf(...drafts, ...parts);
          const rowsOf = (...batches: readonly Batch[]) =>
            batches
              .flatMap((b) =>
                fateRows(b).first.flatMap((r) =>
                  Array<object>(r.count ?? 1).fill({ ...r, count: 1 }),
                ),
              )
              .map((r) => JSON.stringify(r))
              .sort();
          expect(rowsOf(batchIn(state, 'b1'), batchIn(state, 'b2'))).toEqual(rowsOf(whole));
          // And merged again it is what it was.
          const merged = stateOf(
            ...drafts,
            ...parts,
            ...mergeEntries(batchIn(state, 'b2'), batchIn(state, 'b1'), addDays(LATER, 1)),
          );
          expect(batchIn(merged, 'b1')).toMatchObject({
            count: whole.count,
            counts: whole.counts,
            waiting: whole.waiting,
          });
          expect(batchIn(merged, 'b2')).toMatchObject({ count: 0, stage: 'done' });
        },
      ),
    );
  });

  it('takes the marked places, and the others keep theirs', () => {
    const state = stateOf(
      ...tray({ rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0 }),
      ...splitEntries(before, { taken: {}, places: [0, 1] }, 'b2', LATER),
      { kind: 'tally', batch: 'b1', day: addDays(LATER, 2), places: { '5': 'rooted' } },
    );
    expect(batchIn(state, 'b1').cuttings.find((c) => c.outcome === 'rooted')?.place).toBe(5);
    expect(batchIn(state, 'b1').cuttings.map((c) => c.place)).toEqual([2, 3, 4, 5, 6, 7, 8, 9]);
  });
});

describe('cutting afresh', () => {
  const base = stateOf(...tray());
  const before = batchIn(base, 'b1');
  const rescued = stateOf(
    ...tray(),
    ...rescueEntries(base, before, { taken: { waiting: 2 } }, 'b2', LATER, { cause: 'rot' }),
  );

  it('is a new wound with a clock of its own', () => {
    const child = batchIn(rescued, 'b2');
    expect(child).toMatchObject({ cutOn: LATER, cut: LATER, stuck: null, stage: 'callusing' });
    const gate = clockOf(rescued, child)?.gate;
    const old = clockOf(rescued, batchIn(rescued, 'b1'))?.gate;
    expect(gate?.state === 'dated' && gate.opens > LATER).toBe(true);
    expect(old?.state === 'dated' && old.opens < LATER).toBe(true);
  });

  it('counts the rot it was cut away from, with its interval', () => {
    expect(batchIn(rescued, 'b1')).toMatchObject({ count: 10, counts: { rotted: 4 }, waiting: 1 });
    expect(fateRows(batchIn(rescued, 'b1')).losses).toContainEqual({
      left: 20,
      right: 30,
      cause: 'rotted',
      count: 2,
    });
  });

  it('leaves a wound that was only sealed too hard uncounted, but known to have waited', () => {
    const state = stateOf(
      ...tray(),
      ...rescueEntries(base, before, { taken: { waiting: 2 } }, 'b2', LATER, { cause: 'sealed' }),
    );
    expect(batchIn(state, 'b1')).toMatchObject({
      count: 10,
      counts: { rotted: 2 },
      waiting: 3,
      here: { waiting: 1 },
    });
  });

  it('teaches nothing about fresh cuttings', () => {
    expect(batchIn(rescued, 'b2').excluded).toMatch(/^cut afresh from ECH-/);
  });
});

describe('cuttings that leave', () => {
  const base = stateOf(...tray());
  const before = batchIn(base, 'b1');

  it('stay counted as what they had come to', () => {
    const state = stateOf(
      ...tray(),
      ...leaveEntries(before, { taken: { rooted: 3, pupped: 1 } }, LATER, 'sold', {
        text: 'market',
      }),
    );
    expect(batchIn(state, 'b1')).toMatchObject({
      count: 10,
      counts: { rooted: 4, pupped: 1 },
      here: { rooted: 1, pupped: 0, waiting: 3 },
    });
  });

  it('are a loss when thrown out before roots', () => {
    const state = stateOf(
      ...tray(),
      ...leaveEntries(before, { taken: { waiting: 3 } }, LATER, 'discarded'),
    );
    expect(batchIn(state, 'b1').counts.lost).toBe(3);
  });

  it('may all be gone, and the batch is done', () => {
    const gone = leaveEntries(
      before,
      { taken: { waiting: 3, rooted: 4, pupped: 1 } },
      LATER,
      'given',
    );
    expect(batchIn(stateOf(...tray(), ...gone), 'b1').stage).toBe('done');
  });

  it('do not change with a later count', () => {
    const state = stateOf(
      ...tray(),
      ...leaveEntries(before, { taken: { rooted: 4 } }, LATER, 'given'),
      {
        kind: 'tally',
        batch: 'b1',
        day: addDays(LATER, 5),
        counts: { rooted: 6, pupped: 1, rotted: 2, dried: 0, lost: 0 },
      },
    );
    expect(batchIn(state, 'b1')).toMatchObject({ here: { rooted: 2, waiting: 1 }, conflicts: [] });
  });
});

describe('single plants', () => {
  const base = stateOf(...tray());
  const before = batchIn(base, 'b1');
  const state = stateOf(
    ...tray(),
    ...singleEntries(base, before, { taken: { rooted: 2 } }, ['p1', 'p2'], LATER),
  );

  it('are batches of one, with the roots they had', () => {
    expect(batchIn(state, 'p1')).toMatchObject({
      count: 1,
      counts: { rooted: 1 },
      stage: 'done',
      parting: 'single',
      excluded: expect.stringMatching(/^counted in /) as string,
    });
  });

  it('stay counted where they rooted, but do not stand there', () => {
    expect(batchIn(state, 'b1')).toMatchObject({
      count: 10,
      counts: { rooted: 4 },
      here: { rooted: 2 },
    });
  });

  it('may become a mother', () => {
    const [entry] = motherEntries(batchIn(state, 'p1'), 'm9', LATER);
    expect(entry).toMatchObject({ kind: 'parted', why: 'mother', to: 'm9', taken: { rooted: 1 } });
  });
});

describe('what cannot be done is said', () => {
  const state = stateOf(...tray(), batchPut({ ...FIELDS, cutOn: addDays(DAY, 4) }, 'b2'), {
    kind: 'cut',
    batch: 'b2',
    day: addDays(DAY, 4),
  });
  const batch = batchIn(state, 'b1');

  it.each([
    [{ taken: {} }, 'How many? Take one at least.'],
    [{ taken: { rooted: 5 } }, 'Only 4 with roots are here. Take fewer, or count again first.'],
    [{ taken: { waiting: 1.5 } }, 'Whole numbers of 0 or more, please.'],
    [{ taken: {}, places: [99] }, 'Some of the marked ones are no longer here.'],
    [{ taken: { waiting: 3, rooted: 4, pupped: 1 } }, ''],
  ])('%j', (which, says) => {
    expect(takingProblem(batch, which)).toBe(says);
  });

  it('makes no batch larger than one may be', () => {
    const large = stateOf(...tray(), batchPut({ ...FIELDS, count: 10_000 }, 'b9'));
    expect(mergeProblem(large, batchIn(large, 'b1'), batchIn(large, 'b9'))).toMatch(
      /^Together they would be 10010; a batch holds 10000 at most/,
    );
  });

  it('keeps apart what was cut on different days', () => {
    expect(mergeProblem(state, batchIn(state, 'b2'), batch)).toMatch(
      /^They were cut on different days, so .* Let ECH-\w{3} share the tray instead\.$/,
    );
  });
});

describe('taking a parting back', () => {
  const before = batchIn(stateOf(...tray()), 'b1');
  const split = [...tray(), ...splitEntries(before, { taken: { rooted: 2 } }, 'b2', LATER)];

  it('takes the batch it made back with it', () => {
    const state = stateOf(...split);
    const parted = batchIn(state, 'b1').entries.find((e) => e.kind === 'parted')!;
    const back = takenBackWith(state, parted);
    if (!back.ok) throw new Error(back.problem);
    const retracts = back.entries.map((e, i) => ({
      kind: 'retract' as const,
      id: `r${i}`,
      day: LATER,
      by: 'phone',
      at: `2026-04-01T08:00:00.000Z~${i.toString(16).padStart(4, '0')}`,
      entry: e.id,
      subject: e.id === parted.id ? 'batch/b1' : 'batch/b2',
    }));
    const after = fold([...[...state.log.values()].flat(), ...retracts]);
    expect(after.batches.has('b2')).toBe(false);
    expect(batchIn(after, 'b1')).toMatchObject({ count: 10, counts: before.counts });
  });

  it('is refused once that batch has a history of its own', () => {
    const state = fold([
      ...[...stateOf(...split).log.values()].flat(),
      {
        kind: 'note',
        batch: 'b2',
        day: LATER,
        text: 'on the sill',
        id: 'n',
        by: 'phone',
        at: '2026-04-02T08:00:00.000Z~0000',
      },
    ]);
    const parted = batchIn(state, 'b1').entries.find((e) => e.kind === 'parted')!;
    expect(takenBackWith(state, parted)).toMatchObject({
      ok: false,
      problem: expect.stringMatching(/history of its own/) as string,
    });
  });
});
