import type { CourseId } from '@hypogeon/core/course';
import * as say from '@hypogeon/messages/courses';

/** What is said of a course, where others are told otherwise. */
export interface CourseWords {
  readonly name: string;
  /** What it is, in one sentence. */
  readonly says: string;
  /** What goes wrong on it, the likeliest first. Common practice, no source. */
  readonly risk: string;
  /** What setting is called: `Into the jar`, and where it goes: `into the jar`. */
  readonly setName?: string;
  /** What its first station is called, and the one at which it has roots. */
  readonly cutName?: string;
  readonly rootsName?: string;
  readonly setTo?: string;
  /** The tap that notes it. */
  readonly setTap?: string;
  readonly setWhy?: string;
  /** What the first water is called. */
  readonly firstWater?: string;
  readonly rootsWhy?: string;
  /** What a plan says instead of a day to set it on. */
  readonly waits?: string;
}

export const COURSE_WORDS: Readonly<Record<CourseId, CourseWords>> = {
  dried: {
    get name() {
      return say.driedThenSet();
    },
    get says() {
      return say.driesInAiryShade();
    },
    get risk() {
      return say.slowToStartThe();
    },
  },
  bare: {
    get name() {
      return say.bareUntilRoots();
    },
    get says() {
      return say.liesBareAndLight();
    },
    get risk() {
      return say.rootsInTheAir();
    },
    get setWhy() {
      return say.thoseThatShowRoot();
    },
    get rootsWhy() {
      return say.whereTheyLieNothing();
    },
    get firstWater() {
      return say.firstMist();
    },
    get waits() {
      return say.leaveThemBareUntil();
    },
  },
  laid: {
    get name() {
      return say.laidOnTheMix();
    },
    get says() {
      return say.hollowSideUpThe();
    },
    get risk() {
      return say.rotsWhenItIs();
    },
    get firstWater() {
      return say.firstMist();
    },
    get rootsWhy() {
      return say.whereTheyLieNothing();
    },
  },
  propped: {
    get name() {
      return say.proppedMoistOnTop();
    },
    get says() {
      return say.leanedOnAStick();
    },
    get risk() {
      return say.youngRootsDieWhen();
    },
    get rootsWhy() {
      return say.whereItLeansNothing();
    },
  },
  petiole: {
    get name() {
      return say.stalkInATrench();
    },
    get says() {
      return say.theStalkInA();
    },
    get risk() {
      return say.theStalkRotsWhen();
    },
  },
  notch: {
    get name() {
      return say.notchLeaf();
    },
    get says() {
      return say.theLeafLaidOn();
    },
    get risk() {
      return say.theLeafRotsBefore();
    },
    get firstWater() {
      return say.firstMist();
    },
    get rootsWhy() {
      return say.alongItsEdgeNothing();
    },
  },
  water: {
    get name() {
      return say.inWater();
    },
    get says() {
      return say.onlyBareStalkUnder();
    },
    get risk() {
      return say.rootsFromWaterAre();
    },
    get setName() {
      return say.intoTheJar();
    },
    get setTo() {
      return say.intoTheJar2();
    },
    get setTap() {
      return say.inTheJar();
    },
    get setWhy() {
      return say.onlyBareStalkUnderLeaves();
    },
    get rootsWhy() {
      return say.throughTheGlassNothing();
    },
  },
  rooted: {
    get name() {
      return say.withItsOwnRoots();
    },
    get says() {
      return say.nothingIsCutPotted();
    },
    get risk() {
      return say.setTooDeepIt();
    },
    get setWhy() {
      return say.atOnceNoDeeper();
    },
    get rootsWhy() {
      return say.noTuggingFirmAnd();
    },
  },
  division: {
    get name() {
      return say.cutDivision();
    },
    get says() {
      return say.theCutDriesSome();
    },
    get risk() {
      return say.aCutRhizomeOr();
    },
    get rootsWhy() {
      return say.noTuggingFirmAnd();
    },
  },
  'root-cutting': {
    get name() {
      return say.rootCutting();
    },
    get says() {
      return say.rightWayUpIn();
    },
    get risk() {
      return say.rotsWhenItIsWet();
    },
    get rootsName() {
      return say.shoots();
    },
    get rootsWhy() {
      return say.shootsTellOfThem();
    },
  },
  seed: {
    get name() {
      return say.fromSeed();
    },
    get says() {
      return say.driedAboutTwoMonths();
    },
    get risk() {
      return say.dampingOffInStill();
    },
    get cutName() {
      return say.gathered();
    },
    get rootsName() {
      return say.seedlings();
    },
    get setName() {
      return say.sow();
    },
    get setTo() {
      return say.ontoTheMix();
    },
    get setTap() {
      return say.sown();
    },
    get setWhy() {
      return say.onTheSurfaceBarely();
    },
    get rootsWhy() {
      return say.seedlingsTellOfThem();
    },
  },
  culture: {
    get name() {
      return say.fromAFlask();
    },
    get says() {
      return say.jellyOffDampAir();
    },
    get risk() {
      return say.wiltsInDryAir();
    },
    get rootsWhy() {
      return say.noTuggingFirmAnd();
    },
  },
};
