import { addDays, type Day } from '../days';
import type { WaterCase } from './case';
import { capacityOf } from './column';
import { doseOf, roomTo, THROUGH } from './dose';
import { fitPace, type PotPace } from './pace';
import { mannerOf, runPot, type PotDay } from './run';
import type { VerdictReason, VerdictUnless } from './reason';
import type { WaterSchoolId } from './school';
import { schoolOn, WEAN_TAPER_DAYS } from './trigger';
import { MIST_MM, type WaterManner } from './watering';

/** What to give. */
export interface Drink {
  readonly manner: WaterManner;
  /** Of one container. */
  readonly ml: number;
  readonly mm: number;
  /** So much that some runs out below: it need not be measured. */
  readonly through: boolean;
  /** The pot has no hole: nothing of it runs out. */
  readonly closed?: true;
}

export type VerdictKind = 'closed' | 'hold' | 'water' | 'overdue';

/** What the can may do at a batch today. */
export interface WaterVerdict {
  readonly id: string;
  readonly kind: VerdictKind;
  readonly school: WaterSchoolId;
  readonly reason: VerdictReason;
  /** What would change it. */
  readonly unless: VerdictUnless;
  /** When water is likely due, eight times in ten between the two; null beyond the outlook. */
  readonly due: {
    readonly likely: Day;
    readonly earliest: Day;
    readonly latest: Day | null;
  } | null;
  /** The day the gate opens, while it is shut. */
  readonly opens: Day | null;
  readonly drink: Drink;
  /** Days from this watering to the next, as the weather stands; null beyond the outlook. */
  readonly everyDays: number | null;
  /** Water now against what the pot holds after draining. */
  readonly fill: { readonly likely: number; readonly low: number; readonly high: number };
  /** Mean wetness round stem and roots. */
  readonly stem: number;
  readonly poolMl: number;
  readonly pace: PotPace;
  /** What the pot weighs when its school would water, and after draining, g; null without a weighing. */
  readonly weights: {
    readonly dryG: number;
    readonly drainedG: number;
    readonly nowG: number;
  } | null;
}

/** Water stands longer overdue than this before a cutting minds, days or share of the interval. */
const LATE_DAYS = 3;
const LATE_SHARE = 0.5;
/** With more than this of its water left nothing wrinkles, however long its school asks. Working assumption; 0.2–0.5. */
const LOW_FILL = 1 / 3;
/** Of the room in a pot without holes no more than this is ever filled at once. */
const MISER = 0.5;

function firstDue({ from, firstAt }: WaterCase): WaterVerdict['due'] {
  if (firstAt === null) return null;
  const day = addDays(from, firstAt);
  return { likely: day, earliest: day, latest: day };
}

/**
 * The verdict on a pot today: *closed* while its wound is open, *hold* until its school asks,
 * *water*, or *overdue*.
 */
