import { addDays, type Day } from '../days';
import { spaceOn, type Batch, type State } from '../journal';
import {
  chosenDays,
  POTTED_REST,
  potting,
  regimeFrom,
  regimeOn,
  unrootedWaterOf,
  type FirstDrink,
} from '../bench';
import {
  BONE_DRY,
  mistEvery,
  SIP_ML,
  sipEvery,
  WEAN_MOIST_DAYS,
  WEAN_TAPER_DAYS,
  type Drink,
  type RegimeId,
  type WaterVerdict,
} from '../water';
import { chanceClosedOn } from '../wound';
import type { Asker } from './asker';
import { daysSince, dryingOn, later, type Facts } from './facts';
import type { Reason, StillOpen, Sure } from './reason';
import { seasonOf } from './rooted';
import {
  FREE_LOOK_DAYS,
  HABIT_DAYS,
  MOST_LOOK_DAYS,
  UNROOTED_HABIT_DAYS,
  habitDays,
  nextOf,
} from './rhythm';
import { nextLook } from './roots';
import { slowUntil } from './set';

/** The gate, the first water, and the can from then on. */
export function drinking(
  ask: Asker,
  state: State,
  batch: Batch,
  facts: Facts,
  day: Day,
  verdict: WaterVerdict | undefined,
): void {
  if (facts.pottedOn !== null) return pottedDrink(ask, state, batch, facts, day, verdict);
  const shut = gateShut(facts, day);
  // Nothing drank yet, or its wound was laid open again: the can waits.
  if (facts.drinks.length === 0 && !facts.wet)
    return firstWater(ask, state, batch, facts, day, verdict);
  // Wet by a slip, or set in wet medium: the wound is still open, and nothing more comes near it.
  if (shut !== null && facts.drinks.every((d) => d.breach !== undefined))
    return closed(ask, facts, shut);
  if (batch.stuck === null || facts.inTray === 0) return;
  again(ask, state, batch, facts, day, verdict);
}

/** The gate while it is shut on a day. */
function gateShut({ gate }: Facts, day: Day) {
  return gate?.gate.state === 'dated' && day < gate.gate.opens ? gate.gate : null;
}

type Dated = NonNullable<ReturnType<typeof gateShut>>;

/** What keeps the can away for longer than the wound: its first drink comes later still. */
interface Longer {
  readonly until: Day;
  readonly then?: Reason | undefined;
}

