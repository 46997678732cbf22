import { addDays, daysBetween, type Day } from '../days';
import type { Batch } from '../journal';
import { chanceClosedOn, type WoundClock } from '../wound';
import type { Facts } from './facts';
import type { Asker } from './asker';
import { jarEnd } from './jar';
import type { Reason } from './reason';
import { TOUCH_CHANCE } from './rhythm';

/** The wound: it dries, is touched, and its piece is set into medium or jar. */
export function setting(ask: Asker, batch: Batch, facts: Facts, day: Day): void {
  const { clock, setOn, unset, unsetRooted, row, gate } = facts;
  if (gate?.gate.state === 'stopped' && facts.drinks.length === 0 && woundShows(facts)) {
    ask.look('stopped', {
      since: batch.cutOn,
      late: 0,
      reason: { why: 'stopped', tacky: batch.woundChecks.at(-1)?.seen === 'tacky' },
      sure: { by: 'air' },
    });
  }
  if (woundShows(facts)) touch(ask, batch, facts, day);
  if (unset <= 0) return;
  // A count of roots is an event wherever the piece lies; of bare ones only those with roots are set.
  if (unsetRooted > 0) {
    ask.do('stick', {
      count: row.setWhen === 'rooted' ? unsetRooted : unset,
      since: facts.rootsSince ?? day,
      ...(facts.laid ? { onto: true as const } : {}),
      reason: { why: 'roots-on-rack', misted: facts.laid },
      sure: { by: 'count' },
    });
    return;
  }
  if (row.setWhen === 'rooted') return;
  if (setOn === null) return;
  if (day >= setOn)
    ask.do('stick', {
      count: unset,
      ...(facts.laid ? { onto: true as const } : {}),
      since: setOn,
      reason: setReason(batch, facts, day),
      sure: clock === null ? { by: 'fact' } : { by: 'closure', chance: chanceClosedOn(clock, day) },
    });
  else
    ask.leave('drying', {
      count: unset,
      until: setOn,
      earliest: setOn,
      latest: setOn,
      reason: drying(batch, facts, ask.closure),
    });
}

function setReason(batch: Batch, { clock, forJar, taxon, row, ownRoots }: Facts, day: Day): Reason {
  const { opening } = batch;
  if (forJar) return { why: 'into-jar', under: jarEnd(batch, taxon) };
  if (row.storedDays > 0) return { why: 'sow' };
  if (clock === null)
    return { why: 'no-wound', ownRoots, left: row.shows === 'shoots' && opening === 'parted' };
  if (batch.dryDays !== undefined)
    return { why: 'chosen-days', days: batch.dryDays, opens: opensOf(clock) };
  return chanceClosedOn(clock, day) >= TOUCH_CHANCE
    ? { why: 'closed' }
    : { why: 'school', school: batch.school };
}

function drying(batch: Batch, facts: Facts, closure: number): Reason {
  const { clock, row } = facts;
  if (clock === null && row.storedDays > 0)
    return { why: 'stored', days: batch.dryDays ?? row.storedDays };
  const opens = clock && opensOf(clock);
  return batch.dryDays === undefined
    ? {
        why: 'closing',
        closure,
        // A date that is only a bound is said with the gate, once; where its first drink comes later, that is its day.
        opens: slowUntil(batch, facts) === null && facts.first?.on === opens ? opens : null,
        again: null,
      }
    : { why: 'chosen-days', days: batch.dryDays, opens };
}

const opensOf = ({ gate }: WoundClock): Day | null => (gate.state === 'dated' ? gate.opens : null);

/** What is set lies open to a thumb on the surface alone: nobody digs to see. */
const woundShows = ({ unset, row }: Facts): boolean => unset > 0 || row.look === 'as-it-lies';

/**
 * A touch tells more than the clock; while it is too soon, or one was lately, the wound is left in peace, and so is what
 * lies bare until it has roots: there it moves no date.
 */
function touch(ask: Asker, batch: Batch, facts: Facts, day: Day): void {
  const { gate: clock, row } = facts;
  if (row.setWhen === 'rooted') return;
  if (clock === null || clock.gate.state === 'stopped' || clock.gate.opens <= day) return;
  const last = batch.woundChecks.findLast((c) => c.day >= clock.from);
  if (last?.seen === 'firm') return;
  const again = last ? addDays(last.day, restsFor(clock, last.day)) : day;
  if (again > day) return;
  const chance = chanceClosedOn(clock, day);
  if (chance < TOUCH_CHANCE && slowUntil(batch, facts) === null) return;
  ask.look('wound', {
    since: again,
    late: 0,
    reason: { why: 'touch' },
    sure: { by: 'closure', chance },
  });
}

/** A wound that was touched rests for a quarter of what its closing is unsure by, and no longer than its age has in it. */
function restsFor({ gate, from }: WoundClock, last: Day): number {
  const unsure = gate.state === 'dated' ? daysBetween(gate.earliest, gate.latest) / 4 : 0;
  const age = Math.ceil(REST_OF_AGE * daysBetween(from, last));
  return Math.max(1, Math.min(Math.round(unsure), Math.max(age, LEAST_REST)));
}

/** A touch after a third of its age more tells something new. Working assumption; a fifth to a half. */
const REST_OF_AGE = 0.3;
const LEAST_REST = 2;

/** A gate further off than this after a tacky look says how little one look tells, not how long the wound takes. */
const FAR_OFF_DAYS = 30;

/**
 * The day for the next touch of a wound that was seen tacky far past its time, where one can be touched: until then its
 * date is no more than a bound. Null for all others.
 */
export function slowUntil(batch: Batch, facts: Facts): Day | null {
  const { gate: clock } = facts;
  if (clock === null || clock.gate.state === 'stopped' || !woundShows(facts)) return null;
  const last = batch.woundChecks.findLast((c) => c.day >= clock.from);
  if (last?.seen !== 'tacky' || daysBetween(last.day, clock.gate.opens) <= FAR_OFF_DAYS)
    return null;
  return addDays(last.day, restsFor(clock, last.day));
}
