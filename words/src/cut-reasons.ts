import type { CutReason } from '@hypogeon/core/journal';
import type { LengthUnit } from '@hypogeon/core/units';
import * as say from '@hypogeon/messages/cut-reasons';
import { ruleText } from './quantities';

/** Why one would cut a mother, as it is chosen. */
export const CUT_REASON_NAME: Readonly<Record<CutReason, string>> = {
  get leggy() {
    return say.leggy();
  },
  get toppled() {
    return say.toppled();
  },
  get bare() {
    return say.aBareStretch();
  },
  get 'pot-bound'() {
    return say.potBound();
  },
  get crowded() {
    return say.crowded();
  },
  get shedding() {
    return say.shedsLeaves();
  },
  get 'aerial-roots'() {
    return say.airRoots();
  },
  get fuller() {
    return say.shouldBeFuller();
  },
  get insurance() {
    return say.aCopyToBe();
  },
};

/** Where the blade then goes. Common practice, no source. */
export const WHERE_TO_CUT: Readonly<Record<CutReason, string>> = {
  get leggy() {
    return say.leggyTakeTheTop();
  },
  get toppled() {
    return say.toppledCutAboveThe();
  },
  get bare() {
    return say.aBareStretchCut();
  },
  get 'pot-bound'() {
    return say.potBoundRepotOr();
  },
  get crowded() {
    return say.crowdedTakeTheOuter();
  },
  get shedding() {
    return say.shedsLeavesThoseThat();
  },
  get 'aerial-roots'() {
    return say.airRootsCutBelow();
  },
  get fuller() {
    return say.fullerCutCloseTo();
  },
  get insurance() {
    return say.aCopyOneHead();
  },
};

/** Where to cut her, a sentence a reason, in the order of the list. */
export const whereToCut = (reasons: readonly CutReason[], unit: LengthUnit): readonly string[] =>
  (Object.keys(WHERE_TO_CUT) as CutReason[])
    .filter((r) => reasons.includes(r))
    .map((r) => ruleText(WHERE_TO_CUT[r], unit));
