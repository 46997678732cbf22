import { inject, Injectable, Injector, type ErrorHandler } from '@angular/core';
import { reasonOf } from '@hypogeon/core/faults';
import { say } from '@hypogeon/messages/say-errors';
import { Actions } from '../data/actions';
import { isCodeGone, Updates } from '../data/updates';

/** What a page did not catch is logged and said once; what is recorded is untouched by it. */
@Injectable({ providedIn: 'root' })
export class SayErrors implements ErrorHandler {
  private readonly injector = inject(Injector);
  private readonly said = new Set<string>();

  handleError(error: unknown): void {
    console.error(error);
    if (isCodeGone(error)) return void this.injector.get(Updates).missing('');
    const reason = reasonOf(error);
    if (this.said.has(reason)) return;
    this.said.add(reason);
    this.injector.get(Actions).say(say.somethingOnThisPage({ reason }));
  }
}
