import { addDays } from '../days';
import { demoJournal } from '../demo';
import { fold, type BatchFields, type Counts, type Entry } from '../journal';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import { fisherExact } from '../stats';
import {
  allGroups,
  compareGroups,
  fateRows,
  ledgerCases,
  findingWords,
  findLosses,
  groupsBy,
  holm,
  lossesByWeek,
  strengthOf,
} from '.';

type Draft = Parameters<typeof written>[0];
const none: Counts = { rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0 };

const settled = (
  key: string,
  fields: Partial<BatchFields>,
  counts: Partial<Counts>,
  looks: readonly number[] = [14, 30],
): Draft[] => {
  const total = Object.values(counts).reduce((a, b) => a + b, 0);
  return [
    batchPut({ ...FIELDS, count: Math.max(total, 1), ...fields }, key),
    { kind: 'cut', batch: key, day: fields.cutOn ?? DAY },
    { kind: 'tally', batch: key, day: addDays(fields.cutOn ?? DAY, looks[0]!), counts: none },
    {
      kind: 'tally',
      batch: key,
      day: addDays(fields.cutOn ?? DAY, looks[1]!),
      counts: { ...none, ...counts },
    },
  ];
};

const RHO = 0.1;
const casesOf = (entries: readonly Entry[]) => ledgerCases(fold(entries));

describe('cuttings as rows of time', () => {
  it('what came first of each, between two looks; who waits is known to have waited', () => {
    const state = fold(
      written(...settled('b1', { count: 10 }, { rooted: 4, pupped: 1, rotted: 2 })),
    );
    const { first: rows } = fateRows(state.batches.get('b1')!);
    expect(rows).toEqual(
      expect.arrayContaining([
        { left: 14, right: 30, cause: 'rooted', count: 5 },
        { left: 14, right: 30, cause: 'rotted', count: 2 },
        { left: 30, right: Infinity, count: 3 },
      ]),
    );
    expect(rows).toHaveLength(3);
  });
});

describe('evidence', () => {
  it('many looks are corrected for (Holm 1979, by hand)', () => {
    expect(holm([0.01, 0.04, 0.03])).toEqual([0.03, 0.06, 0.06]);
    expect(holm([])).toEqual([]);
    expect([0.001, 0.05, 0.4].map(strengthOf)).toEqual(['strong', 'some', 'weak']);
  });
});

