import { addDays } from '../days';
import { append, fold, stepCount, stillOpen, type Entry, type EntryDraft } from '../journal';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import { changesSince } from './changes';
import { verdictsOn } from '../round';
import { batchIn, storyCare, storyDay, storyState } from '../testing/story';
import { walkStops } from './stops';

const entries = (...drafts: readonly EntryDraft[]): readonly Entry[] =>
  written(...drafts.map((d) => ({ day: DAY, ...d })));

const space = (key: string, name: string, turn?: number): EntryDraft => ({
  kind: 'put',
  record: 'space',
  key,
  fields: { name, ...(turn === undefined ? {} : { turn }) },
});
const batch = (key: string, fields: object): readonly EntryDraft[] => [
  batchPut({ ...FIELDS, ...fields }, key),
  { kind: 'cut', batch: key },
];

describe('the walk', () => {
  it('goes bench by bench, tray by tray, as one counts', () => {
    const state = fold(
      entries(
        space('s1', 'Shelf'),
        space('s2', 'Porch', -1),
        {
          kind: 'put',
          record: 'tray',
          key: 't1',
          fields: { name: 'Long tray', space: 's1', turn: 9 },
        },
        ...batch('a', { space: 's1', place: 'Tray 10' }),
        ...batch('b', { space: 's1', place: 'Tray 9' }),
        ...batch('c', { space: 's2', place: 'Sill' }),
        ...batch('d', { space: 's1', tray: 't1', cells: [4, 5] }),
        ...batch('e', { space: 's1', tray: 't1', cells: [0, 1] }),
        batchPut({ ...FIELDS, space: 's1', place: 'Tray 1' }, 'planned'),
      ),
    );
    expect(
      walkStops(state, DAY, new Map()).map((s) => [
        s.spaceName,
        s.name,
        s.batches.map((b) => b.id),
      ]),
    ).toEqual([
      ['Porch', 'Sill', ['c']],
      ['Shelf', 'Tray 9', ['b']],
      ['Shelf', 'Tray 10', ['a']],
      ['Shelf', 'Long tray', ['e', 'd']],
    ]);
  });
});

describe('a pot on the walk', () => {
  const potted = storyState({ method: 'crown', count: 4, container: 'pot-7', mix: 'two-to-one' }, [
    [0, 'cut'],
    [4, 'set'],
    [10, 'water'],
    [30, 'count 4r'],
    [32, 'potted 4 in pot-7 two-to-one'],
    [40, 'water'],
  ]);

  it('is stopped at from the day it is judged dry, and not before', () => {
    const days = Array.from({ length: 40 }, (_, n) => 41 + n);
    const asked = days.map((n) => storyCare(potted, n).asks.length > 0);
    const stopped = days.map(
      (n) => walkStops(potted, storyDay(n), verdictsOn(potted, storyDay(n))).length > 0,
    );
    expect(batchIn(potted).stage).toBe('done');
    expect(stopped).toEqual(asked);
    expect([stopped[0], stopped.at(-1)]).toEqual([false, true]);
  });
});

describe('what changed since the last round', () => {
  const before = entries(...batch('a', {}), ...batch('b', { place: 'x' }), {
    kind: 'tally',
    batch: 'a',
    counts: { rooted: 2, pupped: 0, rotted: 1, dried: 0, lost: 0 },
  });
  const since = before.at(-1)!.at;
  const later = (n: number, draft: EntryDraft): Entry => ({
    day: addDays(DAY, 9),
    ...draft,
    id: `later${n}`,
    at: `2026-03-10T08:00:00.000Z~000${n}`,
    by: 'phone',
  });

  it('is counted from what was known then, also where entries are back-dated', () => {
    let state = fold(before);
    state = append(
      state,
      later(1, {
        kind: 'tally',
        batch: 'a',
        counts: { rooted: 4, pupped: 1, rotted: 2, dried: 0, lost: 0 },
      }),
    );
    state = append(
      state,
      later(2, { kind: 'watered', batch: 'b', how: 'poured', day: addDays(DAY, 1) }),
    );
    const changes = changesSince(state, since);
    expect(changes).toMatchObject({ rooted: 3, pupped: 1, lost: 1, waterings: 1 });
    expect(changes.rows.map((r) => [r.batch.id, r.looked, r.isNew])).toEqual([
      ['a', true, false],
      ['b', false, false],
    ]);
  });

  it('is nothing where nothing was written', () => {
    expect(changesSince(fold(before), since).rows).toEqual([]);
  });
});

describe('a tap on a count', () => {
  const counts = { rooted: 3, pupped: 0, rotted: 1, dried: 0, lost: 0 };

  it('takes from what waits, then a pup or a loss from the rooted', () => {
    expect(stepCount(counts, 'rotted', 1, 2)).toMatchObject({ rooted: 3, rotted: 2 });
    expect(stepCount(counts, 'rotted', 1, 0)).toMatchObject({ rooted: 2, rotted: 2 });
    expect(stepCount(counts, 'rooted', 1, 0)).toBeNull();
    expect(stepCount(counts, 'pupped', -1, 0)).toBeNull();
  });

  it('cannot be given to those that are gone', () => {
    expect(stillOpen({ count: 10, waiting: 6, here: { waiting: 4 } }, counts)).toBe(4);
  });
});
