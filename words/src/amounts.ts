import { messageLocale } from '@hypogeon/messages';
import { decimal, quarters, rounded } from './numbers';
import {
  G_PER_OUNCE,
  G_PER_POUND,
  ML_PER_FL_OZ,
  ML_PER_QUART,
  type LengthUnit,
} from '@hypogeon/core/units';
import * as say from '@hypogeon/messages/amounts';

/**
 * A volume as a jug shows it: `45 mL`, `1.2 L`; with inches `1 1/2 fl oz`, `1.3 qt`.
 * @param ml millilitres, ≥ 0; the least a jug shows where it is more than nothing
 */
export function volumeText(ml: number, unit: LengthUnit, locale = messageLocale()): string {
  if (ml <= 0) return unit === 'in' ? say.n0FlOz() : say.n0Ml();
  if (unit === 'in') {
    if (ml >= ML_PER_QUART) return say.qt({ mlPerQuart: rounded(ml / ML_PER_QUART, 1, locale) });
    const oz = ml / ML_PER_FL_OZ;
    return say.flOz({ what: oz < 4 ? quarters(Math.max(0.25, oz)) : Math.round(oz) });
  }
  const step = ml < 20 ? 1 : ml < 100 ? 5 : ml < 1000 ? 10 : 100;
  const told = Math.max(step, Math.round(ml / step) * step);
  return told >= 1000 ? say.l({ tenths: tenths(told / 1000, locale) }) : say.ml({ told });
}

/** A weight as a scale shows it: `85 g`, `1.2 kg`; with inches `3 oz`, `2.6 lb`. @param grams ≥ 0 */
export function weightText(grams: number, unit: LengthUnit, locale = messageLocale()): string {
  if (unit === 'in')
    return grams >= G_PER_POUND
      ? say.lb({ gPerPound: rounded(grams / G_PER_POUND, 1, locale) })
      : say.oz({ gPerOunce: rounded(grams / G_PER_OUNCE, 1, locale) });
  return grams >= 1000
    ? say.kg({ tenths: tenths(grams / 1000, locale) })
    : say.g({ what: rounded(grams, grams < 10 ? 1 : 0, locale) });
}

/** `2.0`, `12.4`, `50`: below ten the nought says how fine the figure is. */
const tenths = (value: number, locale: string): string =>
  value < 10 ? decimal(value, 1, locale) : rounded(value, 1, locale);

/** A volume to be measured out to the millilitre: `73 mL`, `2.5 fl oz`. @param ml ≥ 0 */
export const doseText = (ml: number, unit: LengthUnit, locale = messageLocale()): string =>
  unit === 'in'
    ? say.flOz2({ mlPerFlOz: rounded(ml / ML_PER_FL_OZ, 1, locale) })
    : say.ml2({ ml: rounded(ml, 0, locale) });

/** `about 45 mL each`: what a jug shows, not what the model has behind the comma. @param ml of one container */
export function drinkText(
  ml: number,
  containers: number,
  unit: LengthUnit,
  locale = messageLocale(),
): string {
  const amount = say.about({ volume: volumeText(ml, unit, locale) });
  return containers > 1 ? say.each({ amount }) : amount;
}

/** `2.3 mm a day` or `0.09 in a day`. */
export const evaporationText = (mm: number, unit: LengthUnit, locale = messageLocale()): string =>
  unit === 'in'
    ? say.inADay({ mm: decimal(mm / 25.4, 2, locale) })
    : say.mmADay({ mm: decimal(mm, 1, locale) });
