import { addDays, daysBetween } from '../days';
import { fold, type BatchFields } from '../journal';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import { columnOf, judge } from '../water';
import { coverOf, coverOn, drinksAfter, potOf, waterCaseOf } from '.';

const ROOM = { name: 'Bench', tempC: 22, rh: 0.55, lightLevel: 'side-sill' } as const;

/** Four of a plant in pots, roots seen on day 40, soaked on day 70. */
function rooted(fields: Partial<BatchFields>, rooms: object = ROOM, count = 4) {
  const state = fold(
    written(
      { kind: 'put', record: 'space', key: 'bench', day: DAY, fields: rooms },
      batchPut({ ...FIELDS, mother: null, count: 4, containers: 4, ...fields }),
      { kind: 'cut', batch: 'b1', day: DAY },
      { kind: 'stuck', batch: 'b1', day: addDays(DAY, 4) },
      {
        kind: 'tally',
        batch: 'b1',
        day: addDays(DAY, 40),
        counts: { rooted: count, pupped: 0, rotted: 0, dried: 0, lost: 0 },
      },
      { kind: 'watered', batch: 'b1', day: addDays(DAY, 70), how: 'soaked' },
    ),
  );
  return { state, batch: state.batches.get('b1')! };
}
const JADE = { taxon: 'crassula-ovata', method: 'branch' } as const;
const SNAKE = { taxon: 'dracaena-trifasciata', method: 'leaf-section' } as const;
const SMALL = { container: 'pot-7', mix: 'half-and-half' } as const;

describe('what roots drink', () => {
  it('nothing before they are there, a quarter at first, all after four weeks', () => {
    expect(drinksAfter(-1)).toBe(0);
    expect(drinksAfter(0)).toBe(0.25);
    expect(drinksAfter(14)).toBeCloseTo(0.625, 9);
    expect(drinksAfter(60)).toBe(1);
  });

  it('by the day they were seen, by how many have them, and no more than the pot is wide', () => {
    const { state, batch } = rooted({ ...JADE, ...SMALL });
    const column = columnOf(potOf(state, batch)!);
    const cover = (b: typeof batch, had = false) => coverOn(b, column, had, DAY, 100);
    expect(cover(batch)[39]).toBe(0);
    expect(cover(batch)[40]).toBeGreaterThan(0);
    expect(cover(batch)[90]).toBeCloseTo(coverOf(batch, column, 1), 9);
    const half = rooted({ ...JADE, ...SMALL }, ROOM, 2);
    expect(coverOn(half.batch, column, false, DAY, 100)[90]).toBeCloseTo(cover(batch)[90]! / 2, 9);
    expect(coverOf(batch, column, 50)).toBe(1);
    expect(coverOf({ method: 'branch', topDress: 'grit' }, column, 50)).toBe(2);
    expect(cover({ ...batch, cuttings: [] })).toEqual([]);
    // Moved on, each has a pot of its own, however many shared the tray.
    const tray = { ...batch, containers: 1, pottings: [{ count: 4, day: addDays(DAY, 80) }] };
    const moved = { ...tray, here: { ...batch.here, potted: 4 } } as unknown as typeof batch;
    expect(cover({ ...batch, containers: 1 })[90]).toBe(1);
    expect(cover(moved)[90]).toBeCloseTo(cover(batch)[90]!, 9);
    // What came with roots of its own drinks from the day it is set.
    const fresh = { ...batch, cuttings: batch.cuttings.map((c) => ({ ...c, rooted: undefined })) };
    expect(cover(fresh, true)[4]).toBeGreaterThan(0);
    expect(cover(fresh, true)[3]).toBe(0);
  });

  // Common practice, no source: a rooted snake plant or jade in growth is soaked every two to six weeks, sooner in a
  // small pot and in warmth; in a cool room it stands for one to two months.
  it.each([
    ['a snake plant, 7 cm, 22 °C', { ...SNAKE, ...SMALL }, ROOM, 14, 35],
    ['a jade, 7 cm, 28 °C', { ...JADE, ...SMALL }, { ...ROOM, tempC: 28, rh: 0.45 }, 9, 25],
    [
      'a jade, 12 cm of grit, 22 °C',
      { ...JADE, container: 'pot-12', mix: 'all-mineral' },
      ROOM,
      21,
      56,
    ],
    ['a jade, 7 cm, 14 °C', { ...JADE, ...SMALL }, { ...ROOM, tempC: 14, rh: 0.65 }, 21, 60],
  ])('%s', (_, fields, room, from, to) => {
    const { state, batch } = rooted(fields, room);
    const day = addDays(DAY, 70);
    const { due } = judge(waterCaseOf(state, batch, day)!);
    const days = daysBetween(day, due!.likely);
    expect(days).toBeGreaterThanOrEqual(from);
    expect(days).toBeLessThanOrEqual(to);
  });
});
