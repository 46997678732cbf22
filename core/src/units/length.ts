import * as say from '@hypogeon/messages/core-units';
import { readAmount, units, type Read } from './amount';

/** Inside the core every length is in millimetres; growers may type and read inches. */
export type LengthUnit = 'mm' | 'in';

export const MM_PER_INCH = 25.4;

export type ReadLength = Read<'mm'>;

const MM = units({
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
  '″': MM_PER_INCH,
  '”': MM_PER_INCH,
  ft: 12 * MM_PER_INCH,
  "'": 12 * MM_PER_INCH,
});

/**
 * Reads a length as a grower writes it: `8`, `8 mm`, `1.2 cm`, `0.3 in`, `5/16"`, `1 1/4 in`.
 * A number without a unit is in `unit`.
 * @returns millimetres, > 0, or a sentence that says what is wrong
 */
export function readLength(text: string, unit: LengthUnit): ReadLength {
  const trimmed = text.trim();
  if (trimmed === '') return { ok: false, problem: say.typeAWidth() };
  const read = readAmount(trimmed);
  const mm = read && MM.get(read.unit ?? unit);
  if (!mm)
    return {
      ok: false,
      problem: say.isNotALength({ text: trimmed }),
    };
  if (read.amount <= 0) return { ok: false, problem: say.aLengthIsMore() };
  return { ok: true, mm: read.amount * mm };
}

/** A length in the grower's unit, without the unit's name. @param mm millimetres */
export function lengthIn(mm: number, unit: LengthUnit): number {
  return unit === 'mm' ? mm : mm / MM_PER_INCH;
}
