import { storyCare, storyDay, storyState } from '../testing/story';
import { waterMoved, waterSays, type WaterSays } from '.';

const CROWN = { taxon: 'echeveria-elegans', method: 'crown', school: 'dry-to-touch' } as const;
const saysOn = (lines: readonly (readonly [number, string])[], n: number): WaterSays =>
  waterSays(storyCare(storyState(CROWN, lines), n), storyDay(n));

describe('the one thing said of its water', () => {
  it('before it is set: the day of its first water; set: the same day', () => {
    const cut = saysOn([[0, 'cut']], 1);
    const set = saysOn(
      [
        [0, 'cut'],
        [3, 'set'],
      ],
      3,
    );
    expect(cut.is).toBe('not before');
    expect(set).toMatchObject({ is: 'not before', leave: { kind: 'gate' } });
    expect(cut.is === 'not before' && set.is === 'not before' && cut.day >= set.day).toBe(true);
  });

  it('one date and one reason: what keeps it longest', () => {
    const state = storyState({ ...CROWN, firstWater: 'week' }, [
      [0, 'cut'],
      [3, 'set'],
    ]);
    const care = storyCare(state, 3);
    expect(care.leave.filter((l) => l.kind === 'gate' || l.kind === 'water')).toHaveLength(1);
    expect(waterSays(care, storyDay(3))).toMatchObject({ day: storyDay(10) });
  });

  it('a look that moves it says from when to when', () => {
    const lines = [
      [0, 'cut'],
      [3, 'set'],
    ] as const;
    const before = saysOn(lines, 3);
    const torn = saysOn([...lines, [3, 'torn']], 3);
    const moved = waterMoved(before, torn)!;
    expect(moved.from).toBe(before.is === 'not before' ? before.day : '');
    expect(moved.to! > moved.from!).toBe(true);
    expect(moved.leave?.kind).toBe('gate');
    expect(waterMoved(before, before)).toBeNull();
    expect(waterMoved({ is: 'free' }, torn)).toBeNull();
    // Due today, it is told as that.
    const due = storyCare(storyState(CROWN, lines), 20);
    expect(waterMoved(before, waterSays(due, storyDay(20)))).toMatchObject({ to: null });
  });
});
