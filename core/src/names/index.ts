import { languageOf, messageLocale } from '@hypogeon/messages';
import { foldText } from '../text';
import names from './names.json' with { type: 'json' };

/** What growers call a plant in other languages. */
export type NameLanguage = 'en' | 'de' | 'es';

type Names = Readonly<Record<string, Readonly<Partial<Record<NameLanguage, readonly string[]>>>>>;
const NAMES: Names = names;

/**
 * What a plant of the guide is called in languages that are not read now: to be found by, beside its own and its Latin
 * names. From memory.
 * @param taxon the id of a plant; others have none
 * @example alsoCalled('crassula-ovata') // ['Geldbaum', …, 'Árbol de jade', …]
 */
export function alsoCalled(taxon: string): readonly string[] {
  if (!Object.hasOwn(NAMES, taxon)) return [];
  const read = languageOf(messageLocale());
  return Object.entries(NAMES[taxon]!).flatMap(([language, names]) =>
    language === read ? [] : names,
  );
}

/** Those of some names that hold all words that were typed; none where nothing was. */
export function namesThatFit(of: readonly string[], typed: string): readonly string[] {
  const words = foldText(typed).split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  return of.filter((name) => words.every((word) => foldText(name).includes(word)));
}
