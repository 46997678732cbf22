import { hazardBy, type WeibullTime } from '../botany';
import { memoBy } from '../memo';
import { BATCH_LOGITS, BATCH_PACES, SHARE } from './cure-grid';

/**
 * What is believed of pieces that wait, all of one batch: when they will have what they wait for, in growth since the
 * cut, each pace by its own weight. Chance and pace of the batch are shared by all of them.
 */
export interface Awaited {
  readonly time: WeibullTime;
  /** Paces that are believed at all: of these alone it is spoken. */
  readonly stretch: readonly number[];
  /** The share of them that had it not yet after so much growth, by pace. */
  readonly without: readonly number[];
  /** Growth at the last look without it; 0 where nobody has looked. */
  readonly after: number;
  /** By pace: its weight, and mean and mean square of a factor on the share between two growths. */
  readonly weights: readonly number[];
  readonly factor: readonly number[];
  readonly square: readonly number[];
  /** Chance that one of them ever has it. */
  readonly ever: number;
  /** What was worked out of it, where many batches share it. */
  readonly shared?: Map<string, number>;
}

/** The same row of e^(−shape · pace) is asked for again and again. */
const stretches = new Map<number, Float64Array>();
function stretchOf(shape: number): Float64Array {
  let known = stretches.get(shape);
  if (!known) {
    if (stretches.size > 500) stretches.clear();
    known = Float64Array.from(BATCH_PACES, (pace) => Math.exp(-shape * pace));
    stretches.set(shape, known);
  }
  return known;
}

/**
 * Pieces of a batch that wait for roots.
 * @param batch weights of its chance and pace, whatever its looks have told of it laid in
 */
export const awaitedRoots = (batch: Float64Array, time: WeibullTime, after: number): Awaited =>
  known(batch, `${time.shape}/${time.scale}/${after}`, () => ({
    ...rootsAhead(batch, time, after),
    shared: new Map(),
  }));

const known = memoBy<Float64Array, Awaited>(20);

/** The same, not remembered: of weights that are asked about once. */
export function rootsAhead(batch: Float64Array, time: WeibullTime, after: number): Awaited {
  const paces = BATCH_PACES.length;
  const hazard = hazardBy(time, after);
  const stretch = stretchOf(time.shape);
  const weights = new Float64Array(paces);
  const factor = new Float64Array(paces);
  const square = new Float64Array(paces);
  const had = new Float64Array(paces);
  for (let y = 0; y < paces; y++) had[y] = -Math.expm1(-hazard * stretch[y]!);
  for (let p = 0, at = 0; p < BATCH_LOGITS.length; p++) {
    const share = SHARE[p]!;
    for (let y = 0; y < paces; y++, at++) {
      const weight = batch[at]!;
      if (weight < 1e-12) continue;
      // Of one that has none yet: it never will, or it is one of the late.
      const is = share / (1 - share * had[y]!);
      weights[y]! += weight;
      factor[y]! += weight * is;
      square[y]! += weight * is * is;
    }
  }
  return finished(time, after, { weights, factor, square });
}

/** Rooted pieces of a batch that wait for pups: of these there is no doubt, only a pace. */
export function awaitedPups(batch: Float64Array, time: WeibullTime, after: number): Awaited {
  const paces = BATCH_PACES.length;
  const hazard = hazardBy(time, after);
  const stretch = stretchOf(time.shape);
  const weights = new Float64Array(paces);
  for (let at = 0; at < batch.length; at++) weights[at % paces]! += batch[at]!;
  const factor = new Float64Array(paces);
  const square = new Float64Array(paces);
  let sum = 0;
  for (let y = 0; y < paces; y++) {
    const without = Math.exp(-hazard * stretch[y]!);
    sum += weights[y]! *= without;
    const is = 1 / Math.max(without, 1e-300);
    factor[y] = weights[y]! * is;
    square[y] = weights[y]! * is * is;
  }
  // However slow, it waits: where every pace says it should long have come, the slowest is left.
  if (!(sum > 1e-200)) return awaitedPups(weightsOfSlowest(batch.length), time, 0);
  for (const row of [weights, factor, square]) for (let y = 0; y < paces; y++) row[y]! /= sum;
  return finished(time, after, { weights, factor, square });
}

