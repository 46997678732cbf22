import { addDays, type Day } from '../days';
import { spaceOn, type Batch, type State } from '../journal';
import { POTTED_REST, potting } from '../bench';
import { BONE_DRY, WEAN_MOIST_DAYS, WEAN_TAPER_DAYS, mistEvery, type WaterVerdict } from '../water';
import { chanceClosedOn } from '../wound';
import type { Asker } from './asker';
import { daysSince, dryingOn, later, type Facts } from './facts';
import type { Reason, Sure } from './reason';
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
  if (facts.drinks.length === 0 && !facts.wet) return firstWater(ask, batch, facts, day, verdict);
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

function closed(ask: Asker, { gate }: Facts, { opens, earliest, latest }: Dated): void {
  if (!gate) return;
  ask.leave('gate', {
    until: opens,
    earliest,
    latest: latest > opens ? latest : opens,
    reason: { why: 'closing', closure: ask.closure, opens },
  });
}

function firstWater(
  ask: Asker,
  batch: Batch,
  facts: Facts,
  day: Day,
  verdict: WaterVerdict | undefined,
): void {
  const { first, gate, forJar, inTray } = facts;
  const shut = gateShut(facts, day);
  // A jar waits for the gate to be put in, a bare piece for roots to be set: no can comes near either.
  if (forJar || first === null || inTray === 0) {
    if (shut && !(first?.by === 'at-once')) closed(ask, facts, shut);
    return;
  }
  if (first.by === 'stopped') return leaveUntilRoots(ask, batch, facts, day, 'roots-first');
  if (first.on === null) {
    if (shut) closed(ask, facts, shut);
    leaveUntilRoots(ask, batch, facts, day, 'roots-first');
    return;
  }
  if (first.on > day) {
    if (shut && first.by !== 'at-once') closed(ask, facts, shut);
    if (!shut || first.on > shut.opens)
      ask.leave('water', {
        until: first.on,
        earliest: first.on,
        latest: first.on,
        reason:
          (batch.firstWater ?? 'with-gate') === 'with-gate'
            ? { why: 'laid-dry' }
            : { why: 'first-chosen', choice: batch.firstWater ?? 'with-gate', early: false },
      });
    return;
  }
  ask.do('first-water', {
    count: inTray,
    manner: mannerOf(facts),
    since: first.on,
    reason: firstReason(batch, facts),
    sure: gate ? { by: 'closure', chance: chanceClosedOn(gate, day) } : { by: 'fact' },
    drink: verdict?.drink,
  });
}

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
const mannerOf = ({ hasRoots, unrooted, row }: Facts): 'misted' | 'poured' =>
  row.misted || (!hasRoots && unrooted === 'mist') ? 'misted' : 'poured';

function firstReason(batch: Batch, { first, gate, rootsSince }: Facts): Reason {
  switch (first?.by) {
    case 'at-once':
      return { why: 'first-chosen', choice: 'at-once', early: gate !== null };
    case 'roots':
      return { why: 'roots-show' };
    case 'choice': {
      const choice = batch.firstWater ?? 'with-gate';
      // The three dry days of a laid piece are nobody's choice.
      return choice === 'with-gate'
        ? { why: 'laid-dry' }
        : { why: 'first-chosen', choice, early: false };
    }
    case 'gate':
      return gate?.gate.state === 'dated'
        ? { why: 'gate-opened', on: gate.gate.opens, school: batch.school }
        : { why: 'settles' };
    default:
      return rootsSince === null ? { why: 'settles' } : { why: 'roots-show' };
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
  const count = facts.inTray;
  if (facts.missing.length === 0) {
    if (verdict) byVerdict(ask, facts, day, verdict, count, rests(state, batch, facts, day));
    else unread(ask, batch, facts, day);
    return;
  }
  byHabit(ask, state, batch, facts, day, count);
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

/** Rooted, and in its rest: nearly dry, whatever its school has it in growth. */
function rests(state: State, batch: Batch, facts: Facts, day: Day): boolean {
  return (
    facts.hasRoots &&
    facts.taxon !== null &&
    seasonOf(state, batch, facts.taxon, day).state === 'resting'
  );
}

/** A resting pot is asked after so often. Working assumption. */
const RESTING_LOOK_DAYS = 7;

function byVerdict(
  ask: Asker,
  facts: Facts,
  day: Day,
  verdict: WaterVerdict,
  count: number,
  resting: boolean,
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
  if (resting && fill.likely > BONE_DRY) {
    const until = nextOf(facts.drinks.at(-1)?.day ?? facts.lastTouch, RESTING_LOOK_DAYS, day);
    ask.leave('water', {
      until,
      earliest: until,
      latest: until,
      reason: { why: 'resting', opens: null },
    });
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
  count: number,
): void {
  const last = facts.drinks.at(-1)?.day ?? batch.stuck ?? batch.cutOn;
  const { evaporationMm } = dryingOn(state, spaceOn(batch, last, true), last);
  const { missing, hasRoots, unrooted, school } = facts;
  if (!hasRoots && unrooted === 'dry') {
    leaveUntilRoots(ask, batch, facts, day, 'dry-until-roots');
    return;
  }
  const misted = hasRoots ? school === 'mist' : unrooted === 'mist';
  const resting = rests(state, batch, facts, last);
  const habitOn = (on: Day): number =>
    !hasRoots
      ? UNROOTED_HABIT_DAYS[unrooted]
      : resting
        ? HABIT_DAYS['bone-dry-rest']
        : rootedHabit(batch, facts, on);
  const daysOn = (on: Day): number =>
    misted ? mistEvery(evaporationMm) : habitDays(habitOn(on), evaporationMm);
  const weans = hasRoots && batch.rootedInWater && batch.stuck !== null;
  const due = weans ? fellDue(last, day, daysOn) : addDays(last, daysOn(day));
  const days = daysSince(last, due);
  const tapering = taper(batch, day);
  const reason: Reason = misted
    ? { why: 'mist', last, days, evaporationMm, missing }
    : tapering !== null
      ? { why: 'tapers', days: tapering, last, every: days }
      : { why: 'habit', last, days, missing, unrooted: hasRoots ? null : unrooted, school };
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
      since: afterGate(facts, due),
      reason,
      sure: { by: misted ? 'air' : 'habit' },
    });
}

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
  if (facts.missing.length === 0) {
    if (verdict) byVerdict(ask, facts, day, verdict, facts.living, rests(state, batch, facts, day));
    else unread(ask, batch, facts, day);
  } else byHabit(ask, state, batch, facts, day, facts.living);
}