describe('ways against each other', () => {
  const many = (school: BatchFields['school'], rooted: number, rotted: number, from: number) =>
    Array.from({ length: 8 }, (_, i) =>
      settled(`${school!}${i}`, { school, cutOn: addDays(DAY, from + i) }, { rooted, rotted }),
    ).flat();

  it('tells a real difference, within plants too, and how large a fair trial would be', () => {
    const cases = casesOf(
      written(...many('dry-to-touch', 9, 1, 0), ...many('straight-in', 4, 6, 3)),
    );
    const [a, b] = groupsBy(cases, 'school', RHO);
    expect([a!.told, b!.told]).toEqual([80, 80]);
    const dry = [a!, b!].find((g) => g.name === 'Dry to the touch')!;
    const straight = [a!, b!].find((g) => g.name === 'Pot at once, no water')!;
    const c = compareGroups('school', dry, straight);
    expect(c.difference!.difference).toBeCloseTo(0.5, 12);
    expect(c.difference!.low).toBeGreaterThan(0.25);
    expect(c.strength).toBe('strong');
    // As if every cutting stood for itself it would look surer than it is.
    const naive = fisherExact({ a: { yes: 72, no: 8 }, b: { yes: 32, no: 48 } })!;
    expect(c.p).toBeGreaterThan(naive.p);
    expect(c.chance).toBeGreaterThan(0.99);
    // The same weight for every batch of ten: the odds are those of all of them.
    expect(c.within!.oddsRatio).toBeCloseTo((72 * 48) / (8 * 32), 9);
    expect(c.confounded).toEqual([]);
    expect(c.trialOf!).toBeLessThan(30);
    expect(dry.half).toEqual({ from: 14, to: 30 });
  });

  it('interval, test and odds rest on the same effective numbers', () => {
    const cases = casesOf(
      written(
        ...settled('b1', { school: 'dry-to-touch' }, { rooted: 12, rotted: 8 }),
        ...settled('b2', { school: 'straight-in' }, { rooted: 4, rotted: 16 }),
      ),
    );
    const [a, b] = groupsBy(cases, 'school', RHO);
    const c = compareGroups('school', a!, b!);
    // Forty points apart, but one tray each: twenty that shared a tray count as seven.
    expect(Math.abs(c.difference!.difference)).toBeCloseTo(0.4, 12);
    expect(c.p).toBeGreaterThan(0.05);
    expect(c.difference!.low < 0 && c.difference!.high > 0).toBe(true);
    expect(c.a.rooted!.high - c.a.rooted!.low).toBeGreaterThan(0.5);
  });

  it('one batch each way, looked at a week apart, tells no times apart', () => {
    const cases = casesOf(
      written(
        ...settled('b1', { school: 'dry-to-touch' }, { rooted: 40 }, [14, 21]),
        ...settled('b2', { school: 'straight-in' }, { rooted: 40 }, [14, 28]),
      ),
    );
    const [a, b] = groupsBy(cases, 'school', RHO);
    expect(compareGroups('school', a!, b!).times.test?.p ?? 1).toBeGreaterThan(0.05);
  });

  it('half of those that root waits for those that wait', () => {
    const cases = casesOf(written(...settled('b1', { count: 250 }, { rooted: 60 }, [10, 20])));
    expect(groupsBy(cases, 'method', RHO)[0]!.half).toEqual({ from: 10, to: null });
  });

  it('says what else the groups differ in', () => {
    const cases = casesOf(
      written(
        ...settled(
          'b1',
          { method: 'crown', taxon: 'echeveria-elegans', mother: 'm1' },
          { rooted: 9, rotted: 1 },
        ),
        ...settled(
          'b2',
          { method: 'leaf', taxon: 'pachyphytum-oviferum', mother: 'm2', cutOn: addDays(DAY, 180) },
          { rooted: 5, rotted: 5 },
        ),
      ),
    );
    const [a, b] = groupsBy(cases, 'method', RHO);
    const c = compareGroups('method', a!, b!);
    const by = c.confounded.map((other) => other.by);
    expect([by[0], by.at(-1)]).toEqual(['plant', 'season']);
    expect(c.strength).toBe('weak');
    expect(c.within).toBeNull();
  });

  it('a batch that still waits is in the curves and not in the shares: young is not bad', () => {
    const cases = casesOf(
      written(
        ...settled('b1', { school: 'straight-in' }, { rooted: 8, rotted: 2 }),
        ...settled('b2', { school: 'straight-in', count: 30 }, { rooted: 1, rotted: 1 }),
      ),
    );
    const [group] = groupsBy(cases, 'school', RHO);
    expect(group!.cases).toHaveLength(2);
    expect(group!.told).toBe(10);
    expect(group!.rooted!.share).toBeCloseTo(0.8, 12);
    expect(group!.curve.count).toBe(40);
  });

  it('sets all groups side by side, each against the rest, corrected for how many', () => {
    const cases = casesOf(
      written(
        ...many('dry-to-touch', 9, 1, 0),
        ...many('straight-in', 4, 6, 3),
        ...many('long-cure', 9, 1, 5),
      ),
    );
    const rows = allGroups(cases, 'school', RHO);
    const byName = new Map(rows.map((r) => [r.name, r]));
    expect(byName.get('Pot at once, no water')!.p!).toBeLessThan(0.001);
    expect(byName.get('Pot at once, no water')!.rooted!.share).toBeCloseTo(0.4, 12);
    // Effective numbers at 1/1.9, of eight trays: p.adjust(c(p, q, p), "holm") of R 4.2.2, p that of 31 and 3 against
    // 45 and 23.
    expect(byName.get('Long cure')!.p!).toBeCloseTo(0.014799553181, 9);
    expect(byName.get('Dry to the touch')!.p!).toBe(byName.get('Long cure')!.p!);
    expect(allGroups(cases, 'school', RHO, 2)).toHaveLength(2);
    expect(allGroups([], 'school', RHO)).toEqual([]);
  });

  it('empty arms and nothing counted are defined', () => {
    const cases = casesOf(written(...settled('b1', {}, { rotted: 3 })));
    const [only] = groupsBy(cases, 'method', RHO);
    expect(only!.half).toBeNull();
    const c = compareGroups('method', only!, only!);
    expect(c.times.test).toBeNull();
    expect(c.p).toBe(1);
    expect(JSON.stringify(c.difference)).not.toContain('null');
    expect(groupsBy([], 'plant', RHO)).toEqual([]);
  });

  it('an excluded batch teaches nothing', () => {
    const cases = casesOf(written(...settled('b1', { excluded: 'Cat sat on it' }, { rotted: 3 })));
    expect(groupsBy(cases, 'method', RHO)).toEqual([]);
  });
});

describe('losses', () => {
  it('are spread over the weeks they lie between', () => {
    const cases = casesOf(
      written(...settled('b1', { count: 6 }, { rotted: 4, dried: 2 }, [14, 28])),
    );
    const weeks = lossesByWeek(cases);
    expect(weeks.map((w) => w.of.rotted)).toEqual([0, 0, 2, 2]);
    expect(weeks.map((w) => w.of.dried)).toEqual([0, 0, 1, 1]);
    expect(lossesByWeek([])).toEqual([]);
  });

  it('a bad place is found, in a sentence, with the batches behind it', () => {
    const at = (space: string, rotted: number) =>
      Array.from({ length: 10 }, (_, i) =>
        settled(`${space}${i}`, { space }, { rooted: 10 - rotted, rotted }),
      ).flat();
    const cases = casesOf(
      written(
        ...['porch', 'shelf'].map((key): Draft => ({
          kind: 'put',
          record: 'space',
          key,
          day: DAY,
          fields: { name: key === 'porch' ? 'Damp porch' : 'Shelf', tempC: 20, rh: 0.5 },
        })),
        ...at('porch', 6),
        ...at('shelf', 1),
      ),
    );
    const { findings, looked, nearest } = findLosses(cases, RHO);
    expect(looked).toBeGreaterThan(1);
    expect(findingWords(findings[0]!)).toBe(
      'Place, damp porch: 60% rotted, against 10% elsewhere.',
    );
    expect(findings[0]!.batches).toHaveLength(10);
    expect(findings[0]!.strength).toBe('strong');
    expect(nearest).toBeNull();
  });

  it('noise is no finding: the same shares everywhere, and the demo’s handful of batches', () => {
    const same = casesOf(
      written(
        ...Array.from({ length: 12 }, (_, i) =>
          settled(
            `b${i}`,
            { school: i % 2 ? 'straight-in' : 'long-cure' },
            { rooted: 8, rotted: 2 },
          ),
        ).flat(),
      ),
    );
    expect(findLosses(same, RHO).findings).toEqual([]);
    const demo = findLosses(casesOf(demoJournal('2026-04-09')), RHO);
    expect(demo.findings).toEqual([]);
    expect(demo.looked).toBeGreaterThan(20);
    expect(demo.nearest).not.toBeNull();
  });
});
