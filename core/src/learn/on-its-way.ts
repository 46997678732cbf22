import type { Day } from '../days';
import { countedElsewhere, isRooted, type Batch } from '../journal';
import { awaitedRoots, chanceBy } from './awaited';
import { chanceOfAtMost, howMany, type HowMany } from './how-many';
import type { Ahead, Outlook } from './outlook';

/** How many of those that wait have it by the morning of a day. */
export const likelyBy = ({ line }: Outlook, { awaited, pieces }: Ahead, day: Day): HowMany =>
  howMany(pieces, chanceBy(awaited, line.at(day)));

/** How what was counted stands to what could be expected of such a batch. */
export interface OnItsWay {
  readonly day: Day;
  /** With roots or pups, of so many that are counted here. */
  readonly seen: number;
  readonly of: number;
  readonly expected: HowMany;
  readonly is: 'behind' | 'as expected' | 'ahead';
  /** Chance of so few, or fewer. */
  readonly chance: number;
}

/** As few as this, or as many, is told once in ten. */
const UNUSUAL = 0.1;

/** Whether a batch is on its way, by its last count; null before one. */
export function onItsWay(batch: Batch, { line, others, times }: Outlook): OnItsWay | null {
  const day = batch.tallies.at(-1);
  if (day === undefined) return null;
  const counted = batch.cuttings.filter((c) => !(c.left && countedElsewhere(c.left.why)));
  const seen = counted.filter(isRooted).length;
  const chance = chanceBy(awaitedRoots(others(), times.roots, 0), line.at(day));
  const few = chanceOfAtMost(seen, counted.length, chance);
  const fewer = seen === 0 ? 0 : chanceOfAtMost(seen - 1, counted.length, chance);
  return {
    day,
    seen,
    of: counted.length,
    expected: howMany(counted.length, chance),
    is: few < UNUSUAL ? 'behind' : fewer > 1 - UNUSUAL ? 'ahead' : 'as expected',
    chance: few,
  };
}
