import { InjectionToken } from '@angular/core';
import type { PicturesWorker } from '../app/workers/pictures.worker';

/** Stands for data/pictures-worker, which names a module worker and cannot be loaded by Jest. */
export const PICTURES_WORKER = new InjectionToken<() => PicturesWorker>('pictures worker', {
  providedIn: 'root',
  factory: () => () => {
    throw new Error('this test has no worker for pictures: provide one');
  },
});
