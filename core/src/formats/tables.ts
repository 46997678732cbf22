import { batchCode, batchTitle, figuresOf, plantOf } from '../bench';
import { METHOD } from '../botany';
import { spaceOn, type Batch, type EntryOf, type State } from '../journal';
import type { Day } from '../days';
import type { Cell } from './csv';

/** A column of a table. Types as the Table Schema names them. */
export interface TableColumn {
  readonly name: string;
  readonly type: 'string' | 'integer' | 'number' | 'date' | 'boolean';
  readonly description: string;
  readonly key?: boolean;
}

/** A table of the journal, the same for one CSV and for the whole data package. */
export interface DataTable {
  readonly name: string;
  readonly title: string;
  readonly columns: readonly TableColumn[];
  readonly rows: readonly (readonly Cell[])[];
  /** Columns whose values are keys of another table. */
  readonly links?: readonly {
    readonly column: string;
    readonly table: string;
    readonly key: string;
  }[];
}

const column = (
  name: string,
  type: TableColumn['type'],
  description: string,
  key = false,
): TableColumn => (key ? { name, type, description, key } : { name, type, description });
const or = <T extends Cell>(value: T | undefined | null): T | null => value ?? null;

/** Everything the journal holds, as tables. @param today for what hangs on the day */
export function dataTables(state: State, today: Day): readonly DataTable[] {
  return [
    spaces(state),
    mothers(state),
    trays(state),
    batches(state, today),
    events(state),
    counts(state),
    orders(state),
    mixes(state),
    air(state),
  ];
}

function spaces(state: State): DataTable {
  return {
    name: 'spaces',
    title: 'Benches and rooms',
    columns: [
      column('id', 'string', 'Key of the space', true),
      column('name', 'string', 'What it is called'),
      column('temp_c', 'number', 'Usual temperature, °C, mean of the day'),
      column('rh', 'number', 'Usual relative humidity, 0–1'),
      column('light', 'string', 'Its light in words'),
    ],
    rows: [...state.spaces.values()].map((s) => [
      s.id,
      or(s.name),
      or(s.tempC),
      or(s.rh),
      or(s.light),
    ]),
  };
}

function mothers(state: State): DataTable {
  return {
    name: 'mothers',
    title: 'Mother plants',
    columns: [
      column('id', 'string', 'Key of the mother', true),
      column('name', 'string', 'What it is called'),
      column('plant', 'string', 'Taxon'),
      column('provenance', 'string', 'Where it came from'),
      column('permission', 'string', 'Whether it may be propagated'),
      column('since', 'date', 'Here since'),
      column('from_batch', 'string', 'The batch it was raised in'),
      column('space', 'string', 'Where it stands'),
    ],
    rows: [...state.mothers.values()].map((m) => [
      m.id,
      or(m.name),
      m.taxon === undefined ? null : (plantOf(state, m.taxon)?.name ?? m.taxon),
      or(m.provenance),
      or(m.permission),
      or(m.since),
      or(m.fromBatch !== undefined && state.batches.has(m.fromBatch) ? m.fromBatch : undefined),
      or(m.space !== undefined && state.spaces.has(m.space) ? m.space : undefined),
    ]),
    links: [
      { column: 'from_batch', table: 'batches', key: 'id' },
      { column: 'space', table: 'spaces', key: 'id' },
    ],
  };
}

function trays(state: State): DataTable {
  return {
    name: 'trays',
    title: 'Trays, pots, jars and racks',
    columns: [
      column('id', 'string', 'Key of the tray', true),
      column('name', 'string', 'What it is called'),
      column('kind', 'string', 'tray, pot, jar or rack'),
      column('space', 'string', 'Where it stands'),
      column('rows', 'integer', 'Rows of cells'),
      column('columns', 'integer', 'Cells in a row'),
    ],
    rows: [...state.trays.values()].map((t) => [
      t.id,
      or(t.name),
      t.kind ?? 'tray',
      or(t.space !== undefined && state.spaces.has(t.space) ? t.space : undefined),
      or(t.rows),
      or(t.columns),
    ]),
    links: [{ column: 'space', table: 'spaces', key: 'id' }],
  };
}

