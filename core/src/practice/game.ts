import { BONE_DRY, evenly, fillOf, waterIn, type WaterManner } from '../water';
import {
  WRINKLED,
  benchOf,
  luckOf,
  morning,
  passDay,
  type Alive,
  type Bench,
  type BenchLuck,
} from '../rehearse';
import { AS_BOUGHT } from '../bench';
import { adviceFor, type Scenario } from './scenario';

/** What a hand can do. `wait` and `week` let days pass, all else is done on the day. */
export const ACTS = [
  'wait',
  'week',
  'set',
  'water',
  'mist',
  'look',
  'tug',
  'recut',
  'move',
  'warm',
] as const;
export type Act = (typeof ACTS)[number];

/** The truth of a morning, that nobody at the bench can see. Shares 0–1, of all pieces. */
export interface TruthDay {
  readonly day: number;
  /** How far wounds are closed, those alive. */
  readonly closure: number;
  /** Stem zone against drained; 0 before it is set. */
  readonly wet: number;
  readonly reserves: number;
  readonly rooted: number;
  readonly rotted: number;
}

/** Something worth a word at the end. */
export type Event =
  | {
      readonly kind: 'watered';
      readonly day: number;
      readonly open: number;
      readonly wet: number;
      readonly by: 'you' | 'somebody';
    }
  | {
      readonly kind: 'tugged';
      readonly day: number;
      readonly torn: number;
      readonly nothing: boolean;
    }
  | {
      readonly kind: 'looked';
      readonly day: number;
      readonly soon: boolean;
      readonly found: number;
    }
  | { readonly kind: 'recut'; readonly day: number; readonly saved: number; readonly tried: number }
  | { readonly kind: 'needless'; readonly day: number; readonly act: Act };

/** A game as it stands. The pieces are the bench's own: read, never changed. */
export interface Played {
  readonly scenario: Scenario;
  readonly acts: readonly Act[];
  readonly day: number;
  readonly over: boolean;
  readonly set: boolean;
  readonly warm: boolean;
  readonly moved: boolean;
  readonly bench: Readonly<Bench>;
  readonly truth: readonly TruthDay[];
  readonly events: readonly Event[];
  /** The pieces were lifted and seen from below today. */
  readonly lifted: boolean;
  readonly tugged: boolean;
  /** Rotted ones were taken out on that day. */
  readonly removed: ReadonlySet<number>;
}

const MAT_C = 5;
/** What a piece loses of its way to roots when it is lifted, and when it is pulled at. Working assumptions. */
const LIFT_COSTS = 0.04;
const TUG_COSTS = 0.1;
/** Roots younger than this, in days, tear when they are pulled at. */
const YOUNG_ROOTS = 7;
/** A rotted piece can still be cut back to clean tissue for so many days, and then six times in ten it lives. */
const RECUT_DAYS = 4;
const RECUT_LIVES = 0.6;
const RECUT_RESERVES = 0.7;

/**
 * The luck of a scenario: the same for every hand, so that what differs is what was done. The bench is a middling one of
 * those that are believed possible, so that a lesson hangs on no lucky tray.
 */
export function luckFor({ seed, pieces, days, oneSick }: Scenario): BenchLuck {
  const [drawn] = luckOf(seed, pieces, 1, days + 1);
  const luck = { ...drawn!, pace: 0.5, chance: 0.5 };
  if (!oneSick) return luck;
  return {
    ...luck,
    cuttings: luck.cuttings.map((one, i) => (i === 0 ? { ...one, infection: 0.01 } : one)),
  };
}

/**
 * A game from its acts: the same acts give the same game, so that nothing else need be kept.
 * @example replay(SCENARIOS['warm-leaves'], ['wait', 'week', 'set'])
 */
