import { EMPTY_STATE, fold } from '../journal';
import { addDays } from '../days';
import { benchLines } from '../bench';
import { roundOn } from '../round';
import { hostileFile } from '../testing/hostile';
import {
  hostilePack,
  hostileTable,
  packSays,
  takenFrom,
  writtenDown,
} from '../testing/hostile-table';
import { readEntry, readJournal } from '.';

/**
 * How long one takes is measured by `npm run bench`, never here.
 * `HOSTILE=5000 npm run unit -- hostile` tries more; other seeds than here are tried with `HOSTILE_FROM`.
 */
const FILES = Number(process.env.HOSTILE ?? 240);
const FROM = Number(process.env.HOSTILE_FROM ?? 0);

describe('files that are damaged or made to hurt', () => {
  it(`are refused with a place and a sentence, or change nothing for the worse (${FILES})`, () => {
    const wrong: string[] = [];
    for (let seed = FROM; seed < FROM + FILES; seed++) {
      const { name, text, bad, oneEntry, nowMs } = hostileFile(seed);
      const read = readJournal(text, EMPTY_STATE, nowMs);
      if (read.ok && bad) wrong.push(`${seed} ${name}: taken`);
      if (!read.ok && !bad) wrong.push(`${seed} ${name}: refused: ${read.problems[0]!.sentence}`);
      if (
        !read.ok &&
        read.problems.some((p) => p.sentence === '' || /undefined|NaN/.test(p.sentence))
      )
        wrong.push(`${seed} ${name}: no sentence`);
      if (!read.ok && oneEntry && read.problems[0]!.line === undefined)
        wrong.push(`${seed} ${name}: no line`);
      if (read.ok) {
        const state = fold(read.entries);
        const today = addDays(new Date(nowMs).toISOString().slice(0, 10), 1);
        const { broken } = roundOn(state, today);
        if (broken.length > 0) wrong.push(`${seed} ${name}: ${broken[0]!.reason}`);
        if (benchLines(state, today).length !== state.batches.size)
          wrong.push(`${seed} ${name}: a batch is missing from the bench`);
      }
    }
    expect(wrong).toEqual([]);
  });

  it(`as tables: nothing is thrown, and what is taken may stand in a journal (${FILES})`, () => {
    const wrong: string[] = [];
    for (let seed = FROM; seed < FROM + FILES; seed++) {
      takenFrom(hostileTable(seed)).forEach((draft, n) => {
        const read = readEntry(writtenDown(draft, n));
        if (!read.ok) wrong.push(`${seed} ${draft.kind}: ${read.issues[0]!.sentence}`);
      });
      if (packSays(hostilePack(seed)) === '') wrong.push(`${seed}: a pack without a sentence`);
    }
    expect(wrong).toEqual([]);
  });
});
