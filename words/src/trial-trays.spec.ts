import type { Trial } from '@hypogeon/core/journal';
import type { TrialResult } from '@hypogeon/core/trial';
import { tooFewTrays, trayRules, traysText } from '.';

const trial = (over: Partial<Trial>): Trial => ({
  id: 't1',
  factor: 'mix',
  arms: [
    { name: 'A', value: 'a' },
    { name: 'B', value: 'b' },
  ],
  each: 40,
  trays: 4,
  ...over,
});

describe('trials by trays, in words', () => {
  it('say beforehand that the tray counts, and from how many on', () => {
    const [tray, test] = trayRules(trial({}));
    expect(tray).toContain('4 trays of 10 in each group, their places by lot');
    expect(test).toContain('called different at most 5 times in 100; with fewer than 4');
    expect(trayRules(trial({ factor: 'aid' }))).toEqual([]);
  });

  it('say where too few were counted', () => {
    const result = (trays: readonly [number, number], enough: boolean) =>
      ({ against: [{ trays: { trays, enough, least: 4 } }] }) as unknown as TrialResult;
    expect(tooFewTrays(result([1, 1], false))).toContain(
      'With one tray in a group this cannot be told',
    );
    expect(tooFewTrays(result([2, 3], false))).toContain('With 2 trays in a group');
    expect(tooFewTrays(result([4, 4], true))).toBe('');
    expect(tooFewTrays({ against: [] })).toBe('');
  });

  it('say how many, or that no number would do', () => {
    expect(traysText(6, 10, 2, '50% against 80%', 0.8)).toBe(
      '6 trays of 10 in each group tell 50% against 80% apart about 80 times in a hundred: 12 trays, 120 cuttings in all.',
    );
    expect(traysText(null, 10, 2, '50% against 51%', 0.8)).toContain('No number of trays');
  });
});
