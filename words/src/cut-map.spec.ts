import { METHOD } from '@hypogeon/core/botany';
import { pieceProblemText, tooShortText, type Speech } from '.';
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

describe('what is wrong with a cut', () => {
  it.each([
    [null, ''],
    [{ lacks: 'any node' } as const, 'No node on it: it never shoots.'],
    [{ lacks: 'nodes', has: 1, least: 2 } as const, 'Only 1 of 2 nodes: it seldom takes.'],
    [{ lacks: 'length', hasMm: 83, leastMm: 150 } as const, 'Only 83 mm of 150 mm: too short.'],
  ])('%o', (problem, says) => {
    expect(pieceProblemText(problem, speech)).toBe(says);
  });

  it('is said in the grower’s unit', () => {
    const inches = { ...speech, length: 'in' } as const;
    const length = { lacks: 'length', hasMm: 76.2, leastMm: 152.4 } as const;
    expect(pieceProblemText(length, inches)).toBe('Only 3 in of 6 in: too short.');
    expect(tooShortText({ stumpMm: 25.4, crownMm: 152.4 }, inches)).toContain('takes from 6 in');
    expect(tooShortText({ stumpMm: 25, crownMm: 150 }, speech)).toContain('that is 175 mm');
  });
});
