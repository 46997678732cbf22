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
    title: 'Latex can blind',
    advice:
      'Goggles and gloves before the first cut. In the eye: rinse for a long time and see a doctor at once.',
    weight: 'danger',
  },
  oxalate: {
    title: 'Sap with needle crystals',
    advice: 'Gloves; keep hands off eyes and mouth; rinse skin.',
    weight: 'care',
  },
  'irritant sap': {
    title: 'Sap may irritate',
    advice: 'Gloves; wash hands and blade after.',
    weight: 'care',
  },
  poisonous: {
    title: 'Poisonous if eaten',
    advice: 'Sweep up every leaf; keep from children and pets. Eaten: poison centre or vet.',
    weight: 'care',
  },
  spines: {
    title: 'Spines',
    advice: 'Tongs or folded paper, eye cover, a steady board.',
    weight: 'care',
  },
  glochids: {
    title: 'Glochids',
    advice: 'Tongs, not gloves: the hairs go through. Tape lifts them out; keep them off the eyes.',
    weight: 'danger',
  },
};

const LAW_CAUTION: Readonly<Record<Taxon['law'][number], Caution>> = {
  cites: {
    title: 'Listed under CITES',
    advice: 'No papers needed at home, but to cross a border. Never from the wild.',
    weight: 'law',
  },
  weed: {
    title: 'A declared weed in places',
    advice: 'Check your own state’s list before you grow, give or bin any of it.',
    weight: 'law',
  },
  rights: {
    title: 'Often a protected variety',
    advice: 'Breeders’ rights or a patent may forbid propagating it. Read the label.',
    weight: 'law',
  },
};

const BLADE: Caution = {
  title: 'Blade',
  advice: 'Cut away from the hand, on a board; cap it after.',
  weight: 'care',
};

const DISINFECTANT_CAUTION: Readonly<Record<Disinfectant, readonly Caution[]>> = {
  none: [],
  alcohol: [
    {
      title: 'Alcohol burns',
      advice: 'No flame or heater near; 70% works best; let the blade dry.',
      weight: 'care',
    },
  ],
  bleach: [
    {
      title: 'Bleach',
      advice:
        'Never with acid, ammonia, alcohol or another cleaner. Open air, gloves, rinse the blade: it rusts. The label decides.',
      weight: 'danger',
    },
  ],
};

const DUST: Caution = {
  title: 'Dust',
  advice: 'Wet grit, perlite and compost before you handle them; mask; wash hands.',
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
