import { verdictOn } from '../bench';
import { addDays, later, type Day } from '../days';
import type { Batch, State } from '../journal';
import type { WaterVerdict } from '../water';
import { closureOn } from '../wound';
import { Asker } from './asker';
import { memoOnce } from '../memo';
import type { Ask, Care, Leave } from './care';
import { drinking } from './drink';
import { daysSince, factsOf, type Facts } from './facts';
import { jarring } from './jar';
import { knownSince, questionOf } from './known';
import { heldFor, rotNear, type Neighbour } from './neighbours';
import { FREE_LOOK_DAYS, HELD_DAYS, nextOf, PLUMP_DAYS, ROOTS_GROW_DAYS, STANDS } from './rhythm';
import { isGrown, rooting } from './rooted';
import { looking } from './roots';
import { setting } from './set';
import { heldBefore, heldBySign, lookAgain } from './signs';
import { noonSun } from './sun';
import { keptDry, longestDry, NO_CAN } from './verdict';
import { stepsOf } from './steps';

/**
 * The one answer for a batch on a day: its course, its whole life in steps, what the day asks and what is to be left
 * alone. List, batch page, timeline, walk, calendar, plan and printed sheets read it and nothing else, so that they
 * say the same.
 * @param verdict on its pot, as judged on this day or before; without one a told pot is said to be unread
 */
export function careOf(state: State, batch: Batch, day: Day, verdict?: WaterVerdict): Care {
  if (batch.ended !== null) return over(state, batch, day);
  const facts = factsOf(state, batch);
  const near = rotNear(state, batch, day);
  const plumped = plumpedOn(state, batch, day);
  const known = latest.get(facts);
  if (
    known?.day === day &&
    known.verdict === verdict &&
    known.plumped === plumped &&
    sameNear(known.near, near)
  )
    return known.care;
  const { asks, due, leave } =
    facts.living === 0
      ? { asks: [], due: [], leave: [] }
      : today(state, batch, facts, day, verdict, near);
  const drinks = keptDry(leave)?.until ?? null;
  const steps = memoOnce(() => stepsOf(state, batch, facts, day, due, plumped, drinks));
  const care: Care = {
    course: facts.course,
    asks,
    leave,
    get steps() {
      return steps();
    },
  };
  latest.set(facts, { day, verdict, near, plumped, care });
  return care;
}

/** What has ended asks nothing; its life is told where somebody looks at it. Most batches of a journal have ended. */
function over(state: State, batch: Batch, day: Day): Care {
  const facts = memoOnce(() => factsOf(state, batch));
  const steps = memoOnce(() =>
    stepsOf(state, batch, facts(), day, [], plumpedOn(state, batch, day), null),
  );
  return {
    asks: [],
    leave: [],
    get course() {
      return facts().course;
    },
    get steps() {
      return steps();
    },
  };
}

/** The answer of the day that was asked about last: after a tap on one batch the others need no second one. */
const latest = new WeakMap<
  Facts,
  {
    readonly day: Day;
    readonly verdict: WaterVerdict | undefined;
    readonly near: Neighbour | null;
    readonly plumped: Day | null;
    readonly care: Care;
  }
>();

const sameNear = (a: Neighbour | null, b: Neighbour | null): boolean =>
  a?.batch === b?.batch && a?.day === b?.day && a?.link === b?.link;

/** @param about one question, where no other answer is wanted: what cannot ask it is not worked out */
function today(
  state: State,
  batch: Batch,
  facts: Facts,
  day: Day,
  verdict: WaterVerdict | undefined,
  near: Neighbour | null,
  about: string | null = null,
): Pick<Care, 'asks' | 'leave'> & { readonly due: readonly Ask[] } {
  const closure = facts.gate ? closureOn(facts.gate, day) : 1;
  const ask = new Asker(batch, day, batch.cut === null ? 0 : closure, facts.living);
  if (batch.cut === null) planned(ask, state, batch, day);
  else if (isGrown(batch, facts, day)) grown(ask, facts, day);
  else {
    setting(ask, batch, facts, day);
    if (!facts.inJar && (about === null || DRINKS.has(about)))
      drinking(ask, state, batch, facts, day, verdict);
    if (about === null || LOOKS.has(about)) looking(ask, batch, facts, day);
    jarring(ask, state, batch, facts, day);
    rooting(ask, state, batch, facts, day);
    noonSun(ask, state, batch, facts, day);
  }
  const wanted = (batch.cut === null ? ask.asks : signed(ask, guarded(ask, near, day)))
    .filter((a) => about === null || questionOf(a.kind) === about)
    .map((a) => asKnown(state, batch, a, day));
  const due = asked(ask, wanted);
  const asks = forgotten(due, facts, day);
  if (asks.length === 0 && ask.leaves.length === 0) ask.leave('rooting', nothingDue(facts, day));
  return { asks, due, leave: oneOfWater(ask.leaves) };
}

