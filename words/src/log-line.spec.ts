import { demoJournal } from '@hypogeon/core/demo';
import { fold, type BatchEntry } from '@hypogeon/core/journal';
import { logLine } from './log-line';
import { speechFor } from './speech';

const DAY = '2026-04-09';
const state = fold(demoJournal(DAY));
const speech = speechFor(state, { locale: 'en-GB', today: DAY });
const none = { rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0 };

function words(entry: object, told = speech): string {
  const whole = { id: 'e', at: 'x', day: DAY, by: 'b', batch: 'b-01', ...entry } as BatchEntry;
  return logLine(state, whole, told);
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
      'Watered before it was safe: By mistake',
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

  it.each<[object, string, string]>([
    [
      { kind: 'watered', how: 'poured', ml: 240 },
      'Watered, 240 mL a pot',
      'Watered, 8 fl oz a pot',
    ],
    [{ kind: 'weighed', grams: 310 }, 'Weighed: 310 g', 'Weighed: 10.9 oz'],
    [{ kind: 'felt', seen: 'dry', depthMm: 25.4 }, 'Felt dry, 25 mm deep', 'Felt dry, 1 in deep'],
    [{ kind: 'measured', what: 'stem', mm: 12.7 }, 'Measured: stem 13 mm', 'Measured: stem 0.5 in'],
  ])('%j in both systems', (entry, metric, inches) => {
    expect(words(entry)).toBe(metric);
    expect(words(entry, { ...speech, length: 'in' })).toBe(inches);
  });

  it('names days as the grower does', () => {
    const postponed = { kind: 'put-off', task: 'roots', until: '2026-04-10', text: 'rain' };
    expect(words(postponed)).toMatch(/ postponed to tomorrow: rain$/);
  });
});
