import { Subject } from 'rxjs';
import { BOOKS, type BlobStore, type Book, type Stores } from '../app/data/book';
import type { KeyValueStore } from '../app/data/store/chunk-store';

/** Stores that live as long as a test, and can be told to refuse. */
export class MemoryStores implements Stores {
  readonly books = perBook();
  readonly snapshots = perBook();
  readonly kept = perBook();
  readonly blobs = new Map<string, Blob>();
  refuses: Error | null = null;
  readonly taken$ = new Subject<void>();
  private readonly here = new Map<string, unknown>([['book', 'own']]);

  readonly device = {
    getItem: (key: string): Promise<unknown> => Promise.resolve(this.here.get(key) ?? null),
    setItem: (key: string, value: unknown): Promise<unknown> => {
      this.here.set(key, value);
      return Promise.resolve(value);
    },
  };

  journal(book: Book): KeyValueStore {
    return this.over(this.books[book]);
  }

  snapshot(book: Book): KeyValueStore {
    return this.over(this.snapshots[book]);
  }

  drafts(book: Book): KeyValueStore {
    return this.over(this.kept[book]);
  }

  pictures(): BlobStore {
    return this.over(this.blobs);
  }

  /** The browser throws all of it away under an open tab. */
  empty(): void {
    for (const books of [this.books, this.snapshots, this.kept])
      for (const book of BOOKS) books[book].clear();
    this.blobs.clear();
    this.here.clear();
    this.taken$.next();
  }

  /** What a form kept, as it lies in the store. */
  draft(form: string, book: Book = 'own'): unknown {
    const text = this.kept[book].get(form);
    return text === undefined ? null : (JSON.parse(text) as { value: unknown }).value;
  }

  private over<V>(map: Map<string, V>) {
    return {
      getItem: (key: string) => Promise.resolve(map.get(key) ?? null),
      setItem: (key: string, value: V) => {
        if (this.refuses) return Promise.reject(this.refuses);
        map.set(key, value);
        return Promise.resolve(value);
      },
      removeItem: (key: string) => {
        map.delete(key);
        return Promise.resolve();
      },
      iterate: (each: (value: unknown, key: string) => void) => {
        map.forEach((value, key) => each(value, key));
        return Promise.resolve();
      },
      keys: () => Promise.resolve([...map.keys()]),
      clear: () => {
        map.clear();
        return Promise.resolve();
      },
    };
  }
}

const perBook = (): Record<Book, Map<string, string>> =>
  Object.fromEntries(BOOKS.map((book) => [book, new Map<string, string>()])) as Record<
    Book,
    Map<string, string>
  >;
