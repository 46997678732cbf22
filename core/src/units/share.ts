import * as say from '@hypogeon/messages/core-units';
import { readAmount, type Read } from './amount';

/** A part of a hundred as it is written where one reads: `67%`, `67 %`. @param written what stands before the sign */
export const perCent = (written: string | number): string => say.perCent({ written });

/**
 * Reads a share as a grower writes it: `45`, `45%`, `45%`. A bare number is in per cent too: shares are
 * never typed as 0.45.
 * @returns 0–1, or a sentence that says what is wrong
 */
export function readShare(text: string): Read<'share'> {
  const read = readAmount(text);
  if (!read || !(read.unit === null || read.unit === '%'))
    return { ok: false, problem: say.isNotAShare({ text: text.trim() }) };
  if (read.amount < 0 || read.amount > 100) return { ok: false, problem: say.aShareLies() };
  return { ok: true, share: read.amount / 100 };
}
