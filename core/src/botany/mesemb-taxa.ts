import { season, way } from './taxon-builder';
import type { Taxon } from './taxon';

/** Mesembs: stones, mats and shrubs. */
export const MESEMB_TAXA: readonly Taxon[] = [
  {
    id: 'lithops-lesliei',
    name: 'Lithops lesliei',
    family: 'Aizoaceae',
    common: ['Living stone'],
    synonyms: [],
    season: season('either', 12, 27),
    methods: [
      way({ method: 'division', tissue: 'soft stem', wound: 5, roots: [21, 50], success: 0.55 }),
    ],
    not: [
      {
        method: 'leaf',
        why: 'A body is two leaves grown together: it does not come from a piece.',
      },
    ],
    hazards: [],
    law: [],
  },
  {
    id: 'conophytum-minutum',
    name: 'Conophytum minutum',
    family: 'Aizoaceae',
    common: ['Button plant'],
    synonyms: [],
    season: season('winter', 8, 23),
    methods: [
      way({ method: 'division', tissue: 'soft stem', wound: 3, roots: [21, 45], success: 0.75 }),
      way({ method: 'offset', tissue: 'soft stem', wound: 3, roots: [21, 45], success: 0.7 }),
    ],
    not: [
      {
        method: 'leaf',
        why: 'A body is two leaves grown together: it does not come from a piece.',
      },
    ],
    hazards: [],
    law: [],
  },
  {
    id: 'faucaria-tigrina',
    name: 'Faucaria tigrina',
    family: 'Aizoaceae',
    common: ['Tiger jaws'],
    synonyms: [],
    season: season('either', 10, 28),
    methods: [
      way({ method: 'offset', tissue: 'soft stem', wound: 7, roots: [21, 45], success: 0.82 }),
      way({ method: 'division', roots: [10, 24], success: 0.9 }),
    ],
    not: [],
    hazards: [],
    law: [],
  },
  {
    id: 'lampranthus-spectabilis',
    name: 'Lampranthus spectabilis',
    family: 'Aizoaceae',
    common: ['Trailing ice plant'],
    synonyms: ['Mesembryanthemum spectabile'],
    season: season('winter', 8, 26),
    methods: [
      way({ method: 'crown', tissue: 'soft stem', wound: 4, roots: [10, 24], success: 0.92 }),
      way({
        method: 'segment',
        tissue: 'soft stem',
        wound: 4,
        roots: [18, 35],
        pups: [35, 70],
        success: 0.85,
      }),
    ],
    not: [],
    hazards: [],
    law: ['weed'],
  },
  {
    id: 'delosperma-cooperi',
    name: 'Delosperma cooperi',
    family: 'Aizoaceae',
    common: ['Hardy ice plant'],
    synonyms: [],
    season: season('summer', 10, 30),
    methods: [
      way({ method: 'crown', tissue: 'soft stem', wound: 3, roots: [10, 24], success: 0.93 }),
      way({ method: 'division', roots: [10, 24], success: 0.96 }),
    ],
    not: [],
    hazards: [],
    law: [],
  },
  {
    id: 'carpobrotus-edulis',
    name: 'Carpobrotus edulis',
    family: 'Aizoaceae',
    common: ['Hottentot fig'],
    synonyms: [],
    season: season('either', 8, 30),
    methods: [
      way({
        method: 'segment',
        tissue: 'soft stem',
        wound: 9,
        roots: [7, 20],
        pups: [25, 60],
        success: 0.95,
      }),
    ],
    not: [],
    hazards: [],
    law: ['weed'],
  },
  {
    id: 'mesembryanthemum-cordifolium',
    name: 'Mesembryanthemum cordifolium',
    family: 'Aizoaceae',
    common: ['Heartleaf ice plant'],
    synonyms: ['Aptenia cordifolia'],
    season: season('summer', 10, 30),
    methods: [
      way({ method: 'trailing', tissue: 'soft stem', wound: 4, roots: [7, 18], success: 0.95 }),
    ],
    not: [],
    hazards: [],
    law: ['weed'],
  },
];
