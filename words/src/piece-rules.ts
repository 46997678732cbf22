import { leafKind, METHOD, type LeafKind, type MethodId, type Taxon } from '@hypogeon/core/botany';

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
  return kind === null || kind === 'plucked' ? METHOD[method].rule : LEAF_RULE[kind];
}
