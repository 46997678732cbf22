import { isKnown, subjectOf, type Entry, type State } from '../journal';

/** What one other device had written, and came in from a file. */
export interface CameIn {
  /** The device, by its number. */
  readonly device: string;
  readonly entries: number;
  /** The batches and mothers that it wrote of, the one written of most first. */
  readonly about: readonly { readonly record: 'batch' | 'mother'; readonly id: string }[];
}

/**
 * What came in from where: the entries by the device that wrote them, the most first.
 * @param state the journal with them in it
 */
export function cameIn(state: State, entries: readonly Entry[]): readonly CameIn[] {
  const by = new Map<string, Entry[]>();
  for (const entry of entries) by.set(entry.by, [...(by.get(entry.by) ?? []), entry]);
  return [...by]
    .map(([device, its]) => ({ device, entries: its.length, about: aboutOf(state, its) }))
    .sort((a, b) => b.entries - a.entries || (a.device < b.device ? -1 : 1));
}

function aboutOf(state: State, entries: readonly Entry[]): CameIn['about'] {
  const often = new Map<string, number>();
  for (const entry of entries.filter(isKnown)) {
    const subject = subjectOf(entry);
    often.set(subject, (often.get(subject) ?? 0) + 1);
  }
  return [...often]
    .sort(([a, n], [b, m]) => m - n || (a < b ? -1 : 1))
    .flatMap(([subject]): CameIn['about'] => {
      const [record = '', ...rest] = subject.split('/');
      const id = rest.join('/');
      if (record === 'batch' && state.batches.has(id)) return [{ record, id }];
      return record === 'mother' && state.mothers.has(id) ? [{ record, id }] : [];
    });
}
