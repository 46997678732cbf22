import type { RotCalibration } from '@hypogeon/core/rehearse';
import {
  binText,
  forecastText,
  rangesText,
  reachText,
  rotCalibrationText,
  WHAT_IF_PROBLEM,
  whatIfName,
} from '.';

const figure = (n: number): string => n.toFixed(1);
const rot: RotCalibration = {
  factor: 1.4,
  low: 0.8,
  high: 2.3,
  batches: 14,
  told: 0.3,
  early: { cuttings: 40, rotted: 9 },
  late: { cuttings: 0, rotted: 0 },
};

describe('a forecast in words', () => {
  it('says how many of how many, by when, and its range', () => {
    const said = { rooted: 0.78, low: 0.6, high: 1, cuttings: 9, days: 120 };
    expect(forecastText(said)).toBe('Forecast: 78% of 9 with roots by day 120 (60–100%).');
  });

  it.each([
    [null, /^None is settled yet/],
    [
      { share: 0.8, held: 8, of: 10, low: 0.49, high: 0.94 },
      /8 of 10 forecasts \(49–94%\).*Nothing speaks/,
    ],
    [{ share: 1, held: 1, of: 1, low: 0.2, high: 1 }, /1 of 1 forecast \(/],
    [{ share: 0.98, held: 98, of: 100, low: 0.93, high: 1 }, /too careful/],
    [{ share: 0.3, held: 6, of: 20, low: 0.15, high: 0.52 }, /too sure/],
  ])('ranges %#', (ranges, says) => {
    expect(rangesText(ranges)).toMatch(says);
  });

  it('of those that said about the same, what came', () => {
    const came = { share: 0.64, low: 0.45, high: 0.8 };
    expect(binText({ from: 0.6, to: 0.8, forecasts: 3, cuttings: 40, said: 0.71, came })).toBe(
      'Of those said 60–80% (mean 71%): 64% of 40 rooted (45–80%).',
    );
  });
});

describe('what a play rests on', () => {
  it('is the assumption with its range, until batches tell', () => {
    const assumed = { ...rot, batches: 0, factor: 1, told: 0 };
    expect(rotCalibrationText(assumed, figure)).toContain('no batch of yours tells yet');
    expect(rotCalibrationText(rot, figure)).toBe(
      'By 14 batches of yours wounds rot 1.4 times as readily as assumed (0.8–2.3, eight times in ten): some evidence. Watered early, 9 of 40 rotted.',
    );
    expect(rotCalibrationText({ ...rot, batches: 1, told: 0.05 }, figure)).toMatch(
      /^By 1 batch of yours .* hardly more than the assumption/,
    );
    expect(rotCalibrationText({ ...rot, told: 0.6 }, figure)).toContain('good evidence');
  });

  it('and how far it would go otherwise', () => {
    const at = (share: number) => ({ share, se: 0 });
    expect(reachText(at(0.96), at(0.71), rot, figure)).toBe(
      'How ready wounds rot nobody has measured: at 0.8 times what is assumed 96 of 100 root, at 2.3 times 71.',
    );
    expect(reachText(at(0.9), at(0.9), rot, figure)).toContain('no difference here: 90 of 100');
  });
});

describe('what is asked of a batch', () => {
  it('is called by what is done, today or then', () => {
    expect(whatIfName('weekly', false)).toBe('Watered today, then weekly');
    expect(whatIfName('weekly', true)).toBe('Set at once, watered weekly');
    expect(whatIfName('My own way', true)).toBe('My own way');
  });

  it('says in a sentence why not, and what to do where something can be done', () => {
    for (const says of Object.values(WHAT_IF_PROBLEM)) expect(says).toMatch(/^[A-Z].*\.$/);
  });
});
