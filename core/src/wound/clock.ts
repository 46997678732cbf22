import { assertPositive } from '../assert';
import { memo } from '../memo';
import type { Air } from '../climate';
import { addDays, daysBetween, type Day } from '../days';
import {
  chanceClosed,
  doseFor,
  paceBelief,
  type PaceBelief,
  type PacePrior,
  type WoundLook,
} from './belief';
import { closureRate, referenceClosureDays } from './closure';
import type { WoundSchool } from './school';
import { PLACE_FACTOR, type CallusPlace, type Tissue } from './tissue';

/** A look at a wound on the bench. */
export interface WoundCheck {
  readonly day: Day;
  readonly seen: 'tacky' | 'firm';
}

export interface WoundClockInput {
  /** The day of the cut, or the day it was laid open again. */
  readonly cutOn: Day;
  /** Hydraulic width of the cut, mm. */
  readonly widthMm: number;
  readonly tissue: Tissue;
  readonly school: WoundSchool;
  /** Where it lies until it is stuck; once stuck its face is on medium. */
  readonly callusAt: CallusPlace;
  /** The day it was stuck, if it was; otherwise the school's rule is followed. */
  readonly stuckOn?: Day | undefined;
  /** Days to dry of the grower's own choice, instead of the school's rule; a quarter is some hours. */
  readonly dryDays?: number | undefined;
  /** The air around the wound on a day, where it lies or, once stuck, where it stands. */
  readonly air: (day: Day, stuck: boolean) => Air;
  readonly checks?: readonly WoundCheck[];
  /** What this bench has taught of the pace of wounds; as modelled where it is left out. */
  readonly prior?: PacePrior | undefined;
}

export type Gate =
  | {
      readonly state: 'dated';
      /** The first day water may touch the wound, by this school. */
      readonly opens: Day;
      /** Closing is as likely as one in ten by this day … */
      readonly earliest: Day;
      /** … and nine in ten by this one. */
      readonly latest: Day;
    }
  /** The wound does not close within the horizon: too cold, too hot or too damp. */
  | { readonly state: 'stopped'; readonly horizon: Day };

export interface WoundClock {
  /** The day it began to close: of the cut, or of the last time it was laid open. */
  readonly from: Day;
  readonly gate: Gate;
  /** When it would be set by its rule (or when it was); null if the wound does not get there. */
  readonly stickOn: Day | null;
  /** Modelled closures done by the morning of each day since the cut, until it is nearly surely closed. */
  readonly doses: readonly number[];
  /** What is believed of this wound's pace after the looks so far. */
  readonly belief: PaceBelief;
}

/** A wound that is not closed by then is a question of place, not of patience. */
export const HORIZON_DAYS = 365;

const untouched = memo((prior: PacePrior) => paceBelief([], prior));
const UNTOUCHED = paceBelief();

/** The belief about a wound nobody has looked at. */
function priorBelief(prior: PacePrior | undefined): PaceBelief {
  return prior === undefined ? UNTOUCHED : untouched(prior);
}

/** The bounds of the closing range: one in ten and nine in ten. */
const EARLIEST = 0.1;
const LATEST = 0.9;
/** Doses are carried on until it is closed as surely as this. */
const NEARLY_SURE = 0.99;

/**
 * The wound clock: integrates closing day by day over the air the wound lies in, and says when
 * water may touch it.
 * @throws RangeError if widthMm is not above 0
 * Model: dC/dt = rate(T, VPD) / (τ · place · pace), closed at C = 1; pace is heavy-tailed around 1.
 * A wound not yet set is taken to be set at the very hour its rule is met: so a wider cut, cooler or damper air or a
 * denser tissue moves the gate later or not at all, wherever the day of setting falls.
 */
export function woundClock(input: WoundClockInput): WoundClock {
  assertPositive('widthMm', input.widthMm);
  const checks = input.checks ?? [];
  const tackyAt = Math.max(
    -1,
    ...checks.flatMap((c) => (c.seen === 'tacky' ? daysBetween(input.cutOn, c.day) : [])),
  );
  const lying = new Doses(input);
  const { doses } = lying;
  const before = priorBelief(input.prior);
  const set = setAt(input, lying, checks, before);
  lying.setAfter(set);
  lying.days(lastLook(input.cutOn, checks));
  const looks = looksAt(doses, input.cutOn, checks);
  const belief = looks.length > 0 ? paceBelief(looks, input.prior) : before;
  lying.until(doseFor(belief, NEARLY_SURE));

  // A wound seen open on a day is not released on it, whatever else was seen.
  const least = Math.max(input.school.leastDays, tackyAt + 1);
  const opens = firstDay(doses, doseFor(belief, input.school.gateChance), least);
  const earliest = firstDay(doses, doseFor(belief, EARLIEST), tackyAt + 1);
  const latest = firstDay(doses, doseFor(belief, LATEST), tackyAt + 1);
  const on = (n: number): Day => addDays(input.cutOn, n);
  const gate: Gate =
    opens === null || earliest === null
      ? { state: 'stopped', horizon: on(HORIZON_DAYS) }
      : {
          state: 'dated',
          opens: on(opens),
          earliest: on(earliest),
          latest: on(latest ?? HORIZON_DAYS),
        };
  return {
    from: input.cutOn,
    gate,
    stickOn: input.stuckOn ?? readyOn(input, set, checks, tackyAt, belief),
    doses,
    belief,
  };
}

