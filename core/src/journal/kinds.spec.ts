import { DAY, FIELDS } from '../testing/entries';
import {
  entryIssues,
  fold,
  isKind,
  isKnown,
  KINDS,
  RECORD_NAMES,
  RECORDS,
  subjectOf,
  type Entry,
  type EntryKind,
  type RecordName,
} from '.';

const envelope = { id: 'e1', at: '2026-03-01T08:00:00.000Z~0000', day: DAY, by: 'phone' };
const batch = 'b1';
const counts = { rooted: 1, pupped: 0, rotted: 0, dried: 0, lost: 0 };
const group = { count: 2, outcome: 'waiting', lastLook: DAY };

/** A good one of every kind, its subject, and a field it cannot do without: a new kind does not compile until it is here. */
const GOOD: Readonly<
  Record<
    Exclude<EntryKind, 'put'>,
    readonly [fields: object, subject: string, needs: string | null]
  >
> = {
  cut: [{ batch }, 'batch/b1', 'batch'],
  stuck: [{ batch }, 'batch/b1', 'batch'],
  reopened: [{ batch, why: 'torn', widthMm: 4 }, 'batch/b1', 'why'],
  inspected: [{ batch, seen: 'tacky', signs: ['crown-wet'] }, 'batch/b1', 'seen'],
  watered: [{ batch, how: 'poured', ml: 40 }, 'batch/b1', 'how'],
  weighed: [{ batch, grams: 240 }, 'batch/b1', 'grams'],
  felt: [{ batch, depthMm: 25, seen: 'dry' }, 'batch/b1', 'depthMm'],
  tally: [{ batch, counts }, 'batch/b1', 'batch'],
  potted: [{ batch, count: 3 }, 'batch/b1', 'count'],
  moved: [{ batch, space: 'porch' }, 'batch/b1', 'space'],
  note: [{ batch, text: 'Two looked glassy' }, 'batch/b1', 'text'],
  parted: [{ batch, why: 'sold', taken: { rooted: 1 } }, 'batch/b1', 'taken'],
  joined: [{ batch, from: 'b2', cuttings: [group] }, 'batch/b1', 'cuttings'],
  tended: [{ batch, what: 'feed' }, 'batch/b1', 'what'],
  'put-off': [{ batch, task: 'roots', text: 'away' }, 'batch/b1', 'text'],
  photo: [{ batch, picture: 'p', width: 9, height: 9, bytes: 9 }, 'batch/b1', 'picture'],
  measured: [{ batch, what: 'wound', mm: 8 }, 'batch/b1', 'mm'],
  forecast: [
    { batch, days: 120, cuttings: 9, rooted: 0.8, low: 0.6, high: 1, rotted: 0.1, dried: 0 },
    'batch/b1',
    'rooted',
  ],
  ended: [{ batch }, 'batch/b1', 'batch'],
  air: [{ space: 's', tempC: 20, rh: 0.5 }, 'air/s', 'rh'],
  series: [
    {
      space: 's',
      source: 'logger',
      start: `${DAY}T08:00`,
      offsets: [0, 10],
      columns: { tempC: [20, null] },
    },
    'air/s',
    'start',
  ],
  examined: [{ mother: 'm', turgid: true }, 'mother/m', 'mother'],
  repotted: [{ mother: 'm', roots: 'bared' }, 'mother/m', 'mother'],
  divided: [{ mother: 'm', pieces: 3, parted: true }, 'mother/m', 'mother'],
  mothered: [{ mother: 'm', what: 'watered' }, 'mother/m', 'what'],
  walked: [{ stops: 4, skipped: 1 }, 'walk/all', 'stops'],
  jug: [{ mix: 'x', potMl: 700, depthMm: 90, soakedMl: 400, drainedMl: 150 }, 'jug/x', 'drainedMl'],
  retract: [{ entry: 'e0', subject: 'batch/b1' }, 'batch/b1', 'entry'],
};

const entryOf = (kind: string, fields: object): Entry => ({ ...envelope, kind, ...fields });

