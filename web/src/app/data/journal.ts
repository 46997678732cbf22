import { inject, Injectable, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import {
  append,
  appendAll,
  EMPTY_STATE,
  fold,
  nextStamp,
  subjectOf,
  type Entry,
  type EntryDraft,
  type State,
} from '@hypogeon/core';
import { BehaviorSubject } from 'rxjs';
import { STORES, type Book } from './book';
import { ChunkStore } from './chunk-store';
import { freshId } from './fresh-id';
import { Today } from './today';

/** How the store stands. What is not saved stays in memory and is said at once. */
export type Saving =
  | { readonly is: 'opening' }
  | { readonly is: 'saved' }
  | { readonly is: 'saving' }
  | { readonly is: 'failed'; readonly reason: string; readonly unsaved: number };

/** An entry as a screen hands it in; the journal adds who, when and, unless given, today. */
export type Draft = EntryDraft;

/**
 * The journal of this device: entries in, folded state out. An entry is in the state at once, and
 * `saving` says saved only when the store has confirmed it.
 */
@Injectable({ providedIn: 'root' })
export class Journal {
  private readonly stores = inject(STORES);
  private readonly today = inject(Today);
  private readonly subject = new BehaviorSubject<State>(EMPTY_STATE);
  private chunks!: ChunkStore;
  private device = '';
  private unsaved: Entry[] = [];
  private writing: Promise<boolean> = Promise.resolve(true);
  private channel: BroadcastChannel | null = null;
  private persistAsked = false;

  readonly state$ = this.subject.asObservable();
  readonly state = toSignal(this.state$, { requireSync: true });
  readonly saving = signal<Saving>({ is: 'opening' });
  readonly book = signal<Book>('own');
  /** Chunks that could not be read when the journal was opened. */
  readonly damaged = signal<readonly string[]>([]);

  /** Opens the book last used; where the demo is served and nothing is here yet, the demo. */
  async open(): Promise<void> {
    try {
      this.device = await this.deviceId();
      const book = await this.stores.device.getItem<Book>('book');
      if (book === null && (await this.demoIsServed()) && (await this.ownIsEmpty()))
        await this.openDemo();
      else await this.openBook(book ?? 'own');
    } catch (error) {
      // A browser that refuses all storage can still be used, and the file be saved by hand.
      this.chunks = refusingStore(error);
      this.device ||= freshId();
      this.saving.set({ is: 'failed', reason: reasonOf(error), unsaved: 0 });
    }
  }

  /** The entry is in the state when this returns; the promise tells whether the store confirmed it. */
  async record(draft: Draft): Promise<{ readonly entry: Entry; readonly saved: boolean }> {
    const entry = this.stamped(draft);
    this.subject.next(append(this.state(), entry));
    return { entry, saved: await this.save([entry]) };
  }

  /** Several entries that belong together: stored as one chunk, so that all or none are there. */
  async recordAll(
    drafts: readonly Draft[],
  ): Promise<{ readonly entries: readonly Entry[]; readonly saved: boolean }> {
    let last = this.state().lastStamp;
    const entries = drafts.map((draft) => {
      const entry = this.stamped(draft, last);
      last = entry.at;
      return entry;
    });
    this.subject.next(appendAll(this.state(), entries));
    return { entries, saved: await this.save(entries) };
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
    const have = new Set([...this.state().log.values()].flat().map((e) => e.id));
    const fresh = entries.filter((e) => !have.has(e.id));
    this.subject.next(fold([...[...this.state().log.values()].flat(), ...entries]));
    return fresh.length === 0 || this.save(fresh);
  }

  async openDemo(): Promise<void> {
    const { demoJournal } = await import('@hypogeon/core/demo');
    const chunks = new ChunkStore(this.stores.journal('demo'), freshId);
    if ((await chunks.read()).entries.length === 0)
      await chunks.write(demoJournal(this.today.day()));
    await this.openBook('demo');
    await this.stores.device.setItem<Book>('book', 'demo');
  }

  /** Throws the demo away, with all that was tried out in it, and opens the grower's own book. */
  async clearDemo(): Promise<void> {
    await this.writing;
    await new ChunkStore(this.stores.journal('demo'), freshId).clear();
    await this.stores.pictures('demo').clear();
    this.channel?.postMessage({ book: 'demo', cleared: true });
    await this.openOwn();
  }

  async openOwn(): Promise<void> {
    await this.openBook('own');
    await this.stores.device.setItem<Book>('book', 'own');
  }

  /** Tries again to save what the store refused. */
  async retry(): Promise<boolean> {
    return this.save([]);
  }

  private async openBook(book: Book): Promise<void> {
    await this.writing;
    this.saving.set({ is: 'opening' });
    this.chunks = new ChunkStore(this.stores.journal(book), freshId);
    const { entries, damaged } = await this.chunks.read();
    this.book.set(book);
    this.damaged.set(damaged);
    this.unsaved = [];
    this.subject.next(fold(entries));
    this.saving.set({ is: 'saved' });
    this.listen(book);
    void this.chunks.gather().catch(() => undefined);
  }

  private stamped(draft: Draft, after = this.state().lastStamp): Entry {
    return {
      ...draft,
      id: freshId(),
      at: nextStamp(after, Date.now()),
      day: draft.day ?? this.today.day(),
      by: this.device,
    };
  }

  /** Writes stand in a queue, so that what failed before goes first. */
  private save(entries: readonly Entry[]): Promise<boolean> {
    this.unsaved.push(...entries);
    this.saving.set({ is: 'saving' });
    this.writing = this.writing.then(() => this.flush());
    return this.writing;
  }

  private async flush(): Promise<boolean> {
    const entries = [...this.unsaved];
    if (entries.length > 0) {
      try {
        await this.chunks.write(entries);
      } catch (error) {
        this.saving.set({ is: 'failed', reason: reasonOf(error), unsaved: this.unsaved.length });
        return false;
      }
      this.unsaved = this.unsaved.filter((e) => !entries.includes(e));
      this.channel?.postMessage({ book: this.book(), entries });
    }
    if (this.unsaved.length === 0) this.saving.set({ is: 'saved' });
    this.askToPersist();
    return true;
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
    this.channel.onmessage = ({ data }: MessageEvent<TabMessage>) => {
      if (data.book !== book) return;
      if ('cleared' in data) void this.openOwn();
      else this.subject.next(appendAll(this.state(), data.entries));
    };
  }

  private async deviceId(): Promise<string> {
    const known = await this.stores.device.getItem<string>('id');
    if (known) return known;
    const id = freshId();
    await this.stores.device.setItem('id', id);
    return id;
  }

  private async ownIsEmpty(): Promise<boolean> {
    const { entries, damaged } = await new ChunkStore(this.stores.journal('own'), freshId).read();
    return entries.length === 0 && damaged.length === 0;
  }

  private async demoIsServed(): Promise<boolean> {
    try {
      const answer = await fetch('start.json');
      const start: unknown = answer.ok ? await answer.json() : null;
      return typeof start === 'object' && start !== null && 'demo' in start && start.demo === true;
    } catch {
      return false;
    }
  }
}

type TabMessage = { readonly book: Book } & (
  { readonly entries: readonly Entry[] } | { readonly cleared: true }
);

function refusingStore(reason: unknown): ChunkStore {
  const refuse = () => Promise.reject(reason instanceof Error ? reason : new Error('no storage'));
  return new ChunkStore(
    { setItem: refuse, removeItem: refuse, iterate: refuse, clear: refuse },
    freshId,
  );
}

/** The store's reason in a grower's words. */
function reasonOf(error: unknown): string {
  const name = error instanceof Error ? error.name : '';
  if (name === 'QuotaExceededError') return 'This browser’s store is full.';
  return 'This browser does not let Hypogeon store anything.';
}