export function judge(given: WaterCase): WaterVerdict {
  const pace = fitPace(given);
  const { today } = given;
  const correction = pace.correction ?? undefined;
  const runTo = (factor: number): readonly PotDay[] =>
    runPot(given, { pace: factor, until: today + 1, settledOn: today, correction });
  const past = runTo(pace.likely);
  const now = past[today]!;
  const slow = runTo(pace.low)[today]!;
  const fast = runTo(pace.high)[today]!;
  const school = schoolOn(given, today);
  const gateShut = given.gateAt === null || given.gateAt > today;
  const neverWatered = !given.wateredBefore;

  // What was given today is in the pot already.
  const ahead = { ...given, waterings: given.waterings.filter((w) => w.at !== today) };
  const dueFrom = (day: PotDay, factor: number): number | null => nextAsk(ahead, day, factor);
  const due =
    gateShut || neverWatered ? null : rangeOf(given, past, [slow, now, fast], pace, dueFrom);
  const drink = drinkFor(given, now, school, neverWatered);
  const base = {
    id: given.id,
    school,
    due: due?.range ?? null,
    opens: gateShut && given.gateAt !== null ? addDays(given.from, given.gateAt) : null,
    drink,
    everyDays: interval(ahead, now, school, pace.likely, drink),
    fill: { likely: now.fill, low: fast.fill, high: slow.fill },
    stem: now.stem,
    poolMl: now.poolMl,
    pace,
    weights: weightsOf(ahead, pace, now, school),
  };
  const { fill } = now;

  if (gateShut)
    return {
      ...base,
      kind: 'closed',
      reason: { why: given.gateAt === null ? 'gate-stopped' : 'gate-closed' },
      unless: { what: 'firm' },
    };
  if (now.poolMl > 0.15 * (capacityOf(given.column) / 1000))
    return {
      ...base,
      kind: 'hold',
      due: null,
      reason: { why: 'pool', ml: now.poolMl },
      unless: { what: 'tip-out' },
    };
  if (neverWatered && (given.firstAt === null || given.firstAt > today))
    return {
      ...base,
      kind: 'hold',
      due: firstDue(given),
      reason: { why: 'first-waits', for: given.firstAt === null ? 'roots' : 'days' },
      unless: { what: given.firstAt === null ? 'soft' : 'wrinkling' },
    };
  if (neverWatered)
    return {
      ...base,
      kind: 'water',
      reason: given.laid
        ? { why: 'first-mist' }
        : given.regime === null
          ? { why: 'first-soak' }
          : { why: 'first-drink', depthMm: given.stemMm },
      unless: { what: 'soft-base' },
    };
  const asked = askedSince(past, given);
  const since = asked === null ? null : Math.max(asked, Math.min(given.regimeAt, today));
  const { regime, rooted, sown, beside } = given;
  if (regime === 'dry' || (regime !== null && since === null))
    return {
      ...base,
      kind: 'hold',
      due: regime === 'dry' ? null : base.due,
      reason: { why: 'regime', regime, rooted, sown, beside, fill },
      unless: { what: 'soft' },
    };
  if (since === null)
    return {
      ...base,
      kind: 'hold',
      reason: { why: 'holds', fill, school, weaning: weaning(given) },
      unless: holdUnless(ahead, now, pace),
    };
  // What has no roots drinks next to nothing, and a sip more or less is none: it is never overdue.
  if (regime !== null)
    return {
      ...base,
      kind: 'water',
      reason: { why: 'regime', regime, rooted, sown, beside, fill },
      unless: { what: 'moist' },
    };
  const wait = today - since;
  const usual = base.everyDays ?? 0;
  const late = school === 'mist' ? 2 : Math.max(LATE_DAYS, LATE_SHARE * usual);
  if (wait > late && school !== 'weekly' && (school === 'mist' || fill < LOW_FILL))
    return {
      ...base,
      kind: 'overdue',
      reason: { why: 'overdue', school, days: wait },
      unless: { what: 'plump' },
    };
  return {
    ...base,
    kind: 'water',
    reason: { why: 'asks', fill, school, days: wait },
    unless: { what: 'moist' },
  };
}

const weaning = ({ weanedAt, today }: WaterCase): boolean =>
  weanedAt !== null && today - weanedAt < WEAN_TAPER_DAYS;

/** Four degrees more, worked out anew; and what would make the answer surer. */
function holdUnless(given: WaterCase, now: PotDay, pace: PotPace): VerdictUnless {
  const { evaporation, mobility } = given.warmer;
  const warmer = {
    ...given,
    evaporation: given.evaporation.map((e) => e * evaporation),
    mobility: given.mobility.map((m) => m * mobility),
  };
  const usual = nextAsk(given, now, pace.likely);
  const sooner = nextAsk(warmer, now, pace.likely);
  const days = usual === null || sooner === null ? 0 : Math.max(0, usual - sooner);
  return { what: 'warmer', days, weigh: given.weighings.length < 2 };
}

