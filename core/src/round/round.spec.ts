import { addDays } from '../days';
import { fold, type BatchFields } from '../journal';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import { agendaOn, batchesByPlace, roundOn, taskDone, verdictsOn, type Round } from '.';

type Life = Parameters<typeof written>[number];
const none = { rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0 };
const space: Life = {
  kind: 'put',
  record: 'space',
  day: DAY,
  key: 'bench',
  fields: { name: 'Bench', tempC: 22, rh: 0.55 },
};

const day = (n: number): string => addDays(DAY, n);
const cut: Life = { kind: 'cut', batch: 'b1', day: DAY };
const stuck = (n: number): Life => ({ kind: 'stuck', batch: 'b1', day: day(n) });
const watered = (n: number): Life => ({ kind: 'watered', batch: 'b1', day: day(n), how: 'poured' });
const tally = (n: number, counts: Partial<typeof none>): Life => ({
  kind: 'tally',
  batch: 'b1',
  day: day(n),
  counts: { ...none, ...counts },
});

function round(on: number, life: readonly Life[], fields: Partial<BatchFields> = {}): Round {
  return roundOn(fold(written(space, batchPut({ ...FIELDS, ...fields }), ...life)), day(on));
}
describe('the round of a bench', () => {
  it('is put together bench by bench: the parts are the whole', () => {
    const other: Life = { ...space, key: 'shelf', fields: { name: 'Shelf', tempC: 20, rh: 0.5 } };
    const ids = ['b1', 'b2', 'b3', 'b4'];
    const where = ['shelf', 'bench', 'gone', 'bench'];
    const state = fold(
      written(
        space,
        other,
        ...ids.flatMap((batch, i): Life[] => [
          batchPut({ ...FIELDS, space: where[i] }, batch),
          { kind: 'cut', batch, day: DAY },
          { kind: 'stuck', batch, day: day(3) },
        ]),
      ),
    );
    const places = batchesByPlace(state, day(40)).map((batches) => batches.map((b) => b.id));
    expect(places).toEqual([['b2', 'b4'], ['b1'], ['b3']]);
    const whole = roundOn(state, day(40));
    const parts = places.map((of) => roundOn(state, day(40), undefined, new Set(of)));
    for (const band of ['do', 'look', 'leave'] as const) {
      const named = (round: Round): string[] => round[band].map((x) => `${x.batch.id} ${x.kind}`);
      expect(parts.flatMap(named).sort()).toEqual(named(whole).sort());
    }
    expect(whole.look.length + whole.do.length).toBeGreaterThan(3);
  });

  it('orders what is left alone by the day its gate opens, wounds before roots', () => {
    const state = fold(
      written(
        space,
        batchPut({ ...FIELDS, widthMm: 30 }, 'wide'),
        batchPut(FIELDS, 'thin'),
        batchPut(FIELDS, 'b1'),
        { kind: 'cut', batch: 'wide', day: DAY },
        { kind: 'cut', batch: 'thin', day: DAY },
        cut,
        stuck(0),
        watered(0),
      ),
    );
    expect(roundOn(state, day(1)).leave.map((i) => i.batch.id)).toEqual(['thin', 'wide', 'b1']);
  });

  it('says one line a batch of what is left alone, the gravest', () => {
    const r = round(4, [cut, stuck(3)]);
    expect(r.leave.map((l) => l.kind)).toEqual(['gate']);
    expect(round(9, [cut, stuck(3), watered(7)]).leave.map((l) => l.kind)).toEqual(['water']);
  });

  it('leaves plans out, and plants that have grown on', () => {
    expect(round(-1, []).leave).toEqual([]);
    const life = [cut, stuck(3), watered(6), tally(20, { rooted: 10 })];
    const potted: Life = { kind: 'potted', batch: 'b1', day: day(48), count: 10 };
    expect(round(250, [...life, potted]).leave).toEqual([]);
  });

  it('a mother that was cut is asked after among the others', () => {
    const mother: Life = {
      kind: 'put',
      record: 'mother',
      key: 'm1',
      day: DAY,
      fields: { name: 'Old one', taxon: 'echeveria-elegans' },
    };
    expect(round(25, [mother, cut]).mothers).toMatchObject([{ kind: 'looked' }]);
  });

  it('a batch that cannot be worked out costs itself a sentence, and no other', () => {
    const state = fold(
      written(space, batchPut(FIELDS, 'good'), batchPut(FIELDS, 'bad'), {
        kind: 'cut',
        batch: 'good',
        day: DAY,
      }),
    );
    const bad = new Proxy(state.batches.get('bad')!, {
      get(of, name) {
        if (name === 'cuttings') throw new RangeError('torn');
        return Reflect.get(of, name) as unknown;
      },
    });
    const r = roundOn({ ...state, batches: new Map([...state.batches, ['bad', bad]]) }, day(1));
    expect(r.broken.map((b) => b.reason)).toEqual(['torn']);
    expect(r.leave).toHaveLength(1);
  });
});

