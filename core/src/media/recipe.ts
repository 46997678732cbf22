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
    name: 'Two pumice, one akadama',
    says: 'Airy, holds a drink inside the grains.',
    parts: [
      ['pumice', 2],
      ['akadama', 1],
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
    name: 'Thirds',
    says: 'Coir, perlite and castings: open, with food.',
    parts: [
      ['coir', 1],
      ['perlite', 1],
      ['worm-castings', 1],
    ],
  },
  {
    id: 'sixty',
    name: 'Sixty, twenty, twenty',
    says: 'Mostly coir, opened with perlite, fed with castings.',
    parts: [
      ['coir', 60],
      ['perlite', 20],
      ['worm-castings', 20],
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
