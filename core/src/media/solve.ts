import { solve as solveLp, type Constraint } from 'yalps';
import * as say from '@hypogeon/messages/core-solve';
import type { Component } from './component';
import type { Container } from './container';
import { fillPot, type FilledPot } from './filled-pot';
import { mediumOf, type Part } from './mix';
import { perCent } from '../units';

/** What a mix can be asked for: shares of the volume or of the heaps, 0–1. */
export const TARGETS = ['water', 'air', 'mineral', 'feeds'] as const;
export type TargetName = (typeof TARGETS)[number];

export interface Target {
  readonly name: TargetName;
  readonly min?: number | undefined;
  readonly max?: number | undefined;
}

/** A component that may be used. */
export interface Choice {
  readonly component: Component;
  /** At most so many litres; unlimited where left out. */
  readonly litres?: number | undefined;
  readonly pricePerL?: number | undefined;
  /** No more than this share of the heaps. */
  readonly maxShare?: number | undefined;
}

export interface MixWish {
  readonly choices: readonly Choice[];
  readonly targets: readonly Target[];
  readonly container: Container;
  /** Litres of mix that are needed. */
  readonly litres: number;
  /** Fewest changes to a mix one knows, or least money. */
  readonly aim: 'closest' | 'cheapest';
  /** The mix one knows, as shares of the heaps by component id. */
  readonly from?: Readonly<Record<string, number>> | undefined;
}

export interface Binding {
  readonly what: string;
  /** By how much the wish is missed; 0 where it is just met. */
  readonly missedBy: number;
}

export interface SolvedMix {
  readonly feasible: boolean;
  readonly parts: readonly Part[];
  readonly pot: FilledPot;
  /** Values of the full model for every target. */
  readonly reached: Readonly<Record<TargetName, number>>;
  /** What holds the mix where it is; missed wishes first. */
  readonly binding: readonly Binding[];
  readonly cost: number | null;
}

/** A share below this is not worth fetching a bag for. */
const LEAST_SHARE = 0.01;
const ROUNDS = 24;
/** A missed target weighs more than any change or money. */
const MISS_WEIGHT = 1000;
const NEAR = 2e-3;

/**
 * The nearest mix that meets the targets from what is at hand. Water and air do not mix linearly, so
 * the full model is linearised about the last answer and solved again within a shrinking step, until
 * it stands; the answer is always what the full model says of it. Where nothing meets all targets,
 * the one that misses them by the least, with what stands in the way.
 * @returns null where not even the litres can be had
 */
export function solveMix(wish: MixWish): SolvedMix | null {
  const choices = wish.choices.filter((c) => c.litres === undefined || c.litres > 0);
  const stock = choices.reduce((sum, c) => sum + (c.litres ?? Infinity), 0);
  if (choices.length === 0 || wish.litres > stock) return null;

  let best: { x: readonly number[]; score: number } | null = null;
  for (const start of startsFor(wish, choices)) {
    let x = start;
    let score = scoreOf(wish, choices, x);
    let step = 0.5;
    for (let round = 0; round < ROUNDS && step > 5e-4; round++) {
      const next = linearStep(wish, choices, x, step);
      const nextScore = next ? scoreOf(wish, choices, next) : Infinity;
      if (next && nextScore < score - 1e-9) {
        x = next;
        score = nextScore;
      } else step /= 2.5;
    }
    if (best === null || score < best.score) best = { x, score };
  }
  // Where something is missed the linear steps may have stopped short: shares are moved about by hand.
  if (best && best.score >= MISS_WEIGHT * NEAR)
    for (const start of [
      best.x,
      ...choices.map((_, k) => choices.map((__, i) => Number(i === k))),
    ]) {
      const moved = movedAbout(wish, choices, start);
      if (moved.score < best.score) best = moved;
    }
  return best && answer(wish, choices, tidied(wish, choices, best.x));
}

/** Shares that are moved from one component to another, from coarse to fine, as long as it helps. */
function movedAbout(
  wish: MixWish,
  choices: readonly Choice[],
  start: readonly number[],
): { readonly x: readonly number[]; readonly score: number } {
  let [x, score] = [start, scoreOf(wish, choices, start)];
  for (const step of [0.3, 0.1, 0.03, 0.01]) {
    let better = true;
    while (better) {
      better = false;
      for (let from = 0; from < x.length; from++)
        for (let to = 0; to < x.length; to++) {
          const share = Math.min(step, x[from]!);
          if (from === to || share === 0) continue;
          const next = x.map((v, i) => (i === from ? v - share : i === to ? v + share : v));
          const nextScore = scoreOf(wish, choices, next);
          if (nextScore >= score - 1e-6) continue;
          [x, score, better] = [next, nextScore, true];
        }
    }
  }
  return { x, score };
}

