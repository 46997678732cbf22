import { demoJournal } from '@hypogeon/core/demo';
import { fold, type BatchEntry } from '@hypogeon/core/journal';
import { DAY } from '../../testing/mount';
import { entryWords } from './entry-words';

const state = fold(demoJournal(DAY));
const none = { rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0 };

function words(entry: object): string {
  return entryWords(state, {
    id: 'e',
    at: 'x',
    day: DAY,
    by: 'b',
    batch: 'b-01',
    ...entry,
  } as BatchEntry);
}

describe('a line of the log', () => {
  it.each<[object, string]>([
    [{ kind: 'cut' }, 'Cut'],
    [{ kind: 'stuck' }, 'Set in the mix'],
    [{ kind: 'inspected', seen: 'firm' }, 'Wound dry and firm'],
    [
      { kind: 'inspected', seen: 'soft', text: 'two of them' },
      'Looked: soft or dark at the base: two of them',
    ],
    [{ kind: 'watered', how: 'misted' }, 'Misted'],
    [
      { kind: 'watered', how: 'poured', breach: 'By mistake' },
      'Watered before the gate opened: By mistake',
    ],
    [{ kind: 'tally', counts: none }, 'Counted: no change'],
    [{ kind: 'tally', counts: { ...none, rooted: 2, dried: 1 } }, 'Counted: 2 rooted, 1 dried up'],
    [
      { kind: 'tally', counts: { ...none, lost: 1 }, recount: 'slip' },
      'Recounted: 1 lost otherwise',
    ],
    [{ kind: 'tally', places: { '0': 'rotted' } }, 'Marked one place: rotted'],
    [
      { kind: 'tally', places: { '0': 'rotted', '4': 'rooted' } },
      'Marked 2 places: rotted, rooted',
    ],
    [{ kind: 'potted', count: 3 }, 'Potted on 3'],
    [{ kind: 'moved', space: 'shelf', place: 'Tray X' }, 'Moved to Warm shelf, Tray X'],
    [{ kind: 'moved', space: 'gone' }, 'Moved to another bench'],
    [{ kind: 'note', text: 'Looks well' }, 'Looks well'],
    [{ kind: 'ended' }, 'Ended'],
    [{ kind: 'ended', text: 'Frost' }, 'Ended: Frost'],
  ])('%j reads “%s”', (entry, text) => {
    expect(words(entry)).toBe(text);
  });
});
