import { reasonOf } from '@hypogeon/core/faults';
import { JOURNAL_VERSION, migrateEntry, readEntry, tooDeepAt } from '@hypogeon/core/formats';
import type { Entry } from '@hypogeon/core/journal';
import * as z from 'zod';
import { say } from '@hypogeon/messages/chunk-store';

/** The few calls of localForage that the store needs; a test can stand in for it. */
export interface KeyValueStore {
  getItem(key: string): Promise<unknown>;
  setItem(key: string, value: string): Promise<unknown>;
  removeItem(key: string): Promise<void>;
  iterate(each: (value: unknown, key: string) => void): Promise<unknown>;
  clear(): Promise<void>;
}

/** A chunk as it lies in the store. */
export interface StoredChunk {
  readonly key: string;
  readonly text: string;
}

/** Something in the store that is not taken into the account. It stays where it is, unchanged. */
export interface SetAside {
  /** The chunk it lies in. */
  readonly chunk: string;
  /** What it is, as far as that can be read: `note of 2026-03-01`. */
  readonly name: string;
  readonly reason: string;
  /** Of a newer version, not damaged. */
  readonly newer: boolean;
}

export interface ReadChunks {
  readonly entries: readonly Entry[];
  readonly setAside: readonly SetAside[];
}

/** Chunks are gathered into larger ones once there are this many, so that opening stays quick. */
export const GATHER_AT = 120;
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
      const chunk: z.infer<typeof chunkSchema> = { version: JOURNAL_VERSION, entries: part };
      await this.store.setItem(`chunk/${this.freshKey()}`, JSON.stringify(chunk));
    }
  }

  /** All chunks as they lie there, in order of key; what is no text comes as an empty one. */
  async chunks(): Promise<readonly StoredChunk[]> {
    const chunks: StoredChunk[] = [];
    await this.store.iterate((value, key) => {
      chunks.push({ key, text: typeof value === 'string' ? value : '' });
    });
    return chunks.sort((a, b) => (a.key < b.key ? -1 : 1));
  }

  async read(): Promise<ReadChunks> {
    return readChunks(await this.chunks());
  }

  /** Gathers small chunks into large ones if there are many of them. Chunks with something set aside stay. */
  async gather(): Promise<void> {
    const lying = await this.chunks();
    // Reading them all is dear: not before there can be enough of them.
    if (lying.length < GATHER_AT) return;
    const small: { readonly key: string; readonly entries: readonly Entry[] }[] = [];
    for (const chunk of lying) {
      const { entries, setAside } = readChunks([chunk]);
      if (setAside.length === 0 && entries.length < GATHERED_ENTRIES)
        small.push({ key: chunk.key, entries });
    }
    if (small.length < GATHER_AT) return;
    await this.replace(
      small.map(({ key }) => key),
      small.flatMap((chunk) => chunk.entries),
    );
  }

  /** Writes entries, and only then clears away the chunks that they came from. */
  async replace(keys: readonly string[], entries: readonly Entry[]): Promise<void> {
    await this.write(entries);
    for (const key of keys) await this.store.removeItem(key);
  }

  /**
   * Puts entries that were stamped anew in the place of what they were: first written, then the chunks that held
   * them go. A chunk with something set aside stays; what it holds twice is brought back again at the next opening.
   */
  async restamp(anew: readonly Entry[]): Promise<void> {
    const ids = new Set(anew.map((e) => e.id));
    const keys: string[] = [];
    const stay: Entry[] = [];
    for (const chunk of await this.chunks()) {
      const { entries, setAside } = readChunks([chunk]);
      if (setAside.length > 0 || !entries.some((e) => ids.has(e.id))) continue;
      keys.push(chunk.key);
      stay.push(...entries.filter((e) => !ids.has(e.id)));
    }
    await this.replace(keys, [...stay, ...anew]);
  }

  async clear(): Promise<void> {
    await this.store.clear();
  }
}

/** Where nothing can be stored: every write is refused with this reason. */
export function refusingStore(reason: unknown): ChunkStore {
  const refuse = () => Promise.reject(reason instanceof Error ? reason : new Error('no storage'));
  return new ChunkStore(
    { getItem: refuse, setItem: refuse, removeItem: refuse, iterate: refuse, clear: refuse },
    () => '',
  );
}

const chunkSchema = z.object({ version: z.int().min(1), entries: z.array(z.unknown()) });

/** Reads chunks entry by entry: a bad one is set aside, named and kept, and the rest opens. */
export function readChunks(chunks: readonly StoredChunk[]): ReadChunks {
  const entries: Entry[] = [];
  const setAside: SetAside[] = [];
  for (const { key, text } of chunks) {
    const aside = (name: string, reason: string, newer = false): void => {
      setAside.push({ chunk: key, name, reason, newer });
    };
    const opened = openChunk(text);
    if (typeof opened === 'string') {
      aside(say.aPieceOfThe(), opened);
      continue;
    }
    if (opened.version > JOURNAL_VERSION) {
      const { version } = opened;
      aside(say.aPieceOfThe(), say.itIsOfVersion({ version }), true);
      continue;
    }
    for (const raw of opened.entries) {
      const read = readEntry(migrateEntry(raw, opened.version));
      if (read.ok) entries.push(read.entry);
      else {
        const [first] = read.issues;
        aside(nameOf(raw), `${first!.path.join('.') || 'it'} ${first!.sentence}`);
      }
    }
  }
  return { entries, setAside };
}

/**
 * The entries of chunks whose every entry was read before: not asked again one by one.
 * @throws where a chunk is not what it was
 */
export function trustChunks(chunks: readonly StoredChunk[]): Entry[] {
  const entries: Entry[] = [];
  for (const { text } of chunks) {
    const chunk = JSON.parse(text) as { readonly version: number; readonly entries: unknown[] };
    const { version } = chunk;
    for (const raw of chunk.entries)
      entries.push((version < JOURNAL_VERSION ? migrateEntry(raw, version) : raw) as Entry);
  }
  return entries;
}

function openChunk(text: string): z.infer<typeof chunkSchema> | string {
  if (tooDeepAt(text) !== null) return say.itIsNestedDeeper();
  try {
    const chunk = chunkSchema.safeParse(JSON.parse(text));
    return chunk.success ? chunk.data : say.itHasNoVersion();
  } catch (error) {
    return say.itIsTorn({ reasonOf: reasonOf(error) });
  }
}

const named = z.object({ kind: z.string(), day: z.string().optional().catch(undefined) });

function nameOf(raw: unknown): string {
  const read = named.safeParse(raw);
  if (!read.success) return say.anEntryOfNo();
  const { kind, day } = read.data;
  return `${kind.slice(0, 40)}${day === undefined ? '' : say.ofWord({ day: day.slice(0, 10) })}`;
}
