/** What a trial may vary: fields of a batch, one value for each arm. */
export const TRIAL_FACTORS = [
  'school',
  'callusAt',
  'aid',
  'firstWater',
  'waterSchool',
  'mix',
  'container',
  'disinfectant',
  'course',
  'dryDays',
  'firmed',
  'stemMm',
  'leaves',
  'lengthMm',
] as const;
export type TrialFactor = (typeof TRIAL_FACTORS)[number];

export const PERMISSIONS = ['own', 'given', 'asked', 'unknown'] as const;
export type Permission = (typeof PERMISSIONS)[number];

/** What a mother began as. */
export const ORIGINS = [
  'bought',
  'given',
  'cutting',
  'division',
  'seed',
  'culture',
  'kept',
] as const;
export type Origin = (typeof ORIGINS)[number];
/** When rooted ones are fed, at half strength: every two weeks while they grow, whatever the season, or never. */
export const FEEDINGS = ['in-growth', 'fortnightly', 'never'] as const;
export type Feeding = (typeof FEEDINGS)[number];
/** How hard the mix is pressed round a piece. */
export const FIRMINGS = ['hard', 'loose'] as const;
export type Firming = (typeof FIRMINGS)[number];
/** Whether leaves are misted while there are no roots. */
export const LEAF_CARES = ['misted', 'dry'] as const;
export type LeafCare = (typeof LEAF_CARES)[number];
export const CALLUS_PLACES = ['rack', 'medium'] as const;

/** What cuttings stand in together. */
export const TRAY_KINDS = ['tray', 'pot', 'jar', 'rack'] as const;
export type TrayKind = (typeof TRAY_KINDS)[number];

/**
 * How a piece came off: by a blade, snapped or twisted by hand, parted by itself with nothing cut; a leaf that broke and
 * left its base on the stem.
 */
export const OPENINGS = ['cut', 'snapped', 'parted', 'broken'] as const;
export type Opening = (typeof OPENINGS)[number];

/** Roots of its own when it was taken, or when it was looked at. */
export const OWN_ROOTS = ['none', 'few', 'brush'] as const;
export type OwnRoots = (typeof OWN_ROOTS)[number];

/** How roots came through a move into a pot. */
export const ROOT_STATES = ['whole', 'bared', 'hurt'] as const;
export type RootState = (typeof ROOT_STATES)[number];

/** Why a wound is open again. */
export const REOPENINGS = ['recut', 'torn', 'roots-cut', 'broken'] as const;

/** Why one would cut a mother, as seen on her. */
export const CUT_REASONS = [
  'leggy',
  'toppled',
  'bare',
  'pot-bound',
  'crowded',
  'shedding',
  'aerial-roots',
  'fuller',
  'insurance',
] as const;
export type CutReason = (typeof CUT_REASONS)[number];
