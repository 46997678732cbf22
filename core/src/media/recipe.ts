import * as say from '@hypogeon/messages/core-recipe';

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
    get name() {
      return say.allMineral();
    },
    get says() {
      return say.nothingRotsOrSinks();
    },
    parts: [
      ['pumice', 3],
      ['grit', 1],
      ['zeolite', 1],
    ],
  },
  {
    id: 'two-to-one',
    get name() {
      return say.pumiceWithAkadama();
    },
    get says() {
      return say.airyThreePartsIn();
    },
    parts: [
      ['pumice', 5],
      ['akadama', 3],
    ],
  },
  {
    id: 'half-and-half',
    get name() {
      return say.halfAndHalf();
    },
    get says() {
      return say.perliteWithCompostWhat();
    },
    parts: [
      ['perlite', 1],
      ['compost', 1],
    ],
  },
  {
    id: 'sand-half',
    get name() {
      return say.sandAndCompostHalf();
    },
    get says() {
      return say.heavyAndSteadyThe();
    },
    parts: [
      ['sand-coarse', 1],
      ['compost', 1],
    ],
  },
  {
    id: 'thirds',
    get name() {
      return say.openAndFed();
    },
    get says() {
      return say.asMuchPerliteAs();
    },
    parts: [
      ['coir', 2],
      ['perlite', 2],
      ['worm-castings', 1],
    ],
  },
  {
    id: 'sixty',
    get name() {
      return say.mostlyCoir();
    },
    get says() {
      return say.staysMoistForDays();
    },
    parts: [
      ['coir', 5],
      ['perlite', 3],
      ['worm-castings', 1],
    ],
  },
  {
    id: 'coir',
    get name() {
      return say.plainCoir();
    },
    get says() {
      return say.forTheForgetfulStays();
    },
    parts: [['coir', 1]],
  },
  {
    id: 'snake-plant',
    get name() {
      return say.snakePlantBlend();
    },
    get says() {
      return say.barkAndPumiceOpen();
    },
    parts: [
      ['compost', 2],
      ['pumice', 2],
      ['bark', 1],
    ],
  },
  {
    id: 'alpine',
    get name() {
      return say.alpinePumice();
    },
    get says() {
      return say.finePumiceAloneFor();
    },
    parts: [['pumice-fine', 1]],
  },
  {
    id: 'leaf-bed',
    get name() {
      return say.leafBed();
    },
    get says() {
      return say.fineAndLevelSo();
    },
    parts: [
      ['pumice-fine', 2],
      ['coir', 1],
      ['sand-coarse', 1],
    ],
  },
  {
    id: 'gritty-loam',
    get name() {
      return say.grittyLoam();
    },
    get says() {
      return say.forShrubsAndThick();
    },
    parts: [
      ['loam', 1],
      ['grit', 2],
      ['pumice', 1],
    ],
  },
];
