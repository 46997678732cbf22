import { addDays } from '../days';
import { append, fold, type BatchFields } from '../journal';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import { amountWords, roundOn, verdictsOn, type Round, type RoundItem } from '.';

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
const kinds = (r: Round): string[] =>
  [...r.leave, ...r.look, ...r.do].map((i: RoundItem) => `${i.band} ${i.kind}`);

// Task rules from common practice, no source: crown of an echeveria, 8 mm, at 22 °C and 55 % RH.
describe('the round of a crown cutting', () => {
  it('asks for the cut on its day and not before', () => {
    expect(kinds(round(-1, []))).toEqual([]);
    expect(kinds(round(0, []))).toEqual(['do cut']);
  });

  it('leaves the fresh wound alone, with the range in which it closes', () => {
    const r = round(1, [cut]);
    expect(kinds(r)).toEqual(['leave gate']);
    const [item] = r.leave;
    expect(item!.earliest <= item!.until && item!.until <= item!.latest).toBe(true);
    expect(item!.reason).toMatch(/a third closed/);
  });

  it('asks to touch and to stick once it is likely closed, water still held back', () => {
    expect(kinds(round(3, [cut]))).toEqual(['leave gate', 'look wound', 'do stick']);
  });

  it('does not ask to touch again the same day', () => {
    const looked: Life = { kind: 'inspected', batch: 'b1', day: day(3), seen: 'tacky' };
    expect(kinds(round(3, [cut, looked]))).not.toContain('look wound');
  });

  it('asks for the first water when the gate is open and it is stuck', () => {
    expect(kinds(round(6, [cut, stuck(3)]))).toEqual(['do first-water']);
  });

  it('then leaves it until roots can be there', () => {
    const r = round(7, [cut, stuck(3), watered(6)]);
    expect(kinds(r)).toEqual(['leave rooting']);
    expect(r.leave[0]!.until).toBe(day(14));
  });

  it('looks in the rooting window, at spaced days', () => {
    const life = [cut, stuck(3), watered(6)];
    expect(kinds(round(14, life))).toEqual(['look roots']);
    const once = [...life, tally(14, { rooted: 2 })];
    expect(kinds(round(15, once))).toEqual(['leave rooting']);
    expect(kinds(round(19, once))).toEqual(['look roots']);
  });

  it('never asks daily: at least four days lie between looks', () => {
    let state = fold(written(space, batchPut(), cut, stuck(3), watered(6)));
    const looks: number[] = [];
    for (let n = 7; n < 80; n++) {
      if (!roundOn(state, day(n)).look.some((l) => l.kind === 'roots' || l.kind === 'overdue'))
        continue;
      looks.push(n);
      state = append(state, {
        ...written(tally(n, {}))[0]!,
        id: `look${n}`,
        at: `2026-04-01T00:00:00.000Z~${n.toString(16).padStart(4, '0')}`,
      });
    }
    expect(looks.length).toBeGreaterThan(4);
    for (let i = 1; i < looks.length; i++)
      expect(looks[i]! - looks[i - 1]!).toBeGreaterThanOrEqual(4);
  });

  it('says so when roots are long overdue', () => {
    const r = round(60, [cut, stuck(3), watered(6), tally(40, {})]);
    expect(r.look[0]!.kind).toBe('overdue');
    expect(r.look[0]!.reason).toMatch(/fresh cut/);
  });

  it('pots on four weeks after roots, less what was potted', () => {
    const life = [cut, stuck(3), watered(6), tally(20, { rooted: 9, rotted: 1 })];
    expect(kinds(round(47, life))).toEqual(['do light', 'do feed']);
    expect(round(48, life).do[0]).toMatchObject({ kind: 'pot-on', count: 9 });
    const some: Life = { kind: 'potted', batch: 'b1', day: day(48), count: 4 };
    expect(round(49, [...life, some]).do[0]!.count).toBe(5);
  });

  it('is silent about what is done', () => {
    expect(kinds(round(90, [cut, { kind: 'ended', batch: 'b1', day: day(80) }]))).toEqual([]);
  });
});

describe('other lives', () => {
  it('an offset with roots has no gate: stick and water at once', () => {
    const fields = { taxon: 'haworthiopsis-attenuata', method: 'rooted-offset' } as const;
    expect(kinds(round(0, [cut], fields))).toEqual(['do stick']);
    expect(kinds(round(0, [cut, stuck(0)], fields))).toEqual(['do first-water']);
  });

  it('says that the wound stands still in the cold', () => {
    const frost: Life = { ...space, fields: { name: 'Shed', tempC: 1, rh: 0.6 } };
    expect(kinds(round(2, [frost, cut]))).toEqual(['look stopped']);
  });

  it('straight in: sticks at once, then leaves alone', () => {
    const fields = { school: 'straight-in', callusAt: 'medium' } as const;
    expect(kinds(round(0, [cut], fields))).toContain('do stick');
    expect(kinds(round(1, [cut, stuck(0)], fields))).toEqual(['leave gate']);
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
    expect(hold!.reason).toMatch(/^\d+ % of its water left$/);
    const dryDay = Array.from({ length: 30 }, (_, n) => 8 + n).find((n) =>
      told(n, started).do.some((i) => i.kind === 'water'),
    )!;
    const [water] = told(dryDay, started).do.filter((i) => i.kind === 'water');
    expect(water!.title).toMatch(/^Water, about \d+ mL each$/);
    expect(water!.drink!.ml).toBeGreaterThan(10);
    expect(told(dryDay, [...started, watered(dryDay)]).do.map((i) => i.kind)).not.toContain(
      'water',
    );
    const late = told(dryDay + 20, started).do.find((i) => i.kind === 'water')!;
    expect(late.title).toContain('(overdue)');
  });

  it('says how much a first drink is', () => {
    const first = told(9, [cut, stuck(3)]).do.find((i) => i.kind === 'first-water')!;
    expect(first.title).toMatch(/^First water, about \d+ mL each$/);
  });

  it('looks after a pot without holes that stands wet', () => {
    const drowned: Life = { kind: 'watered', batch: 'b1', day: day(8), how: 'poured', ml: 300 };
    const r = told(9, [...started, drowned], { ...POT, container: 'glass-9' });
    expect(r.look.map((i) => i.kind)).toContain('pool');
  });

  it('says nothing of water where nothing is told', () => {
    const r = told(20, started, {});
    expect(kinds(r).filter((k) => k.includes('water'))).toEqual([]);
  });

  it('writes amounts as a jug shows them', () => {
    const drink = (ml: number) => ({ manner: 'poured', ml, mm: 1, through: true }) as const;
    expect(amountWords({}, drink(7.4))).toBe('about 7 mL');
    expect(amountWords({ containers: 3 }, drink(43))).toBe('about 45 mL each');
    expect(amountWords({}, drink(333))).toBe('about 330 mL');
    expect(amountWords({}, drink(1234))).toBe('about 1.2 L');
    expect(amountWords({}, drink(0.2))).toBe('about 1 mL');
  });
});
