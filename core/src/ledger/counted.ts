import * as say from '@hypogeon/messages/core-counted';
import { countLedger, ledgerShares, type LedgerCount, type LedgerShares } from './count';
import { shareOf } from './effective';
import type { ShareInterval } from '../stats';
import type { LedgerCase } from './case';
import { gather } from './filter';
import type { Grouping } from './grouping';

/** What became of everything that was stuck. */
export interface Overall {
  readonly count: LedgerCount;
  readonly shares: LedgerShares;
  /** The parts that make up all of it, alive first. */
  readonly parts: readonly {
    readonly key: 'pupped' | 'rooted' | 'waiting' | 'lost' | 'dried' | 'rotted';
    readonly count: number;
    readonly share: ShareInterval | null;
  }[];
  /** Batches that had water before the gate. */
  readonly breaches: number;
  /** Cuttings that are cut and not stuck yet. */
  readonly callusing: number;
}

/** @param correlation of two cuttings of a tray, 0–1 */
export function overallOf(cases: readonly LedgerCase[], correlation: number): Overall {
  const stuck = cases.filter((c) => c.stuck);
  const count = countLedger(stuck);
  const shares = ledgerShares(stuck, correlation);
  const roots = shareOf(
    stuck.map((c) => ({ of: c.count, yes: c.counts.rooted })),
    correlation,
  );
  return {
    count,
    shares,
    parts: [
      { key: 'pupped', count: count.pupped, share: shares.pupped },
      { key: 'rooted', count: count.rooted - count.pupped, share: roots },
      { key: 'waiting', count: count.waiting, share: null },
      { key: 'lost', count: count.lost, share: shares.lost },
      { key: 'dried', count: count.dried, share: shares.dried },
      { key: 'rotted', count: count.rotted, share: shares.rotted },
    ],
    breaches: stuck.filter((c) => c.breached).length,
    callusing: cases.reduce((sum, c) => (c.stuck ? sum : sum + c.waiting), 0),
  };
}

export interface CountedRow {
  readonly name: string;
  /** The batch, where the row is one. */
  readonly batch: { readonly id: string; readonly code: string; readonly cutOn: string } | null;
  readonly count: LedgerCount;
  readonly shares: LedgerShares;
  /** The earliest and the latest a first root can have come. */
  readonly firstRoot: { readonly after: number; readonly by: number } | null;
}

/** One row a batch in the order given, or one a group, the largest first. @param most batches shown */
export function countedBy(
  cases: readonly LedgerCase[],
  by: Grouping | 'batch',
  correlation: number,
  most = Infinity,
): readonly CountedRow[] {
  const stuck = cases.filter((c) => c.stuck);
  if (by === 'batch')
    return stuck
      .slice(0, most)
      .map((c) => rowOf(c.title, [c], correlation, { id: c.id, code: c.code, cutOn: c.cutOn }));
  const untold = stuck.filter((c) => c.groups[by] === null);
  return [
    ...[...gather(stuck, by)]
      .map(([name, members]) => rowOf(name, members, correlation))
      .sort((a, b) => b.count.stuck - a.count.stuck || (a.name < b.name ? -1 : 1)),
    // So that the rows add up to all.
    ...(untold.length > 0 ? [rowOf(say.notTold(), untold, correlation)] : []),
  ];
}

function rowOf(
  name: string,
  cases: readonly LedgerCase[],
  correlation: number,
  batch: CountedRow['batch'] = null,
): CountedRow {
  const count = countLedger(cases);
  const roots = cases.flatMap((c) => c.firstRoot ?? []);
  return {
    name,
    batch,
    count,
    shares: ledgerShares(cases, correlation),
    firstRoot:
      roots.length === 0
        ? null
        : {
            after: Math.min(...roots.map((r) => r.after)),
            by: Math.max(...roots.map((r) => r.by)),
          },
  };
}
