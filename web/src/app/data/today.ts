import { DestroyRef, inject, Injectable, signal } from '@angular/core';
import { toObservable } from '@angular/core/rxjs-interop';
import type { Day } from '@hypogeon/core/days';

/** The grower's day. Turns at their midnight, and when a sleeping phone wakes on another day. */
@Injectable({ providedIn: 'root' })
export class Today {
  private readonly current = signal(localDay(new Date()));
  private timer: ReturnType<typeof setTimeout> | undefined;

  readonly day = this.current.asReadonly();
  readonly today$ = toObservable(this.day);

  constructor() {
    const look = (): void => this.look();
    document.addEventListener('visibilitychange', look);
    inject(DestroyRef).onDestroy(() => {
      document.removeEventListener('visibilitychange', look);
      clearTimeout(this.timer);
    });
    this.look();
  }

  private look(): void {
    const now = new Date();
    this.current.set(localDay(now));
    clearTimeout(this.timer);
    const midnight = new Date(now.getFullYear(), now.getMonth(), now.getDate() + 1);
    // A second late rather than early: a timer may fire a little before its time.
    this.timer = setTimeout(() => this.look(), midnight.getTime() - now.getTime() + 1000);
  }
}

export function localDay(date: Date): Day {
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
}
