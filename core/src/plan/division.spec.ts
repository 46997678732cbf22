import fc from 'fast-check';
import { careOf } from '../care';
import { addDays } from '../days';
import { fold } from '../journal';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import type { FirstWaterId } from '../water';
import { groupParts, judgePart, potFor, type ClumpPart } from '.';

const part = (over: Partial<ClumpPart> = {}): ClumpPart => ({
  points: 1,
  tubers: 0,
  roots: 'brush',
  joined: 'by itself',
  cutMm: null,
  rhizomeMm: null,
  rootsMm: 70,
  paleMm: 25,
  old: false,
  ...over,
});

// Common practice, no source, throughout.
describe('a part of a clump', () => {
  it('with roots of its own is potted at once, a finger wider than its roots, as deep as its pale band', () => {
    expect(judgePart(part())).toMatchObject({
      is: 'pot',
      course: 'rooted',
      reason: 'roots of its own',
      potMm: { from: 80, to: 90 },
      depthMm: 25,
      rimGapMm: { from: 10, to: 15 },
      water: { is: 'settles' },
      short: false,
    });
  });

  it('waits some days where old roots came off, or few are left', () => {
    const days = { is: 'days', days: 3, open: false };
    expect(judgePart(part({ old: true }))).toMatchObject({ water: days });
    expect(judgePart(part({ roots: 'few' }))).toMatchObject({ water: days });
  });

  it('cut through rhizome or tuber waits for its wound, its point towards the room', () => {
    const cut = part({ joined: 'rhizome', rhizomeMm: 50, cutMm: 14 });
    expect(judgePart(cut)).toMatchObject({
      course: 'division',
      reason: 'cut, with roots',
      pointsToRoom: true,
      water: { is: 'gate' },
      short: false,
    });
    expect(judgePart({ ...cut, rhizomeMm: 25 })).toMatchObject({ is: 'pot', short: true });
    expect(judgePart(part({ joined: 'tuber', points: 0, tubers: 1, roots: 'none' }))).toMatchObject(
      {
        is: 'pot',
        reason: 'lives off its tuber',
        course: 'division',
      },
    );
  });

  it('is watered when its grower wants, and says what that risks', () => {
    const cut = part({ joined: 'rhizome', rhizomeMm: 50, cutMm: 14 });
    expect(judgePart(cut, 'at-once')).toMatchObject({ water: { is: 'at-once', open: true } });
    expect(judgePart(part(), 'at-once')).toMatchObject({ water: { is: 'settles' } });
    expect(judgePart(cut, 'week')).toMatchObject({ water: { is: 'days', days: 7, open: true } });
    expect(judgePart(part({ old: true }), 'at-once')).toMatchObject({ water: { is: 'settles' } });
    expect(judgePart(part({ roots: 'none' }))).toMatchObject({ water: { is: 'roots' } });
  });

  it('a spent tuber is no part: it is not potted', () => {
    const spent = part({ joined: 'by itself', points: 0, tubers: 1, roots: 'none', old: true });
    expect(judgePart(spent)).toEqual({ is: 'leave', reason: 'spent tuber' });
    expect(judgePart({ ...spent, old: false })).toMatchObject({ is: 'pot' });
    expect(judgePart({ ...spent, points: 1 })).toMatchObject({ is: 'pot' });
  });

  it('with nothing that shoots, or nothing to live off, stays', () => {
    expect(judgePart(part({ points: 0 }))).toEqual({ is: 'leave', reason: 'no growing point' });
    expect(judgePart(part({ joined: 'rhizome', rhizomeMm: 20, roots: 'none' }))).toEqual({
      is: 'leave',
      reason: 'nothing to live off',
    });
  });

  it('without roots is a cutting like others', () => {
    expect(judgePart(part({ roots: 'none' }))).toMatchObject({
      course: 'dried',
      reason: 'no roots yet',
    });
    expect(judgePart(part({ joined: 'stem', roots: 'few' }))).toMatchObject({ course: 'dried' });
  });

  it('refuses counts that are none', () => {
    expect(() => judgePart(part({ points: -1 }))).toThrow(RangeError);
    expect(() => judgePart(part({ tubers: 1.5 }))).toThrow(RangeError);
  });
});