/** Where the search begins: the known mix, an even one, and each component mostly alone. */
function startsFor(wish: MixWish, choices: readonly Choice[]): readonly (readonly number[])[] {
  const n = choices.length;
  const even = choices.map(() => 1 / n);
  const known = choices.map((c) => wish.from?.[c.component.id] ?? 0);
  const sum = known.reduce((a, b) => a + b, 0);
  const alone = choices.map((_, k) => choices.map((__, i) => (i === k ? 0.6 : 0.4 / (n - 1 || 1))));
  return [...(sum > 0 ? [known.map((k) => k / sum)] : []), even, ...alone.slice(0, 6)].map(
    normalised,
  );
}

function normalised(x: readonly number[]): readonly number[] {
  const sum = x.reduce((a, b) => a + b, 0);
  return x.map((v) => v / sum);
}

type Values = Readonly<Record<TargetName, number>>;

function partsOf(choices: readonly Choice[], x: readonly number[]): readonly Part[] {
  return choices.map((c, i) => ({ component: c.component, parts: Math.max(x[i]!, 0) }));
}

function valuesOf(wish: MixWish, choices: readonly Choice[], x: readonly number[]): Values {
  const medium = mediumOf(partsOf(choices, x));
  const { water, air } = fillPot(medium, wish.container);
  return { water, air, mineral: medium.mineral, feeds: medium.feeds };
}

/** Shares of the heaps that components can at most be, from their litres and their own limits. */
function capsOf(
  wish: MixWish,
  choices: readonly Choice[],
  x: readonly number[],
): readonly number[] {
  const heaps = wish.litres / mediumOf(partsOf(choices, x)).yield;
  return choices.map(({ litres, maxShare }) =>
    Math.min(maxShare ?? 1, litres === undefined ? 1 : litres / heaps),
  );
}

function scoreOf(wish: MixWish, choices: readonly Choice[], x: readonly number[]): number {
  const values = valuesOf(wish, choices, x);
  let miss = 0;
  for (const { name, min, max } of wish.targets)
    miss += Math.max(0, (min ?? -Infinity) - values[name], values[name] - (max ?? Infinity));
  const caps = capsOf(wish, choices, x);
  choices.forEach((_, i) => (miss += Math.max(0, x[i]! - caps[i]!)));
  return MISS_WEIGHT * miss + aimOf(wish, choices, x);
}

function aimOf(wish: MixWish, choices: readonly Choice[], x: readonly number[]): number {
  if (wish.aim === 'cheapest')
    return choices.reduce((sum, c, i) => sum + (c.pricePerL ?? dearest(choices)) * x[i]!, 0);
  return choices.reduce(
    (sum, c, i) => sum + Math.abs(x[i]! - (wish.from?.[c.component.id] ?? 0)),
    0,
  );
}

/** What has no price is taken as dear, so that the unknown is never the bargain. */
const dearest = (choices: readonly Choice[]): number =>
  Math.max(1, ...choices.map((c) => c.pricePerL ?? 0));

/** One linear programme around `x`, no share moving by more than `step`. */
function linearStep(
  wish: MixWish,
  choices: readonly Choice[],
  x: readonly number[],
  step: number,
): readonly number[] | null {
  const base = valuesOf(wish, choices, x);
  const slopes = choices.map((_, k) => slopeAlong(wish, choices, x, base, k));
  const caps = capsOf(wish, choices, x);
  const constraints: Record<string, Constraint> = { whole: { equal: 1 } };
  const variables: Record<string, Record<string, number>> = {};
  choices.forEach((c, i) => {
    const column: Record<string, number> = { whole: 1, [`box${i}`]: 1, score: 0 };
    constraints[`box${i}`] = {
      min: Math.max(0, x[i]! - step),
      max: Math.min(1, x[i]! + step),
    };
    column[`cap${i}`] = 1;
    constraints[`cap${i}`] = { max: caps[i]! };
    variables[`over${i}`] = { [`cap${i}`]: -1, score: MISS_WEIGHT };
    for (const target of wish.targets) column[`t-${target.name}`] = slopes[i]![target.name];
    if (wish.aim === 'cheapest') column.score = c.pricePerL ?? dearest(choices);
    else {
      const known = wish.from?.[c.component.id] ?? 0;
      column[`away${i}`] = 1;
      constraints[`away${i}`] = { equal: known };
      variables[`up${i}`] = { [`away${i}`]: -1, score: 1 };
      variables[`down${i}`] = { [`away${i}`]: 1, score: 1 };
    }
    variables[`x${i}`] = column;
  });
  for (const { name, min, max } of wish.targets) {
    // value ≈ base + Σ slope·(new − old); the constant goes to the bounds.
    const shift = base[name] - choices.reduce((sum, _, i) => sum + slopes[i]![name] * x[i]!, 0);
    constraints[`t-${name}`] = {
      ...(min === undefined ? {} : { min: min - shift }),
      ...(max === undefined ? {} : { max: max - shift }),
    };
    variables[`short-${name}`] = { [`t-${name}`]: 1, score: MISS_WEIGHT };
    variables[`much-${name}`] = { [`t-${name}`]: -1, score: MISS_WEIGHT };
  }
  const solution = solveLp({ direction: 'minimize', objective: 'score', constraints, variables });
  if (solution.status !== 'optimal') return null;
  const found = new Map(solution.variables);
  const next = choices.map((_, i) => Math.max(found.get(`x${i}`) ?? 0, 0));
  return next.some((v) => v > 0) ? normalised(next) : null;
}

