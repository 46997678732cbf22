import { leftDryUnder, potting } from '../bench';
import { addDays, type Day } from '../days';
import type { Batch, State } from '../journal';
import { BONE_DRY, type RegimeId, type WaterVerdict } from '../water';
import type { Asker } from './asker';
import type { Facts } from './facts';
import type { Reason } from './reason';
import { FREE_LOOK_DAYS, nextOf } from './rhythm';
import { seasonOf } from './rooted';

/** In its rest for cold or heat: nearly dry, whatever its school has it in growth; null while it grows. */
export function restOf(state: State, batch: Batch, facts: Facts, day: Day): 'cold' | 'heat' | null {
  if (facts.taxon === null) return null;
  const { state: season, tempC } = seasonOf(state, batch, facts.taxon, day);
  if (season !== 'resting') return null;
  return tempC > facts.taxon.season.toC ? 'heat' : 'cold';
}

/** Without roots, in a rest too cold for it to drink: it is left dry. */
export function isLeftDry(
  state: State,
  batch: Batch,
  facts: Facts,
  regime: RegimeId | null,
  day: Day,
): boolean {
  if (facts.taxon === null || facts.hasRoots) return false;
  const under = leftDryUnder(state, batch, regime, facts.taxon);
  if (under === -Infinity) return false;
  const { state: season, tempC, frost } = seasonOf(state, batch, facts.taxon, day);
  return season === 'resting' && (frost || tempC < under);
}

/**
 * Since when a drink is due that fell due in the cold, when it was left dry: nothing was late then.
 * @param due when it would have been
 * @param day on which it is not left dry
 */
export function warmSince(
  state: State,
  batch: Batch,
  facts: Facts,
  regime: RegimeId | null,
  due: Day,
  day: Day,
): Day {
  if (due >= day || facts.taxon === null || facts.hasRoots) return due;
  if (leftDryUnder(state, batch, regime, facts.taxon) === -Infinity) return due;
  let since = day;
  while (since > due && !isLeftDry(state, batch, facts, regime, addDays(since, -1)))
    since = addDays(since, -1);
  return since;
}

/** What rests is given a little so often, once it is bone dry. Common practice, no source; 3–6 weeks. */
export const REST_DRINK_DAYS = 28;
/** Of what it would be given in growth. Working assumption; 0.15–0.4. */
const REST_SHARE = 0.25;

/** Nothing until it grows again. */
export function idle(ask: Asker, batch: Batch, facts: Facts, day: Day): void {
  const since = facts.drinks.at(-1)?.day ?? potting(batch).since ?? batch.cutOn;
  const until = nextOf(since, FREE_LOOK_DAYS, day);
  const reason: Reason = { why: 'resting', opens: null, by: 'cold' };
  ask.leave('water', { until, earliest: until, latest: until, reason });
}

/** Nearly dry: a little now and then, so that its roots live; never late, for nothing is lost by waiting. */
export function resting(
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
      reason: { why: 'rest-drink', by },
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
