import type { MethodId } from '../botany';
import type { State } from '../journal';

/** Young plants that were counted, and the pieces that brought them. */
export interface HeadsEach {
  readonly heads: number;
  readonly pieces: number;
}

/** With fewer pieces than this nothing is said of how many young plants a piece brings. */
const FEW = 3;

/** What pieces of a plant and way brought on this bench; null where too few were counted, or each brought one. */
export function headsEach(state: State, taxon: string, method: MethodId): HeadsEach | null {
  let [heads, pieces] = [0, 0];
  for (const batch of state.batches.values()) {
    if (batch.taxon !== taxon || batch.method !== method || batch.excluded !== undefined) continue;
    heads += batch.heads?.count ?? 0;
    pieces += batch.heads?.of ?? 0;
  }
  return pieces >= FEW && heads > pieces ? { heads, pieces } : null;
}
