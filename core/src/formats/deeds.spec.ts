import { EMPTY_STATE, fold, unite } from '../journal';
import { walkDeeds } from '../testing/deeds';
import { problemText, readEntry, readJournal, writeJournal } from '.';

/** `DEEDS=5000 npm run unit -- deeds` walks further. */
const WALKS = Number(process.env.DEEDS ?? 200);

describe('whatever the app lets a grower do', () => {
  it(`comes back through export and import (${WALKS} walks)`, () => {
    for (let seed = 1; seed <= WALKS; seed++) {
      const { state, entries, nowMs } = walkDeeds(seed, 30 + (seed % 40));
      const bad = entries.find((e) => !readEntry(e).ok);
      expect({ seed, bad }).toEqual({ seed, bad: undefined });
      const text = writeJournal(entries);
      const read = readJournal(text, EMPTY_STATE, nowMs);
      if (!read.ok) throw new Error(`walk ${seed}: ${problemText(read.problems[0]!)}`);
      expect(writeJournal(unite(read.entries))).toBe(text);
      const again = fold(read.entries);
      expect(JSON.stringify([...again.batches])).toBe(JSON.stringify([...state.batches]));
    }
  });

  it('of two batches made one, all can be counted and carried elsewhere', () => {
    // Ten and seven, merged, and fifteen of them counted: one batch's own number is not the limit.
    let merged = 0;
    for (let seed = 1; seed <= 120; seed++) {
      const { state } = walkDeeds(seed, 60);
      for (const batch of state.batches.values())
        if (batch.cuttings.length > batch.begunWith) merged++;
    }
    expect(merged).toBeGreaterThan(20);
  });
});
