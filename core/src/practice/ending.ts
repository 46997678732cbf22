import { runBench, type Fate, type Strategy } from '../rehearse';
import { luckFor, type Act, type Played } from './game';
import { adviceFor } from './scenario';

/** Ways the same luck is played again under. */
export const HABITS = ['advice', 'weekly', 'now and then', 'never until roots'] as const;
export type Habit = (typeof HABITS)[number];

export interface Plants {
  readonly rooted: number;
  readonly rotted: number;
  readonly dried: number;
}

/** What a game teaches, from what happened in it; the weightiest first. */
export type Lesson =
  | { readonly kind: 'early'; readonly day: number; readonly open: number; readonly lost: number }
  | { readonly kind: 'somebody'; readonly times: number; readonly open: number }
  | { readonly kind: 'wet'; readonly days: number; readonly lost: number }
  | { readonly kind: 'torn'; readonly day: number; readonly torn: number }
  | { readonly kind: 'thirst'; readonly lost: number }
  | { readonly kind: 'fuss'; readonly looks: number; readonly tugs: number }
  | { readonly kind: 'closed'; readonly day: number }
  | { readonly kind: 'patience'; readonly days: number }
  | { readonly kind: 'advice'; readonly rooted: number; readonly you: number }
  | { readonly kind: 'found'; readonly found: number };

export interface Ending {
  readonly you: Plants;
  readonly habits: readonly {
    readonly habit: Habit;
    readonly plants: Plants;
    readonly waterings: number;
  }[];
  readonly waterings: number;
  /** Acts that could do no good: water on open wounds or a wet stem, looks too soon, tugs with nothing to feel. */
  readonly needless: number;
  /** 0–100: plants against the best of you and the advice, less two for each needless act. */
  readonly score: number;
  readonly lessons: readonly Lesson[];
}

const WET_ENOUGH = 0.5;
const LESSONS = 3;
/** Rot that water on an open wound began is seen by then. */
const FOUR_WEEKS = 28;

const plantsOf = (fates: readonly Fate[]): Plants => ({
  rooted: fates.filter((f) => f.rooted >= 0 && f.rotted < 0 && f.dried < 0).length,
  rotted: fates.filter((f) => f.rotted >= 0).length,
  dried: fates.filter((f) => f.dried >= 0).length,
});

/** How habit waters where the advice would do otherwise. */
function strategyFor(habit: Habit, advice: Strategy): Strategy {
  const name = habit;
  switch (habit) {
    case 'advice':
      return advice;
    case 'weekly':
      return {
        ...advice,
        name,
        dryDays: 0,
        first: { day: 0 },
        then: { everyDays: 7 },
        looksEvery: null,
      };
    case 'now and then':
      return {
        ...advice,
        name,
        dryDays: 2,
        first: { day: 3 },
        then: { aboutEveryDays: 11 },
        looksEvery: null,
      };
    case 'never until roots':
      return { ...advice, name, first: { once: 'roots' } };
  }
}

/** The truth laid open: what came of it, of the same luck under four habits, and what to take from it. */
export function endingOf(played: Played): Ending {
  const { scenario, bench, events } = played;
  const you = plantsOf(bench.cuttings);
  const luck = luckFor(scenario);
  // Whoever stops early is held against the others as far as was played.
  const days = played.over ? scenario.days : Math.max(1, played.day);
  // What stood in wet or dry mix when it was found stands so for every habit; the advice moves it where it can be moved.
  const found = (strategy: Strategy): Strategy =>
    scenario.setAtOnce
      ? { ...strategy, dryDays: 0, startWetness: scenario.foundWet ?? strategy.startWetness }
      : strategy;
  const habits = HABITS.map((habit) => {
    const advice =
      habit === 'advice' && scenario.movedTo
        ? adviceFor(scenario, scenario.movedTo)
        : found(adviceFor(scenario));
    const run = runBench(strategyFor(habit, advice), luck, scenario.weather, days);
    return { habit, plants: plantsOf(run.fates), waterings: run.waterings };
  });
  const needless = events.filter(isNeedless).length;
  const best = Math.max(1, you.rooted, habits[0]!.plants.rooted);
  return {
    you,
    habits,
    waterings: bench.waterings,
    needless,
    score: Math.max(0, Math.round((100 * you.rooted) / best) - 2 * needless),
    lessons: lessonsOf(played, you, habits[0]!.plants.rooted).slice(0, LESSONS),
  };
}

