import * as say from '@hypogeon/messages/core-odds';

/*
 * What is seen at a cutting, what it may come from, and how the two go together. The pairs follow the trade's rules
 * of thumb (common practice, no source); the numbers are working assumptions, to be edited here and nowhere else.
 */

/** What can be looked for. A question is answered yes or no, or left open. */
export const SIGNS = {
  wrinkled: {
    get asks() {
      return say.wrinkled();
    },
    get how() {
      return say.skinInFoldsStill();
    },
  },
  firm: {
    get asks() {
      return say.firmWhenPressed();
    },
    get how() {
      return say.betweenTwoFingersNot();
    },
  },
  'base-dark': {
    get asks() {
      return say.baseDark();
    },
    get how() {
      return say.brownOrBlackAt();
    },
  },
  'base-soft': {
    get asks() {
      return say.baseSoftOrWet();
    },
    get how() {
      return say.touchItDoesIt();
    },
  },
  smell: {
    get asks() {
      return say.foulSmell();
    },
    get how() {
      return say.holdItClose();
    },
  },
  glassy: {
    get asks() {
      return say.yellowAndGlassy();
    },
    get how() {
      return say.lightShinesThroughThe();
    },
  },
  pup: {
    get asks() {
      return say.aPupGrows();
    },
    get how() {
      return say.atTheBaseOf();
    },
  },
  'new-top': {
    get asks() {
      return say.newGrowthAtThe();
    },
    get how() {
      return say.freshLeavesSinceIt();
    },
  },
  tug: {
    get asks() {
      return say.resistsALightTug();
    },
    get how() {
      return say.lightRootsTearSooner();
    },
  },
  'roots-out': {
    get asks() {
      return say.rootsOutOfThe();
    },
    get how() {
      return say.liftThePotAnd();
    },
  },
  'air-roots': {
    get asks() {
      return say.rootsInTheAir();
    },
    get how() {
      return say.thinThreadsAboveThe();
    },
  },
  stretched: {
    get asks() {
      return say.stretchedPaleLeaning();
    },
    get how() {
      return say.leavesFarApartBent();
    },
  },
  bleached: {
    get asks() {
      return say.bleachedOrRedPatches();
    },
    get how() {
      return say.onTheSideThat();
    },
  },
  fluff: {
    get asks() {
      return say.whiteFluffWebbingOr();
    },
    get how() {
      return say.leafAxilsAndUndersides();
    },
  },
  gnats: {
    get asks() {
      return say.smallFliesOverThe();
    },
    get how() {
      return say.tapThePot();
    },
  },
} as const;
export type SignId = keyof typeof SIGNS;
export const SIGN_IDS = Object.keys(SIGNS) as readonly SignId[];

export const CAUSE_IDS = [
  'reserves',
  'stalled',
  'rot',
  'callus',
  'damaged',
  'feeding',
  'rooted',
  'bound',
  'dry-stem',
  'dark',
  'sun',
  'pests',
  'gnats',
] as const;
export type CauseId = (typeof CAUSE_IDS)[number];

export interface Cause {
  readonly name: string;
  /** What to do, shortest first. */
  readonly then: readonly string[];
  /** How urgent it is: now, when at hand, or not at all. */
  readonly weight: 'now' | 'soon' | 'leave';
  /** How often each sign is seen with it, 0–1; those left out are seen as seldom as `ELSEWHERE`. */
  readonly shows: Readonly<Partial<Record<SignId, number>>>;
}

/** How often a sign is seen that has nothing to do with a cause: chance, haste, two things at once. */
export const ELSEWHERE = 0.04;

