import { InjectionToken } from '@angular/core';
import { concat, defer, EMPTY, Observable, of, Subject, switchMap, timer } from 'rxjs';

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
    const again = new Subject<void>();
    let wait = FIRST_RETRY;
    return concat(of(undefined), again).pipe(
      switchMap(
        () =>
          new Observable<StreamEvent>((out) => {
            let patience = EMPTY.subscribe();
            const line = connect(address).subscribe({
              next: (event) => {
                if (event.is === 'pack') wait = FIRST_RETRY;
                out.next(event);
              },
              error: () => {
                out.next({ is: 'lost', retryInSeconds: wait });
                patience = timer(wait * 1000).subscribe(() => again.next());
                wait = Math.min(wait * 2, LONGEST_RETRY);
              },
              complete: () => out.next({ is: 'ended' }),
            });
            return () => {
              line.unsubscribe();
              patience.unsubscribe();
            };
          }),
      ),
    );
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
