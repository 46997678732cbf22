import { undrunkOn, type Undrunk } from '../bench';
import { addDays, type Day } from '../days';
import type { Batch } from '../journal';
import type { Drink } from '../water';
import type { Asker } from './asker';
import type { Facts } from './facts';
import type { Reason } from './reason';
import { SHADE_DAYS } from './rhythm';

/** Those that stand in pots: told twice, or dead since, no more than live. */
const pottedIn = ({ here }: Batch, { living }: Facts): number => Math.min(here.potted, living);

/** Some were potted on: a first drink for them, the tray's own course going on. */
export function pottedApart(ask: Asker, batch: Batch, facts: Facts, day: Day): void {
  const potted = pottedIn(batch, facts);
  if (facts.pottedOn !== null || potted === 0) return;
  const undrunk = undrunkOn(batch, day);
  // While their roots mend nothing is said of their water: the tray's own stands beside it.
  if (undrunk && undrunk.due <= day && facts.hasRoots) potDrink(ask, undrunk, potted, day);
}

/** They stand in shade for their first days, where that is not said of all of them. */
export function shadedApart(ask: Asker, batch: Batch, facts: Facts, day: Day): void {
  const potted = pottedIn(batch, facts);
  if (facts.pottedOn !== null || potted === 0 || ask.leaves.some((l) => l.kind === 'shade')) return;
  const fresh = batch.pottings.filter((p) => p.day <= day && day < addDays(p.day, SHADE_DAYS));
  const [first, ...more] = fresh;
  if (!first) return;
  const last = more.reduce((a, b) => (b.day > a.day ? b : a), first);
  const until = addDays(last.day, SHADE_DAYS);
  ask.leave('shade', {
    count: Math.min(
      fresh.reduce((sum, p) => sum + p.count, 0),
      potted,
    ),
    until,
    earliest: until,
    latest: until,
    reason: { why: 'shaded' },
  });
}

/** The first drink of those that were potted since the last one; the others of their batch had theirs. */
export function potDrink(
  ask: Asker,
  { count, due, restDays }: Undrunk,
  most: number,
  day: Day,
  drink?: Drink,
): void {
  const reason: Reason =
    restDays === 0 ? { why: 'potted-whole' } : { why: 'potted-rested', days: restDays };
  if (due > day) ask.leave('water', { until: due, earliest: due, latest: due, reason });
  else
    ask.do('pot-water', {
      count: Math.min(count, most),
      since: due,
      reason,
      sure: { by: 'practice' },
      drink,
    });
}
