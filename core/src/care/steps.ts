import { addDays, later, type Day } from '../days';
import type { Batch, State, TaskId } from '../journal';
import { chanceClosedOn } from '../wound';
import type { Ask, Step, StepId } from './care';
import type { Facts, Span } from './facts';
import { nextLook } from './roots';
import { firstFeed, firstLight, rootedFrom } from './rooted';
import {
  FEED_AFTER,
  FREE_LOOK_DAYS,
  JAR_ROOTS_DAYS,
  PLUMP_DAYS,
  ROOTS_GROW_DAYS,
  SHADE_DAYS,
} from './rhythm';

interface Range {
  readonly from: Day;
  readonly to: Day;
}

const shifted = ({ from, to }: Range, days: number): Range => ({
  from: addDays(from, days),
  to: addDays(to, days),
});
/** Nobody knows to the day when others root. */
const aWeekAtLeast = ({ from, to }: Range): Range => ({
  from,
  to: later(to, addDays(from, FREE_LOOK_DAYS)),
});
const on = (day: Day | null): Range | null => (day === null ? null : { from: day, to: day });

/**
 * The whole life of a batch: past steps as they were recorded, what is asked today, and what lies ahead with its
 * range. What was seen at a check lies between that check and the one before.
 * @param drank when its mother was watered for the cut
 * @param drinks when it is given water next, where that is known
 */
export function stepsOf(
  state: State,
  batch: Batch,
  facts: Facts,
  day: Day,
  asks: readonly Ask[],
  drank: Day | null,
  drinks: Day | null,
): readonly Step[] {
  const steps: Step[] = [];
  const over = batch.ended !== null || facts.living === 0;
  const add = (
    id: StepId,
    {
      done,
      ahead,
      asked = [id as TaskId],
    }: { done: Range | null; ahead: Range | null; asked?: readonly TaskId[] },
  ): void => {
    const ask = asked.map((kind) => asks.find((a) => a.kind === kind)).find((a) => a !== undefined);
    const put = asked.map((kind) => batch.putOff.get(kind)).find((p) => p !== undefined);
    if (ask)
      steps.push({
        id,
        is: ask.late > 0 ? 'late' : 'due',
        from: ask.since,
        to: day,
        ...(ask.count < facts.living ? { count: ask.count } : {}),
      });
    else if (done) steps.push({ id, is: 'done', ...done });
    else if (over || (put && put.until === undefined)) steps.push({ id, is: 'skipped' });
    else if (put?.until !== undefined && put.until > day)
      steps.push({ id, is: 'ahead', from: put.until, to: put.until });
    // What should have come long ago comes on no day that could be named.
    else if (ahead && ahead.to >= day) steps.push({ id, is: 'ahead', ...notPast(ahead, day) });
    else steps.push({ id, is: 'open' });
  };

  const { clock, gate, row, forJar } = facts;
  const dated = clock?.gate.state === 'dated' ? clock.gate : null;
  const roots = seen(batch, 'rooted');
  const pups = seen(batch, 'pupped');
  const rootsAhead = looked(batch, facts, day, facts.roots, 'roots');
  const pupsAhead = looked(batch, facts, day, facts.pups, 'pups');
  const jar = forJar || batch.rootedInWater === true;
  const inMedium = jar ? (batch.rootedInWater ? batch.stuck : null) : batch.stuck;

  const plump = addDays(batch.cutOn, -PLUMP_DAYS);
  if (batch.cut === null && batch.mother !== undefined && day < batch.cutOn)
    add('water-mother', {
      done: on(drank),
      ahead: { from: plump, to: addDays(batch.cutOn, -1) },
    });
  add('cut', { done: on(batch.cut), ahead: on(batch.cutOn) });
  if (clock) {
    const firm = batch.woundChecks.find((c) => c.seen === 'firm' && c.day >= clock.from);
    const surely = batch.cut !== null && dated !== null && chanceClosedOn(clock, day) >= 0.9;
    const seenClosed = firm?.day ?? (gate === null ? (roots?.to ?? null) : null);
    add('callused', {
      // Seen after it was safe to water by the clock, it had closed before.
      done:
        seenClosed !== null
          ? on(dated && dated.opens < seenClosed ? dated.opens : seenClosed)
          : surely
            ? closes(dated)
            : null,
      ahead: dated && closes(dated),
      asked: ['wound', 'stopped'],
    });
  }
  const addRoots = (): void =>
    add('roots', { done: roots, ahead: rootsAhead, asked: ['roots', 'overdue'] });
  const addGate = (): void => {
    if (clock)
      add('gate', {
        done:
          batch.cut && (gate === null || (dated && dated.opens <= day))
            ? on(dated?.opens ?? clock.from)
            : null,
        ahead: on(dated?.opens ?? null),
        asked: [],
      });
  };
  const addStick = (): void => {
    const set = jar ? (batch.settings[0]?.day ?? null) : batch.stuck;
    add('stick', {
      // Potted on as they were, they were never set.
      done: on(set ?? (facts.unset <= 0 ? (batch.pottings[0]?.day ?? null) : null)),
      ahead: on(facts.setOn) ?? (row.setWhen === 'rooted' ? rootsAhead : null),
    });
  };
  const addWater = (): void => {
    const first = batch.waterings.find((w) => inMedium === null || w.day >= inMedium);
    const wet = facts.wet ? on(inMedium) : null;
    add('first-water', {
      done: on(first?.day ?? null) ?? wet,
      ahead: facts.first
        ? (on(facts.first.on) ?? rootsAhead)
        : row.setWhen === 'rooted' || jar
          ? rootsAhead
          : null,
      asked: ['first-water', 'pot-water'],
    });
  };
  if (row.setWhen === 'rooted') {
    addGate();
    addRoots();
    addStick();
    addWater();
  } else if (jar) {
    addGate();
    addStick();
    addRoots();
    const ready = roots ?? rootsAhead;
    add('wean', {
      done: batch.rootedInWater ? on(batch.stuck) : null,
      ahead: ready && shifted(ready, JAR_ROOTS_DAYS),
    });
  } else {
    addStick();
    addGate();
    addWater();
    addRoots();
  }
  if (facts.figures?.pups)
    add('pups', { done: pups, ahead: pupsAhead, asked: ['pups', 'leaf-off'] });
  const own = facts.hasRoots && roots === null && batch.stuck !== null ? on(batch.stuck) : null;
  const rooted = roots ?? own ?? rootsAhead;
  // Once half of them have roots their days are those on which it will be asked.
  const hardens = !facts.inJar && rootedFrom(batch, facts) !== null;
  const lit = batch.tendings.find((t) => t.what === 'light');
  const fed = batch.tendings.find((t) => t.what === 'feed');
  // Before half of them have roots it is the others that are waited for.
  const half = own ?? (rootsAhead && rootsAhead.from > day ? aWeekAtLeast(rootsAhead) : null);
  add('light', {
    done: on(lit?.day ?? null),
    ahead: hardens
      ? on(firstLight(state, batch, facts, day))
      : facts.inJar
        ? null
        : half && shifted(half, own ? SHADE_DAYS : 3),
  });
  add('feed', {
    done: on(fed?.day ?? null),
    ahead: hardens
      ? on(firstFeed(state, batch, facts, day, drinks))
      : facts.inJar
        ? null
        : half && shifted(half, FEED_AFTER),
  });
  if (!facts.staysPut) {
    const ready = facts.figures?.pups ? (pups ?? pupsAhead) : rooted;
    const base =
      ready && jar && inMedium
        ? { from: later(ready.from, inMedium), to: later(ready.to, inMedium) }
        : ready;
    add('pot-on', {
      done: on(batch.pottings[0]?.day ?? null),
      ahead: base && shifted(base, ROOTS_GROW_DAYS),
    });
  }
  return inOrderOfDays(steps);
}

