import type { Tissue } from '../wound';
import type { MethodId, Piece } from './method';
import type { Hazard, Taxon, TaxonMethod } from './taxon';

/*
 * The plants that ship. Every figure carries its evidence; the short builders below give it
 * `common practice` unless told otherwise, because that is what nearly all of it is.
 */
const PRACTICE = 'common practice' as const;
const MEMORY = 'from memory' as const;

type Days = readonly [from: number, to: number];

interface Way {
  readonly method: MethodId;
  readonly tissue?: Tissue;
  readonly wound?: number | readonly [widthMm: number, thicknessMm: number];
  readonly roots: Days;
  readonly pups?: Days;
  readonly success: number;
  readonly piece?: Piece;
  readonly poor?: string;
}

function way({ method, tissue, wound, roots, pups, success, piece, poor }: Way): TaxonMethod {
  const [widthMm, thicknessMm] = typeof wound === 'number' ? [wound] : (wound ?? []);
  return {
    method,
    worth: poor === undefined ? 'good' : 'poor',
    ...(poor === undefined ? {} : { why: poor }),
    ...(piece === undefined ? {} : { piece }),
    wound:
      tissue === undefined || widthMm === undefined
        ? null
        : {
            tissue,
            widthMm,
            ...(thicknessMm === undefined ? {} : { thicknessMm }),
            evidence: MEMORY,
          },
    roots: { from: roots[0], to: roots[1], evidence: PRACTICE },
    pups: pups ? { from: pups[0], to: pups[1], evidence: PRACTICE } : null,
    success: { mean: success, worth: 8, evidence: MEMORY },
  };
}

const season = (grower: Taxon['season']['grower'], fromC: number, toC: number) => ({
  grower,
  fromC,
  toC,
  evidence: MEMORY,
});

const hazard = (kind: Hazard, part: string) => ({ kind, part, evidence: PRACTICE });

