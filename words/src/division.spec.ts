import { METHOD } from '@hypogeon/core/botany';
import { judgePart, type ClumpPart } from '@hypogeon/core/plan';
import { partText, type Speech } from '.';
import { METHOD_RULE } from './piece-rules';

const speech: Speech = {
  locale: 'en-GB',
  today: '2026-04-09',
  length: 'mm',
  temperature: 'C',
  wayOf: () => METHOD.leaf,
  ruleOf: () => METHOD_RULE.leaf,
  batchName: () => '',
};
const part = (over: Partial<ClumpPart>): ClumpPart => ({
  points: 1,
  tubers: 0,
  roots: 'brush',
  joined: 'by itself',
  cutMm: null,
  rhizomeMm: null,
  rootsMm: 70,
  paleMm: 25,
  old: false,
  ...over,
});
const says = (over: Partial<ClumpPart>, style = speech): string =>
  partText(judgePart(part(over)), style);

describe('what is to be done with a part', () => {
  it('its own roots: depth, pot, rim and water', () => {
    expect(says({})).toBe(
      'Pot it: it has its own roots and no cut. Set it 25 mm deep, as its pale band shows. A pot 80–90 mm across. The mix ends 10–15 mm under the rim. Water when potted, then shade for a week or two.',
    );
    expect(says({ old: true })).toContain('First water 3 days after potting, in shade.');
    expect(says({ joined: 'by itself', points: 0, tubers: 1, roots: 'none', old: true })).toMatch(
      /^Off with it: .* not potted\.$/,
    );
    expect(says({ paleMm: null })).toContain('No deeper than it stood.');
  });

  it('a cut rhizome: its way round, and no day of water but the clock’s', () => {
    const text = says({ joined: 'rhizome', rhizomeMm: 25 });
    expect(text).toContain('growing point towards the room');
    expect(text).toContain('Short of the 40 mm');
    expect(text).toContain('First water once the cut is closed: about a week, dry in its pot.');
    expect(partText(judgePart(part({ joined: 'rhizome' }), 'at-once'), speech)).toContain(
      'at once, as you chose: with the cut still open it may rot',
    );
  });

  it('what stays, says why', () => {
    expect(says({ points: 0 })).toBe('Leave it on: nothing of it would shoot.');
  });

  it('in inches', () => {
    const inches = says({ paleMm: 25.4 }, { ...speech, length: 'in' });
    expect(inches).toContain('Set it 1 in deep');
    expect(inches).toContain('The mix ends 3/8–5/8 in under the rim.');
  });
});
