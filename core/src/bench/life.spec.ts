import { addDays } from '../days';
import { fold } from '../journal';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import { lifeOf, ROOTS_GROW_DAYS, type Milestone } from '.';

type Life = Parameters<typeof written>[number];
const none = { rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0 };
const day = (n: number): string => addDays(DAY, n);
const space: Life = {
  kind: 'put',
  record: 'space',
  day: DAY,
  key: 'bench',
  fields: { tempC: 22, rh: 0.55 },
};
const cut: Life = { kind: 'cut', batch: 'b1', day: DAY };

function life(on: number, entries: readonly Life[], fields = FIELDS): Record<string, Milestone> {
  const state = fold(written(space, batchPut(fields), ...entries));
  const stops = lifeOf(state, state.batches.get('b1')!, day(on));
  return Object.fromEntries(stops.map((m) => [m.id, m]));
}

describe('the life of a crown cutting at 22 °C', () => {
  it('lies all ahead before the cut', () => {
    const stops = life(-3, []);
    expect(Object.values(stops).map((m) => m.is)).toEqual(Array(7).fill('ahead'));
    expect(stops.cut).toMatchObject({ name: 'Cut', from: DAY });
  });

  it('has its stations in the order in which they are lived', () => {
    const stops = Object.values(life(0, [cut]));
    const days = stops.map((m) => (m.is === 'open' ? '' : m.from));
    expect(days).toEqual([...days].sort());
    expect(stops.map((m) => m.id)).toEqual([
      'cut',
      'callused',
      'stuck',
      'gate',
      'water',
      'roots',
      'potted',
    ]);
  });

  it('tells roots within the window, then between the two looks that found them', () => {
    expect(life(0, [cut]).roots).toMatchObject({ is: 'ahead', from: day(14), to: day(28) });
    const counted: Life[] = [
      cut,
      { kind: 'tally', batch: 'b1', day: day(14), counts: none },
      { kind: 'tally', batch: 'b1', day: day(18), counts: { ...none, rooted: 3 } },
    ];
    expect(life(18, counted).roots).toMatchObject({ is: 'done', from: day(14), to: day(18) });
    expect(life(18, counted).potted).toMatchObject({
      is: 'ahead',
      from: day(18 + ROOTS_GROW_DAYS),
      to: day(18 + ROOTS_GROW_DAYS),
    });
  });

  it('takes a firm look as callused on that day', () => {
    const looked: Life = { kind: 'inspected', batch: 'b1', day: day(3), seen: 'firm' };
    expect(life(3, [cut, looked]).callused).toMatchObject({ is: 'done', from: day(3) });
    expect(life(1, [cut]).callused!.is).toBe('ahead');
    expect(life(30, [cut]).callused!.is).toBe('done');
  });

  it('calls water before the gate early', () => {
    const early: Life = {
      kind: 'watered',
      batch: 'b1',
      day: day(1),
      how: 'poured',
      breach: 'slip',
    };
    expect(life(1, [cut, early]).water).toMatchObject({ name: 'Water, early', from: day(1) });
  });

  it('cannot say when a wound closes that stands still', () => {
    const frost: Life = { ...space, fields: { tempC: 2, rh: 0.5 } };
    const stops = life(2, [frost, cut]);
    for (const id of ['callused', 'stuck', 'gate', 'water']) expect(stops[id]!.is).toBe('open');
  });
});

describe('other lives', () => {
  it('an offset with roots has neither callus nor gate', () => {
    const stops = life(0, [cut], {
      ...FIELDS,
      taxon: 'haworthiopsis-attenuata',
      method: 'rooted-offset',
    });
    expect(Object.keys(stops)).toEqual(['cut', 'stuck', 'water', 'roots', 'potted']);
    expect(stops.water).toMatchObject({ is: 'ahead', from: DAY });
  });

  it('a leaf waits for its pup, and is potted on after it', () => {
    const stops = life(0, [cut], { ...FIELDS, method: 'leaf' });
    expect(stops.pups).toMatchObject({ is: 'ahead', from: day(28), to: day(56) });
    expect(stops.potted).toMatchObject({ from: day(28 + ROOTS_GROW_DAYS) });
  });
});
