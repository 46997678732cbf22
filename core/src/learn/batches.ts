import { memo } from '../memo';
import { quantileOf } from './belief';
import { BATCH_CELLS, BATCH_LOGITS, BATCH_PACES, shareAt } from './cure-grid';

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
