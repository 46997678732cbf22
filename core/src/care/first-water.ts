import { chosenDays, regimeOn, unrootedWaterOf, type FirstDrink } from '../bench';
import { later, type Day } from '../days';
import type { Batch, State } from '../journal';
import type { RegimeId, WaterVerdict } from '../water';
import { chanceClosedOn } from '../wound';
import type { Asker } from './asker';
import { keptUntilRoots, type Facts } from './facts';
import type { Reason, StillOpen } from './reason';
import { FREE_LOOK_DAYS, nextOf } from './rhythm';
import { nextLook } from './roots';
import { slowUntil } from './set';

/** The gate while it is shut on a day. */
export function gateShut({ gate }: Facts, day: Day) {
  return gate?.gate.state === 'dated' && day < gate.gate.opens ? gate.gate : null;
}

type Dated = NonNullable<ReturnType<typeof gateShut>>;

/** What keeps the can away for longer than the wound: its first drink comes later still. */
interface Longer {
  readonly until: Day;
  readonly then?: Reason | undefined;
}

export function closed(
  ask: Asker,
  facts: Facts,
  { opens, earliest, latest }: Dated,
  { until, then }: Longer = { until: opens },
): void {
  if (!facts.gate) return;
  const touch = slowUntil(ask.batch, facts);
  const again = touch && later(touch, ask.day);
  ask.leave('gate', {
    until,
    earliest,
    latest: later(latest, opens),
    reason: { why: 'closing', closure: ask.closure, opens, again, then },
  });
}

export function firstWater(
  ask: Asker,
  state: State,
  batch: Batch,
  facts: Facts,
  day: Day,
  verdict: WaterVerdict | undefined,
): void {
  const { first, gate, forJar, inTray } = facts;
  const shut = gateShut(facts, day);
  // A jar waits for the gate to be put in, a bare piece for roots to be set: no can comes near either.
  if (forJar || first === null || inTray === 0) {
    if (!forJar && first?.by === 'choice' && chosenDays(batch) !== null) {
      // Not set as yet, and its day is chosen all the same: so long after the setting that is expected.
      if (first.on > day) leaveUntilFirst(ask, batch, facts, first);
      return;
    }
    // What lies bare until it has roots is given nothing anyway: there its wound decides nothing.
    if (shut && first?.by !== 'at-once' && facts.row.setWhen !== 'rooted')
      leaveShut(ask, batch, facts, shut);
    // Kept dry until it has roots, it is from the cut on: the day its wound can bear it decides nothing.
    if (!forJar && keptUntilRoots(state, batch, facts))
      leaveUntilRoots(ask, batch, facts, day, kept(batch));
    return;
  }
  if (first.by === 'stopped') return leaveUntilRoots(ask, batch, facts, day, 'roots-first');
  if (first.on === null) {
    if (shut) closed(ask, facts, shut);
    leaveUntilRoots(ask, batch, facts, day, kept(batch));
    return;
  }
  if (first.on > day) {
    if (shut && chosenDays(batch) === null) leaveShut(ask, batch, facts, shut);
    else leaveUntilFirst(ask, batch, facts, first);
    return;
  }
  ask.do('first-water', {
    count: inTray,
    manner: mannerOf(state, batch, facts, day),
    since: sipped(state, batch) && facts.rootsSince ? later(first.on, facts.rootsSince) : first.on,
    ...(neverLate(regimeOn(state, batch, day, facts.holds), facts.hasRoots) ? { late: 0 } : {}),
    reason: firstReason(batch, facts, day),
    sure: gate ? { by: 'closure', chance: chanceClosedOn(gate, day) } : { by: 'fact' },
    drink: verdict?.drink,
  });
}

/**
 * No can while the wound is open. Where the first drink comes later still, that is the day that is said, with what it
 * waits for: label, slip and list have one date.
 */
function leaveShut(ask: Asker, batch: Batch, facts: Facts, shut: Dated): void {
  const { first } = facts;
  if (!first?.on || first.on <= shut.opens) return closed(ask, facts, shut);
  const told = first.by === 'choice' || first.by === 'rest';
  closed(ask, facts, shut, {
    until: first.on,
    then: told ? untilFirstReason(batch, facts, first) : undefined,
  });
}

