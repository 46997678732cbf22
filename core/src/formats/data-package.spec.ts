import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Package } from 'datapackage';
import { demoJournal } from '../demo';
import { EMPTY_STATE, entriesOf, fold } from '../journal';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import { dataPackage } from './data-package';
import { readJournal } from './journal-file';
import { dataTables } from './tables';

const TODAY = '2026-04-09';

/*
 * Checked by the library of the standard itself: Frictionless Data, Data Package v1 and Table Schema v1,
 * whose JSON Schemas it ships.
 */
describe('the data package', () => {
  const folder = mkdtempSync(join(tmpdir(), 'package-'));
  afterAll(() => rmSync(folder, { recursive: true }));

  const state = fold(demoJournal(TODAY));
  const files = dataPackage(state, TODAY, new Date('2026-04-09T10:00:00Z'));
  for (const { name, text } of files) writeFileSync(join(folder, name), text);
  const load = () => Package.load(join(folder, 'datapackage.json'), { basePath: folder });

  it('holds to the schema of the standard, and so does each of its resources', async () => {
    const found = await load();
    expect(found.errors).toEqual([]);
    expect(found.valid).toBe(true);
    for (const resource of found.resources)
      expect([resource.name, resource.errors]).toEqual([resource.name, []]);
  });

  it('has rows that are what their schema says, with keys that lead somewhere', async () => {
    const found = await load();
    for (const resource of found.resources.filter((r) => r.tabular)) {
      // Casts every cell, and follows every foreign key.
      const rows = await resource.read({
        keyed: true,
        relations: resource.schema.foreignKeys.length > 0,
      });
      const table = dataTables(state, TODAY).find(
        (t) => t.name.replace(/_/g, '-') === resource.name,
      )!;
      expect([resource.name, rows.length]).toEqual([resource.name, table.rows.length]);
    }
  });

  it('adds up: what is lost is rotted, dried or lost otherwise', async () => {
    const batches = (await load()).resources.find((r) => r.name === 'batches')!;
    const rows = await batches.read({ keyed: true });
    for (const row of rows as Record<string, number>[])
      expect(row.lost).toBe(row.rotted! + row.dried! + row.lost_otherwise!);
  });

  it('brings the journal itself back, entry for entry', () => {
    const read = readJournal(
      files.find((f) => f.name === 'journal.json')!.text,
      EMPTY_STATE,
      Date.parse('2027-01-01'),
    );
    expect(read.ok && read.entries).toEqual(entriesOf(state));
  });

  it('does not tell who ordered', () => {
    const orders = fold(
      written(batchPut(FIELDS), {
        kind: 'put',
        record: 'order',
        day: DAY,
        key: 'o',
        fields: { who: 'Mara', taxon: FIELDS.taxon!, count: 3 },
      }),
    );
    const csv = dataPackage(orders, DAY, new Date(0)).filter((f) => f.name.endsWith('.csv'));
    expect(csv.map((f) => f.text).join()).not.toContain('Mara');
  });
});
