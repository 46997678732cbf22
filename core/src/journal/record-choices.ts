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
] as const;
export type TrialFactor = (typeof TRIAL_FACTORS)[number];

export const PERMISSIONS = ['own', 'given', 'asked', 'unknown'] as const;
export type Permission = (typeof PERMISSIONS)[number];
export const CALLUS_PLACES = ['rack', 'medium'] as const;

/** What cuttings stand in together. */
export const TRAY_KINDS = ['tray', 'pot', 'jar', 'rack'] as const;
export type TrayKind = (typeof TRAY_KINDS)[number];