describe('one tap on a task', () => {
  const deed = (
    on: number,
    life: readonly Life[],
    kind: string,
    fields: Partial<BatchFields> = {},
  ) => {
    const item = round(on, life, fields).do.find((d) => d.kind === kind);
    if (!item) throw new Error(`no ${kind} on day ${on}`);
    return taskDone(item).entries.map((e) => e.kind);
  };
  const jar = { course: 'water' } as const;

  it.each([
    ['cut', 0, [], {}, ['cut']],
    ['stick', 5, [cut], {}, ['stuck']],
    ['first-water', 9, [cut, stuck(3)], {}, ['watered']],
    ['pot-on', 60, [cut, stuck(3), watered(8), tally(20, { rooted: 9 })], {}, ['potted']],
    ['light', 26, [cut, stuck(3), watered(8), tally(20, { rooted: 9 })], {}, ['tended']],
    ['feed', 36, [cut, stuck(3), watered(8), tally(20, { rooted: 9 })], {}, ['tended']],
    ['jar-stir', 10, [cut, stuck(7)], jar, ['tended']],
    ['jar-change', 13, [cut, stuck(7)], jar, ['tended']],
    ['wean', 40, [cut, stuck(7), tally(20, { rooted: 9 })], jar, ['put', 'stuck']],
    ['jar-feed', 40, [cut, stuck(7), tally(20, { rooted: 9 })], jar, ['tended']],
  ] as const)('%s', (kind, on, life, fields, entries) => {
    expect(deed(on, life, kind, fields)).toEqual(entries);
  });

  it('those of one place stand in one line of the agenda', () => {
    const life = (id: string): readonly Life[] =>
      [cut, stuck(3), watered(8), tally(20, { rooted: 9 })].map(
        (e) => ({ ...e, batch: id }) as Life,
      );
    const state = fold(
      written(space, ...['a', 'b', 'c'].flatMap((id) => [batchPut(FIELDS, id), ...life(id)])),
    );
    const [place] = agendaOn(state, roundOn(state, day(36)), day(36));
    const feed = place!.lines.find((l) => l.kind === 'feed')!;
    expect(feed.items).toHaveLength(3);
    expect(feed.count).toBe(feed.items.reduce((sum, i) => sum + i.count, 0));
  });
});

describe('water on the round, where pot and mix are told', () => {
  const POT = { container: 'pot-7', containers: 10, mix: 'two-to-one' } as const;
  function told(on: number, life: readonly Life[], fields: Partial<BatchFields> = POT): Round {
    const state = fold(written(space, batchPut({ ...FIELDS, ...fields }), ...life));
    return roundOn(state, day(on), verdictsOn(state, day(on)));
  }
  const started = [cut, stuck(3), watered(6)];

  it('first leaves alone what is wet enough, then asks by volume', () => {
    const wet = told(8, started);
    const [hold] = wet.leave.filter((i) => i.kind === 'water');
    expect(hold!.until > day(8)).toBe(true);
    expect(hold!.earliest <= hold!.until && hold!.until <= hold!.latest).toBe(true);
    expect(hold!.reason).toMatchObject({ why: 'verdict', is: { why: 'regime' } });
    const dryDay = Array.from({ length: 30 }, (_, n) => 8 + n).find((n) =>
      told(n, started).do.some((i) => i.kind === 'water'),
    )!;
    const [water] = told(dryDay, started).do.filter((i) => i.kind === 'water');
    expect(water!.drink!.ml).toBeGreaterThan(10);
    expect(told(dryDay, [...started, watered(dryDay)]).do.map((i) => i.kind)).not.toContain(
      'water',
    );
    const late = told(dryDay + 20, started).do.find((i) => i.kind === 'water')!;
    // Without roots it is never overdue, however long it has been asked for.
    expect(late.since <= day(dryDay + 1)).toBe(true);
    expect(late.late).toBe(0);
    expect(late.reason).toMatchObject({ is: { why: 'regime' } });
  });

  it('says how much a first drink is', () => {
    const first = told(9, [cut, stuck(3)]).do.find((i) => i.kind === 'first-water')!;
    expect(first.drink!.ml).toBeGreaterThan(5);
    expect(first.drink!.through).toBe(false);
  });

  it('looks after a pot without holes that stands wet', () => {
    const drowned: Life = { kind: 'watered', batch: 'b1', day: day(8), how: 'poured', ml: 300 };
    const r = told(9, [...started, drowned], { ...POT, container: 'glass-9' });
    expect(r.look.map((i) => i.kind)).toContain('pool');
  });
});
