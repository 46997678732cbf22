import type { MethodId } from '@hypogeon/core/botany';
import type { Firming, LeafCare, Opening } from '@hypogeon/core/journal';
import * as say from '@hypogeon/messages/disagreements';

/*
 * What growers disagree about: each choice with what speaks for it and what it risks. Common practice, no source. What
 * is told of it is compared in Results and may be tried.
 */

export const OPENING_NAME: Readonly<Record<Opening, string>> = {
  get cut() {
    return say.cutWithABlade();
  },
  get snapped() {
    return say.snappedOrTwistedOff();
  },
  get parted() {
    return say.partedByItselfNothing();
  },
  get broken() {
    return say.brokenItsBaseStayed();
  },
};

/** The same of a way: roots that came from no knife were left in their old pot. */
export const openingName = (opening: Opening, method: MethodId): string =>
  opening === 'parted' && method === 'root-cutting' ? say.leftInTheirOld() : OPENING_NAME[opening];

export const brokenSays = say.withoutItsBaseA;

export const FIRMED_SAYS: Readonly<Record<Firming | 'untold', string>> = {
  get hard() {
    return say.standsWithoutAStake();
  },
  get loose() {
    return say.airyAtTheEnd();
  },
  get untold() {
    return say.hardStandsFirmLoose();
  },
};

export const LEAVES_SAYS: Readonly<Record<LeafCare | 'untold', string>> = {
  get misted() {
    return say.lessWrinklingInDry();
  },
  get dry() {
    return say.nothingSitsInThe();
  },
  get untold() {
    return say.mistedWrinklesLessDry();
  },
};

export const depthSays = say.deepStandsFirmAnd;
export const lengthSays = say.goodSizedPiecesLive;
