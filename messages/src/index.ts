import { languageOf, messageLocale, messagesMissing, SOURCE } from './reader';
import { fill, type Said } from './said';

export { select } from '@messageformat/runtime';
export * from './reader';
export * from './rules';
export * from './said';

/** The messages of one place in one language, by their short ids. */
export type Table = Readonly<Record<string, Said>>;

/** How the messages of a language come: place by place. */
export type Places = Readonly<Record<string, () => Promise<{ readonly table: Table }>>>;

const tables = new Map<string, Table>();
const places = new Set<string>();

/** Messages of a place have come. */
export const takeTable = (language: string, place: string, table: Table): void => {
  tables.set(`${language}/${place}`, table);
};

/** Places whose code is here, and whose messages in a language are not. */
export const placesWithout = (language: string): readonly string[] =>
  language === SOURCE ? [] : [...places].filter((place) => !tables.has(`${language}/${place}`));

/** A place's messages in the language that is read; undefined in English, and until they have come. */
function here(place: string): Table | undefined {
  const language = languageOf(messageLocale());
  if (language === SOURCE) return undefined;
  const table = tables.get(`${language}/${place}`);
  if (!table) messagesMissing();
  return table;
}

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
      const said = here(place)?.[id];
      if (said !== undefined) return fill(said, told ?? {});
      return typeof english === 'string' ? english : english(told!);
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
    if (!Object.hasOwn(english, name)) return undefined;
    const said = here(place)?.[`${part}/${name}`];
    return said === undefined ? english[name] : fill(said, {});
  };
}

/** Languages that write every noun with a capital. */
const CAPITAL_NOUNS: ReadonlySet<string> = new Set(['de', 'lb']);

/** A name within a sentence: `Stem segment` is `stem segment` there, and a `Kopf` stays a `Kopf`. */
export const inSentence = (name: string): string =>
  CAPITAL_NOUNS.has(languageOf(messageLocale()))
    ? name
    : name.charAt(0).toLowerCase() + name.slice(1);
