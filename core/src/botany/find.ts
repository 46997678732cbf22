import { distance } from 'fastest-levenshtein';
import { METHOD, type Least, type MethodId } from './method';
import type { Taxon, TaxonMethod } from './taxon';

/** Names of a plant in other languages, by its id: fetched only where plants are looked for. */
export type AlsoCalled = (taxon: string) => readonly string[];

const NOTHING_ELSE: AlsoCalled = () => [];

/**
 * The taxa whose name, family, common name or old name fits every word typed. Words need not be whole,
 * and long ones forgive a slip or two; where something fits exactly, slips are not looked for. First
 * stands the one of which a name begins most like what was typed and goes on least beyond it: “jade” is the jade plant before the silver jade.
 */
export function findTaxa(
  taxa: readonly Taxon[],
  query: string,
  called: AlsoCalled = NOTHING_ELSE,
): readonly Taxon[] {
  const words = plain(query).split(/\s+/).filter(Boolean);
  const texts = taxa.map((taxon) => plain([textOf(taxon), ...called(taxon.id)].join(' ')));
  const exact = taxa.filter((_, i) => words.every((word) => texts[i]!.includes(word)));
  if (words.length === 0) return exact;
  if (exact.length > 0) return nearestFirst(exact, words.join(' '), called);
  const near = taxa.filter((_, i) => {
    const known = texts[i]!.split(/[^a-z]+/);
    return words.every((word) => known.some((other) => isSlip(word, other)));
  });
  return nearestFirst(near, words.join(' '), called);
}

function nearestFirst(taxa: readonly Taxon[], typed: string, called: AlsoCalled): readonly Taxon[] {
  const namesOf = ({ id, name, common, synonyms }: Taxon): readonly string[] =>
    [...common, name, ...synonyms, ...called(id)].map(plain);
  return taxa
    .map((taxon) => {
      const names = namesOf(taxon).map((n) => ({
        slips: distance(typed, n.slice(0, typed.length)),
        rest: Math.abs(n.length - typed.length),
      }));
      const [nearest] = names.toSorted((a, b) => a.slips - b.slips || a.rest - b.rest);
      return { taxon, slips: nearest!.slips, rest: nearest!.rest };
    })
    .sort((a, b) => a.slips - b.slips || a.rest - b.rest)
    .map(({ taxon }) => taxon);
}

/** Those that are called just so, by any of their names: `Jade plant` is one plant, though others are jades too. */
export function calledJustSo(
  taxa: readonly Taxon[],
  name: string,
  called: AlsoCalled = NOTHING_ELSE,
): readonly Taxon[] {
  const wanted = plain(name).trim();
  return taxa.filter((t) =>
    [t.name, ...t.common, ...t.synonyms, ...called(t.id)].some((known) => plain(known) === wanted),
  );
}

function textOf({ name, family, common, synonyms }: Taxon): string {
  return [name, family, ...common, ...synonyms].join(' ');
}

/** Small letters without accents and apostrophes. */
function plain(text: string): string {
  return text
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\u0300-\u036f'’]/g, '');
}

/** One slip in a word of four letters, two in one of six that begins right; the end may not be typed yet. */
function isSlip(typed: string, known: string): boolean {
  if (known.includes(typed)) return true;
  const slips =
    typed.length >= 6 && known.startsWith(typed.charAt(0)) ? 2 : typed.length >= 4 ? 1 : 0;
  if (slips === 0) return false;
  return (
    distance(typed, known) <= slips ||
    distance(typed, known.slice(0, typed.length)) <= slips ||
    distance(typed, known.slice(0, typed.length + 1)) <= slips
  );
}

export function methodOf(taxon: Taxon, method: MethodId): TaxonMethod | undefined {
  return taxon.methods.find((m) => m.method === method);
}

/** The least that takes by a method: what the method asks for, and this plant beyond it. */
export function leastOf({ method, least }: TaxonMethod): Least {
  return { ...METHOD[method].least, ...least };
}
