import type { MethodId } from './method';
import type { Taxon, TaxonMethod } from './taxon';

/** The taxa whose name, family, common name or old name contains every word typed. */
export function findTaxa(taxa: readonly Taxon[], query: string): readonly Taxon[] {
  const words = query.toLowerCase().split(/\s+/).filter(Boolean);
  return taxa.filter((taxon) => {
    const text = [taxon.name, taxon.family, ...taxon.common, ...taxon.synonyms]
      .join(' ')
      .toLowerCase();
    return words.every((word) => text.includes(word));
  });
}

export function methodOf(taxon: Taxon, method: MethodId): TaxonMethod | undefined {
  return taxon.methods.find((m) => m.method === method);
}
