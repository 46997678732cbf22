import { demoJournal } from '../demo';
import { addDays } from '../days';
import { fold, type BatchFields } from '../journal';
import { batchIn, storyDay, storyState } from '../testing/story';
import { slowHere } from '.';

type Draft = NonNullable<Parameters<typeof storyState>[2]>[number];

const place = (key: string, fields: Record<string, unknown>): Draft => ({
  kind: 'put',
  record: 'space',
  day: storyDay(-1),
  key,
  fields: { name: key, rh: 0.55, lightLevel: 'side-sill', ...fields },
});

const COLUMN: Partial<BatchFields> = { taxon: 'cereus-hildmannianus', method: 'column', count: 1 };

function slow(fields: Partial<BatchFields>, lines: Parameters<typeof storyState>[1], n: number) {
  const state = storyState(fields, lines, [
    place('porch', { tempC: 10, rh: 0.8 }),
    place('sill', { tempC: 21 }),
    place('loft', { tempC: 12 }),
  ]);
  return { state, slow: slowHere(state, batchIn(state), storyDay(n)) };
}

describe('a better place', () => {
  it('a column cut on a cold porch is told where it would root, by when, and of a mat', () => {
    const { slow: s } = slow({ ...COLUMN, space: 'porch' }, [[0, 'cut']], 1);
    expect(s).toMatchObject({ by: 'cold', tempC: 10, space: 'porch' });
    const by = s!.better.map(({ is }) => (is.by === 'place' ? is.space : is.by));
    // The warm room of the stories first, the sill next; the loft is no better than a mat would be.
    expect(by.slice(0, 2)).toEqual(['bench', 'sill']);
    expect(by).toContain('mat');
    expect(by).not.toContain('loft');
    for (const b of s!.better) expect(b.roots < s!.roots).toBe(true);
    // Its wound closes there sooner, too.
    expect(s!.better[0]!.opens! < s!.opens!).toBe(true);
  });

  it('what is promised is what the batch itself says once it is there', () => {
    const fields = { ...COLUMN, space: 'porch' };
    const [best] = slow(fields, [[0, 'cut']], 1).slow!.better;
    const moved = slow(
      fields,
      [
        [0, 'cut'],
        [1, 'move bench'],
      ],
      1,
    );
    // There it is not slow any more, and its own clock has the same day.
    expect(moved.slow).toBeNull();
    expect(best!.is).toEqual({ by: 'place', space: 'bench' });
  });

  it('says nothing where it is well off, has roots, or has ended', () => {
    expect(slow({ ...COLUMN, space: 'sill' }, [[0, 'cut']], 1).slow).toBeNull();
    expect(
      slow(
        { ...COLUMN, space: 'porch' },
        [
          [0, 'cut'],
          [60, 'count 1r'],
        ],
        61,
      ).slow,
    ).toBeNull();
    expect(
      slow(
        { ...COLUMN, space: 'porch' },
        [
          [0, 'cut'],
          [5, 'ended'],
        ],
        6,
      ).slow,
    ).toBeNull();
  });

  it('no place is praised where roots come later, however soon the wound closes there', () => {
    let praised = 0;
    for (const today of ['2026-01-10', '2026-04-09', '2026-11-30']) {
      const state = fold(demoJournal(today));
      for (const batch of state.batches.values())
        for (const n of [0, 10, 30]) {
          const s = slowHere(state, batch, addDays(today, n));
          for (const b of s?.better ?? []) {
            expect(b.roots <= s!.roots).toBe(true);
            praised++;
          }
        }
    }
    expect(praised).toBeGreaterThan(0);
  });

  it('before the cut, too', () => {
    const { slow: s } = slow({ ...COLUMN, space: 'porch' }, [], 0);
    expect(s!.better[0]!.is).toEqual({ by: 'place', space: 'bench' });
  });
});
