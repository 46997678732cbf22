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
    name: 'As soon as it is safe',
    says: 'As soon as the wound can bear it.',
    afterDays: 0,
  },
  'at-once': {
    id: 'at-once',
    name: 'At once',
    says: 'Settles the medium. For rooted offsets and divisions that have no open wound.',
    afterDays: 0,
  },
  'next-day': {
    id: 'next-day',
    name: 'A day later',
    says: 'Torn roots get a night.',
    afterDays: 1,
  },
  'few-days': {
    id: 'few-days',
    name: 'Two or three days later',
    says: 'Bruises from handling dry first.',
    afterDays: 3,
  },
  week: {
    id: 'week',
    name: 'About a week later',
    says: 'For divisions with a cut rhizome or tuber.',
    afterDays: 7,
  },
  'roots-show': {
    id: 'roots-show',
    name: 'Only once roots show',
    says: 'Nothing to drink with, nothing to drink. Slow in dry air; wrinkling is expected.',
    afterDays: null,
  },
};
