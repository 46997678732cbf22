import { firstDrink } from '../bench';
import { fold, type BatchFields, type State } from '../journal';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import { batchIn, deedsOf, storyCare, storyDay } from '../testing/story';
import { leftDryBelow } from '../water';

/*
 * Leaves that lie and are sprayed, in the cold. Common practice, no source: daily in heat, every second day when cool;
 * over a winter in a cold frame they lie dry. The ten degrees between the two are a working assumption.
 */

/** The same frame, then a warm house from day 40. */
const cut = (
  air: number | object,
  fields: Partial<BatchFields> = {},
  ...then: readonly string[]
): State =>
  fold(
    written(
      ...(
        [
          ['bench', 'Frame', air],
          ['house', 'House', 20],
        ] as const
      ).map(([key, name, is]) => ({
        kind: 'put' as const,
        record: 'space' as const,
        key,
        day: DAY,
        fields: { name, ...(typeof is === 'number' ? { tempC: is, rh: 0.6 } : is) },
      })),
      batchPut({
        ...FIELDS,
        mother: null,
        taxon: 'echeveria-elegans',
        method: 'leaf',
        course: 'laid',
        ...fields,
      }),
      ...deedsOf('cut', 0),
      ...deedsOf('set', 1),
      ...then.flatMap((line) => {
        const [n, deed] = line.split(': ');
        return deedsOf(deed!, Number(n));
      }),
    ),
  );
const asked = (state: State, n: number) =>
  storyCare(state, n).asks.find((a) => a.kind === 'mist' || a.kind === 'first-water');

describe('a leaf that lies on its mix', () => {
  it('is sprayed where it is merely cool, and left dry where it is cold', () => {
    expect(asked(cut(11, {}, '5: mist'), 20)?.kind).toBe('mist');
    const cold = cut(6, {}, '5: mist');
    expect(asked(cold, 20)).toBeUndefined();
    expect(storyCare(cold, 20).leave).toContainEqual(
      expect.objectContaining({
        kind: 'water',
        reason: { why: 'resting', opens: null, by: 'cold' },
      }),
    );
  });

  it('has its first water where it is warm, not in the cold', () => {
    const of = (tempC: number) => {
      const state = cut(tempC);
      return firstDrink(state, batchIn(state), null, storyDay(1));
    };
    expect(of(11)).toMatchObject({ on: storyDay(4), by: 'choice' });
    expect(of(6)).toEqual({ on: null, by: 'roots' });
    expect(asked(cut(6), 20)).toBeUndefined();
  });

  it('moved to where it is warm it is sprayed at once, and nothing of the cold is late', () => {
    const warm = cut(6, {}, '5: mist', '40: move house');
    expect(asked(warm, 39)).toBeUndefined();
    for (const n of [40, 41, 43])
      expect(asked(warm, n)).toMatchObject({ kind: 'mist', since: storyDay(40), late: n - 40 });
  });

  it('is left dry where the night may freeze, however mild the day', () => {
    const monthly = Array.from({ length: 12 }, () => ({ minC: 1, maxC: 27, rh: 0.6 }));
    const frosty = cut({ monthly }, {}, '5: mist');
    expect(asked(frosty, 20)).toBeUndefined();
  });

  it('with roots it is sprayed as before: young roots dry out', () => {
    expect(asked(cut(6, {}, '5: mist', '18: count 4r'), 20)?.kind).toBe('mist');
  });

  it('crumbs have no flesh to wait on', () => {
    const crumbs = cut(6, { taxon: 'kalanchoe-daigremontiana', method: 'plantlet' }, '5: mist');
    expect(asked(crumbs, 20)?.kind).toBe('mist');
  });
});

describe('how cold it must be', () => {
  it('what sips rests with its plant, what is sprayed in the cold alone, what is kept damp never', () => {
    expect(leftDryBelow('sip', 14, false)).toBe(14);
    expect(leftDryBelow('half', 14, true)).toBe(14);
    expect(leftDryBelow('mist', 14, false)).toBe(10);
    expect(leftDryBelow('mist', 4, false)).toBe(4);
    expect(leftDryBelow('mist', 14, true)).toBe(-Infinity);
    for (const regime of ['damp', 'dry', 'base', null] as const)
      expect(leftDryBelow(regime, 14, false)).toBe(-Infinity);
  });
});
