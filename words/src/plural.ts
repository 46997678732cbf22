/** A word for one and for many: `{ one: 'batch', other: 'batches' }`. */
export interface Noun {
  readonly one: string;
  readonly other: string;
}

const rules = new Map<string, Intl.PluralRules>();

/** The form of a word that a number asks for. */
export function pluralOf(count: number, { one, other }: Noun, locale = 'en'): string {
  let rule = rules.get(locale);
  if (!rule) rules.set(locale, (rule = new Intl.PluralRules(locale)));
  return rule.select(count) === 'one' ? one : other;
}

/** `1 day`, `3 days`, `1,200 batches`. */
export const counted = (count: number, noun: Noun, locale = 'en'): string =>
  `${count.toLocaleString(locale)} ${pluralOf(count, noun, locale)}`;

/** Words that stand all over the product. */
export const NOUN = {
  day: { one: 'day', other: 'days' },
  week: { one: 'week', other: 'weeks' },
  seedling: { one: 'seedling', other: 'seedlings' },
  batch: { one: 'batch', other: 'batches' },
  entry: { one: 'entry', other: 'entries' },
  mother: { one: 'mother', other: 'mothers' },
  reading: { one: 'reading', other: 'readings' },
  piece: { one: 'piece', other: 'pieces' },
  plant: { one: 'plant', other: 'plants' },
  cutting: { one: 'cutting', other: 'cuttings' },
  cut: { one: 'cut', other: 'cuts' },
  picture: { one: 'picture', other: 'pictures' },
} as const satisfies Readonly<Record<string, Noun>>;
