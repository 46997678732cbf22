import type { Batch, State } from '../journal';

/** It stands in water: its roots are seen through the glass, and no gate keeps the can from it. */
export function standsInJar(state: State, { tray }: Pick<Batch, 'tray'>): boolean {
  return tray !== undefined && state.trays.get(tray)?.kind === 'jar';
}

/** Where a batch stands in words: its tray of record, else the place it names. */
export function placeOf(
  state: State,
  { tray, place }: Pick<Batch, 'tray' | 'place'>,
): string | undefined {
  return (tray === undefined ? undefined : state.trays.get(tray)?.name) ?? place;
}
