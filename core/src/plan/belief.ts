import { figuresOf, GENUS_WEIGHT, plantOf, teaches } from '../bench';
import type { MethodId, TaxonMethod } from '../botany';
import type { State } from '../journal';
import type { SuccessBelief } from './number-needed';

export interface Learned extends SuccessBelief {
  readonly mean: number;
  /** The catalogue's mean, and what it is worth in cuttings. */
  readonly catalogue: { readonly mean: number; readonly worth: number };
  /** Cuttings of settled batches of this plant, this way, and how many of them lived. */
  readonly own: { readonly cuttings: number; readonly lived: number };
  readonly genus: { readonly cuttings: number; readonly lived: number };
}

/**
 * The chance of success of a plant by a method: the catalogue's opinion, moved by what became of this
 * grower's settled batches, its genus at a lower weight.
 */
export function successBelief(state: State, taxon: string, way: TaxonMethod): Learned {
  const { mean, worth } = way.success;
  const own = { cuttings: 0, lived: 0 };
  const genus = { cuttings: 0, lived: 0 };
  const name = genusOf(state, taxon);
  for (const batch of state.batches.values()) {
    if (batch.method !== way.method || batch.stage !== 'done' || !figuresOf(state, batch)) continue;
    if (!teaches(state, batch)) continue;
    const mine = batch.taxon === taxon;
    if (!mine && genusOf(state, batch.taxon) !== name) continue;
    const into = mine ? own : genus;
    // Those never told of lived or died unseen: they teach nothing.
    const lived = batch.counts.rooted + batch.counts.pupped;
    into.cuttings += batch.count - batch.waiting;
    into.lived += lived;
  }
  const a = mean * worth + own.lived + GENUS_WEIGHT * genus.lived;
  const lost = own.cuttings - own.lived + GENUS_WEIGHT * (genus.cuttings - genus.lived);
  const b = (1 - mean) * worth + lost;
  return { a, b, mean: a / (a + b), catalogue: { mean, worth }, own, genus };
}

function genusOf(state: State, taxon: string): string {
  return plantOf(state, taxon)?.taxon.name.split(' ')[0] ?? taxon;
}

/** What a figure rests on, in words: `catalogue`, `your own 43 cuttings and the catalogue`. */
export function beliefWords({ own, genus }: Learned, method: MethodId): string {
  if (own.cuttings === 0 && genus.cuttings === 0) return 'catalogue';
  const parts = [
    own.cuttings > 0 ? `your own ${own.cuttings}` : '',
    genus.cuttings > 0 ? `${genus.cuttings} of the genus` : '',
  ].filter(Boolean);
  return `${parts.join(' and ')}${method === 'leaf' ? ' leaves' : ''}, with the catalogue`;
}
