import { spaceDrying, verdictOn } from '../bench';
import {
  careOf,
  motherCareOf,
  type Do,
  type Leave,
  type LeaveKind,
  type Look,
  type MotherAsk,
} from '../care';
import { dayNumber, type Day } from '../days';
import { settleAll, type Broken } from '../faults';
import { spaceOn, type Batch, type State } from '../journal';
import type { WaterVerdict } from '../water';
import { noticesOn, type Notice } from './notices';

/** Verdicts on the water of batches, by batch; they cost the most and may come later, from a worker. */
export type Verdicts = ReadonlyMap<string, WaterVerdict>;

/** What a day asks of a whole bench. */
export interface Round {
  /** One line a batch: what keeps it alone the hardest. */
  readonly leave: readonly Leave[];
  readonly look: readonly Look[];
  readonly do: readonly Do[];
  readonly mothers: readonly MotherAsk[];
  /** What concerns no single batch: frost, the end of a season, orders. */
  readonly notices: readonly Notice[];
  /** Batches that could not be worked out, and why: said instead of everything else of them. */
  readonly broken: readonly Broken<Batch>[];
}

/** The verdicts on all batches whose pot and mix are told. */
export function verdictsOn(state: State, today: Day): Verdicts {
  const drying = spaceDrying(state);
  const { results } = settleAll(state.batches.values(), (b) => verdictOn(state, b, today, drying));
  return new Map(results.flatMap((verdict) => (verdict ? [[verdict.id, verdict]] : [])));
}

/** All batches, place by place as one walks them: those of the spaces in their order, then of what is none. */
export function batchesByPlace(state: State, today: Day): readonly (readonly Batch[])[] {
  const places = new Map<string, Batch[]>([...state.spaces.keys()].map((id) => [id, []]));
  for (const batch of state.batches.values()) {
    const space = spaceOn(batch, today, batch.stuck !== null);
    const there = places.get(space);
    if (there) there.push(batch);
    else places.set(space, [batch]);
  }
  return [...places.values()].filter((batches) => batches.length > 0);
}

/**
 * The care of every batch, by band: what to leave alone, to look at, to do.
 * @param only ids of those that are asked for; null for all
 */
export function roundOn(
  state: State,
  today: Day,
  verdicts: Verdicts = new Map(),
  only: ReadonlySet<string> | null = null,
): Round {
  const asked = [...state.batches.values()].filter((b) => only === null || only.has(b.id));
  const { results, broken } = settleAll(asked, (b) => careOf(state, b, today, verdicts.get(b.id)));
  const leave: Leave[] = [];
  const look: Look[] = [];
  const todo: Do[] = [];
  for (const care of results) {
    const one = hardest(care.leave);
    if (one) leave.push(one);
    for (const ask of care.asks)
      if (ask.band === 'look') look.push(ask);
      else todo.push(ask);
  }
  const mothers = settleAll(state.mothers.values(), (m) => motherCareOf(state, m, today).asks);
  return {
    leave: inOrder(leave, (l) => RANK[l.kind] * FURTHEST + dayNumber(l.until)),
    look: inOrder(look, (l) => -l.late),
    do: todo,
    mothers: mothers.results.flat(),
    notices: noticesOn(state, today),
    broken,
  };
}

/** Closed gates first: there the can does harm; then wet pots; a look too soon is only of no use. */
const RANK: Readonly<Record<LeaveKind, number>> = {
  held: 0,
  gate: 1,
  drying: 2,
  water: 3,
  rooting: 4,
  jar: 5,
  shade: 6,
  rest: 7,
  postponed: 8,
  planned: 9,
  grown: 10,
};

/** What is said of a whole bench: plans and plants that have grown on are no news there. */
function hardest(leave: readonly Leave[]): Leave | null {
  let one: Leave | null = null;
  for (const is of leave)
    if (is.kind !== 'planned' && is.kind !== 'grown' && (!one || RANK[is.kind] < RANK[one.kind]))
      one = is;
  return one;
}

/** More days than any day has since 1970. */
const FURTHEST = 1e6;

/** By a number, least first, as they came where it is the same: there are few numbers and many things. */
function inOrder<T>(things: readonly T[], by: (thing: T) => number): readonly T[] {
  const groups = new Map<number, T[]>();
  for (const thing of things) {
    const number = by(thing);
    const group = groups.get(number);
    if (group) group.push(thing);
    else groups.set(number, [thing]);
  }
  return [...groups.keys()].sort((a, b) => a - b).flatMap((number) => groups.get(number)!);
}
