import type * as z from 'zod';
import type { Named } from './field';
import {
  batchFields,
  benchFields,
  componentFields,
  containerFields,
  deviceFields,
  mixFields,
  motherFields,
  orderFields,
  protocolFields,
  settingsFields,
  spaceFields,
  taxonFields,
  trayFields,
  trialFields,
} from './record-fields';

/**
 * The one table of records: the fields of each, and where it lands in the state. A new record is a line here;
 * schema, types, fold, snapshot and JSON Schema follow from it. `null`: folded by rules of its own.
 */
export const RECORDS = {
  taxon: { fields: taxonFields, into: 'ownTaxa' },
  mother: { fields: motherFields, into: 'mothers' },
  space: { fields: spaceFields, into: 'spaces' },
  batch: { fields: batchFields, into: null },
  component: { fields: componentFields, into: 'components' },
  mix: { fields: mixFields, into: 'mixes' },
  container: { fields: containerFields, into: 'containers' },
  protocol: { fields: protocolFields, into: 'protocols' },
  trial: { fields: trialFields, into: 'trials' },
  tray: { fields: trayFields, into: 'trays' },
  order: { fields: orderFields, into: 'orders' },
  bench: { fields: benchFields, into: 'benches' },
  device: { fields: deviceFields, into: 'devices' },
  settings: { fields: settingsFields, into: null },
} as const satisfies Record<string, { readonly fields: z.ZodType; readonly into: string | null }>;

export type RecordName = keyof typeof RECORDS;
export const RECORD_NAMES = Object.keys(RECORDS) as readonly RecordName[];

/** The fields a put may set; null clears. */
export type FieldsOf = {
  readonly [R in RecordName]: Named<z.infer<(typeof RECORDS)[R]['fields']>>;
};

/** The fields that are set: a cleared one is not there at all. */
export type Kept<F> = { readonly [K in keyof F]?: Exclude<F[K], null | undefined> };

/** A record as the state holds it. */
export type KeptRecord<R extends RecordName> = Kept<FieldsOf[R]> & { readonly id: string };

type Into<R extends RecordName> = (typeof RECORDS)[R]['into'];
/** Records that lie in a map of the state under their name in the table. */
export type ListedRecord = { [R in RecordName]: Into<R> extends null ? never : R }[RecordName];
export type RecordMaps = {
  readonly [R in ListedRecord as Into<R> & string]: ReadonlyMap<string, KeptRecord<R>>;
};

/** The settings are one record; it has this key. */
export const SETTINGS_KEY = 'grower';

export type TaxonFields = FieldsOf['taxon'];
export type MotherFields = FieldsOf['mother'];
export type SpaceFields = FieldsOf['space'];
export type BatchFields = FieldsOf['batch'];
export type ComponentFields = FieldsOf['component'];
export type MixFields = FieldsOf['mix'];
export type ContainerFields = FieldsOf['container'];
export type ProtocolFields = FieldsOf['protocol'];
export type TrialFields = FieldsOf['trial'];
export type TrayFields = FieldsOf['tray'];
export type BenchRecord = KeptRecord<'bench'>;
export type OrderFields = FieldsOf['order'];
export type SettingsFields = FieldsOf['settings'];
