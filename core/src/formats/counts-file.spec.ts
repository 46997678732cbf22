import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Package } from 'datapackage';
import { countsOf } from '../benches';
import { demoJournal } from '../demo';
import { fold, type CountsRow } from '../journal';
import { countsPackage, readCounts, writeCounts } from '.';

const DAY = '2026-04-09';
const state = fold(demoJournal(DAY));
const counts = countsOf(state, 'bench0000', 3);

const row: CountsRow = {
  taxon: 'echeveria-elegans',
  method: 'leaf',
  course: 'laid',
  year: 2025,
  half: 'warm',
  settled: true,
  batches: 2,
  set: 20,
  rooted: 12,
  pupped: 8,
  rotted: 5,
  dried: 3,
  lost: 0,
  waiting: 0,
  roots: [{ after: 0.5, by: 1, count: 4 }],
};
const file = (over: object = {}, head: object = {}): string =>
  writeCounts({
    bench: 'abcd1234',
    edition: 1,
    correlation: { value: 0.1, trays: 2 },
    rows: [row, { ...row, ...over }],
    ...head,
  });
const problem = (text: string) => {
  const read = readCounts(text);
  if (read.ok) throw new Error('was taken');
  return read.problems[0]!;
};

describe('a file of counts', () => {
  it('comes back as it was given, a row a line', () => {
    const text = writeCounts(counts);
    expect(text.split('\n').length).toBe(counts.rows.length + 3);
    expect(readCounts(text)).toEqual({ ok: true, counts });
  });

  it('holds no mother, no place, no note, no name and no day', () => {
    const text = writeCounts(counts);
    for (const { name, notes } of [...state.mothers.values(), ...state.spaces.values()] as {
      name?: string;
      notes?: string;
    }[]) {
      if (name) expect(text).not.toContain(name);
      if (notes) expect(text).not.toContain(notes);
    }
    expect(text).not.toMatch(/\d{4}-\d{2}-\d{2}/);
    for (const id of [...state.batches.keys(), ...state.mothers.keys()])
      expect(text).not.toContain(`"${id}"`);
    expect(counts.rows.length).toBeGreaterThan(8);
  });

  it.each([
    ['a count below nothing', { rotted: -5 }, /rows\.1\.rotted/, /0 or more/],
    ['a count of half a leaf', { rotted: 5.5 }, /rows\.1\.rotted/, /whole number/],
    ['a count beyond counting', { set: 1e308, rooted: 1e308 }, /rows\.1\./, /./],
    ['more rooted than set', { rooted: 25 }, /rows\.1\.rooted/, /over-set\|25\|20/],
    ['sums that do not add up', { dried: 0 }, /rows\.1\.set/, /sum\|20\|17/],
    ['more pups than roots', { pupped: 13 }, /rows\.1\.pupped/, /over-rooted\|13\|12/],
    [
      'settled, and waiting',
      { waiting: 2, rooted: 10, pupped: 2, roots: [] },
      /rows\.1\.waiting/,
      /settled\|2/,
    ],
    [
      'roots before looks',
      { roots: [{ after: 2, by: 1, count: 1 }] },
      /rows\.1\.roots\.0/,
      /backwards/,
    ],
    [
      'more roots told than there are',
      { roots: [{ after: 0, by: 1, count: 21 }] },
      /rows\.1\.roots/,
      /roots\|20/,
    ],
    ['a name that is none of ours', { grower: 'R.' }, /rows\.1/, /unknown fields.*grower/],
    ['a way that nobody knows', { method: 'wish' }, /rows\.1\.method/, /./],
  ])('%s is refused with line, field and reason', (_what, over, field, sentence) => {
    const is = problem(file(over));
    expect(is.line).toBe(3);
    expect(is.field).toMatch(field);
    expect(JSON.stringify(is.reason)).toMatch(sentence);
  });

  it.each([
    ['an id that is part of every object', file({}, { bench: '__proto__' }), /bench/],
    ['no JSON', '{"format":"hypogeon-counts",', /broken/],
    ['a journal', '{"format":"hypogeon-journal","version":4,"entries":[]}', /another file/],
    ['a version to come', '{"format":"hypogeon-counts","version":9,"rows":[]}', /newer.*9/],
    ['ten megabytes and more', `"${'x'.repeat(10_000_001)}"`, /too large/],
    [
      'two thousand rows and one',
      file({}, { rows: Array.from({ length: 2001 }, () => row) }),
      /"rows"/,
    ],
    ['depths', `${'['.repeat(5000)}${']'.repeat(5000)}`, /too deep/],
  ])('%s is refused', (_what, text, sentence) => {
    expect(JSON.stringify(problem(text).reason)).toMatch(sentence);
  });

  it('is a data package too, checked by the library of the standard', async () => {
    const files = new Map(countsPackage(counts).map((f) => [f.name, f.text]));
    const folder = mkdtempSync(join(tmpdir(), 'counts-'));
    for (const [name, text] of files) writeFileSync(join(folder, name), text);
    const is = await Package.load(join(folder, 'datapackage.json'), { basePath: folder });
    expect(is.errors).toEqual([]);
    expect(is.valid).toBe(true);
    const rows = await is.resources.find((r) => r.name === 'counts')!.read({ keyed: true });
    expect(rows).toHaveLength(counts.rows.length);
    rmSync(folder, { recursive: true });
    expect(files.get('counts.csv')!.trim().split('\n')).toHaveLength(counts.rows.length + 1);
    expect(readCounts(files.get('counts.json')!)).toEqual({ ok: true, counts });
  });
});
