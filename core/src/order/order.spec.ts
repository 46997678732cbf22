import { addDays } from '../days';
import { fold, type EntryDraft, type Order, type State } from '../journal';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import { fitting, handOver, openOrders, setAside, shortfall, unpromised } from '.';

const stateOf = (...drafts: readonly EntryDraft[]): State =>
  fold(written(...drafts.map((d) => ({ day: DAY, ...d }))));

const batch = (id: string, rooted: number): readonly EntryDraft[] => [
  batchPut(FIELDS, id),
  { kind: 'cut', batch: id },
  {
    kind: 'tally',
    batch: id,
    day: addDays(DAY, 20),
    counts: { rooted, pupped: 0, rotted: 1, dried: 0, lost: 0 },
  },
];
const order = (id: string, fields: Partial<Order>): EntryDraft => ({
  kind: 'put',
  record: 'order',
  key: id,
  fields: { who: id, taxon: FIELDS.taxon!, count: 8, by: addDays(DAY, 40), ...fields },
});

describe('an order', () => {
  it('is served by the rooted, then by what grows, and the rest is short', () => {
    const state = stateOf(
      ...batch('a', 5),
      order('o', { count: 12, from: [{ batch: 'a', count: 9 }] }),
    );
    expect(shortfall(state, state.orders.get('o')!)).toEqual({
      wanted: 12,
      handed: 0,
      ready: 5,
      growing: 4,
      short: 3,
    });
  });

  it('does not promise one plant twice: the earlier due is served first', () => {
    const state = stateOf(
      ...batch('a', 5),
      order('late', { count: 5, by: addDays(DAY, 60), from: [{ batch: 'a', count: 5 }] }),
      order('early', { count: 4, by: addDays(DAY, 30), from: [{ batch: 'a', count: 4 }] }),
    );
    expect(shortfall(state, state.orders.get('early')!).ready).toBe(4);
    expect(shortfall(state, state.orders.get('late')!)).toMatchObject({
      ready: 1,
      growing: 4,
      short: 0,
    });
    expect(openOrders(state).map((o) => o.id)).toEqual(['early', 'late']);
    expect(unpromised(state, state.batches.get('a')!)).toBe(0);
  });

  it('counts what has roots as ready before anything is set aside, once, for the order due first', () => {
    const state = stateOf(
      ...batch('a', 5),
      order('late', { count: 4, by: addDays(DAY, 60) }),
      order('early', { count: 3, by: addDays(DAY, 30) }),
    );
    const standing = (id: string) => shortfall(state, state.orders.get(id)!);
    expect(standing('early')).toMatchObject({ ready: 3, growing: 0, short: 0 });
    expect(standing('late')).toMatchObject({ ready: 2, growing: 0, short: 2 });
    const drafts = handOver(state, state.orders.get('early')!, addDays(DAY, 30), 'given');
    expect(drafts.map((d) => d.kind)).toEqual(['parted', 'put']);
  });

  it('sets aside what there is, the most forward batch first', () => {
    const state = stateOf(...batch('a', 2), ...batch('b', 7), order('o', { count: 12 }));
    expect(fitting(state, state.orders.get('o')!).map((b) => b.id)).toEqual(['b', 'a']);
    expect(setAside(state, state.orders.get('o')!)).toEqual([
      { batch: 'b', count: 9 },
      { batch: 'a', count: 3 },
    ]);
  });

  it('takes what is handed over out of its batches, and is done', () => {
    const before = stateOf(
      ...batch('a', 5),
      order('o', { count: 4, from: [{ batch: 'a', count: 4 }] }),
    );
    const drafts = handOver(before, before.orders.get('o')!, addDays(DAY, 30), 'sold');
    const after = stateOf(
      ...batch('a', 5),
      order('o', { count: 4, from: [{ batch: 'a', count: 4 }] }),
      ...drafts,
    );
    expect(after.batches.get('a')).toMatchObject({ counts: { rooted: 5 }, here: { rooted: 1 } });
    expect(openOrders(after)).toEqual([]);
  });

  it('what is sold keeps its price, what is given has none', () => {
    const state = stateOf(
      ...batch('a', 5),
      order('o', { count: 4, from: [{ batch: 'a', count: 4 }] }),
    );
    const [sold] = handOver(state, state.orders.get('o')!, addDays(DAY, 30), 'sold', false, 4.5);
    expect(sold).toMatchObject({ why: 'sold', priceEach: 4.5 });
    const [given] = handOver(state, state.orders.get('o')!, addDays(DAY, 30), 'given', false, 4.5);
    expect(given).not.toHaveProperty('priceEach');
  });

  it('closes only when all of it has gone; those without roots go too where that is wanted', () => {
    const begin = [...batch('a', 2), order('o', { count: 6, from: [{ batch: 'a', count: 6 }] })];
    const before = stateOf(...begin);
    const first = handOver(before, before.orders.get('o')!, addDays(DAY, 30), 'sold');
    const between = stateOf(...begin, ...first);
    expect(openOrders(between).map((o) => o.id)).toEqual(['o']);
    expect(shortfall(between, between.orders.get('o')!)).toMatchObject({
      wanted: 6,
      handed: 2,
      ready: 0,
      growing: 4,
      short: 0,
    });
    const rest = handOver(between, between.orders.get('o')!, addDays(DAY, 31), 'sold', true);
    const after = stateOf(...begin, ...first, ...rest);
    expect(openOrders(after)).toEqual([]);
    expect(after.batches.get('a')!.cuttings.filter((c) => c.left)).toHaveLength(6);
  });

  it('hands nothing over where nothing is there', () => {
    const state = stateOf(
      ...batch('a', 0),
      order('o', { count: 2, from: [{ batch: 'a', count: 2 }] }),
    );
    expect(handOver(state, state.orders.get('o')!, addDays(DAY, 30), 'given')).toEqual([]);
  });
});
