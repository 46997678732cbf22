import {
  looksLikelihood,
  PACE_GRID,
  studentT4,
  weighed,
  type PacePrior,
  type WoundLook,
} from './belief';

/** Of the spread of wounds this much lies between benches, the rest between wounds. Working assumption. */
const BENCH_SD = 0.25;
/** Scale of the wounds of one bench, so that both together spread eight wounds in ten as widely as one belief. */
const WOUND_SCALE = 0.1943;

const SPAN = 3.5 * BENCH_SD;
const POINTS = 57;
const BENCH_GRID: readonly number[] = Array.from(
  { length: POINTS },
  (_, i) => -SPAN + (2 * SPAN * i) / (POINTS - 1),
);

/** Share of the wounds of a bench with this pace that lie at a point of the wound's own grid. */
const KERNEL: readonly (readonly number[])[] = BENCH_GRID.map((b) => {
  const row = PACE_GRID.map((x) => studentT4((x - b) / WOUND_SCALE));
  const total = row.reduce((sum, w) => sum + w, 0);
  return row.map((w) => w / total);
});

/** What the looks at one wound say of the bench: ln likelihood over the grid of the bench's pace. */
export type BenchEvidence = readonly number[];

export function benchEvidence(looks: readonly WoundLook[]): BenchEvidence {
  const told = weighed(looks);
  const likelihood = PACE_GRID.map((_, i) => looksLikelihood(told, i));
  return KERNEL.map((row) =>
    Math.log(row.reduce((sum, share, i) => sum + share * likelihood[i]!, 0)),
  );
}

/** How much slower wounds close on this bench than modelled: 1 as modelled, 2 twice as slow. */
export interface BenchPace {
  readonly factor: number;
  /** Eight times in ten between the two. */
  readonly low: number;
  readonly high: number;
  /** What a new wound of this bench is believed to do before it is looked at. */
  readonly prior: PacePrior;
}

/**
 * The pace of a bench after looks at its wounds: a wound's ln factor is the bench's, normal, and its
 * own, heavy-tailed.
 * @param evidence of every wound looked at, summed point by point; all 0 before any
 */
export function benchPace(evidence: BenchEvidence = NO_EVIDENCE): BenchPace {
  const most = Math.max(...evidence);
  const weights = BENCH_GRID.map((b, i) =>
    Math.exp(-0.5 * (b / BENCH_SD) ** 2 + evidence[i]! - most),
  );
  const total = weights.reduce((sum, w) => sum + w, 0);
  const prior = PACE_GRID.map((_, x) =>
    weights.reduce((sum, w, b) => sum + (w / total) * KERNEL[b]![x]!, 0),
  );
  const mean = weights.reduce((sum, w, i) => sum + (w / total) * BENCH_GRID[i]!, 0);
  return {
    factor: Math.exp(mean),
    low: Math.exp(quantile(weights, total, 0.1)),
    high: Math.exp(quantile(weights, total, 0.9)),
    prior,
  };
}

export const NO_EVIDENCE: BenchEvidence = BENCH_GRID.map(() => 0);

export function addEvidence(a: BenchEvidence, b: BenchEvidence, sign: 1 | -1 = 1): BenchEvidence {
  return a.map((v, i) => v + sign * b[i]!);
}

function quantile(weights: readonly number[], total: number, share: number): number {
  let sum = 0;
  for (let i = 0; i < POINTS; i++) {
    const next = sum + weights[i]! / total;
    if (next >= share) {
      const step = BENCH_GRID[1]! - BENCH_GRID[0]!;
      return BENCH_GRID[i]! + step * ((share - sum) / (next - sum) - 0.5);
    }
    sum = next;
  }
  return SPAN;
}
