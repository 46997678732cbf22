/**
 * Why cuttings leave a batch. Those split off or merged are counted where they went; all others stay counted
 * here as what they had come to.
 */
export const PARTINGS = [
  'split',
  'merged',
  'rescued',
  'single',
  'mother',
  'given',
  'sold',
  'discarded',
] as const;
export type Parting = (typeof PARTINGS)[number];

/** What made a fresh cut needed: rot, which is counted as such, or a wound sealed too hard to root. */
export const RECUT_FOR = ['rot', 'sealed'] as const;
export type RecutFor = (typeof RECUT_FOR)[number];

/** Cuttings that are counted in another batch from their cut on. */
export const countedElsewhere = (why: Parting): boolean => why === 'split' || why === 'merged';
