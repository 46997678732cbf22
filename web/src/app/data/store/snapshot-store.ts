import { packRoots, recallRoots, type PackedRoots } from '@hypogeon/core/learn';
import {
  distinct,
  fold,
  packState,
  unpackState,
  type Entry,
  type Snapshot,
  type State,
} from '@hypogeon/core/journal';
import * as z from 'zod';
import {
  readChunks,
  trustChunks,
  type KeyValueStore,
  type SetAside,
  type StoredChunk,
} from './chunk-store';

/*
 * The folded state as it lies beside the chunks. Opening takes it up only where everything about it is beyond doubt:
 * the same build of the application, the same chunks to the letter, the same number of entries.
 */

const KEY = 'snapshot';

const coverSchema = z.object({
  /** The build that folded it: another may fold otherwise. */
  build: z.string(),
  chunks: z.array(
    z.object({
      key: z.string(),
      length: z.int(),
      sum: z.int(),
      /** Nothing of it was set aside: it may be opened without asking entry by entry. */
      whole: z.boolean(),
    }),
  ),
  /** Entries lie in these chunks more than once, as a crash while gathering leaves them. */
  twice: z.boolean(),
  setAside: z.array(
    z.object({ chunk: z.string(), name: z.string(), reason: z.string(), newer: z.boolean() }),
  ),
  /** Of the packed state and of what its roots have taught, which follow. */
  sum: z.int(),
});
type Cover = z.infer<typeof coverSchema>;

export interface Opened {
  readonly state: State;
  readonly setAside: readonly SetAside[];
  /** Chunks that came after the snapshot. */
  readonly since: readonly StoredChunk[];
}

/** Takes up a snapshot on the chunks that it was made of; null at the slightest doubt. */
export function openSnapshot(
  text: unknown,
  chunks: readonly StoredChunk[],
  build: string,
): Opened | null {
  if (typeof text !== 'string') return null;
  try {
    // Texts one behind the other: one within the other would be parsed twice.
    const end = text.indexOf('\n');
    const cover = coverSchema.parse(JSON.parse(text.slice(0, end)));
    const packed = text.slice(end + 1);
    const middle = packed.indexOf('\n');
    if (cover.build !== build || cover.sum !== checksum(packed)) return null;
    const lying = new Map(chunks.map((c) => [c.key, c]));
    const covered: StoredChunk[] = [];
    for (const { key, length, sum } of cover.chunks) {
      const chunk = lying.get(key);
      if (chunk?.text.length !== length || checksum(chunk.text) !== sum) return null;
      lying.delete(key);
      covered.push(chunk);
    }
    const all = coveredEntries(cover, covered);
    const entries = cover.twice ? distinct(all) : all;
    const state = unpackState(JSON.parse(packed.slice(0, middle)) as Snapshot, entries);
    if (state) recallRoots(state, JSON.parse(packed.slice(middle + 1)) as PackedRoots);
    return state && { state, setAside: cover.setAside, since: [...lying.values()] };
  } catch {
    // Whatever is wrong with it: it is a comfort, and the entries tell the same.
    return null;
  }
}

const coveredEntries = (cover: Cover, chunks: readonly StoredChunk[]): Entry[] =>
  chunks.flatMap((chunk, i) =>
    cover.chunks[i]!.whole ? trustChunks([chunk]) : readChunks([chunk]).entries,
  );

/** Reads and folds chunks and packs what they tell, for the store. */
export function makeSnapshot(chunks: readonly StoredChunk[], build: string): string {
  const read = chunks.map((chunk) => readChunks([chunk]));
  const all = read.flatMap((r) => r.entries);
  const entries = distinct(all);
  const state = fold(entries);
  const packed = `${JSON.stringify(packState(state, entries))}\n${JSON.stringify(packRoots(state))}`;
  const cover: Cover = {
    build,
    chunks: chunks.map(({ key, text }, i) => ({
      key,
      length: text.length,
      sum: checksum(text),
      whole: read[i]!.setAside.length === 0,
    })),
    twice: entries.length < all.length,
    setAside: read.flatMap((r) => r.setAside),
    sum: checksum(packed),
  };
  return `${JSON.stringify(cover)}\n${packed}`;
}

export const loadSnapshot = (store: KeyValueStore): Promise<unknown> => store.getItem(KEY);
export const saveSnapshot = (store: KeyValueStore, text: string): Promise<unknown> =>
  store.setItem(KEY, text);

/**
 * A sum over the signs of a text, 32 bits: FNV-1a taken two signs at a step, for megabytes lie before the first
 * screen. Source: Fowler, Noll & Vo (from memory).
 */
export function checksum(text: string): number {
  let sum = 0x811c9dc5;
  const even = text.length & ~1;
  for (let i = 0; i < even; i += 2)
    sum = Math.imul(sum ^ (text.charCodeAt(i) | (text.charCodeAt(i + 1) << 16)), 0x01000193);
  if (even < text.length) sum = Math.imul(sum ^ text.charCodeAt(even), 0x01000193);
  return sum >>> 0;
}