/** What is late is late since it could be known, and since the day it was put off to. */
function asKnown(state: State, batch: Batch, ask: Ask, day: Day): Ask {
  if (ask.late <= 0) return ask;
  const until = putOffOf(batch, ask.kind)?.until ?? '';
  const due = until <= day ? later(ask.since, until) : ask.since;
  const since = knownSince(state, batch, { ...ask, since: due }, day, (then, was, on) =>
    asksAbout(
      questionOf(ask.kind),
      then,
      was,
      on,
      ask.sure.by === 'pot' ? verdictOn(then, was, on) : undefined,
    ),
  );
  return since === ask.since ? ask : { ...ask, since, late: daysSince(since, day) };
}

/**
 * What a day asks of one question. An ask that stood for long without a touch takes others with it: then the whole day is
 * worked out.
 */
function asksAbout(
  question: string,
  state: State,
  batch: Batch,
  day: Day,
  verdict: WaterVerdict | undefined,
): readonly Ask[] {
  const facts = batch.ended === null ? factsOf(state, batch) : null;
  if (facts === null || facts.living === 0 || daysSince(facts.lastTouch, day) > 2 * LEAST_STAND)
    return careOf(state, batch, day, verdict).asks;
  return today(state, batch, facts, day, verdict, rotNear(state, batch, day), question).asks;
}

/** Questions of the can; food comes in a drink. */
const DRINKS: ReadonlySet<string> = new Set(['first-water', 'water', 'pool', 'pot-water', 'feed']);

const LEAST_STAND = Math.min(...Object.values(STANDS));

/** Long overdue is the same look. */
const putOffOf = ({ putOff }: Batch, kind: Ask['kind']) =>
  putOff.get(kind === 'overdue' ? 'roots' : kind);

function grown(ask: Asker, { lastTouch }: Facts, day: Day): void {
  const next = nextOf(lastTouch, ROOTS_GROW_DAYS, day);
  ask.leave('grown', { until: next, earliest: next, latest: next, reason: { why: 'grown' } });
}

function planned(ask: Asker, state: State, batch: Batch, day: Day): void {
  const { cutOn, mother } = batch;
  const plump = addDays(cutOn, -PLUMP_DAYS);
  if (mother !== undefined && day >= plump && day < cutOn && !drankSince(state, mother, plump))
    ask.do('water-mother', {
      since: plump,
      late: 0,
      reason: { why: 'plump-mother', cutOn },
      sure: { by: 'practice' },
    });
  if (day >= cutOn)
    ask.do('cut', { since: cutOn, reason: { why: 'planned', on: cutOn }, sure: { by: 'plan' } });
  else
    ask.leave('planned', {
      until: cutOn,
      earliest: cutOn,
      latest: cutOn,
      reason: { why: 'planned', on: cutOn },
    });
}

/** The day the mother was watered for the cut, as far as that was told. */
function plumpedOn(state: State, { mother, cutOn, cut }: Batch, day: Day): Day | null {
  if (mother === undefined || cut !== null) return null;
  const from = addDays(cutOn, -PLUMP_DAYS);
  return day >= from && drankSince(state, mother, from) ? day : null;
}

/** Whether a mother was watered on a day or since, by what was told of her. */
export function drankSince(state: State, mother: string, since: Day): boolean {
  return (
    (state.motherEvents.get(mother) ?? []).some(
      (e) => e.kind === 'mothered' && e.what === 'watered' && e.day >= since,
    ) || (state.examinations.get(mother) ?? []).some((e) => (e.wateredOn ?? '') >= since)
  );
}

