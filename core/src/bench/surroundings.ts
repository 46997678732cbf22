import type { State } from '../journal';
import { memo } from '../memo';
import { looksTaught } from './pace-of';
import { rootsTaught } from './rooting';

/** All beside the batches that what is known of a batch may hang on. */
function partsOf(state: State): readonly unknown[] {
  // Maps are copied with every entry; what lies in them is not.
  const maps = [state.spaces, state.air, state.trays, state.ownTaxa];
  return [
    state.settings,
    ...maps.flatMap((map) => [...map.values()]),
    looksTaught(state),
    ...rootsTaught(state),
  ];
}

interface Kept {
  readonly parts: readonly unknown[];
  readonly is: object;
}
let latest: Kept | null = null;

/**
 * What stands around the batches of a state, as one object: the very same from state to state while nothing of it
 * changed, so that what was worked out of a batch can be kept by it.
 */
export const surroundingsOf = memo((state: State): object => {
  const parts = partsOf(state);
  if (latest?.parts.length === parts.length && latest.parts.every((p, i) => p === parts[i]))
    return latest.is;
  latest = { parts, is: {} };
  return latest.is;
});
