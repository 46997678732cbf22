import { InjectionToken } from '@angular/core';
import { wrap, type Remote } from 'comlink';
import type { BenchWorker } from '../workers/bench.worker';

/** Started when first asked for; the one place that knows how this worker is made. */
export const BENCH_WORKER = new InjectionToken<() => Remote<BenchWorker>>('bench worker', {
  providedIn: 'root',
  factory: () => {
    let worker: Remote<BenchWorker> | null = null;
    return () =>
      (worker ??= wrap<BenchWorker>(
        new Worker(new URL('../workers/bench.worker', import.meta.url), { type: 'module' }),
      ));
  },
});
