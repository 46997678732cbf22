import * as fc from 'fast-check';
import { addDays } from '../days';
import { DAY } from '../testing/entries';
import {
  applyTally,
  contradictions,
  countOutcomes,
  NO_COUNTS,
  spread,
  startAlike,
  sumCounts,
  type Alike,
  type Counts,
} from '.';

const N = 12;
/** Counts that fit into twelve cuttings. */
const counts: fc.Arbitrary<Counts> = fc
  .array(fc.constantFrom('rooted', 'pupped', 'rotted', 'dried', 'lost', 'waiting'), {
    minLength: N,
    maxLength: N,
  })
  .map((outcomes) => {
    const c = { ...NO_COUNTS };
    for (const o of outcomes) if (o !== 'waiting') c[o]++;
    return c;
  });

const tally = (cuttings: readonly Alike[], c: Counts, after: number, by: number) =>
  applyTally(cuttings, { day: addDays(DAY, by), counts: c }, addDays(DAY, after));

describe('counts laid over cuttings', () => {
  it('come out as they went in, whatever was there before', () => {
    fc.assert(
      fc.property(counts, counts, (first, second) => {
        const once = tally(startAlike(N, DAY), first, 0, 5);
        expect(countOutcomes(once)).toEqual(first);
        expect(countOutcomes(tally(once, second, 5, 9))).toEqual(second);
      }),
    );
  });

  it('the same count twice changes nobody', () => {
    fc.assert(
      fc.property(counts, (c) => {
        const once = tally(startAlike(N, DAY), c, 0, 5);
        const twice = tally(once, c, 5, 9);
        expect(spread(twice)).toEqual(spread(once));
      }),
    );
  });

  it('change as few cuttings as they can', () => {
    fc.assert(
      fc.property(counts, counts, (first, second) => {
        const before = tally(startAlike(N, DAY), first, 0, 5);
        const after = tally(before, second, 5, 9);
        const was = spread(before);
        const changed = spread(after).filter((c, i) => c.outcome !== was[i]!.outcome).length;
        const [a, b] = [first, second].map((c) => ({ ...c, waiting: N - sumCounts(c) }));
        const keys = Object.keys(a!) as (keyof Counts)[];
        const least = keys.reduce((sum, k) => sum + Math.max(0, b![k] - a![k]), 0);
        expect(changed).toBe(least);
      }),
    );
  });

  it('give every event its two looks, the later after the earlier', () => {
    fc.assert(
      fc.property(counts, counts, (first, second) => {
        const after = tally(tally(startAlike(N, DAY), first, 0, 5), second, 5, 9);
        for (const c of after)
          for (const between of [c.rooted, c.pupped, c.lost])
            if (between) expect(between.after < between.by).toBe(true);
      }),
    );
  });

  it('take pups from the rooted and losses from the waiting', () => {
    const once = tally(startAlike(N, DAY), { ...NO_COUNTS, rooted: 5 }, 0, 5);
    const next = tally(once, { ...NO_COUNTS, rooted: 3, pupped: 2, rotted: 1 }, 5, 9);
    expect(next[0]).toMatchObject({ outcome: 'pupped', from: 0, count: 2 });
    expect(next[0]!.rooted!.by).toBe(addDays(DAY, 5));
    expect(next.find((c) => c.outcome === 'rotted')!.rooted).toBeUndefined();
  });
});

describe('contradictions', () => {
  it('none where losses grow and roots only go with them', () => {
    const before = { ...NO_COUNTS, rooted: 4, rotted: 1 };
    expect(contradictions(before, { ...before, rooted: 6 }, N)).toEqual([]);
    expect(contradictions(before, { ...before, rooted: 3, pupped: 1 }, N)).toEqual([]);
    expect(contradictions(before, { ...before, rooted: 3, rotted: 2 }, N)).toEqual([]);
  });

  it('name the number that cannot be', () => {
    const before = { ...NO_COUNTS, rooted: 4, dried: 2 };
    expect(contradictions(before, { ...before, rooted: 1, lost: 1 }, N)).toEqual([
      '3 fewer with roots than at the last count, and only 1 lost since.',
    ]);
    expect(contradictions(before, { ...before, dried: 1 }, N)).toEqual([
      '2 dried up at the last count, now 1. A loss does not come back.',
    ]);
    expect(contradictions(before, { ...before, pupped: 9 }, N)[0]).toMatch(
      /15 outcomes.*Take 3 off/,
    );
  });
});
