import { inject, Injectable, signal } from '@angular/core';
import { toObservable } from '@angular/core/rxjs-interop';
import { reasonOf } from '@hypogeon/core/faults';
import { concatMap, debounceTime, distinctUntilChanged, filter, map, skip } from 'rxjs';
import { STORES } from './book';
import { Journal } from './journal';
import { JournalFile } from './journal-file';
import { LastFile } from './last-file';

/** The few calls of a file handle that are needed. Not all browsers have them, nor TypeScript all of them. */
export interface FileHandle {
  readonly name: string;
  createWritable(): Promise<{ write(text: string): Promise<void>; close(): Promise<void> }>;
  queryPermission?(mode: { readonly mode: 'readwrite' }): Promise<PermissionState>;
  requestPermission?(mode: { readonly mode: 'readwrite' }): Promise<PermissionState>;
}

type Picker = (options: object) => Promise<FileHandle>;

export type Kept =
  | { readonly is: 'off' }
  | { readonly is: 'kept'; readonly name: string; readonly at: Date | null }
  /** The browser wants to be told again, by a tap, that the file may be written. */
  | { readonly is: 'asks'; readonly name: string }
  | { readonly is: 'failed'; readonly name: string; readonly why: string };

const KEY = 'kept-file';
/** The newest entry that was written into it. */
const NEWEST = 'kept-file-newest';
/** A count of a tray is many entries: they are written together. */
const REST_MS = 5_000;

/**
 * A file of the grower's choice that is kept like the journal by itself, where the browser can (File System Access).
 * Whatever goes wrong is said, and the journal is none the worse for it.
 */
@Injectable({ providedIn: 'root' })
export class KeptFile {
  private readonly journal = inject(Journal);
  private readonly file = inject(JournalFile);
  private readonly last = inject(LastFile);
  private readonly device = inject(STORES).device;
  private handle: FileHandle | null = null;

  readonly kept = signal<Kept>({ is: 'off' });
  readonly can = 'showSaveFilePicker' in globalThis;

  constructor() {
    void this.remember();
    toObservable(this.journal.state)
      .pipe(
        filter(() => this.journal.book() === 'own'),
        map((state) => state.size),
        distinctUntilChanged(),
        skip(1),
        debounceTime(REST_MS),
        concatMap(() => this.write()),
      )
      .subscribe();
  }

  /** Asks for a file and keeps it from now on. Nothing happens where the grower thinks better of it. */
  async choose(): Promise<void> {
    const pick = (globalThis as unknown as { showSaveFilePicker: Picker }).showSaveFilePicker;
    try {
      this.handle = await pick({
        suggestedName: 'hypogeon-journal.json',
        types: [{ description: 'Journal', accept: { 'application/json': ['.json'] } }],
      });
    } catch (error) {
      if (error instanceof DOMException && error.name === 'AbortError') return;
      this.kept.set({ is: 'failed', name: 'The file', why: reasonOf(error) });
      return;
    }
    // A new file holds nothing of ours yet.
    await this.device.setItem(NEWEST, null).catch(() => undefined);
    await this.device.setItem(KEY, this.handle).catch((error: unknown) => {
      console.error('remembering the kept file', error);
    });
    await this.write();
  }

  /** After a new start: the browser asks, the grower allows. */
  async allow(): Promise<void> {
    const answer = await this.handle?.requestPermission?.({ mode: 'readwrite' });
    if (answer === 'granted') await this.write();
  }

  async stop(): Promise<void> {
    this.handle = null;
    this.kept.set({ is: 'off' });
    await this.device.setItem(KEY, null);
  }

  private async remember(): Promise<void> {
    const handle = (await this.device.getItem(KEY).catch(() => null)) as FileHandle | null;
    if (handle === null || typeof handle.createWritable !== 'function') return;
    this.handle = handle;
    const may = await handle.queryPermission?.({ mode: 'readwrite' });
    if (may === undefined || may === 'granted') {
      this.kept.set({ is: 'kept', name: handle.name, at: null });
      await this.write();
    } else this.kept.set({ is: 'asks', name: handle.name });
  }

  private async write(): Promise<void> {
    const { handle } = this;
    if (!handle || this.journal.book() !== 'own' || this.journal.saving().is === 'opening') return;
    const may = await handle.queryPermission?.({ mode: 'readwrite' });
    if (may !== undefined && may !== 'granted')
      return this.kept.set({ is: 'asks', name: handle.name });
    // A journal is never shortened: where what was written last is not in it, it was lost or begun anew, and must not
    // take the old one's file with it.
    const newest = await this.device.getItem(NEWEST).catch(() => null);
    const entries = this.file.entries();
    if (typeof newest === 'string' && !entries.some((e) => e.id === newest))
      return this.kept.set({
        is: 'failed',
        name: handle.name,
        why: 'it holds entries that the journal here has not, and is left as it is. Restore it, or choose another file',
      });
    try {
      const text = await this.file.text();
      const stream = await handle.createWritable();
      await stream.write(text);
      await stream.close();
      this.kept.set({ is: 'kept', name: handle.name, at: new Date() });
      await this.device.setItem(NEWEST, entries.at(-1)?.id ?? null);
      await this.last.saved();
    } catch (error) {
      console.error('keeping the file', error);
      this.kept.set({ is: 'failed', name: handle.name, why: reasonOf(error) });
    }
  }
}
