import { settleAll } from '@hypogeon/core/faults';
import { solveMix, type MixWish, type SolvedMix } from '@hypogeon/core/media';
import {
  compareSchools,
  judge,
  type SchoolOutlook,
  type WaterCase,
  type WaterVerdict,
} from '@hypogeon/core/water';

/** The long sums of the bench, off the screen's thread. */
export const bench = {
  /** One that cannot be judged is null and costs the others nothing. */
  judge(cases: readonly WaterCase[]): readonly (WaterVerdict | null)[] {
    return cases.map((one) => settleAll([one], judge).results[0] ?? null);
  },
  compare(given: WaterCase): readonly SchoolOutlook[] {
    return compareSchools(given);
  },
  solve(wish: MixWish): SolvedMix | null {
    return solveMix(wish);
  },
};

export type BenchWorker = typeof bench;
