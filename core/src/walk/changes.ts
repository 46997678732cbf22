import { batchCode, batchTitle } from '../bench';
import { fold, type Batch, type State } from '../journal';

/** What changed in a batch since a moment of the journal. */
export interface Change {
  readonly batch: Batch;
  readonly title: string;
  readonly code: string;
  /** More than before; a recount may make it less. */
  readonly rooted: number;
  readonly pupped: number;
  readonly lost: number;
  readonly waterings: number;
  /** It was looked at, counted or told of, whatever came of it. */
  readonly looked: boolean;
  /** It was not there before. */
  readonly isNew: boolean;
}

export interface Changes {
  readonly rows: readonly Change[];
  readonly rooted: number;
  readonly pupped: number;
  readonly lost: number;
  readonly waterings: number;
}

/**
 * What the entries written after a stamp changed, by batch, those with losses first.
 * @param since a stamp of the journal; null for everything
 */
export function changesSince(state: State, since: string | null): Changes {
  const rows: Change[] = [];
  for (const batch of state.batches.values()) {
    const log = state.log.get(`batch/${batch.id}`) ?? [];
    const later = since === null ? log : log.filter((e) => e.at > since);
    if (later.length === 0) continue;
    const before = fold(log.filter((e) => since !== null && e.at <= since)).batches.get(batch.id);
    const lost = (b: Batch | undefined): number =>
      b ? b.counts.rotted + b.counts.dried + b.counts.lost : 0;
    const alive = (b: Batch | undefined): number => (b ? b.counts.rooted + b.counts.pupped : 0);
    rows.push({
      batch,
      title: batchTitle(state, batch),
      code: batchCode(state, batch),
      rooted: alive(batch) - alive(before),
      pupped: batch.counts.pupped - (before?.counts.pupped ?? 0),
      lost: lost(batch) - lost(before),
      waterings: batch.waterings.length - (before?.waterings.length ?? 0),
      looked: later.some((e) => e.kind === 'tally' || e.kind === 'inspected'),
      isNew: before === undefined,
    });
  }
  rows.sort((a, b) => b.lost - a.lost || b.rooted - a.rooted || (a.code < b.code ? -1 : 1));
  const sum = (key: 'rooted' | 'pupped' | 'lost' | 'waterings'): number =>
    rows.reduce((total, row) => total + row[key], 0);
  return {
    rows,
    rooted: sum('rooted'),
    pupped: sum('pupped'),
    lost: sum('lost'),
    waterings: sum('waterings'),
  };
}
