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
export const forecastOf = (
  input: ForecastInput,
): Forecast | { readonly problem: StrategyProblem } => forecastTogether([input]);

/**
 * A forecast of several batches cut together: on each bench they share the weather, and nothing else.
 * @param parts at least one, of the same days and seed
 * @throws RangeError without a part, or of one without a cutting
 */
export function forecastTogether(
  parts: readonly ForecastInput[],
): Forecast | { readonly problem: StrategyProblem } {
  const [first] = parts;
  if (!first) throw new RangeError('parts must not be empty');
  for (const { cuttings, strategy, days } of parts) {
    if (!Number.isSafeInteger(cuttings) || cuttings < 1)
      throw new RangeError(`cuttings must be a whole number of 1 or more, got ${cuttings}`);
    const problem = strategyProblem(strategy, days);
    if (problem) return { problem };
  }
  const weather = luckOf(first.seed, BENCHES, BENCHES, first.days).map((luck) => luck.normals);
  const played = parts.map((part, k) => {
    const benches = benchesOf(part, part.seed + k * APART, weather);
    const of = benches.reduce((sum, bench) => sum + bench.length, 0);
    // A cutting that was played stands for so many of the batch.
    return { benches, worth: of === 0 ? 0 : part.cuttings / of };
  });
  const all = played.reduce((sum, { worth }, k) => sum + (worth > 0 ? parts[k]!.cuttings : 0), 0);
  const share = (is: (f: Fate) => boolean): number =>
    all === 0
      ? 0
      : played.reduce(
          (sum, { benches, worth }) => sum + worth * benches.flat().filter(is).length,
          0,
        ) / all;
  const byBench = Array.from({ length: BENCHES }, (_, b) => {
    let [living, of] = [0, 0];
    played.forEach(({ benches }, k) => {
      const bench = benches[b]!;
      if (bench.length === 0) return;
      living += (parts[k]!.cuttings * bench.filter(lives).length) / bench.length;
      of += parts[k]!.cuttings;
    });
    return of === 0 ? null : living / of;
  })
    .filter((is): is is number => is !== null)
    .sort((a, b) => a - b);
  const at = (q: number): number => byBench[Math.round(q * (byBench.length - 1))] ?? 0;
  const on = played
    .flatMap(({ benches }) => benches.flat().filter(lives))
    .map((f) => f.rooted)
    .sort((a, b) => a - b);
  const rooted = share(lives);
  return {
    days: first.days,
    cuttings: parts.reduce((sum, { cuttings }) => sum + cuttings, 0),
    rooted,
    // Of one or two the range is all or nothing: it holds what is said at least.
    low: Math.min(at(0.1), rooted),
    high: Math.max(at(0.9), rooted),
    rotted: share((f) => f.rotted >= 0),
    dried: share((f) => f.dried >= 0),
    half: on[Math.floor(on.length / 2)] ?? null,
  };
}

/** Seeds of parts lie so far from each other. */
const APART = 104_729;

/** What became of the cuttings of a part on each bench, of those that wait since. */
function benchesOf(
  { strategy, cuttings, days, weather = USUAL_WEATHER, since = 0, rot }: ForecastInput,
  seed: number,
  normals: readonly Float64Array[],
): readonly (readonly Fate[])[] {
  const each = Math.min(MOST, cuttings);
  const sd = Math.log(rot.high / rot.low) / (2 * Z80);
  return luckOf(seed, each * BENCHES, BENCHES, days).map((own, b) => {
    const luck = { ...own, normals: normals[b]! };
    const rotPace = rot.factor * Math.exp(sd * luck.rot);
    const { fates } = runBench({ ...strategy, rotPace }, luck, weather, days);
    return fates.filter((fate) => waitsOn(fate, since));
  });
}
