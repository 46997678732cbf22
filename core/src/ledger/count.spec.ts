import { addDays } from '../days';
import { fold } from '../journal';
import { batchPut, DAY, written } from '../testing/entries';
import { countLedger, emergence, firstRoot, ledgerShares } from '.';

const none = { rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0 };
const batch = fold(
  written(
    batchPut(),
    { kind: 'cut', batch: 'b1', day: DAY },
    { kind: 'tally', batch: 'b1', day: addDays(DAY, 10), counts: { ...none, rotted: 1 } },
    {
      kind: 'tally',
      batch: 'b1',
      day: addDays(DAY, 14),
      counts: { ...none, rooted: 3, rotted: 1 },
    },
    {
      kind: 'tally',
      batch: 'b1',
      day: addDays(DAY, 30),
      counts: { ...none, rooted: 2, pupped: 3, rotted: 2, dried: 1 },
    },
  ),
).batches.get('b1')!;

describe('the ledger of a batch', () => {
  it('adds up', () => {
    const count = countLedger([batch, batch]);
    expect(count).toEqual({
      batches: 2,
      heads: { count: 0, of: 0 },
      stuck: 20,
      rooted: 10,
      pupped: 6,
      rotted: 4,
      dried: 2,
      lost: 0,
      waiting: 4,
    });
    expect(count.rooted + count.rotted + count.dried + count.lost + count.waiting).toBe(
      count.stuck,
    );
    expect(ledgerShares([batch, batch], 0.1).rooted!.share).toBe(0.5);
  });

  it('says nothing of nothing', () => {
    expect(ledgerShares([], 0.1).rooted).toBeNull();
    expect(firstRoot(fold(written(batchPut())).batches.get('b1')!)).toBeNull();
  });

  it('bounds the first root between two looks', () => {
    expect(firstRoot(batch)).toEqual({ after: 10, by: 14 });
  });
});

describe('the emergence plate', () => {
  const plate = emergence(batch, addDays(DAY, 35));
  const at = (steps: typeof plate.roots, day: number) => steps.findLast((s) => s.day <= day)!;

  it('has its checks, its end and who still waits', () => {
    expect(plate.checks).toEqual([10, 14, 30]);
    expect(plate.lastDay).toBe(35);
    expect(plate.waiting).toEqual([
      { day: 10, count: 9 },
      { day: 14, count: 6 },
      { day: 30, count: 2 },
    ]);
  });

  it('is sure of what was seen and allows for what may have come right after the look before', () => {
    expect(at(plate.roots, 9)).toMatchObject({ sure: 0, possible: 0 });
    expect(at(plate.roots, 13)).toMatchObject({ sure: 0, possible: 3 });
    expect(at(plate.roots, 14)).toMatchObject({ sure: 3, possible: 5 });
    expect(at(plate.roots, 30)).toMatchObject({ sure: 5, possible: 5 });
    expect(at(plate.pups, 30).sure).toBe(3);
    expect(at(plate.losses.rotted, 10).sure).toBe(1);
    expect(at(plate.losses.dried, 30).sure).toBe(1);
  });

  it('never falls and never passes the number of cuttings', () => {
    for (const steps of [plate.roots, plate.pups, plate.losses.rotted])
      for (let i = 1; i < steps.length; i++) {
        expect(steps[i]!.sure).toBeGreaterThanOrEqual(steps[i - 1]!.sure);
        expect(steps[i]!.possible).toBeGreaterThanOrEqual(steps[i]!.sure);
        expect(steps[i]!.possible).toBeLessThanOrEqual(plate.count);
      }
  });
});
