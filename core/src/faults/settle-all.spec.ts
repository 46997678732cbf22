import { reasonOf, settleAll } from './settle-all';

describe('one that throws', () => {
  it('costs itself a sentence, and the others nothing', () => {
    const { results, broken } = settleAll([4, 0, 2], (n) => {
      if (n === 0) throw new RangeError('n must be above 0, got 0');
      return 8 / n;
    });
    expect(results).toEqual([2, 4]);
    expect(broken).toEqual([{ of: 0, reason: 'n must be above 0, got 0' }]);
  });

  it('says something whatever was thrown', () => {
    expect([new Error('full'), new Error(''), 'text', null].map(reasonOf)).toEqual([
      'full',
      'Error',
      'text',
      'null',
    ]);
  });
});
