import * as say from '@hypogeon/messages/core-tray';
import type { Day } from '../days';
import type { Batch, Cutting, EntryDraft, State, Tray } from '../journal';

/** What stands in a cell of a tray. */
export interface InCell {
  readonly batch: Batch;
  readonly cutting: Cutting;
}

/** The sides of a tray that does not say: enough for a handful. Working assumption. */
const USUAL = { rows: 4, columns: 6 } as const;

export const sidesOf = ({ rows = USUAL.rows, columns = USUAL.columns }: Tray) => ({
  rows,
  columns,
});

/** `B3`: row by letter, column by number. */
export function cellName(cell: number, columns: number): string {
  const row = Math.floor(cell / columns);
  return `${row < 26 ? String.fromCharCode(65 + row) : String(row + 1)}${(cell % columns) + 1}`;
}

/** Batches that stand in a tray, with something left in it. */
export function batchesIn(state: State, tray: string): readonly Batch[] {
  return [...state.batches.values()].filter(
    (b) =>
      b.tray === tray && b.ended === null && b.here.waiting + b.here.rooted + b.here.pupped > 0,
  );
}

/** What is not dead or gone wants a cell. */
const stands = (c: Cutting): boolean => c.left === undefined && c.lost === undefined;

/** Cells of a tray that hold something; where two were put into one, the later batch shows. */
export function cellsOf(state: State, tray: Tray): ReadonlyMap<number, InCell> {
  const cells = new Map<number, InCell>();
  for (const batch of batchesIn(state, tray.id))
    for (const cutting of batch.cuttings) {
      const cell = batch.cells?.[cutting.place];
      if (cell !== undefined && cell >= 0 && stands(cutting)) cells.set(cell, { batch, cutting });
    }
  return cells;
}

/** Cuttings of a batch that stand in the tray and have no cell as yet. */
export function unlaid(batch: Batch): number {
  return batch.cuttings.filter((c) => stands(c) && batch.cells?.[c.place] === undefined).length;
}

export type Laid =
  | { readonly ok: true; readonly entries: readonly EntryDraft[] }
  | { readonly ok: false; readonly problem: string };

/**
 * Lays a batch out in the free cells of a tray from a cell on.
 * @param by along the rows, or down the columns
 */
export function fillTray(
  state: State,
  tray: Tray,
  batch: Batch,
  from: number,
  by: 'rows' | 'columns',
  day: Day,
): Laid {
  const { rows, columns } = sidesOf(tray);
  const taken = new Set(
    [...cellsOf(state, tray)]
      .filter(([, there]) => there.batch.id !== batch.id)
      .map(([cell]) => cell),
  );
  const order = Array.from({ length: rows * columns }, (_, n) =>
    by === 'rows' ? n : (n % rows) * columns + Math.floor(n / rows),
  );
  const start = Math.max(0, order.indexOf(from));
  const free = order.slice(start).filter((cell) => !taken.has(cell));
  const wanting = batch.cuttings.filter(stands);
  if (wanting.length > free.length)
    return {
      ok: false,
      problem: say.wantACellAnd({
        wantingCount: wanting.length,
        freeCount: free.length,
        cellName: cellName(from, columns),
      }),
    };
  const most = Math.max(...batch.cuttings.map((c) => c.place));
  // A place that nothing stands in any more keeps its number and lies outside the tray.
  const cells = Array.from({ length: most + 1 }, (_, place) => batch.cells?.[place] ?? OUTSIDE);
  for (const c of batch.cuttings) if (!stands(c)) cells[c.place] = OUTSIDE;
  wanting.forEach((c, i) => (cells[c.place] = free[i]!));
  return { ok: true, entries: layEntries(tray, batch, cells, day) };
}

/** The cell of what has none. */
const OUTSIDE = 100_000;

/** Moves one cutting to another cell; what stands there changes places with it. */
export function moveInTray(
  state: State,
  tray: Tray,
  from: number,
  to: number,
): readonly EntryDraft[] {
  const cells = cellsOf(state, tray);
  const moving = cells.get(from);
  if (!moving || from === to) return [];
  const other = cells.get(to);
  const changed = new Map<string, { batch: Batch; cells: number[] }>();
  const setCell = ({ batch, cutting }: InCell, cell: number): void => {
    const known = changed.get(batch.id) ?? { batch, cells: [...(batch.cells ?? [])] };
    known.cells[cutting.place] = cell;
    changed.set(batch.id, known);
  };
  setCell(moving, to);
  if (other) setCell(other, from);
  return [...changed].map(([key, { cells: next }]) => ({
    kind: 'put',
    record: 'batch',
    key,
    fields: { cells: next },
  }));
}

function layEntries(
  tray: Tray,
  batch: Batch,
  cells: readonly number[],
  day: Day,
): readonly EntryDraft[] {
  const { columns } = sidesOf(tray);
  return [
    {
      kind: 'put',
      record: 'batch',
      key: batch.id,
      fields: { tray: tray.id, cells: [...cells], columns },
    },
    ...(tray.space !== undefined && tray.space !== batch.space
      ? [{ kind: 'moved', batch: batch.id, day, space: tray.space } as const]
      : []),
  ];
}

/** A batch stands in the tray, uncounted by cells: a jar, a rack, a heap. */
export function standIn(tray: Tray, batch: Batch, day: Day): readonly EntryDraft[] {
  return [
    { kind: 'put', record: 'batch', key: batch.id, fields: { tray: tray.id, cells: null } },
    ...(tray.space !== undefined && tray.space !== batch.space
      ? [{ kind: 'moved', batch: batch.id, day, space: tray.space } as const]
      : []),
  ];
}

/** Takes a batch out of its tray; where it stood stays told as its place. */
export function takeOut(state: State, batch: Batch): readonly EntryDraft[] {
  const name = batch.tray === undefined ? undefined : state.trays.get(batch.tray)?.name;
  return [
    {
      kind: 'put',
      record: 'batch',
      key: batch.id,
      fields: { tray: null, cells: null, ...(name === undefined ? {} : { place: name }) },
    },
  ];
}

/** A tray is carried to another bench, and all that stand in it with it. */
export function carryTray(
  state: State,
  tray: Tray,
  space: string,
  day: Day,
): readonly EntryDraft[] {
  return [
    { kind: 'put', record: 'tray', key: tray.id, fields: { space } },
    ...batchesIn(state, tray.id)
      .filter((b) => b.space !== space)
      .map((b) => ({ kind: 'moved', batch: b.id, day, space }) as const),
  ];
}

/** Puts a tray one earlier or later on the walk past its bench. @param trays of that bench, in order */
export function turnTray(trays: readonly Tray[], tray: string, by: 1 | -1): readonly EntryDraft[] {
  const order = trays.map((t) => t.id);
  const at = order.indexOf(tray);
  const to = at + by;
  if (at < 0 || to < 0 || to >= order.length) return [];
  [order[at], order[to]] = [order[to]!, order[at]!];
  return order.map((key, turn) => ({ kind: 'put', record: 'tray', key, fields: { turn } }));
}
