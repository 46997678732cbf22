import type { CourseId } from '@hypogeon/core/course';

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

const HOLDS = 'No tugging: firm, and new growth, is enough.';

export const COURSE_WORDS: Readonly<Record<CourseId, CourseWords>> = {
  dried: {
    name: 'Dried, then set',
    says: 'Dries in airy shade, is set dry, and drinks once the cut is closed.',
    risk: 'Slow to start; the least rot.',
  },
  bare: {
    name: 'Bare until roots',
    says: 'Lies bare and light, without mix or water; set and misted once root points show.',
    risk: 'Roots in the air dry out if they are forgotten.',
    setWhy: 'Those that show root points; the rest stay bare.',
    rootsWhy: 'Where they lie; nothing needs lifting.',
    firstWater: 'First mist',
    waits: 'leave them bare until roots show',
  },
  laid: {
    name: 'Laid on the mix, misted',
    says: 'Hollow side up, the base touching; dry for three days, then misted.',
    risk: 'Rots when it is soaked before roots are in the mix.',
    firstWater: 'First mist',
    rootsWhy: 'Where they lie; nothing needs lifting.',
  },
  propped: {
    name: 'Propped, moist on top',
    says: 'Leaned on a stick in mineral mix under a thin layer that holds moisture: drying out kills young roots here.',
    risk: 'Young roots die when the layer dries out.',
    rootsWhy: 'Where it leans; nothing needs lifting.',
  },
  petiole: {
    name: 'Stalk in a trench',
    says: 'The stalk in a small trench, firmed; its zone just damp, again once it has dried.',
    risk: 'The stalk rots when the trench stays wet.',
  },
  notch: {
    name: 'Notch leaf',
    says: 'The leaf laid on; plantlets along its edge in about two weeks, taken with roots.',
    risk: 'The leaf rots before plantlets root, when kept wet.',
    firstWater: 'First mist',
    rootsWhy: 'Along its edge; nothing needs lifting.',
  },
  water: {
    name: 'In water',
    says: 'Only bare stalk under, leaves above; soft or stood water. Roots are seen through the glass, then it moves into mix.',
    risk: 'Roots from water are soft: they must be weaned into the mix.',
    setName: 'Into the jar',
    setTo: 'into the jar',
    setTap: 'In the jar',
    setWhy: 'Only bare stalk under, leaves above; soft or stood water.',
    rootsWhy: 'Through the glass: nothing needs lifting.',
  },
  rooted: {
    name: 'With its own roots',
    says: 'Nothing is cut: potted at once, no deeper than it stood, and watered.',
    risk: 'Set too deep it rots at the collar.',
    setWhy: 'At once, no deeper than it stood.',
    rootsWhy: HOLDS,
  },
  division: {
    name: 'Cut division',
    says: 'The cut dries some days, or it stands dry in its pot for about a week.',
    risk: 'A cut rhizome or tuber rots in wet mix.',
    rootsWhy: HOLDS,
  },
  'root-cutting': {
    name: 'Root cutting',
    says: 'Right way up in pure grit, nearly dry, until shoots come.',
    risk: 'Rots when it is wet.',
    rootsName: 'Shoots',
    rootsWhy: 'Shoots tell of them: it is never dug.',
  },
  seed: {
    name: 'From seed',
    says: 'Dried about two months, sown on the surface, damp and bright; seedlings stay until they have true leaves.',
    risk: 'Damping off in still, wet air.',
    cutName: 'Gathered',
    rootsName: 'Seedlings',
    setName: 'Sow',
    setTo: 'onto the mix',
    setTap: 'Sown',
    setWhy: 'On the surface, barely covered, damp and bright.',
    rootsWhy: 'Seedlings tell of them.',
  },
  culture: {
    name: 'From a flask',
    says: 'Jelly off, damp air at first, hardened by steps.',
    risk: 'Wilts in dry air; rots in closed air.',
    rootsWhy: HOLDS,
  },
};
