import { addDays, type Day } from '../days';
import { fold, type BatchFields, type EntryDraft, type State } from '../journal';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import { noticesOn } from './notices';

/** Days since the cut, as the grower's days. */
const d = (n: number): Day => addDays(DAY, n);

const stateOf = (...drafts: readonly EntryDraft[]): State =>
  fold(written(...drafts.map((draft) => ({ day: DAY, ...draft }))));

const SPACE: EntryDraft = {
  kind: 'put',
  record: 'space',
  key: 'bench',
  fields: { name: 'Bench', tempC: 22, rh: 0.6 },
};
const batch = (fields: BatchFields = {}): readonly EntryDraft[] => [
  SPACE,
  batchPut({ ...FIELDS, ...fields }),
  { kind: 'cut', batch: 'b1', day: DAY },
  { kind: 'stuck', batch: 'b1', day: d(3) },
];
const rooted = (day: Day, over: object = {}): EntryDraft => ({
  kind: 'tally',
  batch: 'b1',
  day,
  counts: { rooted: 10, pupped: 0, rotted: 0, dried: 0, lost: 0, ...over },
});
describe('notices', () => {
  it('warn of frost where something stands, and say by what', () => {
    const state = stateOf(...batch(), {
      kind: 'air',
      space: 'bench',
      day: d(4),
      tempC: 3,
      rh: 0.8,
      minC: 0,
    });
    expect(noticesOn(state, d(4))).toMatchObject([{ kind: 'frost', day: d(4), by: 'reading' }]);
  });

  it('tell an order ten days before it is due, with what is short', () => {
    const order = (from: { batch: string; count: number }[]): EntryDraft => ({
      kind: 'put',
      record: 'order',
      key: 'o1',
      fields: { who: 'Mara', taxon: FIELDS.taxon, count: 12, by: d(40), from },
    });
    const state = stateOf(...batch(), rooted(d(20)), order([{ batch: 'b1', count: 8 }]));
    expect(noticesOn(state, d(29)).filter((n) => n.kind === 'order')).toEqual([]);
    expect(noticesOn(state, d(30))).toMatchObject([
      { kind: 'order', day: d(40), count: 12, ready: 10, growing: 0, short: 2 },
    ]);
  });

  it('say when the season of a mother ends', () => {
    const months = [4, 5, 9, 14, 19, 22, 24, 23, 19, 14, 8, 5];
    const state = stateOf(
      {
        ...SPACE,
        fields: {
          name: 'Bench',
          tempC: 18,
          rh: 0.6,
          monthly: months.map((t) => ({ minC: t - 3, maxC: t + 3, rh: 0.6 })),
        },
      },
      {
        kind: 'put',
        record: 'mother',
        key: 'm1',
        fields: { name: 'Old Grey', taxon: FIELDS.taxon!, space: 'bench' },
      },
    );
    const on = (day: Day): number =>
      noticesOn(state, day).filter((n) => n.kind === 'season').length;
    expect(on('2026-06-15')).toBe(0);
    const told = Array.from({ length: 160 }, (_, n) => addDays('2026-07-01', n)).filter(
      (x) => on(x) > 0,
    );
    expect(told.length).toBeGreaterThan(14);
    expect(told.length).toBeLessThanOrEqual(29);
  });
});
