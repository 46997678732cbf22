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
        await breath();
        if (this.newest !== mine) return;
        until = performance.now() + SLICE_MS;
      }
      if (seen.size >= AT_ONCE) this.finished.set(new Set(seen));
    }
    this.over.set(book);
  }
}

/** Worked out for its memory; what cannot be worked out is told by the round. */
const careKept = (state: State, batch: Batch, day: Day, verdicts: Verdicts): void =>
  void settleAll([batch], (b) => careOf(state, b, day, verdicts.get(b.id)));

const breath = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));
