import { plantOf, seasonOn } from '../bench';
import type { MethodId } from '../botany';
import { addDays, type Day } from '../days';
import type { Batch, Mother, MotherEvent, MotherTending, State } from '../journal';
import { memoBy } from '../memo';
import { daysSince } from './facts';
import type { MotherDeed, Reason } from './reason';
import {
  MOTHER_DRY_DAYS,
  MOTHER_FEED_DAYS,
  MOTHER_SHADE_DAYS,
  MOTHER_UNTIL,
  REGROWTH_AGAIN,
  REGROWTH_FROM,
} from './rhythm';

/** Something a day asks of a mother. */
export interface MotherAsk {
  readonly band: 'do' | 'look';
  readonly kind: MotherTending;
  readonly mother: Mother;
  readonly since: Day;
  readonly late: number;
  readonly reason: Reason;
}

export interface MotherLeave {
  readonly mother: Mother;
  readonly until: Day;
  readonly reason: Reason;
}

export interface MotherCare {
  readonly asks: readonly MotherAsk[];
  readonly leave: readonly MotherLeave[];
  /** What was done to her last, and when; null while nothing was, or it is long past. */
  readonly deed: { readonly what: MotherDeed; readonly on: Day } | null;
}

const NOTHING: MotherCare = { asks: [], leave: [], deed: null };

/** Ways that leave a stump on her, which breaks again. */
const STUMPED: ReadonlySet<MethodId> = new Set([
  'crown',
  'segment',
  'trailing',
  'branch',
  'pad',
  'column',
  'leaf-section',
]);
/** Ways that part her. */
const PARTED: ReadonlySet<MethodId> = new Set(['division']);

const cuts = memoBy<State['batches'], ReadonlyMap<string, readonly Batch[]>>(1);

function batchesOf({ batches }: State, mother: string): readonly Batch[] {
  return (
    cuts(batches, '', () => {
      const by = new Map<string, Batch[]>();
      for (const batch of batches.values()) {
        if (batch.mother === undefined || batch.cut === null || batch.partOf !== undefined)
          continue;
        const list = by.get(batch.mother) ?? [];
        list.push(batch);
        by.set(batch.mother, list);
      }
      return by;
    }).get(mother) ?? []
  );
}

/** What was done to her last by a day. */
function lastDeed(state: State, mother: Mother, day: Day): MotherCare['deed'] {
  const deeds: { what: MotherDeed; on: Day }[] = [];
  for (const { method, cut } of batchesOf(state, mother.id)) {
    if (PARTED.has(method)) deeds.push({ what: 'divided', on: cut! });
    else if (STUMPED.has(method)) deeds.push({ what: 'cut', on: cut! });
  }
  for (const event of state.motherEvents.get(mother.id) ?? [])
    if (event.kind !== 'mothered') deeds.push({ what: event.kind, on: event.day });
  return (
    deeds.filter((d) => d.on <= day).sort((a, b) => (a.on < b.on ? 1 : a.on > b.on ? -1 : 0))[0] ??
    null
  );
}

/** What a mother asks after a cut, a division or a repotting, until she is as before. */
export function motherCareOf(state: State, mother: Mother, day: Day): MotherCare {
  const deed = lastDeed(state, mother, day);
  if (deed === null) return NOTHING;
  const { what, on } = deed;
  if (daysSince(on, day) > MOTHER_UNTIL) return NOTHING;
  const events = (state.motherEvents.get(mother.id) ?? []).filter(
    (e) => e.day >= on && e.day <= day,
  );
  const asks: MotherAsk[] = [];
  const leave: MotherLeave[] = [];
  const ask = (
    kind: MotherTending,
    since: Day,
    reason: Reason,
    band: 'do' | 'look' = 'do',
  ): void => {
    asks.push({ band, kind, mother, since, late: daysSince(since, day), reason });
  };
  const dry = addDays(on, MOTHER_DRY_DAYS[what]);
  if (day < dry) leave.push({ mother, until: dry, reason: { why: 'mother-dry', what, on } });
  else if (what !== 'cut' && !done(events, 'watered') && !drank(state, mother.id, on))
    ask('watered', dry, { why: 'mother-drinks', what, on });
  if (what !== 'cut') {
    const shade = addDays(on, MOTHER_SHADE_DAYS);
    if (day < shade)
      leave.push({ mother, until: shade, reason: { why: 'mother-shade', what, on } });
    else if (!done(events, 'light')) ask('light', shade, { why: 'mother-light', what, on });
  }
  const feed = addDays(on, MOTHER_FEED_DAYS);
  if (day >= feed && !done(events, 'feed') && grows(state, mother, day))
    ask('feed', feed, { why: 'mother-feed', what, on });
  if (what === 'cut') {
    const looked = events.filter((e) => e.kind === 'mothered' && e.what === 'looked').at(-1)?.day;
    const from =
      looked === undefined ? addDays(on, REGROWTH_FROM) : addDays(looked, REGROWTH_AGAIN);
    if (day >= from) ask('looked', from, { why: 'regrowth', cut: on }, 'look');
    else if (day >= dry) leave.push({ mother, until: from, reason: { why: 'regrowing', cut: on } });
  }
  return { asks, leave, deed };
}

const done = (events: readonly MotherEvent[], what: MotherTending): boolean =>
  events.some((e) => e.kind === 'mothered' && e.what === what);

const drank = (state: State, mother: string, since: Day): boolean =>
  (state.examinations.get(mother) ?? []).some((e) => (e.wateredOn ?? '') > since);

function grows(state: State, mother: Mother, day: Day): boolean {
  const plant = mother.taxon === undefined ? null : plantOf(state, mother.taxon);
  if (!plant || mother.space === undefined) return false;
  return seasonOn(state, plant.taxon, mother.space, day).state === 'active';
}
