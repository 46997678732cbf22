import { InjectionToken } from '@angular/core';
import { compareSchools, judge, solveMix, type MixWish, type WaterCase } from '@hypogeon/core';

/** Stands for data/bench-worker, which names a module worker: the same sums on the same thread. */
const bench = {
  judge: (cases: readonly WaterCase[]) => Promise.resolve(cases.map(judge)),
  compare: (given: WaterCase) => Promise.resolve(compareSchools(given)),
  solve: (wish: MixWish) => Promise.resolve(solveMix(wish)),
};

export const BENCH_WORKER = new InjectionToken<() => typeof bench>('bench worker', {
  providedIn: 'root',
  factory: () => () => bench,
});
