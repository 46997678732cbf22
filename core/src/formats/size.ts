import type { Problem } from './problem';

/** A journal of a bench's whole life stays far under this; a larger file is something else. */
export const MAX_JOURNAL_BYTES = 48_000_000;

/** Refuses a file by its size alone, before any of it is read. */
export function sizeProblem(bytes: number): Problem | null {
  if (bytes <= MAX_JOURNAL_BYTES) return null;
  const mb = (n: number): string => (n / 1e6).toFixed(0);
  return {
    sentence: `This file has ${mb(bytes)} MB; a journal has ${mb(MAX_JOURNAL_BYTES)} MB at most. Choose the file that Hypogeon saved.`,
  };
}
