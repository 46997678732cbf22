import * as say from '@hypogeon/messages/core-recorded-way';
import type { MethodId } from './method';
import type { TaxonMethod } from './taxon';

const common = 'common practice';
const memory = 'from memory';

/**
 * What stands for a way that no catalogue plant lists: its windows are those of the trade, the same for every plant.
 * Root cuttings shoot in ten to fourteen weeks; a bulbil roots like an offset; a flower stalk seldom takes. Common
 * practice, no source.
 */
export const RECORDED_WAYS: Readonly<Partial<Record<MethodId, TaxonMethod>>> = {
  'root-cutting': {
    method: 'root-cutting',
    worth: 'poor',
    get why() {
      return say.slowAndRotsWhen();
    },
    wound: { tissue: 'rhizome', widthMm: 8, evidence: memory },
    roots: { from: 70, to: 98, evidence: common },
    pups: null,
    success: { mean: 0.5, worth: 4, evidence: memory },
  },
  bulbil: {
    method: 'bulbil',
    worth: 'good',
    wound: null,
    roots: { from: 10, to: 24, evidence: common },
    pups: null,
    success: { mean: 0.85, worth: 4, evidence: memory },
  },
  'flower-stalk': {
    method: 'flower-stalk',
    worth: 'poor',
    get why() {
      return say.seldomTakes();
    },
    wound: { tissue: 'soft stem', widthMm: 5, evidence: memory },
    roots: { from: 21, to: 60, evidence: common },
    pups: null,
    success: { mean: 0.25, worth: 4, evidence: memory },
  },
  seed: {
    method: 'seed',
    worth: 'good',
    wound: null,
    roots: { from: 7, to: 28, evidence: common },
    // With true leaves, when seedlings are pricked out.
    pups: { from: 28, to: 75, evidence: memory },
    success: { mean: 0.5, worth: 4, evidence: memory },
  },
  culture: {
    method: 'culture',
    worth: 'good',
    wound: null,
    roots: { from: 14, to: 35, evidence: common },
    pups: null,
    success: { mean: 0.7, worth: 4, evidence: memory },
  },
};
