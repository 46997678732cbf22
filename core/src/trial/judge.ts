import * as say from '@hypogeon/messages/core-judge';
import { armField } from './factor';
import { daysBetween, type Day } from '../days';
import { isLoss, type Batch, type Cutting, type State, type Trial } from '../journal';
import {
  fisherP,
  mantelHaenszel,
  newcombe,
  wilson,
  type MantelHaenszel,
  type ShareDifference,
  type ShareInterval,
} from '../stats';
import { alphaOf } from './design';
import { perTrayOf } from './start';
import { lossesByTrays, type TrayLoss } from './tray-harm';
import { needsTrays, trayTest, type TrayTest } from './trays';

/**
 * Looks on the way may stop a trial for harm only, and only beyond this.
 * Source: Haybittle 1971, Br. J. Radiol. 44:793; Peto et al. 1976, Br. J. Cancer 34:585.
 */
export const HARM = 0.001;

export type TrialStage = 'planned' | 'running' | 'due' | 'judged' | 'stopped';

export interface ArmResult {
  readonly name: string;
  /** The first of its batches, and all of them: one a tray where arms cannot share one. */
  readonly batch: Batch | null;
  readonly batches: readonly Batch[];
  readonly stuck: number;
  /** With roots and alive on the day of judgement, or so far. */
  readonly rooted: number;
  readonly lost: number;
  readonly waiting: number;
  /** Of those with roots: with young plants by then, and how many in all, where that was told. Counted, never judged. */
  readonly young: { readonly pieces: number; readonly heads: number | null };
  readonly share: ShareInterval | null;
}

/** An arm held against the first. */
export interface ArmAgainst {
  readonly arm: number;
  readonly difference: ShareDifference | null;
  readonly p: number;
  /** Told apart at the level the trial was designed for. */
  readonly found: boolean;
  /** Within the rows of the tray. */
  readonly rows: MantelHaenszel | null;
  /** By trays, where arms cannot share one: then p and difference are of trays. */
  readonly trays: TrayTest | null;
}

export interface TrialResult {
  readonly stage: TrialStage;
  readonly arms: readonly ArmResult[];
  /** Empty until it is judged: a score read on the way finds differences that are not there. */
  readonly against: readonly ArmAgainst[];
  /** Arms that lose so many more than another that going on would be wrong. */
  readonly harm: readonly { readonly arm: number; readonly p: number }[];
  /** Where the trial was not run as designed. */
  readonly departures: readonly string[];
}

/** The batches of a trial by arm: one, or one a tray where arms cannot share one. */
export function armsOf(state: State, trial: Trial): readonly (readonly Batch[])[] {
  const mine = [...state.batches.values()].filter(
    (b) => b.trial === trial.id && b.partOf === undefined,
  );
  return (trial.arms ?? []).map((_, arm) => {
    const its = mine.filter((b) => b.arm === arm);
    return needsTrays(trial.factor) ? its : its.slice(0, 1);
  });
}

/**
 * A trial as it stands. Judged once: when no cutting waits any more, or by the first count of every arm on the day
 * set beforehand or later. Cuttings that were drawn by lot one by one count each for itself; where trays were drawn,
 * trays count.
 */
export function judgeTrial(state: State, trial: Trial, today: Day): TrialResult {
  const batches = armsOf(state, trial);
  const judgeOn = trial.judgeOn ?? '9999-12-31';
  const ends = batches.map((its) => its.map((b) => judgementDay(b, judgeOn)));
  const allEnded =
    batches.length > 0 && ends.every((its) => its.length > 0 && its.every((end) => end !== null));
  const stage: TrialStage =
    trial.stopped !== undefined
      ? 'stopped'
      : batches.some((its) => its.length === 0 || its.some((b) => b.cut === null))
        ? 'planned'
        : allEnded
          ? 'judged'
          : today >= judgeOn
            ? 'due'
            : 'running';
  const arms = batches.map((its, i) =>
    armResult(
      trial,
      i,
      its,
      ends[i]!.map((end) => end ?? today),
    ),
  );
  return {
    stage,
    arms,
    against: stage === 'judged' ? heldAgainstFirst(trial, arms, ends) : [],
    harm: stage === 'running' || stage === 'due' ? harmIn(trial, arms, today) : [],
    departures: departuresOf(trial, batches.flat()),
  };
}

/** The count that settles an arm; null while none has. */
function judgementDay(batch: Batch, judgeOn: Day): Day | null {
  if (batch.cut === null) return null;
  if (batch.waiting === 0 && (batch.lastLook ?? batch.cutOn) <= judgeOn) return judgeOn;
  return batch.tallies.find((day) => day >= judgeOn) ?? batch.ended;
}

function armResult(
  trial: Trial,
  arm: number,
  batches: readonly Batch[],
  ends: readonly Day[],
): ArmResult {
  const name = trial.arms?.[arm]?.name ?? say.arm({ arm: arm + 1 });
  let [stuck, rooted, lost, pieces, heads] = [0, 0, 0, 0, 0];
  for (const [n, batch] of batches.entries()) {
    const by = ends[n]!;
    stuck += batch.count;
    rooted += rootedBy(batch, by);
    lost += lostBy(batch, by);
    const own = batch.cuttings.filter(
      (c) => aliveBy(c, by) && c.pupped && c.pupped.by <= by,
    ).length;
    pieces += own;
    // Each has one at least, told or not; of those that were lost none is left.
    heads += own === 0 ? 0 : Math.max(own, headsBy(batch, by));
  }
  return {
    name,
    batch: batches[0] ?? null,
    batches,
    stuck,
    rooted,
    lost,
    waiting: stuck - rooted - lost,
    young: { pieces, heads: heads > pieces ? heads : null },
    share: batches.length === 0 ? null : wilson(rooted, stuck),
  };
}