function weightsOfSlowest(size: number): Float64Array {
  const all = new Float64Array(size);
  all[size - 1] = 1;
  return all;
}

/** A pace this unlikely says nothing of any day. */
const SELDOM = 1e-6;

function finished(
  time: WeibullTime,
  after: number,
  rows: Readonly<Record<'weights' | 'factor' | 'square', Float64Array>>,
): Awaited {
  const hazard = hazardBy(time, after);
  const all = stretchOf(time.shape);
  const [stretch, without, weights]: [number[], number[], number[]] = [[], [], []];
  const [factor, square]: [number[], number[]] = [[], []];
  let ever = 0;
  for (let y = 0; y < all.length; y++) {
    if (!(rows.weights[y]! > SELDOM)) continue;
    const left = Math.exp(-hazard * all[y]!);
    stretch.push(all[y]!);
    without.push(left);
    weights.push(rows.weights[y]!);
    factor.push(rows.factor[y]!);
    square.push(rows.square[y]!);
    ever += rows.factor[y]! * left;
  }
  return { time, after, stretch, without, weights, factor, square, ever: Math.min(1, ever) };
}

/** Of a piece that waits: chance, and mean square of the chance its batch gives it, to have it by so much growth. */
export function chanceBy(
  { time, after, factor, square, stretch, without }: Awaited,
  growth: number,
): { readonly mean: number; readonly square: number } {
  if (growth <= after) return { mean: 0, square: 0 };
  const hazard = hazardBy(time, growth);
  let [mean, squared] = [0, 0];
  for (let y = 0; y < stretch.length; y++) {
    const between = without[y]! - Math.exp(-hazard * stretch[y]!);
    mean += factor[y]! * between;
    squared += square[y]! * between * between;
  }
  return { mean: Math.min(1, mean), square: Math.min(mean, squared) };
}

/** What was worked out of a belief that many batches share; of one batch alone nothing is kept here. */
export function rememberedOf({ shared }: Awaited, name: string, sum: () => number): number {
  if (!shared) return sum();
  let known = shared.get(name);
  if (known === undefined) shared.set(name, (known = sum()));
  return known;
}

/** Growth by which this share of those that will have it has it. @param share 0–1, below 1 */
export function growthFor(is: Awaited, share: number): number {
  return rememberedOf(is, String(share), () =>
    firstGrowth(is, (growth) => chanceBy(is, growth).mean >= share * is.ever),
  );
}

/** Further than this no line of growth is followed. */
const FURTHEST = 1e5;

/** The least growth from which on something holds that holds ever after, to half an hour. */
export function firstGrowth(is: Awaited, holds: (growth: number) => boolean): number {
  let low = is.after;
  let step = is.time.scale / 2;
  while (!holds(low + step)) {
    low += step;
    step *= 2;
    if (low > FURTHEST) return FURTHEST;
  }
  let high = low + step;
  // To half an hour, or a thousandth of what is short.
  while (high - low > Math.min(0.02, is.time.scale / 1000)) {
    const middle = (low + high) / 2;
    if (holds(middle)) high = middle;
    else low = middle;
  }
  return high;
}

/** A number of pieces whose chances hang together, as a beta-binomial of the same mean and variance. */
export function together(chance: ReturnType<typeof chanceBy>): {
  readonly a: number;
  readonly b: number;
} {
  const mean = Math.min(Math.max(chance.mean, 1e-9), 1 - 1e-9);
  const variance = Math.max(chance.square - chance.mean ** 2, 1e-12);
  const worth = Math.max((mean * (1 - mean)) / variance - 1, 1e-3);
  return { a: mean * worth, b: (1 - mean) * worth };
}

/** Chance that not one of them has it. */
export function chanceOfNone(pieces: number, chance: ReturnType<typeof chanceBy>): number {
  const { a, b } = together(chance);
  let none = 1;
  for (let i = 0; i < pieces && none > 1e-6; i++) none *= (b + i) / (a + b + i);
  return none;
}
