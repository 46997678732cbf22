import { InjectionToken } from '@angular/core';
import { ledgerDesk, type LedgerDesk } from '@hypogeon/core';

type Later<T> = {
  [K in keyof T]: T[K] extends (...given: infer A) => infer R ? (...given: A) => Promise<R> : never;
};

/** Stands for data/ledger-worker, which names a module worker: the same desk on the same thread. */
export const LEDGER_WORKER = new InjectionToken<() => Later<LedgerDesk>>('ledger worker', {
  providedIn: 'root',
  factory: () => {
    const desk = ledgerDesk();
    const later = Object.fromEntries(
      Object.entries(desk).map(([name, call]) => [
        name,
        (...given: unknown[]) => Promise.resolve((call as (...a: unknown[]) => unknown)(...given)),
      ]),
    ) as Later<LedgerDesk>;
    return () => later;
  },
});
