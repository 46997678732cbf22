import type { Space, State } from '../journal';

/** The places something can be put: those that were not put away. In the order they were first told. */
export const placesIn = (state: State): readonly Space[] =>
  [...state.spaces.values()].filter((space) => !space.away);

/**
 * Whether nothing stands in a space any more: no batch that still lives, no mother, no tray. Such a space can be put
 * away; what once stood there keeps its name and its air.
 * @param space id
 */
export function isEmptyPlace(state: State, space: string): boolean {
  for (const batch of state.batches.values())
    if (batch.ended === null && batch.stage !== 'done' && standsOrDries(batch, space)) return false;
  for (const mother of state.mothers.values()) if (mother.space === space) return false;
  for (const tray of state.trays.values()) if (tray.space === space && !tray.away) return false;
  return true;
}

const standsOrDries = (
  batch: { readonly space: string; readonly callusSpace?: string | undefined },
  space: string,
): boolean => batch.space === space || batch.callusSpace === space;
