import type { LengthUnit } from '@hypogeon/core/units';

/** mL in a US fluid ounce and in a US quart. NIST Handbook 44, appendix C. */
const FL_OZ_ML = 29.5735;
const QUART_ML = 946.353;

/**
 * A volume as a jug shows it: `45 mL`, `1.2 L`; with inches `1.5 fl oz`, `1.3 qt`.
 * @param ml millilitres, above 0
 */
export function volumeText(ml: number, unit: LengthUnit): string {
  if (unit === 'in') {
    if (ml >= QUART_ML) return `${+(ml / QUART_ML).toFixed(1)} qt`;
    const oz = ml / FL_OZ_ML;
    return `${oz < 4 ? Math.max(0.25, Math.round(oz * 4) / 4) : Math.round(oz)} fl oz`;
  }
  const step = ml < 20 ? 1 : ml < 100 ? 5 : ml < 1000 ? 10 : 100;
  const rounded = Math.max(step, Math.round(ml / step) * step);
  return rounded >= 1000 ? `${(rounded / 1000).toFixed(1)} L` : `${rounded} mL`;
}

/** `about 45 mL each`: what a jug shows, not what the model has behind the comma. @param ml of one container */
export function drinkText(ml: number, containers: number, unit: LengthUnit): string {
  const amount = `about ${volumeText(ml, unit)}`;
  return containers > 1 ? `${amount} each` : amount;
}

/** `2.3 mm a day` or `0.09 in a day`. */
export const evaporationText = (mm: number, unit: LengthUnit): string =>
  unit === 'in' ? `${(mm / 25.4).toFixed(2)} in a day` : `${mm.toFixed(1)} mm a day`;
