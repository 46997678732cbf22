import * as fc from 'fast-check';
import {
  chosenDays,
  hadRoots,
  hasRoots,
  rowOf,
  statusOf,
  unrootedWaterOf,
  verdictOn,
  wateredEarly,
} from '../bench';
import { questionOf } from '../care/known';
import { careOf, slipOf, unsetOf, type Ask, type Care, type Step } from '../care';
import { addDays, type Day } from '../days';
import { fold, type Batch, type Entry, type State } from '../journal';
import { shortfall } from '../order';
import { taskDone, tasksAhead, verdictsOn, type Verdicts } from '../round';
import { walkStops } from '../walk';
import { anyLife, batchOf, entriesOf, LIFE_DAYS, type Life } from './lives';
import { storyDay } from './story';

/*
 * Lives told day by day, some of it late: on every day all that is said of a batch is held against each other, and
 * against what was said the day before.
 */

/** A life, and how many days late each of its entries was told. */
export interface ToldLife {
  readonly life: Life;
  readonly late: readonly number[];
  /** Told wrongly: before the cut, fewer than before, moved back in time or to a place that is not there. */
  readonly wrong: readonly (readonly [number, string])[];
}

export const anyToldLife: fc.Arbitrary<ToldLife> = fc.record({
  life: anyLife,
  late: fc.array(
    fc.oneof(
      { weight: 5, arbitrary: fc.constant(0) },
      { weight: 1, arbitrary: fc.integer({ min: 1, max: 12 }) },
    ),
    { minLength: 24, maxLength: 24 },
  ),
  wrong: fc.array(
    fc.tuple(
      fc.integer({ min: -6, max: LIFE_DAYS }),
      fc.constantFrom(
        'move gone',
        'move bench',
        'fine',
        'count 1r',
        'water',
        'set',
        'firm',
        'sign root-points',
        'sign roots-out',
      ),
    ),
    { maxLength: 2 },
  ),
});

/** The entries of a life in the order they were told. */
export function toldEntries({ life, late, wrong }: ToldLife): readonly Entry[] {
  return entriesOf({ ...life, deeds: [...life.deeds, ...wrong] }).map((entry, i) => {
    const on = i < 2 ? entry.day : addDays(entry.day, late[i % late.length]!);
    return { ...entry, at: `${on}T08:00:00.000Z~${i.toString(16).padStart(4, '0')}` };
  });
}

/** What two faces say of the same thing. */
export interface Difference {
  readonly kind: FaceKind;
  readonly day: number;
  readonly says: string;
}

export const FACE_KINDS = [
  'timeline goes back',
  'a date rolls',
  'slip and what is left alone',
  'order and roots',
  'status in lists',
  'asked and no stop',
  'calendar and steps',
  'known, then late',
  'waited for by none',
  'a mist called a drink',
  'watered as asked, early',
  'first water twice',
  'buried wound touched',
  'first water and its step',
  'promised, other days',
] as const;
export type FaceKind = (typeof FACE_KINDS)[number];

export interface Faces {
  readonly differences: readonly Difference[];
  readonly compared: Readonly<Record<FaceKind, number>>;
}

const NO_CAN: ReadonlySet<string> = new Set(['gate', 'held', 'water']);
const CAN: ReadonlySet<string> = new Set(['first-water', 'water', 'mist', 'pot-water']);
const dated = (s: Step): s is Extract<Step, { readonly from: Day }> => 'from' in s;

/** Walks through a life and compares. */
export function facesOf(told: ToldLife): Faces {
  const all = toldEntries(told);
  const differences: Difference[] = [];
  const compared = Object.fromEntries(FACE_KINDS.map((kind) => [kind, 0])) as Record<
    FaceKind,
    number
  >;
  let before: { readonly care: Care; readonly count: number } | null = null;
  let state: State | null = null;
  let count = 0;
  for (let n = 0; n < LIFE_DAYS; n++) {
    const day = storyDay(n);
    const known = all.filter((e) => e.at.slice(0, 10) <= day);
    if (state === null || known.length !== count) state = fold(known);
    count = known.length;
    const batch = batchOf(state);
    if (batch.cut === null || batch.ended !== null) {
      before = null;
      continue;
    }
    const verdicts = verdictsOn(state, day);
    const care = careOf(state, batch, day, verdicts.get(batch.id));
    const check = (kind: FaceKind, holds: boolean, says: () => string): void => {
      compared[kind]++;
      if (!holds) differences.push({ kind, day: n, says: says() });
    };
    onOneDay(state, batch, day, care, verdicts, check, n);
    if (before) sinceYesterday(before.care, care, day, before.count === count, check);
    before = { care, count };
  }
  return { differences, compared };
}

type Check = (kind: FaceKind, holds: boolean, says: () => string) => void;

