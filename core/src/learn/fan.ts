import { addDays, daysBetween, type Day } from '../days';
import { countedElsewhere, isRooted, type Batch } from '../journal';
import { awaitedRoots, type Awaited } from './awaited';
import { chanceOn } from './guessed-air';
import { howMany, type HowMany } from './how-many';
import type { Outlook } from './outlook';

/** How many with roots are to be expected on a day since the cut. */
export interface FanDay extends HowMany {
  readonly day: number;
}

/** Roots that are to be expected of a batch over its days, and those that were counted. */
export interface RootsFan {
  /** That are counted in this batch. */
  readonly of: number;
  /** What was to be expected of such a batch, whatever it has shown since. */
  readonly expected: readonly FanDay[];
  /** What is to be expected from the last count on, all its looks laid in; empty where nobody has counted. */
  readonly ahead: readonly FanDay[];
  readonly counted: readonly { readonly day: number; readonly rooted: number }[];
  readonly today: number;
}

/** Points along the days: enough for a curve. */
const POINTS = 24;
/** The fan goes on a little past nine in ten. */
const BEYOND = 1.15;
/** A fan of years says nothing any more. */
const LONGEST_DAYS = 730;

/** @param today a fan reaches it at least */
export function rootsFan(batch: Batch, outlook: Outlook, today: Day): RootsFan {
  const { times, roots } = outlook;
  const { cutOn, tallies } = batch;
  const pieces = batch.cuttings.filter((c) => !(c.left && countedElsewhere(c.left.why)));
  const whole = awaitedRoots(outlook.others(), times.roots, 0);
  const now = Math.max(0, daysBetween(cutOn, today));
  const long = Math.max(now, Math.round(BEYOND * daysBetween(cutOn, roots.to)), 7);
  const last = Math.min(long, Math.max(now, LONGEST_DAYS));
  const days = (from: number): readonly number[] => {
    const step = Math.max(1, (last - from) / POINTS);
    const all = Array.from({ length: POINTS + 1 }, (_, i) => Math.round(from + i * step));
    return [...new Set([...all.filter((n) => n < last), last])];
  };
  const by = (awaited: Awaited, n: number) => chanceOn(outlook, awaited, addDays(cutOn, n));
  const looked = tallies.at(-1);
  const since = looked === undefined ? null : daysBetween(cutOn, looked);
  const had = pieces.filter(isRooted).length;
  return {
    of: pieces.length,
    today: now,
    expected: days(0).map((day) => ({
      day,
      ...howMany(pieces.length, by(whole, day)),
    })),
    ahead:
      since === null || roots.pieces === 0
        ? []
        : days(since).map((day) => {
            const more = howMany(roots.pieces, by(roots.awaited, day));
            return { day, mean: had + more.mean, low: had + more.low, high: had + more.high };
          }),
    counted: tallies.map((tally) => ({
      day: daysBetween(cutOn, tally),
      rooted: pieces.filter(
        (c) => (c.rooted ?? c.pupped)?.by && (c.rooted ?? c.pupped)!.by <= tally,
      ).length,
    })),
  };
}