/** First morning since the last watering from which it has asked without a break; null if it does not. */
function askedSince(past: readonly PotDay[], { today }: WaterCase): number | null {
  if (!past[today]!.asks) return null;
  let at = today;
  while (
    at > 0 &&
    past[at - 1]!.asks &&
    past[at - 1]!.memory.wateredAt === past[at]!.memory.wateredAt
  )
    at--;
  return at;
}

function nextAsk(given: WaterCase, day: PotDay, pace: number): number | null {
  const until = given.evaporation.length;
  const days = runPot(given, {
    pace,
    until,
    start: { at: given.today, day },
    stopAt: given.today,
  });
  return days.at(-1)!.asks ? given.today + days.length - 1 : null;
}

function rangeOf(
  given: WaterCase,
  past: readonly PotDay[],
  [slow, now, fast]: readonly [PotDay, PotDay, PotDay],
  pace: PotPace,
  dueFrom: (day: PotDay, factor: number) => number | null,
): { readonly range: WaterVerdict['due'] } {
  const asked = askedSince(past, given);
  const likely =
    asked === null
      ? dueFrom(now, pace.likely)
      : Math.max(asked, Math.min(given.regimeAt, given.today));
  if (likely === null) return { range: null };
  const day = (at: number): Day => addDays(given.from, at);
  const earliest = fast.asks ? Math.min(likely, given.today) : (dueFrom(fast, pace.high) ?? likely);
  const latest = slow.asks ? likely : dueFrom(slow, pace.low);
  return {
    range: {
      likely: day(likely),
      earliest: day(Math.min(earliest, likely)),
      latest: latest === null ? null : day(Math.max(latest, likely)),
    },
  };
}

/** What to give: enough to drain a little, a mist, a first drink, or a miser's share without holes. */
function drinkFor(given: WaterCase, now: PotDay, school: WaterSchoolId, first: boolean): Drink {
  const { column, regime } = given;
  const amount = (ml: number, manner: WaterManner, through = false): Drink => ({
    manner,
    ml,
    mm: (ml * 1000) / column.surfaceMm2,
    through,
  });
  if (school === 'mist' || (first && given.laid))
    return amount((MIST_MM * column.surfaceMm2) / 1000, 'misted');
  // A first drink goes to the stem, whatever comes after it; roots that are there already drink as they will.
  const dose = doseOf(column, now.wetness, first && regime !== null ? 'sip' : regime, given);
  if (dose !== null) return amount(dose, 'poured');
  const room = roomTo(column, now.wetness, column.depthMm);
  if (!column.drains)
    return { ...amount(Math.max(0, room * MISER - now.poolMl), 'poured'), closed: true };
  return amount(room * THROUGH, mannerOf(school), true);
}

/** Days until it would ask again after this drink, in the air to come. */
function interval(
  given: WaterCase,
  now: PotDay,
  school: WaterSchoolId,
  pace: number,
  drink: Drink,
): number | null {
  const watered: WaterCase = {
    ...given,
    waterings: [{ at: given.today, manner: drink.manner, ml: drink.ml }],
  };
  const days = runPot(watered, {
    pace,
    school,
    until: given.evaporation.length,
    start: { at: given.today, day: now },
    stopAt: given.today + 1,
  });
  return days.at(-1)!.asks && days.length > 1 ? days.length - 1 : null;
}

function weightsOf(
  given: WaterCase,
  pace: PotPace,
  now: PotDay,
  school: WaterSchoolId,
): WaterVerdict['weights'] {
  if (pace.dryWeightG === null) return null;
  const capacityMl = capacityOf(given.column) / 1000;
  const wet = runPot(
    { ...given, waterings: [{ at: given.today, manner: 'soaked' }] },
    {
      pace: pace.likely,
      school,
      until: given.evaporation.length,
      start: { at: given.today, day: now },
      stopAt: given.today + 1,
    },
  ).at(-1)!;
  return {
    dryG: pace.dryWeightG + (wet.asks ? wet.waterMl : 0),
    drainedG: pace.dryWeightG + capacityMl,
    nowG: pace.dryWeightG + now.waterMl,
  };
}
