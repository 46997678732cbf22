import type { AirReading } from '../climate';
import type { JugTest } from '../media';
import type { Batch } from './batch';
import type { Entry, EntryOf } from './entry';
import {
  RECORDS,
  type Kept,
  type KeptRecord,
  type RecordMaps,
  type SettingsFields,
} from './records';
import type { Stamp } from './stamp';

export type Mother = KeptRecord<'mother'>;
export type Space = KeptRecord<'space'>;
export type OwnTaxon = KeptRecord<'taxon'>;
export type OwnComponent = KeptRecord<'component'>;
export type Protocol = KeptRecord<'protocol'>;
export type Trial = KeptRecord<'trial'>;
export type Tray = KeptRecord<'tray'>;
export type Order = KeptRecord<'order'>;
export type Examination = EntryOf<'examined'>;
/** What was done to a mother beside cutting her. */
export type MotherEvent = EntryOf<'repotted'> | EntryOf<'divided'> | EntryOf<'mothered'>;
export type Settings = Kept<SettingsFields>;

/** Everything the journal says, folded: records in the maps their table names, and what only entries tell. */
export interface State extends RecordMaps {
  readonly batches: ReadonlyMap<string, Batch>;
  /** Looks at a mother, in order of day. */
  readonly examinations: ReadonlyMap<string, readonly Examination[]>;
  /** What was done to a mother, in order of day. */
  readonly motherEvents: ReadonlyMap<string, readonly MotherEvent[]>;
  /** Drain tests by mix, in order of day. */
  readonly jugs: ReadonlyMap<string, readonly JugTest[]>;
  /** Rounds walked to their end, in order of day. */
  readonly walks: readonly EntryOf<'walked'>[];
  readonly settings: Settings;
  /** Readings by space, in order of day. */
  readonly air: ReadonlyMap<string, readonly AirReading[]>;
  /** The entries themselves by subject, in the order of stamps: history, undo and export. */
  readonly log: ReadonlyMap<string, readonly Entry[]>;
  readonly size: number;
  readonly lastStamp: Stamp | null;
}

/** Names of the maps that records lie in. */
export const RECORD_MAPS = Object.values(RECORDS).flatMap(({ into }) =>
  into === null ? [] : [into],
);

export const EMPTY_STATE: State = {
  ...(Object.fromEntries(RECORD_MAPS.map((into) => [into, new Map()])) as unknown as RecordMaps),
  batches: new Map(),
  examinations: new Map(),
  motherEvents: new Map(),
  jugs: new Map(),
  walks: [],
  settings: {},
  air: new Map(),
  log: new Map(),
  size: 0,
  lastStamp: null,
};
