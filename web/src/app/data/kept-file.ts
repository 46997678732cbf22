import { inject, Injectable, signal } from '@angular/core';
import { toObservable } from '@angular/core/rxjs-interop';
import { reasonOf } from '@hypogeon/core/faults';
import { problemText, sizeProblem } from '@hypogeon/core/formats';
import type { Entry } from '@hypogeon/core/journal';
import { concatMap, distinctUntilChanged, filter, map, skip } from 'rxjs';
import { STORES } from './book';
import { Journal } from './journal';
import { JournalFile } from './journal-file';
import { LastFile } from './last-file';
import { rested } from './rested';
import { FILES_WORKER } from './workers';

/** The few calls of a file handle that are needed. Not all browsers have them, nor TypeScript all of them. */
export interface FileHandle {
  readonly name: string;
  getFile(): Promise<Pick<File, 'size' | 'lastModified' | 'text'>>;
  /** What is written lies beside the file until it is closed, and takes its place then. */
  createWritable(): Promise<{
    write(text: string): Promise<void>;
    close(): Promise<void>;
    abort(): Promise<void>;
  }>;
  queryPermission?(mode: { readonly mode: 'readwrite' }): Promise<PermissionState>;
  requestPermission?(mode: { readonly mode: 'readwrite' }): Promise<PermissionState>;
}

/** The browser's two ways to choose a file: a new one, and one there is. The first empties what it is given. */
interface Pickers {
  showSaveFilePicker(options: object): Promise<FileHandle>;
  showOpenFilePicker?(options: object): Promise<readonly FileHandle[]>;
}

export type Kept =
  | { readonly is: 'off' }
  | {
      readonly is: 'kept';
      readonly name: string;
      readonly at: Date | null;
      /** Entries that the file holds and the journal here has not. */
      readonly more: number;
    }
  /** The browser wants to be told again, by a tap, that the file may be written. */
  | { readonly is: 'asks'; readonly name: string }
  /** The file holds another journal, of so many entries. It is left as it is until the grower says. */
  | { readonly is: 'other'; readonly name: string; readonly entries: number }
  | { readonly is: 'failed'; readonly name: string; readonly why: string };

const KEY = 'kept-file';
/** A count of a tray is many entries: they are written together. */
const REST_MS = 5_000;
/** Another device that writes at the same moment is done after so many tries. */
const TRIES = 3;
const TYPES = [{ description: 'Journal', accept: { 'application/json': ['.json'] } }];

/** What was written last, as the file tells it: unchanged, it need not be read again. */
interface Holds {
  readonly size: number;
  readonly lastModified: number;
  readonly entries: readonly Entry[];
}

/**
 * A file of the grower's choice that is kept like the journal by itself, where the browser can (File System Access).
 * Law: it never loses an entry that it holds. What stands in it is read first; what is not here stays in it, and is
 * offered to the journal. Whatever goes wrong is said, and the journal is none the worse for it.
 */
@Injectable({ providedIn: 'root' })
export class KeptFile {
  private readonly journal = inject(Journal);
  private readonly file = inject(JournalFile);
  private readonly last = inject(LastFile);
  private readonly worker = inject(FILES_WORKER);
  private readonly device = inject(STORES).device;
  private handle: FileHandle | null = null;
  private holds: Holds | null = null;
  /** What the file holds and the journal has not. */
  private missing: readonly Entry[] = [];

  readonly kept = signal<Kept>({ is: 'off' });
  readonly can = 'showSaveFilePicker' in globalThis;
  /** Whether a file that is there can be chosen without being emptied. */
  readonly canOpen = 'showOpenFilePicker' in globalThis;

  constructor() {
    void this.remember();
    toObservable(this.journal.state)
      .pipe(
        filter(() => this.journal.book() === 'own'),
        map((state) => state.size),
        distinctUntilChanged(),
        skip(1),
        rested(REST_MS),
        concatMap(() => this.write()),
      )
      .subscribe();
  }

  /** Asks for a new file and keeps it from now on. Nothing happens where the grower thinks better of it. */
  choose(suggestedName: string): Promise<void> {
    return this.pick(() => pickers().showSaveFilePicker({ suggestedName, types: TYPES }));
  }

  /** Keeps a file that is there. What it holds stays in it. */
  chooseExisting(): Promise<void> {
    return this.pick(async () => {
      const [handle] = await pickers().showOpenFilePicker!({ types: TYPES });
      await handle?.requestPermission?.({ mode: 'readwrite' });
      return handle!;
    });
  }

  /** After a new start: the browser asks, the grower allows. */
  async allow(): Promise<void> {
    await this.guarded(async (handle) => {
      const answer = await handle.requestPermission?.({ mode: 'readwrite' });
      if (answer === 'granted') await this.write();
    });
  }

