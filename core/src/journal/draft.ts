import type { Day } from '../days';
import type { KnownEntry } from './entry';

type Distribute<T> = T extends unknown
  ? Omit<T, 'id' | 'at' | 'by' | 'day'> & { readonly day?: Day }
  : never;

/** An entry before the journal adds who wrote it and when and, unless it is given, the day. */
export type EntryDraft = Distribute<KnownEntry>;
