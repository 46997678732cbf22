import { demoJournal } from '../demo';
import { fold, foldBatch } from '../journal';
import { cutFields, likelySpareOf, minutesFor, usualCount, usualCut } from '.';

const DAY = '2026-11-30';
const state = fold(demoJournal(DAY));
const mother = (id: string) => state.mothers.get(id)!;

describe('a cut of the day', () => {
  it('takes the first way she takes well, as much as she can spare, and no more than forty', () => {
    // Of nine heads half, and of nine hundred leaves forty.
    expect(usualCut(state, mother('m-aeon'))).toEqual({ method: 'crown', count: 4 });
    expect(usualCut(state, mother('m-eche'))).toEqual({ method: 'leaf', count: 40 });
    for (const m of state.mothers.values()) {
      const cut = usualCut(state, m);
      if (cut === null) continue;
      expect(cut.count).toBe(usualCount(state, m, cut.method));
      expect(cut.count).toBeLessThanOrEqual(likelySpareOf(m, null, cut.method).count || 40);
    }
  });

  it('has nothing to take of her who has nothing, or is unknown', () => {
    const bare = { ...mother('m-cere'), has: { column: 0 } };
    expect(usualCut(state, bare)?.method).not.toBe('column');
    expect(usualCut(state, { id: 'm', taxon: 'no-such' })).toBeNull();
    expect(usualCount(state, { id: 'm', taxon: 'no-such' }, 'leaf')).toBe(0);
  });

  it('becomes a batch where she stands, dried by habit, the blade wiped', () => {
    const fields = cutFields(
      state,
      mother('m-aeon'),
      { method: 'crown', count: 4 },
      { day: DAY, place: ' Rack A ' },
    )!;
    expect(fields).toMatchObject({
      mother: 'm-aeon',
      taxon: 'aeonium-arboreum',
      count: 4,
      cutOn: DAY,
      callusAt: 'rack',
      disinfectant: 'alcohol',
      place: 'Rack A',
      space: mother('m-aeon').space,
    });
    expect(foldBatch('b', fields, [])).not.toBeNull();
    const way = { method: 'seed', count: 4 } as const;
    expect(cutFields(state, mother('m-aeon'), way, { day: DAY, place: '' })).toBeNull();
  });

  it('takes as long as all of them', () => {
    // Two minutes a crown, half a minute a leaf.
    expect(
      minutesFor([
        { method: 'crown', count: 4 },
        { method: 'leaf', count: 10 },
      ]),
    ).toBe(13);
  });
});
