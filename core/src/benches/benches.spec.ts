import { CATALOGUE, methodOf } from '../botany';
import { demoJournal } from '../demo';
import { fold, type BenchCounts, type CountsRow, type Entry } from '../journal';
import { beliefOf } from '../learn';
import { doubtsOf, pooledFor } from '../pool';
import { addDays } from '../days';
import { randomFrom } from '../stats';
import { batchPut, FIELDS, written } from '../testing/entries';
import { countsOf, forestOf, halfYearOf, pooledWays } from '.';

const DAY = '2026-04-09';
const TAXON = 'echeveria-elegans';
const way = methodOf(
  CATALOGUE.find((t) => t.id === TAXON)!,
  'leaf',
)!;
const JOURNAL = demoJournal(DAY);
const base = JOURNAL.filter((e) => !('record' in e && e.record === 'bench'));

function row(set: number, rooted: number, over: Partial<CountsRow> = {}): CountsRow {
  return {
    taxon: TAXON,
    method: 'leaf',
    course: 'laid',
    year: 2025,
    half: 'warm',
    settled: true,
    batches: 2,
    set,
    rooted,
    pupped: 0,
    rotted: set - rooted,
    dried: 0,
    lost: 0,
    waiting: 0,
    roots: [],
    ...over,
  };
}

const taken = (bench: string, rows: readonly CountsRow[], over: object = {}): Entry =>
  written({
    kind: 'put',
    record: 'bench',
    key: bench,
    day: DAY,
    id: `e-${bench}-${JSON.stringify(over).length}`,
    fields: { edition: 1, correlation: { value: 0.1, trays: 2 }, rows: [...rows], ...over },
  })[0]!;
const countsOf30 = (rooted: number) => ({
  rooted,
  pupped: 0,
  rotted: 30 - rooted,
  dried: 0,
  lost: 0,
});
const withBenches = (...entries: readonly Entry[]) => fold([...base, ...entries]);
const six = ['aaaaaaaa', 'bbbbbbbb', 'cccccccc', 'dddddddd', 'eeeeeeee', 'ffffffff'].map((id, i) =>
  taken(id, [row(40, 8 + i)]),
);

describe('with no counts of others taken in', () => {
  it('every belief is what it was, bit for bit; so it is when all are taken out again', () => {
    const [none, out] = [fold(base), withBenches(taken('aaaaaaaa', [row(40, 2)], { out: true }))];
    for (const taxon of CATALOGUE)
      for (const of of taxon.methods) {
        const [was, is] = [beliefOf(none, taxon.id, of), beliefOf(out, taxon.id, of)];
        expect(was.pooled).toBeNull();
        expect(is.pooled).toBeNull();
        expect([is.mean, is.low, is.high, is.pace.factor, is.a, is.b]).toEqual([
          was.mean,
          was.low,
          was.high,
          was.pace.factor,
          was.a,
          was.b,
        ]);
        expect(Buffer.from(is.batch.buffer).equals(Buffer.from(was.batch.buffer))).toBe(true);
      }
  });
});

