import { assertPositive } from '../assert';
import { memo } from '../memo';
import type { Air } from '../climate';
import { addDays, daysBetween, type Day } from '../days';
import {
  chanceClosed,
  doseFor,
  paceBelief,
  SURE_DOSE,
  type PaceBelief,
  type PacePrior,
  type WoundLook,
} from './belief';
import { closureRate, referenceClosureDays } from './closure';
import type { StickRule, WoundSchool } from './school';
import { PLACE_FACTOR, type CallusPlace, type Tissue } from './tissue';

/** A look at a wound on the bench. */
export interface WoundCheck {
  readonly day: Day;
  readonly seen: 'tacky' | 'firm';
}

export interface WoundClockInput {
  readonly cutOn: Day;
  /** Hydraulic width of the cut, mm. */
  readonly widthMm: number;
  readonly tissue: Tissue;
  readonly school: WoundSchool;
  /** Where it lies until it is stuck; once stuck its face is on medium. */
  readonly callusAt: CallusPlace;
  /** The day it was stuck, if it was; otherwise the school's rule is followed. */
  readonly stuckOn?: Day | undefined;
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
  readonly gate: Gate;
  /** When the school would stick it (or when it was stuck); null if the wound does not get there. */
  readonly stickOn: Day | null;
  /** Modelled closures done by the morning of each day since the cut, until it is surely closed. */
  readonly doses: readonly number[];
  /** What is believed of this wound's pace after the looks so far. */
  readonly belief: PaceBelief;
}

/** A wound that is not closed by then is a question of place, not of patience. */
export const HORIZON_DAYS = 180;

const untouched = memo((prior: PacePrior) => paceBelief([], prior));
const UNTOUCHED = paceBelief();

/** The belief about a wound nobody has looked at. */
function priorBelief(prior: PacePrior | undefined): PaceBelief {
  return prior === undefined ? UNTOUCHED : untouched(prior);
}

/** The bounds of the closing range: one in ten and nine in ten. */
const EARLIEST = 0.1;
const LATEST = 0.9;

/**
 * The wound clock: integrates closing day by day over the air the wound lies in, and says when
 * water may touch it.
 * @throws RangeError if widthMm is not above 0
 * Model: dC/dt = rate(T, VPD) / (τ · place · pace), closed at C = 1; pace is log-normal.
 */
export function woundClock(input: WoundClockInput): WoundClock {
  assertPositive('widthMm', input.widthMm);
  const before = priorBelief(input.prior);
  const stickAt = stickDose(input.school.stick, before);
  const tau = referenceClosureDays(input.widthMm, input.tissue);

  const doses: number[] = [0];
  let stickOn: Day | null = input.stuckOn ?? null;
  let day = input.cutOn;
  for (let n = 0; n < HORIZON_DAYS; n++) {
    const dose = doses[n]!;
    if (dose >= SURE_DOSE && stickOn !== null) break;
    if (stickOn === null && n >= leastStickDays(input.school) && dose >= stickAt) stickOn = day;
    const stuck = stickOn !== null && day >= stickOn;
    const place = PLACE_FACTOR[stuck ? 'medium' : input.callusAt];
    doses.push(dose + closureRate(input.air(day, stuck)) / (tau * place));
    day = addDays(day, 1);
  }

  const looks = looksAt(doses, input.cutOn, input.checks ?? []);
  const belief = looks.length > 0 ? paceBelief(looks, input.prior) : before;
  const opens = firstDay(doses, doseFor(belief, input.school.gateChance), input.school.leastDays);
  const earliest = firstDay(doses, doseFor(belief, EARLIEST), 0);
  const latest = firstDay(doses, doseFor(belief, LATEST), 0);
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
  return { gate, stickOn, doses, belief };
}

/** Looks at a wound with the modelled closures done by then. */
export function looksAt(
  doses: readonly number[],
  cutOn: Day,
  checks: readonly WoundCheck[],
): readonly WoundLook[] {
  return checks.map(({ day, seen }) => ({ dose: doseOn(doses, cutOn, day), seen }));
}

/**
 * Chance that the wound is closed on a day, 0–1.
 * @param clock as given by `woundClock` for the same `cutOn`
 */
export function chanceClosedOn(clock: WoundClock, cutOn: Day, day: Day): number {
  return chanceClosed(clock.belief, doseOn(clock.doses, cutOn, day));
}

/** How far the wound has likely closed, 0–1: what the ring of a cutting mark shows. */
export function closureOn(clock: WoundClock, cutOn: Day, day: Day): number {
  return Math.min(1, doseOn(clock.doses, cutOn, day) / doseFor(clock.belief, 0.5));
}

function doseOn(doses: readonly number[], cutOn: Day, day: Day): number {
  const n = Math.min(Math.max(daysBetween(cutOn, day), 0), doses.length - 1);
  return doses[n]!;
}

function firstDay(doses: readonly number[], dose: number, leastDays: number): number | null {
  const n = doses.findIndex((d) => d >= dose);
  return n < 0 ? null : Math.max(n, leastDays);
}

function stickDose(rule: StickRule, before: PaceBelief): number {
  return rule.when === 'after days' ? 0 : doseFor(before, rule.chance);
}

function leastStickDays(school: WoundSchool): number {
  return school.stick.when === 'after days' ? school.stick.days : school.leastDays;
}
