import { memo } from '../memo';
import { quantileOf, type Belief } from './belief';
import { BATCH_CELLS, BATCH_LOGITS, BATCH_PACES, SHARE, shareAt } from './cure-grid';

/** What is believed of one batch at one pace: its weight, and its chance as Beta(a, b). */
export interface Prospect {
  readonly weight: number;
  readonly pace: number;
  readonly a: number;
  readonly b: number;
}

/** A batch to come, pace by pace: its cuttings share one of them. Weights sum to 1. */
export const prospectsOf = memo(({ batch }: Pick<Belief, 'batch'>): readonly Prospect[] => {
  const paces = BATCH_PACES.length;
  const all = BATCH_PACES.flatMap((pace, y): Prospect[] => {
    let [weight, mean, square] = [0, 0, 0];
    for (let p = 0; p < BATCH_LOGITS.length; p++) {
      const w = batch[p * paces + y]!;
      weight += w;
      mean += w * SHARE[p]!;
      square += w * SHARE[p]! ** 2;
    }
    if (weight < SELDOM) return [];
    mean /= weight;
    const variance = Math.max(square / weight - mean ** 2, 1e-9);
    const worth = Math.max((mean * (1 - mean)) / variance - 1, 0.05);
    // Rounded, so that paces of the same chance are seen to have it.
    const round = (x: number): number => +x.toPrecision(9);
    return [{ weight, pace: Math.exp(pace), a: round(mean * worth), b: round((1 - mean) * worth) }];
  });
  const sum = all.reduce((n, { weight }) => n + weight, 0);
  return all.map((is) => ({ ...is, weight: is.weight / sum }));
});
/** A pace this unlikely is left out. */
const SELDOM = 1e-4;

/** The chance and pace of one batch that lie at these places among all that is believed. */
export interface BatchDraw {
  readonly chance: number;
  readonly pace: number;
}

/**
 * One of the batches that are believed possible.
 * @param batch weights of chance and pace, sum 1
 * @param ofPace, ofChance 0–1: what share of them is quicker, and of those of its pace less likely to root
 */
export function drawBatch(batch: Float64Array, ofPace: number, ofChance: number): BatchDraw {
  const { paces, chances } = tables(batch);
  const pace = quantileOf(paces, BATCH_PACES, ofPace);
  const y = Math.min(
    Math.max(Math.round((pace - BATCH_PACES[0]!) / (BATCH_PACES[1]! - BATCH_PACES[0]!)), 0),
    BATCH_PACES.length - 1,
  );
  const logit = quantileOf(chances(y), BATCH_LOGITS, ofChance);
  return { chance: shareAt(logit), pace: Math.exp(pace) };
}

const tables = memo((batch: Float64Array) => {
  const columns = BATCH_PACES.length;
  const paces = new Float64Array(columns);
  for (let at = 0; at < BATCH_CELLS; at++) paces[at % columns]! += batch[at]!;
  const rows = new Map<number, Float64Array>();
  const chances = (y: number): Float64Array => {
    let row = rows.get(y);
    if (!row) {
      const sum = paces[y]! || 1;
      row = Float64Array.from(BATCH_LOGITS, (_, p) => batch[p * columns + y]! / sum);
      rows.set(y, row);
    }
    return row;
  };
  return { paces, chances };
});
