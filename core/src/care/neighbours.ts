import { daysBetween, type Day } from '../days';
import type { Batch, State } from '../journal';
import { sparing } from '../faults';
import { memoBy } from '../memo';
import { HELD_DAYS, NEIGHBOUR_DAYS } from './rhythm';

/** What two batches share, the closest first. */
export const LINKS = ['tray', 'place', 'blade', 'mother', 'mix'] as const;
export type Link = (typeof LINKS)[number];

/** A batch that rotted, and what it shares with another. */
export interface Neighbour {
  readonly batch: string;
  readonly link: Link;
  /** The day its rot was seen. */
  readonly day: Day;
}

/** So close that it is looked at, and the can held; the others are named. */
const CLOSE: ReadonlySet<Link> = new Set(['tray', 'place', 'blade']);

/** The last day rot was seen in a batch; null if none was. */
export function rotSeen(batch: Batch): Day | null {
  let last: Day | null = null;
  const seen = (day: Day): void => {
    if (last === null || day > last) last = day;
  };
  for (const { outcome, lost } of batch.cuttings) if (outcome === 'rotted' && lost) seen(lost.by);
  for (const look of batch.looks) if (look.seen === 'soft') seen(look.day);
  return last;
}

/** What batches may share, as keys that are the same where they do. */
function linksOf(batch: Batch): readonly (readonly [Link, string])[] {
  const keys: [Link, string][] = [];
  if (batch.tray !== undefined) keys.push(['tray', batch.tray]);
  else if (batch.place !== undefined) keys.push(['place', `${batch.space}/${batch.place}`]);
  if (batch.cutWith !== undefined) keys.push(['blade', `${batch.cutOn}/${batch.cutWith}`]);
  // A blade that was not disinfected carries what it cut from one plant to the next, all that day.
  if (batch.disinfectant === 'none' && batch.opening !== 'snapped' && batch.opening !== 'parted')
    keys.push(['blade', `${batch.cutOn}/clean only`]);
  if (batch.mother !== undefined) keys.push(['mother', batch.mother]);
  if (batch.mix !== undefined && batch.container !== undefined)
    keys.push(['mix', `${batch.space}/${batch.mix}/${batch.container}`]);
  return keys;
}

const gathered = memoBy<State['batches'], ReadonlyMap<string, readonly Neighbour[]>>(1);

/** All batches that stand near rot, with what they share, the latest first. */
function nearRot({ batches }: State): ReadonlyMap<string, readonly Neighbour[]> {
  return gathered(batches, '', () => {
    const sharing = new Map<string, Batch[]>();
    for (const batch of batches.values())
      for (const [link, key] of linksOf(batch)) {
        const name = `${link}/${key}`;
        const group = sharing.get(name);
        if (group) group.push(batch);
        else sharing.set(name, [batch]);
      }
    const near = new Map<string, Neighbour[]>();
    // A batch that cannot be read costs itself a sentence where it is asked, and none of its neighbours.
    const seen = sparing(batches.values(), (batch) => {
      const day = rotSeen(batch);
      return day === null ? [] : [{ rotted: batch, day }];
    });
    for (const { rotted, day } of seen.results.flat()) {
      for (const [link, key] of linksOf(rotted))
        for (const other of sharing.get(`${link}/${key}`) ?? []) {
          if (other.id === rotted.id) continue;
          const list = near.get(other.id) ?? [];
          if (!list.some((n) => n.batch === rotted.id)) list.push({ batch: rotted.id, link, day });
          near.set(other.id, list);
        }
    }
    for (const list of near.values()) list.sort((a, b) => (a.day < b.day ? 1 : -1));
    return near;
  });
}

/** Batches whose rot puts this one at risk on a day, and what they share. */
export function neighboursAtRisk(state: State, batch: Batch, day: Day): readonly Neighbour[] {
  return (nearRot(state).get(batch.id) ?? []).filter((n) => {
    const days = daysBetween(n.day, day);
    return days >= 0 && days <= NEIGHBOUR_DAYS;
  });
}

/** The nearest rot that calls for a look; null once it was looked at since. */
export function rotNear(state: State, batch: Batch, day: Day): Neighbour | null {
  const close = neighboursAtRisk(state, batch, day).find((n) => CLOSE.has(n.link));
  if (!close) return null;
  return batch.lastLook !== null && batch.lastLook >= close.day ? null : close;
}

/** Until when the can is held for it. */
export const heldFor = ({ day: seen }: Neighbour, day: Day): boolean =>
  daysBetween(seen, day) <= HELD_DAYS;
