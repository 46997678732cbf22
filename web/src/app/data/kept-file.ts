import { DOCUMENT, inject, Injectable, signal } from '@angular/core';
import { takeUntilDestroyed, toObservable } from '@angular/core/rxjs-interop';
import { MatSnackBar } from '@angular/material/snack-bar';
import { cameIn } from '@hypogeon/core/bench';
import { reasonOf } from '@hypogeon/core/faults';
import { entriesToStore, problemText, sizeProblem } from '@hypogeon/core/formats';
import type { Entry } from '@hypogeon/core/journal';
import { cameInText } from '@hypogeon/words';
import {
  concatMap,
  distinctUntilChanged,
  filter,
  fromEvent,
  interval,
  map,
  merge,
  skip,
  Subject,
} from 'rxjs';
import { say as actions } from '@hypogeon/messages/actions';
import { say } from '@hypogeon/messages/kept-file';
import type { ReadFile } from '../workers/files';
import { STORES } from './book';
import { Journal } from './journal';
import { JournalFile } from './journal-file';
import { LastFile } from './last-file';
import { rested } from './rested';
import { TornFiles } from './torn-files';
import { Words } from './words';
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
  | { readonly is: 'kept'; readonly name: string; readonly at: Date | null }
  /** The browser wants to be told again, by a tap, that the file may be written. */
  | { readonly is: 'asks'; readonly name: string }
  /** The file holds another journal, of so many entries. It is left as it is until the grower says. */
  | { readonly is: 'other'; readonly name: string; readonly entries: number }
  /** It ends in the middle: another program may be carrying it just now. It is left, and read again. */
  | { readonly is: 'arriving'; readonly name: string }
  | { readonly is: 'failed'; readonly name: string; readonly why: string };

/** What came in of the file, and when. */
export interface Arrival {
  readonly at: Date;
  /** A line for each device. */
  readonly from: readonly string[];
}

const KEY = 'kept-file';
/** A count of a tray is many entries: they are written together. */
const REST_MS = 5_000;
/** Another device's entries are looked for so often, besides whenever one comes back to this window. */
const LOOK_MS = 150_000;
/** A file that arrives in part, or could not be read or written, is looked at again after this, and is torn when nothing has come in so long. */
const AGAIN_MS = 30_000;
const TORN_MS = 120_000;
/** Another device that writes at the same moment is done after so many tries. */
const TRIES = 3;
const MOST_ARRIVALS = 5;
const TYPES = [
  {
    get description() {
      return say.journal();
    },
    accept: { 'application/json': ['.json'] },
  },
];

/** What a file is told apart by: unchanged, it need not be read again. */
interface Seen {
  readonly size: number;
  readonly lastModified: number;
}

/** What stands in the file: whole, or as much as is whole of a torn one. */
interface Held {
  readonly entries: readonly Entry[];
  readonly torn: boolean;
}

/**
 * A file of the grower's choice that is kept like the journal by itself, where the browser can (File System Access).
 * In a folder that another program carries between devices it is how they share one journal: whenever one comes to
 * the window, and every few minutes, it is read, merged by the laws of the journal and written back.
 * Law: it never loses an entry that it holds. What stands in it is read first; a file that changed meanwhile is not
 * written over; what is torn is set aside whole. Whatever goes wrong is said, and the journal is none the worse for it.
 */
@Injectable({ providedIn: 'root' })
export class KeptFile {
  private readonly journal = inject(Journal);
  private readonly file = inject(JournalFile);
  private readonly last = inject(LastFile);
  private readonly torn = inject(TornFiles);
  private readonly words = inject(Words);
  private readonly worker = inject(FILES_WORKER);
  private readonly bar = inject(MatSnackBar);
  private readonly document = inject(DOCUMENT);
  private readonly device = inject(STORES).device;
  private readonly again = new Subject<void>();
  private handle: FileHandle | null = null;
  private holds: (Seen & { readonly entries: readonly Entry[] }) | null = null;
  /** The torn file as it was first seen. */
  private arriving: (Seen & { readonly since: number }) | null = null;
  /** The grower has chosen the file just now, with nothing in the journal here: it is this journal. */
  private joins = false;
  /** The entries of another journal, until the grower says what to do with them. */
  private others: readonly Entry[] = [];

  readonly kept = signal<Kept>({ is: 'off' });
  /** What came in since this window was opened, the latest first. */
  readonly arrivals = signal<readonly Arrival[]>([]);
  readonly can = 'showSaveFilePicker' in globalThis;
  /** Whether a file that is there can be chosen without being emptied. */
  readonly canOpen = 'showOpenFilePicker' in globalThis;

