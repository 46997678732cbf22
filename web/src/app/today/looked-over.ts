import { computed, effect, inject, Injectable, signal, untracked } from '@angular/core';
import { careOf } from '@hypogeon/core/care';
import type { Day } from '@hypogeon/core/days';
import { settleAll } from '@hypogeon/core/faults';
import type { Batch, State } from '@hypogeon/core/journal';
import { batchesByPlace, type Verdicts } from '@hypogeon/core/round';
import type { Book } from '../data/book';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Water } from '../data/water';

/** So many batches are looked over while one blinks: the first that are shown. */
const AT_ONCE = 100;
/** Then so many times as many: lines that grow all the time are not read. */
const NEXT = 4;
/** So long at a time, then the page hears what was tapped meanwhile. */
const SLICE_MS = 40;
/** So long where it never has nothing to do: it comes to an end all the same. */
const LEAST_MS = 8;

/**
 * A long journal is looked over bench by bench: what the first batches ask stands while the others are worked out, and
 * the page hears every tap. What was worked out is kept by `careOf`, so that the day is put together from it at once.
 */
@Injectable({ providedIn: 'root' })
export class LookedOver {
  private readonly journal = inject(Journal);
  private readonly today = inject(Today);
  private readonly water = inject(Water);

  /** The book whose benches have all been looked over once: from then on a tap leaves little to do. */
  private readonly over = signal<Book | null>(null);
  private readonly finished = signal<ReadonlySet<string>>(new Set());
  private newest: symbol | null = null;

  /** Nothing is left to look over before the whole day can be told. */
  readonly all = computed(
    () => this.over() === this.journal.book() || this.journal.state().batches.size <= AT_ONCE,
  );
  /** Batches that have been looked over, by id; null where all have. */
  readonly only = computed(() => (this.all() ? null : this.finished()));

  constructor() {
    effect(() => {
      // Whoever waited too long for the pots has the whole day, and keeps it when they come.
      if (this.water.slow()) this.over.set(this.journal.book());
      if (!this.water.settled()) return;
      const [state, day] = [this.journal.state(), this.today.day()];
      const verdicts = this.water.verdicts();
      untracked(() => {
        if (!this.all()) void this.look(state, day, verdicts, this.journal.book());
      });
    });
  }

  private async look(state: State, day: Day, verdicts: Verdicts, book: Book): Promise<void> {
    const mine = (this.newest = Symbol());
    let until = performance.now() + SLICE_MS;
    const seen = new Set<string>();
    let tellAt = AT_ONCE;
    for (const batches of batchesByPlace(state, day)) {
      for (const batch of batches) {
        careKept(state, batch, day, verdicts);
        seen.add(batch.id);
        if (seen.size >= tellAt) {
          this.finished.set(new Set(seen));
          tellAt *= NEXT;
        } else if (performance.now() < until) continue;
        until = await breath();
        if (this.newest !== mine) return;
      }
      if (seen.size >= AT_ONCE) this.finished.set(new Set(seen));
    }
    this.over.set(book);
  }
}

/** Worked out for its memory; what cannot be worked out is told by the round. */
const careKept = (state: State, batch: Batch, day: Day, verdicts: Verdicts): void =>
  void settleAll([batch], (b) => careOf(state, b, day, verdicts.get(b.id)));

/**
 * Waits until nothing is tapped, scrolled or drawn, here or on the page that was opened meanwhile.
 * @returns until when the thread may be held then, in the page's milliseconds
 */
const breath = (): Promise<number> =>
  new Promise((resolve) => {
    const begin = (ms: number): void => resolve(performance.now() + ms);
    // Not every browser tells when it has nothing to do.
    if (typeof requestIdleCallback === 'undefined') setTimeout(() => begin(SLICE_MS));
    else
      requestIdleCallback(
        (idle) => begin(Math.min(SLICE_MS, Math.max(LEAST_MS, idle.timeRemaining()))),
        {
          timeout: 200,
        },
      );
  });