/** Closures done, first where it lies and then, from the hour it is set, with its face on medium. */
class Doses {
  readonly doses: number[] = [0];
  private readonly tau: number;
  private set = Infinity;

  constructor(private readonly input: WoundClockInput) {
    this.tau = referenceClosureDays(input.widthMm, input.tissue);
  }

  /** Until this dose is done, or the horizon is reached. */
  until(dose: number): void {
    while (this.doses.at(-1)! < dose && this.doses.length <= HORIZON_DAYS) this.oneMore();
  }

  /** Until this many days are done. */
  days(count: number): void {
    while (this.doses.length <= Math.min(count, HORIZON_DAYS)) this.oneMore();
  }

  /** When a dose is done, in days since the cut; `Infinity` where that is beyond the horizon. */
  reach(dose: number): number {
    this.until(dose);
    const n = this.doses.findIndex((d) => d >= dose);
    if (n <= 0) return n < 0 ? Infinity : 0;
    return n - 1 + (dose - this.doses[n - 1]!) / (this.doses[n]! - this.doses[n - 1]!);
  }

  /** It lay bare until then (days since the cut, in fractions); what was summed up beyond it is summed up anew. */
  setAfter(set: number): void {
    this.set = set;
    this.doses.length = Math.max(1, Math.min(this.doses.length, Math.floor(set) + 1));
  }

  private oneMore(): void {
    const n = this.doses.length - 1;
    const bare = Math.min(Math.max(this.set - n, 0), 1);
    let more = 0;
    if (bare > 0) more += bare * this.rate(n, false);
    if (bare < 1) more += (1 - bare) * this.rate(n, true);
    this.doses.push(this.doses[n]! + more);
  }

  private rate(n: number, stuck: boolean): number {
    const air = this.input.air(addDays(this.input.cutOn, n), stuck);
    return closureRate(air) / (this.tau * PLACE_FACTOR[stuck ? 'medium' : this.input.callusAt]);
  }
}

/**
 * When it is taken to be set, in days since the cut; `Infinity` while the wound does not get there. Looks keep it
 * bare until they were made, but do not move it by what they saw: a look at a sticky wound must not move the gate
 * forward by leaving it longer in the warm.
 */
function setAt(
  { cutOn, stuckOn, dryDays, school: { stick, leastDays } }: WoundClockInput,
  lying: Doses,
  checks: readonly WoundCheck[],
  before: PaceBelief,
): number {
  if (stuckOn !== undefined) return Math.max(0, daysBetween(cutOn, stuckOn));
  if (dryDays !== undefined) return dryDays;
  if (stick.when === 'after days') return stick.days;
  const reached = lying.reach(doseFor(before, stick.chance));
  return Math.max(reached, leastDays, lastLook(cutOn, checks));
}

/** Not set as yet, so it lay bare at every look. */
const lastLook = (cutOn: Day, checks: readonly WoundCheck[]): number =>
  Math.max(0, ...checks.map(({ day }) => daysBetween(cutOn, day)));

/** The day to set it: in the course of it for hours and part days that were chosen, else once it is ready. */
function readyOn(
  input: WoundClockInput,
  set: number,
  checks: readonly WoundCheck[],
  tackyAt: number,
  belief: PaceBelief,
): Day | null {
  const { cutOn, dryDays, school } = input;
  const { stick } = school;
  if (dryDays !== undefined) return addDays(cutOn, Math.floor(dryDays));
  if (stick.when === 'after days' || checks.length === 0) return dayOf(cutOn, set);
  const bare = new Doses(input).reach(doseFor(belief, stick.chance));
  return dayOf(cutOn, Math.max(bare, school.leastDays, lastLook(cutOn, checks), tackyAt + 1));
}

const dayOf = (cutOn: Day, at: number): Day | null =>
  at === Infinity ? null : addDays(cutOn, Math.ceil(at - 1e-9));

/**
 * Looks at a wound with the modelled closures done by then. What a thumb says twice on one day is one look: it is as wrong
 * the second time.
 */
export function looksAt(
  doses: readonly number[],
  cutOn: Day,
  checks: readonly WoundCheck[],
): readonly WoundLook[] {
  const told = new Set<string>();
  return checks.flatMap(({ day, seen }) => {
    if (told.has(`${day}/${seen}`)) return [];
    told.add(`${day}/${seen}`);
    return [{ dose: doseOn(doses, cutOn, day), seen }];
  });
}

/** Chance that the wound is closed on a day, 0–1. */
export function chanceClosedOn(clock: WoundClock, day: Day): number {
  return chanceClosed(clock.belief, doseOn(clock.doses, clock.from, day));
}

/** How far the wound has likely closed, 0–1: what the ring of a cutting mark shows. */
export function closureOn(clock: WoundClock, day: Day): number {
  return Math.min(1, doseOn(clock.doses, clock.from, day) / doseFor(clock.belief, 0.5));
}

function doseOn(doses: readonly number[], cutOn: Day, day: Day): number {
  const n = Math.min(Math.max(daysBetween(cutOn, day), 0), doses.length - 1);
  return doses[n]!;
}

function firstDay(doses: readonly number[], dose: number, leastDays: number): number | null {
  const n = doses.findIndex((d) => d >= dose - 1e-12);
  return n < 0 ? null : Math.max(n, leastDays);
}