  constructor() {
    void this.remember();
    const recorded = toObservable(this.journal.state).pipe(
      filter(() => this.journal.book() === 'own'),
      map((state) => state.size),
      distinctUntilChanged(),
      skip(1),
      rested(REST_MS),
    );
    const { document } = this;
    const back = merge(
      fromEvent(document.defaultView!, 'focus'),
      fromEvent(document, 'visibilitychange'),
      interval(LOOK_MS),
    ).pipe(filter(() => document.visibilityState === 'visible'));
    merge(recorded, back, this.again.pipe(rested(AGAIN_MS)))
      .pipe(
        concatMap(() => this.write()),
        takeUntilDestroyed(),
      )
      .subscribe();
  }

  /** Asks for a new file and keeps it from now on. Nothing happens where the grower thinks better of it. */
  choose(suggestedName: string): Promise<void> {
    return this.pick(() => pickers().showSaveFilePicker({ suggestedName, types: TYPES }));
  }

  /** Keeps a file that is there. What it holds stays in it, and comes in where it is of this journal. */
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

  /** Another journal comes into this one; the file is kept on. */
  async takeIn(): Promise<void> {
    if (this.journal.book() !== 'own') return;
    if (await this.takes(this.others)) await this.write();
  }

  async stop(): Promise<void> {
    this.handle = null;
    this.forget();
    this.kept.set({ is: 'off' });
    await this.device.setItem(KEY, null).catch((error: unknown) => {
      console.error('forgetting the kept file', error);
    });
  }

  private forget(): void {
    this.holds = null;
    this.arriving = null;
    this.joins = false;
    this.others = [];
  }

  private async pick(ask: () => Promise<FileHandle>): Promise<void> {
    try {
      this.handle = await ask();
    } catch (error) {
      if (error instanceof DOMException && error.name === 'AbortError') return;
      this.kept.set({ is: 'failed', name: say.theFile(), why: reasonOf(error) });
      return;
    }
    this.forget();
    this.joins = this.journal.book() === 'own' && this.journal.state().size === 0;
    await this.device.setItem(KEY, this.handle).catch((error: unknown) => {
      console.error('remembering the kept file', error);
    });
    await this.write();
  }

  private async remember(): Promise<void> {
    const handle = (await this.device.getItem(KEY).catch(() => null)) as FileHandle | null;
    if (handle === null || typeof handle.createWritable !== 'function') return;
    this.handle = handle;
    this.kept.set({ is: 'kept', name: handle.name, at: null });
    await this.write();
    if (this.kept().is === 'asks') this.askAgain(handle.name);
  }

  /** Only in Settings it would be seen too late: what other devices write does not come in until it is allowed. */
  private askAgain(name: string): void {
    this.bar
      .open(say.isNotKeptUp({ name }), say.allow())
      .onAction()
      .subscribe(() => void this.allow());
  }

  private write(): Promise<void> {
    return this.guarded(async (handle) => {
      if (this.journal.book() !== 'own' || this.journal.saving().is === 'opening') return;
      const may = await handle.queryPermission?.({ mode: 'readwrite' });
      if (may !== undefined && may !== 'granted')
        return this.kept.set({ is: 'asks', name: handle.name });
      for (let tries = 0; tries < TRIES; tries++) if (await this.writeOnce(handle)) return;
      throw new Error('another device is writing it. It is tried again in a moment');
    });
  }

  /** Nothing that is thrown here ends the keeping: it is said, and tried again in a moment. */
  private async guarded(work: (handle: FileHandle) => Promise<void>): Promise<void> {
    const { handle } = this;
    if (!handle) return;
    try {
      await work(handle);
    } catch (error) {
      console.error('keeping the file', error);
      if (this.handle !== handle) return;
      this.kept.set({ is: 'failed', name: handle.name, why: reasonOf(error) });
      this.again.next();
    }
  }

  /** @returns false where the file changed while it was being written beside: it was left as it is */
  private async writeOnce(handle: FileHandle): Promise<boolean> {
    const before = await handle.getFile();
    const held = await this.heldBy(before, handle.name);
    if (held === 'arriving') {
      this.kept.set({ is: 'arriving', name: handle.name });
      this.again.next();
      return true;
    }
    // The demo may have been opened meanwhile: nothing of it belongs in here.
    if (this.journal.book() !== 'own') return true;
    const { entries } = held;
    const missing = this.missingOf(entries);
    const shared = missing.length < entries.length || held.torn || this.joins;
    if (missing.length > 0 && !shared) {
      this.others = entries;
      this.kept.set({ is: 'other', name: handle.name, entries: missing.length });
      return true;
    }
    this.joins = false;
    const known = entries === this.holds?.entries;
    if (!known) await this.takes(entries);
    // While the store was asked the demo may have been opened.
    if (this.journal.book() !== 'own') return true;
    const all = this.file.entries();
    const lacks = known ? all.length > entries.length : this.lacks(all, entries);
    if (held.torn || before.size === 0 || lacks) {
      if (!(await this.writeBeside(handle, before, all))) return false;
    } else this.holds = { ...seenOf(before), entries };
    this.kept.set({ is: 'kept', name: handle.name, at: new Date() });
    await this.last.saved();
    return true;
  }

