import { inject, Injectable, signal, type Signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { reasonOf, settleAll } from '@hypogeon/core/faults';
import type { State } from '@hypogeon/core/journal';
import { ledgerCase, type LedgerCase, type LedgerDesk } from '@hypogeon/core/ledger';
import { correlationOf } from '@hypogeon/core/learn';
import type { Remote } from 'comlink';
import { catchError, combineLatest, EMPTY, from, Observable, shareReplay, switchMap } from 'rxjs';
import { Journal } from './journal';
import { LEDGER_WORKER, type WorkerLine } from './workers';

export type Desk = Remote<LedgerDesk>;

/** How far the reading of the batches has come. */
export interface Progress {
  readonly done: number;
  readonly of: number;
}

/** The screen's thread is never held longer than about this at a time, ms. */
const SLICE_MS = 24;

/** The ledger of this journal: cases made in slices, handed to the worker, and asked there. */
@Injectable({ providedIn: 'root' })
export class Ledger {
  private readonly journal = inject(Journal);
  private readonly worker = inject(LEDGER_WORKER);

  /** Null once all is read. */
  readonly progress = signal<Progress | null>(null);
  /** Why there is no answer at present; empty where there is. */
  readonly failed = signal('');

  /** The desk whenever it has the cases of the newest state. While nobody looks nothing is read. */
  private readonly desk$ = this.journal.state$.pipe(
    switchMap((state) => this.handIn(state).pipe(catchError((error: unknown) => this.fail(error)))),
    shareReplay({ bufferSize: 1, refCount: true }),
  );

  /** What the desk answers to a question that may change; null until the first answer. */
  answer<A, T>(ask: Signal<A>, call: (desk: Desk, ask: A) => Promise<T>): Signal<T | null> {
    return toSignal(
      combineLatest([this.desk$, toObservable(ask)]).pipe(
        // One question that came to nothing is said; the next is asked all the same.
        switchMap(([desk, asked]) =>
          from(desk.ask((remote) => call(remote, asked))).pipe(
            catchError((error: unknown) => this.fail(error)),
          ),
        ),
      ),
      { initialValue: null },
    );
  }

  private fail(error: unknown): Observable<never> {
    console.error('the ledger', error);
    this.progress.set(null);
    this.failed.set(reasonOf(error));
    return EMPTY;
  }

  private handIn(state: State): Observable<WorkerLine<LedgerDesk>> {
    return new Observable((subscriber) => {
      const desk = this.worker;
      const batches = [...state.batches.values()].sort((a, b) => (a.cutOn < b.cutOn ? 1 : -1));
      const stop = (): boolean => subscriber.closed;
      const run = async (): Promise<void> => {
        await desk.ask((d) => d.begin(correlationOf(state)));
        for (let at = 0; at < batches.length && !stop();) {
          const until = performance.now() + SLICE_MS;
          const part: LedgerCase[] = [];
          while (at < batches.length && performance.now() < until) {
            const [one] = settleAll([batches[at++]!], (b) => ledgerCase(state, b)).results;
            if (one) part.push(one);
          }
          await desk.ask((d) => d.add(part));
          if (at < batches.length) this.progress.set({ done: at, of: batches.length });
        }
        if (stop()) return;
        this.progress.set(null);
        this.failed.set('');
        subscriber.next(desk);
      };
      run().catch((error: unknown) => subscriber.error(error));
    });
  }
}
