import * as say from '@hypogeon/messages/core-water-school';

/** When growers reach for the can again. */
export const WATER_SCHOOLS = [
  'mist',
  'surface',
  'top-25',
  'top-60',
  'third',
  'bone-dry',
  'bone-dry-rest',
  'weekly',
] as const;
export type WaterSchoolId = (typeof WATER_SCHOOLS)[number];

export interface WaterSchool {
  readonly id: WaterSchoolId;
  readonly name: string;
  /** What the pot must show before water. */
  readonly trigger: string;
  /** The same once it has lasted. */
  readonly lasting: string;
  readonly says: string;
}

/** Common practice, no source. */
export const WATER_SCHOOL: Readonly<Record<WaterSchoolId, WaterSchool>> = {
  mist: {
    id: 'mist',
    get name() {
      return say.mistByHeat();
    },
    get trigger() {
      return say.theLastMistHas();
    },
    get lasting() {
      return say.theLastMistHasBeen();
    },
    get says() {
      return say.theSurfaceIsKept();
    },
  },
  surface: {
    id: 'surface',
    get name() {
      return say.drySurface();
    },
    get trigger() {
      return say.theSurfaceIsDry();
    },
    get lasting() {
      return say.theSurfaceHasBeen();
    },
    get says() {
      return say.waterAsSoonAs();
    },
  },
  'top-25': {
    id: 'top-25',
    get name() {
      return say.top25Cm();
    },
    get trigger() {
      return say.itIsDryTo();
    },
    get lasting() {
      return say.itHasBeenDry();
    },
    get says() {
      return say.aFingersFirstJoint();
    },
  },
  'top-60': {
    id: 'top-60',
    get name() {
      return say.top57Cm();
    },
    get trigger() {
      return say.itIsDryTo6();
    },
    get lasting() {
      return say.itHasBeenDryTo();
    },
    get says() {
      return say.aStickComesOut();
    },
  },
  third: {
    id: 'third',
    get name() {
      return say.aThirdGone();
    },
    get trigger() {
      return say.aThirdOfIts();
    },
    get lasting() {
      return say.aThirdOfItsWater();
    },
    get says() {
      return say.byWeightOrBy();
    },
  },
  'bone-dry': {
    id: 'bone-dry',
    get name() {
      return say.boneDryThenSoak();
    },
    get trigger() {
      return say.nineTenthsOfIts();
    },
    get lasting() {
      return say.itHasBeenBone();
    },
    get says() {
      return say.everythingDriesThenA();
    },
  },
  'bone-dry-rest': {
    id: 'bone-dry-rest',
    get name() {
      return say.boneDryAndFive();
    },
    get trigger() {
      return say.itHasBeenBoneDry();
    },
    get lasting() {
      return say.itsRestHasBeen();
    },
    get says() {
      return say.dryThenDrySome();
    },
  },
  weekly: {
    id: 'weekly',
    get name() {
      return say.weeklyByHabit();
    },
    get trigger() {
      return say.aWeekHasPassed();
    },
    get lasting() {
      return say.theWeekHasBeen();
    },
    get says() {
      return say.theCalendarWatersWhatever();
    },
  },
};

/** Drier than this against drained, a finger calls it dry. Working assumption; 0.25–0.45. */
export const DRY_TO_TOUCH = 0.35;
export const BONE_DRY = 0.1;
export const BONE_DRY_REST_DAYS = 5;
export const SURFACE_MM = 3;

/** Days between mistings: daily in warm dry air, every second day else. Common practice, no source. */
export function mistEvery(evaporationMm: number): number {
  return evaporationMm > 2.5 ? 1 : 2;
}