describe('counts of other benches', () => {
  const none = beliefOf(fold(base), TAXON, way);

  it('move what is believed of that plant and way, and of no other', () => {
    const is = beliefOf(withBenches(...six), TAXON, way);
    expect(is.pooled).toMatchObject({ benches: 6, cuttings: 240 });
    expect(is.mean).toBeLessThan(none.mean);
    const crown = methodOf(
      CATALOGUE.find((t) => t.id === TAXON)!,
      'crown',
    )!;
    expect(beliefOf(withBenches(...six), TAXON, crown).mean).toBe(
      beliefOf(fold(base), TAXON, crown).mean,
    );
  });

  it('hang neither on the order of the files nor on the same file twice, and go without a trace', () => {
    const is = beliefOf(withBenches(...six), TAXON, way).mean;
    expect(beliefOf(withBenches(...[...six].reverse()), TAXON, way).mean).toBe(is);
    expect(
      beliefOf(withBenches(...six, taken('aaaaaaaa', [row(40, 8)], { name: 'again' })), TAXON, way)
        .mean,
    ).toBe(is);
    expect(beliefOf(withBenches(...six, taken('gggggggg', [])), TAXON, way).mean).toBe(is);
    const all = six.map((_, i) =>
      taken(
        ['aaaaaaaa', 'bbbbbbbb', 'cccccccc', 'dddddddd', 'eeeeeeee', 'ffffffff'][i]!,
        [row(40, 8 + i)],
        { out: true },
      ),
    );
    expect(beliefOf(withBenches(...six, ...all), TAXON, way).mean).toBe(none.mean);
  });

  it('one’s own, come back, are not counted a second time', () => {
    const own = written({
      kind: 'put',
      record: 'settings',
      key: 'grower',
      day: DAY,
      id: 'own-id',
      fields: { bench: 'aaaaaaaa' },
    });
    const state = withBenches(taken('aaaaaaaa', [row(40, 2)]), ...own);
    expect(pooledFor(state, TAXON, way)).toBeNull();
    expect(beliefOf(state, TAXON, way).mean).toBe(none.mean);
    expect(pooledWays(state)).toEqual([]);
  });

  it('alike benches are called different no more than it says: 5 of 100, with two and with six', () => {
    const random = randomFrom(97);
    const rooted = (of: number): number =>
      Array.from({ length: of }, random).filter((r) => r < 0.6).length;
    for (const many of [2, 6]) {
      let sure = 0;
      for (let world = 0; world < 150; world++) {
        const others = Array.from({ length: many }, (_, i) =>
          taken(`${'abcdef'[i]}`.repeat(8), [row(40, rooted(40), { batches: 40 })]),
        );
        const mine = [
          batchPut({ ...FIELDS, taxon: TAXON, method: 'leaf', count: 30 }, 'mine'),
          { kind: 'cut' as const, batch: 'mine', day: DAY },
          {
            kind: 'tally' as const,
            batch: 'mine',
            day: addDays(DAY, 90),
            counts: countsOf30(rooted(30)),
          },
        ];
        const forest = forestOf(fold([...others, ...written(...mine)]), TAXON, 'leaf');
        if (forest!.against!.sure) sure++;
      }
      // 150 worlds tell a share of 5 to 1.8 of a hundred.
      expect(sure / 150).toBeLessThanOrEqual(0.05 + 2 * 0.018);
    }
  });

  it('of a bench unlike them all are not drowned: many own cuttings outweigh a false pool', () => {
    // Here they root as the guide says; six benches say that next to none do.
    const bleak = six.map((_, i) => taken(`${'hijklm'[i]}`.repeat(8), [row(40, 1)]));
    const is = beliefOf(withBenches(...bleak), TAXON, way);
    expect(is.own.cuttings).toBeGreaterThan(30);
    expect(is.mean).toBeGreaterThan(0.5);
    // Nobody here has tried: then they are believed.
    const alone = beliefOf(fold(bleak), TAXON, way);
    expect(alone.mean).toBeLessThan(0.25);
    expect(alone.low).toBeLessThan(alone.mean);
  });

  it('roots that come late everywhere are expected late here; one bench is no pace', () => {
    const late = row(40, 20, { roots: [{ after: 1.5, by: 2, count: 20 }] });
    const slow = six.map((_, i) => taken(`${'nopqrs'[i]}`.repeat(8), [late]));
    expect(pooledFor(withBenches(...slow), TAXON, way)!.pace!.mean).toBeGreaterThan(0.4);
    expect(beliefOf(fold(slow), TAXON, way).pace.factor).toBeGreaterThan(1.4);
    expect(pooledFor(withBenches(slow[0]!), TAXON, way)!.pace).toBeNull();
  });

  it('what waits is no share yet', () => {
    const open = row(40, 2, { settled: false, rotted: 0, waiting: 38 });
    expect(pooledFor(withBenches(taken('tttttttt', [open])), TAXON, way)).toBeNull();
  });

  it('stand side by side with this bench: theirs, a fresh one, what each changes, and by how much they differ', () => {
    const forest = forestOf(withBenches(...six), TAXON, 'leaf')!;
    expect(forest.benches).toHaveLength(6);
    for (const b of [...forest.benches, forest.fresh, forest.believed, forest.own!])
      expect(b.low <= b.share && b.share <= b.high).toBe(true);
    // Without the worst of them a new bench would do better, without the best worse.
    const by = [...forest.benches].sort((a, b) => a.rooted - b.rooted);
    expect(by[0]!.without!).toBeGreaterThan(0);
    expect(by.at(-1)!.without!).toBeLessThan(0);
    expect(forest.against).toMatchObject({ above: 0, of: 6, sure: true });
    expect(forest.against!.difference).toBeLessThan(-0.3);
    expect(pooledWays(withBenches(...six)).map((w) => [w.taxon.id, w.method, w.benches])).toEqual([
      [TAXON, 'leaf', 6],
    ]);
    expect(forestOf(fold(base), TAXON, 'leaf')).toBeNull();
  });
});

