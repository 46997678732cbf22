import * as fc from 'fast-check';
import { walkDeeds } from '../testing/deeds';
import { anyJournal } from '../testing/entries';
import { appendAll, fold, packState, unite, unpackState, type Entry, type Snapshot } from '.';

/** As a store gives it back. */
const stored = (entries: readonly Entry[]): Snapshot =>
  JSON.parse(JSON.stringify(packState(fold(entries), entries))) as Snapshot;

describe('a snapshot', () => {
  it('tells what a fold of its entries tells', () => {
    fc.assert(
      fc.property(anyJournal, (journal) => {
        const entries = unite(journal);
        expect(unpackState(stored(entries), entries)).toEqual(fold(entries));
      }),
    );
  });

  it('and what came since tell the same as a fold of all, whatever comes in whatever order', () => {
    fc.assert(
      fc.property(anyJournal, anyJournal, (before, since) => {
        const entries = unite(before);
        const opened = appendAll(unpackState(stored(entries), entries)!, since);
        const all = fold([...entries, ...since]);
        expect(opened).toEqual(all);
        expect([...opened.log.keys()]).toEqual([...all.log.keys()]);
        expect([...opened.batches.keys()]).toEqual([...all.batches.keys()]);
        expect([...opened.mothers.keys()]).toEqual([...all.mothers.keys()]);
      }),
    );
  });

  it('carries whole walks of a bench', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const { entries } = walkDeeds(seed, 60);
      const half = entries.slice(0, entries.length / 2);
      const opened = appendAll(unpackState(stored(half), half)!, entries.slice(half.length));
      expect(opened).toEqual(fold(entries));
    }
  });

  it('is refused where it is of other entries or another version', () => {
    const { entries } = walkDeeds(3, 20);
    const snapshot = stored(entries);
    expect(unpackState(snapshot, entries.slice(1))).toBeNull();
    expect(unpackState({ ...snapshot, version: 0 }, entries)).toBeNull();
    expect(() => unpackState({ ...snapshot, walks: [99_999] }, entries)).toThrow(RangeError);
  });
});
