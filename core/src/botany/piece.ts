import * as say from '@hypogeon/messages/core-piece';
import { COURSE } from '../course';
import { METHOD, type Method, type MethodId } from './method';
import type { Taxon } from './taxon';

/**
 * What kind of leaf a leaf is: plucked whole off a rosette or stem, a strap that stands in the ground, one that stands
 * on its stalk, one that makes plantlets along its edge.
 */
export type LeafKind = 'plucked' | 'strap' | 'stalked' | 'notch';

type Grown = Pick<Taxon, 'methods'>;

/** The kind of leaf that is taken of a plant; null for every other piece. By the way it is usually set. */
export function leafKind(taxon: Grown | null, method: MethodId): LeafKind | null {
  if (method !== 'leaf') return null;
  const usual = taxon?.methods.find((m) => m.method === method)?.courses?.[0];
  if (usual === undefined) return 'plucked';
  const { lies, leafFeeds } = COURSE[usual];
  if (lies === 'buried') return 'strap';
  if (lies === 'in-trench') return 'stalked';
  return leafFeeds ? 'plucked' : 'notch';
}

/** How a leaf that is not plucked off a rosette differs: words/ has its rule. Common practice, no source. */
const LEAF: Readonly<Record<Exclude<LeafKind, 'plucked'>, Partial<Method>>> = {
  strap: {
    get one() {
      return say.strapLeaf();
    },
    get many() {
      return say.strapLeaves();
    },
    polarity: 'base down',
    least: { lengthMm: 50 },
    young: 'shoots',
  },
  stalked: {
    polarity: 'base down',
  },
  notch: {
    young: 'plantlets',
  },
};

/** A way as it goes with a plant: what its piece is called, which end goes down, what it brings. */
export function methodAs(taxon: Grown | null, method: MethodId): Method {
  const kind = leafKind(taxon, method);
  return kind === null || kind === 'plucked'
    ? METHOD[method]
    : { ...METHOD[method], ...LEAF[kind] };
}

const LONG_OR_SHORT: ReadonlySet<MethodId> = new Set([
  'crown',
  'segment',
  'trailing',
  'branch',
  'column',
  'leaf-section',
  'root-cutting',
  'flower-stalk',
]);

/** Its pieces are taken long or short as one likes; a leaf or a pup is as large as it is. */
export const isLongOrShort = (method: MethodId): boolean => LONG_OR_SHORT.has(method);