/** Young plants in all, as the last count by a day that told them had it. */
function headsBy({ entries }: Batch, by: Day): number {
  const told = entries.findLast((e) => e.kind === 'tally' && e.day <= by && e.heads !== undefined);
  return told?.kind === 'tally' ? (told.heads ?? 0) : 0;
}

const lostBy = (batch: Batch, by: Day): number =>
  batch.cuttings.filter((c) => c.lost !== undefined && c.lost.by <= by).length;

const rootedBy = (batch: Batch, by: Day): number =>
  batch.cuttings.filter((c) => aliveBy(c, by)).length;

const aliveBy = ({ rooted, lost, outcome }: Cutting, by: Day): boolean =>
  rooted !== undefined &&
  rooted.by <= by &&
  !(isLoss(outcome) && lost !== undefined && lost.by <= by);

function heldAgainstFirst(
  trial: Trial,
  arms: readonly ArmResult[],
  ends: readonly (readonly (Day | null)[])[],
): readonly ArmAgainst[] {
  const [first, ...others] = arms;
  if (!first) return [];
  return others.map((other, i) => {
    const arm = i + 1;
    if (needsTrays(trial.factor)) {
      const of = (k: number) =>
        arms[k]!.batches.map((b, n) => ({
          stuck: b.count,
          rooted: rootedBy(b, ends[k]![n]!),
        }));
      const trays = trayTest(of(arm), of(0), arms.length);
      const { p, difference, enough } = trays;
      return { arm, difference, p, found: enough && p <= alphaOf(arms.length), rows: null, trays };
    }
    const p = fisherP({ a: yesNo(other), b: yesNo(first) }) ?? 1;
    return {
      arm,
      difference: newcombe(
        { successes: other.rooted, trials: other.stuck },
        { successes: first.rooted, trials: first.stuck },
      ),
      p,
      found: p <= alphaOf(arms.length),
      rows: mantelHaenszel(byRow(trial, other.batch!, ends[arm]![0]!, first.batch!, ends[0]![0]!)),
      trays: null,
    };
  });
}

const yesNo = ({ stuck, rooted }: ArmResult) => ({ yes: rooted, no: stuck - rooted });

/** The two arms in every row of the tray; a count without places fills them in order, and says less by rows. */
function byRow(trial: Trial, a: Batch, endA: Day, b: Batch, endB: Day) {
  const columns = trial.columns ?? 1;
  const rows = new Map<
    number,
    { a: { yes: number; no: number }; b: { yes: number; no: number } }
  >();
  for (const [side, batch, end] of [
    ['a', a, endA],
    ['b', b, endB],
  ] as const)
    batch.cuttings.forEach((cutting) => {
      const row = Math.floor((batch.cells?.[cutting.place] ?? cutting.place) / columns);
      let table = rows.get(row);
      if (!table) rows.set(row, (table = { a: { yes: 0, no: 0 }, b: { yes: 0, no: 0 } }));
      table[side][aliveBy(cutting, end) ? 'yes' : 'no']++;
    });
  return [...rows.values()];
}

function harmIn(
  trial: Trial,
  arms: readonly ArmResult[],
  today: Day,
): readonly { arm: number; p: number }[] {
  const of = ({ stuck, lost }: ArmResult) => ({ yes: lost, no: stuck - lost });
  const trays = ({ batches }: ArmResult): readonly TrayLoss[] =>
    batches.map((b) => ({ stuck: b.count, lost: lostBy(b, today) }));
  return arms.flatMap((arm, i) =>
    arms.flatMap((other) => {
      if (other === arm || arm.lost * other.stuck <= other.lost * arm.stuck) return [];
      const p = needsTrays(trial.factor)
        ? lossesByTrays(trays(arm), trays(other))
        : (fisherP({ a: of(arm), b: of(other) }) ?? 1);
      return p < HARM ? [{ arm: i, p }] : [];
    }),
  );
}

function departuresOf(trial: Trial, there: readonly Batch[]): readonly string[] {
  const each = needsTrays(trial.factor) ? perTrayOf(trial) : trial.each;
  const cut = there.filter((b) => b.cut !== null);
  const says: string[] = [];
  const days = new Set(cut.map((b) => b.cutOn));
  if (days.size > 1) {
    const sorted = [...days].sort();
    says.push(say.theArmsWereNot({ daysBetween: daysBetween(sorted[0]!, sorted.at(-1)!) }));
  }
  if (new Set(there.map((b) => b.space)).size > 1) says.push(say.theArmsDoNot());
  if (new Set(there.map((b) => b.mother)).size > 1) says.push(say.theArmsHaveDifferent());
  for (const batch of there) {
    const name = trial.arms?.[batch.arm ?? 0]?.name ?? '';
    const value = trial.arms?.[batch.arm ?? 0]?.value ?? '';
    // Days and millimetres are told as numbers, and chosen as words.
    if (trial.factor && batch[trial.factor] !== armField(trial.factor, value)[trial.factor])
      says.push(say.wasNotKeptTo({ name }));
    if (trial.each !== undefined && batch.count !== each)
      says.push(say.hasCuttingsInsteadOf({ name, count: batch.count, each: each ?? 0 }));
    if (batch.excluded !== undefined) says.push(say.wasLeftOut({ name, excluded: batch.excluded }));
  }
  return says;
}
