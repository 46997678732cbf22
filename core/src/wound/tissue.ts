/** What was cut through; it sets how fast the wound closes. */
export const TISSUES = [
  'leaf base',
  'semi-woody stem',
  'soft stem',
  'strap leaf',
  'rhizome',
  'tuber',
  'cactus body',
] as const;

export type Tissue = (typeof TISSUES)[number];

/**
 * Closing time of each tissue against a soft stem of the same width.
 * Working assumption, fitted to the callus windows growers name (leaf 1–3 d, thin stem 1–3 d,
 * fleshy stem 3–5 d, woody up to 14 d, thick cactus 2–6 weeks: common practice, no source).
 */
export const TISSUE_FACTOR: Readonly<Record<Tissue, number>> = {
  'leaf base': 0.7,
  'semi-woody stem': 0.9,
  'soft stem': 1.0,
  'strap leaf': 0.8,
  rhizome: 1.1,
  tuber: 1.2,
  'cactus body': 1.6,
};

/** Where a wound closes: in moving air, or with its face on dry medium. */
export type CallusPlace = 'rack' | 'medium';

/** Working assumption: dry grit against the wound slows its drying; 1.2–2 make sense. */
export const PLACE_FACTOR: Readonly<Record<CallusPlace, number>> = { rack: 1.0, medium: 1.4 };