/** Rot near it: one looks first, and until then the can is held. */
function guarded(ask: Asker, near: Neighbour | null, day: Day): readonly Ask[] {
  if (!near) return ask.asks;
  ask.look('neighbour', {
    since: near.day,
    late: 0,
    reason: { why: 'rot-near', near },
    sure: { by: 'fact' },
  });
  if (!heldFor(near, day)) return ask.asks;
  const until = addDays(near.day, HELD_DAYS + 1);
  ask.leave('held', { until, earliest: day, latest: until, reason: { why: 'rot-near', near } });
  return ask.asks.filter((a) => !CAN.has(a.kind));
}

/** What a look found that harms: the can is held, and one looks again. */
function signed(ask: Asker, asks: readonly Ask[]): readonly Ask[] {
  const { batch, day } = ask;
  // What was asked until here is what is held; the look it wants is asked beside it.
  const before = [...asks];
  const again = lookAgain(batch, day);
  const more: Ask[] = [];
  if (again && again.until <= day) {
    const { sign, seen, until: since } = again;
    ask.look('again', { since, reason: { why: 'sign', sign, seen }, sure: { by: 'sight' } });
    more.push(ask.asks.at(-1)!);
  }
  const held = heldBySign(batch, day);
  if (held === null) {
    const ended = heldBefore(batch, day);
    const due =
      ended === null ? before : before.map((a) => (CAN.has(a.kind) ? dueFrom(a, ended, day) : a));
    return [...due, ...more];
  }
  const { sign, seen, until } = held;
  ask.leave('held', { until, earliest: until, latest: until, reason: { why: 'sign', sign, seen } });
  return [...before.filter((a) => !CAN.has(a.kind)), ...more];
}

/** Not due before a day, and late since then; what is never late stays so. */
function dueFrom(ask: Ask, from: Day, day: Day): Ask {
  const since = later(ask.since, from);
  return { ...ask, since, late: Math.min(ask.late, daysSince(since, day)) };
}

const LOOKS: ReadonlySet<string> = new Set(['roots', 'overdue', 'pups']);
/** What brings water to it; food comes in a drink. */
const CAN: ReadonlySet<string> = new Set(['first-water', 'water', 'mist', 'pot-water', 'feed']);

/** Without what the grower has put off or dropped; that is said instead. A shut gate cannot be put off. */
function asked(ask: Asker, asks: readonly Ask[]): readonly Ask[] {
  const { batch, day } = ask;
  if (batch.putOff.size === 0) return asks;
  return asks.filter(({ kind }) => {
    const put = putOffOf(batch, kind);
    if (put === undefined || put.day > day || (put.until !== undefined && put.until <= day))
      return true;
    if (put.until !== undefined)
      ask.leave('postponed', {
        until: put.until,
        earliest: put.until,
        latest: put.until,
        reason: { why: 'put-off', task: kind, text: put.text },
      });
    return false;
  });
}

/** What stood past twice its time without anyone touching the batch: one looks whether it still lives. */
function forgotten(asks: readonly Ask[], facts: Facts, day: Day): readonly Ask[] {
  const untouched = daysSince(facts.lastTouch, day);
  const stale = (a: Ask): boolean => {
    const stands = STANDS[a.kind];
    return stands !== undefined && a.late > 2 * stands && untouched > 2 * stands;
  };
  if (!asks.some(stale)) return asks;
  // It stands for the looks it replaces, too.
  const [worst] = asks
    .filter((a) => stale(a) || LOOKS.has(a.kind))
    .sort((a, b) => b.late - a.late) as [Ask, ...Ask[]];
  const { batch, closure, count, since, late } = worst;
  const alive: Ask = {
    band: 'look',
    kind: 'alive',
    batch,
    closure,
    count,
    since,
    late,
    reason: { why: 'forgotten', ask: worst.kind, days: late },
    sure: { by: 'time' },
  };
  // The look whether it lives is the look for roots, too.
  return [alive, ...asks.filter((a) => !stale(a) && !LOOKS.has(a.kind))];
}

/** Of what keeps the can away what keeps it longest is said: one date, one reason. */
function oneOfWater(leaves: readonly Leave[]): readonly Leave[] {
  const longest = longestDry(leaves);
  return leaves.filter((l) => l === longest || !NO_CAN.has(l.kind));
}

function nothingDue(
  { course, lastTouch }: Facts,
  day: Day,
): Pick<Leave, 'until' | 'earliest' | 'latest' | 'reason'> {
  const until = nextOf(lastTouch, FREE_LOOK_DAYS, day);
  return { until, earliest: until, latest: until, reason: { why: 'nothing-due', course } };
}
