/** A number as a grower writes it, and the unit that follows it, in small letters; null where none does. */
export interface Amount {
  readonly amount: number;
  readonly unit: string | null;
}

export type Read<K extends string> =
  | ({ readonly ok: true } & Readonly<Record<K, number>>)
  | { readonly ok: false; readonly problem: string };

/** Factors of units by what growers call them. No plain object: `3 constructor` is no length. */
export const units = (factors: Readonly<Record<string, number>>): ReadonlyMap<string, number> =>
  new Map(Object.entries(factors));

const NUMBER = String.raw`(?:\d+(?:[.,]\d+)?|[.,]\d+)`;
const PATTERN = new RegExp(
  String.raw`^(?<minus>[-−–])?\s*(?:(?<whole>${NUMBER})(?:\s+|-))?(?:(?<num>\d+)\s*/\s*(?<den>\d+)|(?<plain>${NUMBER}))\s*(?<unit>[^\d\s.,/-][^\d.,/]*)?$`,
);

const VULGAR: Readonly<Record<string, string>> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/**
 * Reads `8`, `1,5 cm`, `2 1/4 in`, `1-1/4″`, `2¼ in`, `68 °F`, `-3`: a number with a point or a comma, a
 * fraction, or both, and what follows it.
 * @returns null where it is no such thing
 */
export function readAmount(text: string): Amount | null {
  const plain = text.trim().replaceAll(/[¼½¾⅓⅔⅛⅜⅝⅞]/g, (f) => ` ${VULGAR[f]}`);
  const groups = PATTERN.exec(plain.trim())?.groups;
  // A whole part may only stand before a fraction: "8 5" is a slip, not a number.
  if (!groups || (groups.whole && groups.plain)) return null;
  const decimal = (t: string | undefined): number => (t ? Number(t.replace(',', '.')) : 0);
  const fraction = groups.num ? Number(groups.num) / Number(groups.den) : 0;
  const amount = decimal(groups.whole) + decimal(groups.plain) + fraction;
  if (!Number.isFinite(amount)) return null;
  return {
    amount: groups.minus ? -amount : amount,
    unit: groups.unit?.trim().toLowerCase() ?? null,
  };
}
