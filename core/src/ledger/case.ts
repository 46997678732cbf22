import { memoAround } from '../memo';
import { rotBeside } from '../care';
import { batchCode, batchTitle, paceOf, wateredEarly } from '../bench';
import { daysBetween, type Day } from '../days';
import type { Batch, Counts, State } from '../journal';
import type { Timed } from '../stats';
import { batchCost, type BatchCost } from './batch-cost';
import { GROUPINGS, groupOf, type Grouping } from './grouping';
import { fateRows } from './rows';
import { salesOf, type Sales } from './sales';

import { settleAll } from '../faults';

/**
 * One batch as the ledger sees it: plain data without the state around it, so that the sums can be done in a
 * worker. Only batches that were cut have one.
 */
export interface LedgerCase {
  readonly id: string;
  readonly title: string;
  readonly code: string;
  readonly taxon: string;
  readonly cutOn: Day;
  readonly count: number;
  readonly counts: Counts;
  /** Young plants when they were last counted, and the pieces that brought them. */
  readonly heads: Batch['heads'];
  readonly waiting: number;
  /** Set in its medium, or something became of it before. */
  readonly stuck: boolean;
  /** It had water before the gate, knowingly. */
  readonly breached: boolean;
  /** Days between which the first root of the batch came; null where there is none. */
  readonly firstRoot: { readonly after: number; readonly by: number } | null;
  /** Looked at since it was cut, and not left out: it says something. */
  readonly counted: boolean;
  /** Nothing of it is open: only then do its shares say what came of it. A young batch would pass for a bad one. */
  readonly settled: boolean;
  /** Days on which the whole batch was counted, from the cut. */
  readonly looks: readonly number[];
  /** The name of its group by every grouping; null where it does not tell. */
  readonly groups: Readonly<Record<Grouping, string | null>>;
  /** Rows of time: see `FateRows`. */
  readonly first: readonly Timed[];
  readonly pups: readonly Timed[];
  readonly losses: readonly Timed[];
  readonly cost: BatchCost;
  readonly sold: Sales;
}

/** What it is called by where only that is told. */
export type CaseName = Pick<LedgerCase, 'id' | 'title' | 'cutOn'>;

const kept = memoAround<Batch, LedgerCase>();

/** The case of a batch; null where it was not cut. Done once for a batch and what lies around it. */
export function ledgerCase(state: State, batch: Batch): LedgerCase | null {
  if (batch.cut === null) return null;
  return kept(batch, aroundOf(state, batch), () => caseOf(state, batch));
}

/** All of them, the last cut first. */
export function ledgerCases(
  state: State,
  batches: Iterable<Batch> = state.batches.values(),
): readonly LedgerCase[] {
  return settleAll(batches, (batch) => ledgerCase(state, batch) ?? [])
    .results.flat()
    .sort((a, b) => (a.cutOn < b.cutOn ? 1 : a.cutOn > b.cutOn ? -1 : 0));
}

function caseOf(state: State, batch: Batch): LedgerCase {
  const { first, pups, losses } = fateRows(batch);
  const counted = batch.tallies.length > 0 && batch.excluded === undefined;
  const groups = Object.fromEntries(GROUPINGS.map((by) => [by, groupOf(state, batch, by)]));
  return {
    id: batch.id,
    title: batchTitle(state, batch),
    code: batchCode(state, batch),
    taxon: batch.taxon,
    cutOn: batch.cutOn,
    count: batch.count,
    counts: batch.counts,
    heads: batch.heads,
    waiting: batch.waiting,
    stuck: batch.stuck !== null || batch.waiting < batch.count,
    breached: wateredEarly(state, batch) === true,
    firstRoot: firstRootIn(first),
    counted,
    settled: counted && (batch.stage === 'done' || batch.waiting === 0),
    looks: batch.tallies.map((day) => daysBetween(batch.cutOn, day)),
    groups: groups as Record<Grouping, string | null>,
    first,
    pups,
    losses,
    cost: batchCost(state, batch),
    sold: salesOf(batch),
  };
}

/** Roots are seen only at checks: the first lies after one look and by the next. */
function firstRootIn(first: readonly Timed[]): LedgerCase['firstRoot'] {
  const rooted = first.filter((r) => r.cause === 'rooted');
  if (rooted.length === 0) return null;
  return {
    after: Math.min(...rooted.map((r) => r.left)),
    by: Math.min(...rooted.map((r) => r.right)),
  };
}

/** Everything outside the batch itself that its case reads. */
function aroundOf(state: State, batch: Batch): readonly unknown[] {
  const spaces = [batch.standSpace, batch.callusSpace, ...batch.moves.map((m) => m.space)];
  return [
    state.settings,
    // The gate hangs on how wounds close on this bench, the cost on what is paid for components.
    paceOf(state).factor,
    rotBeside(state, batch),
    state.components.size,
    ...state.components.values(),
    state.ownTaxa.get(batch.taxon),
    batch.mother === undefined ? null : state.mothers.get(batch.mother),
    batch.container === undefined ? null : state.containers.get(batch.container),
    batch.mix === undefined ? null : state.mixes.get(batch.mix),
    ...spaces.flatMap((s) => (s === undefined ? [] : [state.spaces.get(s), state.air.get(s)])),
  ];
}
