import * as say from '@hypogeon/messages/core-size';
import type { Problem } from './problem';

/**
 * The most that is read, and the most that is written: four loggers of five minutes come to 45 MB in five years, and
 * an engine's longest text is a little over this. A larger file is something else.
 */
export const MAX_JOURNAL_BYTES = 400_000_000;
/** From this share of the most on a grower is told, years before it is met. */
const WARN_SHARE = 0.75;

/** A sentence where a file comes near the most that can be read back; empty otherwise. */
export function sizeWarning(bytes: number): string {
  return bytes < MAX_JOURNAL_BYTES * WARN_SHARE
    ? ''
    : say.nearTheMost({ has: megabytes(bytes), most: megabytes(MAX_JOURNAL_BYTES) });
}

const megabytes = (bytes: number): string => (bytes / 1e6).toFixed(0);

/** Refuses a file by its size alone, before any of it is read. */
export function sizeProblem(bytes: number): Problem | null {
  if (bytes <= MAX_JOURNAL_BYTES) return null;
  return {
    sentence: say.tooLarge({ has: megabytes(bytes), most: megabytes(MAX_JOURNAL_BYTES) }),
  };
}
