import type { Firming, LeafCare } from '../journal';

/** How hard a mix was pressed round pieces, by name. */
export const FIRMED_NAME: Readonly<Record<Firming, string>> = {
  hard: 'Firmed hard',
  loose: 'Set loose',
};

/** What their leaves were given before there were roots. */
export const LEAVES_NAME: Readonly<Record<LeafCare, string>> = {
  misted: 'Leaves misted',
  dry: 'Leaves dry',
};
