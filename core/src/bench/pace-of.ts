import { memoAround, memoBy, memoOnce } from '../memo';
import type { Batch, State } from '../journal';
import {
  addEvidence,
  benchEvidence,
  benchPace,
  looksAt,
  NO_EVIDENCE,
  woundClock,
  type BenchEvidence,
  type BenchPace,
  type PacePrior,
} from '../wound';
import { plantOf } from './plant';
import { teaches } from './teaches';
import { woundInput } from './wound-input';

import { settleAll } from '../faults';

/** What looks at wounds have taught of this bench. */
export interface PaceLearned extends BenchPace {
  /** Wounds looked at, and looks. */
  readonly wounds: number;
  readonly looks: number;
}

interface Evidence {
  readonly total: BenchEvidence;
  readonly of: ReadonlyMap<string, BenchEvidence>;
  readonly looks: number;
  readonly pace: PaceLearned;
}

const kept = memoAround<Batch, BenchEvidence | null>();
const gathered = memoBy<State['batches'], Evidence>(1);
/** One for every wound that was looked at, and one for all others. */
const priors = memoBy<Evidence, PacePrior>(20_000);

export function paceOf(state: State): PaceLearned {
  return evidenceIn(state).pace;
}

/**
 * What the other wounds of this bench say of this one's pace: its own looks are added by its clock.
 * @returns undefined while no other wound was looked at: then as modelled
 */
export function pacePriorFor(state: State, batch?: Batch): PacePrior | undefined {
  const evidence = evidenceIn(state);
  const own = batch && evidence.of.get(batch.id);
  if (evidence.of.size - (own ? 1 : 0) === 0) return undefined;
  // All wounds nobody has looked at share one prior.
  return priors(
    evidence,
    own ? batch.id : '',
    () => benchPace(own ? addEvidence(evidence.total, own, -1) : evidence.total).prior,
  );
}

function evidenceIn(state: State): Evidence {
  return gathered(state.batches, '', () => {
    const fresh = gatherEvidence(state);
    // The same object while the same looks were taken: what hangs on it need not be worked out again.
    if (latest && sameEvidence(latest, fresh)) return latest;
    latest = fresh;
    return fresh;
  });
}

let latest: Evidence | null = null;

const sameEvidence = (a: Evidence, b: Evidence): boolean =>
  a.of.size === b.of.size &&
  a.looks === b.looks &&
  [...a.of].every(([id, evidence]) => b.of.get(id) === evidence);

/** What looks at wounds have taught, the same object while they are the same looks. */
export const looksTaught = (state: State): object => evidenceIn(state);

function gatherEvidence(state: State): Evidence {
  const of = new Map<string, BenchEvidence>();
  let total = NO_EVIDENCE;
  let looks = 0;
  const looked = settleAll(state.batches.values(), (batch) => {
    const is =
      batch.woundChecks.length > 0 && teaches(state, batch) ? evidenceOf(state, batch) : null;
    return is ? [{ batch, is }] : [];
  });
  for (const { batch, is } of looked.results.flat()) {
    of.set(batch.id, is);
    total = addEvidence(total, is);
    looks += batch.woundChecks.length;
  }
  const pace = memoOnce(() => ({ ...benchPace(total), wounds: of.size, looks }));
  return {
    total,
    of,
    looks,
    get pace() {
      return pace();
    },
  };
}

function evidenceOf(state: State, batch: Batch): BenchEvidence | null {
  const spaces = [
    batch.standSpace,
    ...(batch.callusSpace === undefined ? [] : [batch.callusSpace]),
    ...batch.moves.map((m) => m.space),
  ];
  const around = [
    plantOf(state, batch.taxon)?.taxon,
    ...spaces.flatMap((s) => [state.air.get(s), state.spaces.get(s)]),
  ];
  return kept(batch, around, () => {
    const input = woundInput(state, batch);
    if (!input) return null;
    const { doses } = woundClock({ ...input, checks: [] });
    return benchEvidence(looksAt(doses, batch.cutOn, batch.woundChecks));
  });
}
