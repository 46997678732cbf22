import { batchIn, storyDay, storyState } from '../testing/story';
import { demoJournal } from '../demo';
import { fold } from '../journal';
import { verdictsOn } from '../round';
import { careOf, linesOf, slipOf } from '.';

const CROWN = { taxon: 'echeveria-elegans', method: 'crown' } as const;
const slip = (lines: Parameters<typeof storyState>[1], n: number, fields = {}) => {
  const state = storyState({ ...CROWN, ...fields }, lines);
  return slipOf(state, batchIn(state), storyDay(n));
};

describe('what goes with a piece that is handed over', () => {
  it('fresh: no water before the gate, set when it is ready, roots from their window', () => {
    const s = slip([[0, 'cut']], 1);
    expect(s.noWaterBefore! > storyDay(3)).toBe(true);
    expect(s.setOn! > storyDay(1)).toBe(true);
    expect(s).toMatchObject({ rooted: false, rootsFrom: storyDay(11), inJar: false });
  });

  it('says of the water what its page says, with its pot judged', () => {
    const today = '2026-11-30';
    const state = fold(demoJournal(today));
    const verdicts = verdictsOn(state, today);
    let held = 0;
    for (const batch of state.batches.values()) {
      if (batch.cut === null || batch.ended !== null) continue;
      const verdict = verdicts.get(batch.id);
      const { water } = linesOf(state, batch, careOf(state, batch, today, verdict), today);
      const { noWaterBefore, dryUntilRoots } = slipOf(state, batch, today, verdict);
      if (dryUntilRoots || water.is !== 'not before') continue;
      expect(noWaterBefore).toBe(water.day);
      held++;
    }
    expect(held).toBeGreaterThan(3);
  });

  it('a chosen week after setting stands on the slip too', () => {
    const s = slip(
      [
        [0, 'cut'],
        [4, 'set'],
      ],
      5,
      { firstWater: 'week' },
    );
    expect(s.noWaterBefore).toBe(storyDay(11));
  });

  it('what was misted all the same is kept dry no more: the slip says so as its page does', () => {
    const seeds = { method: 'seed', taxon: 'ceropegia-woodii', firstWater: 'roots-show' } as const;
    const dry = slip([[0, 'cut, set']], 4, seeds);
    const misted = slip(
      [
        [0, 'cut, set'],
        [5, 'mist'],
      ],
      9,
      seeds,
    );
    expect([dry.dryUntilRoots, misted.dryUntilRoots]).toEqual([true, false]);
  });

  it('rooted: water at once, no day, no roots to wait for', () => {
    const s = slip(
      [
        [0, 'cut'],
        [3, 'set'],
        [7, 'water'],
        [20, 'count 9r'],
      ],
      21,
    );
    expect(s).toMatchObject({ rooted: true, noWaterBefore: null, rootsFrom: null, setOn: null });
  });

  it('in a jar: it stands in water', () => {
    const s = slip(
      [
        [0, 'cut'],
        [7, 'set'],
      ],
      9,
      { course: 'water' },
    );
    expect(s).toMatchObject({ inJar: true, noWaterBefore: null });
  });

  it('carries the cautions of its plant', () => {
    const s = slip([[0, 'cut']], 1, { taxon: 'euphorbia-milii', method: 'branch' });
    expect(s.cautions.map((c) => c.title).join()).toMatch(/Latex can blind/);
  });
});
