import { DestroyRef, inject, Injectable, signal, type Signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import {
  rehearse,
  type Rehearsal,
  type RehearsalInput,
  type Strategy,
  type Weather,
} from '@hypogeon/core/rehearse';
import {
  catchError,
  combineLatest,
  concat,
  map,
  Observable,
  of,
  Subject,
  switchMap,
  takeUntil,
  timer,
} from 'rxjs';
import { say } from '@hypogeon/messages/playing';
import { REHEARSE_WORKER } from '../data/workers';

/** What is to be played. */
export interface PlayAsk {
  readonly strategies: readonly Strategy[];
  readonly days: number;
  readonly since?: number;
  readonly weather: Weather;
}

/** A small run answers at once, a large one firms it up. */
const FIRST = 200;
export const SIZES = [500, 2000, 10_000] as const;
export const SEED = 1;
const REST_MS = 40;
/** A run that takes no longer shows no bar. */
const SHOWN_MS = 300;
/** So many may be played on the screen's own thread. */
const HERE = 40;

/** A play under way in the worker: a small run first, how far the large one is, and the right to stop it. One to a page. */
@Injectable()
export class Playing {
  private readonly worker = inject(REHEARSE_WORKER);
  private readonly halt = new Subject<void>();

  /** Cuttings of the large run. */
  readonly size = signal<number>(2000);
  /** How far the large run is, 0–1; null while none is under way. */
  readonly far = signal<number | null>(null);
  readonly stopped = signal(false);
  readonly failed = signal('');

  constructor() {
    inject(DestroyRef).onDestroy(() => this.worker.stop());
  }

  /** What comes of it, anew whenever something else is asked; null until there is something to show. */
  follow(asked: Signal<PlayAsk | null>): Signal<Rehearsal | null> {
    return toSignal(
      combineLatest([toObservable(asked), toObservable(this.size)]).pipe(
        switchMap((both) => timer(REST_MS).pipe(map(() => both))),
        switchMap(([ask, size]) => (ask === null ? of(null) : this.both(ask, size))),
      ),
      { initialValue: null },
    );
  }

  stop(): void {
    this.stopped.set(true);
    this.halt.next();
  }

  private both(ask: PlayAsk, size: number): Observable<Rehearsal | null> {
    this.stopped.set(false);
    this.failed.set('');
    return concat(
      this.run({ ...ask, cuttings: FIRST, seed: SEED }),
      this.run({ ...ask, cuttings: size, seed: SEED }),
    ).pipe(
      takeUntil(this.halt),
      catchError((error: unknown) => this.here(error, ask)),
    );
  }

  private run(input: RehearsalInput): Observable<Rehearsal> {
    return new Observable((subscriber) => {
      const shown = performance.now() + SHOWN_MS;
      const over = (): boolean => subscriber.closed;
      const play = async (): Promise<void> => {
        await this.worker.ask((w) => w.begin(input));
        while (!over()) {
          const { far, rehearsal } = await this.worker.ask((w) => w.more());
          if (over()) return;
          if (rehearsal) {
            subscriber.next(rehearsal);
            subscriber.complete();
          } else if (performance.now() > shown) this.far.set(far);
        }
      };
      play().catch((error: unknown) => subscriber.error(error));
      return () => this.far.set(null);
    });
  }

  /** Where no worker starts, a small run is played on the screen's own thread, and that is said. */
  private here(error: unknown, ask: PlayAsk): Observable<Rehearsal | null> {
    console.error('the rehearsal', error);
    try {
      const played = rehearse({ ...ask, cuttings: HERE, seed: SEED });
      this.failed.set(say.onlyCuttingsThisBrowser({ here: HERE }));
      return of(played);
    } catch {
      this.failed.set(say.itCouldNotBe());
      return of(null);
    }
  }
}