/** Nothing until its first water, whose day is known. */
function leaveUntilFirst(
  ask: Asker,
  batch: Batch,
  facts: Facts,
  first: Extract<FirstDrink, { on: Day }>,
): void {
  const { on } = first;
  const reason = untilFirstReason(batch, facts, first);
  ask.leave('water', { until: on, earliest: on, latest: on, reason });
}

function untilFirstReason(
  { firstWater: choice = 'with-gate' }: Batch,
  facts: Facts,
  { on, by }: Extract<FirstDrink, { on: Day }>,
): Reason {
  if (by === 'rest') return { why: 'resting', opens: on, by: 'cold' };
  return choice === 'with-gate'
    ? { why: 'laid-dry' }
    : { why: 'first-chosen', choice, open: openOn(facts, on) };
}

/** What waits for roots: the first water by choice, or all water, because it is kept dry until then. */
export const kept = ({ firstWater }: Batch): 'roots-first' | 'dry-until-roots' =>
  firstWater === 'roots-show' ? 'roots-first' : 'dry-until-roots';

/** No water before roots: until the next look for them. */
export function leaveUntilRoots(
  ask: Asker,
  batch: Batch,
  facts: Facts,
  day: Day,
  why: 'roots-first' | 'dry-until-roots',
): void {
  const look = nextLook(batch, facts)?.day ?? null;
  const until =
    look !== null && look > day
      ? look
      : nextOf(look ?? batch.stuck ?? batch.cutOn, FREE_LOOK_DAYS, day);
  ask.leave('water', { until, earliest: until, latest: until, reason: { why, look: until } });
}

/** What lies on the surface is misted until its roots hold in the mix; so is what is kept misted before roots. */
const mannerOf = (state: State, batch: Batch, facts: Facts, day: Day): 'misted' | 'poured' =>
  facts.laid || regimeOn(state, batch, day, facts.holds) === 'mist' ? 'misted' : 'poured';

/** Whether a drink on a day comes before the wound is closed. */
function openOn({ gate }: Facts, on: Day | null): StillOpen | null {
  if (gate === null || on === null) return null;
  if (gate.gate.state === 'stopped') return { closes: null };
  return gate.gate.opens > on ? { closes: gate.gate.opens } : null;
}

function firstReason(batch: Batch, facts: Facts, day: Day): Reason {
  const { first, gate, rootsSince, laid, row } = facts;
  if (row.shows === 'seedlings' && rootsSince === null) return { why: 'sown' };
  switch (first?.by) {
    case 'at-once':
      return { why: 'first-chosen', choice: 'at-once', open: openOn(facts, first.on) };
    case 'roots':
      return { why: 'roots-show', misted: laid };
    case 'rest':
      return { why: 'woke' };
    case 'choice': {
      const choice = batch.firstWater ?? 'with-gate';
      // The three dry days of a laid piece are nobody's choice.
      return choice === 'with-gate'
        ? { why: 'laid-dry' }
        : { why: 'first-chosen', choice, open: openOn(facts, first.on) };
    }
    case 'gate':
      return gate?.gate.state === 'dated'
        ? {
            why: 'gate-opened',
            on: gate.gate.opens,
            school: batch.school,
            // Nine in ten are safe, so of twenty two are not.
            open: Math.round(facts.inTray * (1 - chanceClosedOn(gate, day))),
          }
        : { why: 'settles' };
    default:
      return rootsSince === null ? { why: 'settles' } : { why: 'roots-show', misted: laid };
  }
}

/** It lives off itself before roots: what it could have had then is no debt of the roots it has now. */
const sipped = (state: State, batch: Batch): boolean =>
  neverLate(unrootedWaterOf(state, batch), false);

/** Without roots it drinks next to nothing: a sip is never overdue. What is kept damp or misted dries out. */
export const neverLate = (regime: RegimeId | null, rooted: boolean): boolean =>
  !rooted && (regime === 'sip' || regime === 'half');
