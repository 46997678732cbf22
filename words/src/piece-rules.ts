import { leafKind, type LeafKind, type MethodId, type Taxon } from '@hypogeon/core/botany';

/** What to mind when a piece is taken. Common practice, no source. */
export const METHOD_RULE: Readonly<Record<MethodId, string>> = {
  leaf: 'A mature leaf from low on the stem, twisted off whole at its base; laid on the surface, hollow side up.',
  'leaf-section':
    'Mark every section with an arrow before the first cut: the end nearer the base goes down.',
  crown: 'Strip the lowest one or two leaf pairs for 2–3 cm of bare stem.',
  segment: 'Two or three nodes or more, the right way up, one node at least under the surface.',
  trailing: '10 cm or more, at least three bare nodes under the surface or coiled on top.',
  branch: 'From a side branch, not the leader; leaves off; firm the medium hard round it.',
  pad: 'Cut at the joint, never across a pad.',
  column: 'Bevel the rim round the cut, so that the wound dries inward and not up.',
  offset: 'Wait for a third of the mother’s size; one clean cut, then shallow beats deep.',
  'rooted-offset': 'Comes away with its own roots: pot at once, at the depth it had.',
  division: 'Find where the clump parts by itself; cut only the connection, keep the roots.',
  plantlet: 'Take those with two or three roots; set on the surface and mist.',
  'root-cutting':
    'Thick roots in pieces, autumn to winter, the right way up, in pure grit and nearly dry.',
  bulbil: 'Set with its stalk, no deeper than it sits on it.',
  'flower-stalk': 'A young stalk without its flowers, set as a stem cutting. It seldom takes.',
  seed: 'Dried about two months, sown on the surface; seedlings stay until they have true leaves.',
  culture: 'Jelly washed off the roots; damp air at first, then hardened by steps.',
};

/** What to mind when taking a leaf that is not plucked off a rosette. Common practice, no source. */
const LEAF_RULE: Readonly<Record<Exclude<LeafKind, 'plucked'>, string>> = {
  strap:
    'The whole strap, cut at its base; the same end down, about 3 cm deep, firmed so that it stands.',
  stalked:
    'A mature leaf with its whole stalk; the stalk in a small trench, the blade clear of the mix.',
  notch: 'A mature leaf, plucked or torn, laid flat on the surface, its edge touching.',
};

/** What to mind when taking a piece of a plant, in metric. */
export function pieceRule(taxon: Pick<Taxon, 'methods'> | null, method: MethodId): string {
  const kind = leafKind(taxon, method);
  return kind === null || kind === 'plucked' ? METHOD_RULE[method] : LEAF_RULE[kind];
}
