import { airOf, countedPieces, plantOf, seasonOn, spaceDrying, standsInJar } from '../bench';
import { addDays, daysBetween, type Day } from '../days';
import { spaceOn, type Batch, type State, type Tending } from '../journal';
import { mistEvery } from '../water';
import type { Do, Look, RoundItem } from './item';

/*
 * What a batch asks for beside wound, water and counts: jars, the way into soil, light, feed, the mother leaf.
 * All intervals are common practice, no source.
 */

/** The water in a jar is moved every third day, for air. */
const STIR_DAYS = 3;
/** It is changed every 4 days in warmth and every 7 in the cool, and between them in proportion. */
const CHANGE_WARM = { tempC: 23, days: 4 } as const;
const CHANGE_COOL = { tempC: 15, days: 7 } as const;
/** Roots in water are 2.5–5 cm long about so many days after they first show. Working assumption; 10–21. */
const JAR_ROOTS_DAYS = 14;
/** Long enough for soil, where a root was measured. */
export const SOIL_ROOT_MM = 25;
/** More light in steps, days after roots were seen: hardened over two weeks. */
const LIGHT_STEPS: readonly number[] = [3, 8, 14];
/** Plants that have long stood as they stand need no hardening any more. */
const LIGHT_UNTIL = 28;
/** First feed after roots were seen, and every so many days in growth. */
const FEED_AFTER = 14;
const FEED_EVERY = 14;
/** A mother leaf is worth a look this long after its pup was seen, and again. Working assumption; 4–8 weeks. */
const LEAF_AFTER = 42;
const LEAF_AGAIN = 14;

const BY_PRACTICE = 'common practice';

/** Days between two changes of a jar's water. @param tempC of the air it stands in */
export function jarChangeDays(tempC: number): number {
  const { tempC: cool, days: seldom } = CHANGE_COOL;
  const { tempC: warm, days: often } = CHANGE_WARM;
  const share = Math.min(Math.max((tempC - cool) / (warm - cool), 0), 1);
  return Math.round(seldom - share * (seldom - often));
}

export function tendItems(
  state: State,
  batch: Batch,
  today: Day,
  drying: ReturnType<typeof spaceDrying>,
): readonly RoundItem[] {
  if (batch.stuck === null) return [];
  const rooted = halfRooted(batch);
  return [
    ...(standsInJar(state, batch) ? jarItems(state, batch, today, firstSeen(batch, 'rooted')) : []),
    ...(rooted === null ? [] : rootedItems(state, batch, today, rooted)),
    ...leafItems(batch, today),
    ...mistItems(state, batch, today, drying),
  ];
}

function jarItems(state: State, batch: Batch, today: Day, rooted: Day | null): readonly Do[] {
  const { here } = batch;
  if (here.waiting + here.rooted + here.pupped === 0) return [];
  const long = longRoots(batch, rooted, today);
  const wean: readonly Do[] =
    long === null
      ? []
      : [
          todo(batch, 'wean', {
            count: here.rooted + here.pupped,
            title: `Move ${countedPieces(batch.method, here.rooted + here.pupped)} to soil`,
            reason: `${long.says} Kept moister for two weeks, then let dry by steps.`,
            sure: long.sure,
          }),
        ];
  const { tempC } = airOf(state, batch.space, today);
  const every = jarChangeDays(tempC);
  const changed = lastTended(batch, ['jar-change']) ?? batch.stuck!;
  const sinceChange = daysBetween(changed, today);
  if (sinceChange >= every)
    return [
      ...wean,
      todo(batch, 'jar-change', {
        title: 'Change the water, wash the jar',
        reason: `${inDays(sinceChange)} old; at ${Math.round(tempC)} °C every ${every} days.`,
      }),
    ];
  const moved = lastTended(batch, ['jar-change', 'jar-stir']) ?? batch.stuck!;
  return daysBetween(moved, today) < STIR_DAYS
    ? wean
    : [
        ...wean,
        todo(batch, 'jar-stir', {
          title: 'Move the water gently',
          reason: 'Every third day, for air. The stem only just under the surface.',
        }),
      ];
}

/** Whether roots in a jar are ready for soil, by ruler or by time; null if not. */
function longRoots(
  batch: Batch,
  rooted: Day | null,
  today: Day,
): { readonly says: string; readonly sure: string } | null {
  if (rooted === null) return null;
  const measured = batch.measured.findLast((m) => m.what === 'root');
  if (measured)
    return measured.mm >= SOIL_ROOT_MM
      ? { says: `Roots of ${Math.round(measured.mm)} mm.`, sure: 'measured' }
      : null;
  return addDays(rooted, JAR_ROOTS_DAYS) <= today
    ? { says: 'Roots for two weeks: likely 2.5–5 cm.', sure: 'by time; a ruler is surer' }
    : null;
}

