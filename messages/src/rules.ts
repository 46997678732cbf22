import { plural as pick } from '@messageformat/runtime';
import { messageLocale } from './reader';

const rules = new Map<string, Intl.PluralRules>();

function rule(type: Intl.PluralRuleType): Intl.PluralRules {
  const locale = messageLocale();
  const key = `${locale} ${type}`;
  let known = rules.get(key);
  if (!known) rules.set(key, (known = new Intl.PluralRules(locale, { type })));
  return known;
}

const form = (value: number | string, ordinal?: boolean): Intl.LDMLPluralRule =>
  rule(ordinal ? 'ordinal' : 'cardinal').select(Number(value));

/** The form that a number asks for in the language that is read. */
export const plural = (value: number, forms: Record<string, string>): string =>
  pick(value, 0, form, forms) as string;

export const ordinal = (value: number, forms: Record<string, string>): string =>
  pick(value, 0, form, forms, true) as string;

const numbers = new Map<string, Intl.NumberFormat>();

/** A number as the region writes it: `1,200`, `1.200`. */
export function number(value: number): string {
  const locale = messageLocale();
  let known = numbers.get(locale);
  if (!known) numbers.set(locale, (known = new Intl.NumberFormat(locale)));
  return known.format(value);
}
