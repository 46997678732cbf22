import { InjectionToken } from '@angular/core';
import localforage from 'localforage';
import type { KeyValueStore } from './chunk-store';

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
}

/** The few calls of localForage that pictures need. */
export interface BlobStore {
  getItem(key: string): Promise<Blob | null>;
  setItem(key: string, value: Blob): Promise<unknown>;
  keys(): Promise<string[]>;
  clear(): Promise<void>;
}

const NAME = 'hypogeon';

/**
 * A write is confirmed once it lies on the disk. Browsers say so before, unless they are asked: a browser killed a
 * second later had lost all it had confirmed, one time in four. And a write is handed over whole at once: left to
 * end by itself it waits for the page to hear of its success, and a tab closed in between takes it along.
 * localForage, that asks for everything of a write as soon as it has begun one, has no option for either.
 */
function confirmOnDisk(): void {
  if (typeof IDBDatabase === 'undefined') return;
  const { prototype } = IDBDatabase;
  // eslint-disable-next-line @typescript-eslint/unbound-method -- called with the database it was asked of
  const begin = prototype.transaction;
  prototype.transaction = function (this: IDBDatabase, stores, mode, options) {
    if (mode !== 'readwrite') return begin.call(this, stores, mode, options);
    const write = begin.call(this, stores, mode, { durability: 'strict', ...options });
    queueMicrotask(() => {
      try {
        write.commit();
      } catch {
        // It was taken back meanwhile, and says so itself.
      }
    });
    return write;
  };
}

export const STORES = new InjectionToken<Stores>('stores', {
  providedIn: 'root',
  factory: () => {
    confirmOnDisk();
    return {
      journal: (book) => localforage.createInstance({ name: NAME, storeName: `journal_${book}` }),
      snapshot: (book) => localforage.createInstance({ name: NAME, storeName: `snapshot_${book}` }),
      drafts: (book) => localforage.createInstance({ name: NAME, storeName: `drafts_${book}` }),
      pictures: (book) => localforage.createInstance({ name: NAME, storeName: `pictures_${book}` }),
      device: localforage.createInstance({ name: NAME, storeName: 'device' }),
    };
  },
});

/** The build that runs, by the name of its first script: another build may fold otherwise. */
export const BUILD = new InjectionToken<string>('build', {
  providedIn: 'root',
  factory: () =>
    document.querySelector<HTMLScriptElement>('script[src*="main"]')?.getAttribute('src') ?? 'here',
});
