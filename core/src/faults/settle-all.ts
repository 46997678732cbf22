/** Something that could not be worked out, and why. */
export interface Broken<T> {
  readonly of: T;
  readonly reason: string;
}

export interface Settled<T, R> {
  readonly results: readonly R[];
  readonly broken: readonly Broken<T>[];
}

/** What each of many comes to. One that throws costs itself a sentence, and never the others. */
export function settleAll<T, R>(things: Iterable<T>, work: (thing: T) => R): Settled<T, R> {
  const results: R[] = [];
  const broken: Broken<T>[] = [];
  for (const of of things)
    try {
      results.push(work(of));
    } catch (error) {
      broken.push({ of, reason: reasonOf(error) });
    }
  return { results, broken };
}

/** What something thrown says of itself. */
export const reasonOf = (error: unknown): string =>
  error instanceof Error && error.message !== '' ? error.message : String(error);
