import { shareBy, timeWithin } from '../botany';
import { addDays, daysBetween, type Day } from '../days';
import type { Batch } from '../journal';
import type { Asker } from './asker';
import type { Facts, Span } from './facts';
import { later } from './facts';
import type { Reason } from './reason';
import { OVERDUE } from './rhythm';

export interface NextLook {
  readonly day: Day;
  readonly latest: Day;
  readonly for: 'roots' | 'pups';
  /** The window, days since the cut: one in ten has it at its beginning, nine in ten at its end. */
  readonly window: Span;
}

/**
 * When to look next, spaced by the window of what is awaited; null if nothing is. Never daily: roots that are lifted
 * to be seen start again.
 */
export function nextLook(batch: Batch, { roots, pups, spacing, pottedOn }: Facts): NextLook | null {
  const { waiting, rooted } = batch.here;
  if (pottedOn !== null) return null;
  const awaits =
    waiting > 0 && roots
      ? ({ for: 'roots', window: roots } as const)
      : rooted > 0 && pups
        ? ({ for: 'pups', window: pups } as const)
        : null;
  if (awaits === null) return null;
  const first = addDays(batch.cutOn, awaits.window.from);
  const last = batch.tallies.at(-1);
  const day = last === undefined ? first : later(first, addDays(last, spacing));
  return { day, latest: addDays(day, Math.ceil(spacing / 2)), ...awaits };
}

/** Looks for roots and pups, wherever the piece lies: bare, in the jar, in the medium. */
export function looking(ask: Asker, batch: Batch, facts: Facts, day: Day): void {
  const { course, inJar, unset, living } = facts;
  // What should be set first is set first; what lies bare for it is looked at where it lies.
  if (unset >= living && course !== 'bare' && facts.rootsSince === null) return;
  const due = nextLook(batch, facts);
  if (due === null) return;
  if (due.day > day) {
    ask.leave('rooting', {
      count: due.for === 'roots' ? batch.here.waiting : batch.here.rooted,
      until: due.day,
      earliest: due.day,
      latest: due.latest,
      reason:
        batch.tallies.length === 0 ? { why: 'too-soon', for: due.for } : { why: 'looked-lately' },
    });
    return;
  }
  const age = daysBetween(batch.cutOn, day);
  const overdue = due.for === 'roots' && age > OVERDUE * due.window.to;
  ask.look(overdue ? 'overdue' : due.for, {
    count: due.for === 'roots' ? batch.here.waiting : batch.here.rooted,
    since: due.day,
    reason: overdue
      ? course === 'bare'
        ? { why: 'bare-long' }
        : { why: 'long-without-roots', days: age }
      : lookReason(batch, facts, due.for, inJar),
    sure: { by: 'window', chance: shareBy(timeWithin(due.window), age) },
  });
}

function lookReason(
  batch: Batch,
  { course }: Facts,
  awaits: 'roots' | 'pups',
  jar: boolean,
): Reason {
  const { rooted, pupped } = batch.here;
  if (awaits === 'pups') return { why: 'pups', rooted: rooted + pupped, pupped };
  if (jar) return { why: 'glass' };
  switch (course) {
    case 'bare':
      return { why: 'bare-roots', held: rooted + pupped, of: batch.count };
    case 'rooted':
    case 'division':
    case 'culture':
      return { why: 'taken-hold' };
    case 'root-cutting':
      return { why: 'shoots' };
    case 'seed':
      return { why: 'seedlings' };
    default:
      return {
        why: 'tug',
        held: batch.tallies.length > 0 ? rooted + pupped : null,
        of: batch.count,
      };
  }
}
