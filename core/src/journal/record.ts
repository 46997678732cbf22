import type * as z from 'zod';
import type { Named } from './field';
import type * as schema from './record-schema';

/** The records a grower keeps. */
export const RECORDS = [
  'taxon',
  'mother',
  'space',
  'batch',
  'component',
  'mix',
  'container',
  'protocol',
  'trial',
  'tray',
  'order',
  'settings',
] as const;
export type RecordName = (typeof RECORDS)[number];

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

type Fields<S extends z.ZodType> = Named<z.infer<S>>;

export type TaxonFields = Fields<typeof schema.taxonFields>;
export type MotherFields = Fields<typeof schema.motherFields>;
export type SpaceFields = Fields<typeof schema.spaceFields>;
export type BatchFields = Fields<typeof schema.batchFields>;
export type ComponentFields = Fields<typeof schema.componentFields>;
export type MixFields = Fields<typeof schema.mixFields>;
export type ContainerFields = Fields<typeof schema.containerFields>;
export type ProtocolFields = Fields<typeof schema.protocolFields>;
export type TrialFields = Fields<typeof schema.trialFields>;
export type TrayFields = Fields<typeof schema.trayFields>;
export type OrderFields = Fields<typeof schema.orderFields>;
export type SettingsFields = Fields<typeof schema.settingsFields>;

export interface FieldsOf {
  readonly taxon: TaxonFields;
  readonly mother: MotherFields;
  readonly space: SpaceFields;
  readonly batch: BatchFields;
  readonly component: ComponentFields;
  readonly mix: MixFields;
  readonly container: ContainerFields;
  readonly protocol: ProtocolFields;
  readonly trial: TrialFields;
  readonly tray: TrayFields;
  readonly order: OrderFields;
  readonly settings: SettingsFields;
}
