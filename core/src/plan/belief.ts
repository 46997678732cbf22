import { figuresOf, GENUS_WEIGHT, plantOf, teaches } from '../bench';
import type { MethodId, TaxonMethod } from '../botany';
import type { State } from '../journal';
import { weightInCluster } from '../stats';
import { BATCH_CORRELATION, type SuccessBelief } from './number-needed';
import { howFar } from './teaching';

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
 * grower's batches, those that still wait as far as they have come, its genus at a lower weight.
 */
export function successBelief(state: State, taxon: string, way: TaxonMethod): Learned {
  const { mean, worth } = way.success;
  const own = { cuttings: 0, lived: 0 };
  const genus = { cuttings: 0, lived: 0 };
  const told = { lived: 0, lost: 0 };
  const name = genusOf(state, taxon);
  for (const batch of state.batches.values()) {
    if (batch.method !== way.method || batch.lastLook === null) continue;
    const figures = figuresOf(state, batch);
    if (!figures || !teaches(state, batch)) continue;
    const mine = batch.taxon === taxon;
    if (!mine && genusOf(state, batch.taxon) !== name) continue;
    const into = mine ? own : genus;
    // Those never told of lived or died unseen: they teach nothing.
    const lived = batch.counts.rooted + batch.counts.pupped;
    const settled = batch.count - batch.waiting;
    into.cuttings += settled;
    into.lived += lived;
    if (settled === 0) continue;
    // A tray of a hundred is no hundred strangers.
    const counts = settled * weightInCluster(settled, BATCH_CORRELATION) * howFar(batch, figures);
    // A mate tells how much better or worse it did than its own figures, not how it did.
    const share = mine ? lived / settled : likeIt(mean, lived, settled, figures.success.mean);
    const weight = counts * (mine ? 1 : GENUS_WEIGHT);
    told.lived += weight * share;
    told.lost += weight * (1 - share);
  }
  const a = mean * worth + told.lived;
  const b = (1 - mean) * worth + told.lost;
  return { a, b, mean: a / (a + b), catalogue: { mean, worth }, own, genus };
}

/** The share this plant would have had, had it done by its own mean as a mate did by its: shifted on the log-odds. */
function likeIt(mean: number, lived: number, settled: number, usual: number): number {
  // Half a cutting more on either side: all and none have log-odds too.
  const share = (lived + 0.5) / (settled + 1);
  return 1 / (1 + Math.exp(-(logit(mean) + logit(share) - logit(usual))));
}

const logit = (p: number): number => Math.log(p / (1 - p));

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
