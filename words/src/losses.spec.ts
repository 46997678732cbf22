import type { Finding, LossBar } from '@hypogeon/core/ledger';
import { lossHeadline, lossWorking, lostByText } from '.';

const weeks = (...lost: readonly number[]): readonly LossBar[] =>
  lost.map((n, i) => ({ name: `${i + 1}`, of: { rotted: n, dried: 0, lost: 0 } }));
const share = (at: number) => ({ share: at, low: at - 0.1, high: at + 0.1 });
const finding = {
  by: 'mix',
  group: 'Wet peat',
  cause: 'rotted',
  here: share(0.6),
  elsewhere: share(0.2),
  difference: { difference: 0.4, low: 0.2, high: 0.6 },
  batches: [],
} as unknown as Finding;

describe('what the page of losses says', () => {
  it('three in four, by the week in which that many were gone', () => {
    expect(lostByText(weeks(3, 0, 1))).toBe('three in four were lost by week 1');
    expect(lostByText(weeks(2, 0, 1, 1))).toBe('three in four were lost by week 3');
    expect(lostByText(weeks(0, 0))).toBe('');
  });

  it('is the strongest finding, else that there is none and when most is lost', () => {
    expect(lossHeadline([finding], weeks(1))).toMatch(/wet peat: 60% rotted, against 20%/);
    expect(lossHeadline([], weeks(1, 3))).toBe(
      'Nothing stands out from chance; three in four were lost by week 2 after the cut.',
    );
    expect(lossHeadline([], [])).toBe('Nothing stands out from chance.');
  });

  it('says how often it looked, and what came nearest where nothing was found', () => {
    expect(lossWorking(0, null, [])).toContain('too little yet');
    expect(lossWorking(74, finding, [])).toMatch(/^74 comparisons .* 40 of 100 more, 20 to 60/);
    expect(lossWorking(74, null, [finding])).toBe('74 comparisons were made.');
  });
});
