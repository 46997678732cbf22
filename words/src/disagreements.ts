import type { Firming, LeafCare, Opening } from '@hypogeon/core/journal';

/*
 * What growers disagree about: each choice with what speaks for it and what it risks. Common practice, no source. What
 * is told of it is compared in Results and may be tried.
 */

export const OPENING_NAME: Readonly<Record<Opening, string>> = {
  cut: 'cut with a blade',
  snapped: 'snapped or twisted off, no blade',
  parted: 'parted by itself, nothing cut',
  broken: 'broken: its base stayed on the stem',
};

export const BROKEN_SAYS =
  'Without its base a leaf seldom roots: about a third as many are expected.';

export const FIRMED_SAYS: Readonly<Record<Firming | 'untold', string>> = {
  hard: 'Stands without a stake; a soft end may bruise, and air is pressed out.',
  loose: 'Airy at the end; what rocks breaks its first roots.',
  untold: 'Hard stands firm, loose stays airy.',
};

export const LEAVES_SAYS: Readonly<Record<LeafCare | 'untold', string>> = {
  misted: 'Less wrinkling in dry air; a wet crown or a cold night rots. Never in the evening.',
  dry: 'Nothing sits in the crown; it wrinkles more, which is normal.',
  untold: 'Misted wrinkles less, dry rots less.',
};

export const DEPTH_SAYS = 'Deep stands firm and stays wet longer at the end; shallow dries sooner.';
export const LENGTH_SAYS =
  'Good-sized pieces live longer off themselves; small ones close sooner and cost the mother less.';
