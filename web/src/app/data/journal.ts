import { inject, Injectable, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { entriesToStore, problemText, readEntry } from '@hypogeon/core/formats';
import {
  append,
  appendAll,
  bringBack,
  EMPTY_STATE,
  entriesOf,
  fold,
  isAhead,
  nextStamp,
  subjectOf,
  type Entry,
  type EntryDraft,
  type State,
} from '@hypogeon/core/journal';
import { BehaviorSubject } from 'rxjs';
import * as z from 'zod';
import { BOOKS, BUILD, STORES, type Book } from './book';
import { ChunkStore, GATHER_AT, readChunks, type SetAside, type StoredChunk } from './chunk-store';
import { Drafts } from './drafts';
import { freshId } from './fresh-id';
import { loadSnapshot, openSnapshot, saveSnapshot } from './snapshot-store';
import { forgetSeen, lastSeen, rememberSeen, type LastSeen } from './last-seen';
import { storeReason } from './store-reason';
import { Today } from './today';
import { FILES_WORKER } from './workers';

/** How the store stands. What is not saved stays in memory and is said at once. */
export type Saving =
  | { readonly is: 'opening'; readonly slow: boolean }
  | { readonly is: 'saved' }
  | { readonly is: 'saving'; readonly slow: boolean }
  | { readonly is: 'failed'; readonly reason: string; readonly unsaved: number };

/** An entry as a screen hands it in; the journal adds who, when and, unless given, today. */
export type Draft = EntryDraft;

/** What became of drafts: in the state and confirmed, in the state only, or not taken at all. */
export interface Recorded {
  readonly entries: readonly Entry[];
  readonly saved: boolean;
  /** Why nothing was taken; empty otherwise. */
  readonly refused: string;
}

/** The store should have answered by now: it is said, and waited on. */
const SLOW_MS = 6000;
/** Below so many signs of chunks everything is read on the spot: a worker would cost more than it saves. */
const LARGE = 1_000_000;
/** So long after opening a snapshot is made, off the screen's thread. */
const SNAPSHOT_AFTER_MS = 12_000;
/** Before it, so that the snapshot is of the chunks that stay. */
const GATHER_AFTER_MS = 6_000;
/** So many signs since the last snapshot are read at every opening without one. */
const SNAPSHOT_SINCE = 300_000;
/** A clock that stands before this application was written is wrong, whatever else is. */
const CLOCK_FLOOR_MS = Date.UTC(2026, 0, 1);

/**
 * The journal of this device: entries in, folded state out. An entry is in the state at once, and
 * `saving` says saved only when the store has confirmed it.
 */
@Injectable({ providedIn: 'root' })
export class Journal {
  private readonly stores = inject(STORES);
  private readonly today = inject(Today);
  private readonly drafts = inject(Drafts);
  private readonly worker = inject(FILES_WORKER);
  private readonly build = inject(BUILD);
  private readonly subject = new BehaviorSubject<State>(EMPTY_STATE);
  private chunks!: ChunkStore;
  private device = '';
  private unsaved: Entry[] = [];
  private writing: Promise<boolean> = Promise.resolve(true);
  private channel: BroadcastChannel | null = null;
  private persistAsked = false;
  /** The book could not be opened: what is recorded lives in this tab only, until it can. */
  private stranded = false;
  private snapshotTimer: ReturnType<typeof setTimeout> | undefined;
  private gatherTimer: ReturnType<typeof setTimeout> | undefined;

  readonly state$ = this.subject.asObservable();
  readonly state = toSignal(this.state$, { requireSync: true });
  readonly saving = signal<Saving>({ is: 'opening', slow: false });
  readonly book = signal<Book>('own');
  /** Whether there is an own journal to go back to from the demo. */
  readonly ownBegun = signal(false);
  /** What was found in the store and is not taken into the account: left as it is, and said. */
  readonly setAside = signal<readonly SetAside[]>([]);
  /** Entries that were stamped anew because a clock had stood far ahead while they were written. */
  readonly broughtBack = signal(0);

  /** The own journal was here, and the browser has it no more. */
  readonly gone = signal<LastSeen | null>(null);

  /** Opens the book last used; where the demo is served and nothing is here yet, the demo. */
  async open(): Promise<void> {
    const slow = setTimeout(() => this.saving.set({ is: 'opening', slow: true }), SLOW_MS);
    try {
      this.device = await this.deviceId();
      const kept = await this.stores.device.getItem('book');
      const book = bookSchema.nullable().catch(null).parse(kept);
      if (book === null && (await this.demoIsServed()) && (await this.ownIsEmpty()))
        await this.openDemo();
      else await this.openBook(book ?? 'own');
      await this.noticeLoss();
    } catch (error) {
      // A browser that refuses all storage can still be used, and the file be saved by hand.
      this.stranded = true;
      this.chunks = refusingStore(error);
      this.device ||= freshId();
      const { length: unsaved } = this.unsaved;
      this.saving.set({ is: 'failed', reason: storeReason(error, 'open'), unsaved });
    } finally {
      clearTimeout(slow);
    }
  }

  /** The entries are in the state when this returns; the promise tells whether the store confirmed them. */
  record(draft: Draft): Promise<Recorded> {
    return this.recordAll([draft]);
  }

  /** Entries that belong together: all are taken or none, and stored as one chunk. */
  async recordAll(drafts: readonly Draft[]): Promise<Recorded> {
    this.setClockRight();
    let last = this.state().lastStamp;
    const entries: Entry[] = [];
    for (const draft of drafts) {
      const read = this.atTheDoor(draft, last);
      if (typeof read === 'string') return { entries: [], saved: false, refused: read };
      last = read.at;
      entries.push(read);
    }
    this.subject.next(appendAll(this.state(), entries));
    return { entries, saved: await this.save(entries), refused: '' };
  }

  /** Takes entries out of the account by further entries. */
  async retract(...taken: readonly Entry[]): Promise<boolean> {
    const { saved } = await this.recordAll(
      taken.map((entry) => ({ kind: 'retract', entry: entry.id, subject: subjectOf(entry) })),
    );
    return saved;
  }

  /** Merges entries of another journal; those already here change nothing. */
  async take(entries: readonly Entry[]): Promise<boolean> {
    const state = this.state();
    const fresh = entriesToStore(state, entries);
    if (fresh.length === 0) return true;
    this.subject.next(
      fresh.length > state.size / 4
        ? fold([...entriesOf(state), ...fresh])
        : appendAll(state, fresh),
    );
    return this.save(fresh);
  }

  async openDemo(): Promise<void> {
    const { demoJournal } = await import('@hypogeon/core/demo');
    const chunks = new ChunkStore(this.stores.journal('demo'), freshId);
    if ((await chunks.chunks()).length === 0) await chunks.write(demoJournal(this.today.day()));
    await this.openBook('demo');
    await this.stores.device.setItem('book', 'demo');
  }

  /** Throws the demo away, with all that was tried out in it, and opens the grower's own book. */
  clearDemo(): Promise<void> {
    return this.clear('demo');
  }

  /** Empties the grower's own book. Whoever asks for it has saved a file first. */
  async clearOwn(): Promise<void> {
    await this.clear('own');
    // It is not lost: it was thrown away.
    this.understoodGone();
  }

  private async clear(book: Book): Promise<void> {
    await this.writing;
    await new ChunkStore(this.stores.journal(book), freshId).clear();
    await Promise.all([
      this.stores.pictures(book).clear(),
      this.stores.snapshot(book).clear(),
      this.stores.drafts(book).clear(),
    ]);
    this.tell({ book, cleared: true });
    await this.openOwn();
  }

  async openOwn(): Promise<void> {
    await this.openBook('own');
    await this.stores.device.setItem('book', 'own');
  }

  /** Tries again what the store refused: to save, or to open at all. */
  async retry(): Promise<boolean> {
    if (!this.stranded) return this.save([]);
    const kept = this.unsaved;
    this.saving.set({ is: 'opening', slow: false });
    await this.open();
    if (this.isStranded()) return false;
    this.subject.next(appendAll(this.state(), kept));
    return this.save(kept);
  }

  private isStranded(): boolean {
    return this.stranded;
  }

  private async openBook(book: Book): Promise<void> {
    await this.writing;
    clearTimeout(this.snapshotTimer);
    this.saving.set({ is: 'opening', slow: false });
    const chunks = new ChunkStore(this.stores.journal(book), freshId);
    const [lying, kept, ownIsEmpty] = await Promise.all([
      chunks.chunks(),
      loadSnapshot(this.stores.snapshot(book)).catch(() => null),
      book === 'demo' ? this.ownIsEmpty() : false,
      this.drafts.open(book),
    ]);
    this.ownBegun.set(!ownIsEmpty);
    const { state, setAside, stale } = await this.openChunks(book, lying, kept);
    this.stranded = false;
    this.chunks = chunks;
    this.book.set(book);
    this.setAside.set(setAside);
    this.unsaved = [];
    this.subject.next(state);
    this.saving.set({ is: 'saved' });
    this.listen(book);
    this.setClockRight();
    if (lying.length >= GATHER_AT) this.gatherLater(chunks);
    if (stale) this.makeSnapshotLater(book);
  }

  /** From the snapshot and what came since; where there is none to be trusted, from all entries. */
  private async openChunks(
    book: Book,
    lying: readonly StoredChunk[],
    kept: unknown,
  ): Promise<Reading> {
    const signs = signsIn(lying);
    let opened = openSnapshot(kept, lying, this.build);
    const trusted = opened !== null;
    if (!opened && signs > LARGE) opened = await this.foldElsewhere(book, lying);
    if (!opened) {
      const { entries, setAside } = readChunks(lying);
      return { state: fold(entries), setAside, stale: signs > SNAPSHOT_SINCE };
    }
    const since = readChunks(opened.since ?? []);
    return {
      state: appendAll(opened.state, since.entries),
      setAside: [...opened.setAside, ...since.setAside],
      stale: trusted && signsIn(opened.since ?? []) > SNAPSHOT_SINCE,
    };
  }

  /** A large journal is read and folded off the screen's thread; what comes back is a snapshot. */
  private async foldElsewhere(book: Book, lying: readonly StoredChunk[]) {
    try {
      const text = await this.worker.ask((w) => w.snapshot(lying, this.build));
      void saveSnapshot(this.stores.snapshot(book), text).catch(() => undefined);
      return openSnapshot(text, lying, this.build);
    } catch (error) {
      console.error('folding in the worker', error);
      return null;
    }
  }

  /** Tidying waits until the day's work has been seen. */
  private gatherLater(chunks: ChunkStore): void {
    clearTimeout(this.gatherTimer);
    this.gatherTimer = setTimeout(() => {
      if (this.chunks !== chunks) return;
      void chunks.gather().catch((error: unknown) => console.error('gathering chunks', error));
    }, GATHER_AFTER_MS);
  }

  private makeSnapshotLater(book: Book): void {
    this.snapshotTimer = setTimeout(() => {
      void (async () => {
        const lying = await this.chunks.chunks();
        const text = await this.worker.ask((w) => w.snapshot(lying, this.build));
        await saveSnapshot(this.stores.snapshot(book), text);
      })().catch((error: unknown) => console.error('making a snapshot', error));
    }, SNAPSHOT_AFTER_MS);
  }

  /** A draft as an entry that any reader of ours takes, or a sentence that says why it is none. */
  private atTheDoor(draft: Draft, last: string | null): Entry | string {
    let plain: unknown;
    try {
      // As a file would hold it: what has no place there has none in the state.
      plain = JSON.parse(
        JSON.stringify({
          ...draft,
          id: freshId(),
          at: nextStamp(last, Date.now()),
          day: draft.day ?? this.today.day(),
          by: this.device,
        }),
      );
    } catch (error) {
      console.error('a draft that cannot be written', error);
      return 'This cannot be written down. Nothing was changed.';
    }
    const read = readEntry(plain);
    if (read.ok) return read.entry;
    const [{ path, sentence }] = read.issues as [(typeof read.issues)[number]];
    console.error('a draft that no reader takes', read.issues);
    return `Nothing was changed: ${problemText({ field: path.join('.'), sentence })}`;
  }

  /**
   * What was written while a clock stood far ahead is stamped anew once it is set right: left alone it would stand
   * after everything written for years, and no other device would take the file. A clock that is itself far behind,
   * so that most of the journal seems to lie ahead, moves nothing.
   */
  private setClockRight(): void {
    const now = Date.now();
    const state = this.state();
    if (state.lastStamp === null || now < CLOCK_FLOOR_MS || !isAhead(state.lastStamp, now)) return;
    const entries = entriesOf(state);
    const { entries: back, moved } = bringBack(entries, now);
    if (moved.size > entries.length / 2 && moved.size > 20) return;
    this.subject.next(fold(back));
    this.broughtBack.set(moved.size);
    const anew = back.filter((e) => moved.has(e.id));
    const { chunks } = this;
    this.unsaved = this.unsaved.map((e) => anew.find((a) => a.id === e.id) ?? e);
    this.writing = this.writing
      .then(() => chunks.restamp(anew))
      .then(() => true)
      .catch((error: unknown) => {
        console.error('stamping anew', error);
        return false;
      });
  }

  /** Writes stand in a queue, so that what failed before goes first. Nothing breaks the queue. */
  private save(entries: readonly Entry[]): Promise<boolean> {
    this.unsaved.push(...entries);
    this.saving.set({ is: 'saving', slow: false });
    const flush = (): Promise<boolean> => this.flush();
    this.writing = this.writing.then(flush, flush);
    return this.writing;
  }

  private async flush(): Promise<boolean> {
    const entries = [...this.unsaved];
    const slow = setTimeout(() => this.saving.set({ is: 'saving', slow: true }), SLOW_MS);
    try {
      if (entries.length > 0) await this.chunks.write(entries);
    } catch (error) {
      const reason = storeReason(error, 'save');
      this.saving.set({ is: 'failed', reason, unsaved: this.unsaved.length });
      return false;
    } finally {
      clearTimeout(slow);
    }
    const written = new Set(entries);
    this.unsaved = this.unsaved.filter((e) => !written.has(e));
    if (entries.length > 0) {
      this.tell({ book: this.book(), entries });
      if (this.book() === 'own')
        rememberSeen({ entries: this.state().size, day: this.today.day() });
    }
    this.saving.set(this.unsaved.length === 0 ? { is: 'saved' } : { is: 'saving', slow: false });
    this.askToPersist();
    return true;
  }

  /** Other tabs hear of what is saved; that one cannot be told harms nothing that is. */
  private tell(message: TabMessage): void {
    try {
      this.channel?.postMessage(message);
    } catch (error) {
      console.error('telling other tabs', error);
    }
  }

  /** Asks the browser once not to throw the store away when space runs short. */
  private askToPersist(): void {
    if (this.persistAsked || this.book() === 'demo') return;
    this.persistAsked = true;
    // Not there on plain http, where a phone reaches the bench's laptop.
    const storage = navigator.storage as StorageManager | undefined;
    void storage?.persist().catch(() => false);
  }

  /** Hears what other tabs of this browser have saved. */
  private listen(book: Book): void {
    this.channel?.close();
    if (typeof BroadcastChannel === 'undefined') return;
    this.channel = new BroadcastChannel('hypogeon-journal');
    this.channel.onmessage = ({ data }: MessageEvent<unknown>) => {
      const message = tabMessage.safeParse(data);
      if (!message.success || message.data.book !== book) return;
      const { cleared, entries = [] } = message.data;
      if (cleared) return void this.openOwn();
      const good = entries.flatMap((e) => {
        const read = readEntry(e);
        return read.ok ? [read.entry] : [];
      });
      this.subject.next(good.reduce(append, this.state()));
    };
  }

  private async deviceId(): Promise<string> {
    const known = deviceSchema.safeParse(await this.stores.device.getItem('id'));
    if (known.success) return known.data;
    const id = freshId();
    await this.stores.device.setItem('id', id);
    return id;
  }

  /** An own journal that was here and is here no more. */
  private async noticeLoss(): Promise<void> {
    const seen = lastSeen();
    if (seen === null) return;
    const empty = this.book() === 'own' ? this.state().size === 0 : await this.ownIsEmpty();
    if (empty) this.gone.set(seen);
  }

  /** The loss was read, and is not said again. */
  understoodGone(): void {
    forgetSeen();
    this.gone.set(null);
  }

  private async ownIsEmpty(): Promise<boolean> {
    return (await new ChunkStore(this.stores.journal('own'), freshId).chunks()).length === 0;
  }

  private async demoIsServed(): Promise<boolean> {
    try {
      const answer = await fetch('start.json');
      return answer.ok && startSchema.safeParse(await answer.json()).success;
    } catch {
      return false;
    }
  }
}

interface Reading {
  readonly state: State;
  readonly setAside: readonly SetAside[];
  /** A snapshot made anew would make the next opening quicker. */
  readonly stale: boolean;
}

const bookSchema = z.enum(BOOKS);
const deviceSchema = z.string().min(1).max(80);
const startSchema = z.looseObject({ demo: z.literal(true) });
const tabMessage = z.object({
  book: bookSchema,
  entries: z.array(z.unknown()).optional(),
  cleared: z.boolean().optional(),
});
type TabMessage = z.infer<typeof tabMessage>;

const signsIn = (chunks: readonly StoredChunk[]): number =>
  chunks.reduce((sum, { text }) => sum + text.length, 0);

function refusingStore(reason: unknown): ChunkStore {
  const refuse = () => Promise.reject(reason instanceof Error ? reason : new Error('no storage'));
  return new ChunkStore(
    { getItem: refuse, setItem: refuse, removeItem: refuse, iterate: refuse, clear: refuse },
    freshId,
  );
}
