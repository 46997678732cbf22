import type { Day } from '../days';
import { coalesce, gatherAlike, sliceAlike, spread, type Alike } from './alike';
import { isLoss, type Between, type Cutting } from './cutting';
import type { EntryOf } from './entry';
import { OUTCOMES, type Outcome } from './outcome';
import type { Parting, RecutFor } from './parting';
import type { BatchFields } from './records';

export type Carried = NonNullable<BatchFields['carried']>;
export type Taken = EntryOf<'parted'>['taken'];

type Leaving = Pick<EntryOf<'parted'>, 'day' | 'why' | 'taken' | 'places' | 'cause'>;

/**
 * Marks the cuttings that leave. Where no places are told the last of each kind go, those whose place was
 * never told first. Asking for more than there are takes what there is.
 * @param counted the last day on which the whole batch was counted, or that of the cut
 */
export function applyLeaving(
  groups: readonly Alike[],
  leaving: Leaving,
  counted: Day,
): readonly Alike[] {
  return coalesce(
    splitOff(groups, leaving).map(({ group, chosen }) =>
      chosen ? leave(group, leaving, counted) : group,
    ),
  );
}

/** The cuttings that a parting takes. */
export function chooseLeaving(
  cuttings: readonly Cutting[],
  leaving: Pick<Leaving, 'taken' | 'places'>,
): readonly Cutting[] {
  return spread(
    splitOff(gatherAlike(cuttings), leaving).flatMap(({ group, chosen }) =>
      chosen ? [group] : [],
    ),
  );
}

interface Chosen {
  readonly group: Alike;
  readonly chosen: boolean;
}

/** The groups cut where those that leave end, in order of place. */
function splitOff(
  groups: readonly Alike[],
  { taken, places }: Pick<Leaving, 'taken' | 'places'>,
): readonly Chosen[] {
  return places ? atPlaces(groups, places) : lastOfEach(groups, taken);
}

function atPlaces(groups: readonly Alike[], places: readonly number[]): readonly Chosen[] {
  const wanted = [...new Set(places)].sort((a, b) => a - b);
  let w = 0;
  return groups.flatMap((group): readonly Chosen[] => {
    const end = group.from + group.count;
    const inside: number[] = [];
    while (w < wanted.length && wanted[w]! < group.from) w++;
    for (; w < wanted.length && wanted[w]! < end; w++) inside.push(wanted[w]!);
    if (group.left || inside.length === 0) return [{ group, chosen: false }];
    const out: Chosen[] = [];
    let at = group.from;
    for (const place of inside) {
      out.push({ group: sliceAlike(group, at - group.from, place - at), chosen: false });
      out.push({ group: sliceAlike(group, place - group.from, 1), chosen: true });
      at = place + 1;
    }
    out.push({ group: sliceAlike(group, at - group.from, end - at), chosen: false });
    return out.filter((c) => c.group.count > 0);
  });
}

function lastOfEach(groups: readonly Alike[], taken: Taken): readonly Chosen[] {
  const left = new Map(OUTCOMES.map((outcome) => [outcome, taken[outcome] ?? 0]));
  const takes = new Map<Alike, number>();
  for (const placed of [false, true])
    for (const group of groups.toReversed()) {
      if (group.left || group.placed !== placed) continue;
      const n = Math.min(left.get(group.outcome)!, group.count);
      left.set(group.outcome, left.get(group.outcome)! - n);
      takes.set(group, n);
    }
  return groups.flatMap((group): readonly Chosen[] => {
    const n = takes.get(group) ?? 0;
    const stay = group.count - n;
    return [
      { group: sliceAlike(group, 0, stay), chosen: false },
      { group: sliceAlike(group, stay, n), chosen: true },
    ].filter((c) => c.group.count > 0);
  });
}

/** Rot that was cut away is counted as rot, and what is thrown out before it rooted as lost. */
function leave(group: Alike, { day, why, cause }: Leaving, counted: Day): Alike {
  const { outcome } = group;
  const left = { day, why };
  const fate = fateOf(outcome, why, cause);
  if (fate === null) return { ...group, left };
  const seen = group.lastLook > counted ? group.lastLook : counted;
  return {
    ...group,
    outcome: fate,
    lastLook: day,
    lost: { after: seen < day ? seen : day, by: day },
    left,
  };
}

function fateOf(outcome: Outcome, why: Parting, cause: RecutFor | undefined): Outcome | null {
  if (isLoss(outcome)) return null;
  if (why === 'rescued' && cause === 'rot') return 'rotted';
  return why === 'discarded' && outcome === 'waiting' ? 'lost' : null;
}

/** What cuttings have come to, to be carried into another batch. */
export function carry(cuttings: readonly Cutting[], counted: Day): Carried {
  const groups = new Map<string, Carried[number] & { count: number }>();
  for (const c of cuttings) {
    const lastLook = c.lastLook > counted ? c.lastLook : counted;
    const told = {
      outcome: c.outcome,
      lastLook,
      ...(c.rooted ? { rooted: pair(c.rooted) } : {}),
      ...(c.pupped ? { pupped: pair(c.pupped) } : {}),
      ...(c.lost ? { lost: pair(c.lost) } : {}),
    };
    const key = JSON.stringify(told);
    const group = groups.get(key);
    if (group) group.count++;
    else groups.set(key, { count: 1, ...told });
  }
  return [...groups.values()];
}

/** Cuttings as they were carried in. @param from the place of the first */
export function unpack(carried: Carried, from: number): readonly Alike[] {
  let at = from;
  return carried.map(({ count, outcome, lastLook, rooted, pupped, lost }) => {
    const group: Alike = {
      outcome,
      lastLook,
      placed: false,
      from: at,
      count,
      ...(rooted ? { rooted: between(rooted) } : {}),
      ...(pupped ? { pupped: between(pupped) } : {}),
      ...(lost ? { lost: between(lost) } : {}),
    };
    at += count;
    return group;
  });
}

const pair = ({ after, by }: Between): [Day, Day] => [after, by];
const between = ([after, by]: readonly [Day, Day]): Between => ({ after, by });
