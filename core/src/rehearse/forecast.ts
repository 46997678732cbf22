import { lives, runBench, waitsOn, type Fate } from './bench-run';
import { luckOf } from './luck';
import { Z80 } from './assumptions';
import type { RotCalibration } from './rot-calibration';
import { strategyProblem, type Strategy, type StrategyProblem } from './strategy';
import { USUAL_WEATHER, type Weather } from './weather-ahead';

/** What is said beforehand of a batch, to be held against what came of it. */
export interface Forecast {
  /** Days from the cut it speaks of. */
  readonly days: number;
  readonly cuttings: number;
  /** Shares 0–1. */
  readonly rooted: number;
  /** Eight batches of ten like it lie between, ends included. */
  readonly low: number;
  readonly high: number;
  readonly rotted: number;
  readonly dried: number;
  /** Days by which half of those that root have roots; null where none does. */
  readonly half: number | null;
}

export interface ForecastInput {
  readonly strategy: Strategy;
  readonly cuttings: number;
  readonly days: number;
  readonly seed: number;
  readonly weather?: Weather | undefined;
  /** Of those that on this day, from the cut, live and wait for roots. */
  readonly since?: number | undefined;
  readonly rot: Pick<RotCalibration, 'factor' | 'low' | 'high'>;
}

const BENCHES = 200;
/** More of a batch change its range no further. */
const MOST = 100;

/**
 * A forecast of one batch: two hundred such benches, each with weather, pace and readiness to rot of its own, so that
 * its range holds what is not known as well as what is luck.
 * @throws RangeError without a cutting
 * @returns why, where the strategy cannot be
 */
export function forecastOf(input: ForecastInput): Forecast | { readonly problem: StrategyProblem } {
  const { strategy, cuttings, days, seed, weather = USUAL_WEATHER, since = 0, rot } = input;
  if (!Number.isSafeInteger(cuttings) || cuttings < 1)
    throw new RangeError(`cuttings must be a whole number of 1 or more, got ${cuttings}`);
  const problem = strategyProblem(strategy, days);
  if (problem) return { problem };
  const each = Math.min(MOST, cuttings);
  const sd = Math.log(rot.high / rot.low) / (2 * Z80);
  const fates = luckOf(seed, each * BENCHES, BENCHES, days).map((luck) => {
    const rotPace = rot.factor * Math.exp(sd * luck.rot);
    const { fates: all } = runBench({ ...strategy, rotPace }, luck, weather, days);
    return all.filter((fate) => waitsOn(fate, since));
  });
  const of = fates.reduce((sum, bench) => sum + bench.length, 0);
  const share = (is: (f: Fate) => boolean): number =>
    of === 0 ? 0 : fates.reduce((sum, bench) => sum + bench.filter(is).length, 0) / of;
  const byBench = fates
    .filter((bench) => bench.length > 0)
    .map((bench) => bench.filter(lives).length / bench.length)
    .sort((a, b) => a - b);
  const at = (q: number): number => byBench[Math.round(q * (byBench.length - 1))] ?? 0;
  const on = fates
    .flatMap((bench) => bench.filter(lives).map((f) => f.rooted))
    .sort((a, b) => a - b);
  const rooted = share(lives);
  return {
    days,
    cuttings,
    rooted,
    // Of one or two the range is all or nothing: it holds what is said at least.
    low: Math.min(at(0.1), rooted),
    high: Math.max(at(0.9), rooted),
    rotted: share((f) => f.rotted >= 0),
    dried: share((f) => f.dried >= 0),
    half: on[Math.floor(on.length / 2)] ?? null,
  };
}
