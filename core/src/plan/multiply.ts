import { assertPositive } from '../assert';
import jStat from 'jstat';
import * as say from '@hypogeon/messages/core-multiply';

import type { Day } from '../days';
import type { Belief } from '../learn';

/** Cuttings from cuttings: what one plant gives whenever it is cut. */
export interface Multiplication {
  /** Plants to begin with. */
  readonly start: number;
  /** Pieces a plant gives each time it is cut, without being lost itself. */
  readonly pieces: number;
  /** The mother plant stays and is cut again in the next round. */
  readonly mothersStay: boolean;
  readonly belief: Pick<Belief, 'a' | 'b'>;
}

/** Plants after a generation, eight times in ten between low and high. */
export interface Generation {
  readonly number: number;
  readonly likely: number;
  readonly low: number;
  readonly high: number;
}

/** Chances of success at which the projection is made: the middle points of equal slices of the belief. */
const SLICES = 41;

/**
 * Plants after each generation: a branching process whose chance of success is not known for sure.
 * Given the chance p, a plant becomes s + Binomial(k, p) plants (s = 1 where it stays), so that mean and
 * variance follow m = s + kp, σ² = kp(1 − p), Mₙ = m·Mₙ₋₁, Vₙ = m²·Vₙ₋₁ + σ²·Mₙ₋₁ (Harris 1963, The Theory
 * of Branching Processes, ch. I.5). Over p they are mixed, and the range is that of a log-normal with the
 * same mean and variance.
 * @param generations ≥ 0
 */
export function multiply(plan: Multiplication, generations: number): readonly Generation[] {
  assertPositive('start', plan.start);
  assertPositive('pieces', plan.pieces);
  const { start, pieces, mothersStay, belief } = plan;
  const chances = Array.from({ length: SLICES }, (_, i) =>
    jStat.beta.inv((i + 0.5) / SLICES, belief.a, belief.b),
  );
  let rows = chances.map((p) => ({ p, mean: start, variance: 0 }));
  const out = [generationOf(0, rows)];
  for (let n = 1; n <= generations; n++) {
    rows = rows.map(({ p, mean, variance }) => {
      const m = (mothersStay ? 1 : 0) + pieces * p;
      return { p, mean: mean * m, variance: m * m * variance + pieces * p * (1 - p) * mean };
    });
    out.push(generationOf(n, rows));
  }
  return out;
}

function generationOf(
  number: number,
  rows: readonly { readonly mean: number; readonly variance: number }[],
): Generation {
  const average = (of: (r: (typeof rows)[number]) => number): number =>
    rows.reduce((sum, r) => sum + of(r), 0) / rows.length;
  const mean = average((r) => r.mean);
  const variance = average((r) => r.variance + (r.mean - mean) ** 2);
  if (variance === 0) return { number, likely: mean, low: mean, high: mean };
  const s2 = Math.log(1 + variance / mean ** 2);
  const at = (z: number): number => Math.exp(Math.log(mean) - s2 / 2 + z * Math.sqrt(s2));
  return { number, likely: mean, low: at(-1.2816), high: at(1.2816) };
}

/** When a stock is reached. */
export interface Reached {
  /** Generations it likely takes; at best, and at worst. Null where it is not reached within the most. */
  readonly likely: number | null;
  readonly best: number | null;
  readonly worst: number | null;
  readonly generations: readonly Generation[];
}

/** More generations than these nobody plans. */
export const MOST_GENERATIONS = 12;

export function reach(plan: Multiplication, target: number): Reached {
  const generations = multiply(plan, MOST_GENERATIONS);
  const first = (of: (g: Generation) => number): number | null =>
    generations.find((g) => of(g) >= target)?.number ?? null;
  const worst = first((g) => g.low);
  return {
    likely: first((g) => g.likely),
    best: first((g) => g.high),
    worst,
    generations: generations.slice(0, (worst ?? first((g) => g.likely) ?? MOST_GENERATIONS) + 1),
  };
}

/**
 * The days on which each generation can be cut, in the air of a place.
 * @param nextFrom the day on which cuttings of a day are plants that can be cut; null beyond the horizon
 */
export function generationDays(
  start: Day,
  generations: number,
  nextFrom: (cutOn: Day) => Day | null,
): readonly (Day | null)[] {
  const days: (Day | null)[] = [start];
  for (let n = 1; n <= generations; n++) {
    const before = days[n - 1] ?? null;
    days.push(before === null ? null : nextFrom(before));
  }
  return days;
}

/** Why a multiplication cannot be worked out, in the grower's words; empty if it can. */
export function multiplicationProblem(start: number, pieces: number, target: number): string {
  if (!(Number.isInteger(start) && start >= 1)) return say.howManyPlantsDo();
  if (!(pieces > 0 && pieces <= 200)) return say.howManyPiecesDoes();
  if (!(Number.isInteger(target) && target >= 1)) return say.whatStockDoYou();
  if (target <= start) return say.youHaveThatMany();
  if (target > 1_000_000) return say.moreThanAMillion();
  return '';
}
