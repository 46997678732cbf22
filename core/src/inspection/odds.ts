/*
 * What is seen at a cutting, what it may come from, and how the two go together. The pairs follow the trade's rules
 * of thumb (common practice, no source); the numbers are working assumptions, to be edited here and nowhere else.
 */

/** What can be looked for. A question is answered yes or no, or left open. */
export const SIGNS = {
  wrinkled: { asks: 'Wrinkled', how: 'Skin in folds, still in one piece.' },
  firm: { asks: 'Firm when pressed', how: 'Between two fingers, not at the tip.' },
  'base-dark': { asks: 'Base dark', how: 'Brown or black at the cut.' },
  'base-soft': { asks: 'Base soft or wet', how: 'Touch it: does it give, or shine?' },
  smell: { asks: 'Foul smell', how: 'Hold it close.' },
  glassy: { asks: 'Yellow and glassy', how: 'Light shines through the flesh.' },
  pup: { asks: 'A pup grows', how: 'At the base of the leaf or from a node.' },
  'new-top': { asks: 'New growth at the top', how: 'Fresh leaves since it was cut.' },
  tug: { asks: 'Resists a light tug', how: 'Light: roots tear sooner than one thinks.' },
  'roots-out': { asks: 'Roots out of the holes, pot bulging', how: 'Lift the pot and look.' },
  'air-roots': { asks: 'Roots in the air along the stem', how: 'Thin threads above the medium.' },
  stretched: { asks: 'Stretched, pale, leaning', how: 'Leaves far apart, bent to the light.' },
  bleached: { asks: 'Bleached or red patches', how: 'On the side that faces the sun.' },
  fluff: { asks: 'White fluff, webbing or stickiness', how: 'Leaf axils and undersides.' },
  gnats: { asks: 'Small flies over the medium', how: 'Tap the pot.' },
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
    name: 'Living off itself',
    then: ['Leave it: shrinking before roots is the expected course.'],
    weight: 'leave',
    shows: { wrinkled: 0.8, firm: 0.75, 'new-top': 0.2 },
  },
  stalled: {
    name: 'Sealed too hard, too cold or too dry to root',
    then: ['Cut the base fresh.', 'Warmer, and a little moisture once the new wound is dry.'],
    weight: 'soon',
    shows: { wrinkled: 0.85, firm: 0.6, 'base-dark': 0.25 },
  },
  rot: {
    name: 'Rot',
    then: [
      'Cut back to clean white tissue, the blade disinfected between cuts.',
      'A longer callus than the first time; if the crown has gone, discard it.',
      'Keep its neighbours dry. Count the loss.',
    ],
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
    name: 'Callus, nothing wrong',
    then: ['Nothing. Dark, hard and dry is a healed wound.'],
    weight: 'leave',
    shows: { 'base-dark': 0.85, firm: 0.9, wrinkled: 0.25 },
  },
  damaged: {
    name: 'Over-wet, or damaged when it was taken',
    then: ['Discard it: leaves seldom recover.', 'Count the loss; water the others later.'],
    weight: 'now',
    shows: { glassy: 0.9, 'base-soft': 0.5, 'base-dark': 0.25, firm: 0.1 },
  },
  feeding: {
    name: 'Mother leaf feeding its pup',
    then: ['Leave it on. Pot the pup a few days after the leaf is crisp.'],
    weight: 'leave',
    shows: { wrinkled: 0.85, pup: 0.95, firm: 0.25, tug: 0.6 },
  },
  rooted: {
    name: 'Rooted',
    then: ['The first real drink.', 'Feed from about two weeks later, half strength, in growth.'],
    weight: 'soon',
    shows: { tug: 0.95, 'new-top': 0.5, firm: 0.75, pup: 0.3 },
  },
  bound: {
    name: 'Pot-bound',
    then: ['Divide it or pot it on.'],
    weight: 'soon',
    shows: { 'roots-out': 0.95, tug: 0.9, firm: 0.7, 'new-top': 0.5 },
  },
  'dry-stem': {
    name: 'Dry, or ready to be cut',
    then: ['Use the rooted piece as a cutting, or bury it.'],
    weight: 'leave',
    shows: { 'air-roots': 0.95, wrinkled: 0.4, firm: 0.6 },
  },
  dark: {
    name: 'Too little light',
    then: ['More light by steps over two weeks.', 'Behead it later: the crown is a cutting.'],
    weight: 'soon',
    shows: { stretched: 0.95, 'new-top': 0.6, firm: 0.6 },
  },
  sun: {
    name: 'Sun too soon',
    then: ['Shade at midday; harden over two weeks.'],
    weight: 'soon',
    shows: { bleached: 0.95, firm: 0.6, wrinkled: 0.25 },
  },
  pests: {
    name: 'Pests',
    then: [
      'Move it away from the others.',
      'Treat as the label of the product allows. Take no cuttings from it.',
    ],
    weight: 'now',
    shows: { fluff: 0.95, firm: 0.6, wrinkled: 0.25 },
  },
  gnats: {
    name: 'Wet organic surface',
    then: ['Let it dry out. Grit on top.'],
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
