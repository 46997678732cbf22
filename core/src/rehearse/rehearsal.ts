import { countsPlants } from '../learn';
import { MINUTES } from '../plan';
import { lives, runBench, waitsOn, type BenchRun, type Fate } from './bench-run';
import { luckOf } from './luck';
import { strategyProblem, type Strategy, type StrategyProblem } from './strategy';
import { USUAL_WEATHER, type Weather } from './weather-ahead';

/** A share of all cuttings with its Monte-Carlo error. */
export interface Estimate {
  readonly share: number;
  /** Standard error over benches: cuttings of one bench share weather, pot and pace. */
  readonly se: number;
}

/** What came of one strategy. */
export interface Outcome {
  readonly name: string;
  /** What stands for rooted, and its days: roots; of leaves and sections the young plant. */
  readonly counts: 'roots' | 'plants';
  readonly rooted: Estimate;
  readonly rotted: Estimate;
  readonly dried: Estimate;
  readonly waiting: Estimate;
  /** Share with roots and alive, by day from the cut. */
  readonly byDay: readonly number[];
  /** Days to roots of those that rooted: one in ten, half, nine in ten; null where none did. */
  readonly days: { readonly early: number; readonly half: number; readonly late: number } | null;
  /** Of the growth that those that live could have had since their roots, 0–1; null where none lives. */
  readonly grown: number | null;
  readonly waterings: number;
  readonly litres: number;
  /** Of hands, for a hundred cuttings. */
  readonly minutes: number;
}

/** One strategy against another on the same luck: of a hundred cuttings, how many more root. */
export interface Difference {
  readonly a: number;
  readonly b: number;
  readonly rooted: Estimate;
}

export type Rehearsal =
  | {
      readonly ok: true;
      readonly cuttings: number;
      readonly outcomes: readonly Outcome[];
      readonly differences: readonly Difference[];
    }
  | { readonly ok: false; readonly strategy: number; readonly problem: StrategyProblem };

export interface RehearsalInput {
  readonly strategies: readonly Strategy[];
  readonly cuttings: number;
  readonly days: number;
  readonly seed: number;
  readonly weather?: Weather | undefined;
  readonly benches?: number | undefined;
  /** Only those count that on this day, from the cut, live and wait for roots: what went before is known. */
  readonly since?: number | undefined;
}

/** So many benches share out the cuttings. */
const BENCHES = 20;
/** A watering takes a bench so many minutes. Working assumption. */
const WATERING_MIN = 0.5;

/**
 * Strategies played against each other on the same cuttings, weather and luck.
 * @param input 0 cuttings give outcomes of nought; the same seed the same figures on every machine
 * @throws RangeError where the number of cuttings is none
 * @example rehearse({ strategies: [mine, theirs], cuttings: 2000, days: 120, seed: 1 })
 * Source: common random numbers (Law & Kelton 2000, Simulation Modeling and Analysis, ch. 11).
 */
export function rehearse(input: RehearsalInput): Rehearsal {
  const play = rehearsing(input);
  for (;;) {
    const step = play.next();
    if (step.done) return step.value;
  }
}

/** The same bench by bench, for who shows how far it is and may stop. @yields how much is played, 0–1 */
export function* rehearsing(input: RehearsalInput): Generator<number, Rehearsal, undefined> {
  const { strategies, cuttings, days, seed, weather = USUAL_WEATHER, since = 0 } = input;
  if (!Number.isSafeInteger(cuttings) || cuttings < 0)
    throw new RangeError(`cuttings must be a whole number of 0 or more, got ${cuttings}`);
  for (const [strategy, one] of strategies.entries()) {
    const problem = strategyProblem(one, days);
    if (problem) return { ok: false, strategy, problem };
  }
  const benches = Math.max(1, Math.min(input.benches ?? BENCHES, cuttings));
  const luck = luckOf(seed, cuttings, benches, days);
  const runs: BenchRun[][] = strategies.map(() => []);
  for (const [i, bench] of luck.entries()) {
    strategies.forEach((s, k) => {
      const run = runBench(s, bench, weather, days);
      runs[k]!.push({ ...run, fates: run.fates.filter((fate) => waitsOn(fate, since)) });
    });
    yield (i + 1) / luck.length;
  }
  return {
    ok: true,
    cuttings,
    outcomes: strategies.map((s, i) => outcomeOf(s, runs[i]!, days)),
    differences: strategies.flatMap((_, a) =>
      strategies.slice(a + 1).map((__, k) => differenceOf(a, a + 1 + k, runs)),
    ),
  };
}

