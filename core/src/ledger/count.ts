import type { Batch, Counts } from '../journal';
import type { ShareInterval } from '../stats';
import { shareOf } from './effective';

/** What became of cuttings. `rooted` are alive with roots, `pupped` those of them with pups. */
export interface LedgerCount {
  readonly batches: number;
  readonly stuck: number;
  readonly rooted: number;
  readonly pupped: number;
  readonly rotted: number;
  readonly dried: number;
  readonly lost: number;
  readonly waiting: number;
  /** Young plants where they were counted, and the pieces that brought them. */
  readonly heads: { readonly count: number; readonly of: number };
}

export interface LedgerShares {
  readonly rooted: ShareInterval | null;
  readonly pupped: ShareInterval | null;
  readonly rotted: ShareInterval | null;
  readonly dried: ShareInterval | null;
  readonly lost: ShareInterval | null;
}

/** Adds up batches. Rooted, rotted, dried, lost and waiting make up stuck; pupped is part of rooted. */
export function countLedger(
  batches: readonly Pick<Batch, 'count' | 'counts' | 'waiting' | 'heads'>[],
): LedgerCount {
  const heads = { count: 0, of: 0 };
  const total = { stuck: 0, rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0, waiting: 0 };
  for (const { count, counts, waiting, heads: young } of batches) {
    heads.count += young?.count ?? 0;
    heads.of += young?.of ?? 0;
    total.stuck += count;
    total.rooted += counts.rooted + counts.pupped;
    total.pupped += counts.pupped;
    total.rotted += counts.rotted;
    total.dried += counts.dried;
    total.lost += counts.lost;
    total.waiting += waiting;
  }
  return { batches: batches.length, ...total, heads };
}

/**
 * The shares of what was stuck, with the ranges they lie in; null where nothing was stuck.
 * @param correlation of two cuttings of a tray, 0–1
 */
export function ledgerShares(
  batches: readonly Pick<Batch, 'count' | 'counts'>[],
  correlation: number,
): LedgerShares {
  const share = (of: (counts: Counts) => number): ShareInterval | null =>
    shareOf(
      batches.map(({ count, counts }) => ({ of: count, yes: of(counts) })),
      correlation,
    );
  return {
    rooted: share((c) => c.rooted + c.pupped),
    pupped: share((c) => c.pupped),
    rotted: share((c) => c.rotted),
    dried: share((c) => c.dried),
    lost: share((c) => c.lost),
  };
}
