import { plantOf } from '../bench';
import type { State } from '../journal';
import { foldText } from '../text';
import type { PaperRow } from './paper-log';

/**
 * Rows of a paper log that the journal has already: a batch of the same plant, way, day and number. As many of them as
 * there are such batches; more alike are new.
 * @returns the lines of those rows
 */
export function toldBefore(state: State, rows: readonly PaperRow[]): ReadonlySet<number> {
  const there = new Map<string, number>();
  for (const b of state.batches.values()) {
    const key = keyOf(plantOf(state, b.taxon)?.name ?? '', b.method, b.cutOn, b.begunWith);
    there.set(key, (there.get(key) ?? 0) + 1);
  }
  const lines = new Set<number>();
  for (const row of rows) {
    if (!row.ok) continue;
    const { method, cutOn, count } = row.fields;
    const plant = row.newPlant ?? plantOf(state, row.taxon)?.name ?? '';
    const key = keyOf(plant, method!, cutOn!, count!);
    const left = there.get(key) ?? 0;
    if (left === 0) continue;
    there.set(key, left - 1);
    lines.add(row.line);
  }
  return lines;
}

const keyOf = (plant: string, method: string, cutOn: string, count: number): string =>
  JSON.stringify([foldText(plant), method, cutOn, count]);
