import * as say from '@hypogeon/messages/core-caution';
import type { Hazard, Taxon } from '../botany';

/** A caution: what can hurt, what to do. It defers to labels, local rules, doctors and vets. */
export interface Caution {
  readonly title: string;
  readonly advice: string;
  readonly weight: 'danger' | 'care' | 'law';
}

export const DISINFECTANTS = ['alcohol', 'bleach', 'none'] as const;
export type Disinfectant = (typeof DISINFECTANTS)[number];

/** All of these are common practice, no source. */
const HAZARD_CAUTION: Readonly<Record<Hazard, Omit<Caution, 'title'> & { title: string }>> = {
  latex: {
    get title() {
      return say.latexCanBlind();
    },
    get advice() {
      return say.gogglesAndGlovesBefore();
    },
    weight: 'danger',
  },
  oxalate: {
    get title() {
      return say.sapWithNeedleCrystals();
    },
    get advice() {
      return say.glovesKeepHandsOff();
    },
    weight: 'care',
  },
  'irritant sap': {
    get title() {
      return say.sapMayIrritate();
    },
    get advice() {
      return say.glovesWashHandsAnd();
    },
    weight: 'care',
  },
  poisonous: {
    get title() {
      return say.poisonousIfEaten();
    },
    get advice() {
      return say.sweepUpEveryLeaf();
    },
    weight: 'care',
  },
  spines: {
    get title() {
      return say.spines();
    },
    get advice() {
      return say.tongsOrFoldedPaper();
    },
    weight: 'care',
  },
  glochids: {
    get title() {
      return say.glochids();
    },
    get advice() {
      return say.tongsNotGlovesThe();
    },
    weight: 'danger',
  },
};

const LAW_CAUTION: Readonly<Record<Taxon['law'][number], Caution>> = {
  cites: {
    get title() {
      return say.listedUnderCites();
    },
    get advice() {
      return say.noPapersNeededAt();
    },
    weight: 'law',
  },
  weed: {
    get title() {
      return say.aDeclaredWeedIn();
    },
    get advice() {
      return say.checkYourOwnStates();
    },
    weight: 'law',
  },
  rights: {
    get title() {
      return say.oftenAProtectedVariety();
    },
    get advice() {
      return say.breedersRightsOrA();
    },
    weight: 'law',
  },
};

const BLADE: Caution = {
  get title() {
    return say.blade();
  },
  get advice() {
    return say.cutAwayFromThe();
  },
  weight: 'care',
};

const DISINFECTANT_CAUTION: Readonly<Record<Disinfectant, readonly Caution[]>> = {
  none: [],
  alcohol: [
    {
      get title() {
        return say.alcoholBurns();
      },
      get advice() {
        return say.noFlameOrHeater();
      },
      weight: 'care',
    },
  ],
  bleach: [
    {
      get title() {
        return say.bleach();
      },
      get advice() {
        return say.neverWithAcidAmmonia();
      },
      weight: 'danger',
    },
  ],
};

const DUST: Caution = {
  get title() {
    return say.dust();
  },
  get advice() {
    return say.wetGritPerliteAnd();
  },
  weight: 'care',
};

/**
 * The cautions where the cut happens, gravest first.
 * @param taxon what is cut
 * @param cuts false where nothing is cut (plantlets, rooted offsets)
 */
export function cuttingCautions(
  taxon: Pick<Taxon, 'hazards' | 'law'>,
  cuts: boolean,
  disinfectant: Disinfectant,
): readonly Caution[] {
  const cautions = [
    ...hazardCautions(taxon),
    ...(cuts ? [BLADE] : []),
    ...DISINFECTANT_CAUTION[disinfectant],
    DUST,
    ...taxon.law.map((law) => LAW_CAUTION[law]),
  ];
  const rank = { danger: 0, care: 1, law: 2 } as const;
  return cautions.toSorted((a, b) => rank[a.weight] - rank[b.weight]);
}

const hazardCautions = ({ hazards }: Pick<Taxon, 'hazards'>): readonly Caution[] =>
  hazards.map(({ kind, part }) => {
    const caution = HAZARD_CAUTION[kind];
    return { ...caution, title: `${caution.title} (${part})` };
  });

/** The cautions for whoever keeps a plant, or is handed a piece of it. */
export const cautionsFor = (taxon: Pick<Taxon, 'hazards' | 'law'>): readonly Caution[] => [
  ...hazardCautions(taxon),
  ...taxon.law.map((law) => LAW_CAUTION[law]),
];
