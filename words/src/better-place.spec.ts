import type { SlowHere } from '@hypogeon/core/care';
import { METHOD } from '@hypogeon/core/botany';
import { betterName, betterText, noneBetter, slowText, type Speech } from '.';
import { METHOD_RULE } from './piece-rules';

const speech: Speech = {
  locale: 'en-GB',
  today: '2026-11-20',
  length: 'mm',
  temperature: 'C',
  wayOf: () => METHOD.column,
  ruleOf: () => METHOD_RULE.column,
  batchName: () => 'Column',
};
const slow: SlowHere = {
  space: 'porch',
  by: 'cold',
  tempC: 10.2,
  roots: '2027-06-20',
  opens: '2027-02-01',
  usualDays: 40,
  better: [
    { is: { by: 'place', space: 'sill' }, roots: '2027-01-10', opens: '2026-12-10' },
    { is: { by: 'mat', warmerC: 8 }, roots: '2027-02-10', opens: '2027-02-01' },
    { is: { by: 'lamp', hours: 14 }, roots: '2027-03-10', opens: null },
  ],
};

describe('a better place in words', () => {
  it('says why it is slow, and how long it would take where it likes to be', () => {
    expect(slowText(slow, speech)).toBe(
      'About 10 °C in the time ahead, too cool for it: roots about Sun 20 Jun 2027; where it likes to be in about 6 weeks.',
    );
    expect(slowText(slow, { ...speech, temperature: 'F' })).toContain('About 50 °F');
  });

  it('names place, mat and lamp in the grower’s units, with their days', () => {
    const names = slow.better.map((b) => betterName(b, (id) => `The ${id}`, speech));
    expect(names).toEqual([
      'The sill',
      'A mat under it, 8 °C warmer',
      'A lamp over it, 14 hours a day',
    ]);
    expect(betterName(slow.better[1]!, String, { ...speech, temperature: 'F' })).toContain('14 °F');
    expect(betterText(slow.better[0]!, speech)).toBe(
      'roots about Sun 10 Jan 2027, the cut closed by Thu 10 Dec',
    );
    expect(betterText(slow.better[2]!, speech)).not.toContain('closed');
  });

  it('where nothing is better it says what would be', () => {
    expect(noneBetter(slow, speech)).toBe(
      'None of your places is better now; warmth would be. Or cut when its season comes.',
    );
    expect(noneBetter({ ...slow, by: 'dark', roots: '2027-01-01' }, speech)).toBe(
      'None of your places is better now; a lamp would be.',
    );
  });
});