describe.each(Object.entries(GOOD))('an entry of kind %s', (kind, [fields, subject, needs]) => {
  const good = entryOf(kind, fields);

  it('is known, taken, and of its subject', () => {
    expect(isKnown(good)).toBe(true);
    expect(isKind(kind as EntryKind)(good)).toBe(true);
    expect(entryIssues(good)).toEqual([]);
    expect(subjectOf(good)).toBe(subject);
  });

  it('may say more than this version knows', () => {
    expect(entryIssues({ ...good, moonPhase: 'new' })).toEqual([]);
  });

  it('is refused without what it cannot do without, and tells which', () => {
    for (const missing of [needs, 'id', 'at', 'day', 'by']) {
      if (missing === null) continue;
      const { [missing]: _gone, ...rest } = good as unknown as Record<string, unknown>;
      expect(entryIssues(rest).map((i) => i.path[0])).toContain(missing);
    }
  });

  it('folds without harm, alone and taken back', () => {
    const state = fold([good, entryOf('retract', { id: 'r', entry: 'e1', subject })]);
    expect(state.size).toBe(2);
    expect([...state.log.keys()]).toEqual([subject]);
  });
});

it('every kind of the table has an example here', () => {
  expect(Object.keys(GOOD).sort()).toEqual(Object.keys(KINDS).sort());
});

describe('kinds and records of a version to come', () => {
  it.each([
    ['a kind', { kind: 'sang-to', song: 'la' }],
    ['a record', { kind: 'put', record: 'jar', key: 'j', fields: { litres: 1 } }],
    ['a kind by the name of what every object has', { kind: 'constructor' }],
  ])('%s is kept, and tells nothing', (_name, fields) => {
    const entry = { ...envelope, ...fields } as Entry;
    expect(isKnown(entry)).toBe(false);
    expect(entryIssues(entry)).toEqual([]);
    expect(subjectOf(entry)).toBe('unknown');
    const state = fold([entry]);
    expect(state.log.get('unknown')).toEqual([entry]);
    expect(state.batches.size).toBe(0);
  });

  it.each([null, undefined, 7, 'entry', [], { kind: 'cut' }, { ...envelope, kind: '' }])(
    '%p is no entry at all',
    (raw) => {
      expect(entryIssues(raw).length).toBeGreaterThan(0);
    },
  );
});

describe('records', () => {
  const FIELDS_OF: Readonly<Record<RecordName, object>> = {
    taxon: { name: 'My own', like: 'echeveria-elegans' },
    mother: { name: 'The bowl', picture: { id: 'p1', width: 1600, height: 1200 } },
    space: { name: 'Porch', tempC: 12 },
    batch: FIELDS,
    component: { name: 'Crushed brick', grainMm: 3 },
    mix: { name: 'Bench mix', parts: [{ component: 'pumice', parts: 2 }] },
    container: { name: 'Tin', heightMm: 80, freeboardMm: 10 },
    protocol: { name: 'For the fair' },
    trial: { name: 'Cinnamon or nothing' },
    tray: { name: 'Tray A', rows: 3 },
    order: { who: 'R.', count: 4 },
    bench: { name: 'The one with the heated bench', edition: 2 },
    device: { name: 'The phone of the lean-to' },
    settings: { latitude: 52 },
  };

  it.each(RECORD_NAMES)('%s lands where its table says, and a cleared field is gone', (record) => {
    const key = record === 'settings' ? 'grower' : 'k';
    const put = { ...envelope, kind: 'put', record, key, fields: FIELDS_OF[record] } as Entry;
    expect(entryIssues(put)).toEqual([]);
    expect(subjectOf(put)).toBe(`${record}/${key}`);
    const state = fold([put]);
    const { into } = RECORDS[record];
    const landed =
      into === null
        ? record === 'batch'
          ? state.batches.get('k')
          : state.settings
        : state[into].get('k');
    expect(landed).toMatchObject(FIELDS_OF[record]);
    const [name] = Object.keys(FIELDS_OF[record]);
    const clear = {
      ...put,
      id: 'e2',
      at: '2026-03-01T08:00:00.000Z~0001',
      fields: { [name!]: null },
    } as Entry;
    if (into !== null) expect(fold([put, clear]).settings).toEqual({});
    expect(entryIssues(clear)).toEqual([]);
  });

  it('name a record by a key of whole signs, eighty at most', () => {
    const put = { ...envelope, kind: 'put', record: 'mother', key: 'k', fields: {} };
    for (const key of ['', 'k'.repeat(81), `k${String.fromCharCode(0xdc00)}`, 7])
      expect(entryIssues({ ...put, key }).map((i) => i.path[0])).toEqual(['key']);
    expect(entryIssues({ ...put, key: '🌵'.repeat(40) })).toEqual([]);
  });
});
