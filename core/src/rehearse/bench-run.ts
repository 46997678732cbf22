import { growthOn, slowed, timeOf } from '../botany';
import { vapourPressureDeficit } from '../climate';
import { closureRate, MOULD_RH, PLACE_FACTOR, referenceClosureDays } from '../wound';
import {
  asksForWater,
  dry,
  evenly,
  isBoneDry,
  mannerOf,
  mobilityAt,
  schoolOn,
  water,
  waterIn,
  wetnessTo,
  type Memory,
  type WaterSchoolId,
} from '../water';
import {
  BONE_DRY_STEM,
  DUDS,
  LASTS_DAYS,
  LOGGED_DAYS,
  LOGGED_FROM,
  LOGGED_HAZARD,
  MOULD_HAZARD,
  POT_SD,
  REFERENCE_VPD,
  REFILLS_DAYS,
  RESERVE_SD,
  ROOTS_DRY,
  ROOTS_LOGGED,
  ROOT_SD,
  ROT_Q10,
  SPREAD_HAZARD,
  SPREADS_DAYS,
  TOO_THIRSTY,
  UNWIPED,
  WET_WOUND_HAZARD,
  WOUND_SD,
} from './assumptions';
import type { BenchLuck, CuttingLuck } from './luck';
import { growingOf, type Strategy } from './strategy';
import { weatherAhead, type Weather } from './weather-ahead';

/** What became of one cutting: the day of it, from the cut; −1 where it did not. */
export interface Fate {
  readonly rooted: number;
  readonly rotted: number;
  readonly dried: number;
}

/** What became of a bench under one strategy. */
export interface BenchRun {
  readonly fates: readonly Fate[];
  readonly waterings: number;
  readonly litres: number;
}

interface Alive {
  readonly luck: CuttingLuck;
  readonly tau: number;
  readonly rootsAt: number;
  readonly lasts: number;
  closure: number;
  reserves: number;
  growth: number;
  hazard: number;
  rooted: number;
  rotted: number;
  dried: number;
}

/** Six hours, as the advice reckons. */
const STEP_DAYS = 0.25;
/** Once so many have roots, who waits for roots waters. */
const ROOTS_SHOW = 0.3;

/**
 * One bench, day by day, by the product's own air, wound clock, column of medium and schools.
 * @param days to be played, from the cut
 */
