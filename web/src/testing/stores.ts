import type { BlobStore, Book, Stores } from '../app/data/book';
import type { KeyValueStore } from '../app/data/chunk-store';

/** Stores that live as long as a test, and can be told to refuse. */
export class MemoryStores implements Stores {
  readonly books: Record<Book, Map<string, string>> = { own: new Map(), demo: new Map() };
  private readonly kept = new Map<string, unknown>([['book', 'own']]);
  refuses: Error | null = null;

  readonly device = {
    getItem: <T>(key: string): Promise<T | null> =>
      Promise.resolve((this.kept.get(key) as T | undefined) ?? null),
    setItem: <T>(key: string, value: T): Promise<T> => {
      this.kept.set(key, value);
      return Promise.resolve(value);
    },
  };

  readonly blobs = new Map<string, Blob>();

  pictures(): BlobStore {
    return {
      getItem: (key) => Promise.resolve(this.blobs.get(key) ?? null),
      setItem: (key, value) => {
        if (this.refuses) return Promise.reject(this.refuses);
        this.blobs.set(key, value);
        return Promise.resolve(value);
      },
      keys: () => Promise.resolve([...this.blobs.keys()]),
      clear: () => {
        this.blobs.clear();
        return Promise.resolve();
      },
    };
  }

  journal(book: Book): KeyValueStore {
    const map = this.books[book];
    return {
      setItem: (key, value) => {
        if (this.refuses) return Promise.reject(this.refuses);
        map.set(key, value);
        return Promise.resolve();
      },
      removeItem: (key) => {
        map.delete(key);
        return Promise.resolve();
      },
      iterate: (each) => {
        map.forEach((value, key) => each(value, key));
        return Promise.resolve();
      },
      clear: () => {
        map.clear();
        return Promise.resolve();
      },
    };
  }
}
