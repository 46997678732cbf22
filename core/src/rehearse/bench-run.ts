import {
  asksForWater,
  doseOf,
  HOLD_AFTER,
  leftDryBelow,
  mannerOf,
  schoolOn,
  type RegimeId,
  type WaterSchoolId,
} from '../water';
import { benchOf, morning, passDay, type Alive, type Bench, type Drink } from './bench-day';
import type { BenchLuck } from './luck';
import { grownAs, METHOD, seasonStateAt } from '../botany';
import type { Air } from '../climate';
import { growingOf, type Strategy } from './strategy';
import type { Weather } from './weather-ahead';

/** What became of one cutting: the day of it, from the cut; −1 where it did not. */
export interface Fate {
  /** The first roots; of all but leaves and sections the day it is a plant. */
  readonly roots: number;
  readonly rooted: number;
  readonly rotted: number;
  readonly dried: number;
  /** Days of growth since its roots, and as many as there were with water at all times. */
  readonly grown: number;
  readonly couldGrow: number;
}

/** Rooted, and alive at the end. */
export const lives = ({
  rooted,
  rotted,
  dried,
}: Pick<Fate, 'rooted' | 'rotted' | 'dried'>): boolean => rooted >= 0 && rotted < 0 && dried < 0;

/** Alive and without roots on the morning of a day. */
export const waitsOn = (
  { roots, rotted, dried }: Pick<Fate, 'roots' | 'rotted' | 'dried'>,
  day: number,
): boolean => day <= 0 || [roots, rotted, dried].every((on) => on < 0 || on >= day);

/** What became of a bench under one strategy. */
export interface BenchRun {
  readonly fates: readonly Fate[];
  readonly waterings: number;
  readonly litres: number;
}

/** Once so many have roots, who waits for roots waters. */
const ROOTS_SHOW = 0.3;

/**
 * One bench, day by day, as a strategy would have it.
 * @param days to be played, from the cut
 */
export function runBench(
  strategy: Strategy,
  luck: BenchLuck,
  weather: Weather,
  days: number,
): BenchRun {
  const { cuttings, waterings, litres } = playBench(strategy, luck, weather, days);
  return {
    fates: cuttings.map(({ roots, rooted, rotted, dried, grown, couldGrow }) => ({
      roots,
      rooted,
      rotted,
      dried,
      grown,
      couldGrow,
    })),
    waterings,
    litres,
  };
}

/** The bench itself as it stands at the end, with what its cuttings went through. */
export function playBench(
  strategy: Strategy,
  luck: BenchLuck,
  weather: Weather,
  days: number,
): Bench {
  const bench = benchOf(strategy, luck, weather, days);
  const evaporation = strategy.place.evaporation.slice(0, days);
  const until = strategy.past?.until ?? 0;
  const past = new Map(strategy.past?.watered.map(({ day, how }) => [day, how]));
  let watered = past.size > 0 && !('once' in strategy.first);
  for (let day = 0; day < days; day++) {
    const set = day >= strategy.dryDays;
    if (set) morning(bench);
    let drink: Drink | null = null;
    if (day < until) {
      const how = past.get(day);
      drink = how === undefined ? null : { how };
    } else if (set) {
      const regime = regimeNow(strategy, bench.cuttings, day);
      const drinks = watered
        ? again(bench, day, regime, evaporation)
        : begins(strategy, bench.cuttings, day);
      if (drinks) drink = drinkOf(bench, regime, !watered);
      watered ||= drinks;
    }
    const look = strategy.looksEvery !== null && day % strategy.looksEvery === 0;
    passDay(bench, day, { set, drink, look });
  }
  return bench;
}

/**
 * What it is given on a day until its roots drink for a pot, as its care has it: its habit before roots; what lies on
 * the surface is misted until half have roots that hold, and sips at the base then.
 * @returns null where its school waters it, or a habit of days does
 */
function regimeNow({ then }: Strategy, cuttings: readonly Alive[], day: number): RegimeId | null {
  if (!('school' in then)) return null;
  if (!rootsShow(cuttings)) return then.unrooted;
  if (then.young !== null) return then.young;
  if (!then.laid) return null;
  const living = cuttings.filter(standing);
  const hold = living.filter((c) => c.roots >= 0 && day - c.roots >= HOLD_AFTER).length;
  return hold >= living.length / 2 ? 'base' : 'mist';
}

const schoolNow = ({ then }: Strategy, regime: RegimeId | null): WaterSchoolId =>
  'school' in then ? schoolOn({ school: then.school, regime, weanedAt: null }, 0) : 'weekly';

/** How much, and how. */
function drinkOf(
  { strategy, wetness, cuttings }: Bench,
  regime: RegimeId | null,
  first: boolean,
): Drink {
  const { column, stemMm, then } = strategy;
  const school = schoolNow(strategy, regime);
  if (school === 'mist' || (first && 'school' in then && then.laid)) return { how: 'misted' };
  const pieces = cuttings.filter(standing).length;
  const ml = doseOf(column, wetness, first && regime !== null ? 'sip' : regime, { stemMm, pieces });
  return ml === null ? { how: mannerOf(school) } : { how: 'poured', ml };
}

function leftDry(strategy: Strategy, regime: RegimeId | null, air: Air, day: number): boolean {
  const { method } = strategy.way;
  const grower = grownAs(strategy.taxon, method);
  const growing = growingOf(strategy, air, day);
  const crumb = METHOD[method].crumb === true;
  if (growing.tempC >= leftDryBelow(regime, grower.season.fromC, crumb)) return false;
  return seasonStateAt(grower, growing.tempC, growing.dayHours, growing) === 'resting';
}

const standing = ({ rotted, dried }: Alive): boolean => rotted < 0 && dried < 0;

function rootsShow(cuttings: readonly Alive[]): boolean {
  const living = cuttings.filter(standing);
  const rooted = living.filter((c) => c.roots >= 0).length;
  return rooted > 0 && rooted >= ROOTS_SHOW * living.length;
}

/** The first drink, by the day or by roots. */
function begins({ first }: Strategy, cuttings: readonly Alive[], day: number): boolean {
  return 'day' in first ? day >= first.day : rootsShow(cuttings);
}

function again(
  { strategy, wetness, memory, waterings, luck, air, cuttings }: Bench,
  day: number,
  regime: RegimeId | null,
  evaporation: readonly number[],
): boolean {
  const { then, column, feltMm } = strategy;
  if (regime === 'dry') return false;
  if (!rootsShow(cuttings) && leftDry(strategy, regime, air[day]!, day)) return false;
  if ('school' in then) {
    const school = schoolNow(strategy, regime);
    return asksForWater({ column, evaporation, regime, feltMm }, school, wetness, day, memory);
  }
  const since = day - memory.wateredAt;
  if ('everyDays' in then) return since >= then.everyDays;
  const whim = luck.whims[waterings % luck.whims.length]!;
  return since >= Math.round(then.aboutEveryDays * (0.5 + whim));
}
