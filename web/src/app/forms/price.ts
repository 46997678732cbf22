import { say } from '@hypogeon/messages/price';
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
    : { ok: false, problem: say.aPriceIsA() };
}
