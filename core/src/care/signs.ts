import type { Course } from '../course';
import { addDays, type Day } from '../days';
import type { Batch, Sign } from '../journal';

/*
 * What a look tells beside its answer counts: roots that were seen want a count, roots that fill their pot a larger
 * one, what harms keeps the can away and is looked at again. Common practice, no source.
 */

const OF_ROOTS: ReadonlySet<Sign> = new Set(['root-points', 'white-roots', 'brown-roots']);
const POT_BOUND: ReadonlySet<Sign> = new Set(['pot-bulging', 'roots-out']);

/** What keeps the can away for so many days from its look on. */
const NO_CAN_DAYS: Readonly<Partial<Record<Sign, number>>> = {
  'dead-roots': 5,
  'black-leaf': 5,
  'crown-wet': 3,
  gnats: 5,
};
/** What is looked at again so many days later. */
const AGAIN_DAYS: Readonly<Partial<Record<Sign, number>>> = {
  'dead-roots': 7,
  'black-leaf': 5,
  'broken-leaf': 14,
  'crown-wet': 3,
  gnats: 7,
};

/** Signs that hold the can or are looked at again. */
export const MINDED = Object.keys(AGAIN_DAYS) as readonly Sign[];

type Look = Batch['looks'][number];

/**
 * Whether a look tells of roots. Where growth is all that shows, new growth tells of them; where a tug would, a top
 * that grows lives on its reserves as likely as not.
 */
export const showsRoots = (
  { signs }: Pick<Look, 'signs'>,
  { look }: Pick<Course, 'look'>,
): boolean =>
  signs?.some((s) => OF_ROOTS.has(s) || (s === 'new-growth' && look === 'by-growth')) === true;

/** The day roots were seen that nobody has counted since; null where none were, or nothing waits any more. */
export function rootsToCount(
  { looks, tallies, here }: Batch,
  row: Pick<Course, 'look'>,
): Day | null {
  if (here.waiting === 0) return null;
  const seen = looks.findLast((l) => showsRoots(l, row))?.day;
  const counted = tallies.at(-1) ?? '';
  return seen !== undefined && seen > counted ? seen : null;
}

/** The day roots were seen to fill their pot, if nothing was potted on since; null where they do not. */
export function potBound({ looks, pottings }: Batch): Day | null {
  const seen = looks.findLast((l) => l.signs?.some((s) => POT_BOUND.has(s)))?.day;
  const potted = pottings.at(-1)?.day ?? '';
  return seen !== undefined && seen > potted ? seen : null;
}

/** A sign that is minded, and until when. */
export interface Minded {
  readonly sign: Sign;
  readonly seen: Day;
  readonly until: Day;
}

function longest(
  batch: Batch,
  days: Readonly<Partial<Record<Sign, number>>>,
  day: Day,
): Minded | null {
  const look = batch.looks.findLast((l) => l.day <= day);
  let most: Minded | null = null;
  for (const sign of look?.signs ?? []) {
    const n = days[sign];
    if (n === undefined || !look) continue;
    const until = addDays(look.day, n);
    if (most === null || until > most.until) most = { sign, seen: look.day, until };
  }
  return most;
}

/** What the last look found keeps the can away on a day; null where nothing does. A look without it ends it. */
export function heldBySign(batch: Batch, day: Day): Minded | null {
  const held = longest(batch, NO_CAN_DAYS, day);
  return held && held.until > day ? held : null;
}

/** The last day on which such a hold ended, by its time or by a look without it: nothing was due before. */
export function heldBefore({ looks }: Batch, day: Day): Day | null {
  let last: Day | null = null;
  looks.forEach(({ day: seen, signs = [] }, i) => {
    const days = Math.max(0, ...signs.map((s) => NO_CAN_DAYS[s] ?? 0));
    if (days === 0) return;
    const until = addDays(seen, days);
    const next = looks[i + 1]?.day ?? until;
    const end = next < until ? next : until;
    if (end <= day && (last === null || end > last)) last = end;
  });
  return last;
}

/** What the last look found wants another one; null where nothing does. */
export const lookAgain = (batch: Batch, day: Day): Minded | null => longest(batch, AGAIN_DAYS, day);

/** It grows crested, and is sold and cut as that. */
export const isCrested = ({ looks }: Pick<Batch, 'looks'>): boolean =>
  looks.some((l) => l.signs?.includes('crested') === true);
