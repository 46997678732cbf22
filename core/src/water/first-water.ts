import * as say from '@hypogeon/messages/core-first-water';

/** When the first water comes, counted from the day it is stuck. */
export const FIRST_WATERS = [
  'with-gate',
  'at-once',
  'next-day',
  'few-days',
  'week',
  'roots-show',
] as const;
export type FirstWaterId = (typeof FIRST_WATERS)[number];

export interface FirstWater {
  readonly id: FirstWaterId;
  readonly name: string;
  readonly says: string;
  /** Days after sticking; null where it waits for roots. */
  readonly afterDays: number | null;
}

/** Common practice, no source. */
export const FIRST_WATER: Readonly<Record<FirstWaterId, FirstWater>> = {
  'with-gate': {
    id: 'with-gate',
    get name() {
      return say.asSoonAsIt();
    },
    get says() {
      return say.asSoonAsThe();
    },
    afterDays: 0,
  },
  'at-once': {
    id: 'at-once',
    get name() {
      return say.atOnce();
    },
    get says() {
      return say.settlesTheMediumFor();
    },
    afterDays: 0,
  },
  'next-day': {
    id: 'next-day',
    get name() {
      return say.aDayLater();
    },
    get says() {
      return say.tornRootsGetA();
    },
    afterDays: 1,
  },
  'few-days': {
    id: 'few-days',
    get name() {
      return say.twoOrThreeDays();
    },
    get says() {
      return say.bruisesFromHandlingDry();
    },
    afterDays: 3,
  },
  week: {
    id: 'week',
    get name() {
      return say.aboutAWeekLater();
    },
    get says() {
      return say.forDivisionsWithA();
    },
    afterDays: 7,
  },
  'roots-show': {
    id: 'roots-show',
    get name() {
      return say.onlyOnceRootsShow();
    },
    get says() {
      return say.nothingToDrinkWith();
    },
    afterDays: null,
  },
};
