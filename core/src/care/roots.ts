import { addDays, daysBetween, later, type Day } from '../days';
import type { Batch } from '../journal';
import {
  beginsToShow,
  chanceOn,
  isFair,
  longFrom,
  windowPast,
  worthLooking,
  type Ahead,
  type Outlook,
} from '../learn';
import type { Asker } from './asker';
import type { Facts } from './facts';

import { leafKind, methodAs, type Young } from '../botany';
import type { Awaited, LongThen, Reason } from './reason';
import { rootsToCount } from './signs';
import {
  BUD_OPENS,
  FREE_LOOK_DAYS,
  LEAST_STANDS,
  MOST_LOOK_DAYS,
  MOST_STANDS,
  TUG_GROWTH,
} from './rhythm';

export interface NextLook {
  readonly day: Day;
  readonly latest: Day;
  readonly for: 'roots' | 'pups';
  readonly ahead: Ahead;
}

/**
 * When to look next, by the price of a look: what shows without touching is looked at about weekly from the first of
 * its window on, a tug waits until a third of those that wait are likely to hold; null if nothing is awaited.
 */
export function nextLook(batch: Batch, facts: Facts): NextLook | null {
  const usual = usualLook(batch, facts);
  const bud = budLook(batch, facts);
  return bud !== null && (usual === null || bud.day < usual.day) ? bud : usual;
}

/** A bud that was told is looked at again until it has opened, whatever still waits for roots. */
function budLook({ buds, here }: Batch, { outlook, pottedOn }: Facts): NextLook | null {
  const ahead = outlook?.pups ?? null;
  if (buds === null || here.rooted === 0 || pottedOn !== null || ahead === null) return null;
  const day = addDays(buds.day, BUD_OPENS);
  return { day, latest: addDays(day, MOST_STANDS), for: 'pups', ahead };
}

function usualLook(batch: Batch, facts: Facts): NextLook | null {
  const { outlook, pottedOn } = facts;
  const { waiting, rooted } = batch.here;
  if (pottedOn !== null || outlook === null) return null;
  const ahead = waiting > 0 ? outlook.roots : rooted > 0 ? outlook.pups : null;
  if (ahead === null) return null;
  const shows = showsItself(facts) || ahead.for === 'pups';
  const seen = ahead.for === 'roots' ? rootsToCount(batch, facts.row) : null;
  if (seen !== null) return { day: seen, latest: addDays(seen, LEAST_STANDS), for: 'roots', ahead };
  const first = shows
    ? beginsToShow(outlook, ahead)
    : afterSetting(batch, worthLooking(outlook, ahead));
  const last = batch.tallies.at(-1);
  const day = last === undefined ? first : later(first, again(outlook, last, shows));
  const gap = last === undefined ? FREE_LOOK_DAYS : daysBetween(last, day);
  const stands = Math.min(Math.max(Math.ceil(gap / 2), LEAST_STANDS), MOST_STANDS);
  return { day, latest: addDays(day, stands), for: ahead.for, ahead };
}

/** What was only just set is left in peace: nothing can hold it yet. */
const afterSetting = ({ stuck }: Batch, day: Day): Day =>
  stuck === null ? day : later(day, addDays(stuck, FREE_LOOK_DAYS));

/** The first day on which it may be looked at again: a tug sets roots back, and takes time to make good. */
function again({ line }: Outlook, last: Day, shows: boolean): Day {
  const soonest = addDays(last, FREE_LOOK_DAYS);
  if (shows) return soonest;
  const grown = line.dayFor(line.at(last) + TUG_GROWTH);
  const latest = addDays(last, MOST_LOOK_DAYS);
  return later(soonest, grown === null || grown > latest ? latest : grown);
}