function batches(state: State, today: Day): DataTable {
  const lost = ({ counts }: Batch): number => counts.rotted + counts.dried + counts.lost;
  return {
    name: 'batches',
    title: 'Batches of cuttings',
    columns: [
      column('id', 'string', 'Key of the batch', true),
      column('code', 'string', 'The code on its label'),
      column('title', 'string', 'Genus and pieces'),
      column('plant', 'string', 'Taxon'),
      column('method', 'string', 'How it was taken'),
      column('mother', 'string', 'The mother it was cut from'),
      column('part_of', 'string', 'The batch its cuttings came out of'),
      column('cut_on', 'date', 'Day of the cut; planned while it lies ahead'),
      column('stage', 'string', 'planned, callusing, stuck, growing or done'),
      column('school', 'string', 'How long the cut dries'),
      column('wound_mm', 'number', 'Width of the wound, mm'),
      column('space', 'string', 'Where it is now'),
      column('place', 'string', 'Tray or place in words'),
      column('tray', 'string', 'The tray it stands in'),
      column('stuck_on', 'date', 'Day it was stuck'),
      column('first_water_on', 'date', 'Day of its first water'),
      column('last_look_on', 'date', 'Day of the last look'),
      column('count', 'integer', 'Cuttings counted in it'),
      column('rooted', 'integer', 'Of them with roots, those with pups included'),
      column('with_pups', 'integer', 'Of them with pups'),
      column('rotted', 'integer', 'Of them rotted'),
      column('dried', 'integer', 'Of them dried up'),
      column('lost_otherwise', 'integer', 'Of them lost otherwise'),
      column('lost', 'integer', 'Lost in all'),
      column('potted', 'integer', 'Potted on'),
      column('excluded', 'string', 'Why it teaches nothing'),
    ],
    rows: [...state.batches.values()].map((b) => {
      const space = spaceOn(b, today, b.stuck !== null);
      return [
        b.id,
        batchCode(state, b),
        batchTitle(state, b),
        plantOf(state, b.taxon)?.name ?? b.taxon,
        METHOD[b.method].name,
        or(b.mother !== undefined && state.mothers.has(b.mother) ? b.mother : undefined),
        or(b.partOf !== undefined && state.batches.has(b.partOf) ? b.partOf : undefined),
        b.cutOn,
        b.stage,
        b.school,
        or(b.widthMm ?? figuresOf(state, b)?.wound?.widthMm),
        state.spaces.has(space) ? space : null,
        or(b.place),
        or(b.tray !== undefined && state.trays.has(b.tray) ? b.tray : undefined),
        or(b.stuck),
        or(b.waterings[0]?.day),
        or(b.lastLook),
        b.count,
        b.counts.rooted + b.counts.pupped,
        b.counts.pupped,
        b.counts.rotted,
        b.counts.dried,
        b.counts.lost,
        lost(b),
        b.potted,
        or(b.excluded),
      ];
    }),
    links: [
      { column: 'mother', table: 'mothers', key: 'id' },
      { column: 'part_of', table: 'batches', key: 'id' },
      { column: 'space', table: 'spaces', key: 'id' },
      { column: 'tray', table: 'trays', key: 'id' },
    ],
  };
}

function events(state: State): DataTable {
  return {
    name: 'events',
    title: 'What was done and seen',
    columns: [
      column('id', 'string', 'Key of the entry', true),
      column('batch', 'string', 'The batch it speaks of'),
      column('day', 'date', 'The day it speaks of'),
      column('kind', 'string', 'cut, stuck, watered, tally, inspected …'),
      column('detail', 'string', 'How, what was seen, what was written'),
      column('amount', 'number', 'mL watered, g weighed, mm measured, or how many'),
      column('by', 'string', 'The device it was written on'),
    ],
    rows: [...state.batches.values()].flatMap((b) =>
      b.entries.map((e) => [e.id, b.id, e.day, e.kind, ...cellsOf(e), e.by]),
    ),
    links: [{ column: 'batch', table: 'batches', key: 'id' }],
  };
}

type BatchEntry = Batch['entries'][number];
/** What of an entry stands in the table: every kind says so, and a new one that says nothing does not compile. */
type Cells = {
  readonly [K in BatchEntry['kind']]: {
    readonly detail: (entry: EntryOf<K>) => string | null;
    readonly amount: (entry: EntryOf<K>) => number | null;
  };
};

const none = (): null => null;
const joined = (...parts: readonly (string | undefined)[]): string | null =>
  parts.filter(Boolean).join('; ') || null;

