import type { Batch } from '../journal';
import { wilson, type ShareInterval } from '../stats';

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
  batches: readonly Pick<Batch, 'count' | 'counts' | 'waiting'>[],
): LedgerCount {
  const total = { stuck: 0, rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0, waiting: 0 };
  for (const { count, counts, waiting } of batches) {
    total.stuck += count;
    total.rooted += counts.rooted + counts.pupped;
    total.pupped += counts.pupped;
    total.rotted += counts.rotted;
    total.dried += counts.dried;
    total.lost += counts.lost;
    total.waiting += waiting;
  }
  return { batches: batches.length, ...total };
}

/** The shares of what was stuck, with Wilson intervals; null where nothing was stuck. */
export function ledgerShares(count: LedgerCount): LedgerShares {
  const share = (n: number): ShareInterval | null => wilson(n, count.stuck);
  return {
    rooted: share(count.rooted),
    pupped: share(count.pupped),
    rotted: share(count.rotted),
    dried: share(count.dried),
    lost: share(count.lost),
  };
}
