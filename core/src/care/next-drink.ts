import { regimeOn } from '../bench';
import { addDays, type Day } from '../days';
import { spaceOn, type Batch, type State } from '../journal';
import { mistEvery, type RegimeId, type WaterVerdict } from '../water';
import type { Asker } from './asker';
import { dryingOn, type Facts } from './facts';
import { neverLate } from './first-water';
import { afterGate, byHabit } from './habit';
import type { Reason, Sure } from './reason';
import { idle, isLeftDry, resting, restOf, warmSince } from './rest';
import { MOST_LOOK_DAYS, nextOf } from './rhythm';

/** The can after the first drink: by the pot's verdict where pot and mix are told, else by habit. */
export function again(
  ask: Asker,
  state: State,
  batch: Batch,
  facts: Facts,
  day: Day,
  verdict: WaterVerdict | undefined,
): void {
  const regime = nextRegime(state, batch, facts, day);
  // Those without roots are misted beside the others that sip.
  const rooted = facts.ownRoots ? facts.inTray : batch.here.rooted + batch.here.pupped;
  const count = regime === 'base' ? rooted : facts.inTray;
  drinks(ask, state, batch, facts, day, verdict, regime, Math.min(count, facts.inTray));
}

/** What it is given next: where roots hold before another mist is due, they sip from then on. */
function nextRegime(
  state: State,
  batch: Batch,
  { holds, drinks }: Facts,
  day: Day,
): RegimeId | null {
  const regime = regimeOn(state, batch, day, holds);
  const last = drinks.at(-1)?.day;
  if (regime !== 'mist' || holds === null || last === undefined) return regime;
  const { evaporationMm } = dryingOn(state, spaceOn(batch, last, true), last);
  const mist = addDays(last, mistEvery(evaporationMm));
  return holds <= mist && mist > day ? regimeOn(state, batch, mist, holds) : regime;
}

/** @param regime what it is given until its roots drink for a pot; null once they do */
export function drinks(
  ask: Asker,
  state: State,
  batch: Batch,
  facts: Facts,
  day: Day,
  verdict: WaterVerdict | undefined,
  regime: RegimeId | null,
  count: number,
): void {
  if (isLeftDry(state, batch, facts, regime, day)) return idle(ask, batch, facts, day);
  const rest = restOf(state, batch, facts, day);
  if (facts.missing.length > 0) byHabit(ask, state, batch, facts, day, regime, count);
  else if (!verdict) unread(ask, batch, facts, day);
  else if (
    regime === null &&
    rest !== null &&
    verdict.kind !== 'closed' &&
    verdict.reason.why !== 'pool'
  )
    resting(ask, batch, facts, day, verdict, rest, count);
  else
    byVerdict(ask, facts, day, verdict, count, neverLate(regime, facts.hasRoots), (due) =>
      warmSince(state, batch, facts, regime, due, day),
    );
}

function unread(ask: Asker, batch: Batch, facts: Facts, day: Day): void {
  const last = facts.drinks.at(-1)?.day ?? batch.stuck ?? batch.cutOn;
  const tomorrow = addDays(day, 1);
  ask.leave('water', {
    until: tomorrow,
    earliest: tomorrow,
    latest: tomorrow,
    reason: { why: 'unread', last },
  });
}

function byVerdict(
  ask: Asker,
  facts: Facts,
  day: Day,
  verdict: WaterVerdict,
  count: number,
  never: boolean,
  since: (due: Day) => Day,
): void {
  const { fill, due, drink } = verdict;
  const sure: Sure = { by: 'pot', low: fill.low, high: Math.min(fill.high, 1) };
  const reason: Reason = { why: 'verdict', is: verdict.reason };
  if (verdict.poolMl > 0 && due === null && verdict.reason.why === 'pool') {
    ask.look('pool', { since: day, count, reason, sure });
    return;
  }
  if (verdict.kind === 'closed') {
    // The gate is said where the wound is; a pot that was judged under a shut gate says nothing more.
    return;
  }
  if (due === null || due.likely > day) {
    const until =
      due?.likely ??
      nextOf(
        facts.drinks.at(-1)?.day ?? facts.lastTouch,
        facts.hasRoots ? 30 : MOST_LOOK_DAYS,
        day,
      );
    ask.leave('water', {
      until,
      earliest: due?.earliest ?? until,
      latest: due?.latest ?? until,
      reason,
    });
    return;
  }
  ask.do(drink.manner === 'misted' ? 'mist' : 'water', {
    count,
    since: afterGate(facts, since(due.likely)),
    ...(never ? { late: 0 } : {}),
    reason,
    sure,
    drink,
  });
}
