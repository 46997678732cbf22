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
  if (forJar) return { why: 'into-jar', under: jarEnd(batch, taxon) };
  if (row.storedDays > 0) return { why: 'sow' };
  if (clock === null) return { why: 'no-wound', ownRoots };
  if (batch.dryDays !== undefined)
    return { why: 'chosen-days', days: batch.dryDays, opens: opensOf(clock) };
  return chanceClosedOn(clock, day) >= TOUCH_CHANCE
    ? { why: 'closed' }
    : { why: 'school', school: batch.school };
}

function drying(batch: Batch, { clock, row }: Facts, closure: number): Reason {
  if (clock === null && row.storedDays > 0)
    return { why: 'stored', days: batch.dryDays ?? row.storedDays };
  const opens = clock && opensOf(clock);
  return batch.dryDays === undefined
    ? { why: 'closing', closure, opens }
    : { why: 'chosen-days', days: batch.dryDays, opens };
}

const opensOf = ({ gate }: WoundClock): Day | null => (gate.state === 'dated' ? gate.opens : null);

/** What is set lies open to a thumb on the surface alone: nobody digs to see. */
const woundShows = ({ unset, row }: Facts): boolean => unset > 0 || row.look === 'as-it-lies';

/**
 * A touch tells more than the clock; while it is too soon, or one was lately, the wound is left in peace, and so is what
 * lies bare until it has roots: there it moves no date.
 */
function touch(ask: Asker, batch: Batch, { gate: clock, row }: Facts, day: Day): void {
  if (row.setWhen === 'rooted') return;
  if (clock === null || clock.gate.state === 'stopped' || clock.gate.opens <= day) return;
  const last = batch.woundChecks.findLast((c) => c.day >= clock.from);
  const { earliest, latest } = clock.gate;
  const rest = Math.max(1, Math.round(daysBetween(earliest, latest) / 4));
  if (last?.seen === 'firm' || (last && daysBetween(last.day, day) < rest)) return;
  const chance = chanceClosedOn(clock, day);
  if (chance < TOUCH_CHANCE) return;
  ask.look('wound', {
    since: last ? addDays(last.day, rest) : day,
    late: 0,
    reason: { why: 'touch' },
    sure: { by: 'closure', chance },
  });
}
