import type { State } from '../journal';
import { memo, togetherOf } from '../memo';
import { looksTaught } from './pace-of';

const together = togetherOf();

/**
 * What stands around the batches of a state, as one object: the very same from state to state while nothing of it
 * changed, so that what was worked out of a batch can be kept by it. What its roots hang on beside it is the pace of
 * its own genus, see {@link rootingPace}.
 */
export const surroundingsOf = memo((state: State): object => {
  // Maps are copied with every entry; what lies in them is not.
  const maps = [state.spaces, state.air, state.trays, state.ownTaxa, state.containers];
  return together([
    state.settings,
    ...maps.flatMap((map) => [...map.values()]),
    looksTaught(state),
  ]);
});
