import { addDays, type Day } from '../days';
import type { EntryDraft } from '../journal';

/*
 * Trays of record and orders of the invented volunteers. A heat-mat tray is shared by two batches, the rest of
 * the trays are only named by the batches in them, as most people do.
 */

const SHARED_CELLS = 8;

/** Cells of a tray from one on, row by row. */
const cells = (from: number, count: number): number[] =>
  Array.from({ length: count }, (_, i) => from + i);

export function benchWork(today: Day): readonly EntryDraft[] {
  const day = addDays(today, -20);
  const put = (key: string, fields: object): EntryDraft => ({
    kind: 'put',
    record: 'tray',
    day,
    key,
    fields,
  });
  return [
    put('t-mat', {
      name: 'Mat tray',
      kind: 'tray',
      space: 'leanto',
      rows: 5,
      columns: SHARED_CELLS,
      turn: 1,
    }),
    put('t-rack', { name: 'Rack A', kind: 'rack', space: 'porch', turn: 0 }),
    {
      kind: 'put',
      record: 'batch',
      day,
      key: 'b-19',
      fields: { tray: 't-mat', cells: cells(0, 24), columns: SHARED_CELLS },
    },
    {
      kind: 'put',
      record: 'batch',
      day,
      key: 'b-20',
      fields: { tray: 't-mat', cells: cells(24, 12), columns: SHARED_CELLS },
    },
    { kind: 'put', record: 'batch', day, key: 'b-26', fields: { tray: 't-rack' } },
    {
      kind: 'put',
      record: 'order',
      day,
      key: 'o-fair',
      fields: {
        who: 'Fair table',
        taxon: 'sedum-pachyphyllum',
        count: 30,
        by: addDays(today, 9),
        from: [{ batch: 'b-19', count: 24 }],
      },
    },
    {
      kind: 'put',
      record: 'order',
      day,
      key: 'o-ines',
      fields: { who: 'Ines', taxon: 'echeveria-elegans', count: 4, by: addDays(today, 40) },
    },
  ];
}