describe('counts that may not be what they say', () => {
  const counts = (bench: string, rows: readonly CountsRow[], edition = 1): BenchCounts => ({
    bench,
    edition,
    correlation: { value: 0.1, trays: 2 },
    rows: [...rows],
  });

  it('are named: one’s own, all rooted, one bench under two ids, an older edition', () => {
    const own = written({
      kind: 'put',
      record: 'settings',
      key: 'grower',
      day: DAY,
      id: 'own',
      fields: { bench: 'mine0000' },
    });
    const state = withBenches(...six, ...own);
    expect(doubtsOf(state, counts('mine0000', [row(40, 20)]))).toEqual([{ is: 'own' }]);
    expect(doubtsOf(state, counts('uuuuuuuu', [row(80, 80)]))).toEqual([
      { is: 'all rooted', set: 80 },
    ]);
    expect(doubtsOf(state, counts('vvvvvvvv', [row(40, 8)]))).toEqual([
      { is: 'same as', bench: 'aaaaaaaa' },
    ]);
    expect(doubtsOf(state, counts('aaaaaaaa', [row(40, 29)]))).toEqual([
      { is: 'not newer', edition: 1, known: 1 },
    ]);
    expect(doubtsOf(state, counts('aaaaaaaa', [row(40, 19)], 2))).toEqual([]);
    // Forty files of one bench, chosen at once: the first may stand, the others are named.
    const forty = Array.from({ length: 40 }, (_, i) => counts(`forty${1000 + i}`, [row(40, 21)]));
    const named = forty.filter((c, i) => doubtsOf(state, c, forty.slice(0, i)).length > 0);
    expect(named).toHaveLength(39);
    expect(doubtsOf(state, counts('wwwwwwww', [row(40, 20, { taxon: 'nobody-knows' })]))).toEqual([
      { is: 'unknown plants', rows: 1 },
    ]);
  });
});

describe('half-years', () => {
  it('go from April and October, in the south the other way; a winter belongs to the year it began in', () => {
    expect(halfYearOf('2026-04-01', false)).toEqual({ year: 2026, half: 'warm' });
    expect(halfYearOf('2026-03-31', false)).toEqual({ year: 2025, half: 'cold' });
    expect(halfYearOf('2026-12-31', false)).toEqual({ year: 2026, half: 'cold' });
    expect(halfYearOf('2026-07-01', true)).toEqual({ year: 2026, half: 'cold' });
  });

  it('sum up to what was cut', () => {
    const { rows } = countsOf(fold(base), 'mine0000', 1);
    for (const r of rows) expect(r.rooted + r.rotted + r.dried + r.lost + r.waiting).toBe(r.set);
  });
});
