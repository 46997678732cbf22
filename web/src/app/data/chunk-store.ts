import { JOURNAL_VERSION, migrateEntry, type Entry } from '@hypogeon/core';

/** The few calls of localForage that the store needs; a test can stand in for it. */
export interface KeyValueStore {
  setItem(key: string, value: string): Promise<unknown>;
  removeItem(key: string): Promise<void>;
  iterate(each: (value: unknown, key: string) => void): Promise<unknown>;
  clear(): Promise<void>;
}

export interface StoredJournal {
  readonly entries: readonly Entry[];
  /** Keys of chunks that could not be read, torn or of a newer version: left as they are, and said. */
  readonly damaged: readonly string[];
}

/** Chunks are gathered into larger ones once there are this many, so that opening stays quick. */
const GATHER_AT = 120;
const GATHERED_ENTRIES = 2000;

/**
 * The journal in small chunks of a key-value store. A chunk is written once, under a key of its own,
 * and never changed: a write that is torn, or two tabs writing at once, cannot harm what was
 * confirmed before. Gathering writes the new chunk first and only then removes the old ones; what a
 * crash leaves twice is one entry after all, because entries are united by id.
 */
export class ChunkStore {
  constructor(
    private readonly store: KeyValueStore,
    private readonly freshKey: () => string,
  ) {}

  /** Resolves when the store has confirmed the entries; rejects with its reason otherwise. */
  async write(entries: readonly Entry[]): Promise<void> {
    for (let i = 0; i < entries.length; i += GATHERED_ENTRIES) {
      const part = entries.slice(i, i + GATHERED_ENTRIES);
      const chunk: Chunk = { version: JOURNAL_VERSION, entries: part };
      await this.store.setItem(`chunk/${this.freshKey()}`, JSON.stringify(chunk));
    }
  }

  async read(): Promise<StoredJournal> {
    const entries: Entry[] = [];
    const damaged: string[] = [];
    await this.store.iterate((value, key) => {
      const chunk = parseChunk(value);
      if (chunk) for (const entry of chunk) entries.push(entry);
      else damaged.push(key);
    });
    return { entries, damaged };
  }

  /** Gathers small chunks into large ones if there are many of them. */
  async gather(): Promise<void> {
    const small: { key: string; entries: readonly Entry[] }[] = [];
    await this.store.iterate((value, key) => {
      const entries = parseChunk(value);
      if (entries && entries.length < GATHERED_ENTRIES) small.push({ key, entries });
    });
    if (small.length < GATHER_AT) return;
    await this.write(small.flatMap((chunk) => chunk.entries));
    for (const { key } of small) await this.store.removeItem(key);
  }

  async clear(): Promise<void> {
    await this.store.clear();
  }
}

interface Chunk {
  readonly version: number;
  readonly entries: readonly unknown[];
}

/** The entries of a chunk, brought forward if a past version wrote it; null if it cannot be read. */
function parseChunk(value: unknown): readonly Entry[] | null {
  if (typeof value !== 'string') return null;
  try {
    const { version, entries } = JSON.parse(value) as Chunk;
    if (version > JOURNAL_VERSION) return null;
    return (version < JOURNAL_VERSION
      ? entries.map((e) => migrateEntry(e, version))
      : entries) as unknown as Entry[];
  } catch {
    return null;
  }
}
