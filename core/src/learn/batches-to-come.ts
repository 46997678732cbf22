import { memo } from '../memo';
import type { Belief } from './belief';
import { BATCH_LOGITS, BATCH_PACES, logitOf, shareAt } from './cure-grid';
import { refined } from './refine';

/** Batches that are believed possible: how large a share of all, and the chance of their cuttings, 0–1. */
export interface BatchesToCome {
  readonly weight: number;
  readonly share: number;
}

/** How many times as fine as the grid of batches their chances are gone through. */
const FINE = 4;
const FINE_LOGITS = refined(BATCH_LOGITS, FINE);
const FINE_SHARES = FINE_LOGITS.map(shareAt);
/** A pace, or a chance, this unlikely is left out. */
const SELDOM = 1e-6;

/** Chances of batches, pace by pace, as finely as they are gone through. */
const paces = memo(
  ({ batch }: Pick<Belief, 'batch'>): readonly { readonly pace: number; readonly of: number[] }[] =>
    BATCH_PACES.flatMap((pace, y) => {
      const row = BATCH_LOGITS.map((_, p) => batch[p * BATCH_PACES.length + y]!);
      const weight = sumOf(row);
      if (weight < SELDOM) return [];
      const fine = finely(row);
      const sum = sumOf(fine);
      return [{ pace: Math.exp(pace), of: fine.map((w) => (w * weight) / sum) }];
    }),
);

const sumOf = (row: readonly number[]): number => row.reduce((a, b) => a + b, 0);

/** A row of weights, so many times as fine: what lies beyond its ends stays there. */
function finely(row: readonly number[]): number[] {
  const last = row.length - 1;
  const [first, end] = [Math.min(row[0]!, row[1]!), Math.min(row[last]!, row[last - 1]!)];
  // Between the points a cubic may dip below none.
  const fine = refined([first, ...row.slice(1, -1), end], FINE).map((w) => Math.max(0, w));
  const beyond = FINE * sumOf(row) - sumOf(fine);
  const ends = row[0]! + row[last]!;
  if (beyond > 0 && ends > 0) {
    fine[0]! += (beyond * row[0]!) / ends;
    fine[fine.length - 1]! += (beyond * row[last]!) / ends;
  }
  return fine;
}

/** The paces that are believed of a batch, and how likely each is. */
export const pacesOf = (
  belief: Pick<Belief, 'batch'>,
): readonly { readonly pace: number; readonly weight: number }[] =>
  paces(belief).map(({ pace, of }) => ({ pace, weight: sumOf(of) }));

const STEP = 0.1;
const LEAST = -12;
const CELLS = Math.round(24 / STEP) + 1;
const SHARES = Array.from({ length: CELLS }, (_, i) => shareAt(LEAST + STEP * i));

/**
 * The batches that are believed possible, by the chance of one of their cuttings to live and to be ready: whatever the
 * shape of that belief is. (A single Beta of its mean and variance says of weak beliefs that they fail less often than
 * they do: nine in ten was reached in 84 of 100.)
 * @param had the share of those that will root which has done so, by how many times as long as usual a batch takes; 0–1
 * @returns weights that sum to 1, by rising share
 */
export function batchesToCome(
  belief: Pick<Belief, 'batch'>,
  had: (pace: number) => number,
): readonly BatchesToCome[] {
  const weights = new Float64Array(CELLS);
  for (const { pace, of } of paces(belief)) {
    const ready = had(pace);
    for (let p = 0; p < of.length; p++) {
      const chance = FINE_SHARES[p]! * ready;
      const at = chance <= 0 ? 0 : Math.floor((logitOf(chance) - LEAST) / STEP);
      const low = Math.min(Math.max(at, 0), CELLS - 2);
      // Between two steps so that the mean stays what it is.
      const [from, to] = [SHARES[low]!, SHARES[low + 1]!];
      const up = Math.min(Math.max((chance - from) / (to - from), 0), 1);
      weights[low]! += of[p]! * (1 - up);
      weights[low + 1]! += of[p]! * up;
    }
  }
  const all = weights.reduce((a, b) => a + b, 0);
  const out: BatchesToCome[] = [];
  for (let i = 0; i < CELLS; i++) {
    const weight = weights[i]! / all;
    if (weight < SELDOM) continue;
    out.push({ weight, share: SHARES[i]! });
  }
  const kept = out.reduce((sum, { weight }) => sum + weight, 0);
  return out.map((is) => ({ ...is, weight: is.weight / kept }));
}
