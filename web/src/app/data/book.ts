import { InjectionToken } from '@angular/core';
import localforage from 'localforage';
import type { KeyValueStore } from './chunk-store';

/** The grower's own journal and the demo lie in two books and never mix. */
export type Book = 'own' | 'demo';

export interface Stores {
  journal(book: Book): KeyValueStore;
  /** Pictures by their id, beside the journal that names them. */
  pictures(book: Book): BlobStore;
  /** What belongs to this device and not to the journal: its id, the open book. */
  readonly device: {
    getItem<T>(key: string): Promise<T | null>;
    setItem<T>(key: string, value: T): Promise<T>;
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

export const STORES = new InjectionToken<Stores>('stores', {
  providedIn: 'root',
  factory: () => ({
    journal: (book) => localforage.createInstance({ name: NAME, storeName: `journal_${book}` }),
    pictures: (book) => localforage.createInstance({ name: NAME, storeName: `pictures_${book}` }),
    device: localforage.createInstance({ name: NAME, storeName: 'device' }),
  }),
});
