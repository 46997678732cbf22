import type { Day } from '../days';
import { countedElsewhere, isRooted, type Batch } from '../journal';
import { awaitedRoots } from './awaited';
import { chanceOn } from './guessed-air';
import { chanceOfAtMost, howMany, type HowMany } from './how-many';
import type { Ahead, Outlook } from './outlook';

/** How many of those that wait have it by the morning of a day. */
export const likelyBy = (outlook: Outlook, { awaited, pieces }: Ahead, day: Day): HowMany =>
  howMany(pieces, chanceOn(outlook, awaited, day));

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
export function onItsWay(batch: Batch, outlook: Outlook): OnItsWay | null {
  const { others, times } = outlook;
  const day = batch.tallies.at(-1);
  if (day === undefined) return null;
  const counted = batch.cuttings.filter((c) => !(c.left && countedElsewhere(c.left.why)));
  const seen = counted.filter(isRooted).length;
  const chance = chanceOn(outlook, awaitedRoots(others(), times.roots, 0), day);
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
