/** A house recipe: where many schools start from. Common practice, no source. */
export interface Recipe {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  /** Parts by loose volume, by component id. */
  readonly parts: readonly (readonly [component: string, parts: number])[];
}

export const RECIPES: readonly Recipe[] = [
  {
    id: 'all-mineral',
    name: 'All mineral',
    says: 'Nothing rots or sinks; dries fast, feeds nothing.',
    parts: [
      ['pumice', 3],
      ['grit', 1],
      ['zeolite', 1],
    ],
  },
  {
    id: 'two-to-one',
    name: 'Pumice with akadama',
    says: 'Airy; three parts in eight hold a drink inside their grains, enough to bridge a warm week.',
    parts: [
      ['pumice', 5],
      ['akadama', 3],
    ],
  },
  {
    id: 'half-and-half',
    name: 'Half and half',
    says: 'Perlite with compost: what most begin with.',
    parts: [
      ['perlite', 1],
      ['compost', 1],
    ],
  },
  {
    id: 'sand-half',
    name: 'Sand and compost, half each',
    says: 'Heavy and steady; the sand fills the compost.',
    parts: [
      ['sand-coarse', 1],
      ['compost', 1],
    ],
  },
  {
    id: 'thirds',
    name: 'Open and fed',
    says: 'As much perlite as coir; a fifth of castings feeds, more would stay wet.',
    parts: [
      ['coir', 2],
      ['perlite', 2],
      ['worm-castings', 1],
    ],
  },
  {
    id: 'sixty',
    name: 'Mostly coir',
    says: 'Stays moist for days; a third of perlite lets air in, a little of castings feeds.',
    parts: [
      ['coir', 5],
      ['perlite', 3],
      ['worm-castings', 1],
    ],
  },
  {
    id: 'coir',
    name: 'Plain coir',
    says: 'For the forgetful: stays moist for long.',
    parts: [['coir', 1]],
  },
  {
    id: 'snake-plant',
    name: 'Snake plant blend',
    says: 'Bark and pumice open the compost round thick rhizomes.',
    parts: [
      ['compost', 2],
      ['pumice', 2],
      ['bark', 1],
    ],
  },
  {
    id: 'alpine',
    name: 'Alpine pumice',
    says: 'Fine pumice alone, for tips of mats and cushions.',
    parts: [['pumice-fine', 1]],
  },
  {
    id: 'leaf-bed',
    name: 'Leaf bed',
    says: 'Fine and level, so that small roots find ground.',
    parts: [
      ['pumice-fine', 2],
      ['coir', 1],
      ['sand-coarse', 1],
    ],
  },
  {
    id: 'gritty-loam',
    name: 'Gritty loam',
    says: 'For shrubs and thick stems that want weight.',
    parts: [
      ['loam', 1],
      ['grit', 2],
      ['pumice', 1],
    ],
  },
];
