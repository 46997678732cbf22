import { addDays } from '../days';
import { appendAll, fold, type Entry, type EntryDraft, type State } from '../journal';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import {
  batchesIn,
  carryTray,
  cellName,
  cellsOf,
  fillTray,
  moveInTray,
  takeOut,
  turnTray,
  unlaid,
} from './tray';

const stateOf = (...drafts: readonly EntryDraft[]): State =>
  fold(written(...drafts.map((d) => ({ day: DAY, ...d }))));

let n = 0;
const then = (state: State, drafts: readonly EntryDraft[]): State =>
  appendAll(
    state,
    drafts.map((d): Entry => ({
      day: DAY,
      ...d,
      id: `later${n}`,
      by: 'phone',
      at: `2026-04-01T08:00:00.000Z~${(n++).toString(16).padStart(4, '0')}`,
    })),
  );

const START = stateOf(
  {
    kind: 'put',
    record: 'tray',
    key: 't',
    fields: { name: 'Long', space: 'porch', rows: 3, columns: 5 },
  },
  batchPut({ ...FIELDS, count: 7 }, 'a'),
  { kind: 'cut', batch: 'a' },
  batchPut({ ...FIELDS, count: 6 }, 'b'),
  { kind: 'cut', batch: 'b' },
);
const fill = (state: State, id: string, from: number, by: 'rows' | 'columns' = 'rows'): State => {
  const laid = fillTray(state, state.trays.get('t')!, state.batches.get(id)!, from, by, DAY);
  if (!laid.ok) throw new Error(laid.problem);
  return then(state, laid.entries);
};
const map = (state: State): string =>
  Array.from(
    { length: 15 },
    (_, cell) => cellsOf(state, state.trays.get('t')!).get(cell)?.batch.id ?? '.',
  )
    .join('')
    .replace(/(.{5})(?=.)/g, '$1 ');

describe('laying out a tray', () => {
  it('fills along the rows, round what stands there, and takes the batch to its bench', () => {
    const one = fill(START, 'a', 1);
    expect(map(one)).toBe('.aaaa aaa.. .....');
    expect(one.batches.get('a')!.space).toBe('porch');
    const two = fill(one, 'b', 0);
    expect(map(two)).toBe('baaaa aaabb bbb..');
    expect(batchesIn(two, 't')).toHaveLength(2);
  });

  it('fills down the columns', () => {
    expect(map(fill(START, 'a', 0, 'columns'))).toBe('aaa.. aa... aa...');
  });

  it('says what to do where there is no room', () => {
    const laid = fillTray(START, START.trays.get('t')!, START.batches.get('a')!, 10, 'rows', DAY);
    expect(laid).toMatchObject({
      ok: false,
      problem: expect.stringMatching(/^7 want a cell, and 5 are free from C1 on/) as string,
    });
  });

  it('moves one cutting, and lets two change places', () => {
    const laid = fill(fill(START, 'a', 0), 'b', 7);
    const free = then(laid, moveInTray(laid, laid.trays.get('t')!, 0, 14));
    expect(map(free)).toBe('.aaaa aabbb bbb.a');
    const swapped = then(laid, moveInTray(laid, laid.trays.get('t')!, 0, 7));
    expect(map(swapped)).toBe('baaaa aaabb bbb..');
    expect(moveInTray(laid, laid.trays.get('t')!, 13, 0)).toEqual([]);
  });

  it('leaves the cell of a loss free, and keeps the places of the others', () => {
    const laid = fill(START, 'a', 0);
    const lost = then(laid, [
      { kind: 'tally', batch: 'a', day: addDays(DAY, 9), places: { '2': 'rotted' } },
    ]);
    expect(map(lost)).toBe('aa.aa aa... .....');
    expect(map(fill(lost, 'b', 2))).toBe('aabaa aabbb bb...');
  });

  it('changes from anonymous to cells at any time without losing a count', () => {
    const counted = then(START, [
      {
        kind: 'tally',
        batch: 'a',
        day: addDays(DAY, 9),
        counts: { rooted: 3, pupped: 0, rotted: 1, dried: 0, lost: 0 },
      },
    ]);
    const laid = fill(counted, 'a', 0);
    expect(map(laid)).toBe('aaaaa a.... .....');
    expect(unlaid(laid.batches.get('a')!)).toBe(0);
    const out = then(laid, takeOut(laid, laid.batches.get('a')!));
    expect(out.batches.get('a')).toMatchObject({ counts: { rooted: 3, rotted: 1 }, place: 'Long' });
    expect(out.batches.get('a')!.tray).toBeUndefined();
  });

  it('is carried with all that stand in it', () => {
    const laid = fill(START, 'a', 0);
    const carried = then(laid, carryTray(laid, laid.trays.get('t')!, 'shelf', addDays(DAY, 3)));
    expect(carried.batches.get('a')!.moves.at(-1)).toEqual({
      day: addDays(DAY, 3),
      space: 'shelf',
    });
    expect(carried.batches.get('b')!.space).toBe('bench');
  });
});

it('cells have names one can call across a glasshouse', () => {
  expect([0, 4, 5, 14].map((c) => cellName(c, 5))).toEqual(['A1', 'A5', 'B1', 'C5']);
});

it('trays take turns on the walk', () => {
  const trays = ['x', 'y', 'z'].map((id) => ({ id }));
  expect(turnTray(trays, 'y', -1).map((d) => d.kind === 'put' && [d.key, d.fields])).toEqual([
    ['y', { turn: 0 }],
    ['x', { turn: 1 }],
    ['z', { turn: 2 }],
  ]);
  expect(turnTray(trays, 'z', 1)).toEqual([]);
});
