import { plural as pick } from '@messageformat/runtime';

export { select } from '@messageformat/runtime';

/** What a message may be told: words and numbers that are written already, or a number that asks for its form. */
export type Shown = string | number;

/** The messages of one place in one language, by their short ids. */
export type Table = Readonly<Record<string, string | ((told: never) => string)>>;

/** How the messages of a language come: place by place. */
export type Places = Readonly<Record<string, () => Promise<{ readonly table: Table }>>>;

interface Reader {
  /** BCP 47: `en-GB`, `de-AT`. Asked on every message: where it is a signal, what was said is said anew. */
  readonly locale: () => string;
  /** Something was said whose place had not come yet: it was said in English. */
  readonly missing: () => void;
}

/** The language that messages are written in first; it comes with the code and is never fetched. */
export const SOURCE = 'en';

/** English with accents and marked ends: what is not marked on the screen is no message. */
export const PSEUDO = 'en-XA';

let reader: Reader = { locale: () => SOURCE, missing: () => undefined };
const tables = new Map<string, Table>();
const places = new Set<string>();

/** Whoever shows messages says in which language, and hears of places that are still to be fetched. */
export const readMessagesAs = (next: Reader): void => {
  reader = next;
};

/** The locale that messages are written in now. */
export const messageLocale = (): string => reader.locale();

/** @returns `de` of `de-AT` */
export const languageOf = (locale: string): string =>
  locale === PSEUDO ? locale : locale.split('-', 1)[0]!;

/** Messages of a place have come. */
export const takeTable = (language: string, place: string, table: Table): void => {
  tables.set(`${language}/${place}`, table);
};

/** Places whose code is here, and whose messages in a language are not. */
export const placesWithout = (language: string): readonly string[] =>
  language === SOURCE ? [] : [...places].filter((place) => !tables.has(`${language}/${place}`));

interface Message {
  (id: string, english: string): () => string;
  <T>(id: string, english: (told: T) => string): (told: T) => string;
}

/**
 * Messages in the language that is read now; in English until the place's messages have come.
 * @param place what its messages are fetched with; ids are unique in it
 */
export const messagesOf = (place: string): Message => {
  places.add(place);
  return <T>(id: string, english: string | ((told: T) => string)) =>
    (told?: T): string => {
      const language = languageOf(reader.locale());
      let said: string | ((told: T) => string) = english;
      if (language !== SOURCE) {
        const table = tables.get(`${language}/${place}`);
        if (table) said = (table[id] as typeof said | undefined) ?? english;
        else reader.missing();
      }
      return typeof said === 'string' ? said : said(told!);
    };
};

/**
 * Messages that files of data name by id: looked up, and told nothing.
 * @param part of the place
 */
export function texts(
  place: string,
  part: string,
  english: Readonly<Record<string, string>>,
): (name: string) => string | undefined {
  places.add(place);
  return (name) => {
    const language = languageOf(reader.locale());
    if (!Object.hasOwn(english, name) || language === SOURCE) return english[name];
    const table = tables.get(`${language}/${place}`);
    if (!table) reader.missing();
    return (table?.[`${part}/${name}`] as string | undefined) ?? english[name];
  };
}

const rules = new Map<string, Intl.PluralRules>();

function rule(type: Intl.PluralRuleType): Intl.PluralRules {
  const locale = reader.locale();
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
  const locale = reader.locale();
  let known = numbers.get(locale);
  if (!known) numbers.set(locale, (known = new Intl.NumberFormat(locale)));
  return known.format(value);
}

/** Languages that write every noun with a capital. */
const CAPITAL_NOUNS: ReadonlySet<string> = new Set(['de', 'lb']);

/** A name within a sentence: `Stem segment` is `stem segment` there, and a `Kopf` stays a `Kopf`. */
export const inSentence = (name: string): string =>
  CAPITAL_NOUNS.has(languageOf(reader.locale()))
    ? name
    : name.charAt(0).toLowerCase() + name.slice(1);
