import { inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import type { State } from '@hypogeon/core/journal';
import { correlationOf } from '@hypogeon/core/learn';
import {
  calibrateRot,
  rotBatches,
  rotCases,
  type RotCalibration,
  type RotCase,
} from '@hypogeon/core/rehearse';
import { Observable, switchMap } from 'rxjs';
import { Journal } from '../data/journal';

/** The screen's thread is never held longer than about this at a time, ms. */
const SLICE_MS = 24;

/** How ready wounds rot on this bench, by its own losses; null until all batches are gone through. */
@Injectable({ providedIn: 'root' })
export class OwnRot {
  readonly rot = toSignal(inject(Journal).state$.pipe(switchMap(inSlices)), { initialValue: null });
}

/** A large journal takes a few turns; a small one is answered at once. */
function inSlices(state: State): Observable<RotCalibration> {
  return new Observable((subscriber) => {
    const batches = rotBatches(state);
    const cases: RotCase[] = [];
    let at = 0;
    let turn: ReturnType<typeof setTimeout> | undefined;
    const work = (): void => {
      const until = performance.now() + SLICE_MS;
      while (at < batches.length && performance.now() <= until)
        cases.push(...rotCases(state, batches.slice(at, ++at)));
      if (at < batches.length) {
        turn = setTimeout(work);
        return;
      }
      subscriber.next(calibrateRot(cases, correlationOf(state)));
      subscriber.complete();
    };
    work();
    return () => clearTimeout(turn);
  });
}
