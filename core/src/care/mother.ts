import { plantOf, seasonOn } from '../bench';
import { formOf, type Form, type MethodId } from '../botany';
import { addDays, type Day } from '../days';
import type { Batch, Mother, MotherEvent, MotherTending, State } from '../journal';
import { memoBy } from '../memo';
import { daysSince } from './facts';
import type { HeadsSeen, MotherDeed, Reason, RegrowsAt } from './reason';
import {
  BUD_LOOKS,
  MOTHER_DRY_DAYS,
  MOTHER_FEED_DAYS,
  MOTHER_SHADE_DAYS,
  MOTHER_STANDS,
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
  /** What was done to it last, and when; null while nothing was, or it is long past. */
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

/** What was done to it last by a day. */
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

/** The day from which new heads on the stumps of a cut are looked for. */
function headsFrom(on: Day, events: readonly MotherEvent[]): Day {
  const looked = looksOf(events).at(-1);
  return looked === undefined ? addDays(on, REGROWTH_FROM) : addDays(looked, REGROWTH_AGAIN);
}

const looksOf = (events: readonly MotherEvent[]): readonly Day[] =>
  events.flatMap((e) => (e.kind === 'mothered' && e.what === 'looked' ? e.day : []));

const eventsOf = (state: State, mother: Mother, from: Day, to: Day): readonly MotherEvent[] =>
  (state.motherEvents.get(mother.id) ?? []).filter((e) => e.day >= from && e.day <= to);

/** How long a mother is spared the knife after what was done to her. */
export interface MotherRest {
  readonly what: MotherDeed;
  readonly on: Day;
  readonly until: Day;
}

/**
 * Until when a mother is not cut: her stumps regrow first, or her roots take hold. Several ways may be taken of her on
 * one day.
 * @returns null where nothing holds the knife back
 */
export function motherRestOf(state: State, mother: Mother, day: Day): MotherRest | null {
  const deed = lastDeed(state, mother, day);
  if (deed === null || deed.on === day) return null;
  const { what, on } = deed;
  const until =
    what === 'cut'
      ? headsFrom(on, eventsOf(state, mother, on, day))
      : addDays(on, MOTHER_SHADE_DAYS);
  return day < until && daysSince(on, day) <= MOTHER_UNTIL[what] ? { what, on, until } : null;
}

/** What a mother asks after a cut, a division or a repotting, until she is as before. */
export function motherCareOf(state: State, mother: Mother, day: Day): MotherCare {
  const deed = lastDeed(state, mother, day);
  if (deed === null) return NOTHING;
  const { what, on } = deed;
  if (daysSince(on, day) > MOTHER_UNTIL[what]) return NOTHING;
  const events = eventsOf(state, mother, on, day);
  const asks: MotherAsk[] = [];
  const leave: MotherLeave[] = [];
  const ask = (
    kind: MotherTending,
    since: Day,
    reason: Reason,
    band: 'do' | 'look' = 'do',
  ): void => {
    // A drink or a step of light that stood for weeks was given or is not needed any more.
    const late = daysSince(since, day);
    if (band === 'do' && late > MOTHER_STANDS) return;
    asks.push({ band, kind, mother, since, late, reason });
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
  const heads = headsSeen(events);
  const looks = looksOf(events);
  if (what === 'cut') {
    const where = regrowsAt(state, mother);
    const from = headsFrom(on, events);
    if (day >= from) ask('looked', from, { why: 'regrowth', cut: on, where, heads }, 'look');
    else if (day >= dry)
      leave.push({ mother, until: from, reason: { why: 'regrowing', cut: on, where, heads } });
  } else {
    // Of looks that have passed the last alone is asked: what is told late is not made up for.
    const days = BUD_LOOKS.map((n) => addDays(on, n));
    const due = days.findLast((d) => d <= day);
    const last = looks.at(-1) ?? on;
    const next = days.find((d) => d > day);
    if (due !== undefined && last < due)
      ask('looked', due, { why: 'buds', what, on, heads }, 'look');
    else if (next !== undefined && day >= dry)
      leave.push({ mother, until: next, reason: { why: 'buds-ahead', what, on } });
  }
  return { asks, leave, deed };
}

const REGROWS: Readonly<Partial<Record<Form, RegrowsAt>>> = {
  strap: 'soil',
  tuber: 'soil',
  pad: 'joint',
  column: 'rim',
  globe: 'rim',
  stone: 'base',
};

function regrowsAt(state: State, { taxon }: Mother): RegrowsAt {
  const plant = taxon === undefined ? null : plantOf(state, taxon);
  const form = plant && formOf(plant.taxon);
  return (form && REGROWS[form]) ?? 'stem';
}

function headsSeen(events: readonly MotherEvent[]): HeadsSeen | null {
  const last = events.findLast((e) => e.kind === 'mothered' && e.heads !== undefined);
  return last?.kind === 'mothered' ? { count: last.heads ?? 0, on: last.day } : null;
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