/** As they come; what has no day stands after what it follows. */
function inOrderOfDays(steps: readonly Step[]): readonly Step[] {
  let last = '';
  return steps
    .map((step) => {
      if ('from' in step) last = later(step.from, last);
      return { step, at: 'from' in step ? step.from : last };
    })
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0))
    .map(({ step }) => step);
}

const closes = ({ earliest, latest }: { readonly earliest: Day; readonly latest: Day }): Range => ({
  from: earliest,
  to: latest > earliest ? latest : earliest,
});

/** What lies ahead cannot lie behind: a window that has begun goes on from today. */
const notPast = ({ from, to }: Range, day: Day): Range => ({
  from: later(from, day),
  to: later(to, later(from, day)),
});

/** The first of them that was seen: after one look and by the next. */
function seen(batch: Batch, kind: 'rooted' | 'pupped'): Range | null {
  let first: Range | null = null;
  for (const c of batch.cuttings) {
    const between = c[kind];
    if (between && (first === null || between.by < first.to))
      first = { from: between.after, to: between.by };
  }
  return first;
}

/** Where it may be looked for: its window, or the next look once that has begun. */
function looked(
  batch: Batch,
  facts: Facts,
  day: Day,
  window: Span | null,
  kind: 'roots' | 'pups',
): Range | null {
  if (!window) return null;
  const range = { from: addDays(batch.cutOn, window.from), to: addDays(batch.cutOn, window.to) };
  if (range.from > day) return range;
  const next = nextLook(batch, facts);
  return next?.for === kind ? { from: next.day, to: later(next.latest, range.to) } : range;
}
