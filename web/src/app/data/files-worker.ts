import { InjectionToken } from '@angular/core';
import { wrap, type Remote } from 'comlink';
import type { FilesWorker } from '../workers/files.worker';

/** Started when first asked for; the one place that knows how a worker is made. */
export const FILES_WORKER = new InjectionToken<() => Remote<FilesWorker>>('files worker', {
  providedIn: 'root',
  factory: () => {
    let worker: Remote<FilesWorker> | null = null;
    return () =>
      (worker ??= wrap<FilesWorker>(
        new Worker(new URL('../workers/files.worker', import.meta.url), { type: 'module' }),
      ));
  },
});
