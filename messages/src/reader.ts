export interface Reader {
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

/** Whoever shows messages says in which language, and hears of places that are still to be fetched. */
export const readMessagesAs = (next: Reader): void => {
  reader = next;
};

/** The locale that messages are written in now. */
export const messageLocale = (): string => reader.locale();

/** A place's messages are wanted and not here. */
export const messagesMissing = (): void => reader.missing();

let latest = { locale: SOURCE, language: SOURCE };

/** @returns `de` of `de-AT`; asked with every message, mostly of the one locale */
export function languageOf(locale: string): string {
  if (locale !== latest.locale)
    latest = { locale, language: locale === PSEUDO ? locale : locale.split('-', 1)[0]! };
  return latest.language;
}