describe('the parts of a clump', () => {
  const parts = fc.array(
    fc.record({
      points: fc.integer({ min: 0, max: 3 }),
      tubers: fc.integer({ min: 0, max: 2 }),
      roots: fc.constantFrom('none' as const, 'few' as const, 'brush' as const),
      joined: fc.constantFrom(
        'by itself' as const,
        'rhizome' as const,
        'tuber' as const,
        'stem' as const,
      ),
      cutMm: fc.constantFrom(null, 10, 14),
      rhizomeMm: fc.constantFrom(null, 20, 50),
      rootsMm: fc.constantFrom(null, 40, 90),
      paleMm: fc.constantFrom(null, 20, 200),
      old: fc.boolean(),
    }),
    { maxLength: 12 },
  );

  it('each is in one group or stays, and every group is of parts alike', () => {
    fc.assert(
      fc.property(parts, (list) => {
        const groups = groupParts(list);
        const placed = groups.flatMap((g) => g.parts);
        expect(new Set(placed).size).toBe(placed.length);
        list.forEach((p, i) => {
          expect(placed.includes(i)).toBe(judgePart(p).is === 'pot');
        });
        for (const g of groups) {
          expect(g.fields.count).toBe(g.parts.length);
          for (const i of g.parts) expect(list[i]!.roots).toBe(g.fields.ownRoots);
        }
      }),
    );
  });

  it('become batches whose first water is what the planner said', () => {
    const state = (fields: object) =>
      fold(
        written(
          {
            kind: 'put',
            record: 'space',
            key: 'bench',
            day: DAY,
            fields: { name: 'Bench', tempC: 22, rh: 0.55 },
          },
          batchPut(
            { ...FIELDS, taxon: 'dracaena-trifasciata', method: 'division', ...fields },
            'b1',
          ),
          { kind: 'cut', batch: 'b1', day: DAY },
        ),
      );
    const waters = (of: ClumpPart, first?: FirstWaterId): string | undefined => {
      const book = state({
        ...groupParts([of], first)[0]!.fields,
        count: 1,
        space: 'bench',
        callusSpace: 'bench',
      });
      const { steps } = careOf(book, book.batches.get('b1')!, DAY);
      const water = steps.find((s) => s.id === 'first-water');
      return water && 'from' in water ? water.from : undefined;
    };
    expect(waters(part())).toBe(DAY);
    // Through a rhizome of 14 mm about a week and more, at 22 °C and 55%.
    const cut = waters(part({ joined: 'rhizome', cutMm: 14, rhizomeMm: 50 }))!;
    expect(cut > addDays(DAY, 3) && cut < addDays(DAY, 21)).toBe(true);
    // Old roots off, few left: three days in its pot, as the planner says, in the list as well.
    expect(waters(part({ old: true }))).toBe(addDays(DAY, 3));
    expect(waters(part({ roots: 'few' }))).toBe(addDays(DAY, 3));
    // Chosen for all of the clump: the day of potting, or a week later.
    expect(waters(part({ old: true }), 'at-once')).toBe(DAY);
    expect(waters(part(), 'week')).toBe(addDays(DAY, 7));
  });

  it('the narrowest pot that is wide enough is named', () => {
    const pot = (topMm?: number, heightMm = 90, shape: 'round' | 'tray' = 'round') => ({
      ...(topMm === undefined ? {} : { topMm }),
      heightMm,
      shape,
    });
    const pots = [pot(120), pot(70), pot(90), pot()];
    expect(potFor(judgePart(part()), pots)?.topMm).toBe(90);
    // A tray of cuttings is no pot, and a saucer is not deep enough.
    const shallow = [pot(400, 40, 'tray'), pot(200, 40), pot(190, 150)];
    expect(potFor(judgePart(part({ rootsMm: 160 })), shallow)?.topMm).toBe(190);
    expect(potFor(judgePart(part({ rootsMm: 160 })), shallow.slice(0, 2))).toBeNull();
    expect(potFor(judgePart(part({ rootsMm: 300 })), pots)).toBeNull();
    expect(potFor(judgePart(part({ rootsMm: null })), pots)).toBeNull();
  });
});
