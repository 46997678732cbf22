import { InjectionToken } from '@angular/core';
import { wrap, type Remote } from 'comlink';
import type { PicturesWorker } from '../workers/pictures.worker';

/** Started when first asked for. */
export const PICTURES_WORKER = new InjectionToken<() => Remote<PicturesWorker>>('pictures worker', {
  providedIn: 'root',
  factory: () => {
    let worker: Remote<PicturesWorker> | null = null;
    return () =>
      (worker ??= wrap<PicturesWorker>(
        new Worker(new URL('../workers/pictures.worker', import.meta.url), { type: 'module' }),
      ));
  },
});
