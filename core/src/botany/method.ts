import * as say from '@hypogeon/messages/core-method';
import type { Piece } from '../look';

/** The ways of propagating that the bench knows. */
export const METHODS = [
  'leaf',
  'leaf-section',
  'crown',
  'segment',
  'trailing',
  'branch',
  'pad',
  'column',
  'offset',
  'rooted-offset',
  'division',
  'plantlet',
  'root-cutting',
  'bulbil',
  'flower-stalk',
  'seed',
  'culture',
] as const;

export type MethodId = (typeof METHODS)[number];

export { PIECES, type Piece } from '../look';

/** What a piece with roots brings next: what it becomes a plant by, and is counted. Common practice, no source. */
export const YOUNGS = ['pups', 'shoots', 'heads', 'joints', 'plantlets', 'true-leaves'] as const;
export type Young = (typeof YOUNGS)[number];

export interface Method {
  readonly id: MethodId;
  readonly name: string;
  /** The pieces it gives: one, many. */
  readonly one: string;
  readonly many: string;
  readonly piece: Piece;
  /** Which end goes down: roots come from the end that stood lower, and from no other. */
  readonly polarity: 'base down' | 'laid' | 'as it stood';
  /** The least that takes; a plant may ask for more. Common practice, no source. */
  readonly least: Least;
  readonly young: Young;
  /** Several fill one pot, and stay in it. */
  readonly together?: true;
  /** So small that it is sprayed and not soaked, and not potted singly at once. */
  readonly crumb?: true;
}

/** What a piece must have at least. */
export interface Least {
  readonly lengthMm?: number | undefined;
  readonly nodes?: number | undefined;
  /** Share of the mother's size. */
  readonly share?: number | undefined;
  /** This tall is enough, whatever the mother. */
  readonly tallMm?: number | undefined;
}

export const METHOD: Readonly<Record<MethodId, Method>> = {
  leaf: {
    id: 'leaf',
    get name() {
      return say.leaf();
    },
    get one() {
      return say.leaf2();
    },
    get many() {
      return say.leaves();
    },
    piece: 'leaf',
    polarity: 'laid',
    least: {},
    young: 'pups',
  },
  'leaf-section': {
    id: 'leaf-section',
    get name() {
      return say.leafSection();
    },
    get one() {
      return say.section();
    },
    get many() {
      return say.sections();
    },
    piece: 'strap',
    polarity: 'base down',
    least: { lengthMm: 50 },
    young: 'shoots',
  },
  crown: {
    id: 'crown',
    get name() {
      return say.crown();
    },
    get one() {
      return say.crown2();
    },
    get many() {
      return say.crowns();
    },
    piece: 'crown',
    polarity: 'base down',
    least: { lengthMm: 50, nodes: 2 },
    young: 'heads',
  },
  segment: {
    id: 'segment',
    get name() {
      return say.stemSegment();
    },
    get one() {
      return say.segment();
    },
    get many() {
      return say.segments();
    },
    piece: 'segment',
    polarity: 'base down',
    least: { lengthMm: 30, nodes: 3 },
    young: 'heads',
  },
  trailing: {
    id: 'trailing',
    get name() {
      return say.trailingStem();
    },
    get one() {
      return say.trail();
    },
    get many() {
      return say.trails();
    },
    piece: 'trailing',
    polarity: 'laid',
    least: { lengthMm: 100, nodes: 3 },
    young: 'heads',
    together: true,
  },
  branch: {
    id: 'branch',
    get name() {
      return say.branchCutting();
    },
    get one() {
      return say.branch();
    },
    get many() {
      return say.branches();
    },
    piece: 'segment',
    polarity: 'base down',
    least: { lengthMm: 70 },
    young: 'heads',
  },
  pad: {
    id: 'pad',
    get name() {
      return say.padOrJoint();
    },
    get one() {
      return say.pad();
    },
    get many() {
      return say.pads();
    },
    piece: 'pad',
    polarity: 'base down',
    least: {},
    young: 'joints',
  },
  column: {
    id: 'column',
    get name() {
      return say.column();
    },
    get one() {
      return say.column2();
    },
    get many() {
      return say.columns();
    },
    piece: 'column',
    polarity: 'base down',
    least: { lengthMm: 80 },
    young: 'heads',
  },
  offset: {
    id: 'offset',
    get name() {
      return say.offsetUnrooted();
    },
    get one() {
      return say.offset();
    },
    get many() {
      return say.offsets();
    },
    piece: 'offset',
    polarity: 'as it stood',
    least: { share: 1 / 3 },
    young: 'heads',
  },
  'rooted-offset': {
    id: 'rooted-offset',
    get name() {
      return say.offsetWithRoots();
    },
    get one() {
      return say.rootedOffset();
    },
    get many() {
      return say.rootedOffsets();
    },
    piece: 'offset',
    polarity: 'as it stood',
    least: { share: 1 / 3 },
    young: 'heads',
  },
  division: {
    id: 'division',
    get name() {
      return say.division();
    },
    get one() {
      return say.division2();
    },
    get many() {
      return say.divisions();
    },
    piece: 'offset',
    polarity: 'as it stood',
    least: {},
    young: 'shoots',
  },
  plantlet: {
    id: 'plantlet',
    get name() {
      return say.plantlet();
    },
    get one() {
      return say.plantlet2();
    },
    get many() {
      return say.plantlets();
    },
    piece: 'plantlet',
    polarity: 'as it stood',
    least: {},
    young: 'heads',
    crumb: true,
  },
  'root-cutting': {
    id: 'root-cutting',
    get name() {
      return say.rootCutting();
    },
    get one() {
      return say.rootPiece();
    },
    get many() {
      return say.rootPieces();
    },
    piece: 'root',
    polarity: 'base down',
    least: {},
    young: 'heads',
  },
  bulbil: {
    id: 'bulbil',
    get name() {
      return say.bulbil();
    },
    get one() {
      return say.bulbil2();
    },
    get many() {
      return say.bulbils();
    },
    piece: 'bulbil',
    polarity: 'as it stood',
    least: {},
    young: 'heads',
  },
  'flower-stalk': {
    id: 'flower-stalk',
    get name() {
      return say.flowerStalk();
    },
    get one() {
      return say.flowerStalk2();
    },
    get many() {
      return say.flowerStalks();
    },
    piece: 'segment',
    polarity: 'base down',
    least: {},
    young: 'heads',
  },
  seed: {
    id: 'seed',
    get name() {
      return say.seed();
    },
    get one() {
      return say.seed2();
    },
    get many() {
      return say.seeds();
    },
    piece: 'seed',
    polarity: 'as it stood',
    least: {},
    young: 'true-leaves',
  },
  culture: {
    id: 'culture',
    get name() {
      return say.fromAFlask();
    },
    get one() {
      return say.plantFromAFlask();
    },
    get many() {
      return say.plantsFromAFlask();
    },
    piece: 'plantlet',
    polarity: 'as it stood',
    least: {},
    young: 'heads',
  },
};

/** Ways and origins that have a course and a history, but no place in the plan: growers seldom choose them. */
const RECORDED_ONLY: ReadonlySet<MethodId> = new Set([
  'root-cutting',
  'bulbil',
  'flower-stalk',
  'seed',
  'culture',
]);

/** The ways a plan is made for. */
export const PLANNED_METHODS: readonly MethodId[] = METHODS.filter((m) => !RECORDED_ONLY.has(m));