function rootedItems(state: State, batch: Batch, today: Day, rooted: Day): readonly Do[] {
  if (standsInJar(state, batch)) return [];
  const age = daysBetween(rooted, today);
  const steps = batch.tendings.filter((t) => t.what === 'light' && t.day >= rooted).length;
  const due = LIGHT_STEPS.filter((day) => day <= age).length;
  const light =
    steps < due && age <= LIGHT_UNTIL
      ? [
          todo(batch, 'light', {
            title: `A step more light, ${steps + 1} of ${LIGHT_STEPS.length}`,
            reason: 'Rooted: brighter by steps over two weeks. Shade at noon if it bleaches.',
          }),
        ]
      : [];
  return [...light, ...feedItems(state, batch, today, rooted)];
}

function feedItems(state: State, batch: Batch, today: Day, rooted: Day): readonly Do[] {
  const fed = lastTended(batch, ['feed']);
  const from = fed === null ? addDays(rooted, FEED_AFTER) : addDays(fed, FEED_EVERY);
  if (from > today) return [];
  const plant = plantOf(state, batch.taxon);
  if (!plant) return [];
  const season = seasonOn(state, plant.taxon, spaceOn(batch, today, true), today);
  if (season.state !== 'active') return [];
  return [
    todo(batch, 'feed', {
      title: 'Feed at half strength',
      reason:
        fed === null
          ? `Rooted ${inDays(daysBetween(rooted, today))} ago and ${season.reason}. By the label, halved.`
          : `Last fed ${inDays(daysBetween(fed, today))} ago and ${season.reason}.`,
    }),
  ];
}

function leafItems(batch: Batch, today: Day): readonly Look[] {
  if (batch.method !== 'leaf') return [];
  if (batch.here.pupped === 0 || lastTended(batch, ['leaf-off']) !== null) return [];
  const pupped = firstSeen(batch, 'pupped');
  if (pupped === null) return [];
  const put = batch.putOff.get('leaf-off');
  const from = put ? addDays(put.day, LEAF_AGAIN) : addDays(pupped, LEAF_AFTER);
  if (from > today) return [];
  return [
    {
      band: 'look',
      kind: 'leaf-off',
      batch,
      closure: 1,
      title: 'Is the mother leaf crisp?',
      reason: 'It feeds the pup. Leave it until it is crisp, and a few days more.',
      sure: BY_PRACTICE,
    },
  ];
}

/** Laid leaves whose pot and mix are not told are misted by the air they lie in; a told pot has a verdict. */
function mistItems(
  state: State,
  batch: Batch,
  today: Day,
  drying: ReturnType<typeof spaceDrying>,
): readonly Do[] {
  if (batch.method !== 'leaf' || batch.container !== undefined || batch.mix !== undefined)
    return [];
  const last = batch.waterings.at(-1);
  if (!last || batch.here.potted >= batch.count || standsInJar(state, batch)) return [];
  const { evaporationMm } = drying(spaceOn(batch, today, true), today);
  const every = mistEvery(evaporationMm);
  if (daysBetween(last.day, today) < every) return [];
  return [
    todo(batch, 'mist', {
      title: 'Mist the surface',
      reason: `The air takes ${evaporationMm.toFixed(1)} mm a day: every ${every === 1 ? 'day' : `${every} days`}. Hold if it is still damp.`,
      sure: 'by the air; its pot and mix are not told',
    }),
  ];
}

function todo(
  batch: Batch,
  kind: Do['kind'],
  { count = batch.count, sure = BY_PRACTICE, ...says }: Pick<Do, 'title' | 'reason'> & Partial<Do>,
): Do {
  return { band: 'do', kind, batch, closure: 1, count, sure, ...says };
}

/** The first day a cutting that still stands was seen so. */
function firstSeen(batch: Batch, kind: 'rooted' | 'pupped'): Day | null {
  return seenDays(batch, kind)[0] ?? null;
}

/** The day by which half of those that still stand had roots: light and feed are for the whole tray. */
function halfRooted(batch: Batch): Day | null {
  const { waiting, rooted, pupped } = batch.here;
  const half = Math.ceil((waiting + rooted + pupped) / 2);
  return seenDays(batch, 'rooted')[half - 1] ?? null;
}

function seenDays(batch: Batch, kind: 'rooted' | 'pupped'): readonly Day[] {
  return batch.cuttings.flatMap((c) => (c.left || c.lost ? [] : (c[kind]?.by ?? []))).sort();
}

function lastTended(batch: Batch, what: readonly Tending[]): Day | null {
  return batch.tendings.findLast((t) => what.includes(t.what))?.day ?? null;
}

const inDays = (n: number): string => (n === 1 ? '1 day' : `${n} days`);
