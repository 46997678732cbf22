import type { GrowingAir, NightAndNoon, Taxon, TaxonMethod } from '../botany';
import type { Times } from '../learn';
import { saturationVapourPressure, vapourPressureDeficit, type Air } from '../climate';
import type { Column, UnrootedWaterId, WaterManner, WaterSchoolId } from '../water';

/** The usual air of a place on the days of a rehearsal, and what a wet surface loses in it. */
export interface Place {
  readonly usual: readonly Air[];
  /** mm/d from a wet surface in the usual air. */
  readonly evaporation: readonly number[];
  readonly dayHours: readonly (number | undefined)[];
  /** What a mat adds at the roots, °C. */
  readonly matC?: readonly number[] | undefined;
  /** How cold its nights and how hot its noons usually are at the roots, where that is known. */
  readonly extremes?: readonly NightAndNoon[] | undefined;
}

/** When the first water comes: so many days after the cut, or once so many have roots. */
export type FirstDrink = { readonly day: number } | { readonly once: 'roots' };

/** How it is watered once it had its first drink. */
export type Watering =
  /** By one habit until there are roots, and a school after. */
  | {
      readonly school: WaterSchoolId;
      readonly unrooted: UnrootedWaterId;
      /** A mist is its drink until its roots hold. */
      readonly laid: boolean;
      /** What its young roots are given, where that is neither mist, sip nor school. */
      readonly young: UnrootedWaterId | null;
    }
  | { readonly everyDays: number }
  /** When somebody thinks of it: half to one and a half times as many days apart, by luck. */
  | { readonly aboutEveryDays: number };

/** What was done already: from `until` on the rest of the strategy holds. */
export interface Past {
  /** Days from the cut. */
  readonly until: number;
  readonly watered: readonly { readonly day: number; readonly how: WaterManner }[];
}

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
  readonly then: Watering;
  readonly past?: Past | undefined;
  /** How ready wounds rot in wet medium against what is assumed; 1 where nothing is known. */
  readonly rotPace?: number | undefined;
  /** How much longer wounds take to close on this bench than modelled; 1 where nothing is known. */
  readonly woundPace?: number | undefined;
  /** Weights of chance and pace of such a batch, as `learn` has them; where left out, as the guide says. */
  readonly belief?: Float64Array | undefined;
  /** When roots and pups come, in growth since the cut; where left out, by the guide’s windows. */
  readonly times?: Times | undefined;
  readonly column: Column;
  /** Of the medium when they are set, against drained. */
  readonly startWetness: number;
  /** Share of its surface that its pieces cover once all have grown roots. */
  readonly cover: number;
  /** How deep stems reach, mm. */
  readonly stemMm: number;
  /** How deep what is kept damp is felt for, mm. */
  readonly feltMm: number;
  /** It lies on its mix, or is a crumb. */
  readonly lies?: boolean | undefined;
  readonly place: Place;
  readonly wiped: boolean;
  /** Rotted ones are found and taken out every so many days; null where nobody looks. */
  readonly looksEvery: number | null;
}

/** The same place so much warmer, its air as moist as before: it dries more. @param byC °C, below 0 cooler */
export function warmed(place: Place, byC: number): Place {
  if (byC === 0) return place;
  return withAir(place, ({ tempC, rh }) => {
    const held = rh * saturationVapourPressure(tempC);
    return {
      tempC: tempC + byC,
      rh: Math.min(DAMPEST, held / saturationVapourPressure(tempC + byC)),
    };
  });
}

const [DRIEST, DAMPEST] = [0.1, 0.98];

/** The same place so much damper, as warm as before. @param by added to its relative humidity, 0–1; below 0 drier */
export function moistened(place: Place, by: number): Place {
  if (by === 0) return place;
  return withAir(place, ({ tempC, rh }) => ({
    tempC,
    rh: Math.min(DAMPEST, Math.max(DRIEST, rh + by)),
  }));
}

/** In other air it dries by that air's power; nights and noons go with the mean of their day. */
function withAir(place: Place, change: (air: Air) => Air): Place {
  const usual = place.usual.map(change);
  const dries = (air: Air): number => Math.max(0.02, vapourPressureDeficit(air.tempC, air.rh));
  return {
    ...place,
    usual,
    evaporation: place.evaporation.map((mm, i) => (mm * dries(usual[i]!)) / dries(place.usual[i]!)),
    extremes: place.extremes?.map((one, i) =>
      shifted(one, usual[i]!.tempC - place.usual[i]!.tempC),
    ),
  };
}

const shifted = ({ nightC, noonC }: NightAndNoon, byC: number): NightAndNoon => ({
  nightC: nightC === undefined ? undefined : nightC + byC,
  noonC: noonC === undefined ? undefined : noonC + byC,
});

export const growingOf = ({ place }: Strategy, air: Air, day: number): GrowingAir => ({
  tempC: air.tempC + (place.matC?.[day] ?? 0),
  dayHours: place.dayHours[day],
  ...shifted(place.extremes?.[day] ?? {}, air.tempC - place.usual[day]!.tempC),
});

/** Why a strategy cannot be rehearsed; null where it can. */
export type StrategyProblem = 'too short' | 'water before it is set' | 'no air';

export function strategyProblem(strategy: Strategy, days: number): StrategyProblem | null {
  if (!(days >= 1)) return 'too short';
  if (strategy.place.usual.length < days || strategy.place.evaporation.length < days)
    return 'no air';
  // What was done was done, however it should have been.
  const { first, dryDays, past } = strategy;
  if ('day' in first && first.day < dryDays && first.day >= (past?.until ?? 0))
    return 'water before it is set';
  return null;
}
