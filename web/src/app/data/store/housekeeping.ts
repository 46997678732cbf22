/** Tidying waits until the day's work has been seen. */
const GATHER_AFTER_MS = 6_000;
/** So long after opening a snapshot is made, off the screen's thread: of the chunks that stay. */
const SNAPSHOT_AFTER_MS = 12_000;

/** What is put off until the grower has seen the day, and called off where another book is opened first. */
export class Housekeeping {
  private readonly timers = new Set<ReturnType<typeof setTimeout>>();

  gather(work: () => Promise<unknown>): void {
    this.later(GATHER_AFTER_MS, 'gathering chunks', work);
  }

  snapshot(work: () => Promise<unknown>): void {
    this.later(SNAPSHOT_AFTER_MS, 'making a snapshot', work);
  }

  callOff(): void {
    this.timers.forEach(clearTimeout);
    this.timers.clear();
  }

  private later(ms: number, what: string, work: () => Promise<unknown>): void {
    const timer = setTimeout(() => {
      this.timers.delete(timer);
      void work().catch((error: unknown) => console.error(what, error));
    }, ms);
    this.timers.add(timer);
  }
}