export function replay(scenario: Scenario, acts: readonly Act[]): Played {
  const advice = adviceFor(scenario);
  const strategy = { ...advice, startWetness: scenario.foundWet ?? advice.startWetness };
  const hand = {
    bench: benchOf(strategy, luckFor(scenario), scenario.weather, scenario.days + 1),
    day: 0,
    set: scenario.setAtOnce ?? false,
    warm: false,
    moved: false,
    soak: null as WaterManner | null,
    lifted: false,
    tugged: false,
    lastLook: -99,
    removed: new Set<number>(),
    truth: [] as TruthDay[],
    events: [] as Event[],
  };
  const played: Act[] = [];
  for (const act of acts) {
    if (hand.day >= scenario.days) break;
    played.push(act);
    if (act === 'wait') passes(hand, scenario);
    else if (act === 'week')
      for (let i = 0; i < 7 && hand.day < scenario.days; i++) passes(hand, scenario);
    else done(hand, scenario, act);
  }
  if (hand.truth.length === 0) hand.truth.push(truthOf(hand.bench, 0, hand.set));
  return {
    scenario,
    acts: played,
    day: hand.day,
    over: hand.day >= scenario.days || hand.bench.cuttings.every((c) => !alive(c)),
    set: hand.set,
    warm: hand.warm,
    moved: hand.moved,
    bench: hand.bench,
    truth: hand.truth,
    events: hand.events,
    lifted: hand.lifted,
    tugged: hand.tugged,
    removed: hand.removed,
  };
}

interface Hand {
  bench: Bench;
  day: number;
  set: boolean;
  warm: boolean;
  moved: boolean;
  soak: WaterManner | null;
  lifted: boolean;
  tugged: boolean;
  lastLook: number;
  readonly removed: Set<number>;
  readonly truth: TruthDay[];
  readonly events: Event[];
}

const alive = (c: Alive): boolean => c.rotted < 0 && c.dried < 0;

/** How many living wounds are open. */
const openOf = ({ cuttings }: Bench): number =>
  cuttings.filter((c) => alive(c) && c.closure < 1).length;

function passes(hand: Hand, scenario: Scenario): void {
  const { bench, day } = hand;
  const { meddler } = scenario;
  const comes = meddler && day >= meddler.first && (day - meddler.first) % meddler.every === 0;
  if (comes && !hand.moved && hand.set) {
    hand.events.push({ kind: 'watered', day, open: openOf(bench), wet: bench.wet, by: 'somebody' });
    hand.soak = 'poured';
  }
  if (hand.set) morning(bench);
  passDay(bench, day, {
    set: hand.set,
    drink: hand.soak === null ? null : { how: hand.soak },
    look: hand.lifted,
    warmerC: hand.warm ? MAT_C : 0,
  });
  hand.truth.push(truthOf(bench, day, hand.set));
  hand.day++;
  hand.soak = null;
  hand.lifted = false;
  hand.tugged = false;
}

function done(hand: Hand, scenario: Scenario, act: Exclude<Act, 'wait' | 'week'>): void {
  const { bench, day } = hand;
  const living = bench.cuttings.filter(alive);
  switch (act) {
    case 'set':
      if (hand.set) hand.events.push({ kind: 'needless', day, act });
      hand.set = true;
      return;
    case 'water':
    case 'mist':
      if (!hand.set) {
        hand.events.push({ kind: 'needless', day, act });
        return;
      }
      hand.events.push({ kind: 'watered', day, open: openOf(bench), wet: bench.wet, by: 'you' });
      hand.soak = act === 'water' ? 'poured' : (hand.soak ?? 'misted');
      return;
    case 'look': {
      const rotten = bench.cuttings.flatMap((c, i) =>
        c.rotted >= 0 && !hand.removed.has(i) ? [i] : [],
      );
      for (const c of living) if (c.rooted < 0) c.growth *= 1 - LIFT_COSTS;
      for (const i of rotten) hand.removed.add(i);
      const soon = day - hand.lastLook < 3 && rotten.length === 0;
      hand.events.push({ kind: 'looked', day, soon, found: rotten.length });
      hand.lastLook = day;
      hand.lifted = true;
      return;
    }
    case 'tug': {
      let torn = 0;
      for (const c of living) {
        if (c.rooted < 0) c.growth *= 1 - TUG_COSTS;
        else if (day - c.rooted < YOUNG_ROOTS) {
          torn++;
          c.rooted = -1;
          c.roots = -1;
          c.growth = c.drinksAt * 0.85;
        }
      }
      const nothing = living.every((c) => c.rooted < 0) && torn === 0;
      hand.events.push({ kind: 'tugged', day, torn, nothing });
      hand.tugged = true;
      return;
    }
    case 'recut': {
      const bad = bench.cuttings.filter((c) => c.rotted >= 0 && day - c.rotted <= RECUT_DAYS);
      const lives = bad.filter((c) => c.luck.dud < RECUT_LIVES);
      for (const c of lives) {
        c.rotted = -1;
        c.rooted = -1;
        c.growth = 0;
        c.closure = 0;
        c.hazard = 0;
        c.reserves *= RECUT_RESERVES;
      }
      if (bad.length === 0) hand.events.push({ kind: 'needless', day, act });
      else hand.events.push({ kind: 'recut', day, saved: lives.length, tried: bad.length });
      return;
    }
    case 'move': {
      const { movedTo } = scenario;
      if (hand.moved || (scenario.meddler === undefined && !movedTo))
        hand.events.push({ kind: 'needless', day, act });
      hand.moved = true;
      if (movedTo) {
        const strategy = adviceFor(scenario, movedTo);
        hand.bench = { ...bench, strategy, wetness: evenly(strategy.column, AS_BOUGHT) };
      }
      return;
    }
    case 'warm':
      hand.warm = !hand.warm;
  }
}

