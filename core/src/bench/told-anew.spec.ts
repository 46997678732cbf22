import * as fc from 'fast-check';
import { addDays } from '../days';
import { fold, type Batch, type BatchEntry, type EntryDraft, type State } from '../journal';
import { batchPut, DAY, written } from '../testing/entries';
import { anewWrong, canBeAnew, toldAnew } from './told-anew';

const day = (n: number): string => addDays(DAY, n);
const LIFE: readonly EntryDraft[] = [
  batchPut(),
  { kind: 'cut', batch: 'b1', day: DAY },
  { kind: 'stuck', batch: 'b1', day: day(3) },
  { kind: 'watered', batch: 'b1', day: day(6), how: 'poured', ml: 40 },
  {
    kind: 'tally',
    batch: 'b1',
    day: day(20),
    counts: { rooted: 4, pupped: 1, rotted: 2, dried: 0, lost: 0 },
  },
  { kind: 'potted', batch: 'b1', day: day(24), count: 3, container: 'pot-7', mix: 'half-and-half' },
  { kind: 'moved', batch: 'b1', day: day(25), space: 'porch' },
  { kind: 'note', batch: 'b1', day: day(26), text: 'turned' },
];
const stateOf = (...more: readonly EntryDraft[]): State =>
  fold(written(...[...LIFE, ...more].map((d) => ({ day: DAY, ...d }))));
const state = stateOf();
const batch: Batch = state.batches.get('b1')!;
const entry = (kind: BatchEntry['kind']): BatchEntry => batch.entries.find((e) => e.kind === kind)!;
const TODAY = day(40);
/** The batch once this entry is told anew. */
const after = (kind: BatchEntry['kind'], anew: Parameters<typeof toldAnew>[1]): Batch =>
  stateOf(...toldAnew(entry(kind), anew)).batches.get('b1')!;

describe('an entry told anew', () => {
  it('moves to its day and keeps all else it said', () => {
    const moved = after('watered', { day: day(9) });
    expect(moved.waterings).toMatchObject([{ day: day(9), how: 'poured', ml: 40 }]);
    expect(moved.entries.filter((e) => e.kind === 'watered')).toHaveLength(1);
  });

  it('counts, pots, places, amounts and notes are put right', () => {
    const counts = { rooted: 3, pupped: 0, rotted: 4, dried: 0, lost: 0 };
    expect(after('tally', { counts }).counts).toMatchObject(counts);
    expect(after('potted', { count: 2, container: 'pot-11', mix: null }).entries).toContainEqual(
      expect.objectContaining({ kind: 'potted', count: 2, container: 'pot-11' }),
    );
    expect(
      after('potted', { mix: null }).entries.find((e) => e.kind === 'potted'),
    ).not.toHaveProperty('mix');
    expect(after('moved', { space: 'sill' }).space).toBe('sill');
    expect(after('watered', { ml: null }).waterings[0]).not.toHaveProperty('ml', 40);
    expect(after('note', { text: 'watered the neighbour' }).entries).toContainEqual(
      expect.objectContaining({ kind: 'note', text: 'watered the neighbour' }),
    );
  });

  it('told as it was changes nothing, and taking it back gives the batch before (law)', () => {
    for (const told of batch.entries) expect(toldAnew(told, { day: told.day })).toEqual([]);
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 30 }), (n) => {
        const there = toldAnew(entry('watered'), { day: day(n) });
        const moved = stateOf(...there);
        const new_ = moved.batches.get('b1')!.entries.find((e) => e.kind === 'watered')!;
        const back = fold(
          written(
            ...[...LIFE, ...there, ...toldAnew(new_, { day: day(6) })].map((d) => ({
              day: DAY,
              ...d,
            })),
          ),
        ).batches.get('b1')!;
        expect(back.waterings.map((w) => w.day)).toEqual([day(6)]);
        expect(back.counts).toEqual(batch.counts);
      }),
    );
  });

  it('says what cannot be', () => {
    const wrong = (kind: BatchEntry['kind'], anew: Parameters<typeof toldAnew>[1]) =>
      anewWrong(batch, entry(kind), anew, TODAY);
    expect(wrong('watered', { day: day(41) })).toEqual({ why: 'to-come' });
    expect(wrong('watered', { day: day(-1) })).toEqual({ why: 'uncut', cutOn: DAY });
    const counts = { rooted: 90, pupped: 0, rotted: 0, dried: 0, lost: 0 };
    expect(wrong('tally', { counts })).toEqual({ why: 'too-many', told: 90, of: batch.begunWith });
    expect(wrong('potted', { count: 0 })).toEqual({ why: 'nothing' });
    expect(wrong('note', { text: null })).toEqual({ why: 'nothing' });
    expect(wrong('cut', { day: day(4) })).toMatchObject({ why: 'done-sooner' });
    expect(wrong('cut', { day: day(2) })).toBeNull();
    expect(wrong('watered', { day: day(4), ml: 10 })).toBeNull();
  });

  it('offers what each kind tells, and nothing of what is undone as a whole', () => {
    expect(canBeAnew(entry('potted'))).toEqual(['count', 'container', 'mix', 'space']);
    expect(canBeAnew(entry('stuck'))).toEqual([]);
    expect(canBeAnew({ ...entry('note'), kind: 'forecast' } as unknown as BatchEntry)).toBeNull();
    expect(canBeAnew({ ...entry('note'), kind: 'parted' } as unknown as BatchEntry)).toBeNull();
  });
});