const CELLS: Cells = {
  cut: { detail: none, amount: none },
  stuck: { detail: (e) => (e.wet ? 'wet medium' : null), amount: (e) => e.count ?? null },
  reopened: { detail: (e) => joined(e.why, e.through), amount: (e) => e.widthMm ?? null },
  inspected: {
    detail: (e) => joined(e.seen, e.roots, ...(e.signs ?? []), e.text),
    amount: (e) => e.rootMm ?? null,
  },
  watered: {
    detail: (e) => (e.breach === undefined ? e.how : `${e.how}; before the gate: ${e.breach}`),
    amount: (e) => e.ml ?? null,
  },
  weighed: { detail: none, amount: (e) => e.grams },
  felt: { detail: (e) => `${e.seen} at ${e.depthMm} mm`, amount: none },
  // Counts have a table of their own.
  tally: { detail: (e) => e.recount ?? null, amount: none },
  potted: { detail: (e) => joined(e.container, e.mix, e.roots), amount: (e) => e.count },
  moved: { detail: (e) => joined(e.space, e.place), amount: none },
  note: { detail: (e) => e.text, amount: none },
  parted: {
    detail: (e) =>
      joined(
        e.why,
        e.cause,
        e.priceEach === undefined ? undefined : `at ${e.priceEach} each`,
        e.text,
      ),
    amount: (e) => Object.values(e.taken).reduce((sum, n) => sum + n, 0),
  },
  joined: {
    detail: (e) => `from ${e.from}`,
    amount: (e) => e.cuttings.reduce((sum, g) => sum + g.count, 0),
  },
  tended: { detail: (e) => joined(e.what, e.text), amount: none },
  'put-off': {
    detail: (e) =>
      `${e.task}${e.until === undefined ? ' dropped' : ` until ${e.until}`}; ${e.text}`,
    amount: none,
  },
  photo: { detail: (e) => e.text ?? e.name ?? null, amount: none },
  measured: { detail: (e) => e.what, amount: (e) => e.mm },
  forecast: {
    detail: (e) =>
      `of ${e.cuttings} a share of ${e.rooted} rooted by day ${e.days}, ${e.low} to ${e.high}`,
    amount: none,
  },
  ended: { detail: (e) => e.text ?? null, amount: none },
};

/** The cells of an entry by its own kind. */
function cellsOf(e: BatchEntry): readonly [detail: string | null, amount: number | null] {
  const { detail, amount } = CELLS[e.kind] as {
    readonly detail: (entry: BatchEntry) => string | null;
    readonly amount: (entry: BatchEntry) => number | null;
  };
  return [detail(e), amount(e)];
}

function counts(state: State): DataTable {
  return {
    name: 'counts',
    title: 'Counts of whole batches',
    columns: [
      column('entry', 'string', 'Key of the entry', true),
      column('batch', 'string', 'The batch that was counted'),
      column('day', 'date', 'Day of the count'),
      column('rooted', 'integer', 'With roots and no pup'),
      column('pupped', 'integer', 'With pups'),
      column('rotted', 'integer', 'Rotted'),
      column('dried', 'integer', 'Dried up'),
      column('lost', 'integer', 'Lost otherwise'),
      column('buds', 'integer', 'With buds'),
      column('heads', 'integer', 'Young plants'),
      column('recount', 'string', 'Why the count before was wrong'),
    ],
    rows: [...state.batches.values()].flatMap((b) =>
      b.entries.flatMap((e) =>
        e.kind === 'tally' && e.counts
          ? [
              [
                e.id,
                b.id,
                e.day,
                e.counts.rooted,
                e.counts.pupped,
                e.counts.rotted,
                e.counts.dried,
                e.counts.lost,
                or(e.buds),
                or(e.heads),
                or(e.recount),
              ],
            ]
          : [],
      ),
    ),
    links: [{ column: 'batch', table: 'batches', key: 'id' }],
  };
}

function orders(state: State): DataTable {
  return {
    name: 'orders',
    title: 'Orders',
    columns: [
      column('id', 'string', 'Key of the order', true),
      column('plant', 'string', 'Taxon'),
      column('count', 'integer', 'How many'),
      column('due', 'date', 'By when'),
      column('done_on', 'date', 'Handed over on'),
    ],
    // Who ordered stays in the journal: a table is easily passed on.
    rows: [...state.orders.values()].map((o) => [
      o.id,
      o.taxon === undefined ? null : (plantOf(state, o.taxon)?.name ?? o.taxon),
      or(o.count),
      or(o.by),
      or(o.doneOn),
    ]),
  };
}

function mixes(state: State): DataTable {
  return {
    name: 'mix_parts',
    title: 'Mixes, by their parts',
    columns: [
      column('mix', 'string', 'Key of the mix'),
      column('name', 'string', 'What the mix is called'),
      column('component', 'string', 'What goes in'),
      column('parts', 'number', 'Parts by loose volume'),
    ],
    rows: [...state.mixes.values()].flatMap((m) =>
      (m.parts ?? []).map((p) => [m.id, or(m.name), p.component, p.parts]),
    ),
  };
}

function air(state: State): DataTable {
  return {
    name: 'air',
    title: 'Air of the benches by day',
    columns: [
      column('space', 'string', 'The bench'),
      column('day', 'date', 'Day'),
      column('temp_c', 'number', 'Mean temperature, °C'),
      column('rh', 'number', 'Mean relative humidity, 0–1'),
    ],
    rows: [...state.air].flatMap(([space, days]) =>
      state.spaces.has(space) ? days.map((d) => [space, d.day, d.tempC, d.rh]) : [],
    ),
    links: [{ column: 'space', table: 'spaces', key: 'id' }],
  };
}
