import { SIGNS } from '../journal';
import { batchIn, careWords, storyCare, storyDay, storyState } from '../testing/story';
import { slipOf } from '.';

const CROWN = { taxon: 'echeveria-elegans', method: 'crown', school: 'dry-to-touch' } as const;
const asksOn = (lines: readonly (readonly [number, string])[], n: number) =>
  storyCare(storyState(CROWN, lines), n).asks;

describe('what a look tells beside its answer', () => {
  const begun = [
    [0, 'cut'],
    [3, 'set'],
    [9, 'water'],
  ] as const;

  it('roots that were seen are asked to be counted, on the day and not late', () => {
    expect(asksOn(begun, 11).map((a) => a.kind)).not.toContain('roots');
    const seen = [...begun, [11, 'sign root-points']] as const;
    const ask = asksOn(seen, 11).find((a) => a.kind === 'roots')!;
    expect(ask).toMatchObject({ late: 0, reason: { why: 'roots-seen' } });
    expect(asksOn(seen, 14).find((a) => a.kind === 'roots')).toMatchObject({ late: 3 });
    const counted = [...seen, [14, 'count 4r']] as const;
    expect(asksOn(counted, 14).map((a) => a.kind)).not.toContain('roots');
  });

  it('so they are on a rack, before anything is set', () => {
    const rack = [
      [0, 'cut'],
      [1, 'sign white-roots'],
    ] as const;
    expect(asksOn(rack, 1).map((a) => a.kind)).toContain('roots');
  });

  it('roots that fill their pot want a larger one, until it is potted on', () => {
    const rooted = [...begun, [30, 'count 8r']] as const;
    expect(asksOn(rooted, 31).map((a) => a.kind)).not.toContain('pot-on');
    const bound = [...rooted, [31, 'sign roots-out']] as const;
    expect(asksOn(bound, 31).find((a) => a.kind === 'pot-on')).toMatchObject({
      count: 8,
      reason: { why: 'pot-bound' },
    });
    const potted = storyCare(storyState(CROWN, [...bound, [32, 'potted 8']]), 32);
    expect(careWords(potted).asks).not.toMatch(/pot-on/);
  });

  // Every sign a grower can tell changes something that can be named. All three lists together are all there are.
  const HELD = ['dead-roots', 'black-leaf', 'crown-wet', 'gnats'] as const;
  const COUNTED = ['root-points', 'white-roots', 'brown-roots'] as const;
  const ELSEWHERE = {
    'broken-leaf': 'is looked at again',
    'leaf-crisp': 'has the mother leaf taken off',
    'pot-bulging': 'asks for a larger pot',
    'roots-out': 'asks for a larger pot',
    'new-growth': 'tells that what came with roots has taken hold',
    crested: 'goes on slip and label',
  } as const;

  it('no sign is told in vain', () => {
    expect([...HELD, ...COUNTED, ...Object.keys(ELSEWHERE)].sort()).toEqual([...SIGNS].sort());
  });

  it.each(HELD)('%s holds the can, and is looked at again', (sign) => {
    const rooted = [...begun, [30, 'count 8r'], [40, 'water']] as const;
    const dry = [...rooted, [60, '']] as const;
    expect(asksOn(dry, 60).map((a) => a.kind)).toContain('water');
    const seen = [...rooted, [60, `sign ${sign}`]] as const;
    const care = storyCare(storyState(CROWN, seen), 60);
    expect(care.asks.map((a) => a.kind)).not.toContain('water');
    expect(care.leave.find((l) => l.kind === 'held')).toMatchObject({
      reason: { why: 'sign', sign },
    });
    expect(asksOn(seen, 68).find((a) => a.kind === 'again')).toMatchObject({
      reason: { why: 'sign', sign },
    });
    // A look that finds it well ends it.
    const well = [...seen, [61, 'fine']] as const;
    expect(asksOn(well, 61).map((a) => a.kind)).toContain('water');
    expect(asksOn(well, 68).map((a) => a.kind)).not.toContain('again');
  });

  it.each(COUNTED)('%s asks for a count', (sign) => {
    expect(asksOn([...begun, [11, `sign ${sign}`]], 11).map((a) => a.kind)).toContain('roots');
  });

  it('a broken leaf is looked at again after two weeks', () => {
    const leaf = { taxon: 'echeveria-elegans', method: 'leaf' } as const;
    const state = storyState(leaf, [
      [0, 'cut'],
      [0, 'sign broken-leaf'],
    ]);
    expect(careWords(storyCare(state, 13)).asks).not.toMatch(/again/);
    expect(careWords(storyCare(state, 14)).asks).toMatch(/again/);
  });

  it('new growth tells of what came with roots, and of nothing that a tug would', () => {
    const offset = { taxon: 'haworthiopsis-attenuata', method: 'rooted-offset', count: 3 } as const;
    const set = [
      [0, 'cut, set, water'],
      [6, 'sign new-growth'],
    ] as const;
    expect(careWords(storyCare(storyState(offset, set), 6)).asks).toMatch(/roots/);
    expect(asksOn([...begun, [11, 'sign new-growth']], 11).map((a) => a.kind)).not.toContain(
      'roots',
    );
  });

  it('crested growth goes on the slip', () => {
    const state = storyState(CROWN, [...begun, [11, 'sign crested']]);
    expect(slipOf(state, batchIn(state), storyDay(12)).crested).toBe(true);
  });
});
