import type { Day } from '../days';
import type { EntryDraft } from './draft';
import { appendAll } from './fold';
import { nextStamp } from './stamp';
import type { State } from './state';

/**
 * The state as it would be with more told, and nothing written down.
 * @param day of what names none
 * @example linesOf(suppose(state, [{ kind: 'moved', batch, space: 'shelf' }], today), …)
 */
export function suppose(state: State, drafts: readonly EntryDraft[], day: Day): State {
  let at = state.lastStamp;
  const entries = drafts.map((draft, i) => {
    at = nextStamp(at, 0);
    return { ...draft, id: `supposed-${i}`, at, by: 'supposed', day: draft.day ?? day };
  });
  return appendAll(state, entries);
}
