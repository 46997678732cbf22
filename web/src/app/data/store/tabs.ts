import { readEntry } from '@hypogeon/core/formats';
import type { Entry } from '@hypogeon/core/journal';
import { Subject } from 'rxjs';
import * as z from 'zod';
import { BOOKS, type Book } from '../book';

/** What another tab of this browser did to a book. */
export type TabNews =
  | { readonly book: Book; readonly is: 'saved'; readonly entries: readonly Entry[] }
  | { readonly book: Book; readonly is: 'cleared' };

const messageSchema = z.discriminatedUnion('is', [
  z.object({ book: z.enum(BOOKS), is: z.literal('saved'), entries: z.array(z.unknown()) }),
  z.object({ book: z.enum(BOOKS), is: z.literal('cleared') }),
]);

/** The tabs of this browser, each of which hears what another has saved. */
export class Tabs {
  private readonly channel =
    typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('hypogeon-journal');
  private readonly heard = new Subject<TabNews>();
  readonly news$ = this.heard.asObservable();

  constructor() {
    if (this.channel) this.channel.onmessage = ({ data }) => this.hear(data);
  }

  /** That one cannot be told harms nothing that is saved. */
  tell(news: TabNews): void {
    try {
      this.channel?.postMessage(news);
    } catch (error) {
      console.error('telling other tabs', error);
    }
  }

  private hear(data: unknown): void {
    const message = messageSchema.safeParse(data);
    if (!message.success) return;
    const news = message.data;
    if (news.is === 'cleared') return this.heard.next(news);
    const entries = news.entries.flatMap((raw) => {
      const read = readEntry(raw);
      return read.ok ? [read.entry] : [];
    });
    this.heard.next({ ...news, entries });
  }
}
