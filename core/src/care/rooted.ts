import { bySpace, seasonOn, type SeasonDay } from '../bench';
import { leafKind, lightNeedOf, lightSteps, methodAs, type LightStep, type Taxon } from '../botany';
import { addDays, dayNumber, daysBetween, later, type Day } from '../days';
import { spaceOn, type Batch, type Feeding, type State } from '../journal';
import { memoAround } from '../memo';
import type { Asker } from './asker';
import { pottedApart, shadedApart } from './potted';
import type { Facts } from './facts';
import { lastTended } from './jar';
import type { ReadyBy, Reason, Sure } from './reason';
import { potBound } from './signs';
import { keptDry } from './verdict';
import {
  FEED_AFTER,
  FEED_EVERY,
  GROW_ON_DAYS,
  LEAF_AFTER,
  LEAF_AGAIN,
  LIGHT_UNTIL,
  nextOf,
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
  opening(ask, batch, facts, day);
  const from = rootedFrom(batch, facts);
  if (from !== null && from <= day) {
    if (!tooHot(state, batch, facts, day)) light(ask, batch, facts, day, from);
    feed(ask, state, batch, facts, day, from);
  }
  shadedApart(ask, batch, facts, day);
}

/** Long in pots of its own: it is a plant like any other, and only asks what becomes of it. */
export function isGrown(batch: Batch, facts: Facts, day: Day): boolean {
  const { pottedOn, rootedDays } = facts;
  const apart = facts.staysPut && batch.here.waiting === 0 && batch.stuck !== null;
  const since = pottedOn ?? (apart ? later(rootedDays.at(-1) ?? batch.stuck, batch.stuck) : null);
  return since !== null && daysBetween(since, day) > GROW_ON_DAYS;
}

/** From when it is hardened and fed: roots of half of them; what had its own, once set; a pot starts anew. */
export function rootedFrom(batch: Batch, facts: Facts): Day | null {
  const { halfRooted, pottedOn, ownRoots, row } = facts;
  if (pottedOn !== null || batch.stuck === null) return pottedOn;
  if (ownRoots) return batch.stuck;
  // Seedlings are left as they are until half of them have true leaves.
  if (row.shows === 'seedlings') return facts.puppedDays[Math.ceil(facts.living / 2) - 1] ?? null;
  return halfRooted === null ? null : later(halfRooted, batch.stuck);
}

/** Too hot to grow: nothing is put into more sun then. */
function tooHot(state: State, batch: Batch, { taxon }: Facts, day: Day): boolean {
  return taxon !== null && seasonOf(state, batch, taxon, day).tempC > taxon.season.toC;
}