/** Change of each value per unit of component `k`, the others giving way in proportion. */
function slopeAlong(
  wish: MixWish,
  choices: readonly Choice[],
  x: readonly number[],
  base: Values,
  k: number,
): Values {
  const h = 1e-3;
  const moved = normalised(x.map((v, i) => (i === k ? v + h : v)));
  const values = valuesOf(wish, choices, moved);
  // With Σx = 1 kept, any common constant in the slopes cancels.
  const slope = (name: TargetName): number => (values[name] - base[name]) / h;
  return {
    water: slope('water'),
    air: slope('air'),
    mineral: slope('mineral'),
    feeds: slope('feeds'),
  };
}

/** Traces that no scoop could measure are left out, if the targets allow it. */
function tidied(
  wish: MixWish,
  choices: readonly Choice[],
  x: readonly number[],
): readonly number[] {
  const bare = normalised(x.map((v) => (v < LEAST_SHARE ? 0 : v)));
  const rounded = normalised(bare.map((v) => Math.round(v * 200) / 200));
  const missed = (y: readonly number[]): number =>
    scoreOf(
      {
        ...wish,
        aim: 'closest',
        from: Object.fromEntries(choices.map((c, i) => [c.component.id, y[i]!])),
      },
      choices,
      y,
    );
  const least = missed(x) + MISS_WEIGHT * NEAR;
  if (missed(rounded) <= least) return rounded;
  return missed(bare) <= least ? bare : x;
}

const NAME: Readonly<Record<TargetName, string>> = {
  get water() {
    return say.waterAfterDraining();
  },
  get air() {
    return say.airAfterDraining();
  },
  get mineral() {
    return say.mineralShare();
  },
  get feeds() {
    return say.shareThatFeeds();
  },
};

function answer(wish: MixWish, choices: readonly Choice[], x: readonly number[]): SolvedMix {
  const parts = partsOf(choices, x).filter((p) => p.parts > 0);
  const pot = fillPot(mediumOf(parts), wish.container);
  const reached = valuesOf(wish, choices, x);
  const percent = (v: number): string => perCent(Math.round(v * 100));
  const binding: Binding[] = [];
  for (const { name, min, max } of wish.targets) {
    const value = reached[name];
    if (min !== undefined && value < min + NEAR)
      binding.push({
        what: say.atLeast({ name: NAME[name], percent: percent(min) }),
        missedBy: Math.max(0, min - value),
      });
    if (max !== undefined && value > max - NEAR)
      binding.push({
        what: say.atMost({ name: NAME[name], percent: percent(max) }),
        missedBy: Math.max(0, value - max),
      });
  }
  const caps = capsOf(wish, choices, x);
  choices.forEach((c, i) => {
    const cap = caps[i]!;
    // Shares are rounded to what a scoop can give: half a per cent below the limit is at it.
    if (cap < 1 && x[i]! > cap - 0.006)
      binding.push({
        what:
          c.litres !== undefined && cap < (c.maxShare ?? 1)
            ? `${c.component.name}: ${c.litres} L in the shed`
            : say.atMost2({ name: c.component.name, percent: percent(cap) }),
        missedBy: Math.max(0, x[i]! - cap),
      });
  });
  const missed = binding.map((b) => (b.missedBy < NEAR ? { ...b, missedBy: 0 } : b));
  const heaps = wish.litres / pot.medium.yield;
  const prices = parts.map((p) => wish.choices.find((c) => c.component === p.component)?.pricePerL);
  return {
    feasible: missed.every((b) => b.missedBy === 0),
    parts,
    pot,
    reached,
    binding: missed.toSorted((a, b) => b.missedBy - a.missedBy),
    cost: prices.every((p) => p !== undefined)
      ? parts.reduce((sum, p, i) => sum + p.parts * heaps * prices[i]!, 0)
      : null,
  };
}
