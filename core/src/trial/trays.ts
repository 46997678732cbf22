import jStat from 'jstat';
import { assertCount, assertFraction } from '../assert';
import type { TrialFactor } from '../journal';
import { logChoose, randomFrom, type ShareDifference } from '../stats';
import { alphaOf, type TrialSize } from './design';

/*
 * What is tried of water, mix, pot or course is a tray's, not a cutting's: cuttings of one tray cannot get different
 * water, and share their fate. There the unit is the tray: trays are drawn by lot, and trays are judged.
 */

const OF_A_TRAY: ReadonlySet<TrialFactor> = new Set([
  'callusAt',
  'firstWater',
  'waterSchool',
  'mix',
  'container',
  'course',
  'leaves',
]);

/** Its arms cannot share a tray. */
export const needsTrays = (factor: TrialFactor | undefined): boolean =>
  factor !== undefined && OF_A_TRAY.has(factor);

/** More trays than this in each arm no bench has. */
export const MOST_TRAYS = 40;
/** Cuttings in a tray where nobody says. */
export const USUAL_PER_TRAY = 10;

const choose = (n: number, k: number): number => Math.round(Math.exp(logChoose(n, k)));

/** The least that a permutation test of so many trays against so many can say of chance, two-sided. */
const leastP = (a: number, b: number): number => Math.min(1, 2 / choose(a + b, a));

/** Trays in each arm with which the arms can be told apart at all: with fewer not even the clearest result would do. */
export function leastTrays(arms: number): number {
  let trays = 2;
  while (leastP(trays, trays) > alphaOf(arms)) trays++;
  return trays;
}

/**
 * Trays wanted in each arm; null where more than a bench has would be needed.
 * @param perTray cuttings in a tray, 1 or more
 * @param correlation of two cuttings of a tray, 0–1
 * Source: Hayes & Bennett 1999, Int. J. Epidemiol. 28:319, eq. 1, one tray more for a test on trays, with between-tray
 * variance ρp(1 − p) and Student’s t for the normal deviates, so that what is asked is reached by few trays, too.
 */
export function traysFor(
  { arms, usual, better, power }: TrialSize,
  perTray: number,
  correlation: number,
): number | null {
  assertCount('perTray', perTray);
  assertFraction('correlation', correlation);
  if (usual === better) return null;
  const each = spreadOf(usual, better, perTray, correlation);
  for (let trays = leastTrays(arms); trays <= MOST_TRAYS; trays++) {
    const t = (share: number): number => jStat.studentt.inv(share, 2 * (trays - 1));
    if (trays >= 1 + (t(1 - alphaOf(arms) / 2) + t(power)) ** 2 * each) return trays;
  }
  return null;
}

/**
 * The chance with which so many trays in each arm tell two shares apart: what {@link traysFor} asks for, the other way
 * round.
 * @returns 0–1; 0 where so few trays cannot tell anything
 */
export function chanceByTrays(
  trays: number,
  { arms, usual, better }: Pick<TrialSize, 'arms' | 'usual' | 'better'>,
  perTray: number,
  correlation: number,
): number {
  if (trays < leastTrays(arms) || usual === better) return 0;
  const free = 2 * (trays - 1);
  const reach = Math.sqrt((trays - 1) / spreadOf(usual, better, perTray, correlation));
  return jStat.studentt.cdf(reach - jStat.studentt.inv(1 - alphaOf(arms) / 2, free), free);
}

/** Variance of the difference of two trays, over the square of what is to be told apart. */
function spreadOf(usual: number, better: number, perTray: number, correlation: number): number {
  const spread = usual * (1 - usual) + better * (1 - better);
  return (spread * (1 / perTray + correlation * (1 - 1 / perTray))) / (usual - better) ** 2;
}

/** What became of a tray. */
export interface TrayCount {
  readonly rooted: number;
  readonly stuck: number;
}

export interface TrayTest {
  /** Trays of the two. */
  readonly trays: readonly [number, number];
  /** With fewer trays than this in each nothing can be told. */
  readonly least: number;
  readonly enough: boolean;
  /** 1 where there are too few to tell. */
  readonly p: number;
  readonly difference: ShareDifference | null;
}

/** So many ways to share out the trays are all gone through; of more, so many are drawn. */
const MOST_WAYS = 20_000;
const DRAWN_WAYS = 10_000;

/**
 * Two arms by their trays: are the mean shares further apart than when trays change sides?
 * @param arms of the trial: what each comparison may err by hangs on it
 * Source: Fisher 1935, The Design of Experiments (permutation test); interval by Student's t on the shares of trays.
 */
export function trayTest(a: readonly TrayCount[], b: readonly TrayCount[], arms: number): TrayTest {
  const share = ({ rooted, stuck }: TrayCount): number => rooted / stuck;
  const [mine, theirs] = [a, b].map((side) => side.filter((t) => t.stuck > 0).map(share)) as [
    number[],
    number[],
  ];
  const trays = [mine.length, theirs.length] as const;
  const enough = Math.min(...trays) >= 2 && leastP(...trays) <= alphaOf(arms);
  return {
    trays,
    least: leastTrays(arms),
    enough,
    p: enough ? permuted(mine, theirs) : 1,
    difference: differenceOf(mine, theirs),
  };
}

const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, v) => sum + v, 0) / values.length;

/** Share of all ways to give the trays to the two sides that part their means as far or further. */
function permuted(a: readonly number[], b: readonly number[]): number {
  const all = [...a, ...b];
  const sum = all.reduce((s, v) => s + v, 0);
  const middle = (sum * a.length) / all.length;
  // Means lie as far apart as the sum of one side lies from its share of all.
  const apart = (sumA: number): number => (sumA > middle ? sumA - middle : middle - sumA);
  const seen = apart(a.reduce((s, v) => s + v, 0)) - 1e-12;
  let [further, ways] = [0, 0];
  const take = (sumA: number): void => {
    ways++;
    if (apart(sumA) >= seen) further++;
  };
  if (choose(all.length, a.length) <= MOST_WAYS) {
    const go = (from: number, left: number, sumA: number): void => {
      if (left === 0) return take(sumA);
      for (let i = from; i <= all.length - left; i++) go(i + 1, left - 1, sumA + all[i]!);
    };
    go(0, a.length, 0);
    return further / ways;
  }
  const random = randomFrom(all.length);
  // One pool for all draws: what lies in any order is drawn from as well.
  const pool = [...all];
  for (let n = 0; n < DRAWN_WAYS; n++) {
    let sumA = 0;
    for (let i = 0; i < a.length; i++) {
      const j = i + Math.floor(random() * (pool.length - i));
      [pool[i], pool[j]] = [pool[j]!, pool[i]!];
      sumA += pool[i]!;
    }
    take(sumA);
  }
  // The way that was seen is one of them.
  return (further + 1) / (ways + 1);
}

/** Of the mean shares, a − b, 95%; null with fewer than two trays on a side. */
function differenceOf(a: readonly number[], b: readonly number[]): ShareDifference | null {
  if (a.length < 2 || b.length < 2) return null;
  const squares = (values: readonly number[]): number => {
    const mean = meanOf(values);
    return values.reduce((sum, v) => sum + (v - mean) ** 2, 0);
  };
  const free = a.length + b.length - 2;
  const se = Math.sqrt(((squares(a) + squares(b)) / free) * (1 / a.length + 1 / b.length));
  const reach = jStat.studentt.inv(0.975, free) * se;
  const difference = meanOf(a) - meanOf(b);
  return {
    difference,
    low: Math.max(-1, difference - reach),
    high: Math.min(1, difference + reach),
  };
}
