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

const gathered = new WeakMap<State['batches'], Evidence>();
const kept = new WeakMap<
  Batch,
  { readonly around: readonly unknown[]; readonly is: BenchEvidence }
>();
const priors = new WeakMap<Evidence, Map<string, PacePrior>>();

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
  const known = priors.get(evidence) ?? new Map<string, PacePrior>();
  priors.set(evidence, known);
  // All wounds nobody has looked at share one prior.
  const key = own ? batch.id : '';
  let prior = known.get(key);
  if (!prior) {
    const others = own ? addEvidence(evidence.total, own, -1) : evidence.total;
    known.set(key, (prior = benchPace(others).prior));
  }
  return prior;
}

function evidenceIn(state: State): Evidence {
  const known = gathered.get(state.batches);
  if (known) return known;
  const of = new Map<string, BenchEvidence>();
  let total = NO_EVIDENCE;
  let looks = 0;
  for (const batch of state.batches.values()) {
    if (batch.woundChecks.length === 0 || !teaches(state, batch)) continue;
    const is = evidenceOf(state, batch);
    if (!is) continue;
    of.set(batch.id, is);
    total = addEvidence(total, is);
    looks += batch.woundChecks.length;
  }
  const evidence = { total, of, looks, pace: { ...benchPace(total), wounds: of.size, looks } };
  gathered.set(state.batches, evidence);
  return evidence;
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
  const known = kept.get(batch);
  if (known?.around.every((part, i) => part === around[i])) return known.is;
  const input = woundInput(state, batch);
  if (!input) return null;
  const { doses } = woundClock({ ...input, checks: [] });
  const is = benchEvidence(looksAt(doses, batch.cutOn, batch.woundChecks));
  kept.set(batch, { around, is });
  return is;
}