function outcomeOf({ name, way }: Strategy, runs: readonly BenchRun[], days: number): Outcome {
  const share = (is: (f: Fate) => boolean): Estimate =>
    estimateOf(runs.map((r) => [r.fates.filter(is).length, r.fates.length]));
  const fates = runs.flatMap((r) => r.fates);
  const rootedOn = fates
    .filter(lives)
    .map((f) => f.rooted)
    .sort((a, b) => a - b);
  const at = (q: number): number =>
    rootedOn[Math.min(rootedOn.length - 1, Math.floor(q * rootedOn.length))]!;
  const n = Math.max(1, fates.length);
  const waterings = runs.reduce((s, r) => s + r.waterings, 0) / runs.length;
  let next = 0;
  return {
    name,
    counts: countsPlants(way) ? 'plants' : 'roots',
    rooted: share(lives),
    rotted: share((f) => f.rotted >= 0),
    dried: share((f) => f.dried >= 0),
    waiting: share((f) => f.rooted < 0 && f.rotted < 0 && f.dried < 0),
    byDay: Array.from({ length: days }, (_, day) => {
      while (next < rootedOn.length && rootedOn[next]! <= day) next++;
      return next / n;
    }),
    days: rootedOn.length === 0 ? null : { early: at(0.1), half: at(0.5), late: at(0.9) },
    grown: grownOf(fates),
    waterings,
    litres: toTheDrop(runs.reduce((s, r) => s + r.litres, 0) / runs.length),
    minutes: 100 * MINUTES[way.method] + WATERING_MIN * waterings,
  };
}

function grownOf(fates: readonly Fate[]): number | null {
  let [grown, could] = [0, 0];
  for (const f of fates)
    if (lives(f)) {
      grown += f.grown;
      could += f.couldGrow;
    }
  // Engines raise to a power a last digit apart.
  return could > 0 ? Number((grown / could).toFixed(6)) : null;
}

/** Ninety-five times in a hundred. */
const Z95 = 1.96;

/** More or fewer of a hundred than chance alone may make, in whole cuttings. */
export function isApart({ rooted: { share, se } }: Difference): boolean {
  return Math.round(100 * (share - Z95 * se)) > 0 || Math.round(100 * (share + Z95 * se)) < 0;
}

/** Share that is lost: what waits alive may still root, and is none of it. */
export const lostOf = ({ rooted, waiting }: Pick<Outcome, 'rooted' | 'waiting'>): number =>
  1 - rooted.share - waiting.share;

/**
 * The way that roots the most, where that is no chance; else the first: what differs by luck is no reason to change. Nor
 * is a way that loses more than it roots: a desert rose’s branches that wait in the cold, watered weekly, root three more
 * of a hundred and rot twenty.
 */
export function bestOf({ outcomes, differences }: Extract<Rehearsal, { ok: true }>): number {
  const better = differences.filter(
    (d) =>
      d.a === 0 &&
      isApart(d) &&
      d.rooted.share < 0 &&
      lostOf(outcomes[d.b]!) - lostOf(outcomes[0]!) < -d.rooted.share,
  );
  return better.reduce(
    (best, { b }) => (outcomes[b]!.rooted.share > outcomes[best]!.rooted.share ? b : best),
    0,
  );
}

/** Engines raise to a power a last digit apart: to a thousandth of a millilitre they agree. */
const toTheDrop = (litres: number): number => Math.round(litres * 1e6) / 1e6;

function differenceOf(a: number, b: number, runs: readonly (readonly BenchRun[])[]): Difference {
  const pairs = runs[a]!.map((run, i): [number, number] => [
    run.fates.filter(lives).length - runs[b]![i]!.fates.filter(lives).length,
    run.fates.length,
  ]);
  return { a, b, rooted: estimateOf(pairs) };
}

/** A ratio over benches and its standard error. @param benches [so many, of so many] */
function estimateOf(benches: readonly (readonly [number, number])[]): Estimate {
  const all = benches.reduce((s, [, n]) => s + n, 0);
  if (all === 0) return { share: 0, se: 0 };
  const share = benches.reduce((s, [x]) => s + x, 0) / all;
  const k = benches.length;
  const squares = benches.reduce((s, [x, n]) => s + (x - share * n) ** 2, 0);
  return { share, se: k < 2 ? 0 : Math.sqrt((squares * k) / (k - 1)) / all };
}