function onOneDay(
  state: State,
  batch: Batch,
  day: Day,
  care: Care,
  verdicts: Verdicts,
  check: Check,
  n: number,
): void {
  const { asks, leave, steps } = care;
  const living = batch.here.waiting + batch.here.rooted + batch.here.pupped;
  steps.filter(dated).reduce<Extract<Step, { readonly from: Day }> | null>((last, step) => {
    if (last)
      check(
        'timeline goes back',
        last.from <= step.from,
        () => `${last.id} ${last.from}, then ${step.id} ${step.from}`,
      );
    return step;
  }, null);
  const can = asks.find((a) => CAN.has(a.kind));
  const until = leave
    .filter((l) => NO_CAN.has(l.kind))
    .map((l) => l.until)
    .sort()
    .at(-1);
  // What is not set as yet has its date on the label, too, while its wound is open.
  const onLabel = batch.stuck !== null || (until !== undefined && chosenDays(batch) === null);
  if (living > 0 && onLabel && rowOf(state, batch).medium === 'mix') {
    const { noWaterBefore, dryUntilRoots } = slipOf(state, batch, day, verdicts.get(batch.id));
    check(
      'slip and what is left alone',
      // What is kept dry until roots show has no day: nothing brings the can before.
      dryUntilRoots
        ? can === undefined && until !== undefined
        : noWaterBefore === (can ? null : (until ?? null)),
      () =>
        `slip ${noWaterBefore}, left alone until ${until}, asked ${can?.kind} (${leave.map((l) => l.kind).join()})`,
    );
  }
  const first = asks.find((a) => a.kind === 'first-water');
  const step = steps.find((s) => s.id === 'first-water');
  if (first && step)
    check(
      'first water and its step',
      dated(step) && step.from === first.since,
      () => `asked since ${first.since}, step ${JSON.stringify(step)}`,
    );
  if (living > 0) {
    const from = [{ batch: batch.id, count: living }];
    const order = { id: 'o', taxon: batch.taxon, count: living, from };
    const { growing } = shortfall({ ...state, orders: new Map([['o', order]]) }, order);
    if (hadRoots(state, batch) || batch.here.waiting === 0)
      check('order and roots', growing === 0, () => `${growing} without roots`);
    check(
      'status in lists',
      statusHolds(state, batch, care),
      () => `${statusOf(state, batch).is}: ${asks.map((a) => a.kind).join()}`,
    );
  }
  if (asks.length > 0)
    check(
      'asked and no stop',
      walkStops(state, day, verdicts).some((s) => s.batches.some((b) => b.id === batch.id)),
      () => asks.map((a) => a.kind).join(),
    );
  for (const ask of asks) {
    if (ask.kind === 'wound')
      check(
        'buried wound touched',
        unsetOf(state, batch) > 0 || ['on-surface', 'bare'].includes(rowOf(state, batch).lies),
        () => `set ${batch.stuck}, it lies ${rowOf(state, batch).lies}`,
      );
    if (ask.kind === 'roots' || ask.kind === 'overdue')
      check('waited for by none', batch.here.waiting > 0, () => `${ask.kind} of none`);
  }
  for (const l of leave)
    if (l.kind === 'rooting' && l.reason.why === 'too-soon' && l.reason.for === 'roots')
      check('waited for by none', batch.here.waiting > 0, () => 'roots not yet, of none');
  if (first?.band === 'do' && chosenDays(batch) === null)
    doAsAsked(state, batch, first, day, check);
  if (n % 10 === 0 && living > 0) {
    inCalendar(state, batch, day, steps, verdicts, check);
    whenPromised(state, batch, day, care, living, check);
  }
}

/** What is said, without the batch it is said of; sums made in another order differ in their last digits. */
const said = (what: unknown): string =>
  JSON.stringify(what, (key, value: unknown) =>
    key === 'batch' ? undefined : typeof value === 'number' ? value.toPrecision(9) : value,
  );

/** That it is promised to somebody, and what was forecast of it, changes no day and no verdict. */
function whenPromised(
  state: State,
  batch: Batch,
  day: Day,
  care: Care,
  living: number,
  check: Check,
): void {
  const told = { day, by: 'phone' };
  const likely = { rooted: 0.7, low: 0.4, high: 0.9, rotted: 0.1, dried: 0 };
  const after = fold([
    ...[...state.log.values()].flat(),
    {
      ...{ ...told, kind: 'put', record: 'order', key: 'promise' },
      ...{ id: 'promise', at: `${day}T20:00:00.000Z~0000` },
      fields: {
        taxon: batch.taxon,
        count: living + 3,
        by: addDays(day, 20),
        from: [{ batch: batch.id, count: living }],
      },
    },
    {
      ...{ ...told, kind: 'forecast', batch: batch.id, days: 120, cuttings: living, ...likely },
      ...{ id: 'forecast', at: `${day}T20:00:00.000Z~0001` },
    },
  ] as Entry[]);
  const promised = after.batches.get(batch.id)!;
  const then = careOf(after, promised, day, verdictOn(after, promised, day));
  for (const part of ['asks', 'leave', 'steps'] as const)
    check(
      'promised, other days',
      said(then[part]) === said(care[part]),
      () => `${part}: ${said(care[part])}, promised ${said(then[part])}`,
    );
  check(
    'promised, other days',
    after.orders.has('promise') &&
      promised.forecasts.length === batch.forecasts.length + 1 &&
      said(slipOf(after, promised, day)) === said(slipOf(state, batch, day)),
    () => 'slip, or the promise itself was not told',
  );
}

