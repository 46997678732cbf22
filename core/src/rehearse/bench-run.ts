import { asksForWater, mannerOf, schoolOn, type WaterManner, type WaterSchoolId } from '../water';
import { benchOf, morning, passDay, type Alive, type Bench } from './bench-day';
import type { BenchLuck } from './luck';
import type { Strategy } from './strategy';
import type { Weather } from './weather-ahead';

/** What became of one cutting: the day of it, from the cut; −1 where it did not. */
export interface Fate {
  /** The first roots; of all but leaves and sections the day it is a plant. */
  readonly roots: number;
  readonly rooted: number;
  readonly rotted: number;
  readonly dried: number;
}

/** Rooted, and alive at the end. */
export const lives = ({ rooted, rotted, dried }: Fate): boolean =>
  rooted >= 0 && rotted < 0 && dried < 0;

/** Alive and without roots on the morning of a day. */
export const waitsOn = ({ roots, rotted, dried }: Fate, day: number): boolean =>
  day <= 0 || [roots, rotted, dried].every((on) => on < 0 || on >= day);

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
    fates: cuttings.map(({ roots, rooted, rotted, dried }) => ({ roots, rooted, rotted, dried })),
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
    let soak: WaterManner | null = null;
    if (day < until) soak = past.get(day) ?? null;
    else if (set) {
      const school = schoolNow(strategy, bench.cuttings);
      const soaks = watered
        ? again(bench, day, school, evaporation)
        : begins(strategy, bench.cuttings, day);
      watered ||= soaks;
      soak = soaks ? mannerOf(school) : null;
    }
    const look = strategy.looksEvery !== null && day % strategy.looksEvery === 0;
    passDay(bench, day, { set, soak, look });
  }
  return bench;
}

/** What it is watered by on a day: its habit before roots, its school once enough have them. */
function schoolNow({ then }: Strategy, cuttings: readonly Alive[]): WaterSchoolId {
  if (!('school' in then)) return 'weekly';
  const unrooted = rootsShow(cuttings) ? null : then.unrooted;
  return schoolOn({ school: then.school, unrooted, weanedAt: null }, 0);
}

function rootsShow(cuttings: readonly Alive[]): boolean {
  const living = cuttings.filter((c) => c.rotted < 0 && c.dried < 0);
  const rooted = living.filter((c) => c.roots >= 0).length;
  return rooted > 0 && rooted >= ROOTS_SHOW * living.length;
}

/** The first drink, by the day or by roots. */
function begins({ first }: Strategy, cuttings: readonly Alive[], day: number): boolean {
  return 'day' in first ? day >= first.day : rootsShow(cuttings);
}

function again(
  { strategy, wetness, memory, waterings, luck }: Bench,
  day: number,
  school: WaterSchoolId,
  evaporation: readonly number[],
): boolean {
  const { then, column } = strategy;
  if ('school' in then) return asksForWater({ column, evaporation }, school, wetness, day, memory);
  const since = day - memory.wateredAt;
  if ('everyDays' in then) return since >= then.everyDays;
  const whim = luck.whims[waterings % luck.whims.length]!;
  return since >= Math.round(then.aboutEveryDays * (0.5 + whim));
}
