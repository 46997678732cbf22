import type { Emergence, EmergenceStep } from './emergence';
import { aalenJohansen, isCensored, mergeRows, type IncidenceStep, type Timed } from '../stats';
import type { LedgerCase } from './case';
import { LOSSES } from './rows';

/** Longer than this nothing is drawn: two years. */
const LONGEST = 730;
/** After a look and before anything else, days. */
const HAIR = 2 ** -20;

/**
 * The emergence of several batches on one plate. Batches are of different ages, so shares are those of Aalen and
 * Johansen: what still waits counts for as long as it was watched. `sure` counts everything as of the look that saw
 * it, `possible` as of the look before; both in cuttings of all.
 * @returns null where nothing was counted
 */
export function pooledEmergence(cases: readonly LedgerCase[]): Emergence | null {
  const counted = cases.filter((c) => c.counted);
  const count = counted.reduce((sum, c) => sum + c.count, 0);
  if (count === 0) return null;
  const [first, pups, losses] = [
    mergeRows(counted.flatMap((c) => c.first)),
    mergeRows(counted.flatMap((c) => c.pups)),
    mergeRows(counted.flatMap((c) => c.losses)),
  ];
  const looks = [...new Set(counted.flatMap((c) => c.looks))].sort((a, b) => a - b);
  const lastDay = Math.min(
    LONGEST,
    Math.max(1, ...looks, ...first.map(endOf), ...losses.map(endOf)),
  );
  const checks = looks.filter((day) => day <= lastDay);
  const [rooted] = stepsOf(first, ['rooted'], count, lastDay);
  const [pupped] = stepsOf(pups, ['pupped'], count, lastDay);
  const [rotted, dried, lost] = stepsOf(losses, LOSSES, count, lastDay);
  return {
    count,
    lastDay,
    checks,
    roots: rooted!,
    pups: pupped!,
    losses: { rotted: rotted!, dried: dried!, lost: lost! },
    waiting: waitingAt(first, checks),
  };
}

const endOf = ({ left, right }: Timed): number => (right === Infinity ? left : right);

/** The steps of each cause. */
function stepsOf(
  rows: readonly Timed[],
  causes: readonly string[],
  count: number,
  lastDay: number,
): readonly (readonly EmergenceStep[])[] {
  const late = aalenJohansen(rows).causes;
  // Had it come right after the look before: those last seen at that look are not watched any more by then.
  const early = aalenJohansen(
    mergeRows(rows.map((r) => (isCensored(r) ? r : { ...r, right: r.left + HAIR }))),
  ).causes;
  return causes.map((cause) => {
    const sure = late.get(cause) ?? [];
    const possible = (early.get(cause) ?? []).map((s) => ({ ...s, time: s.time - HAIR }));
    const days = [...new Set([0, ...sure.map((s) => s.time), ...possible.map((s) => s.time)])]
      .filter((day) => day <= lastDay)
      .sort((a, b) => a - b);
    const [bySure, byPossible] = [walker(sure), walker(possible)];
    // Few that were watched long may stand for many young ones: either bound may be the higher, and both only rise.
    return days.map((day) => {
      const [one, other] = [count * bySure(day), count * byPossible(day)];
      return { day, sure: Math.min(one, other), possible: Math.max(one, other) };
    });
  });
}

/** The incidence by a day, for days that only rise. */
function walker(steps: readonly IncidenceStep[]): (day: number) => number {
  let i = -1;
  return (day) => {
    while (i + 1 < steps.length && steps[i + 1]!.time <= day) i++;
    return steps[i]?.incidence ?? 0;
  };
}

/** Cuttings still watched, with neither roots nor loss, after each look. */
function waitingAt(first: readonly Timed[], checks: readonly number[]) {
  // Who waits still was there at the last look, and leaves after it.
  const ends = first.map((r) => ({
    end: isCensored(r) ? r.left + 0.5 : r.right,
    count: r.count ?? 1,
  }));
  ends.sort((a, b) => a.end - b.end);
  let left = ends.reduce((sum, e) => sum + e.count, 0);
  let i = 0;
  return checks.map((day) => {
    while (i < ends.length && ends[i]!.end <= day) left -= ends[i++]!.count;
    return { day, count: left };
  });
}
