import type { Ask } from '../care';
import type { Day } from '../days';
import { spaceOn, type State } from '../journal';
import { taskDone } from './done';
import type { Round } from './round';

/** One line of the day: one task, or the same for all that stand in one place. */
export interface AgendaLine {
  readonly band: Ask['band'];
  readonly kind: Ask['kind'];
  readonly items: readonly [Ask, ...Ask[]];
  /** Pieces of all items together. */
  readonly count: number;
  /** Days the latest of them is late. */
  readonly late: number;
}

export interface AgendaPlace {
  /** Id of the space. */
  readonly space: string;
  readonly lines: readonly AgendaLine[];
}

/** What stands in the way of rot first; then water; then what can wait an hour. */
const RANK: Readonly<Record<Ask['kind'], number>> = {
  neighbour: 0,
  pool: 1,
  stopped: 2,
  'first-water': 3,
  'pot-water': 4,
  water: 5,
  mist: 6,
  'jar-change': 7,
  'jar-stir': 8,
  'jar-feed': 9,
  stick: 10,
  wean: 11,
  'pot-on': 12,
  cut: 13,
  'water-mother': 14,
  light: 15,
  feed: 16,
  alive: 17,
  wound: 18,
  roots: 19,
  pups: 20,
  overdue: 21,
  'leaf-off': 22,
  air: 15.5,
  again: 17.5,
};

/**
 * The day's work as one walks it: place by place in the order of the bench, things to do before things
 * to look at, the same for several batches of a place in one line.
 */
export function agendaOn(
  state: State,
  round: Pick<Round, 'do' | 'look'>,
  today: Day,
): readonly AgendaPlace[] {
  const places = new Map<string, Map<string, Ask[]>>();
  for (const id of state.spaces.keys()) places.set(id, new Map<string, Ask[]>());
  for (const ask of [...round.do, ...round.look]) {
    const space = spaceOn(ask.batch, today, ask.batch.stuck !== null);
    let lines = places.get(space);
    if (!lines) places.set(space, (lines = new Map<string, Ask[]>()));
    // A soak and a mist are not done with one can, nor a jar and a mix filled in one go.
    const onto = ask.band === 'do' && ask.onto ? 'onto' : '';
    const alike = `${ask.band} ${ask.kind} ${onto}${ask.band === 'do' ? taskDone(ask).word : ''}`;
    const line = lines.get(alike);
    if (line) line.push(ask);
    else lines.set(alike, [ask]);
  }
  return [...places].flatMap(([space, lines]) =>
    lines.size === 0 ? [] : [{ space, lines: [...lines.values()].map(lineOf).sort(byRank) }],
  );
}

function lineOf(items: readonly Ask[]): AgendaLine {
  const [first, ...rest] = [...items].sort((a, b) => b.late - a.late) as [Ask, ...Ask[]];
  return {
    band: first.band,
    kind: first.kind,
    items: [first, ...rest],
    count: items.reduce((sum, i) => sum + i.count, 0),
    late: first.late,
  };
}

const byRank = (a: AgendaLine, b: AgendaLine): number =>
  Number(a.band === 'look') - Number(b.band === 'look') || RANK[a.kind] - RANK[b.kind];