function isNeedless(event: Played['events'][number]): boolean {
  switch (event.kind) {
    case 'needless':
      return true;
    case 'watered':
      return event.by === 'you' && (event.open > 0 || event.wet > WET_ENOUGH);
    case 'looked':
      return event.soon;
    case 'tugged':
      return event.nothing || event.torn > 0;
    case 'recut':
      return false;
  }
}

/** So many days on end without a hand on it are patience. Working assumption; 14–30. */
const PATIENCE_DAYS = 21;

/** The longest stretch of days on which nothing was done. */
function longestWait(acts: readonly Act[]): number {
  let [longest, now] = [0, 0];
  for (const act of acts) {
    now = act === 'wait' ? now + 1 : act === 'week' ? now + 7 : 0;
    longest = Math.max(longest, now);
  }
  return longest;
}

function lessonsOf(
  { events, truth, bench, acts }: Played,
  you: Plants,
  advised: number,
): readonly Lesson[] {
  const told: { readonly weight: number; readonly lesson: Lesson }[] = [];
  const tell = (weight: number, lesson: Lesson): void => void told.push({ weight, lesson });
  const after = (day: number, within: number): number =>
    bench.cuttings.filter((c) => c.rotted >= day && c.rotted <= day + within).length;
  const early = events.find((e) => e.kind === 'watered' && e.by === 'you' && e.open > 0);
  if (early?.kind === 'watered')
    tell(60 + 10 * after(early.day, FOUR_WEEKS), {
      kind: 'early',
      day: early.day,
      open: early.open,
      lost: after(early.day, FOUR_WEEKS),
    });
  const others = events.filter((e) => e.kind === 'watered' && e.by === 'somebody');
  if (others.length > 0)
    tell(85, {
      kind: 'somebody',
      times: others.length,
      open: Math.max(...others.map((e) => (e.kind === 'watered' ? e.open : 0))),
    });
  const torn = events.filter((e) => e.kind === 'tugged' && e.torn > 0);
  for (const e of torn)
    if (e.kind === 'tugged') tell(55 + 5 * e.torn, { kind: 'torn', day: e.day, torn: e.torn });
  const wetDays = truth.filter((t) => t.wet > 0.85).length;
  if (wetDays > 4) tell(40 + wetDays, { kind: 'wet', days: wetDays, lost: you.rotted });
  if (you.dried > 0) tell(70 + 5 * you.dried, { kind: 'thirst', lost: you.dried });
  const looks = events.filter((e) => e.kind === 'looked').length;
  const tugs = events.filter((e) => e.kind === 'tugged').length;
  if (looks + tugs > 4) tell(45 + looks + tugs, { kind: 'fuss', looks, tugs });
  const found = events.reduce((sum, e) => sum + (e.kind === 'looked' ? e.found : 0), 0);
  if (found > 0) tell(50 + found, { kind: 'found', found });
  const closed = truth.find((t) => t.closure >= 0.99);
  if (closed && closed.day > 0) tell(38, { kind: 'closed', day: closed.day });
  const days = longestWait(acts);
  if (!early && days >= PATIENCE_DAYS) tell(36, { kind: 'patience', days });
  tell(advised > you.rooted ? 65 : 37, { kind: 'advice', rooted: advised, you: you.rooted });
  return told.sort((a, b) => b.weight - a.weight).map((t) => t.lesson);
}
