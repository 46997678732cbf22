import { InjectionToken } from '@angular/core';
import type { FilesWorker } from '../app/workers/files.worker';

/** Stands for data/files-worker, which names a module worker and cannot be loaded by Jest. */
export const FILES_WORKER = new InjectionToken<() => FilesWorker>('files worker');
