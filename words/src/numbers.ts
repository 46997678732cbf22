import { messageLocale } from '@hypogeon/messages';
import * as say from '@hypogeon/messages/numbers';

const formats = new Map<string, Intl.NumberFormat>();

/** A format is dear to make and asked for on every line of a table. */
function format(locale: string, least: number, most: number): Intl.NumberFormat {
  const key = `${locale} ${least} ${most}`;
  let known = formats.get(key);
  if (!known)
    formats.set(
      key,
      (known = new Intl.NumberFormat(locale, {
        minimumFractionDigits: least,
        maximumFractionDigits: most,
      })),
    );
  return known;
}

/** A number with so many decimals, as the region writes it: `1,234.50`, `1.234,50`. */
export const decimal = (value: number, digits: number, locale = messageLocale()): string =>
  format(locale, digits, digits).format(value);

/** A number with at most so many decimals: `2`, `2.5`, `2,5`. */
export const rounded = (value: number, digits: number, locale = messageLocale()): string =>
  format(locale, 0, digits).format(value);

const currencies = new Map<string, Intl.NumberFormat>();

/**
 * Money as the region writes it: `€0.41`, `0,41 €`; without a currency a number with two decimals.
 * @param currency ISO 4217; empty where the grower has not said what prices are in
 */
export function moneyText(
  value: number,
  currency: string | undefined,
  locale = messageLocale(),
): string {
  if (!currency) return decimal(value, 2, locale);
  const key = `${locale} ${currency}`;
  let known = currencies.get(key);
  if (!known)
    currencies.set(key, (known = new Intl.NumberFormat(locale, { style: 'currency', currency })));
  return known.format(value);
}

const FRACTION = ['', '1/4', '1/2', '3/4'] as const;

/** To the nearest quarter, as scoops and cups are measured: `1/4`, `2 1/2`, `3`. @param value ≥ 0 */
export function quarters(value: number, locale = messageLocale()): string {
  const told = Math.round(value * 4);
  const whole = Math.floor(told / 4);
  const part = FRACTION[told % 4]!;
  if (part === '') return whole === 0 && value > 0 ? say.under18() : rounded(whole, 0, locale);
  return whole === 0 ? part : `${rounded(whole, 0, locale)} ${part}`;
}
