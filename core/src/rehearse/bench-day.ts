import { grownAs, growthOn, seasonStateAt, slowed, type WeibullTime } from '../botany';
import {
  drawBatch,
  guideBelief,
  plantTime,
  timesBy,
  USUAL_CORRELATION,
  type BatchDraw,
} from '../learn';
import { drinksAfter } from '../bench';
import { vapourPressureDeficit, type Air } from '../climate';
import { closureRate, MOULD_RH, PLACE_FACTOR, referenceClosureDays } from '../wound';
import {
  BONE_DRY,
  dry,
  evenly,
  HOLD_AFTER,
  isBoneDry,
  mistEvery,
  mobilityAt,
  water,
  waterIn,
  wetnessTo,
  type Memory,
  type WaterManner,
  type Wetness,
} from '../water';
import {
  GROWTH_DRY,
  DAMP_FOOT,
  PARCHED_DAYS,
  lastsDays,
  LOGGED_DAYS,
  LYING_WET_HAZARD,
  LOGGED_FROM,
  LOGGED_HAZARD,
  MOULD_HAZARD,
  POT_SD,
  RESTING_WET_HAZARD,
  REFERENCE_VPD,
  REFILLS_DAYS,
  RESERVE_SD,
  ROOTS_DRY,
  ROOTS_LOGGED,
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

/** One cutting on its way. Days are from the cut; −1 where it has not come to that. */
export interface Alive {
  readonly luck: CuttingLuck;
  readonly tau: number;
  /** Growth at which it has roots to drink by, and at which it is a plant: of a leaf with its pup. */
  readonly drinksAt: number;
  readonly rootsAt: number;
  readonly lasts: number;
  closure: number;
  reserves: number;
  growth: number;
  /** Since its roots: what it grew, and what it would have with water at all times; in days of growth. */
  grown: number;
  couldGrow: number;
  hazard: number;
  /** Of it so much by water on the open wound, were wounds as ready to rot as is assumed. */
  exposed: number;
  /** With roots, and a plant: of all but leaves and sections the same day. */
  roots: number;
  rooted: number;
  rotted: number;
  dried: number;
}

/** A bench as it stands on a morning. */
export interface Bench {
  readonly strategy: Strategy;
  readonly luck: BenchLuck;
  readonly air: readonly Air[];
  readonly potPace: number;
  readonly cuttings: readonly Alive[];
  wetness: Wetness;
  memory: Memory;
  /** Of the stem zone, against drained, at last count. */
  wet: number;
  /** What lies on it is damp from a mist before this day. */
  dampUntil: number;
  /** It was last poured over as a whole: a sip at its base wets the one that drinks. */
  soaked: boolean;
  logged: number;
  parched: number;
  waterings: number;
  litres: number;
  /** Days on which rot came that is still in the tray. */
  readonly sick: number[];
}

/** How it is watered, and with how much to a container; left out, as is usual for that manner. */
export interface Drink {
  readonly how: WaterManner;
  readonly ml?: number;
}

/** What is done with it on a day. */
export interface Deed {
  /** Set in its medium, or lying bare. */
  readonly set: boolean;
  readonly drink: Drink | null;
  /** Rotted ones are found and taken out. */
  readonly look: boolean;
  /** °C that a mat adds. */
  readonly warmerC?: number;
}

/** Six hours, as the advice reckons. */
const STEP_DAYS = 0.25;

/** @param days of air laid ready, from the cut */
export function benchOf(
  strategy: Strategy,
  luck: BenchLuck,
  weather: Weather,
  days: number,
): Bench {
  const { way } = strategy;
  const { mean, worth } = way.success;
  const believed = strategy.belief ?? guideBelief(mean, worth, USUAL_CORRELATION);
  const drawn = drawBatch(believed, luck.pace, luck.chance);
  const times = strategy.times ?? timesBy(way, 'dried');
  const roots = slowed(times.roots, drawn.pace);
  const plant = slowed(plantTime(times, way), drawn.pace);
  return {
    strategy,
    luck,
    air: weatherAhead(strategy.place.usual.slice(0, days), weather, luck.normals),
    potPace: Math.exp(POT_SD * luck.pot),
    cuttings: luck.cuttings.map((one): Alive => startOf(strategy, one, drawn, { roots, plant })),
    wetness: evenly(strategy.column, strategy.startWetness),
    memory: { wateredAt: 0, boneDryDays: 0 },
    wet: 0,
    dampUntil: 0,
    soaked: false,
    logged: 0,
    parched: 0,
    waterings: 0,
    litres: 0,
    sick: [],
  };
}

/** The morning of a day in its medium: how long it has been bone dry is noticed before the can is reached for. */
export function morning(bench: Bench): void {
  const boneDry = isBoneDry(bench.strategy.column, bench.wetness);
  bench.memory = { ...bench.memory, boneDryDays: boneDry ? bench.memory.boneDryDays + 1 : 0 };
}

/** One day of a bench, by the product's own air, wound clock, column of medium and growth. */
export function passDay(bench: Bench, day: number, { set, drink, look, warmerC = 0 }: Deed): void {
  const { strategy, cuttings, sick } = bench;
  const { column, place, taxon } = strategy;
  const usualNow = bench.air[day]!;
  const now = warmerC === 0 ? usualNow : { ...usualNow, tempC: usualNow.tempC + warmerC };
  if (set) {
    // Air leaves it where it still stands wet since the last pour, not where it was poured just now.
    const stood = wetnessTo(column, bench.wetness, strategy.stemMm) >= LOGGED_FROM;
    bench.logged = stood ? bench.logged + 1 : 0;
    if (drink !== null) {
      const before = waterIn(column, bench.wetness);
      bench.wetness = water(column, bench.wetness, drink.how, drink.ml).wetness;
      bench.memory = { wateredAt: day, boneDryDays: 0 };
      if (drink.how === 'misted') bench.dampUntil = day + mistEvery(place.evaporation[day]!);
      else bench.soaked = drink.ml === undefined;
      bench.waterings++;
      bench.litres += (waterIn(column, bench.wetness) - before) / 1e6;
    }
    bench.wet = wetnessTo(column, bench.wetness, strategy.stemMm);
    const misted = strategy.lies === true && day < bench.dampUntil;
    bench.parched = bench.wet <= BONE_DRY && !misted ? bench.parched + 1 : 0;
  }
  const { wet, logged, parched } = bench;
  // A mist is gone from the mix in hours; what lies on it has had it until the next one is due.
  const damp = set && (wet > BONE_DRY || (strategy.lies === true && day < bench.dampUntil));
  const foot = damp ? DAMP_FOOT : 1;
  // Young roots have the mix about their foot, those that hold all of the pot.
  const feeds = set && !isBoneDry(column, bench.wetness);
  const vpd = vapourPressureDeficit(now.tempC, now.rh);
  const closing = closureRate(now) / PLACE_FACTOR[set ? 'medium' : 'rack'];
  const grower = grownAs(taxon, strategy.way.method);
  const growing = growingOf(strategy, now, day);
  const grown = growthOn(grower, growing);
  const rooting =
    logged > LOGGED_DAYS ? ROOTS_LOGGED : set && parched > PARCHED_DAYS ? ROOTS_DRY : 1;
  const warm = ROT_Q10 ** ((now.tempC - 22) / 10);
  const rotPace = strategy.rotPace ?? 1;
  const drowning = set ? WET_WOUND_HAZARD * (strategy.wiped ? 1 : UNWIPED) * wet : 0;
  const near =
    sick.filter((since) => day - since <= SPREADS_DAYS).length / Math.max(1, cuttings.length);
  const shared = set ? SPREAD_HAZARD * near * wet : 0;
  const stood = logged > LOGGED_DAYS ? LOGGED_HAZARD : 0;
  // What rests without roots stands wet with nothing that drinks: winter wet rots it, wound or none.
  const state = seasonStateAt(grower, growing.tempC, growing.dayHours, growing);
  const idle = set && state === 'resting' ? RESTING_WET_HAZARD * wet : 0;
  const lying = set && strategy.lies && bench.soaked ? LYING_WET_HAZARD * wet : 0;
  const mould = now.rh > MOULD_RH ? MOULD_HAZARD : 0;
  for (const one of cuttings) {
    if (one.rotted >= 0 || one.dried >= 0) continue;
    const open = 1 - Math.min(1, one.closure);
    one.exposed += warm * open * drowning;
    one.hazard +=
      warm * (open * (rotPace * drowning + mould) + stood + shared) +
      (one.roots < 0 ? idle : 0) +
      (one.roots < 0 || day - one.roots < HOLD_AFTER ? warm * lying : 0);
    if (one.hazard >= one.luck.infection) {
      one.rotted = day;
      sick.push(day);
      continue;
    }
    one.closure += closing / one.tau;
    // Roots drink when they come, also those of a leaf that has no pup as yet.
    const drinks = one.roots >= 0 && (damp || (feeds && day - one.roots >= HOLD_AFTER));
    one.reserves = drinks
      ? Math.min(1, one.reserves + 1 / REFILLS_DAYS)
      : one.reserves - (foot * vpd) / REFERENCE_VPD / one.lasts;
    if (one.reserves <= 0) {
      one.dried = day;
      continue;
    }
    if (one.roots >= 0) {
      one.couldGrow += grown;
      one.grown += drinks ? grown : GROWTH_DRY * grown;
    }
    one.growth += grown * rooting * (one.reserves < TOO_THIRSTY ? 0.5 : 1);
    if (one.roots < 0 && one.growth >= one.drinksAt) one.roots = day;
    if (one.rooted < 0 && one.growth >= one.rootsAt) one.rooted = day;
  }
  if (look) sick.length = 0;
  if (set) {
    const mobility = mobilityAt(now.tempC);
    const usual = place.usual[day]!;
    const power = Math.max(0.2, vpd / Math.max(0.05, vapourPressureDeficit(usual.tempC, usual.rh)));
    const asked = (place.evaporation[day]! * power) / mobility;
    const { wetness, potPace } = bench;
    const cover = strategy.cover * drinking(cuttings, day);
    bench.wetness = dry(column, wetness, asked, potPace * mobility, STEP_DAYS, cover).wetness;
  }
}

/** What its roots drink on a day, against grown ones on all pieces. */
function drinking(cuttings: readonly Alive[], day: number): number {
  let sum = 0;
  for (const { roots, rotted, dried } of cuttings)
    if (roots >= 0 && rotted < 0 && dried < 0) sum += drinksAfter(day - roots);
  return sum / Math.max(1, cuttings.length);
}

function startOf(
  strategy: Strategy,
  luck: CuttingLuck,
  { chance }: BatchDraw,
  times: { readonly roots: WeibullTime; readonly plant: WeibullTime },
): Alive {
  const { way, widthMm } = strategy;
  const tau =
    way.wound === null || widthMm === null
      ? null
      : referenceClosureDays(widthMm, way.wound.tissue) *
        (strategy.woundPace ?? 1) *
        Math.exp(WOUND_SD * luck.wound);
  // Some never root, for no reason anyone could see: the chance that is believed of its batch says how many.
  const never = 1 - luck.dud >= chance;
  const at = ({ scale, shape }: WeibullTime): number =>
    never ? Infinity : scale * (-Math.log(1 - luck.roots)) ** (1 / shape);
  return {
    luck,
    tau: tau ?? 1,
    drinksAt: Math.min(at(times.roots), at(times.plant)),
    rootsAt: at(times.plant),
    lasts: lastsDays(way) * Math.exp(RESERVE_SD * luck.reserve),
    closure: tau === null ? 1 : 0,
    reserves: 1,
    growth: 0,
    grown: 0,
    couldGrow: 0,
    hazard: 0,
    exposed: 0,
    roots: -1,
    rooted: -1,
    rotted: -1,
    dried: -1,
  };
}
