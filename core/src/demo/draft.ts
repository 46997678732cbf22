import type { Entry, KnownEntry } from '../journal';

const DEVICE = 'demo';

type Distribute<T> = T extends unknown ? Omit<T, 'id' | 'at' | 'by'> : never;
/** An entry of the story before it is written down. */
export type DemoDraft = Distribute<KnownEntry>;

/**
 * Ids and stamps in the order of days, as if each had been written on its day.
 * @param of what they belong to: entries that are laid over others need ids of their own
 */
export function stamped(drafts: readonly DemoDraft[], of = 'demo'): readonly Entry[] {
  return drafts
    .map((draft, i) => ({ draft, i }))
    .sort((a, b) => (a.draft.day < b.draft.day ? -1 : a.draft.day > b.draft.day ? 1 : a.i - b.i))
    .map(({ draft }, n) => ({
      ...draft,
      id: `${of}-${n}`,
      at: `${draft.day}T08:00:00.000Z~${n.toString(16).padStart(4, '0')}`,
      by: DEVICE,
    }));
}
