import { daysBetween, type Day } from '../days';
import type { Batch, State } from '../journal';
import { settleAll } from '../faults';
import { memo, memoAround, memoBy, togetherOf } from '../memo';
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
export const rotSeen = memo((batch: Batch): Day | null => {
  let last: Day | null = null;
  const seen = (day: Day): void => {
    if (last === null || day > last) last = day;
  };
  for (const { outcome, lost } of batch.cuttings) if (outcome === 'rotted' && lost) seen(lost.by);
  for (const look of batch.looks) if (look.seen === 'soft') seen(look.day);
  return last;
});

/** What batches may share, as keys that are the same where they do, the closest first. */
const linksOf = memo((batch: Batch): readonly (readonly [Link, string])[] => {
  const keys: [Link, string][] = [];
  const add = (link: Link, key: string): void => void keys.push([link, `${link}/${key}`]);
  if (batch.tray !== undefined) add('tray', batch.tray);
  else if (batch.place !== undefined) add('place', `${batch.space}/${batch.place}`);
  if (batch.cutWith !== undefined) add('blade', `${batch.cutOn}/${batch.cutWith}`);
  // A blade that was not disinfected carries what it cut from one plant to the next, all that day.
  if (batch.disinfectant === 'none' && batch.opening !== 'snapped' && batch.opening !== 'parted')
    add('blade', `${batch.cutOn}/clean only`);
  if (batch.mother !== undefined) add('mother', batch.mother);
  if (batch.mix !== undefined && batch.container !== undefined)
    add('mix', `${batch.space}/${batch.mix}/${batch.container}`);
  return keys;
});

type Rotted = ReadonlyMap<string, readonly { readonly batch: Batch; readonly day: Day }[]>;

const gathered = memoBy<State['batches'], Rotted>(1);
const together = togetherOf();

/** What rotted, by what it shares with others; the same object while the same batches rotted. */
function rottedIn({ batches }: State): Rotted {
  return gathered(batches, '', () => {
    // A batch that cannot be read costs itself a sentence where it is asked, and none of its neighbours.
    const seen = settleAll(batches.values(), (batch) => (rotSeen(batch) === null ? [] : [batch]));
    const rotten = seen.results.flat();
    return byLinks(together(rotten), '', () => {
      const by = new Map<string, { batch: Batch; day: Day }[]>();
      for (const batch of rotten)
        for (const [, key] of linksOf(batch)) {
          const rotted = { batch, day: rotSeen(batch)! };
          const group = by.get(key);
          if (group) group.push(rotted);
          else by.set(key, [rotted]);
        }
      return by;
    });
  });
}
const byLinks = memoBy<object, Rotted>(1);
const near = memoAround<Batch, readonly Neighbour[]>();

/** All rot near a batch with what it shares, the latest first; each other batch once, by its closest link. */
function nearRot(state: State, batch: Batch): readonly Neighbour[] {
  const rotted = rottedIn(state);
  return near(batch, [rotted], () => rotAround(rotted, batch));
}

function rotAround(rotted: Rotted, batch: Batch): readonly Neighbour[] {
  // Most stand near no rot at all.
  if (rotted.size === 0 || !linksOf(batch).some(([, key]) => rotted.has(key))) return [];
  const near = new Map<string, Neighbour>();
  for (const [link, key] of linksOf(batch))
    for (const { batch: other, day } of rotted.get(key) ?? [])
      if (other.id !== batch.id && !near.has(other.id))
        near.set(other.id, { batch: other.id, link, day });
  return [...near.values()].sort((a, b) => (a.day < b.day ? 1 : -1));
}

/** The first day rot was seen in a batch; null if none was. */
const firstRot = memo((batch: Batch): Day | null => {
  const days = [
    ...batch.cuttings.flatMap(({ outcome, lost }) =>
      outcome === 'rotted' && lost ? [lost.by] : [],
    ),
    ...batch.looks.flatMap((look) => (look.seen === 'soft' ? [look.day] : [])),
  ];
  return days.reduce<Day | null>(
    (first, day) => (first === null || day < first ? day : first),
    null,
  );
});

/**
 * Whether another batch close by (same tray, place or blade) showed rot while this one lived, and before it showed any
 * itself: what spread here did not begin here.
 */
export function rotBeside(state: State, batch: Batch): boolean {
  const until = firstRot(batch) ?? batch.ended ?? '9999-12-31';
  return nearRot(state, batch).some(({ batch: id, link }) => {
    const other = state.batches.get(id);
    const day = other && firstRot(other);
    return CLOSE.has(link) && day != null && day >= batch.cutOn && day <= until;
  });
}

/** Batches whose rot puts this one at risk on a day, and what they share. */
export function neighboursAtRisk(state: State, batch: Batch, day: Day): readonly Neighbour[] {
  return nearRot(state, batch).filter((n) => {
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

/** Batches that the rot of this one puts at risk on a day, the closest first; none once it is two weeks past. */
export function atRiskOf(state: State, batch: Batch, day: Day): readonly Neighbour[] {
  const seen = rotSeen(batch);
  if (seen === null || seen > day || daysBetween(seen, day) > NEIGHBOUR_DAYS) return [];
  return riskFrom(state, batch, seen);
}

/** What rot seen in this batch on a day would put at risk: all that lives and shares something, the closest first. */
export function riskFrom(state: State, batch: Batch, day: Day): readonly Neighbour[] {
  const keys = new Map(linksOf(batch).map(([link, key]) => [key, link]));
  return [...state.batches.values()]
    .flatMap((other) => {
      if (other.id === batch.id || other.ended !== null || other.stage === 'planned') return [];
      const link = linksOf(other).find(([, key]) => keys.has(key))?.[0];
      return link === undefined ? [] : [{ batch: other.id, link, day }];
    })
    .sort((a, b) => LINKS.indexOf(a.link) - LINKS.indexOf(b.link));
}
