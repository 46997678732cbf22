import { Injectable, signal } from '@angular/core';

/** Where the offline worker lays what another program shares with this one. */
const CACHE = 'handed-over';

/** The browser's line of files that were opened with this application. TypeScript does not know it yet. */
interface Opened {
  getFile(): Promise<File>;
}
interface Launched {
  readonly files?: readonly Opened[];
}
interface LaunchQueue {
  setConsumer(take: (launched: Launched) => void): void;
}

/** A file that another program handed over: opened with this application, or shared with it on a phone. */
@Injectable({ providedIn: 'root' })
export class HandedOver {
  private readonly waiting = signal<File | null>(null);
  readonly file = this.waiting.asReadonly();

  constructor() {
    const { launchQueue } = globalThis as unknown as { launchQueue?: LaunchQueue };
    launchQueue?.setConsumer(({ files }) => void this.opened(files?.[0]));
  }

  /** Looks for a file that was shared: it comes once. */
  async shared(): Promise<void> {
    if (!('caches' in globalThis)) return;
    try {
      const cache = await caches.open(CACHE);
      const lying = await cache.match('./handed-over');
      if (!lying) return;
      await cache.delete('./handed-over');
      const name = decodeURIComponent(lying.headers.get('x-name') ?? 'journal.json');
      this.waiting.set(new File([await lying.blob()], name));
    } catch (error) {
      console.error('a file that was shared', error);
    }
  }

  taken(): void {
    this.waiting.set(null);
  }

  private async opened(handle: Opened | undefined): Promise<void> {
    if (handle) this.waiting.set(await handle.getFile());
  }
}
