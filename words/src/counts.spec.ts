import type { Against } from '@hypogeon/core/benches';
import { againstText, benchesText, countsProblemText, doubtText } from './counts';

describe('counts of other benches, in words', () => {
  it('a refused file is told by line, field and reason', () => {
    const field = (says: string): string =>
      countsProblemText({ line: 3, field: 'rows.1.rooted', reason: { is: 'field', says } });
    expect(field('over-set|25|20')).toBe(
      'Line 3, rows.1.rooted: is 25, more than the 20 that were set.',
    );
    expect(field('over-rooted|13|12')).toContain('more than the 12 with roots');
    expect(field('sum|20|17')).toContain('adds up to 17');
    expect(field('settled|2')).toContain('nothing waits');
    expect(field('roots|20')).toContain('more than the 20');
    expect(field('backwards')).toContain('ends before it begins');
    expect(field('bench')).toContain('letters and digits');
    expect(field('must be a whole number of 0 or more')).toMatch(/0 or more\.$/);
    expect(
      [
        { is: 'too large', megabytes: 12, most: 10 },
        { is: 'too deep' },
        { is: 'broken' },
        { is: 'another file' },
        { is: 'newer', version: 9, known: 1 },
        { is: 'rows', rows: 2001, most: 2000 },
        { is: 'unknown fields', fields: ['grower'] },
      ].map((reason) => countsProblemText({ reason: reason as never })),
    ).toEqual([
      expect.stringContaining('12 MB; counts have 10'),
      expect.stringContaining('deeper'),
      expect.stringContaining('broke off'),
      expect.stringContaining('hypogeon-counts'),
      expect.stringContaining('version 9'),
      expect.stringContaining('2001 rows'),
      expect.stringContaining('holds grower'),
    ]);
  });

  it('doubts are named', () => {
    const name = (): string => 'Kiln loft';
    expect(doubtText({ is: 'own' }, name)).toContain('your own counts');
    expect(doubtText({ is: 'all rooted', set: 80 }, name)).toContain('All 80 rooted');
    expect(doubtText({ is: 'same as', bench: 'x' }, name)).toContain('Kiln loft');
    expect(doubtText({ is: 'unknown plants', rows: 1 }, name)).toContain('One row');
    expect(doubtText({ is: 'unknown plants', rows: 3 }, name)).toContain('3 rows are');
    expect(doubtText({ is: 'not newer', edition: 1, known: 1 }, name)).toBe(
      'You have these already.',
    );
    expect(doubtText({ is: 'not newer', edition: 1, known: 3 }, name)).toContain('edition 3');
  });

  const against: Against = {
    above: 9,
    of: 11,
    difference: 0.2,
    low: 0.06,
    high: 0.33,
    sure: true,
    differs: [{ in: 'course', theirs: 'bare', own: 'dried' }],
  };

  it('one’s own against the others is one sentence, with what they do otherwise', () => {
    expect(againstText(against, 'leaf')).toBe(
      'Your leaves root less than at 9 of 11 benches, by more than chance: 20 of 100, 6 to 33. Theirs mostly: bare until roots; yours: dried, then set.',
    );
    expect(
      againstText(
        {
          ...against,
          above: 2,
          difference: -0.1,
          low: -0.25,
          high: 0.05,
          sure: false,
          differs: [],
        },
        'leaf',
      ),
    ).toBe(
      'Your leaves root about as often as at the other 11 benches: what they differ by (10 of 100, −5 to 25) may be chance.',
    );
    expect(
      againstText({ ...against, differs: [{ in: 'half', theirs: 'warm', own: 'cold' }] }, 'pad'),
    ).toContain('yours in the cold');
  });

  it('says on how many benches a figure rests', () => {
    expect([benchesText(1), benchesText(11)]).toEqual([
      'counted on one other bench',
      'counted on 11 other benches',
    ]);
  });
});
