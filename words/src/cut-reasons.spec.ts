import { CUT_REASONS } from '@hypogeon/core/journal';
import { CUT_REASON_NAME, whereToCut } from '.';

describe('why a mother is cut, and where then', () => {
  it('names every reason and says where the blade goes', () => {
    for (const reason of CUT_REASONS) {
      expect(CUT_REASON_NAME[reason]).toMatch(/^[a-z]/);
      expect(whereToCut([reason], 'mm')[0]).toMatch(/^[A-Z].*\.$/);
    }
  });

  // Common practice, no source.
  it('in the order of the list, whatever was tapped first', () => {
    expect(whereToCut(['fuller', 'bare'], 'mm').map((s) => s.split(':')[0])).toEqual([
      'A bare stretch',
      'Fuller',
    ]);
    expect(whereToCut([], 'mm')).toEqual([]);
    expect(whereToCut(['leggy'], 'in')[0]).toContain('about 1 in of bare stem');
  });
});
