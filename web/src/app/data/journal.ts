import { inject, Injectable, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { entriesToStore, problemText, readEntry } from '@hypogeon/core/formats';
import {
  appendAll,
  EMPTY_STATE,
  entriesOf,
  fold,
  nextStamp,
  subjectOf,
  type Entry,
  type EntryDraft,
  type State,
} from '@hypogeon/core/journal';
import { BehaviorSubject, filter } from 'rxjs';
import * as z from 'zod';
import { say } from '@hypogeon/messages/journal';
import { BOOKS, BUILD, STORES, type Book } from './book';
import { Drafts } from './drafts';
import { freshId } from './fresh-id';
import { rested } from './rested';
import { ChunkStore, GATHER_AT, refusingStore, type SetAside } from './store/chunk-store';
import { checkClock } from './store/clock';
import { Housekeeping } from './store/housekeeping';
import { forgetSeen, lastSeen, rememberSeen, type LastSeen } from './store/last-seen';
import { openFrom, signsIn, SNAPSHOT_SINCE } from './store/opener';
import { loadSnapshot, saveSnapshot } from './store/snapshot-store';
import { storeReason } from './store/store-reason';
import { Tabs } from './store/tabs';
import { SLOW_MS, Writer } from './store/writer';
import { Today } from './today';
import { FILES_WORKER } from './workers';

/** An entry as a screen hands it in; the journal adds who, when and, unless given, today. */
export type Draft = EntryDraft;

/** What became of drafts: in the state, or not taken at all. That is known at once. */
export interface Taken {
  readonly entries: readonly Entry[];
  /** Why nothing was taken; empty otherwise. */
  readonly refused: string;
  /** Whether the store has confirmed them. */
  readonly saved: Promise<boolean>;
}

/** The same, once the store has answered. */
export interface Recorded extends Omit<Taken, 'saved'> {
  readonly saved: boolean;
}

/** A browser that throws its database away is given so long to be done with it. */
const TAKEN_REST_MS = 300;

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
  private readonly writer = new Writer();
  private readonly tabs = new Tabs();
  private readonly housekeeping = new Housekeeping();
  private readonly subject = new BehaviorSubject<State>(EMPTY_STATE);
  private device = '';
  private persistAsked = false;
  /** The book could not be opened: what is recorded lives in this tab only, until it can. */
  private storageUnavailable = false;
  /** The grower has said that this device's clock is right. */
  private sureOfClock = false;

  readonly state$ = this.subject.asObservable();
  readonly state = toSignal(this.state$, { requireSync: true });
  readonly saving = this.writer.saving;
  /** Entries of the book that is not open, and that lie in this tab only. */
  readonly leftBehind = this.writer.leftBehind.asReadonly();
  readonly book = signal<Book>('own');
  /** Whether there is an own journal to go back to from the demo. */
  readonly ownBegun = signal(false);
  /** What was found in the store and is not taken into the account: left as it is, and said. */
  readonly setAside = signal<readonly SetAside[]>([]);
  /** Entries that were stamped anew because a clock had stood far ahead while they were written. */
  readonly broughtBack = signal(0);
  /** So many entries, most of the journal, lie ahead of this clock: only the grower knows which is wrong. */
  readonly clockDoubt = signal(0);
  /** Entries that were written again from memory, after the store was emptied under this tab. */
  readonly rewritten = signal(0);
  /** The own journal was here, and the browser has it no more. */
  readonly gone = signal<LastSeen | null>(null);

  constructor() {
    this.writer.written$.subscribe(({ book, entries }) => {
      this.tabs.tell({ book, is: 'saved', entries });
      if (book === 'own') rememberSeen({ entries: this.state().size, day: this.today.day() });
      this.askToPersist();
    });
    this.tabs.news$.pipe(filter(({ book }) => book === this.book())).subscribe((news) => {
      if (news.is === 'cleared') void this.openOwn();
      else this.subject.next(appendAll(this.state(), news.entries));
    });
    this.stores.taken$
      .pipe(rested(TAKEN_REST_MS))
      .subscribe(() => void this.writeAgain().catch((e: unknown) => console.error('again', e)));
  }

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
      this.storageUnavailable = true;
      this.writer.into(this.book(), refusingStore(error));
      this.device ||= freshId();
      const { length: unsaved } = this.writer.unsavedOf(this.book());
      this.saving.set({ is: 'failed', reason: storeReason(error, 'open'), unsaved });
    } finally {
      clearTimeout(slow);
    }
  }

  /** This device, by the number that its entries carry. */
  thisDevice(): string {
    return this.device;
  }

  /** The entries are in the state when this returns; the promise tells whether the store confirmed them. */
  record(draft: Draft): Promise<Recorded> {
    return this.recordAll([draft]);
  }

  async recordAll(drafts: readonly Draft[]): Promise<Recorded> {
    const taken = this.enter(drafts);
    return { ...taken, saved: await taken.saved };
  }

  /** Entries that belong together: all are taken or none, and stored as one chunk. */
  enter(drafts: readonly Draft[]): Taken {
    this.setClockRight();
    let last = this.state().lastStamp;
    const entries: Entry[] = [];
    for (const draft of drafts) {
      const read = this.validateDraft(draft, last);
      if (typeof read === 'string')
        return { entries: [], saved: Promise.resolve(false), refused: read };
      last = read.at;
      entries.push(read);
    }
    this.subject.next(appendAll(this.state(), entries));
    return { entries, saved: this.writer.save(entries), refused: '' };
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
    const large = fresh.length > state.size / 4;
    this.subject.next(large ? fold([...entriesOf(state), ...fresh]) : appendAll(state, fresh));
    this.setClockRight();
    const saved = await this.writer.save(fresh);
    if (large && saved) this.layDownSnapshot();
    return saved;
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
    await this.writer.settled();
    this.writer.forget(book);
    await new ChunkStore(this.stores.journal(book), freshId).clear();
    await Promise.all([
      this.stores.pictures(book).clear(),
      this.stores.snapshot(book).clear(),
      this.stores.drafts(book).clear(),
    ]);
    this.tabs.tell({ book, is: 'cleared' });
    await this.openOwn();
  }

  async openOwn(): Promise<void> {
    await this.openBook('own');
    await this.stores.device.setItem('book', 'own');
  }

  /** Tries again what the store refused: to save, or to open at all. */
  async retry(): Promise<boolean> {
    if (!this.storageUnavailable) return this.writer.save([]);
    this.saving.set({ is: 'opening', slow: false });
    await this.open();
    return this.saving().is === 'saved';
  }

  /** What the store of a book did not take while it was open before is in it again, and tried again. */
  private async openBook(book: Book): Promise<void> {
    await this.writer.settled();
    this.housekeeping.callOff();
    this.saving.set({ is: 'opening', slow: false });
    const chunks = new ChunkStore(this.stores.journal(book), freshId);
    const snapshots = this.stores.snapshot(book);
    const [lying, kept, ownIsEmpty] = await Promise.all([
      chunks.chunks(),
      loadSnapshot(snapshots).catch(() => null),
      book === 'demo' ? this.ownIsEmpty() : false,
      this.drafts.open(book),
    ]);
    const { worker, build } = this;
    const opened = await openFrom({ lying, kept, snapshots, worker, build });
    this.ownBegun.set(!ownIsEmpty || this.writer.unsavedOf('own').length > 0);
    this.storageUnavailable = false;
    this.writer.into(book, chunks);
    this.book.set(book);
    this.setAside.set(opened.setAside);
    const unsaved = this.writer.unsavedOf(book);
    this.subject.next(unsaved.length > 0 ? appendAll(opened.state, unsaved) : opened.state);
    if (unsaved.length > 0) await this.writer.save([]);
    else this.saving.set({ is: 'saved' });
    this.setClockRight();
    if (lying.length >= GATHER_AT) this.housekeeping.gather(() => chunks.gather());
    if (opened.stale) this.housekeeping.snapshot(() => this.makeSnapshot());
  }

  private async makeSnapshot(): Promise<void> {
    const book = this.book();
    const lying = await new ChunkStore(this.stores.journal(book), freshId).chunks();
    if (signsIn(lying) < SNAPSHOT_SINCE) return;
    const text = await this.worker.ask((w) => w.snapshot(lying, this.build));
    await saveSnapshot(this.stores.snapshot(book), text);
  }

  /** After much was taken in the next opening would read all of it. */
  private layDownSnapshot(): void {
    void this.makeSnapshot().catch((error: unknown) => console.error('a snapshot', error));
  }

  /** The browser's store was emptied while this tab had the journal open: it is written again from memory. */
  private async writeAgain(): Promise<void> {
    if (this.storageUnavailable || this.saving().is === 'opening') return;
    await this.stores.device.setItem('id', this.device);
    await this.stores.device.setItem('book', this.book());
    const missing = await this.writer.restore(this.state());
    this.drafts.writeAgain();
    if (missing > 0) this.rewritten.set(missing);
  }

  /** A draft as an entry that any reader of ours takes, or a sentence that says why it is none. */
  private validateDraft(draft: Draft, last: string | null): Entry | string {
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
      return say.thisCannotBeWritten();
    }
    const read = readEntry(plain);
    if (read.ok) return read.entry;
    const [{ path, sentence }] = read.issues as [(typeof read.issues)[number]];
    console.error('a draft that no reader takes', read.issues);
    return say.nothingWasChanged({ path: problemText({ field: path.join('.'), sentence }) });
  }

  /** The grower's answer to {@link clockDoubt}. */
  clockIsRight(): void {
    this.sureOfClock = true;
    this.setClockRight();
  }

  private setClockRight(): void {
    const check = checkClock(this.state(), Date.now(), this.sureOfClock);
    this.clockDoubt.set(check.is === 'doubt' ? check.ahead : 0);
    if (check.is !== 'back') return;
    this.subject.next(fold(check.all));
    this.broughtBack.set(check.anew.length);
    this.writer.restamp(check.anew);
  }

  /** Asks the browser once not to throw the store away when space runs short. */
  private askToPersist(): void {
    if (this.persistAsked || this.book() === 'demo') return;
    this.persistAsked = true;
    // Not there on plain http, where a phone reaches the bench's laptop.
    const storage = navigator.storage as StorageManager | undefined;
    void storage?.persist().catch(() => false);
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

const bookSchema = z.enum(BOOKS);
const deviceSchema = z.string().min(1).max(80);
const startSchema = z.looseObject({ demo: z.literal(true) });
