import { sobolFirst, type SampledShare } from '../stats';
import { lives, runBench } from './bench-run';
import { luckOf } from './luck';
import type { Column } from '../water';
import { moistened, warmed, type Strategy } from './strategy';
import { USUAL_WEATHER, type Weather } from './weather-ahead';

/** What a grower can choose, from one end to the other. */
export const CHOICES = ['width', 'dry', 'first', 'warmth', 'air', 'mix'] as const;
export type Choice = (typeof CHOICES)[number];

const LONGEST_DAYS = 21;
/** °C to either side. */
export const WARMEST_C = 6;
/** Relative humidity to either side. */
export const DAMPEST_BY = 0.2;

/**
 * A strategy with one choice put somewhere between its ends.
 * @param at 0–1: half to twice the wound, set at once to after three weeks, water as it is set to three weeks later,
 * six degrees cooler to six warmer, drier to damper air, the first to the last mix
 * @param columns of the mixes there are to choose from, in some order; none leaves the mix as it is
 */
export function choose(
  strategy: Strategy,
  choice: Choice,
  at: number,
  columns: readonly Column[] = [],
): Strategy {
  const { first } = strategy;
  switch (choice) {
    case 'width':
      return strategy.widthMm === null
        ? strategy
        : { ...strategy, widthMm: strategy.widthMm * 2 ** (2 * at - 1) };
    case 'dry': {
      const dryDays = Math.round(at * LONGEST_DAYS);
      // Water keeps its distance from the day they are set.
      const moved =
        'day' in first ? { day: first.day + Math.max(0, dryDays - strategy.dryDays) } : first;
      return {
        ...strategy,
        dryDays,
        first: 'day' in moved ? { day: Math.max(moved.day, dryDays) } : moved,
      };
    }
    case 'first':
      return { ...strategy, first: { day: strategy.dryDays + Math.round(at * LONGEST_DAYS) } };
    case 'warmth':
      return { ...strategy, place: warmed(strategy.place, WARMEST_C * (2 * at - 1)) };
    case 'air':
      return { ...strategy, place: moistened(strategy.place, DAMPEST_BY * (2 * at - 1)) };
    case 'mix': {
      const i = Math.min(columns.length - 1, Math.floor(at * columns.length));
      return { ...strategy, column: columns[i] ?? strategy.column };
    }
  }
}

/** How much one choice can do. */
export interface Matter {
  readonly choice: Choice;
  /** Share rooted at one end and at the other, the rest as planned, 0–1. */
  readonly low: number;
  readonly high: number;
  /** First-order Sobol index, 0–1: its share of what all of them together can do, by itself, with its error. */
  readonly share: SampledShare;
}

export interface MattersInput {
  readonly strategy: Strategy;
  readonly days: number;
  readonly seed: number;
  readonly weather?: Weather | undefined;
  /** Of the mixes at hand in this pot, from the one that holds the most water to the airiest. */
  readonly columns?: readonly Column[] | undefined;
}

/** Few cuttings a run, many runs: what is looked for is large. */
const CUTTINGS = 100;
const BENCHES = 5;
const ROWS = 48;

/** What matters most among the choices, the greatest first: one at a time, and by their share of the variance. */
export function whatMatters({
  strategy,
  days,
  seed,
  weather = USUAL_WEATHER,
  columns = [],
}: MattersInput): readonly Matter[] {
  const luck = luckOf(seed, CUTTINGS, BENCHES, days);
  const rooted = (one: Strategy): number =>
    luck.reduce(
      (sum, bench) => sum + runBench(one, bench, weather, days).fates.filter(lives).length,
      0,
    ) / CUTTINGS;
  const shares = sobolFirst(
    (row) =>
      rooted(CHOICES.reduce((one, choice, i) => choose(one, choice, row[i]!, columns), strategy)),
    CHOICES.length,
    ROWS,
    seed,
  );
  return CHOICES.map((choice, i) => ({
    choice,
    low: rooted(choose(strategy, choice, 0, columns)),
    high: rooted(choose(strategy, choice, 1, columns)),
    share: shares[i]!,
  })).sort((a, b) => Math.abs(b.high - b.low) - Math.abs(a.high - a.low));
}
