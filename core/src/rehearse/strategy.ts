import type { GrowingAir, Taxon, TaxonMethod } from '../botany';
import { saturationVapourPressure, vapourPressureDeficit, type Air } from '../climate';
import type { Column, UnrootedWaterId, WaterSchoolId } from '../water';

/** The usual air of a place on the days of a rehearsal, and what a wet surface loses in it. */
export interface Place {
  readonly usual: readonly Air[];
  /** mm/d from a wet surface in the usual air. */
  readonly evaporation: readonly number[];
  readonly dayHours: readonly (number | undefined)[];
}

/** When the first water comes: so many days after the cut, or once so many have roots. */
export type FirstDrink = { readonly day: number } | { readonly once: 'roots' };

/** What a grower can choose about a batch of cuttings. */
export interface Strategy {
  readonly name: string;
  readonly taxon: Taxon;
  readonly way: TaxonMethod;
  /** Hydraulic width of the wound, mm; null where nothing is cut. */
  readonly widthMm: number | null;
  /** Days in the air before they are set; 0 is at once. */
  readonly dryDays: number;
  readonly first: FirstDrink;
  /** How it is watered from then on: by one habit until there are roots and a school after, or every so many days. */
  readonly then:
    | { readonly school: WaterSchoolId; readonly unrooted: UnrootedWaterId }
    | { readonly everyDays: number };
  readonly column: Column;
  /** Of the medium when they are set, against drained. */
  readonly startWetness: number;
  /** How deep stems reach, mm. */
  readonly stemMm: number;
  readonly place: Place;
  readonly wiped: boolean;
  /** Rotted ones are found and taken out every so many days; null where nobody looks. */
  readonly looksEvery: number | null;
}

/** The same place so much warmer, its air as moist as before: it dries more. @param byC °C, below 0 cooler */
export function warmed({ usual, evaporation, dayHours }: Place, byC: number): Place {
  const warmer = usual.map(({ tempC, rh }) => {
    const held = rh * saturationVapourPressure(tempC);
    return { tempC: tempC + byC, rh: Math.min(0.98, held / saturationVapourPressure(tempC + byC)) };
  });
  const dries = (air: Air): number => Math.max(0.02, vapourPressureDeficit(air.tempC, air.rh));
  return {
    usual: byC === 0 ? usual : warmer,
    evaporation: evaporation.map((mm, i) => (mm * dries(warmer[i]!)) / dries(usual[i]!)),
    dayHours,
  };
}

export const growingOf = ({ place }: Strategy, air: Air, day: number): GrowingAir => ({
  tempC: air.tempC,
  dayHours: place.dayHours[day],
});

/** Why a strategy cannot be rehearsed; null where it can. */
export type StrategyProblem = 'too short' | 'water before it is set' | 'no air';

export function strategyProblem(strategy: Strategy, days: number): StrategyProblem | null {
  if (!(days >= 1)) return 'too short';
  if (strategy.place.usual.length < days || strategy.place.evaporation.length < days)
    return 'no air';
  if ('day' in strategy.first && strategy.first.day < strategy.dryDays)
    return 'water before it is set';
  return null;
}
