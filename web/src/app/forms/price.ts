import { numberFrom } from './number';

/** A price as typed: empty is none. */
export function readPrice(
  text: string,
):
  | { readonly ok: true; readonly each: number | undefined }
  | { readonly ok: false; readonly problem: string } {
  if (text.trim() === '') return { ok: true, each: undefined };
  const each = numberFrom(text);
  return Number.isFinite(each) && each >= 0 && each <= 1_000_000
    ? { ok: true, each }
    : { ok: false, problem: 'A price is a number of 0 or more, or nothing.' };
}