export const CATALOGUE: readonly Taxon[] = [
  {
    id: 'echeveria-elegans',
    name: 'Echeveria elegans',
    family: 'Crassulaceae',
    common: ['Mexican snowball'],
    synonyms: [],
    season: season('either', 14, 28),
    methods: [
      way({
        method: 'leaf',
        tissue: 'leaf base',
        wound: 3.5,
        roots: [7, 14],
        pups: [28, 56],
        success: 0.7,
      }),
      way({ method: 'crown', tissue: 'soft stem', wound: 8, roots: [14, 28], success: 0.92 }),
      way({ method: 'offset', tissue: 'soft stem', wound: 5, roots: [14, 28], success: 0.93 }),
    ],
    not: [],
    hazards: [],
    law: [],
  },
  {
    id: 'graptopetalum-paraguayense',
    name: 'Graptopetalum paraguayense',
    family: 'Crassulaceae',
    common: ['Ghost plant'],
    synonyms: ['Sedum weinbergii'],
    season: season('either', 12, 30),
    methods: [
      way({
        method: 'leaf',
        tissue: 'leaf base',
        wound: 3.5,
        roots: [7, 14],
        pups: [28, 56],
        success: 0.88,
      }),
      way({ method: 'crown', tissue: 'soft stem', wound: 7, roots: [14, 28], success: 0.94 }),
      way({
        method: 'segment',
        tissue: 'soft stem',
        wound: 7,
        roots: [18, 35],
        pups: [35, 70],
        success: 0.8,
      }),
    ],
    not: [],
    hazards: [],
    law: [],
  },
  {
    id: 'pachyphytum-oviferum',
    name: 'Pachyphytum oviferum',
    family: 'Crassulaceae',
    common: ['Moonstones'],
    synonyms: [],
    season: season('either', 13, 28),
    methods: [
      way({
        method: 'leaf',
        tissue: 'leaf base',
        wound: 4,
        roots: [10, 21],
        pups: [35, 70],
        success: 0.72,
      }),
      way({ method: 'crown', tissue: 'soft stem', wound: 9, roots: [14, 28], success: 0.9 }),
    ],
    not: [],
    hazards: [],
    law: [],
  },
  {
    id: 'sedum-pachyphyllum',
    name: 'Sedum pachyphyllum',
    family: 'Crassulaceae',
    common: ['Jelly beans'],
    synonyms: [],
    season: season('either', 12, 30),
    methods: [
      way({
        method: 'leaf',
        tissue: 'leaf base',
        wound: 2.5,
        roots: [7, 14],
        pups: [28, 56],
        success: 0.78,
      }),
      way({ method: 'crown', tissue: 'soft stem', wound: 5, roots: [14, 28], success: 0.93 }),
      way({
        method: 'segment',
        tissue: 'soft stem',
        wound: 5,
        roots: [16, 30],
        pups: [30, 60],
        success: 0.82,
      }),
    ],
    not: [],
    hazards: [],
    law: [],
  },
  {
    id: 'crassula-ovata',
    name: 'Crassula ovata',
    family: 'Crassulaceae',
    common: ['Jade plant', 'Money tree'],
    synonyms: ['Crassula argentea', 'Crassula portulacea'],
    season: season('either', 14, 28),
    methods: [
      way({
        method: 'branch',
        tissue: 'semi-woody stem',
        wound: 12,
        roots: [21, 60],
        success: 0.9,
      }),
      way({ method: 'crown', tissue: 'soft stem', wound: 8, roots: [21, 60], success: 0.9 }),
      way({
        method: 'leaf',
        tissue: 'leaf base',
        wound: 4,
        roots: [14, 35],
        pups: [42, 90],
        success: 0.6,
      }),
    ],
    not: [],
    hazards: [hazard('poisonous', 'all parts, to pets')],
    law: [],
  },
  {
    id: 'crassula-perforata',
    name: 'Crassula perforata',
    family: 'Crassulaceae',
    common: ['String of buttons'],
    synonyms: [],
    season: season('either', 12, 26),
    methods: [
      way({ method: 'crown', tissue: 'soft stem', wound: 4, roots: [7, 21], success: 0.95 }),
      way({
        method: 'segment',
        tissue: 'soft stem',
        wound: 4,
        roots: [14, 28],
        pups: [28, 56],
        success: 0.85,
      }),
      way({
        method: 'leaf',
        tissue: 'leaf base',
        wound: 3,
        roots: [28, 120],
        pups: [60, 150],
        success: 0.02,
        poor: 'About one leaf in fifty over four months: take crowns.',
      }),
    ],
    not: [],
    hazards: [],
    law: [],
  },
  {
    id: 'kalanchoe-tomentosa',
    name: 'Kalanchoe tomentosa',
    family: 'Crassulaceae',
    common: ['Panda plant'],
    synonyms: [],
    season: season('summer', 16, 30),
    methods: [
      way({
        method: 'leaf',
        tissue: 'leaf base',
        wound: 4,
        roots: [13, 28],
        pups: [35, 70],
        success: 0.65,
      }),
      way({ method: 'crown', tissue: 'soft stem', wound: 7, roots: [13, 21], success: 0.88 }),
    ],
    not: [],
    hazards: [hazard('poisonous', 'all parts: cardiac glycosides, to people and pets')],
    law: [],
  },
  {
    id: 'aeonium-arboreum',
    name: 'Aeonium arboreum',
    family: 'Crassulaceae',
    common: ['Tree aeonium'],
    synonyms: [],
    season: season('winter', 8, 22),
    methods: [
      way({ method: 'crown', tissue: 'semi-woody stem', wound: 15, roots: [14, 28], success: 0.9 }),
      way({
        method: 'segment',
        tissue: 'semi-woody stem',
        wound: 15,
        roots: [21, 42],
        pups: [42, 84],
        success: 0.6,
      }),
    ],
    not: [{ method: 'leaf', why: 'A leaf carries no bud: it may root and never pups.' }],
    hazards: [],
    law: [],
  },
  {
    id: 'haworthiopsis-attenuata',
    name: 'Haworthiopsis attenuata',
    family: 'Asphodelaceae',
    common: ['Zebra plant'],
    synonyms: ['Haworthia attenuata'],
    season: season('either', 13, 27),
    methods: [
      way({ method: 'offset', tissue: 'soft stem', wound: 6, roots: [14, 28], success: 0.9 }),
      way({ method: 'rooted-offset', roots: [7, 21], success: 0.96 }),
      way({
        method: 'leaf',
        tissue: 'leaf base',
        wound: 9,
        roots: [30, 75],
        pups: [75, 150],
        success: 0.3,
        poor: 'Slow, and only with a whole base: offsets are quicker.',
      }),
    ],
    not: [],
    hazards: [],
    law: [],
  },
  {
    id: 'gasteria-carinata',
    name: 'Gasteria carinata',
    family: 'Asphodelaceae',
    common: ['Keeled ox tongue'],
    synonyms: ['Gasteria verrucosa'],
    season: season('either', 13, 27),
    methods: [
      way({
        method: 'leaf-section',
        tissue: 'strap leaf',
        wound: [35, 10],
        roots: [28, 70],
        pups: [75, 180],
        success: 0.65,
      }),
      way({
        method: 'leaf',
        tissue: 'strap leaf',
        wound: [30, 10],
        roots: [28, 60],
        pups: [75, 150],
        success: 0.7,
        piece: 'strap',
      }),
      way({ method: 'rooted-offset', roots: [7, 21], success: 0.95 }),
    ],
    not: [],
    hazards: [],
    law: [],
  },
  {
    id: 'aloe-juvenna',
    name: 'Aloe juvenna',
    family: 'Asphodelaceae',
    common: ['Tiger tooth aloe'],
    synonyms: [],
    season: season('summer', 14, 30),
    methods: [
      way({ method: 'crown', tissue: 'soft stem', wound: 9, roots: [14, 28], success: 0.9 }),
      way({ method: 'offset', tissue: 'soft stem', wound: 8, roots: [14, 28], success: 0.92 }),
    ],
    not: [{ method: 'leaf', why: 'Aloe leaves hold water and no bud: they rot.' }],
    hazards: [hazard('poisonous', 'sap and leaf, to pets')],
    law: ['cites'],
  },
  {
    id: 'dracaena-trifasciata',
    name: 'Dracaena trifasciata',
    family: 'Asparagaceae',
    common: ['Snake plant'],
    synonyms: ['Sansevieria trifasciata'],
    season: season('summer', 18, 30),
    methods: [
      way({
        method: 'leaf-section',
        tissue: 'strap leaf',
        wound: [60, 5],
        roots: [60, 240],
        pups: [60, 240],
        success: 0.75,
      }),
      way({ method: 'division', tissue: 'rhizome', wound: 14, roots: [14, 28], success: 0.95 }),
    ],
    not: [],
    hazards: [hazard('poisonous', 'all parts: saponins, to people and pets')],
    law: ['weed'],
  },
  {
    id: 'curio-rowleyanus',
    name: 'Curio rowleyanus',
    family: 'Asteraceae',
    common: ['String of pearls'],
    synonyms: ['Senecio rowleyanus'],
    season: season('either', 14, 26),
    methods: [
      way({ method: 'trailing', tissue: 'soft stem', wound: 2, roots: [14, 28], success: 0.85 }),
    ],
    not: [{ method: 'leaf', why: 'A single pearl carries no bud.' }],
    hazards: [
      hazard('poisonous', 'all parts, to people and pets'),
      hazard('irritant sap', 'sap, to skin'),
    ],
    law: [],
  },
  {
    id: 'euphorbia-milii',
    name: 'Euphorbia milii',
    family: 'Euphorbiaceae',
    common: ['Crown of thorns'],
    synonyms: ['Euphorbia splendens'],
    season: season('summer', 18, 32),
    methods: [
      way({
        method: 'branch',
        tissue: 'semi-woody stem',
        wound: 10,
        roots: [28, 56],
        success: 0.75,
      }),
    ],
    not: [{ method: 'leaf', why: 'Its leaves carry no bud.' }],
    hazards: [
      hazard('latex', 'white latex from any cut'),
      hazard('spines', 'stems'),
      hazard('poisonous', 'all parts, to people and pets'),
    ],
    law: ['cites'],
  },
  {
    id: 'opuntia-microdasys',
    name: 'Opuntia microdasys',
    family: 'Cactaceae',
    common: ['Bunny ears'],
    synonyms: [],
    season: season('summer', 16, 34),
    methods: [
      way({
        method: 'pad',
        tissue: 'cactus body',
        wound: [18, 7],
        roots: [14, 35],
        pups: [60, 180],
        success: 0.93,
      }),
    ],
    not: [],
    hazards: [hazard('glochids', 'every pad')],
    law: ['cites', 'weed'],
  },
  {
    id: 'mammillaria-vetula',
    name: 'Mammillaria vetula',
    family: 'Cactaceae',
    common: ['Thimble cactus'],
    synonyms: ['Mammillaria gracilis'],
    season: season('summer', 15, 32),
    methods: [
      way({
        method: 'offset',
        tissue: 'cactus body',
        wound: 4,
        roots: [14, 28],
        success: 0.92,
        piece: 'ball',
      }),
    ],
    not: [],
    hazards: [hazard('spines', 'whole body')],
    law: ['cites'],
  },
  {
    id: 'cereus-hildmannianus',
    name: 'Cereus hildmannianus',
    family: 'Cactaceae',
    common: ['Hedge cactus'],
    synonyms: ['Cereus peruvianus'],
    season: season('summer', 16, 34),
    methods: [
      way({ method: 'column', tissue: 'cactus body', wound: 60, roots: [28, 70], success: 0.88 }),
    ],
    not: [],
    hazards: [hazard('spines', 'ribs')],
    law: ['cites', 'weed'],
  },
  {
    id: 'portulacaria-afra',
    name: 'Portulacaria afra',
    family: 'Didiereaceae',
    common: ['Elephant bush', 'Spekboom'],
    synonyms: [],
    season: season('summer', 15, 32),
    methods: [
      way({
        method: 'branch',
        tissue: 'semi-woody stem',
        wound: 8,
        roots: [21, 42],
        success: 0.88,
      }),
    ],
    not: [],
    hazards: [],
    law: [],
  },
];
