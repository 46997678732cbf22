import { batchCode, batchTitle } from '../bench';
import { careOf } from '../care';
import type { Day } from '../days';
import { spaceOn, type Batch, type State, type Tray } from '../journal';
import type { Verdicts } from '../round';

/** Where one stops on the walk past the benches: a tray with all that stands in it, or a place. */
export interface Stop {
  /** Stays the same while tray and place do, so that an interrupted walk finds its stop again. */
  readonly id: string;
  readonly space: string;
  readonly spaceName: string;
  readonly name: string;
  readonly tray: Tray | null;
  readonly batches: readonly Batch[];
}

/**
 * The walk in bench order: spaces by their turn, in each the trays by theirs, then by name as one counts
 * (`Tray 9` before `Tray 10`).
 * @param verdicts what the water of their pots was judged to be: a dry pot is stopped at too
 */
export function walkStops(state: State, today: Day, verdicts: Verdicts): readonly Stop[] {
  const asksOf = (b: Batch): readonly unknown[] => careOf(state, b, today, verdicts.get(b.id)).asks;
  const stops = new Map<string, Stop & { batches: Batch[] }>();
  for (const batch of state.batches.values()) {
    if (batch.ended !== null || batch.stage === 'planned') continue;
    // All potted on, it is stopped at while something is still asked of it.
    if (batch.stage === 'done' && asksOf(batch).length === 0) continue;
    const space = spaceOn(batch, today, batch.stuck !== null);
    const tray = (batch.tray === undefined ? undefined : state.trays.get(batch.tray)) ?? null;
    const name = tray?.name ?? batch.place ?? batchTitle(state, batch);
    const id = tray
      ? `tray/${tray.id}`
      : batch.place
        ? `place/${space}/${batch.place}`
        : `batch/${batch.id}`;
    const stop = stops.get(id);
    if (stop) stop.batches.push(batch);
    else
      stops.set(id, {
        id,
        space,
        spaceName: state.spaces.get(space)?.name ?? 'Somewhere',
        name,
        tray,
        batches: [batch],
      });
  }
  const spaces = new Map([...state.spaces.values()].map((s, i) => [s.id, s.turn ?? i]));
  return [...stops.values()]
    .map((stop) => ({ ...stop, batches: stop.batches.sort((a, b) => byCell(state, a, b)) }))
    .sort(
      (a, b) =>
        (spaces.get(a.space) ?? 1e6) - (spaces.get(b.space) ?? 1e6) ||
        (a.tray?.turn ?? 0) - (b.tray?.turn ?? 0) ||
        countedOrder(a.name, b.name) ||
        (a.id < b.id ? -1 : 1),
    );
}

function byCell(state: State, a: Batch, b: Batch): number {
  return (
    (a.cells?.[0] ?? 1e6) - (b.cells?.[0] ?? 1e6) ||
    countedOrder(batchCode(state, a), batchCode(state, b))
  );
}

/** `Tray 9` before `Tray 10`: words by letter, the number at the end by its size. */
function countedOrder(a: string, b: string): number {
  const [x, y] = [keyOf(a), keyOf(b)];
  return x.words < y.words ? -1 : x.words > y.words ? 1 : x.number - y.number;
}

interface NameKey {
  readonly words: string;
  readonly number: number;
}

/** Thousands of stops are sorted at every count: a name is taken apart once. */
const keys = new Map<string, NameKey>();

function keyOf(name: string): NameKey {
  let key = keys.get(name);
  if (!key) {
    const [, words = '', digits = ''] = /^(.*?)(\d*)$/.exec(name) ?? [];
    key = { words: words.toLowerCase(), number: digits === '' ? -1 : Number(digits) };
    keys.set(name, key);
  }
  return key;
}
