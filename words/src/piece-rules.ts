import { leafKind, type LeafKind, type MethodId, type Taxon } from '@hypogeon/core/botany';
import * as say from '@hypogeon/messages/piece-rules';

/** What to mind when a piece is taken. Common practice, no source. */
export const METHOD_RULE: Readonly<Record<MethodId, string>> = {
  get leaf() {
    return say.aMatureLeafFrom();
  },
  get 'leaf-section'() {
    return say.markEverySectionWith();
  },
  get crown() {
    return say.stripTheLowestOne();
  },
  get segment() {
    return say.twoOrThreeNodes();
  },
  get trailing() {
    return say.n10CmOrMore();
  },
  get branch() {
    return say.fromASideBranch();
  },
  get pad() {
    return say.cutAtTheJoint();
  },
  get column() {
    return say.bevelTheRimRound();
  },
  get offset() {
    return say.waitForAThird();
  },
  get 'rooted-offset'() {
    return say.comesAwayWithIts();
  },
  get division() {
    return say.findWhereTheClump();
  },
  get plantlet() {
    return say.takeThoseWithTwo();
  },
  get 'root-cutting'() {
    return say.thickRootsInPieces();
  },
  get bulbil() {
    return say.setWithItsStalk();
  },
  get 'flower-stalk'() {
    return say.aYoungStalkWithout();
  },
  get seed() {
    return say.driedAboutTwoMonths();
  },
  get culture() {
    return say.jellyWashedOffThe();
  },
};

/** What to mind when taking a leaf that is not plucked off a rosette. Common practice, no source. */
const LEAF_RULE: Readonly<Record<Exclude<LeafKind, 'plucked'>, string>> = {
  get strap() {
    return say.theWholeStrapCut();
  },
  get stalked() {
    return say.aMatureLeafWith();
  },
  get notch() {
    return say.aMatureLeafPlucked();
  },
};

/** What to mind when taking a piece of a plant, in metric. */
export function pieceRule(taxon: Pick<Taxon, 'methods'> | null, method: MethodId): string {
  const kind = leafKind(taxon, method);
  return kind === null || kind === 'plucked' ? METHOD_RULE[method] : LEAF_RULE[kind];
}
