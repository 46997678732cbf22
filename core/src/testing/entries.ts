import * as fc from 'fast-check';
import { addDays } from '../days';
import type { BatchFields, Entry, KnownEntry } from '../journal';

type Distribute<T> = T extends unknown
  ? Omit<T, 'id' | 'at' | 'by'> & { by?: string; at?: string; id?: string }
  : never;

export const DAY = '2026-03-01';

export const FIELDS: BatchFields = {
  mother: 'm1',
  taxon: 'echeveria-elegans',
  method: 'crown',
  count: 10,
  cutOn: DAY,
  school: 'dry-to-touch',
  callusAt: 'rack',
  space: 'bench',
};

/** Entries as one device writes them, one after another. */
export function written(...drafts: Distribute<KnownEntry>[]): readonly Entry[] {
  return drafts.map((draft, i) => ({
    ...draft,
    id: draft.id ?? `e${i}`,
    at: draft.at ?? `2026-03-01T08:00:00.000Z~${i.toString(16).padStart(4, '0')}`,
    by: draft.by ?? 'phone',
  }));
}

export const batchPut = (fields: BatchFields = FIELDS, key = 'b1'): Distribute<KnownEntry> => ({
  kind: 'put',
  record: 'batch',
  day: DAY,
  key,
  fields,
});

const count = fc.nat(4);
const counts = fc.record({
  rooted: count,
  pupped: count,
  rotted: count,
  dried: count,
  lost: fc.nat(2),
});

/** What a newer version may have written: JSON has no −0, which fast-check draws now and then. */
const asWritten = fc.jsonValue().map((v): unknown => JSON.parse(JSON.stringify(v)));

const body = fc.oneof(
  fc.record({
    kind: fc.constant('put'),
    record: fc.constant('batch'),
    key: fc.constantFrom('b1', 'b2'),
    fields: fc.oneof(
      fc.constant(FIELDS),
      fc.record({ count: fc.integer({ min: 1, max: 30 }) }),
      fc.record({ place: fc.constantFrom('Tray A', '<b>Tray</b>', null) }),
    ),
  }),
  fc.record({
    kind: fc.constant('put'),
    record: fc.constant('mother'),
    key: fc.constant('m1'),
    fields: fc.record(
      {
        name: fc.string({ maxLength: 20 }).filter((name) => name.trim() !== ''),
        taxon: fc.constantFrom('a', 'b'),
      },
      { requiredKeys: [] },
    ),
  }),
  fc.record({ kind: fc.constantFrom('cut', 'stuck', 'ended'), batch: fc.constantFrom('b1', 'b2') }),
  fc.record({ kind: fc.constant('tally'), batch: fc.constantFrom('b1', 'b2'), counts }),
  fc.record({
    kind: fc.constant('tally'),
    batch: fc.constant('b1'),
    places: fc.dictionary(fc.nat(9).map(String), fc.constantFrom('rooted', 'rotted', 'waiting')),
  }),
  fc.record({
    kind: fc.constant('air'),
    space: fc.constant('bench'),
    tempC: fc.integer({ min: -5, max: 40 }),
    rh: fc.constantFrom(0.4, 0.8),
  }),
  fc.record({
    kind: fc.constant('retract'),
    entry: fc.nat(30).map((n) => `e${n}`),
    subject: fc.constantFrom('batch/b1', 'batch/b2', 'mother/m1', 'air/bench'),
  }),
  // Kinds and records of a version that does not exist yet.
  fc.record({ kind: fc.constant('sang-to'), song: fc.string(), batch: fc.constant('b1') }),
  fc.record({
    kind: fc.constant('put'),
    record: fc.constant('jar'),
    key: fc.constant('j1'),
    fields: fc.dictionary(fc.string(), asWritten),
  }),
);

const envelope = fc.record({
  id: fc.nat(30).map((n) => `e${n}`),
  at: fc
    .tuple(fc.nat(3), fc.nat(5))
    .map(([s, n]) => `2026-03-01T08:00:0${s}.000Z~${n.toString(16).padStart(4, '0')}`),
  by: fc.constantFrom('phone', 'laptop'),
  day: fc.nat(20).map((n) => addDays(DAY, n)),
});

/** Any entry, ids and stamps colliding on purpose: the properties must hold for damaged journals too. */
export const anyEntry: fc.Arbitrary<Entry> = fc
  .tuple(envelope, body)
  .map(([e, b]) => ({ ...e, ...b }));

export const anyJournal = fc.array(anyEntry, { maxLength: 40 });
