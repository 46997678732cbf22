/**
 * What a button starts, not started a second time while the first is under way: a second tap hears of the same end.
 * @example protected readonly save = oneAtATime(() => this.keep());
 */
export function oneAtATime<R>(work: () => Promise<R>): () => Promise<R> {
  let under: Promise<R> | null = null;
  return () => (under ??= work().finally(() => (under = null)));
}
