import { inject, Injectable } from '@angular/core';
import * as z from 'zod';
import { STORES, type Book } from './book';
import type { KeyValueStore } from './store/chunk-store';

/** What a grower was typing survives a reload: kept per book, form and record until it is handed in. */
export interface DraftKeeper<T> {
  read(): T | null;
  /** When what is read was typed, ms since 1970; null where nothing is kept. */
  keptAt(): number | null;
  keep(value: T): void;
  drop(): void;
}

const keptSchema = z.object({ at: z.number(), value: z.unknown() });
type Kept = z.infer<typeof keptSchema>;

/** What nobody came back to for so long is thrown away. */
const FORGOTTEN_MS = 90 * 86_400_000;

/**
 * The drafts of the open book. They are read once, when the book is opened, and kept from then on beside the
 * journal; a draft that its form does not understand any more is as if it were not there.
 */
@Injectable({ providedIn: 'root' })
export class Drafts {
  private readonly stores = inject(STORES);
  private store: KeyValueStore | null = null;
  private kept = new Map<string, Kept>();
  private writing: Promise<unknown> = Promise.resolve();
  private dropping: Promise<unknown> = Promise.resolve();

  async open(book: Book): Promise<void> {
    await this.writing;
    const store = this.stores.drafts(book);
    const kept = new Map<string, Kept>();
    const forgotten = Date.now() - FORGOTTEN_MS;
    try {
      await store.iterate((text, form) => {
        const draft = readKept(text);
        if (draft && draft.at > forgotten) kept.set(form, draft);
      });
    } catch (error) {
      // A full or closed store is said where entries are saved; a draft is only a comfort.
      console.error('reading drafts', error);
    }
    this.store = store;
    this.kept = kept;
  }

  /** @param form its name and, where it edits one, the record: `mother.m1` */
  keeper<T>(form: string, schema: z.ZodType<T>): DraftKeeper<T> {
    return {
      read: () => {
        const kept = this.kept.get(form);
        const read = kept && schema.safeParse(kept.value);
        return read?.success ? read.data : null;
      },
      keptAt: () => this.kept.get(form)?.at ?? null,
      keep: (value) => {
        const kept = { at: Date.now(), value };
        this.kept.set(form, kept);
        void this.write(this.dropping, (store) => store.setItem(form, JSON.stringify(kept)));
      },
      drop: () => {
        this.kept.delete(form);
        this.dropping = this.write(this.writing, (store) => store.removeItem(form));
      },
    };
  }

  /** Lays down again what is in memory, where the store was emptied. */
  writeAgain(): void {
    for (const [form, kept] of this.kept)
      void this.write(this.dropping, (store) => store.setItem(form, JSON.stringify(kept)));
  }

  /** Resolves when everything typed so far lies in the store, or could not be laid there. */
  settled(): Promise<unknown> {
    return this.writing;
  }

  /**
   * What is typed goes to the store at once, not behind the writes before it, which the store keeps in their order
   * by itself: the tab may be closed the moment after a tap. Only a drop and what is kept after it wait.
   */
  private write(
    behind: Promise<unknown>,
    work: (store: KeyValueStore) => Promise<unknown>,
  ): Promise<unknown> {
    const { store } = this;
    if (!store) return behind;
    const written = behind
      .then(() => work(store))
      .catch((error: unknown) => console.error('keeping a draft', error));
    this.writing = Promise.all([this.writing, written]);
    return written;
  }
}

function readKept(text: unknown): Kept | null {
  try {
    return keptSchema.parse(JSON.parse(String(text)));
  } catch {
    return null;
  }
}
