/** Inside the core every length is in millimetres; growers may type and read inches. */
export type LengthUnit = 'mm' | 'in';

export const MM_PER_INCH = 25.4;

export type ReadLength =
  { readonly ok: true; readonly mm: number } | { readonly ok: false; readonly problem: string };

const NUMBER = String.raw`(?:\d+(?:[.,]\d+)?|[.,]\d+)`;
const PATTERN = new RegExp(
  String.raw`^(?:(?<whole>${NUMBER})(?:\s+|-))?(?:(?<num>\d+)\s*/\s*(?<den>\d+)|(?<plain>${NUMBER}))\s*(?<unit>mm|cm|in|inch|inches|"|″)?$`,
  'i',
);

/**
 * Reads a length as a grower writes it: `8`, `8 mm`, `1.2 cm`, `0.3 in`, `5/16"`, `1 1/4 in`.
 * A number without a unit is in `unit`.
 * @returns millimetres, > 0, or a sentence that says what is wrong
 */
export function readLength(text: string, unit: LengthUnit): ReadLength {
  const trimmed = text.trim();
  if (trimmed === '') return { ok: false, problem: 'Type a width, for example 8 mm or 5/16 in.' };
  const groups = PATTERN.exec(trimmed)?.groups;
  // A whole part may only stand before a fraction: "8 5" is a slip, not a length.
  if (!groups || (groups.whole && groups.plain))
    return {
      ok: false,
      problem: `“${trimmed}” is not a length. Write it like 8 mm, 0.3 in or 5/16 in.`,
    };
  const decimal = (t: string | undefined): number => (t ? Number(t.replace(',', '.')) : 0);
  const fraction = groups.num ? Number(groups.num) / Number(groups.den) : 0;
  const amount = decimal(groups.whole) + decimal(groups.plain) + fraction;
  if (!Number.isFinite(amount) || amount <= 0)
    return { ok: false, problem: 'A wound is wider than nothing. Measure across the cut.' };
  return { ok: true, mm: amount * millimetresPer(groups.unit?.toLowerCase() ?? unit) };
}

function millimetresPer(unit: string): number {
  if (unit === 'mm') return 1;
  return unit === 'cm' ? 10 : MM_PER_INCH;
}

/** A length in the grower's unit, without the unit's name. @param mm millimetres */
export function lengthIn(mm: number, unit: LengthUnit): number {
  return unit === 'mm' ? mm : mm / MM_PER_INCH;
}
