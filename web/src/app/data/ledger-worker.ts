import { InjectionToken } from '@angular/core';
import type { LedgerDesk } from '@hypogeon/core';
import { wrap, type Remote } from 'comlink';

/** Started when first asked for; the one place that knows how this worker is made. */
export const LEDGER_WORKER = new InjectionToken<() => Remote<LedgerDesk>>('ledger worker', {
  providedIn: 'root',
  factory: () => {
    let worker: Remote<LedgerDesk> | null = null;
    return () =>
      (worker ??= wrap<LedgerDesk>(
        new Worker(new URL('../workers/ledger.worker', import.meta.url), { type: 'module' }),
      ));
  },
});
