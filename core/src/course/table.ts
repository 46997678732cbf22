import type { UnrootedWaterId } from '../water';

/**
 * What tells one way of growing a piece on from another, from its cut to its pot. All that care, plan, rehearsal,
 * practice, ledger and words do differently by course they read here; nobody compares the names of courses. Common
 * practice, no source.
 */
export interface Course {
  /** How it lies once it is set, or from the cut on where it is never set. */
  readonly lies: 'bare' | 'on-surface' | 'in-trench' | 'buried' | 'in-jar' | 'potted';
  /** When it is set: once its wound has dried by the grower's rule, once it is closed, once it has roots. */
  readonly setWhen: 'dried' | 'closed' | 'rooted';
  /** It came with roots of its own. */
  readonly ownRoots: boolean;
  /**
   * What a look costs: nothing where roots show as it lies or stands behind glass, nothing where new growth tells;
   * a tug where it is buried, which sets roots back.
   */
  readonly look: 'as-it-lies' | 'through-glass' | 'by-growth' | 'by-tug';
  /** What tells that it has taken. */
  readonly shows: 'root points' | 'roots' | 'new growth' | 'shoots' | 'seedlings';
  /** Days without water from setting on, whatever the wound, while it has no roots. */
  readonly dryDays: number;
  /** What it is given until there are roots; null where that is by its flesh: sips, or nothing for wood and cactus. */
  readonly unrootedWater: UnrootedWaterId | null;
  /** A mist is its drink until its roots hold; then it sips at its base until it stands in a pot of its own. */
  readonly misted: boolean;
  /** What it is given from its first roots until it is potted on, where that is neither mist, sip nor its school. */
  readonly young: UnrootedWaterId | null;
  /** The leaf it was is left on its young until it is crisp. */
  readonly leafFeeds: boolean;
  /** It stands singly from the first, so that nothing is potted on. */
  readonly singly: boolean;
  /** Set on the surface of a mix, many share one pot: a pot each is nothing that was chosen. */
  readonly shares: boolean;
  /** What its roots grow in. */
  readonly medium: 'mix' | 'water' | 'air';
  /** How many times the days in a mix roots take. Working assumption in water, where they show sooner; 0.6–1. */
  readonly pace: number;
  /** It can be played: in or on a mix from the day it is set. */
  readonly played: boolean;
  /** Days it is kept dry before it is set, where neither wound nor roots decide. */
  readonly storedDays: number;
  /** Days of closed, damp air at first, opened by steps; 0 where it is in the air from the start. */
  readonly closedDays: number;
  /** Its stations between cut and roots, in the order they come in. */
  readonly stations: readonly Station[];
}

export type Station = 'stick' | 'gate' | 'first-water' | 'roots' | 'wean';

const SET_FIRST: readonly Station[] = ['stick', 'gate', 'first-water', 'roots'];
const ROOTS_FIRST: readonly Station[] = ['gate', 'roots', 'stick', 'first-water'];

const BURIED: Course = {
  lies: 'buried',
  setWhen: 'dried',
  ownRoots: false,
  look: 'by-tug',
  shows: 'roots',
  dryDays: 0,
  unrootedWater: null,
  misted: false,
  young: null,
  leafFeeds: true,
  singly: false,
  shares: false,
  medium: 'mix',
  pace: 1,
  played: true,
  storedDays: 0,
  closedDays: 0,
  stations: SET_FIRST,
};

const ON_SURFACE: Course = {
  ...BURIED,
  lies: 'on-surface',
  look: 'as-it-lies',
  dryDays: 3,
  unrootedWater: 'mist',
  misted: true,
};

const POTTED: Course = {
  ...BURIED,
  lies: 'potted',
  ownRoots: true,
  look: 'by-growth',
  shows: 'new growth',
  singly: true,
};

/** One row a course. A new one is a row here and its words. */
const TABLE = {
  /** Dried in the air, then set; days of its own, or none at all, are the grower's. */
  dried: BURIED,
  /** Bare and light, without medium or water, until roots show. */
  bare: {
    ...ON_SURFACE,
    lies: 'bare',
    setWhen: 'rooted',
    shows: 'root points',
    medium: 'air',
    played: false,
    stations: ROOTS_FIRST,
  },
  /** On the surface of the medium, misted once it may be. */
  laid: { ...ON_SURFACE, shares: true },
  /** A leaf with root points leaned on a stick, under a thin layer that holds moisture. */
  propped: {
    ...ON_SURFACE,
    setWhen: 'rooted',
    shows: 'root points',
    unrootedWater: 'damp',
    misted: false,
    young: 'damp',
    played: false,
    stations: ROOTS_FIRST,
  },
  /** The stalk of a leaf in a small trench. */
  petiole: { ...BURIED, lies: 'in-trench', unrootedWater: 'damp' },
  /** A plucked or torn leaf that makes plantlets along its margin. */
  notch: { ...ON_SURFACE, leafFeeds: false },
  /** Rooted in water, then moved into medium. */
  water: {
    ...BURIED,
    lies: 'in-jar',
    setWhen: 'closed',
    look: 'through-glass',
    medium: 'water',
    pace: 0.8,
    played: false,
    stations: ['gate', 'stick', 'roots', 'wean'],
  },
  /** With roots of its own and nothing cut: no gate. */
  rooted: POTTED,
  /** A rhizome or tuber was cut. */
  division: POTTED,
  'root-cutting': { ...BURIED, look: 'by-growth', shows: 'shoots', unrootedWater: 'sip' },
  seed: {
    ...BURIED,
    lies: 'on-surface',
    look: 'by-growth',
    shows: 'seedlings',
    unrootedWater: 'mist',
    misted: true,
    played: false,
    storedDays: 60,
  },
  /** From a laboratory flask. */
  culture: {
    ...POTTED,
    lies: 'on-surface',
    singly: false,
    misted: true,
    played: false,
    closedDays: 18,
  },
} satisfies Record<string, Course>;

export type CourseId = keyof typeof TABLE;
export const COURSE: Readonly<Record<CourseId, Course>> = TABLE;
export const COURSES = Object.keys(TABLE) as unknown as readonly [CourseId, ...CourseId[]];