/** Looks for roots and pups, wherever the piece lies: bare, in the jar, in the medium. */
export function looking(ask: Asker, batch: Batch, facts: Facts, day: Day): void {
  const { row, unset, living } = facts;
  // What should be set first is set first; what lies bare for it is looked at where it lies.
  const hidden = unset >= living && row.setWhen !== 'rooted' && facts.rootsSince === null;
  if (hidden && rootsToCount(batch, facts.row) === null) return;
  const due = nextLook(batch, facts);
  if (due === null) return;
  if (due.day > day) {
    ask.leave('rooting', {
      count: due.for === 'roots' ? batch.here.waiting : batch.here.rooted,
      until: due.day,
      earliest: due.day,
      latest: due.latest,
      reason:
        batch.tallies.length === 0
          ? { why: 'too-soon', for: due.for === 'pups' ? youngOf(batch, facts) : awaitedOf(facts) }
          : { why: 'looked-lately', free: showsItself(facts) || due.for === 'pups' },
    });
    return;
  }
  const age = daysBetween(batch.cutOn, day);
  // What nobody looked at yet is looked at; what was, and waits on, has waited long.
  const looked = due.for === 'roots' && batch.tallies.length > 0;
  const long = looked ? longFrom(batch, facts.outlook!) : null;
  const overdue = long !== null && long < day;
  ask.look(overdue ? 'overdue' : due.for, {
    count: due.for === 'roots' ? batch.here.waiting : batch.here.rooted,
    since: due.day,
    reason: overdue
      ? row.lies === 'bare'
        ? { why: 'bare-long', count: batch.here.waiting, of: living }
        : {
            why: 'long-without-roots',
            days: age,
            count: batch.here.waiting,
            of: living,
            then: longThen(batch, facts),
          }
      : looked && isPast(facts.outlook!, day)
        ? {
            why: 'not-yet',
            count: batch.here.waiting,
            ever: facts.outlook!.roots.ever,
            look: lookReason(batch, facts, due.for),
          }
        : lookReason(batch, facts, due.for),
    sure: {
      by: 'window',
      chance: chanceOn(facts.outlook!, due.ahead.awaited, day).mean,
    },
  });
}

/** Past its window, and still likelier than not to root. */
function isPast(outlook: Outlook, day: Day): boolean {
  const past = isFair(outlook) ? windowPast(outlook) : null;
  return past !== null && past < day;
}

/** Roots show where it lies, or its new growth tells of them, without a touch. */
const showsItself = ({ row, inJar }: Facts): boolean =>
  row.look === 'through-glass' ? inJar : row.look !== 'by-tug';

const awaitedOf = ({ row, ownRoots }: Facts): Awaited => {
  if (ownRoots) return 'hold';
  return row.shows === 'shoots' || row.shows === 'seedlings' ? row.shows : 'roots';
};

function longThen(batch: Batch, { row, ownRoots, inJar, taxon }: Facts): LongThen {
  if (row.shows === 'seedlings') return 'seed';
  if (ownRoots) return 'own-roots';
  if (row.shows === 'shoots') return 'root-piece';
  if (inJar) return 'jar';
  if (batch.method === 'leaf-section' || leafKind(taxon, batch.method) === 'strap')
    return 'section';
  return batch.method === 'leaf' ? 'leaf' : 'cut-again';
}

const youngOf = ({ method }: Batch, { taxon }: Facts): Young => methodAs(taxon, method).young;

function lookReason(batch: Batch, facts: Facts, awaits: 'roots' | 'pups'): Reason {
  const { row, inJar } = facts;
  const { rooted, pupped } = batch.here;
  if (awaits === 'roots' && rootsToCount(batch, facts.row) !== null) return { why: 'roots-seen' };
  if (awaits === 'pups')
    return {
      why: 'pups',
      rooted: rooted + pupped,
      pupped,
      buds: batch.buds?.count ?? 0,
      young: youngOf(batch, facts),
    };
  if (inJar) return { why: 'glass' };
  const held = batch.tallies.length > 0 ? rooted + pupped : null;
  if (row.shows === 'roots' && row.look === 'as-it-lies')
    return { why: 'lying', held, of: batch.count };
  switch (row.shows) {
    case 'root points':
      return { why: 'bare-roots', held: rooted + pupped, of: batch.count, misted: row.misted };
    case 'new growth':
      return { why: 'taken-hold' };
    case 'shoots':
      return { why: 'shoots' };
    case 'seedlings':
      return { why: 'seedlings' };
    case 'roots':
      return { why: 'tug', held, of: batch.count };
  }
}
