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
  /** What to mind when taking it. Common practice, no source. */
  readonly rule: string;
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
    rule: 'A mature leaf from low on the stem, twisted off whole at its base; laid on the surface, hollow side up.',
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
    rule: 'Mark every section with an arrow before the first cut: the end nearer the base goes down.',
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
    rule: 'Strip the lowest one or two leaf pairs for 2–3 cm of bare stem.',
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
    rule: 'Two or three nodes or more, the right way up, one node at least under the surface.',
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
    rule: '10 cm or more, at least three bare nodes under the surface or coiled on top.',
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
    rule: 'From a side branch, not the leader; leaves off; firm the medium hard round it.',
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
    rule: 'Cut at the joint, never across a pad.',
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
    rule: 'Bevel the rim round the cut, so that the wound dries inward and not up.',
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
    rule: 'Wait for a third of the mother’s size; one clean cut, then shallow beats deep.',
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
    rule: 'Comes away with its own roots: pot at once, at the depth it had.',
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
    rule: 'Find where the clump parts by itself; cut only the connection, keep the roots.',
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
    rule: 'Take those with two or three roots; set on the surface and mist.',
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
    rule: 'Thick roots in pieces, autumn to winter, the right way up, in pure grit and nearly dry.',
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
    rule: 'Set with its stalk, no deeper than it sits on it.',
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
    rule: 'A young stalk without its flowers, set as a stem cutting. It seldom takes.',
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
    rule: 'Dried about two months, sown on the surface; seedlings stay until they have true leaves.',
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
    rule: 'Jelly washed off the roots; damp air at first, then hardened by steps.',
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
