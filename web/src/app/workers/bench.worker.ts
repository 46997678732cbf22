import {
  compareSchools,
  judge,
  solveMix,
  type MixWish,
  type SchoolOutlook,
  type SolvedMix,
  type WaterCase,
  type WaterVerdict,
} from '@hypogeon/core';
import { expose } from 'comlink';

/** The long sums of the bench, off the screen's thread. */
const bench = {
  judge(cases: readonly WaterCase[]): readonly WaterVerdict[] {
    return cases.map(judge);
  },
  compare(given: WaterCase): readonly SchoolOutlook[] {
    return compareSchools(given);
  },
  solve(wish: MixWish): SolvedMix | null {
    return solveMix(wish);
  },
};

export type BenchWorker = typeof bench;

expose(bench);
