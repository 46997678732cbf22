import { signal } from '@angular/core';
import { reasonOf } from '@hypogeon/core/faults';
import { say } from '@hypogeon/messages/async-task';
import { Stopped } from './workers';

/**
 * Something a page waits for: what is under way, and why it came to nothing. It always ends; nobody waits for ever.
 */
export class AsyncTask {
  /** What is under way, as a screen says it; empty where nothing is. */
  readonly under = signal('');
  readonly problem = signal('');

  /** @returns what the work came to, or undefined where it failed or was stopped: then `problem` says why */
  async run<R>(what: string, work: () => Promise<R>): Promise<R | undefined> {
    this.problem.set('');
    this.under.set(what);
    try {
      return await work();
    } catch (error) {
      if (error instanceof Stopped) this.problem.set(say.stoppedNothingWasChanged());
      else {
        console.error(what, error);
        this.problem.set(say.thatDidNotWork({ reasonOf: reasonOf(error) }));
      }
      return undefined;
    } finally {
      this.under.set('');
    }
  }
}
