import { demoJournal } from '../demo';
import { fold, foldBatch } from '../journal';
import { cutFields, likelySpareOf, minutesFor, readyFor, usualCount, usualCut } from '.';

const DAY = '2026-11-30';
const state = fold(demoJournal(DAY));
const mother = (id: string) => state.mothers.get(id)!;

describe('a cut of the day', () => {
  it('takes the first way she takes well, as much as it can spare, and no more than forty', () => {
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

describe('what to lay ready', () => {
  const cutOf = (id: string, method: 'crown' | 'pad' | 'leaf') =>
    foldBatch(
      id,
      cutFields(state, mother(id), { method, count: 2 }, { day: DAY, place: '' })!,
      [],
    )!;

  it('is told once for all of them, with what to mind of spines and sap', () => {
    const ready = readyFor(state, [
      cutOf('m-aeon', 'crown'),
      cutOf('m-opun', 'pad'),
      cutOf('m-opun', 'pad'),
    ]);
    expect(new Set(ready.things).size).toBe(ready.things.length);
    expect(ready.things.length).toBeGreaterThan(2);
    expect(ready.cautions.some((c) => c.weight === 'danger')).toBe(true);
    expect(new Set(ready.cautions.map((c) => c.title)).size).toBe(ready.cautions.length);
    expect(readyFor(state, [])).toEqual({ things: [], unasked: false, cautions: [] });
  });

  it('says where nobody was asked, and minds a protected variety', () => {
    const stateWith = (over: object) => ({
      ...state,
      mothers: new Map([...state.mothers, ['m-aeon', { ...mother('m-aeon'), ...over }]]),
    });
    const cut = cutOf('m-aeon', 'crown');
    expect(readyFor(stateWith({ permission: 'own' }), [cut]).unasked).toBe(false);
    expect(readyFor(stateWith({ permission: 'unknown' }), [cut]).unasked).toBe(true);
    const law = readyFor(stateWith({ protectedVariety: true }), [cut]).cautions;
    expect(law.length).toBeGreaterThan(
      readyFor(stateWith({ protectedVariety: false }), [cut]).cautions.length,
    );
  });
});
