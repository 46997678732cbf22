import { inject, Injectable, signal } from '@angular/core';
import { SwUpdate } from '@angular/service-worker';
import { filter } from 'rxjs';

/** A new version of the application: announced when it lies ready, taken when the grower says so. */
@Injectable({ providedIn: 'root' })
export class Updates {
  private readonly worker = inject(SwUpdate, { optional: true });
  readonly ready = signal(false);

  constructor() {
    if (!this.worker?.isEnabled) return;
    this.worker.versionUpdates
      .pipe(filter((event) => event.type === 'VERSION_READY'))
      .subscribe(() => this.ready.set(true));
    // A tab left open for weeks should hear of it too.
    const look = (): void => {
      if (document.visibilityState === 'visible')
        void this.worker?.checkForUpdate().catch(() => false);
    };
    document.addEventListener('visibilitychange', look);
  }

  take(): void {
    location.reload();
  }
}
