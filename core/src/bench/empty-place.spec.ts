import { demoJournal } from '../demo';
import { append, fold, type Entry } from '../journal';
import { isEmptyPlace } from './empty-place';

const DAY = '2026-04-09';
const state = fold(demoJournal(DAY));
const put = (record: string, key: string, fields: object): Entry =>
  ({
    id: `put-${record}-${key}`,
    at: '2026-04-09T08:00:00.000Z~0000',
    day: DAY,
    by: 'phone',
    kind: 'put',
    record,
    key,
    fields,
  }) as Entry;

describe('a place that can be deleted', () => {
  it('is one that nothing stands in', () => {
    for (const id of state.spaces.keys()) expect(isEmptyPlace(state, id)).toBe(false);
    const attic = append(state, put('space', 'attic', { name: 'Attic' }));
    expect(isEmptyPlace(attic, 'attic')).toBe(true);
  });

  it('is not one with a mother or a tray, until the tray is put away', () => {
    const attic = append(state, put('space', 'attic', { name: 'Attic' }));
    expect(isEmptyPlace(append(attic, put('mother', 'm', { space: 'attic' })), 'attic')).toBe(
      false,
    );
    const tray = append(attic, put('tray', 't', { name: 'T', space: 'attic' }));
    expect(isEmptyPlace(tray, 'attic')).toBe(false);
    expect(
      isEmptyPlace(
        append(attic, put('tray', 't', { name: 'T', space: 'attic', away: true })),
        'attic',
      ),
    ).toBe(true);
  });
});
