import { Subject } from 'rxjs';

/**
 * The browser's database as the journal needs it: one connection for all its stores, and writes that are confirmed
 * once they lie on the disk. Browsers say so before, unless they are asked: a browser killed a second later had lost
 * all it had confirmed, one time in four. A write is handed over whole at once: left to end by itself it waits for
 * the page to hear of its success, and a tab closed in between takes it along.
 */
export class Disk {
  private connection: Promise<IDBDatabase> | null = null;
  private known = false;
  private readonly taken = new Subject<void>();
  /** The database went away under this tab: it was deleted, or the browser closed it. */
  readonly taken$ = this.taken.asObservable();

  /** @param stores all that the database has; what an older build did not make is made at opening */
  constructor(
    private readonly name: string,
    private readonly stores: readonly string[],
  ) {}

  read<T>(store: string, ask: (from: IDBObjectStore) => IDBRequest<T>): Promise<T> {
    return this.run(store, 'readonly', ask);
  }

  write<T>(store: string, ask: (into: IDBObjectStore) => IDBRequest<T>): Promise<T> {
    return this.run(store, 'readwrite', ask);
  }

  /** All of a store as it lies there at one moment. */
  async all(store: string): Promise<readonly (readonly [key: string, value: unknown])[]> {
    const transaction = await this.begin(store, 'readonly');
    const from = transaction.objectStore(store);
    const keys = from.getAllKeys();
    const values = from.getAll() as IDBRequest<unknown[]>;
    await ended(transaction);
    return values.result.map((value, i) => [keyText(keys.result[i]), value]);
  }

  private async run<T>(
    store: string,
    mode: 'readonly' | 'readwrite',
    ask: (of: IDBObjectStore) => IDBRequest<T>,
  ): Promise<T> {
    const transaction = await this.begin(store, mode);
    const request = ask(transaction.objectStore(store));
    if (mode === 'readwrite') transaction.commit();
    await ended(transaction);
    return request.result;
  }

  /** A connection that another tab or the browser has closed is opened once more. */
  private async begin(store: string, mode: 'readonly' | 'readwrite'): Promise<IDBTransaction> {
    const options = { durability: mode === 'readwrite' ? 'strict' : 'default' } as const;
    try {
      return (await this.open()).transaction(store, mode, options);
    } catch (error) {
      if (!(error instanceof DOMException) || error.name !== 'InvalidStateError') throw error;
      this.connection = null;
      return (await this.open()).transaction(store, mode, options);
    }
  }

  private open(): Promise<IDBDatabase> {
    this.connection ??= this.connect().catch((error: unknown) => {
      this.connection = null;
      throw error;
    });
    return this.connection;
  }

  private async connect(): Promise<IDBDatabase> {
    let database = await this.request();
    if (this.stores.some((s) => !database.objectStoreNames.contains(s))) {
      const next = database.version + 1;
      database.close();
      database = await this.request(next);
    }
    const opened = database;
    opened.onversionchange = ({ newVersion }) => {
      opened.close();
      this.connection = null;
      if (newVersion === null) this.taken.next();
    };
    opened.onclose = () => {
      this.connection = null;
      this.taken.next();
    };
    this.known = true;
    return opened;
  }

  private request(version?: number): Promise<IDBDatabase> {
    return new Promise((resolve, reject) => {
      const request = indexedDB.open(this.name, version);
      request.onupgradeneeded = ({ oldVersion }) => {
        const { result } = request;
        for (const store of this.stores)
          if (!result.objectStoreNames.contains(store)) result.createObjectStore(store);
        if (oldVersion === 0 && this.known) this.taken.next();
      };
      request.onsuccess = () => resolve(request.result);
      request.onerror = () => reject(reasonOf(request.error));
    });
  }
}

const ended = (transaction: IDBTransaction): Promise<void> =>
  new Promise((resolve, reject) => {
    transaction.oncomplete = () => resolve();
    transaction.onabort = () => reject(reasonOf(transaction.error));
  });

const reasonOf = (error: DOMException | null): DOMException =>
  error ?? new DOMException('the write was taken back', 'AbortError');

/** Keys of ours are texts; what is none is named all the same. */
export const keyText = (key: IDBValidKey | undefined): string =>
  typeof key === 'string' ? key : JSON.stringify(key ?? '');
