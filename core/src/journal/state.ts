import type { AirReading } from '../climate';
import type { Batch } from './batch';
import type { Entry, EntryOf } from './entry';
import type { JugTest } from '../media';
import type {
  ComponentFields,
  ContainerFields,
  MixFields,
  MotherFields,
  ProtocolFields,
  SettingsFields,
  SpaceFields,
  TaxonFields,
  OrderFields,
  TrayFields,
  TrialFields,
} from './record';
import type { Stamp } from './stamp';

/** The fields of a record that are set: a cleared one is not there at all. */
export type Kept<F> = { readonly [K in keyof F]?: Exclude<F[K], null | undefined> };

export type Mother = Kept<MotherFields> & { readonly id: string };
export type Space = Kept<SpaceFields> & { readonly id: string };
export type OwnTaxon = Kept<TaxonFields> & { readonly id: string };
export type OwnComponent = Kept<ComponentFields> & { readonly id: string };
export type OwnMix = Kept<MixFields> & { readonly id: string };
export type OwnContainer = Kept<ContainerFields> & { readonly id: string };
export type Protocol = Kept<ProtocolFields> & { readonly id: string };
export type Trial = Kept<TrialFields> & { readonly id: string };
export type Tray = Kept<TrayFields> & { readonly id: string };
export type Order = Kept<OrderFields> & { readonly id: string };
export type Examination = EntryOf<'examined'>;
export type Settings = Kept<SettingsFields>;

/** Everything the journal says, folded. Replaced, never changed. */
export interface State {
  readonly batches: ReadonlyMap<string, Batch>;
  readonly mothers: ReadonlyMap<string, Mother>;
  /** Looks at a mother, in order of day. */
  readonly examinations: ReadonlyMap<string, readonly Examination[]>;
  readonly spaces: ReadonlyMap<string, Space>;
  readonly ownTaxa: ReadonlyMap<string, OwnTaxon>;
  /** Own components, and what is measured, in stock or paid for of those that ship. */
  readonly components: ReadonlyMap<string, OwnComponent>;
  readonly mixes: ReadonlyMap<string, OwnMix>;
  readonly containers: ReadonlyMap<string, OwnContainer>;
  readonly protocols: ReadonlyMap<string, Protocol>;
  readonly trials: ReadonlyMap<string, Trial>;
  readonly trays: ReadonlyMap<string, Tray>;
  readonly orders: ReadonlyMap<string, Order>;
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

export const EMPTY_STATE: State = {
  batches: new Map(),
  mothers: new Map(),
  examinations: new Map(),
  spaces: new Map(),
  ownTaxa: new Map(),
  components: new Map(),
  mixes: new Map(),
  containers: new Map(),
  protocols: new Map(),
  trials: new Map(),
  trays: new Map(),
  orders: new Map(),
  jugs: new Map(),
  walks: [],
  settings: {},
  air: new Map(),
  log: new Map(),
  size: 0,
  lastStamp: null,
};
