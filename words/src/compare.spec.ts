import type { Comparison, GroupSummary } from '@hypogeon/core/ledger';
import {
  comparisonHeadline,
  comparisonWorking,
  confoundingText,
  fairTrial,
  halfDays,
  pText,
  unfairText,
} from '.';

const side = (name: string, rooted: number, told: number, batches = 4): GroupSummary =>
  ({ name, told, settledBatches: batches, count: { rooted }, rooted: null, half: null }) as never;
const held = (over: Partial<Comparison>): Comparison =>
  ({
    a: side('Blend', 77, 100),
    b: side('Leaf bed', 80, 100),
    difference: { difference: -0.03, low: -0.2, high: 0.14 },
    strength: 'weak',
    p: 0.6,
    chance: 0.4,
    times: { test: null },
    within: null,
    confounded: [],
    trialOf: null,
    ...over,
  }) as Comparison;

describe('two ways compared, in a sentence', () => {
  const lead = { difference: 0.3, low: 0.1, high: 0.5 };

  it('is as sure as its evidence, and names first what roots more', () => {
    const of = (strength: Comparison['strength'], sign: 1 | -1): string =>
      comparisonHeadline(held({ strength, difference: { ...lead, difference: sign * 0.3 } }));
    expect(of('strong', 1)).toBe('Blend roots more often than leaf bed.');
    expect(of('strong', -1)).toBe('Leaf bed roots more often than blend.');
    expect(of('some', 1)).toMatch(/^Blend seems to root more often .* more batches would tell\.$/);
    expect(of('weak', 1)).toBe('No clear difference between blend and leaf bed.');
  });

  it('one batch is no evidence, and nothing settled is no answer', () => {
    const one = held({ b: side('Coir', 9, 10, 1), strength: 'strong', difference: lead });
    expect(comparisonHeadline(one)).toBe('Too little to tell: of coir there is one batch so far.');
    const none = held({ b: side('Coir', 0, 0, 0), difference: null });
    expect(comparisonHeadline(none)).toContain('nothing of coir has come to its end');
  });

  it('what runs the other way of all pieces together is told where it does, and only there', () => {
    const says = (difference: number, over: Partial<Comparison> = {}): string =>
      comparisonWorking(
        held({ difference: { difference, low: -1, high: 1 }, ...over }),
        'en-GB',
      ).join(' ');
    expect(says(0.05)).toContain(
      'it is the other way round (77% of blend, 80% of leaf bed): one large tray weighs much',
    );
    expect(says(-0.05)).not.toContain('other way round');
    expect(says(0.05, { a: side('None', 0, 0) })).not.toContain('other way round');
  });

  const MIX = { by: 'mix', most: 'Grit', against: 'Leaf bed' } as const;

  it('names what else differs', () => {
    expect(confoundingText(MIX)).toBe('in mix: mostly Grit against Leaf bed');
    expect(confoundingText({ by: 'season' })).toContain('other times of the year');
  });

  it('counts what else differs, and says what a fair trial takes', () => {
    expect(unfairText(held({}))).toBe('');
    expect(unfairText(held({ confounded: [{ by: 'season' }] }))).toContain('one other thing too');
    expect(unfairText(held({ confounded: [{ by: 'season' }, MIX] }))).toContain('2 other things');
    expect(fairTrial(held({ trialOf: 38 }))).toContain('about 38 cuttings each');
    expect(fairTrial(held({}))).toContain('no trial of a sensible size');
  });

  it('days and small chances are written so that they can be read', () => {
    expect(halfDays({ from: 13, to: null })).toBe('13 or later');
    expect(halfDays({ from: 13.2, to: 13.4 })).toBe('13');
    expect(halfDays({ from: 13, to: 14 })).toBe('13–14');
    expect([pText(0.0004), pText(0.0312), pText(0.62)]).toEqual([
      'p below 0.001',
      'p 0.031',
      'p 0.62',
    ]);
  });
});
