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
    name: 'Leaf',
    one: 'leaf',
    many: 'leaves',
    piece: 'leaf',
    polarity: 'laid',
    least: {},
    young: 'pups',
  },
  'leaf-section': {
    id: 'leaf-section',
    name: 'Leaf section',
    one: 'section',
    many: 'sections',
    piece: 'strap',
    polarity: 'base down',
    least: { lengthMm: 50 },
    young: 'shoots',
  },
  crown: {
    id: 'crown',
    name: 'Crown',
    one: 'crown',
    many: 'crowns',
    piece: 'crown',
    polarity: 'base down',
    least: { lengthMm: 50, nodes: 2 },
    young: 'heads',
  },
  segment: {
    id: 'segment',
    name: 'Stem segment',
    one: 'segment',
    many: 'segments',
    piece: 'segment',
    polarity: 'base down',
    least: { lengthMm: 30, nodes: 3 },
    young: 'heads',
  },
  trailing: {
    id: 'trailing',
    name: 'Trailing stem',
    one: 'trail',
    many: 'trails',
    piece: 'trailing',
    polarity: 'laid',
    least: { lengthMm: 100, nodes: 3 },
    young: 'heads',
  },
  branch: {
    id: 'branch',
    name: 'Branch cutting',
    one: 'branch',
    many: 'branches',
    piece: 'segment',
    polarity: 'base down',
    least: { lengthMm: 70 },
    young: 'heads',
  },
  pad: {
    id: 'pad',
    name: 'Pad or joint',
    one: 'pad',
    many: 'pads',
    piece: 'pad',
    polarity: 'base down',
    least: {},
    young: 'joints',
  },
  column: {
    id: 'column',
    name: 'Column',
    one: 'column',
    many: 'columns',
    piece: 'column',
    polarity: 'base down',
    least: { lengthMm: 80 },
    young: 'heads',
  },
  offset: {
    id: 'offset',
    name: 'Offset, unrooted',
    one: 'offset',
    many: 'offsets',
    piece: 'offset',
    polarity: 'as it stood',
    least: { share: 1 / 3 },
    young: 'heads',
  },
  'rooted-offset': {
    id: 'rooted-offset',
    name: 'Offset with roots',
    one: 'rooted offset',
    many: 'rooted offsets',
    piece: 'offset',
    polarity: 'as it stood',
    least: { share: 1 / 3 },
    young: 'heads',
  },
  division: {
    id: 'division',
    name: 'Division',
    one: 'division',
    many: 'divisions',
    piece: 'offset',
    polarity: 'as it stood',
    least: {},
    young: 'shoots',
  },
  plantlet: {
    id: 'plantlet',
    name: 'Plantlet',
    one: 'plantlet',
    many: 'plantlets',
    piece: 'plantlet',
    polarity: 'as it stood',
    least: {},
    young: 'heads',
    crumb: true,
  },
  'root-cutting': {
    id: 'root-cutting',
    name: 'Root cutting',
    one: 'root piece',
    many: 'root pieces',
    piece: 'root',
    polarity: 'base down',
    least: {},
    young: 'heads',
  },
  bulbil: {
    id: 'bulbil',
    name: 'Bulbil',
    one: 'bulbil',
    many: 'bulbils',
    piece: 'bulbil',
    polarity: 'as it stood',
    least: {},
    young: 'heads',
  },
  'flower-stalk': {
    id: 'flower-stalk',
    name: 'Flower stalk',
    one: 'flower stalk',
    many: 'flower stalks',
    piece: 'segment',
    polarity: 'base down',
    least: {},
    young: 'heads',
  },
  seed: {
    id: 'seed',
    name: 'Seed',
    one: 'seed',
    many: 'seeds',
    piece: 'seed',
    polarity: 'as it stood',
    least: {},
    young: 'true-leaves',
  },
  culture: {
    id: 'culture',
    name: 'From a flask',
    one: 'plant from a flask',
    many: 'plants from a flask',
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
