import { isCrumb, POTTED_REST, seasonOn } from '../bench';
import { lightNeedOf, lightSteps, type LightStep, type Taxon } from '../botany';
import { addDays, daysBetween, type Day } from '../days';
import { spaceOn, type Batch, type State } from '../journal';
import { memoBy } from '../memo';
import type { Asker } from './asker';
import { later, type Facts } from './facts';
import { lastTended } from './jar';
import type { Reason, Sure } from './reason';
import {
  FEED_AFTER,
  FEED_EVERY,
  GROW_ON_DAYS,
  LEAF_AFTER,
  LEAF_AGAIN,
  LIGHT_UNTIL,
  ROOTS_GROW_DAYS,
  SHADE_DAYS,
  SOIL_ROOT_MM,
} from './rhythm';

/** Once there are roots: light by steps, food, the mother leaf, the pot; and in the pot, shade and growing on. */
export function rooting(ask: Asker, state: State, batch: Batch, facts: Facts, day: Day): void {
  if (facts.inJar) return;
  leafOff(ask, batch, day, facts);
  potOn(ask, batch, facts, day);
  // Those in pots of their own drink, however many of the others have roots.
  pottedApart(ask, batch, facts, day);
  const from = rootedFrom(batch, facts);
  if (from === null || from > day) return;
  light(ask, batch, facts, day, from);
  feed(ask, state, batch, facts, day, from);
}

/** Long in pots of its own: it is a plant like any other, and only asks what becomes of it. */
export function isGrown(batch: Batch, facts: Facts, day: Day): boolean {
  const { pottedOn, rootedDays } = facts;
  const apart = singly(batch, facts) && batch.here.waiting === 0 && batch.stuck !== null;
  const since = pottedOn ?? (apart ? later(rootedDays.at(-1) ?? batch.stuck, batch.stuck) : null);
  return since !== null && daysBetween(since, day) > GROW_ON_DAYS;
}

/** From when it is hardened and fed: roots of half of them; what had its own, once set; a pot starts anew. */
function rootedFrom(batch: Batch, facts: Facts): Day | null {
  const { halfRooted, pottedOn, ownRoots } = facts;
  if (pottedOn !== null || batch.stuck === null) return pottedOn;
  if (ownRoots) return batch.stuck;
  return halfRooted === null ? null : later(halfRooted, batch.stuck);
}

function light(ask: Asker, batch: Batch, facts: Facts, day: Day, from: Day): void {
  const rested = facts.pottedOn !== null || facts.ownRoots ? SHADE_DAYS : 0;
  const age = daysBetween(from, day);
  if (rested > 0 && age < rested) {
    const until = addDays(from, rested);
    ask.leave('shade', { until, earliest: until, latest: until, reason: { why: 'shaded' } });
    return;
  }
  const all = facts.taxon ? lightStepsOf(facts.taxon) : [];
  const done = batch.tendings.filter((t) => t.what === 'light' && t.day >= from).length;
  const due = all.filter((s) => rested + s.afterDays <= age).length;
  const next = all[done];
  if (done >= due || !next || age > rested + LIGHT_UNTIL) return;
  ask.do('light', {
    since: addDays(from, rested + next.afterDays),
    late: 0,
    reason: { why: 'harden', step: done + 1, of: all.length, to: next.to },
    sure: { by: 'practice' },
  });
}

/** Some were potted on: their first drink, the tray's own course going on. */
function pottedApart(ask: Asker, batch: Batch, facts: Facts, day: Day): void {
  const last = batch.pottings.at(-1);
  if (facts.pottedOn !== null || !last || last.day > day || batch.here.potted === 0) return;
  if (last.wet === true || batch.waterings.some((w) => w.day >= last.day)) return;
  const rest = POTTED_REST[last.roots ?? 'whole'];
  const due = addDays(last.day, rest);
  const reason: Reason =
    rest === 0 ? { why: 'potted-whole' } : { why: 'potted-rested', days: rest };
  if (due <= day)
    ask.do('pot-water', { count: last.count, since: due, reason, sure: { by: 'practice' } });
}

/** The steps after bright shade, which is where it stands already; a plant of the shade stays near it. */
const lightStepsOf = (taxon: { readonly name: string }): readonly LightStep[] =>
  lightSteps(lightNeedOf(taxon)).filter((s) => s.afterDays > 0);

