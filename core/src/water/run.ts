import type { WaterCase } from './case';
import { doseOf } from './dose';
import { dry, evenly, fillOf, waterIn, wetnessTo, type Wetness } from './drying';
import { asksForWater, isBoneDry, schoolOn, type Memory } from './trigger';
import { rain, water, type WaterManner } from './watering';
import type { WaterSchoolId } from './school';

/** A pot on a morning, before anything is done that day. */
export interface PotDay {
  /** Against what it holds after draining; above 1 where water pools. */
  readonly fill: number;
  readonly waterMl: number;
  /** Mean wetness round stem and roots, against drained. */
  readonly stem: number;
  readonly poolMl: number;
  /** What it took up of the water given that day, mL. */
  readonly drankMl: number;
  readonly wetness: Wetness;
  /** The school would water this morning. */
  readonly asks: boolean;
  readonly memory: Memory;
}

export interface RunOptions {
  /** This pot's drying against the modelled one: 2 dries in half the time. */
  readonly pace: number;
  /** First and, exclusive, last morning that is told. */
  readonly until: number;
  /** Waters by itself whenever the school asks, from this day on; else only what was recorded. */
  readonly watersFrom?: number | undefined;
  readonly manner?: WaterManner | undefined;
  readonly school?: WaterSchoolId | undefined;
  /** A state to begin from instead of the first day's. */
  readonly start?: { readonly at: number; readonly day: PotDay } | undefined;
  /** Ends on the first morning it asks for water, from this day on. */
  readonly stopAt?: number | undefined;
  /** The day that is told as it stands after its waterings, not in the morning. */
  readonly settledOn?: number | undefined;
  /** Multiplies the water in the pot on a morning: what a weighing corrects. */
  readonly correction?: { readonly at: number; readonly by: number } | undefined;
}

/** Six hours: halving it moves a date by less than a tenth of its range. */
const STEP_DAYS = 0.25;

/**
 * Runs a pot day by day: dried by the air of each day, watered as recorded.
 * @returns one pot-day for every morning from the start
 */
export function runPot(given: WaterCase, options: RunOptions): readonly PotDay[] {
  const { column } = given;
  const days: PotDay[] = [];
  const first = options.start?.at ?? 0;
  let wetness = options.start?.day.wetness ?? evenly(column, given.startWetness);
  let memory: Memory = options.start?.day.memory ?? { wateredAt: first, boneDryDays: 0 };
  // While roots are weaned the school lets more dry by steps: what was asked before a step is still asked after it.
  const weans = given.weanedAt !== null && options.school === undefined;
  let owed = weans && (options.start?.day.asks ?? false);
  for (let at = first; at < options.until; at++) {
    if (options.correction?.at === at) {
      wetness = scaled(wetness, options.correction.by);
      owed = false;
    }
    const boneDry = isBoneDry(column, wetness);
    // The morning it begins from has been counted.
    if (at > first || options.start === undefined)
      memory = { ...memory, boneDryDays: boneDry ? memory.boneDryDays + 1 : 0 };
    const school = options.school ?? schoolOn(given, at);
    const told = (now: Wetness): Omit<PotDay, 'drankMl'> => ({
      fill: fillOf(column, now),
      waterMl: waterIn(column, now) / 1000,
      stem: wetnessTo(column, now, given.stemMm),
      poolMl: now.poolMm3 / 1000,
      wetness: now,
      asks: owed || asksForWater(given, school, now, at, memory),
      memory,
    });
    const morning = told(wetness);
    const { asks } = morning;
    owed = weans && asks;
    for (const { at: on, manner, ml } of given.waterings) {
      if (on !== at) continue;
      wetness = water(column, wetness, manner, ml).wetness;
      memory = { wateredAt: at, boneDryDays: 0 };
      owed = false;
    }
    if (options.watersFrom !== undefined && at >= options.watersFrom && asks) {
      const ml = options.manner ? null : doseOf(column, wetness, given.regime, given);
      const how = options.manner ?? (ml === null ? mannerOf(school) : 'poured');
      wetness = water(column, wetness, how, ml ?? undefined).wetness;
      memory = { wateredAt: at, boneDryDays: 0 };
      owed = false;
    }
    const drankMl = waterIn(column, wetness) / 1000 - morning.waterMl;
    days.push({ ...(options.settledOn === at ? told(wetness) : morning), drankMl });
    if (options.stopAt !== undefined && asks && at >= options.stopAt) break;
    const rainMm = given.rainMm[at] ?? 0;
    if (rainMm > 0) {
      wetness = rain(column, wetness, rainMm).wetness;
      if (rainMm > 2) {
        memory = { ...memory, wateredAt: at };
        owed = false;
      }
    }
    // A pot that dries faster than modelled lives its days faster: air and medium alike. A warm medium
    // gives faster to the same air: a longer day with less asked of it.
    const mobility = given.mobility[at] ?? 1;
    const asked = (given.evaporation[at] ?? 0) / mobility;
    const cover = given.cover[at] ?? 0;
    wetness = dry(column, wetness, asked, options.pace * mobility, STEP_DAYS, cover).wetness;
  }
  return days;
}

/** How a school gives its water when nobody says otherwise. */
export function mannerOf(school: WaterSchoolId): WaterManner {
  if (school === 'mist') return 'misted';
  return school === 'bone-dry' || school === 'bone-dry-rest' ? 'soaked' : 'poured';
}

function scaled({ layers, poolMm3 }: Wetness, by: number): Wetness {
  return { layers: layers.map((u) => Math.min(u * by, 1)), poolMm3: poolMm3 * by };
}