function closed(
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

function firstWater(
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
const kept = ({ firstWater }: Batch): 'roots-first' | 'dry-until-roots' =>
  firstWater === 'roots-show' ? 'roots-first' : 'dry-until-roots';

/** No water before roots: until the next look for them. */
function leaveUntilRoots(
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

/** The can after the first drink: by the pot's verdict where pot and mix are told, else by habit. */
function again(
  ask: Asker,
  state: State,
  batch: Batch,
  facts: Facts,
  day: Day,
  verdict: WaterVerdict | undefined,
): void {
  const regime = regimeOn(state, batch, day, facts.holds);
  // Those without roots are misted beside the others that sip.
  const rooted = facts.ownRoots ? facts.inTray : batch.here.rooted + batch.here.pupped;
  const count = regime === 'base' ? rooted : facts.inTray;
  drinks(ask, state, batch, facts, day, verdict, regime, Math.min(count, facts.inTray));
}

/** @param regime what it is given until its roots drink for a pot; null once they do */
function drinks(
  ask: Asker,
  state: State,
  batch: Batch,
  facts: Facts,
  day: Day,
  verdict: WaterVerdict | undefined,
  regime: RegimeId | null,
  count: number,
): void {
  const rest = restOf(state, batch, facts, day);
  // Without roots it drinks next to nothing, and in the cold nothing at all: wet it would rot.
  if (rest === 'cold' && neverLate(regime, facts.hasRoots)) return idle(ask, batch, facts, day);
  if (facts.missing.length > 0) byHabit(ask, state, batch, facts, day, regime, count);
  else if (!verdict) unread(ask, batch, facts, day);
  else if (
    regime === null &&
    rest !== null &&
    verdict.kind !== 'closed' &&
    verdict.reason.why !== 'pool'
  )
    resting(ask, batch, facts, day, verdict, rest, count);
  else byVerdict(ask, facts, day, verdict, count, neverLate(regime, facts.hasRoots));
}

/** A wound that was laid open again kept the can away: nothing was due before its gate. */
const afterGate = ({ gate }: Facts, due: Day): Day =>
  gate?.gate.state === 'dated' ? later(due, gate.gate.opens) : due;

function unread(ask: Asker, batch: Batch, facts: Facts, day: Day): void {
  const last = facts.drinks.at(-1)?.day ?? batch.stuck ?? batch.cutOn;
  const tomorrow = addDays(day, 1);
  ask.leave('water', {
    until: tomorrow,
    earliest: tomorrow,
    latest: tomorrow,
    reason: { why: 'unread', last },
  });
}

/** In its rest for cold or heat: nearly dry, whatever its school has it in growth; null while it grows. */
function restOf(state: State, batch: Batch, facts: Facts, day: Day): 'cold' | 'heat' | null {
  if (facts.taxon === null) return null;
  const { state: season, tempC } = seasonOf(state, batch, facts.taxon, day);
  if (season !== 'resting') return null;
  return tempC > facts.taxon.season.toC ? 'heat' : 'cold';
}

/** What rests is given a little so often, once it is bone dry. Common practice, no source; 3–6 weeks. */
const REST_DRINK_DAYS = 28;
/** Of what it would be given in growth. Working assumption; 0.15–0.4. */
const REST_SHARE = 0.25;

/** Nothing until it grows again. */
function idle(ask: Asker, batch: Batch, facts: Facts, day: Day): void {
  const since = facts.drinks.at(-1)?.day ?? potting(batch).since ?? batch.cutOn;
  const until = nextOf(since, FREE_LOOK_DAYS, day);
  const reason: Reason = { why: 'resting', opens: null, by: 'cold' };
  ask.leave('water', { until, earliest: until, latest: until, reason });
}

/** Nearly dry: a little now and then, so that its roots live; never late, for nothing is lost by waiting. */
function resting(
  ask: Asker,
  batch: Batch,
  facts: Facts,
  day: Day,
  { fill, drink }: WaterVerdict,
  by: 'cold' | 'heat',
  count: number,
): void {
  const since = facts.drinks.at(-1)?.day ?? potting(batch).since ?? batch.cutOn;
  const due = addDays(since, REST_DRINK_DAYS);
  const reason: Reason = { why: 'resting', opens: null, by };
  if (due <= day && fill.likely <= BONE_DRY) {
    ask.do('water', {
      count,
      since: due,
      late: 0,
      reason,
      sure: { by: 'pot', low: fill.low, high: Math.min(fill.high, 1) },
      drink: { ...drink, ml: drink.ml * REST_SHARE, mm: drink.mm * REST_SHARE, through: false },
    });
    return;
  }
  const until = due > day ? due : nextOf(due, RESTING_LOOK_DAYS, day);
  ask.leave('water', { until, earliest: until, latest: until, reason });
}

/** A resting pot that is not dry yet is asked after so often. Working assumption. */
const RESTING_LOOK_DAYS = 7;

function byVerdict(
  ask: Asker,
  facts: Facts,
  day: Day,
  verdict: WaterVerdict,
  count: number,
  never: boolean,
): void {
  const { fill, due, drink } = verdict;
  const sure: Sure = { by: 'pot', low: fill.low, high: Math.min(fill.high, 1) };
  const reason: Reason = { why: 'verdict', is: verdict.reason };
  if (verdict.poolMl > 0 && due === null && verdict.reason.why === 'pool') {
    ask.look('pool', { since: day, count, reason, sure });
    return;
  }
  if (verdict.kind === 'closed') {
    // The gate is said where the wound is; a pot that was judged under a shut gate says nothing more.
    return;
  }
  if (due === null || due.likely > day) {
    const until =
      due?.likely ??
      nextOf(
        facts.drinks.at(-1)?.day ?? facts.lastTouch,
        facts.hasRoots ? 30 : MOST_LOOK_DAYS,
        day,
      );
    ask.leave('water', {
      until,
      earliest: due?.earliest ?? until,
      latest: due?.latest ?? until,
      reason,
    });
    return;
  }
  ask.do(drink.manner === 'misted' ? 'mist' : 'water', {
    count,
    since: afterGate(facts, due.likely),
    ...(never ? { late: 0 } : {}),
    reason,
    sure,
    drink,
  });
}

function byHabit(
  ask: Asker,
  state: State,
  batch: Batch,
  facts: Facts,
  day: Day,
  regime: RegimeId | null,
  count: number,
): void {
  const drank = facts.drinks.at(-1)?.day ?? null;
  const last = drank ?? potting(batch).since ?? batch.cutOn;
  const { evaporationMm } = dryingOn(state, spaceOn(batch, last, true), last);
  const { missing, hasRoots, school, row } = facts;
  if (regime === 'dry') {
    leaveUntilRoots(ask, batch, facts, day, 'dry-until-roots');
    return;
  }
  const misted = regime === 'mist' || (regime === null && school === 'mist');
  const rest = regime === null && hasRoots ? restOf(state, batch, facts, last) : null;
  const daysOn = (on: Day): number => {
    if (misted) return mistEvery(evaporationMm);
    if (regime === 'base') return sipEvery(regime, evaporationMm);
    if (regime !== null) return habitDays(UNROOTED_HABIT_DAYS[regime], evaporationMm);
    return habitDays(rest ? REST_DRINK_DAYS : rootedHabit(batch, facts, on), evaporationMm);
  };
  const weans = hasRoots && batch.rootedInWater && batch.stuck !== null;
  const usual = weans ? fellDue(last, day, daysOn) : addDays(last, daysOn(day));
  const felt = regime === 'mist' ? null : feltSince(batch, last, day);
  const due = felt === null ? usual : byFeel(felt, usual, daysOn(day), hasRoots);
  const days = daysSince(last, due);
  const tapering =
    taper(batch, due < day ? due : day) === null ? null : daysSince(batch.stuck!, day);
  const reason: Reason = misted
    ? { why: 'mist', last: drank, days, evaporationMm, missing }
    : tapering !== null
      ? { why: 'tapers', days: tapering, last, every: days }
      : rest
        ? { why: 'resting', opens: null, by: rest }
        : {
            why: 'habit',
            last,
            wet: drank === null,
            days,
            missing,
            regime,
            // Of seed nobody says that it has no roots yet.
            hasRoots: hasRoots || row.shows === 'seedlings',
            school,
            felt,
          };
  if (due > day)
    ask.leave('water', {
      until: due,
      earliest: due,
      latest: addDays(due, Math.ceil(days / 3)),
      reason,
    });
  else
    ask.do(misted ? 'mist' : 'water', {
      count,
      // What a piece without roots could have had is no debt of the roots it has now.
      since: afterGate(facts, later(due, regimeFrom(state, batch, day))),
      ...(rest || neverLate(regime, hasRoots) ? { late: 0 } : {}),
      reason,
      sure: { by: misted ? 'air' : 'habit' },
      ...(regime === 'base' ? { drink: sipsFor(batch, count) } : {}),
    });
}

type Felt = Batch['touches'][number];

/** What a finger or a meter last said of the mix since its last drink. */
const feltSince = ({ touches }: Batch, last: Day, day: Day): Felt | null =>
  touches.findLast((t) => t.day > last && t.day <= day) ?? null;

/** Wet holds the can for half as long as usual again, moist for a quarter; dry brings it, where roots would drink. */
function byFeel({ day, seen }: Felt, usual: Day, every: number, rooted: boolean): Day {
  if (seen === 'dry') return rooted && day < usual ? day : usual;
  const until = addDays(day, Math.max(1, Math.round(every * (seen === 'wet' ? 0.5 : 0.25))));
  return later(usual, until);
}

/** It lives off itself before roots: what it could have had then is no debt of the roots it has now. */
const sipped = (state: State, batch: Batch): boolean =>
  neverLate(unrootedWaterOf(state, batch), false);

/** Without roots it drinks next to nothing: a sip is never overdue. What is kept damp or misted dries out. */
const neverLate = (regime: RegimeId | null, rooted: boolean): boolean =>
  !rooted && (regime === 'sip' || regime === 'half');

/** Some drops at the base of each, of one container. */
const sipsFor = ({ containers }: Batch, count: number): Drink => ({
  manner: 'poured',
  ml: (SIP_ML * count) / (containers ?? 1),
  mm: 0,
  through: false,
});

/** So far ahead a habit that takes steps is followed, days. */
const STEPS_AHEAD = 90;

/**
 * When the next one falls due. Roots that are weaned are watered ever more seldom: what fell due by the habit of its
 * day stays due after the habit has taken a step.
 */
function fellDue(last: Day, day: Day, daysOn: (on: Day) => number): Day {
  const until = addDays(later(last, day), STEPS_AHEAD);
  for (let on = addDays(last, 1); on < until; on = addDays(on, 1))
    if (addDays(last, daysOn(on)) <= on) return on;
  return addDays(last, daysOn(day));
}

/** Days out of the jar, while roots from water are weaned. */
function taper(batch: Batch, day: Day): number | null {
  if (!batch.rootedInWater || batch.stuck === null || batch.pottings.length > 0) return null;
  const days = daysSince(batch.stuck, day);
  return days < WEAN_TAPER_DAYS ? days : null;
}

/** The habit of its school; roots grown in water are weaned: two weeks moist, then two by steps. */
function rootedHabit(batch: Batch, { school }: Facts, day: Day): number {
  if (!batch.rootedInWater || batch.stuck === null) return HABIT_DAYS[school];
  const days = daysSince(batch.stuck, day);
  if (days < WEAN_MOIST_DAYS) return HABIT_DAYS.surface;
  return days < WEAN_TAPER_DAYS
    ? Math.min(HABIT_DAYS.third, HABIT_DAYS[school])
    : HABIT_DAYS[school];
}

/** In a pot of its own: the first drink by how the roots came through, then as the pot asks. */
function pottedDrink(
  ask: Asker,
  state: State,
  batch: Batch,
  facts: Facts,
  day: Day,
  verdict: WaterVerdict | undefined,
): void {
  const { last } = potting(batch);
  if (!last) return;
  const rest = POTTED_REST[last.roots ?? 'whole'];
  const due = addDays(last.day, rest);
  if (facts.drinks.length === 0 && !facts.wet) {
    if (due > day)
      ask.leave('water', {
        until: due,
        earliest: due,
        latest: due,
        reason: { why: 'potted-rested', days: rest },
      });
    else
      ask.do('pot-water', {
        count: facts.living,
        since: due,
        reason: rest === 0 ? { why: 'potted-whole' } : { why: 'potted-rested', days: rest },
        sure: { by: 'practice' },
        drink: verdict?.drink,
      });
    return;
  }
  drinks(ask, state, batch, facts, day, verdict, null, facts.living);
}
