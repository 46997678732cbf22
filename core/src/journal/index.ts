export * from './stamp';
export * from './outcome';
export * from './record-choices';
export {
  RECORD_NAMES,
  SETTINGS_KEY,
  type BatchFields,
  type ComponentFields,
  type ContainerFields,
  type FieldsOf,
  type Kept,
  type MixFields,
  type MotherFields,
  type OrderFields,
  type ProtocolFields,
  type RecordName,
  type SettingsFields,
  type SpaceFields,
  type TaxonFields,
  type TrayFields,
  type TrialFields,
} from './records';
export { MOST_CUTTINGS } from './record-fields';
export { countsSchema } from './kinds';
export * from './entry';
export * from './bring-back';
export * from './draft';
export * from './merge';
export * from './parting';
export * from './task';
export { isLoss, NO_COUNTS, type Between, type Cutting, type Left } from './cutting';
export { countAlike, countOutcomes, spread, startAlike, type Alike } from './alike';
export * from './leave';
export * from './retract';
export * from './tally';
export * from './batch';
export * from './state';
export { append, appendAll, entriesOf, fold } from './fold';
export * from './snapshot';
export { loggedSeries } from './fold-air';
export { cutText, isWhole, MOST_NAME } from './field';
