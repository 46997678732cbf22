import { computed, inject, Injectable, signal } from '@angular/core';
import { daysBetween, isDay, type Day } from '@hypogeon/core/days';
import * as z from 'zod';
import { STORES } from './book';
import { Journal } from './journal';
import { Today } from './today';

const KEY = 'last-file';
const lastSchema = z.object({ day: z.string().refine(isDay), entries: z.int().min(0) });
type Last = z.infer<typeof lastSchema>;

/** So long without a file, and with so much that is in none, one is reminded. Working assumptions. */
const REMIND_DAYS = 14;
const REMIND_ENTRIES = 25;

/** What a file does not hold yet. */
export interface Unfiled {
  readonly entries: number;
  /** Since the last file; null where none was ever saved here. */
  readonly days: number | null;
}

/** When the grower's own journal was last saved as a file, on this device. */
@Injectable({ providedIn: 'root' })
export class LastFile {
  private readonly journal = inject(Journal);
  private readonly today = inject(Today).day;
  private readonly device = inject(STORES).device;
  private readonly last = signal<Last | null | 'unread'>('unread');

  /** What would be lost with this browser; null in the demo, or before the store has answered. */
  readonly unfiled = computed((): Unfiled | null => {
    const last = this.last();
    if (last === 'unread' || this.journal.book() !== 'own') return null;
    const { size } = this.journal.state();
    if (last === null) return size === 0 ? null : { entries: size, days: null };
    // A journal that was emptied and begun again has nothing of the old file.
    const entries = size >= last.entries ? size - last.entries : size;
    return { entries, days: Math.max(0, daysBetween(last.day, this.today())) };
  });

  /** Worth a reminder: much, and for long. */
  readonly due = computed(() => {
    const unfiled = this.unfiled();
    if (!unfiled || unfiled.entries < REMIND_ENTRIES) return null;
    return unfiled.days === null || unfiled.days >= REMIND_DAYS ? unfiled : null;
  });

  constructor() {
    void this.device.getItem(KEY).then(
      (kept) => this.last.set(lastSchema.nullable().catch(null).parse(kept)),
      () => this.last.set(null),
    );
  }

  /** The own journal lies in a file, as it is now. */
  async saved(day: Day = this.today()): Promise<void> {
    if (this.journal.book() !== 'own') return;
    const last = { day, entries: this.journal.state().size };
    this.last.set(last);
    // A store that is full loses a reminder, no more; the journal itself says that it is full.
    await this.device.setItem(KEY, last).catch(() => undefined);
  }
}
