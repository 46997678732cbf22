import { daysBetween, later, type Day } from '../days';
import { fold, isKind, type Batch, type Entry, type State } from '../journal';
import { memo, memoBy } from '../memo';
import type { Ask } from './care';
import { STANDS } from './rhythm';
import { showsRoots } from './signs';
import { WithOne } from './with-one';

/*
 * Nothing becomes late by being told. What is due since a day counts as late only from the day on which what had been
 * told by then asked for it: a count noted today that says the roots came a week ago asks for water today.
 */

/** Asks that are one question under two names: a look for roots, the water of a jar. */
const ONE_QUESTION: Readonly<Partial<Record<Ask['kind'], string>>> = {
  overdue: 'roots',
  'jar-change': 'jar',
  'jar-stir': 'jar',
  mist: 'water',
};
export const questionOf = (kind: Ask['kind']): string => ONE_QUESTION[kind] ?? kind;

const LOOKS: ReadonlySet<string> = new Set(['roots', 'pups']);

/** These say nothing of when anything else is due. */
const SAYS_NOTHING: ReadonlySet<Entry['kind']> = new Set(['note', 'photo', 'forecast']);
/** A scale and a finger speak of the pot alone. */
const OF_POTS: ReadonlySet<Entry['kind']> = new Set(['weighed', 'felt']);
/** Roots come by what was cut, set, potted, moved and counted, whatever else is seen and done. */
const NOT_OF_ROOTS: ReadonlySet<Entry['kind']> = new Set(['watered', 'inspected', 'tended']);
/** What a pot holds hangs on what was done to it, not on a look, unless that saw the first roots. */
const NOT_OF_POTS: ReadonlySet<Entry['kind']> = new Set(['inspected', 'tended', 'put-off']);

/** Of any course: where growth tells of roots, new growth does. */
const seesRoots = (entry: Entry): boolean =>
  isKind('inspected')(entry) && showsRoots(entry, { look: 'by-growth' });

/** Whether something told may have brought an ask about. */
function bears({ kind, sure }: Pick<Ask, 'kind' | 'sure'>, entry: Entry): boolean {
  const question = questionOf(kind);
  if (OF_POTS.has(entry.kind)) return sure.by === 'pot' || question === 'water';
  if (LOOKS.has(question)) return !NOT_OF_ROOTS.has(entry.kind) || seesRoots(entry);
  if (sure.by === 'pot') return !NOT_OF_POTS.has(entry.kind);
  // A drink asks for the next one, and for nothing else.
  return entry.kind !== 'watered' || question === 'water';
}

/** To be potted on since so many have had roots for weeks, by count. */
const ofCounted = ({ kind, sure }: Pick<Ask, 'kind' | 'sure'>): boolean =>
  kind === 'pot-on' && sure.by === 'count';

/**
 * A count told on its own day is of roots that are ready weeks later: potting that stood before it had been asked for
 * without it, unless nobody had stood at the batch for so long that the ask was forgotten. By far the most of what a long
 * journal tells are such counts.
 */
function standsThrough(told: Told, i: number): boolean {
  const [on, { kind, day }] = told[i]!;
  if (kind !== 'tally' || day !== on) return false;
  const before = told.findLast(([was, e], k) => k < i && was < on && e.kind !== 'put');
  return before !== undefined && daysBetween(before[1].day, on) <= 2 * STANDS['pot-on']!;
}

/** The day an entry was told on: never before the day it tells of. */
const toldOn = ({ at, day }: Entry): Day => later(at.slice(0, 10), day);

type Told = readonly (readonly [told: Day, entry: Entry])[];

/** What of a batch was told that may ask for something, with the day it was told on, the first told first. */
const toldOf = memo((log: readonly Entry[]): Told =>
  log
    .filter((e) => !SAYS_NOTHING.has(e.kind))
    .map((e) => [toldOn(e), e] as const)
    .sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0)),
);

/**
 * The day since which something has been asked for, by what was told then.
 * @param asksOf what a day asks of the batch as it was known then
 */
export function knownSince(
  state: State,
  batch: Batch,
  ask: Pick<Ask, 'kind' | 'since' | 'sure'>,
  day: Day,
  asksOf: (state: State, batch: Batch, day: Day) => readonly Ask[],
): Day {
  const log = logs.get(batch) ?? state.log.get(`batch/${batch.id}`);
  if (log === undefined) return ask.since;
  const told = toldOf(log);
  const latest = told.findLast(
    ([, e], i) => bears(ask, e) && !(ofCounted(ask) && standsThrough(told, i)),
  )?.[0];
  if (latest === undefined || latest <= ask.since) return ask.since;
  // Stamps are of the whole world: what was told this evening may carry tomorrow’s date.
  const last = latest > day ? day : latest;
  const question = questionOf(ask.kind);
  return found(log, `${question}/${ask.since}/${last}`, () => {
    // A count answers what was asked before it: the next look is asked for from then on.
    const counted = told.some(([on, { kind }]) => on >= last && kind === 'tally');
    const before = counted && LOOKS.has(question) ? null : batchBefore(log, last, batch.id);
    if (before === null) return last;
    // A look hangs on what this very batch has taught, too: by what it had taught by then.
    const was = LOOKS.has(question) ? withBatch(state, before) : state;
    const asked = asksOf(was, before, last).find((a) => questionOf(a.kind) === question);
    // What was asked for and never late until then is late from then on.
    return asked && asked.late > 0 ? later(ask.since, asked.since) : last;
  });
}

/** It hangs on what was told of the batch, and is asked for day after day. */
const found = memoBy<readonly Entry[], Day>(60);

/** What had been told of a batch as it was known before a day. */
const logs = new WeakMap<Batch, readonly Entry[]>();
/** The whole of what such a part was taken from: of a part of a part the same as of the whole. */
const wholes = new WeakMap<readonly Entry[], readonly Entry[]>();

const befores = memo((_log: readonly Entry[]) => new Map<Day, Batch | null>());

/** The batch as it was known before a day, its cut told; null where it was not. */
function batchBefore(log: readonly Entry[], day: Day, id: string): Batch | null {
  const whole = wholes.get(log) ?? log;
  const kept = befores(whole);
  let known = kept.get(day);
  if (known === undefined) {
    const earlier = whole.filter((e) => toldOn(e) < day);
    known = fold(earlier).batches.get(id) ?? null;
    if (known) logs.set(known, earlier);
    wholes.set(earlier, whole);
    kept.set(day, known);
  }
  return known;
}

/** The bench as it is, with one batch as it was; of such a bench again the bench as it is. */
function withBatch(state: State, before: Batch): State {
  const is = asItIs.get(state) ?? state;
  const known = withOne.get(before);
  if (known && asItIs.get(known) === is) return known;
  const batches = is.batches.has(before.id)
    ? new WithOne(is.batches, before.id, before)
    : new Map(is.batches).set(before.id, before);
  const was = { ...is, batches };
  asItIs.set(was, is);
  withOne.set(before, was);
  return was;
}

const asItIs = new WeakMap<State, State>();
const withOne = new WeakMap<Batch, State>();