  /** Writes beside the file and puts that in its place, unless another has written it meanwhile. */
  private async writeBeside(
    handle: FileHandle,
    before: Seen,
    all: readonly Entry[],
  ): Promise<boolean> {
    const text = await this.file.textOf(all);
    const stream = await handle.createWritable();
    try {
      await stream.write(text);
      if (!isSame(await handle.getFile(), before)) {
        await stream.abort();
        return false;
      }
      await stream.close();
    } catch (error) {
      await stream.abort().catch(() => undefined);
      throw error;
    }
    this.holds = { ...seenOf(await handle.getFile()), entries: all };
    this.arriving = null;
    return true;
  }

  /** What the file holds comes into the journal by its laws, and is said. @returns whether it is saved */
  private async takes(entries: readonly Entry[]): Promise<boolean> {
    const fresh = entriesToStore(this.journal.state(), entries);
    if (fresh.length === 0) return true;
    const saved = await this.journal.take(fresh);
    this.others = [];
    const state = this.journal.state();
    const { locale } = this.words.style();
    const from = cameIn(state, fresh).map((came) =>
      cameInText(state, came, locale, this.journal.thisDevice()),
    );
    this.arrivals.update((all) => [{ at: new Date(), from }, ...all].slice(0, MOST_ARRIVALS));
    this.bar.open(say.cameIn({ from: from.join('. ') }), actions.close(), { duration: 8000 });
    return saved;
  }

  private missingOf(entries: readonly Entry[]): readonly Entry[] {
    const here = new Set(this.file.entries().map((e) => e.id));
    return entries.filter((e) => !here.has(e.id));
  }

  /** Whether the file has not all that is here, or has another of it. */
  private lacks(all: readonly Entry[], entries: readonly Entry[]): boolean {
    const held = new Map(entries.map((e) => [e.id, e]));
    return all.some((e) => {
      const other = held.get(e.id);
      return other === undefined || (other !== e && JSON.stringify(other) !== JSON.stringify(e));
    });
  }

  /**
   * What the file holds. Of one that is torn, once nothing more has come for long: what is whole of it, with the torn
   * one set aside.
   * @throws where that cannot be told: such a file is left as it is
   */
  private async heldBy(
    file: Awaited<ReturnType<FileHandle['getFile']>>,
    name: string,
  ): Promise<Held | 'arriving'> {
    const { holds } = this;
    if (file.size === 0) return { entries: [], torn: false };
    if (holds && isSame(file, holds)) return { entries: holds.entries, torn: false };
    const tooLarge = sizeProblem(file.size);
    const text = tooLarge ? '' : await file.text();
    const read = tooLarge ? { ok: false as const, problems: [tooLarge] } : await this.read(text);
    if (read.ok) {
      this.arriving = null;
      return { entries: read.entries, torn: false };
    }
    const torn = tooLarge ? null : await this.worker.ask((w) => w.torn(text, Date.now()));
    if (torn && this.isOurs(torn.entries)) {
      if (!this.arriving || !isSame(file, this.arriving))
        this.arriving = { ...seenOf(file), since: Date.now() };
      if (Date.now() - this.arriving.since < TORN_MS) return 'arriving';
      await this.torn.setAside({ name, at: Date.now(), entries: torn.entries.length, text });
      return { entries: torn.entries, torn: true };
    }
    const [problem] = read.problems;
    throw new Error(
      `what stands in it is not a journal that can be read, and is left as it is. ${problemText(problem!)} Keep another file`,
    );
  }

  /** Entries stamped ahead of this clock that are here already stand as they are here: no two devices stamp by turns. */
  private async read(text: string): Promise<ReadFile> {
    const read = await this.worker.ask((w) => w.read(text, [], Date.now()));
    if (!read.ok || read.ahead === 0) return read;
    const here = this.file.entries();
    return this.worker.ask((w) => w.read(text, here, Date.now()));
  }

  /** Of a torn file: whether it is this journal's, so far as can be told. */
  private isOurs(entries: readonly Entry[]): boolean {
    return this.holds !== null || this.missingOf(entries).length < entries.length;
  }
}

const seenOf = ({ size, lastModified }: Seen): Seen => ({ size, lastModified });
const isSame = (a: Seen, b: Seen): boolean =>
  a.size === b.size && a.lastModified === b.lastModified;
const pickers = (): Pickers => globalThis as unknown as Pickers;