  /** What the file holds and the journal has not comes into the journal; the file is kept on. */
  async takeIn(): Promise<void> {
    if (this.journal.book() !== 'own') return;
    if (await this.journal.take(this.missing)) await this.write();
  }

  async stop(): Promise<void> {
    this.handle = null;
    this.holds = null;
    this.missing = [];
    this.kept.set({ is: 'off' });
    await this.device.setItem(KEY, null).catch((error: unknown) => {
      console.error('forgetting the kept file', error);
    });
  }

  private async pick(ask: () => Promise<FileHandle>): Promise<void> {
    try {
      this.handle = await ask();
    } catch (error) {
      if (error instanceof DOMException && error.name === 'AbortError') return;
      this.kept.set({ is: 'failed', name: 'The file', why: reasonOf(error) });
      return;
    }
    this.holds = null;
    await this.device.setItem(KEY, this.handle).catch((error: unknown) => {
      console.error('remembering the kept file', error);
    });
    await this.write();
  }

  private async remember(): Promise<void> {
    const handle = (await this.device.getItem(KEY).catch(() => null)) as FileHandle | null;
    if (handle === null || typeof handle.createWritable !== 'function') return;
    this.handle = handle;
    this.kept.set({ is: 'kept', name: handle.name, at: null, more: 0 });
    await this.write();
  }

  private write(): Promise<void> {
    return this.guarded(async (handle) => {
      if (this.journal.book() !== 'own' || this.journal.saving().is === 'opening') return;
      const may = await handle.queryPermission?.({ mode: 'readwrite' });
      if (may !== undefined && may !== 'granted')
        return this.kept.set({ is: 'asks', name: handle.name });
      for (let tries = 0; tries < TRIES; tries++) if (await this.writeOnce(handle)) return;
      throw new Error('another device is writing it. It is tried again with the next entry');
    });
  }

  /** Nothing that is thrown here ends the keeping: it is said, and tried again with the next entry. */
  private async guarded(work: (handle: FileHandle) => Promise<void>): Promise<void> {
    const { handle } = this;
    if (!handle) return;
    try {
      await work(handle);
    } catch (error) {
      console.error('keeping the file', error);
      if (this.handle === handle)
        this.kept.set({ is: 'failed', name: handle.name, why: reasonOf(error) });
    }
  }

  /** @returns false where the file changed while it was being written beside: it was left as it is */
  private async writeOnce(handle: FileHandle): Promise<boolean> {
    const before = await handle.getFile();
    // The demo may have been opened meanwhile: nothing of it belongs in here.
    if (this.journal.book() !== 'own') return true;
    const here = this.file.entries();
    const { missing, shared } = await this.heldBy(before, here);
    const { lastModified, size } = before;
    this.missing = missing;
    if (missing.length > 0 && !shared) {
      this.kept.set({ is: 'other', name: handle.name, entries: missing.length });
      return true;
    }
    const all = [...here, ...missing];
    const text = await this.file.textOf(all);
    const stream = await handle.createWritable();
    try {
      await stream.write(text);
      const now = await handle.getFile();
      if (now.lastModified !== lastModified || now.size !== size) {
        await stream.abort();
        return false;
      }
      await stream.close();
    } catch (error) {
      await stream.abort().catch(() => undefined);
      throw error;
    }
    const after = await handle.getFile();
    this.holds = { lastModified: after.lastModified, size: after.size, entries: all };
    this.kept.set({ is: 'kept', name: handle.name, at: new Date(), more: missing.length });
    await this.last.saved();
    return true;
  }

  /**
   * What the file holds that is not here, and whether it is of this journal at all.
   * @throws where that cannot be told: such a file is left as it is
   */
  private async heldBy(
    file: Awaited<ReturnType<FileHandle['getFile']>>,
    here: readonly Entry[],
  ): Promise<{ readonly missing: readonly Entry[]; readonly shared: boolean }> {
    const ids = new Set(here.map((e) => e.id));
    const entries = await this.entriesIn(file);
    const missing = entries.filter((e) => !ids.has(e.id));
    return { missing, shared: missing.length < entries.length };
  }

  private async entriesIn(
    file: Awaited<ReturnType<FileHandle['getFile']>>,
  ): Promise<readonly Entry[]> {
    const { holds } = this;
    if (file.size === 0) return [];
    if (holds?.size === file.size && holds.lastModified === file.lastModified) return holds.entries;
    const tooLarge = sizeProblem(file.size);
    const text = tooLarge ? '' : await file.text();
    const read = tooLarge
      ? { ok: false as const, problems: [tooLarge] }
      : await this.worker.ask((w) => w.read(text, [], Date.now()));
    if (read.ok) return read.entries;
    const [problem] = read.problems;
    throw new Error(
      `what stands in it is not a journal that can be read, and is left as it is. ${problemText(problem!)} Keep another file`,
    );
  }
}

const pickers = (): Pickers => globalThis as unknown as Pickers;