/** The season of a batch’s plant where it stands on a day. */
export function seasonOf(
  state: State,
  batch: Batch,
  taxon: Taxon,
  day: Day,
): ReturnType<typeof seasonOn> {
  const space = spaceOn(batch, day, true);
  return seasons(state, `${taxon.id}/${space}/${day}`, () => seasonOn(state, taxon, space, day));
}

const seasons = memoBy<State, ReturnType<typeof seasonOn>>(5000);

function feed(ask: Asker, state: State, batch: Batch, facts: Facts, day: Day, from: Day): void {
  if (facts.taxon === null) return;
  const fed = lastTended(batch, ['feed', 'jar-feed'], from);
  const due = fed === null ? addDays(from, FEED_AFTER) : addDays(fed, FEED_EVERY);
  const season = seasonOf(state, batch, facts.taxon, day);
  if (season.state === 'resting') {
    const until = addDays(day, FEED_EVERY);
    ask.leave('rest', {
      until,
      earliest: until,
      latest: until,
      reason: { why: 'resting', opens: null },
    });
    return;
  }
  if (season.state !== 'active' || due > day) return;
  ask.do('feed', {
    since: due,
    late: 0,
    reason: { why: 'feed', rooted: facts.halfRooted, fed },
    sure: { by: 'practice' },
  });
}

function leafOff(ask: Asker, batch: Batch, day: Day, { puppedDays, figures, row }: Facts): void {
  const whole = batch.method === 'leaf' && row.leafFeeds && figures !== null;
  if (!whole || batch.here.pupped === 0 || lastTended(batch, ['leaf-off']) !== null) return;
  const pupped = puppedDays[0];
  if (pupped === undefined) return;
  const put = batch.putOff.get('leaf-off');
  const crisp = batch.looks.findLast((l) => l.signs?.includes('leaf-crisp'))?.day;
  const since =
    crisp !== undefined
      ? addDays(crisp, 3)
      : put
        ? addDays(put.day, LEAF_AGAIN)
        : addDays(pupped, LEAF_AFTER);
  if (since > day) return;
  ask.look('leaf-off', {
    count: batch.here.pupped,
    since,
    late: 0,
    reason: { why: 'mother-leaf' },
    sure: { by: 'practice' },
  });
}

/** Potted singly from the first: there is nothing to pot on. */
export function potOn(ask: Asker, batch: Batch, facts: Facts, day: Day): void {
  if (singly(batch, facts)) return;
  const told = readyBySight(batch, facts);
  const pups = facts.figures?.pups != null;
  const days = (pups ? facts.puppedDays : facts.rootedDays).map((d) =>
    addDays(batch.rootedInWater && batch.stuck ? later(d, batch.stuck) : d, ROOTS_GROW_DAYS),
  );
  const ready = told?.count ?? days.filter((d) => d <= day).length;
  const count = Math.min(ready, facts.living - facts.unset) - batch.here.potted;
  if (count <= 0) return;
  ask.do('pot-on', {
    count,
    since: told?.since ?? days[batch.here.potted] ?? day,
    reason: told?.reason ?? {
      why: 'ready-counted',
      by: !pups ? 'roots' : batch.method.startsWith('leaf') ? 'leaf-pups' : 'pups',
    },
    sure: told?.sure ?? { by: 'count' },
  });
}

export function singly(batch: Batch, { row }: Facts): boolean {
  const { containers, count } = batch;
  if (containers !== undefined && containers >= count && !row.shares) return true;
  return row.singly && !isCrumb(batch);
}

/** What was seen says more than four weeks do: roots by the ruler, or a mother leaf that is gone. */
function readyBySight(
  batch: Batch,
  { inJar }: Facts,
): {
  readonly count: number;
  readonly since: Day;
  readonly reason: Reason;
  readonly sure: Sure;
} | null {
  const since = batch.rootedInWater ? (batch.stuck ?? '') : '';
  const root = batch.measured.findLast((m) => m.what === 'root' && m.day >= since);
  const told = batch.looks.findLast((l) => l.rootMm !== undefined && l.day >= since);
  const { rooted, pupped } = batch.here;
  const mm = root?.mm ?? told?.rootMm;
  if (mm !== undefined && !inJar)
    return {
      count: mm >= SOIL_ROOT_MM ? rooted + pupped : 0,
      since: (root ?? told)!.day,
      reason: { why: 'ready-roots', mm },
      sure: { by: 'ruler' },
    };
  const off = lastTended(batch, ['leaf-off']);
  if (off !== null && batch.method === 'leaf')
    return {
      count: pupped,
      since: off,
      reason: { why: 'ready-leaf-off' },
      sure: { by: 'sight' },
    };
  return null;
}
