import { inject, Injectable, signal } from '@angular/core';
import { SwUpdate } from '@angular/service-worker';
import { filter } from 'rxjs';
import { BUILD } from './book';
import { Drafts } from './drafts';

/** The server has a newer build, or cannot be reached. */
export type Gone = 'newer' | 'unreached';

/** A new version of the application: announced when it lies ready, taken when the grower says so. */
@Injectable({ providedIn: 'root' })
export class Updates {
  private readonly worker = inject(SwUpdate, { optional: true });
  private readonly drafts = inject(Drafts);
  private readonly build = inject(BUILD);
  readonly ready = signal(false);
  /** Why a page that was asked for cannot be shown; null where all can. */
  readonly gone = signal<Gone | null>(null);
  private wanted = '';

  constructor() {
    if (!this.worker?.isEnabled) return;
    this.worker.versionUpdates
      .pipe(filter((event) => event.type === 'VERSION_READY'))
      .subscribe(() => this.ready.set(true));
    // A tab left open for weeks should hear of it too.
    const look = (): void => {
      if (document.visibilityState === 'visible')
        void this.worker?.checkForUpdate().catch(() => false);
    };
    document.addEventListener('visibilitychange', look);
  }

  take(): void {
    location.reload();
  }

  /**
   * A page whose code could not be fetched: a server that has a newer build has not the old one's any more. Without an
   * offline worker, as on a phone over plain http, nobody else would notice.
   * @param address where the grower wanted to go, as the router has it
   */
  async missing(address: string): Promise<void> {
    if (address !== '') this.wanted = address;
    const why = await whyGone(this.build);
    // Pages fail one after another: that a newer build is there stays true, whatever is met with after it.
    this.gone.update((known) => (known === 'newer' ? known : why));
  }

  /** Goes where the page is. What is being typed is kept, and taken up there. */
  async go(): Promise<void> {
    await this.drafts.settled();
    if (this.wanted !== '') location.hash = this.wanted;
    location.reload();
  }
}

/** Whether an error says that code could not be fetched; browsers have their own words for it. */
export function isCodeGone(error: unknown): boolean {
  return (
    error instanceof Error &&
    /dynamically imported module|importing a module script failed/i.test(error.message)
  );
}

async function whyGone(build: string): Promise<Gone> {
  try {
    const answer = await fetch('index.html', { cache: 'no-store' });
    const page = await answer.text();
    return answer.ok && !page.includes(build) ? 'newer' : 'unreached';
  } catch {
    return 'unreached';
  }
}
