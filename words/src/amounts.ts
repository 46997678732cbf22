import { decimal, quarters, rounded } from './numbers';
import {
  G_PER_OUNCE,
  G_PER_POUND,
  ML_PER_FL_OZ,
  ML_PER_QUART,
  type LengthUnit,
} from '@hypogeon/core/units';

/**
 * A volume as a jug shows it: `45 mL`, `1.2 L`; with inches `1 1/2 fl oz`, `1.3 qt`.
 * @param ml millilitres, ≥ 0; the least a jug shows where it is more than nothing
 */
export function volumeText(ml: number, unit: LengthUnit, locale = 'en'): string {
  if (ml <= 0) return unit === 'in' ? '0 fl oz' : '0 mL';
  if (unit === 'in') {
    if (ml >= ML_PER_QUART) return `${rounded(ml / ML_PER_QUART, 1, locale)} qt`;
    const oz = ml / ML_PER_FL_OZ;
    return `${oz < 4 ? quarters(Math.max(0.25, oz)) : Math.round(oz)} fl oz`;
  }
  const step = ml < 20 ? 1 : ml < 100 ? 5 : ml < 1000 ? 10 : 100;
  const told = Math.max(step, Math.round(ml / step) * step);
  return told >= 1000 ? `${tenths(told / 1000, locale)} L` : `${told} mL`;
}

/** A weight as a scale shows it: `85 g`, `1.2 kg`; with inches `3 oz`, `2.6 lb`. @param grams ≥ 0 */
export function weightText(grams: number, unit: LengthUnit, locale = 'en'): string {
  if (unit === 'in')
    return grams >= G_PER_POUND
      ? `${rounded(grams / G_PER_POUND, 1, locale)} lb`
      : `${rounded(grams / G_PER_OUNCE, 1, locale)} oz`;
  return grams >= 1000
    ? `${tenths(grams / 1000, locale)} kg`
    : `${rounded(grams, grams < 10 ? 1 : 0, locale)} g`;
}

/** `2.0`, `12.4`, `50`: below ten the nought says how fine the figure is. */
const tenths = (value: number, locale: string): string =>
  value < 10 ? decimal(value, 1, locale) : rounded(value, 1, locale);

/** A volume to be measured out to the millilitre: `73 mL`, `2.5 fl oz`. @param ml ≥ 0 */
export const doseText = (ml: number, unit: LengthUnit, locale = 'en'): string =>
  unit === 'in' ? `${rounded(ml / ML_PER_FL_OZ, 1, locale)} fl oz` : `${rounded(ml, 0, locale)} mL`;

/** `about 45 mL each`: what a jug shows, not what the model has behind the comma. @param ml of one container */
export function drinkText(ml: number, containers: number, unit: LengthUnit, locale = 'en'): string {
  const amount = `about ${volumeText(ml, unit, locale)}`;
  return containers > 1 ? `${amount} each` : amount;
}

/** `2.3 mm a day` or `0.09 in a day`. */
export const evaporationText = (mm: number, unit: LengthUnit, locale = 'en'): string =>
  unit === 'in'
    ? `${decimal(mm / 25.4, 2, locale)} in a day`
    : `${decimal(mm, 1, locale)} mm a day`;
