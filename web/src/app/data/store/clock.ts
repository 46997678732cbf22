import {
  bringBack,
  entriesOf,
  isAhead,
  isPlausibleClock,
  type Entry,
  type State,
} from '@hypogeon/core/journal';

/** How the stamps of a journal stand against this device's clock. */
export type ClockCheck =
  | { readonly is: 'right' }
  /** Written while the clock stood far ahead: these stand anew. */
  | { readonly is: 'back'; readonly all: readonly Entry[]; readonly anew: readonly Entry[] }
  /** Most of the journal lies ahead: it may be the clock that is wrong. Only the grower knows. */
  | { readonly is: 'doubt'; readonly ahead: number };

/** Fewer than these are moved without asking, however large their share. */
const FEW = 20;

/**
 * What was written while a clock stood far ahead is stamped anew once it is set right: left alone it would stand after
 * everything written for years. Where that is most of the journal, the clock may just as well be behind now.
 * @param sure the grower has said that the clock is right
 */
export function checkClock(state: State, nowMs: number, sure: boolean): ClockCheck {
  if (state.lastStamp === null || !isPlausibleClock(nowMs) || !isAhead(state.lastStamp, nowMs))
    return { is: 'right' };
  const entries = entriesOf(state);
  const { entries: all, moved } = bringBack(entries, nowMs);
  if (!sure && moved.size > FEW && moved.size > entries.length / 2)
    return { is: 'doubt', ahead: moved.size };
  return { is: 'back', all, anew: all.filter((e) => moved.has(e.id)) };
}
