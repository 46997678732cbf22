import * as fc from 'fast-check';
import type { Entry } from '../journal';
import { writeJournal } from './journal-file';
import { tornJournal } from './torn-journal';

const NOW = Date.parse('2026-04-09T09:00:00Z');
const note = (n: number): Entry => ({
  id: `n${n}`,
  at: `2026-03-01T08:00:00.000Z~${n.toString(16).padStart(4, '0')}`,
  day: '2026-03-01',
  by: 'phone',
  kind: 'note',
  batch: 'b1',
  text: `turned, "and" \\ moved, ${n}`,
});
const ENTRIES = Array.from({ length: 9 }, (_, n) => note(n));
const TEXT = writeJournal(ENTRIES);
const ids = (entries: readonly Entry[]): readonly string[] => entries.map((e) => e.id);

describe('a torn journal', () => {
  it('gives back every entry whose line is whole, wherever it broke off (law)', () => {
    const head = TEXT.indexOf('\n') + 1;
    fc.assert(
      fc.property(fc.integer({ min: head, max: TEXT.length - 4 }), (cut) => {
        const text = TEXT.slice(0, cut);
        const torn = tornJournal(text, NOW);
        expect(torn).not.toBeNull();
        const lines = text.split('\n').slice(1);
        const whole = ENTRIES.filter((e) => lines.some((l) => l.startsWith(JSON.stringify(e))));
        expect(ids(torn!.entries)).toEqual(ids(whole));
      }),
    );
  });

  it('gives back what stands around a hole in the middle, and before noughts at the end', () => {
    const from = TEXT.indexOf('"n3"');
    const hole = TEXT.slice(0, from) + '\0'.repeat(60) + TEXT.slice(from + 60);
    expect(ids(tornJournal(hole, NOW)!.entries)).toEqual(ids(ENTRIES).filter((id) => id !== 'n3'));
    const noughts = TEXT.slice(0, TEXT.indexOf('{"id":"n5"')) + '\0'.repeat(400);
    expect(tornJournal(noughts, NOW)!.entries).toHaveLength(5);
  });

  it('is none where it reads as a whole, or is something else', () => {
    expect(tornJournal(TEXT, NOW)).toBeNull();
    expect(tornJournal('', NOW)).toBeNull();
    expect(tornJournal('plant;number\nSedum;3\n', NOW)).toBeNull();
    expect(tornJournal('{"format":"another","version":1,"entries":[\n{"id"', NOW)).toBeNull();
  });

  it('is none of a newer version: what its lines mean is not known, and it is left', () => {
    const newer = TEXT.replace(/"version":\d+/, '"version":99').slice(0, -30);
    expect(tornJournal(newer, NOW)).toBeNull();
  });
});
