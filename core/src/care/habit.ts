import { potting, regimeFrom } from '../bench';
import { addDays, later, type Day } from '../days';
import { spaceOn, type Batch, type State } from '../journal';
import {
  mistEvery,
  SIP_ML,
  sipEvery,
  WEAN_MOIST_DAYS,
  WEAN_TAPER_DAYS,
  type Drink,
  type RegimeId,
} from '../water';
import type { Asker } from './asker';
import { daysSince, dryingOn, type Facts } from './facts';
import { leaveUntilRoots, neverLate } from './first-water';
import type { Reason } from './reason';
import { REST_DRINK_DAYS, restOf, warmSince } from './rest';
import { HABIT_DAYS, habitDays, UNROOTED_HABIT_DAYS } from './rhythm';

/** A wound that was laid open again kept the can away: nothing was due before its gate. */
export const afterGate = ({ gate }: Facts, due: Day): Day =>
  gate?.gate.state === 'dated' ? later(due, gate.gate.opens) : due;

export function byHabit(
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
      since: afterGate(
        facts,
        warmSince(state, batch, facts, regime, later(due, regimeFrom(state, batch, day)), day),
      ),
      ...(rest || neverLate(regime, hasRoots) ? { late: 0 } : {}),
      reason: rest ? { why: 'rest-drink', by: rest } : reason,
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
