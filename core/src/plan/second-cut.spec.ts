import jStat from 'jstat';
import { randomFrom } from '../stats';
import { atLeast, plantsReady, readyOfTwoCuts, sumOf } from '.';

describe('two cuts of one plant', () => {
  const belief = { a: 5.6, b: 2.4, correlation: 0.1 };
  const cut = (taken: number, ready = 1) => ({ taken, paces: [{ weight: 1, ready }] });

  /** Drawn from the model itself: one chance of the plant, one of each tray about it, each piece by that. */
  function reached(wanted: number, taken: number, benches: number): number {
    const random = randomFrom(11);
    const beta = (a: number, b: number): number => jStat.beta.inv(random(), a, b);
    let held = 0;
    for (let n = 0; n < benches; n++) {
      const plant = beta(belief.a, belief.b);
      let ready = 0;
      for (const _ of [1, 2]) {
        const tray = beta(plant * 9, (1 - plant) * 9);
        for (let k = 0; k < taken; k++) if (random() < tray) ready++;
      }
      if (ready >= wanted) held++;
    }
    return held / benches;
  }

  it('reach what is said of them: one plant fails at both', () => {
    const both = readyOfTwoCuts(cut(40), cut(40), belief);
    expect(both).toHaveLength(81);
    expect(both.reduce((sum, p) => sum + p, 0)).toBeCloseTo(1, 9);
    const said = atLeast(40, both);
    // Of 4,000 benches the share is known to 0.006.
    expect(Math.abs(said - reached(40, 40, 4000))).toBeLessThan(0.02);
    // As two plants that know nothing of each other it would look surer.
    const tray = [{ weight: 1, a: 3.5, b: 1.5, ready: 1 }];
    expect(atLeast(40, sumOf(plantsReady(40, tray), plantsReady(40, tray)))).toBeGreaterThan(
      said + 0.02,
    );
  });

  it('those not ready in time count for nothing, and no second cut is the first alone', () => {
    const half = readyOfTwoCuts(cut(10), cut(10, 0), belief);
    const alone = readyOfTwoCuts(cut(10), cut(0), belief);
    alone.forEach((p, k) => expect(half[k]).toBeCloseTo(p, 12));
    expect(atLeast(11, half)).toBeCloseTo(0, 12);
  });
});
