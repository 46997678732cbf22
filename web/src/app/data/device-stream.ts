import { InjectionToken } from '@angular/core';
import { defer, endWith, merge, Observable, retry, Subject, tap, timer } from 'rxjs';

export type StreamEvent =
  | { readonly is: 'open' }
  | { readonly is: 'pack'; readonly data: string }
  | { readonly is: 'lost'; readonly retryInSeconds: number }
  | { readonly is: 'ended' };

/** Seconds between tries: each twice the last, and never more than a minute. */
const FIRST_RETRY = 1;
const LONGEST_RETRY = 60;

/** One connection: its packs, and an error when it breaks. */
export type Connect = (address: string) => Observable<StreamEvent>;

/**
 * The packs of a device, over every break of the line: tried again with growing patience, which a good
 * connection makes small again.
 */
export function patiently(connect: Connect, address: string): Observable<StreamEvent> {
  return defer(() => {
    const lost = new Subject<StreamEvent>();
    let wait = FIRST_RETRY;
    const line = defer(() => connect(address)).pipe(
      tap(({ is }) => {
        if (is === 'pack') wait = FIRST_RETRY;
      }),
      retry({
        delay: () => {
          const patience = wait;
          wait = Math.min(wait * 2, LONGEST_RETRY);
          lost.next({ is: 'lost', retryInSeconds: patience });
          return timer(patience * 1000);
        },
      }),
      endWith<StreamEvent>({ is: 'ended' }),
    );
    return merge(lost, line);
  });
}

/** Server-sent events; the browser's own retry is cut off, ours is told on the screen. */
const overEvents: Connect = (address) =>
  new Observable<StreamEvent>((out) => {
    const source = new EventSource(address);
    source.onopen = () => out.next({ is: 'open' });
    source.addEventListener('senml', (event: MessageEvent<string>) =>
      out.next({ is: 'pack', data: event.data }),
    );
    source.addEventListener('end', () => out.complete());
    source.onerror = () => out.error(new Error('the line broke'));
    return () => source.close();
  });

export const deviceStream = new InjectionToken<(address: string) => Observable<StreamEvent>>(
  'device stream',
  { providedIn: 'root', factory: () => (address) => patiently(overEvents, address) },
);