export function runBench(
  strategy: Strategy,
  luck: BenchLuck,
  weather: Weather,
  days: number,
): BenchRun {
  const { column, place, taxon, way } = strategy;
  const air = weatherAhead(place.usual.slice(0, days), weather, luck.normals);
  const time = slowed(timeOf(way), Math.exp(ROOT_SD * luck.pace));
  const potPace = Math.exp(POT_SD * luck.pot);
  const cuttings = luck.cuttings.map((one): Alive => startOf(strategy, one, time));
  let wetness = evenly(column, strategy.startWetness);
  let memory: Memory = { wateredAt: 0, boneDryDays: 0 };
  let [wet, logged, parched] = [0, 0, 0];
  let [waterings, litres] = [0, 0];
  let watered = false;
  const sick: number[] = [];
  const evaporation = place.evaporation.slice(0, days);
  for (let day = 0; day < days; day++) {
    const now = air[day]!;
    const set = day >= strategy.dryDays;
    if (set) {
      const boneDry = isBoneDry(column, wetness);
      memory = { ...memory, boneDryDays: boneDry ? memory.boneDryDays + 1 : 0 };
      const school = schoolNow(strategy, cuttings);
      const asks = (): boolean =>
        asksForWater({ column, evaporation }, school, wetness, day, memory);
      if (watered ? again(strategy, day, memory, asks) : begins(strategy, cuttings, day)) {
        watered = true;
        const before = waterIn(column, wetness);
        wetness = water(column, wetness, mannerOf(school)).wetness;
        memory = { wateredAt: day, boneDryDays: 0 };
        waterings++;
        litres += (waterIn(column, wetness) - before) / 1e6;
      }
      wet = wetnessTo(column, wetness, strategy.stemMm);
      logged = wet >= LOGGED_FROM ? logged + 1 : 0;
      parched = wet <= BONE_DRY_STEM ? parched + 1 : 0;
    }
    const vpd = vapourPressureDeficit(now.tempC, now.rh);
    const closing = closureRate(now) / PLACE_FACTOR[set ? 'medium' : 'rack'];
    const grown = growthOn(taxon, growingOf(strategy, now, day));
    const rooting =
      logged > LOGGED_DAYS ? ROOTS_LOGGED : set && parched > LOGGED_DAYS ? ROOTS_DRY : 1;
    const warm = ROT_Q10 ** ((now.tempC - 22) / 10);
    const blade = strategy.wiped ? 1 : UNWIPED;
    const near =
      sick.filter((since) => day - since <= SPREADS_DAYS).length / Math.max(1, cuttings.length);
    const shared = set ? SPREAD_HAZARD * near * wet : 0;
    const stood = logged > LOGGED_DAYS ? LOGGED_HAZARD : 0;
    const mould = now.rh > MOULD_RH ? MOULD_HAZARD : 0;
    for (const one of cuttings) {
      if (one.rotted >= 0 || one.dried >= 0) continue;
      const open = 1 - Math.min(1, one.closure);
      one.hazard +=
        warm * (open * (blade * WET_WOUND_HAZARD * (set ? wet : 0) + mould) + stood + shared);
      if (one.hazard >= one.luck.infection) {
        one.rotted = day;
        sick.push(day);
        continue;
      }
      one.closure += closing / one.tau;
      const drinks = one.rooted >= 0 && set && wet > BONE_DRY_STEM;
      one.reserves = drinks
        ? Math.min(1, one.reserves + 1 / REFILLS_DAYS)
        : one.reserves - vpd / REFERENCE_VPD / one.lasts;
      if (one.reserves <= 0) {
        one.dried = day;
        continue;
      }
      one.growth += grown * rooting * (one.reserves < TOO_THIRSTY ? 0.5 : 1);
      if (one.rooted < 0 && one.growth >= one.rootsAt) one.rooted = day;
    }
    if (strategy.looksEvery !== null && day % strategy.looksEvery === 0) sick.length = 0;
    if (set) {
      const mobility = mobilityAt(now.tempC);
      const usual = place.usual[day]!;
      const power = Math.max(
        0.2,
        vpd / Math.max(0.05, vapourPressureDeficit(usual.tempC, usual.rh)),
      );
      const asked = (place.evaporation[day]! * power) / mobility;
      wetness = dry(column, wetness, asked, potPace * mobility, STEP_DAYS).wetness;
    }
  }
  return {
    fates: cuttings.map(({ rooted, rotted, dried }) => ({ rooted, rotted, dried })),
    waterings,
    litres,
  };
}

function startOf(strategy: Strategy, luck: CuttingLuck, time: ReturnType<typeof timeOf>): Alive {
  const { way, widthMm } = strategy;
  const tau =
    way.wound === null || widthMm === null
      ? null
      : referenceClosureDays(widthMm, way.wound.tissue) * Math.exp(WOUND_SD * luck.wound);
  return {
    luck,
    tau: tau ?? 1,
    rootsAt:
      luck.dud < DUDS ? Infinity : time.scale * (-Math.log(1 - luck.roots)) ** (1 / time.shape),
    lasts: LASTS_DAYS[way.method] * Math.exp(RESERVE_SD * luck.reserve),
    closure: tau === null ? 1 : 0,
    reserves: 1,
    growth: 0,
    hazard: 0,
    rooted: -1,
    rotted: -1,
    dried: -1,
  };
}

/** What it is watered by on a day: its habit before roots, its school once enough have them. */
function schoolNow({ then }: Strategy, cuttings: readonly Alive[]): WaterSchoolId {
  if ('everyDays' in then) return 'weekly';
  const unrooted = rootsShow(cuttings) ? null : then.unrooted;
  return schoolOn({ school: then.school, unrooted, weanedAt: null }, 0);
}

function rootsShow(cuttings: readonly Alive[]): boolean {
  const living = cuttings.filter((c) => c.rotted < 0 && c.dried < 0);
  const rooted = living.filter((c) => c.rooted >= 0).length;
  return rooted > 0 && rooted >= ROOTS_SHOW * living.length;
}

/** The first drink, by the day or by roots. */
function begins({ first }: Strategy, cuttings: readonly Alive[], day: number): boolean {
  return 'day' in first ? day >= first.day : rootsShow(cuttings);
}

const again = ({ then }: Strategy, day: number, memory: Memory, asks: () => boolean): boolean =>
  'school' in then ? asks() : day - memory.wateredAt >= then.everyDays;
