import { addDays } from '../days';
import { storyDay, storyState, batchIn } from '../testing/story';
import { careOf, factsOf, nextLook } from '.';

const DRY = {
  taxon: 'plumeria-rubra',
  method: 'branch',
  school: 'long-cure',
  firstWater: 'roots-show',
} as const;
const HABIT = { taxon: 'plumeria-rubra', method: 'branch', unrootedWater: 'dry' } as const;

describe('when to look', () => {
  it.each([
    ['only once roots show', DRY],
    ['dry until roots, pot untold', HABIT],
  ])('%s: what is left dry until then and the look itself name one day', (_name, fields) => {
    const state = storyState(fields, [
      [0, 'cut'],
      [12, 'set'],
      ...(fields === HABIT ? ([[14, 'water']] as const) : []),
    ]);
    const batch = batchIn(state);
    const look = nextLook(batch, factsOf(state, batch))!;
    const dry = careOf(state, batch, storyDay(25)).leave.find((l) => l.kind === 'water')!;
    const rooting = careOf(state, batch, storyDay(25)).leave.find((l) => l.kind === 'rooting')!;
    expect([dry.until, rooting.until]).toEqual([look.day, look.day]);
    // It stays that day, whatever day one asks on, and is asked on it.
    for (const n of [15, 20, 30]) {
      const { leave } = careOf(state, batch, storyDay(n));
      expect(leave.find((l) => l.kind === 'rooting')!.until).toBe(look.day);
    }
    expect(careOf(state, batch, look.day).asks.map((a) => a.kind)).toContain('roots');
    expect(careOf(state, batch, addDays(look.day, -1)).asks.map((a) => a.kind)).not.toContain(
      'roots',
    );
  });

  it('a tug waits a week after setting, and ten days of growth after the last', () => {
    const at = (...lines: Parameters<typeof storyState>[1]): string => {
      const state = storyState({ taxon: 'echeveria-elegans', method: 'crown' }, lines);
      const batch = batchIn(state);
      return nextLook(batch, factsOf(state, batch))!.day;
    };
    expect(at([0, 'cut'], [30, 'set'])).toBe(storyDay(37));
    expect(at([0, 'cut'], [3, 'set'], [20, 'count 4r'])).toBe(storyDay(30));
  });
});