function truthOf({ cuttings, wet }: Bench, day: number, set: boolean): TruthDay {
  const living = cuttings.filter(alive);
  const mean = (of: (c: Alive) => number): number =>
    living.length === 0 ? 0 : living.reduce((sum, c) => sum + of(c), 0) / living.length;
  return {
    day,
    closure: mean((c) => Math.min(1, c.closure)),
    wet: set ? Math.min(1, wet) : 0,
    reserves: mean((c) => c.reserves),
    rooted: cuttings.filter((c) => alive(c) && c.rooted >= 0).length / cuttings.length,
    rotted: cuttings.filter((c) => c.rotted >= 0).length / cuttings.length,
  };
}

/** How one piece looks to whoever stands before it. */
export type PieceSeen = 'gone' | 'soft' | 'shrivelled' | 'growing' | 'wrinkled' | 'plump';
/** What is seen of it from below, where it was lifted; or felt, where it was pulled at. */
export type BelowSeen = 'open' | 'closed' | 'roots' | 'holds' | 'loose' | null;

export interface Seen {
  readonly tempC: number;
  readonly rh: number;
  readonly pieces: readonly { readonly looks: PieceSeen; readonly below: BelowSeen }[];
  /** Of the pot, mL of water in it; null before it is set. */
  readonly waterMl: number | null;
  readonly weight: 'light' | 'middling' | 'heavy' | null;
  readonly finger: 'bone dry' | 'dry' | 'cool' | 'wet' | null;
  readonly smell: boolean;
}

/** Rot shows from above after so many days; new growth so many after roots. */
const SHOWS_DAYS = 3;
const GROWS_DAYS = 12;

/** What can be seen and felt, and nothing else. */
export function seenOf(played: Played): Seen {
  const { bench, day, set, lifted, tugged, removed, warm } = played;
  const air = bench.air[Math.min(day, bench.air.length - 1)]!;
  const fill = fillOf(bench.strategy.column, bench.wetness);
  const { wet } = bench;
  return {
    tempC: air.tempC + (warm ? MAT_C : 0),
    rh: air.rh,
    pieces: bench.cuttings.map((c, i) => ({
      looks: removed.has(i) && c.rotted >= 0 ? 'gone' : looksOf(c, day),
      below: alive(c) ? belowOf(c, lifted, tugged) : null,
    })),
    waterMl: set ? waterIn(bench.strategy.column, bench.wetness) / 1000 : null,
    weight: !set ? null : fill < 0.25 ? 'light' : fill < 0.7 ? 'middling' : 'heavy',
    finger: !set
      ? null
      : wet <= BONE_DRY
        ? 'bone dry'
        : wet < 0.35
          ? 'dry'
          : wet < 0.75
            ? 'cool'
            : 'wet',
    smell: set && bench.cuttings.some((c, i) => c.rotted >= 0 && !removed.has(i) && day > c.rotted),
  };
}

function looksOf(c: Alive, day: number): PieceSeen {
  if (c.rotted >= 0 && day - c.rotted >= SHOWS_DAYS) return 'soft';
  if (c.dried >= 0) return 'shrivelled';
  if (c.rooted >= 0 && day - c.rooted >= GROWS_DAYS) return 'growing';
  return c.reserves < WRINKLED ? 'wrinkled' : 'plump';
}

function belowOf(c: Alive, lifted: boolean, tugged: boolean): BelowSeen {
  if (lifted) return c.rooted >= 0 ? 'roots' : c.closure >= 1 ? 'closed' : 'open';
  if (tugged) return c.rooted >= 0 ? 'holds' : 'loose';
  return null;
}