export const CAUSES: Readonly<Record<CauseId, Cause>> = {
  reserves: {
    get name() {
      return say.livingOffItself();
    },
    get then() {
      return [say.leaveItShrinkingBefore()];
    },
    weight: 'leave',
    shows: { wrinkled: 0.8, firm: 0.75, 'new-top': 0.2 },
  },
  stalled: {
    get name() {
      return say.sealedTooHardToo();
    },
    get then() {
      return [say.cutTheBaseFresh(), say.warmerAndALittle()];
    },
    weight: 'soon',
    shows: { wrinkled: 0.85, firm: 0.6, 'base-dark': 0.25 },
  },
  rot: {
    get name() {
      return say.rot();
    },
    get then() {
      return [say.cutBackToClean(), say.aLongerCallusThan(), say.keepItsNeighboursDry()];
    },
    weight: 'now',
    shows: {
      'base-dark': 0.85,
      'base-soft': 0.9,
      smell: 0.5,
      glassy: 0.3,
      wrinkled: 0.3,
      firm: 0.15,
    },
  },
  callus: {
    get name() {
      return say.callusNothingWrong();
    },
    get then() {
      return [say.nothingDarkHardAnd()];
    },
    weight: 'leave',
    shows: { 'base-dark': 0.85, firm: 0.9, wrinkled: 0.25 },
  },
  damaged: {
    get name() {
      return say.overWetOrDamaged();
    },
    get then() {
      return [say.discardItLeavesSeldom(), say.countTheLossWater()];
    },
    weight: 'now',
    shows: { glassy: 0.9, 'base-soft': 0.5, 'base-dark': 0.25, firm: 0.1 },
  },
  feeding: {
    get name() {
      return say.motherLeafFeedingIts();
    },
    get then() {
      return [say.leaveItOnPot()];
    },
    weight: 'leave',
    shows: { wrinkled: 0.85, pup: 0.95, firm: 0.25, tug: 0.6 },
  },
  rooted: {
    get name() {
      return say.rooted();
    },
    get then() {
      return [say.theFirstRealDrink(), say.feedFromAboutTwo()];
    },
    weight: 'soon',
    shows: { tug: 0.95, 'new-top': 0.5, firm: 0.75, pup: 0.3 },
  },
  bound: {
    get name() {
      return say.potBound();
    },
    get then() {
      return [say.divideItOrPot()];
    },
    weight: 'soon',
    shows: { 'roots-out': 0.95, tug: 0.9, firm: 0.7, 'new-top': 0.5 },
  },
  'dry-stem': {
    get name() {
      return say.dryOrReadyTo();
    },
    get then() {
      return [say.useTheRootedPiece()];
    },
    weight: 'leave',
    shows: { 'air-roots': 0.95, wrinkled: 0.4, firm: 0.6 },
  },
  dark: {
    get name() {
      return say.tooLittleLight();
    },
    get then() {
      return [say.moreLightBySteps(), say.beheadItLaterThe()];
    },
    weight: 'soon',
    shows: { stretched: 0.95, 'new-top': 0.6, firm: 0.6 },
  },
  sun: {
    get name() {
      return say.sunTooSoon();
    },
    get then() {
      return [say.shadeAtMiddayHarden()];
    },
    weight: 'soon',
    shows: { bleached: 0.95, firm: 0.6, wrinkled: 0.25 },
  },
  pests: {
    get name() {
      return say.pests();
    },
    get then() {
      return [say.moveItAwayFrom(), say.treatAsTheLabel()];
    },
    weight: 'now',
    shows: { fluff: 0.95, firm: 0.6, wrinkled: 0.25 },
  },
  gnats: {
    get name() {
      return say.wetOrganicSurface();
    },
    get then() {
      return [say.letItDryOut()];
    },
    weight: 'soon',
    shows: { gnats: 0.95, firm: 0.6, 'base-dark': 0.1 },
  },
};

/** What is likely before anyone looks, in parts: most cuttings that are looked at are simply on their way. */
export const BEFORE: Readonly<Record<CauseId, number>> = {
  reserves: 30,
  stalled: 3,
  rot: 10,
  callus: 12,
  damaged: 4,
  feeding: 4,
  rooted: 15,
  bound: 2,
  'dry-stem': 2,
  dark: 6,
  sun: 4,
  pests: 5,
  gnats: 3,
};