function light(ask: Asker, batch: Batch, facts: Facts, day: Day, from: Day): void {
  const rested = restedDays(facts);
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

/** The steps after bright shade, which is where it stands already; a plant of the shade stays near it. */
const lightStepsOf = (taxon: { readonly name: string }): readonly LightStep[] =>
  lightSteps(lightNeedOf(taxon)).filter((s) => s.afterDays > 0);

/** The season of a batch’s plant where it stands on a day. */
export function seasonOf(state: State, batch: Batch, taxon: Taxon, day: Day): SeasonDay {
  const space = spaceOn(batch, day, true);
  const ofSpace = bySpace(state, space, seasons, () => new Map<Taxon, Map<Day, SeasonDay>>());
  let days = ofSpace.get(taxon);
  if (!days) ofSpace.set(taxon, (days = new Map<Day, SeasonDay>()));
  let season = days.get(day);
  if (!season) days.set(day, (season = seasonOn(state, taxon, space, day)));
  return season;
}

/** The next day on which it does not rest; null if not within the year. */
function restEnds(state: State, batch: Batch, taxon: Taxon, day: Day): Day | null {
  const rests = (on: Day): boolean => seasonOf(state, batch, taxon, on).state === 'resting';
  // By weeks first, the same whatever the day it is asked on: a few mild days are no season.
  for (let n = 7 - (dayNumber(day) % 7); n <= 371; n += 7) {
    if (rests(addDays(day, n))) continue;
    for (let d = Math.max(1, n - 6); d < n; d++)
      if (!rests(addDays(day, d))) return addDays(day, d);
    return addDays(day, n);
  }
  return null;
}

/** When it is fed, were it in growth: two weeks after roots, and after the last time. */
function feedDue(batch: Batch, from: Day): { readonly fed: Day | null; readonly due: Day } {
  const fed = lastTended(batch, ['feed', 'jar-feed'], from);
  return { fed, due: fed === null ? addDays(from, FEED_AFTER) : addDays(fed, FEED_EVERY) };
}

/** How it is fed: as told of it, as its grower feeds, else while it grows. */
const feedingOf = (state: State, batch: Batch): Feeding =>
  batch.feeding ?? state.settings.feeding ?? 'in-growth';

/** Growth is what is fed; who feeds all the year round leaves out the rest alone. */
const feedsIn = (habit: Feeding, season: SeasonDay['state']): boolean =>
  season === 'active' || (habit === 'fortnightly' && season === 'marginal');

const drankOn = ({ waterings }: Batch, day: Day): boolean => waterings.some((w) => w.day === day);

/**
 * The first feed as it will be asked for: in growth, with a drink, from this day on; null where it has no roots or
 * never grows.
 * @param drinks when it drinks next, where that is known
 */
export function firstFeed(
  state: State,
  batch: Batch,
  facts: Facts,
  day: Day,
  drinks: Day | null,
): Day | null {
  const from = rootedFrom(batch, facts);
  const habit = feedingOf(state, batch);
  if (from === null || facts.taxon === null || habit === 'never') return null;
  const { due } = feedDue(batch, from);
  // With the drink of today only what is due today.
  const open = drinks === null || (due <= day && drankOn(batch, day)) ? day : drinks;
  const first = later(due, open);
  for (let n = 0; n <= 366; n++) {
    const on = addDays(first, n);
    if (feedsIn(habit, seasonOf(state, batch, facts.taxon, on).state)) return on;
  }
  return null;
}

/** The first step into more light as it will be asked for; null where it has no roots, or needs none any more. */
export function firstLight(state: State, batch: Batch, facts: Facts, day: Day): Day | null {
  const from = rootedFrom(batch, facts);
  const [first] = facts.taxon ? lightStepsOf(facts.taxon) : [];
  if (from === null || !first) return null;
  const rested = restedDays(facts);
  const until = addDays(from, rested + LIGHT_UNTIL);
  if (day > until) return null;
  const due = addDays(from, rested + first.afterDays);
  // Days that have been are told as they were; ahead, nothing is put into the sun while it is too hot.
  for (let on = later(due, day); on <= until; on = addDays(on, 1))
    if (!tooHot(state, batch, facts, on)) return due >= day ? on : due;
  return null;
}

const restedDays = ({ pottedOn, ownRoots }: Facts): number =>
  pottedOn !== null || ownRoots ? SHADE_DAYS : 0;

const seasons = memoAround<object, Map<Taxon, Map<Day, SeasonDay>>>();

function feed(ask: Asker, state: State, batch: Batch, facts: Facts, day: Day, from: Day): void {
  if (facts.taxon === null) return;
  const habit = feedingOf(state, batch);
  const { fed, due } = feedDue(batch, from);
  const season = seasonOf(state, batch, facts.taxon, day);
  if (season.state === 'resting') {
    const opens = restEnds(state, batch, facts.taxon, day);
    const until = opens ?? nextOf(from, FEED_EVERY, day);
    ask.leave('rest', {
      until,
      earliest: until,
      latest: until,
      reason: {
        why: 'resting',
        opens,
        by: season.tempC > facts.taxon.season.toC ? 'heat' : 'cold',
      },
    });
    return;
  }
  if (habit === 'never' || !feedsIn(habit, season.state) || due > day) return;
  // Food comes in a drink: while the can is kept away it waits for the next one.
  if (keptDry(ask.leaves) !== null && !drankOn(batch, day)) return;
  ask.do('feed', {
    since: due,
    late: 0,
    reason: { why: 'feed', rooted: facts.halfRooted, fed },
    sure: { by: 'practice' },
  });
}

function leafOff(
  ask: Asker,
  batch: Batch,
  day: Day,
  { puppedDays, figures, row, taxon }: Facts,
): void {
  const kind = leafKind(taxon, batch.method);
  const whole = kind !== null && kind !== 'strap' && row.leafFeeds && figures !== null;
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

/** What stands where it is to grow is not potted on, until its pot is full of roots. */
export function potOn(ask: Asker, batch: Batch, facts: Facts, day: Day): void {
  if (facts.staysPut && potBound(batch) === null) return;
  const told = readyBySight(batch, facts);
  const pups = facts.figures?.pups != null;
  const days = (pups ? facts.puppedDays : facts.rootedDays).map((d) =>
    addDays(
      batch.rootedInWater && batch.stuck ? later(d, batch.stuck) : d,
      facts.row.shows === 'seedlings' ? 0 : ROOTS_GROW_DAYS,
    ),
  );
  const ready = told?.count ?? days.filter((d) => d <= day).length;
  const count = Math.min(ready, facts.living - facts.unset) - batch.here.potted;
  if (count <= 0) return;
  ask.do('pot-on', {
    count,
    since: told?.since ?? days[batch.here.potted] ?? day,
    reason: told?.reason ?? {
      why: 'ready-counted',
      by: pups ? readyBy(batch, facts) : facts.row.shows === 'shoots' ? 'shoots' : 'roots',
      heads: batch.heads !== null && batch.heads.count > batch.heads.of ? batch.heads.count : null,
    },
    sure: told?.sure ?? { by: 'count' },
  });
}

function readyBy(batch: Batch, { taxon }: Facts): ReadyBy {
  switch (methodAs(taxon, batch.method).young) {
    case 'true-leaves':
      return 'true-leaves';
    case 'shoots':
      return 'section';
    case 'pups':
      return 'leaf-pups';
    default:
      return 'heads';
  }
}

/** Out of the closed air of a flask by steps. Common practice, no source: over two to three weeks. */
const AIR_STEPS = 3;

function opening(ask: Asker, batch: Batch, { row }: Facts, day: Day): void {
  if (row.closedDays === 0 || batch.stuck === null) return;
  const done = batch.tendings.filter((t) => t.what === 'air' && t.day >= batch.stuck!).length;
  if (done >= AIR_STEPS) return;
  const since = addDays(batch.stuck, Math.round(((done + 1) * row.closedDays) / AIR_STEPS));
  // Long in a pot of its own, it is in the air whatever was told.
  if (since > day || daysBetween(batch.stuck, day) > 2 * row.closedDays) return;
  ask.do('air', {
    since,
    late: 0,
    reason: { why: 'opened', step: done + 1, of: AIR_STEPS },
    sure: { by: 'practice' },
  });
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
  const bound = potBound(batch);
  if (bound !== null)
    return {
      count: batch.here.rooted + batch.here.pupped,
      since: bound,
      reason: { why: 'pot-bound' },
      sure: { by: 'sight' },
    };
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
