import * as say from '@hypogeon/messages/core-units';
import { readAmount, units, type Read } from './amount';

/** Inside the core every volume is in millilitres or litres, as the name says; growers may measure by cups. */
export const ML_PER_FL_OZ = 29.5735;
export const ML_PER_CUP = 8 * ML_PER_FL_OZ;
export const ML_PER_QUART = 946.353;

/** What a bare number may be in. */
export type VolumeUnit = 'mL' | 'L' | 'fl oz' | 'qt';

/** NIST Handbook 44, appendix C; a cup of eight fluid ounces. */
const ML = units({
  ml: 1,
  cc: 1,
  'cm³': 1,
  cl: 10,
  dl: 100,
  l: 1000,
  lt: 1000,
  litre: 1000,
  litres: 1000,
  liter: 1000,
  liters: 1000,
  'fl oz': ML_PER_FL_OZ,
  floz: ML_PER_FL_OZ,
  oz: ML_PER_FL_OZ,
  tsp: ML_PER_FL_OZ / 6,
  tbsp: ML_PER_FL_OZ / 2,
  cup: ML_PER_CUP,
  cups: ML_PER_CUP,
  pt: ML_PER_QUART / 2,
  pint: ML_PER_QUART / 2,
  pints: ML_PER_QUART / 2,
  qt: ML_PER_QUART,
  quart: ML_PER_QUART,
  quarts: ML_PER_QUART,
  gal: 4 * ML_PER_QUART,
  gallon: 4 * ML_PER_QUART,
  gallons: 4 * ML_PER_QUART,
});

/**
 * Reads a volume as a grower writes it: `250`, `1,5 L`, `2 cups`, `1/2 gal`.
 * @param bare what a number without a unit is in
 * @returns millilitres, ≥ 0, or a sentence that says what is wrong
 */
export function readVolume(text: string, bare: VolumeUnit): Read<'ml'> {
  const read = readAmount(text);
  const ml = read && ML.get(read.unit ?? bare.toLowerCase());
  if (!ml || read.amount < 0)
    return {
      ok: false,
      problem: say.isNotAVolume({ text: text.trim() }),
    };
  return { ok: true, ml: read.amount * ml };
}
