import type { Day } from '../days';
import { OUTCOMES, type EntryOf, type Outcome } from './entry';
import { countedElsewhere, type Parting, type RecutFor } from './parting';
import type { BatchFields } from './record';
import { isLoss, type Between, type Cutting } from './tally';

export type Carried = NonNullable<BatchFields['carried']>;
export type Taken = EntryOf<'parted'>['taken'];

type Leaving = Pick<EntryOf<'parted'>, 'day' | 'why' | 'taken' | 'places' | 'cause'>;

/**
 * Marks the cuttings that leave. Where no places are told the last of each kind go, those whose place was
 * never told first. Asking for more than there are takes what there is.
 * @param counted the last day on which the whole batch was counted, or that of the cut
 */
export function applyLeaving(
  cuttings: readonly Cutting[],
  leaving: Leaving,
  counted: Day,
): readonly Cutting[] {
  const chosen = new Set(chooseLeaving(cuttings, leaving).map((c) => c.place));
  return cuttings.map((cutting) =>
    chosen.has(cutting.place) ? leave(cutting, leaving, counted) : cutting,
  );
}

/** The cuttings that a parting takes. */
export function chooseLeaving(
  cuttings: readonly Cutting[],
  { taken, places }: Pick<Leaving, 'taken' | 'places'>,
): readonly Cutting[] {
  const here = cuttings.filter((c) => !c.left);
  if (places) {
    const wanted = new Set(places);
    return here.filter((c) => wanted.has(c.place));
  }
  const unplacedFirst = here.toReversed().sort((a, b) => Number(a.placed) - Number(b.placed));
  return OUTCOMES.flatMap((outcome) =>
    unplacedFirst.filter((c) => c.outcome === outcome).slice(0, taken[outcome] ?? 0),
  );
}

/** Rot that was cut away is counted as rot, and what is thrown out before it rooted as lost. */
function leave(cutting: Cutting, { day, why, cause }: Leaving, counted: Day): Cutting {
  const { outcome } = cutting;
  const left = { day, why };
  const fate = fateOf(outcome, why, cause);
  if (fate === null) return { ...cutting, left };
  return {
    ...cutting,
    outcome: fate,
    lastLook: day,
    lost: { after: cutting.lastLook > counted ? cutting.lastLook : counted, by: day },
    left,
  };
}

function fateOf(outcome: Outcome, why: Parting, cause: RecutFor | undefined): Outcome | null {
  if (isLoss(outcome)) return null;
  if (why === 'rescued' && cause === 'rot') return 'rotted';
  return why === 'discarded' && outcome === 'waiting' ? 'lost' : null;
}

/** Cuttings that are still counted in this batch. */
export const countedHere = (cuttings: readonly Cutting[]): readonly Cutting[] =>
  cuttings.filter((c) => !c.left || !countedElsewhere(c.left.why));

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
export function unpack(carried: Carried, from: number): readonly Cutting[] {
  const cuttings: Cutting[] = [];
  for (const { count, outcome, lastLook, rooted, pupped, lost } of carried)
    for (let i = 0; i < count; i++)
      cuttings.push({
        outcome,
        lastLook,
        placed: false,
        place: from + cuttings.length,
        ...(rooted ? { rooted: between(rooted) } : {}),
        ...(pupped ? { pupped: between(pupped) } : {}),
        ...(lost ? { lost: between(lost) } : {}),
      });
  return cuttings;
}

const pair = ({ after, by }: Between): [Day, Day] => [after, by];
const between = ([after, by]: readonly [Day, Day]): Between => ({ after, by });
