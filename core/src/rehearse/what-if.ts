import { careOf } from '../care';
import { addDays, daysBetween, type Day } from '../days';
import { foldBatch, spaceOn, type Batch, type Counts, type State } from '../journal';
import { asItWent, type BatchProblem } from './as-it-went';
import { placeOf } from './from-plan';
import type { Strategy } from './strategy';

/** What may be asked of a batch: as it went, by its own course, or otherwise. */
export type WhatIfId = 'went' | 'course' | 'now' | 'weekly' | 'roots';

export interface WhatIf {
  /** Named by their {@link WhatIfId}; the first is what the others are held against. */
  readonly strategies: readonly Strategy[];
  readonly days: number;
  /** From this day on they differ; 0 where the whole story is told again. */
  readonly since: number;
  /** The day of the last count, from the cut: those that waited then are spoken of. */
  readonly counted: number;
  /** Pieces the play speaks of. */
  readonly pieces: number;
  /** What really came of it, where nothing is open any more. */
  readonly came: Counts | null;
}

export type WhatIfProblem = BatchProblem | 'all have roots' | 'not seen' | 'a year past';

const SHORTEST_DAYS = 30;
/** An open batch is played on for so long. */
const AHEAD_DAYS = 90;
const LONGEST_DAYS = 365;

/**
 * What a batch may still come to, by what is done from today on; of a settled one, what else it might have come to.
 * @param today nothing after it is taken for done
 */
export function whatIf(
  state: State,
  batch: Batch,
  today: Day,
): WhatIf | { readonly problem: WhatIfProblem } {
  if (batch.stage === 'done' || batch.waiting === 0) return again(state, batch, batch.counts);
  if (batch.here.waiting === 0) return { problem: 'all have roots' };
  return onward(state, batch, today);
}

/** The story told again on the same days. */
function again(
  state: State,
  batch: Batch,
  came: Counts,
): WhatIf | { readonly problem: WhatIfProblem } {
  const last = batch.tallies.at(-1) ?? batch.lastLook;
  if (last === null || came.rooted + came.pupped + came.rotted + came.dried + came.lost === 0)
    return { problem: 'not seen' };
  const seen = daysBetween(batch.cutOn, last);
  const days = Math.min(LONGEST_DAYS, Math.max(SHORTEST_DAYS, seen));
  const went = asItWent(state, batch, days);
  if ('problem' in went) return went;
  const { past: _, ...free } = went;
  const planned = onItsCourse(state, batch, batch.cutOn, true);
  const course: Strategy = { ...free, ...planned, name: 'course' };
  return {
    strategies: [
      went,
      course,
      { ...course, name: 'weekly', dryDays: 0, first: { day: 0 }, then: { everyDays: 7 } },
      { ...course, name: 'roots', first: { once: 'roots' } },
    ],
    days,
    since: 0,
    counted: 0,
    pieces: batch.count,
    came,
  };
}

/** What has been done stays done; from today on it goes several ways. */
function onward(
  state: State,
  batch: Batch,
  today: Day,
): WhatIf | { readonly problem: WhatIfProblem } {
  const since = Math.max(0, daysBetween(batch.cutOn, today));
  const days = Math.min(LONGEST_DAYS, since + AHEAD_DAYS);
  if (days <= since) return { problem: 'a year past' };
  const went = asItWent(state, batch, days);
  if ('problem' in went) return went;
  const watered = went.past!.watered.filter((w) => w.day < since);
  const past = { until: since, watered };
  const planned = onItsCourse(state, batch, today, false);
  const course: Strategy = {
    ...went,
    ...planned,
    place: placeOf(state, batch, days, (day) =>
      spaceOn(batch, addDays(batch.cutOn, day), day >= planned.dryDays),
    ),
    past,
    name: 'course',
  };
  const setNow = Math.min(course.dryDays, since);
  // Whatever was told of today already is the grower's own business: they are set against a drink now.
  const now: Strategy = {
    ...course,
    name: 'now',
    dryDays: setNow,
    past: { until: since + 1, watered: [...watered, { day: since, how: 'poured' }] },
  };
  return {
    strategies: [
      course,
      now,
      { ...now, name: 'weekly', first: { day: since }, then: { everyDays: 7 } },
      { ...course, name: 'roots', first: { once: 'roots' } },
    ],
    days,
    since,
    counted: daysBetween(batch.cutOn, batch.tallies.at(-1) ?? batch.cutOn),
    pieces: batch.here.waiting,
    came: null,
  };
}

/** When its own course sets and first waters it. @param afresh as if nothing of it were done yet */
function onItsCourse(
  state: State,
  batch: Batch,
  today: Day,
  afresh: boolean,
): Pick<Strategy, 'dryDays' | 'first'> {
  const begun = afresh ? notYet(batch) : batch;
  const { steps } = careOf(state, begun, today);
  const now = Math.max(0, daysBetween(batch.cutOn, today));
  const dayOf = (id: 'stick' | 'first-water'): number | null => {
    const step = steps.find((s) => s.id === id);
    if (!step || !('from' in step)) return null;
    const day = Math.max(0, daysBetween(batch.cutOn, step.from));
    return step.is === 'done' ? day : Math.max(now, day);
  };
  const dryDays = dayOf('stick') ?? 0;
  const drunk = !afresh && batch.waterings.some((w) => daysBetween(w.day, today) > 0);
  const first = batch.firstWater === 'roots-show' && !drunk ? null : dayOf('first-water');
  return {
    dryDays,
    first: first === null ? { once: 'roots' } : { day: Math.max(dryDays, first) },
  };
}

/** The batch on the day it was cut. */
function notYet(batch: Batch): Batch {
  const fields = { ...batch, count: batch.begunWith, space: batch.standSpace };
  return foldBatch(
    batch.id,
    fields,
    batch.entries.filter((e) => e.kind === 'cut'),
  )!;
}
