import { careWords, storyCare, storyState } from '../testing/story';

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
});
