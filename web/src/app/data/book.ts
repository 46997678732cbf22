import { InjectionToken } from '@angular/core';
import type { Observable } from 'rxjs';
import type { KeyValueStore } from './store/chunk-store';
import { storesOn } from './store/disk-driver';

/** The grower's own journal and the demo lie in two books and never mix. */
export const BOOKS = ['own', 'demo'] as const;
export type Book = (typeof BOOKS)[number];

export interface Stores {
  journal(book: Book): KeyValueStore;
  /** The folded state beside the journal: a comfort, that may be thrown away. */
  snapshot(book: Book): KeyValueStore;
  /** What was being typed, by form and record. */
  drafts(book: Book): KeyValueStore;
  /** Pictures by their id, beside the journal that names them. */
  pictures(book: Book): BlobStore;
  /** What belongs to this device and not to the journal: its id, the open book. Read through a schema. */
  readonly device: {
    getItem(key: string): Promise<unknown>;
    setItem(key: string, value: unknown): Promise<unknown>;
  };
  /** The whole database went away under this tab. */
  readonly taken$: Observable<void>;
}

/** The few calls of localForage that pictures need. */
export interface BlobStore {
  getItem(key: string): Promise<Blob | null>;
  setItem(key: string, value: Blob): Promise<unknown>;
  keys(): Promise<string[]>;
  clear(): Promise<void>;
}

const NAME = 'hypogeon';
const DEVICE = 'device';

export const STORES = new InjectionToken<Stores>('stores', {
  providedIn: 'root',
  factory: () => {
    const { disk, store } = storesOn(NAME, [
      DEVICE,
      ...PER_BOOK.flatMap((what) => BOOKS.map((book) => `${what}_${book}`)),
    ]);
    return {
      journal: (book) => store(`journal_${book}`),
      snapshot: (book) => store(`snapshot_${book}`),
      drafts: (book) => store(`drafts_${book}`),
      pictures: (book) => store(`pictures_${book}`),
      device: store(DEVICE),
      taken$: disk.taken$,
    };
  },
});
const PER_BOOK = ['journal', 'snapshot', 'drafts', 'pictures'] as const;

/** The build that runs, by the name of its first script: another build may fold otherwise. */
export const BUILD = new InjectionToken<string>('build', {
  providedIn: 'root',
  factory: () =>
    document.querySelector<HTMLScriptElement>('script[src*="main"]')?.getAttribute('src') ?? 'here',
});
