import * as say from '@hypogeon/messages/core-units';
import { readAmount, units, type Read } from './amount';

/** Avoirdupois, NIST Handbook 44, appendix C. */
export const G_PER_OUNCE = 28.349523125;
export const G_PER_POUND = 453.59237;

export type WeightUnit = 'g' | 'oz';

const G = units({
  g: 1,
  gr: 1,
  gram: 1,
  grams: 1,
  kg: 1000,
  oz: G_PER_OUNCE,
  lb: G_PER_POUND,
  lbs: G_PER_POUND,
});

/**
 * Reads a weight as a grower writes it: `310`, `1,2 kg`, `11 oz`, `2 1/2 lb`. A bare number is in `bare`.
 * @returns grams, ≥ 0, or a sentence that says what is wrong
 */
export function readWeight(text: string, bare: WeightUnit): Read<'grams'> {
  const read = readAmount(text);
  const grams = read && G.get(read.unit ?? bare);
  if (!grams || read.amount < 0)
    return {
      ok: false,
      problem: say.isNotAWeight({ text: text.trim() }),
    };
  return { ok: true, grams: read.amount * grams };
}