/** What waits to be set is to be set, or dries for it; what is bare waits for roots; what is set is not to be set. */
function statusHolds(state: State, batch: Batch, { asks, leave, steps }: Care): boolean {
  const about = new Set<string>([...asks, ...leave].map((x) => x.kind));
  // No day can be named where the wound does not close.
  const open = steps.some((s) => s.id === 'stick' && s.is === 'open');
  const put = open || about.has('postponed') || about.has('alive') || batch.putOff.size > 0;
  const status = statusOf(state, batch);
  if (status.is === 'bare')
    return (
      !hasRoots(state, batch) && (put || ['rooting', 'roots', 'overdue'].some((k) => about.has(k)))
    );
  if (status.is === 'callusing' || status.is === 'to-set')
    return put || ['drying', 'stick', 'stopped', 'gate'].some((k) => about.has(k));
  if (status.is === 'set') return status.ownRoots === hasRoots(state, batch);
  return true;
}

/** What one tap on the first water records, and what is said after it. */
function doAsAsked(state: State, batch: Batch, ask: Ask, day: Day, check: Check): void {
  if (ask.band !== 'do') return;
  const { entries } = taskDone(ask);
  const log = [...state.log.values()].flat();
  const after = fold([
    ...log,
    ...entries.map((e, i) => ({
      ...e,
      id: `done${i}`,
      at: `${day}T20:00:00.000Z~${i}000`,
      day,
      by: 'phone',
    })),
  ]);
  const is = after.batches.get(batch.id)!;
  check(
    'watered as asked, early',
    wateredEarly(after, is) !== true || wateredEarly(state, batch) === true,
    () => `asked since ${ask.since}`,
  );
  const next = addDays(day, 1);
  const tomorrow = careOf(after, is, next, verdictOn(after, is, next));
  check(
    'first water twice',
    !tomorrow.asks.some((a) => a.kind === 'first-water'),
    () => `asked again, ${ask.count} pieces`,
  );
  const [entry] = entries;
  const misted = unrootedWaterOf(state, batch) === 'mist' && !hasRoots(state, batch);
  if (entry?.kind === 'watered')
    check(
      'a mist called a drink',
      !misted || entry.how === 'misted',
      () => `${entry.how} of a piece that is misted`,
    );
}

/** Stations that come by themselves, whatever is seen until then. */
const BY_THEMSELVES = ['light', 'feed', 'first-water', 'stick'] as const;

function inCalendar(
  state: State,
  batch: Batch,
  day: Day,
  steps: readonly Step[],
  verdicts: Verdicts,
  check: Check,
): void {
  const tasks = tasksAhead(state, day, verdicts);
  const last = addDays(day, 41);
  for (const id of BY_THEMSELVES) {
    const step = steps.find((s) => s.id === id);
    if (!step || !dated(step) || step.is !== 'ahead' || step.from !== step.to) continue;
    // What hangs on something that is still to be done comes once it is done.
    if (step.from > last || (id !== 'stick' && batch.stuck === null)) continue;
    if ((id === 'light' || id === 'feed') && !hasRoots(state, batch)) continue;
    // It waits for roots, whose last likely day this is.
    if (id === 'first-water' && slipOf(state, batch, day).dryUntilRoots) continue;
    const task = tasks.find((t) => t.is.kind === 'ask' && t.is.ask.kind === id);
    check(
      'calendar and steps',
      task?.from === step.from,
      () => `${id}: step ${step.from}, calendar ${task?.from ?? 'never'}`,
    );
  }
}

function sinceYesterday(was: Care, is: Care, day: Day, nothingTold: boolean, check: Check): void {
  for (const ask of is.asks) {
    if (ask.late <= 0) continue;
    const known = was.asks
      // A look whether it lives stands for all that was asked for too long.
      .filter(
        (a) =>
          ask.kind === 'alive' || a.kind === 'alive' || questionOf(a.kind) === questionOf(ask.kind),
      )
      .toSorted((a, b) => b.late - a.late)[0];
    check(
      'known, then late',
      known !== undefined && ask.late <= known.late + 1,
      () =>
        `${ask.kind} ${ask.late} days late (since ${ask.since}), yesterday ${known?.late ?? 'not asked'}`,
    );
  }
  if (!nothingTold) return;
  for (const left of was.leave) {
    const now = is.leave.find(
      (l) =>
        l.kind === left.kind &&
        // The shade of those newly potted, and that of noon for those without roots.
        (l.kind !== 'shade' || l.reason.why === left.reason.why) &&
        (l.reason.why !== 'put-off' ||
          left.reason.why !== 'put-off' ||
          l.reason.task === left.reason.task),
    );
    if (!now || left.until <= day) continue;
    check(
      'a date rolls',
      now.until === left.until,
      () => `${left.kind} (${left.reason.why}) ${left.until}, then ${now.until}`,
    );
  }
}
