import { appendAll, fold, type State } from '@hypogeon/core/journal';
import type { WorkerLine } from '../workers';
import type { FilesWorker } from '../../workers/files';
import { readChunks, type KeyValueStore, type SetAside, type StoredChunk } from './chunk-store';
import { openSnapshot, saveSnapshot, type Opened } from './snapshot-store';

/** Below so many signs of chunks everything is read on the spot: a worker would cost more than it saves. */
const LARGE = 1_000_000;
/** So many signs since the last snapshot are read at every opening without one. */
export const SNAPSHOT_SINCE = 300_000;

/** A book as it was read. */
export interface OpenedBook {
  readonly state: State;
  readonly setAside: readonly SetAside[];
  /** A snapshot made anew would make the next opening quicker. */
  readonly stale: boolean;
}

/** What a book lies in, and who reads it. */
export interface Shelf {
  readonly lying: readonly StoredChunk[];
  readonly kept: unknown;
  readonly snapshots: KeyValueStore;
  readonly worker: WorkerLine<FilesWorker>;
  readonly build: string;
}

/** From the snapshot and what came since; where there is none to be trusted, from all entries. */
export async function openFrom(shelf: Shelf): Promise<OpenedBook> {
  const { lying, kept, build } = shelf;
  const signs = signsIn(lying);
  const trusted = openSnapshot(kept, lying, build);
  const opened = trusted ?? (signs > LARGE ? await foldElsewhere(shelf) : null);
  if (!opened) {
    const { entries, setAside } = readChunks(lying);
    return { state: fold(entries), setAside, stale: signs > SNAPSHOT_SINCE };
  }
  const since = readChunks(opened.since);
  return {
    state: appendAll(opened.state, since.entries),
    setAside: [...opened.setAside, ...since.setAside],
    stale: trusted !== null && signsIn(opened.since) > SNAPSHOT_SINCE,
  };
}

/** A large journal is read and folded off the screen's thread; what comes back is a snapshot. */
async function foldElsewhere({ lying, snapshots, worker, build }: Shelf): Promise<Opened | null> {
  try {
    const text = await worker.ask((w) => w.snapshot(lying, build));
    void saveSnapshot(snapshots, text).catch(() => undefined);
    // Handed over before the screen's thread is taken: a tab closed at its first screen would fold again next time.
    await new Promise((resolve) => setTimeout(resolve));
    return openSnapshot(text, lying, build);
  } catch (error) {
    console.error('folding in the worker', error);
    return null;
  }
}

export const signsIn = (chunks: readonly StoredChunk[]): number =>
  chunks.reduce((sum, { text }) => sum + text.length, 0);
