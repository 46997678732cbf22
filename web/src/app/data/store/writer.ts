import { signal } from '@angular/core';
import { entriesOf, type Entry, type State } from '@hypogeon/core/journal';
import { Subject } from 'rxjs';
import { BOOKS, type Book } from '../book';
import { refusingStore, type ChunkStore } from './chunk-store';
import { storeReason } from './store-reason';

/** How the store stands. What is not saved stays in memory and is said at once. */
export type Saving =
  | { readonly is: 'opening'; readonly slow: boolean }
  | { readonly is: 'saved' }
  | { readonly is: 'saving'; readonly slow: boolean }
  | { readonly is: 'failed'; readonly reason: string; readonly unsaved: number };

/** The store should have answered by now: it is said, and waited on. */
export const SLOW_MS = 6000;

/** What the store has confirmed. */
export interface Written {
  readonly book: Book;
  readonly entries: readonly Entry[];
}

/**
 * The one queue of writes. An entry leaves it by lying in the store, or by being thrown away on purpose with its book:
 * looking at another book in between takes nothing from it.
 */
export class Writer {
  private readonly unsaved = new Map<Book, readonly Entry[]>(BOOKS.map((book) => [book, []]));
  private queue: Promise<boolean> = Promise.resolve(true);
  private book: Book = 'own';
  private chunks: ChunkStore = refusingStore(new Error('it is not open'));
  private readonly done = new Subject<Written>();

  readonly saving = signal<Saving>({ is: 'opening', slow: false });
  readonly written$ = this.done.asObservable();
  /** Entries of a book that is not open, and that no store has. */
  readonly leftBehind = signal(0);

  /** From now on what is saved goes there. */
  into(book: Book, chunks: ChunkStore): void {
    this.book = book;
    this.chunks = chunks;
    this.count();
  }

  unsavedOf(book: Book): readonly Entry[] {
    return this.unsaved.get(book)!;
  }

  /** Writes stand in a queue, so that what failed before goes first. Nothing breaks the queue. */
  save(entries: readonly Entry[]): Promise<boolean> {
    this.keep(this.book, [...this.unsavedOf(this.book), ...entries]);
    this.saving.set({ is: 'saving', slow: false });
    return this.line(() => this.flush());
  }

  /** Puts entries that were stamped anew in the place of what they were. */
  restamp(anew: readonly Entry[]): void {
    const { chunks, book } = this;
    const byId = new Map(anew.map((e) => [e.id, e]));
    this.keep(
      book,
      this.unsavedOf(book).map((e) => byId.get(e.id) ?? e),
    );
    void this.line(async () => {
      try {
        await chunks.restamp(anew);
        return true;
      } catch (error) {
        console.error('stamping anew', error);
        return false;
      }
    });
  }

  /**
   * Writes what the store of the open book has not.
   * @returns how many entries were missing there
   */
  async restore(state: State): Promise<number> {
    await this.queue;
    const lying = new Set((await this.chunks.read()).entries.map((e) => e.id));
    const waiting = new Set(this.unsavedOf(this.book).map((e) => e.id));
    const missing = entriesOf(state).filter((e) => !lying.has(e.id) && !waiting.has(e.id));
    if (missing.length > 0) await this.save(missing);
    return missing.length;
  }

  /** Resolves when nothing is under way. */
  settled(): Promise<unknown> {
    return this.queue;
  }

  /** Its book was thrown away, and these with it. */
  forget(book: Book): void {
    this.keep(book, []);
  }

  private keep(book: Book, entries: readonly Entry[]): void {
    this.unsaved.set(book, entries);
    this.count();
  }

  private count(): void {
    let behind = 0;
    for (const [book, entries] of this.unsaved) if (book !== this.book) behind += entries.length;
    this.leftBehind.set(behind);
  }

  private line(work: () => Promise<boolean>): Promise<boolean> {
    this.queue = this.queue.then(work, work);
    return this.queue;
  }

  private async flush(): Promise<boolean> {
    const { book, chunks } = this;
    const entries = this.unsavedOf(book);
    const slow = setTimeout(() => this.saving.set({ is: 'saving', slow: true }), SLOW_MS);
    try {
      if (entries.length > 0) await chunks.write(entries);
    } catch (error) {
      const reason = storeReason(error, 'save');
      this.saving.set({ is: 'failed', reason, unsaved: this.unsavedOf(book).length });
      return false;
    } finally {
      clearTimeout(slow);
    }
    const written = new Set(entries);
    this.keep(
      book,
      this.unsavedOf(book).filter((e) => !written.has(e)),
    );
    if (entries.length > 0) this.done.next({ book, entries });
    const more = this.unsavedOf(book).length > 0;
    this.saving.set(more ? { is: 'saving', slow: false } : { is: 'saved' });
    return true;
  }
}
