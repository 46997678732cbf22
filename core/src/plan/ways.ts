import {
  containerOf,
  growingDay,
  plantOf,
  rootingPace,
  seasonOn,
  type RootingPace,
} from '../bench';
import {
  growthOn,
  METHOD,
  shareBy,
  slowed,
  timeOf,
  type MethodId,
  type SeasonState,
  type TaxonMethod,
} from '../botany';
import { addDays, daysBetween, type Day } from '../days';
import type { State } from '../journal';
import { successBelief, type Learned } from './belief';
import { containersFor, costOf, type Cost } from './cost';
import { MINUTES } from './minutes';
import { chanceOfAtLeast, forOneBatch, numberNeeded } from './number-needed';
import { pacesOf } from './paces';
import { growthDays, readiness } from './readiness';
import { risksOf } from './risks';
import { spareOf, type Spare } from './spare';
import type { Wish } from './wish';
import { yieldOf, type Yield } from './yields';

/** What the mother loses. Common practice, no source. */
const LOSES: Readonly<Record<MethodId, string>> = {
  leaf: 'some lower leaves',
  'leaf-section': 'whole straps',
  crown: 'its heads; the stumps break again',
  segment: 'stem; the stump breaks again',
  trailing: 'hanging length',
  branch: 'side branches',
  pad: 'outer pads',
  column: 'its top',
  offset: 'young ones',
  'rooted-offset': 'rooted young ones',
  division: 'a part of the clump',
  plantlet: 'nothing it needs',
  'root-cutting': 'some thick roots',
  bulbil: 'nothing it needs',
  'flower-stalk': 'flowers',
  seed: 'nothing it needs',
  culture: 'nothing',
};

/** One way to what is wanted. */
export interface Way {
  readonly method: MethodId;
  readonly figures: TaxonMethod;
  readonly belief: Learned;
  /** How many to take; null where no number would do. */
  readonly needed: number | null;
  /** Whether so many can be had: of her where she was counted, and of any plant within reason. */
  readonly within: boolean;
  /** Chance that one which lives is ready by the day; and the same for each pace believed, equally likely. */
  readonly ready: number;
  readonly readyByPace: readonly number[];
  /** When one in ten, half and nine in ten of the living are ready. */
  readonly from: Day | null;
  readonly half: Day | null;
  readonly to: Day | null;
  readonly minutes: number | null;
  readonly loses: string;
  readonly pace: RootingPace;
  /** What she can spare of it; null where nobody has counted. */
  readonly spare: Spare | null;
  /** Of the number needed; null where no number would do. */
  readonly cost: Cost | null;
  readonly risks: readonly string[];
}

export interface Ways {
  readonly ways: readonly Way[];
  readonly best: Way | null;
  /** Why the best is the best, in sentences. */
  readonly reasons: readonly string[];
  /** What would change the answer. */
  readonly changes: readonly string[];
  /** Where nothing can be ready: what could be done instead. */
  readonly instead: string;
}

/** More than so many of one plant is no plan any more but a wish. */
const PRACTICAL = 400;
const WARMER_C = 4;

/** All ways of a plant to what is wanted, side by side; null for an unknown plant. */
export function waysTo(state: State, wish: Wish): Ways | null {
  const plant = plantOf(state, wish.taxon);
  if (!plant) return null;
  const ways = plant.taxon.methods.map((figures) => wayOf(state, wish, figures));
  const possible = ways.filter((w) => w.within);
  const best =
    possible.length === 0 ? null : possible.reduce((a, b) => (effort(b) < effort(a) ? b : a));
  return {
    ways,
    best,
    reasons: best ? reasonsFor(best, possible, ways) : [],
    changes: best ? changesOf(state, wish, best) : [],
    instead: best ? '' : insteadOf(state, wish, ways),
  };
}

export function wayOf(state: State, wish: Wish, figures: TaxonMethod, warmer = 0): Way {
  const { taxon } = plantOf(state, wish.taxon)!;
  const belief = successBelief(state, wish.taxon, figures);
  const pace = rootingPace(state, wish.taxon, figures);
  const mother = wish.mother === undefined ? undefined : state.mothers.get(wish.mother);
  const container = wish.container === undefined ? null : containerOf(state, wish.container);
  const come = readiness(
    taxon,
    figures,
    wish.size,
    wish.cutOn,
    (day) => {
      const { tempC, dayHours } = growingDay(state, wish.space, day);
      return { tempC: tempC + warmer, dayHours };
    },
    pacesOf(pace),
  );
  const ready = come.by(wish.by);
  const readyByPace = come.byPace(wish.by);
  const needed =
    ready < 0.01
      ? null
      : numberNeeded(wish.count, wish.certainty, forOneBatch(belief), readyByPace);
  const spare = mother ? spareOf(mother, figures.method) : null;
  return {
    method: figures.method,
    figures,
    belief,
    needed,
    within: needed !== null && needed <= Math.min(PRACTICAL, spare?.count ?? PRACTICAL),
    ready,
    readyByPace,
    from: come.dayFor(0.1),
    half: come.dayFor(0.5),
    to: come.dayFor(0.9),
    minutes: needed === null ? null : needed * MINUTES[figures.method],
    loses: LOSES[figures.method],
    pace,
    spare,
    cost:
      needed === null
        ? null
        : costOf(state, {
            ...wish,
            ...(container ? { containers: containersFor(container, needed) } : {}),
            method: figures.method,
            taken: needed,
            plants: wish.count,
          }),
    risks: risksOf(state, wish, figures),
  };
}

/** What pieces that are already there, or that she can spare, come to. */
export interface Giving {
  readonly way: Way;
  readonly taken: number;
  readonly plants: Yield;
  readonly spare: Spare | null;
}

/**
 * What so many pieces of each kind give by the day.
 * @param pieces how many of each; null for as many as she can spare
 */
export function givingOf(
  state: State,
  wish: Wish,
  pieces: Readonly<Partial<Record<MethodId, number>>> | null,
): readonly Giving[] {
  const plant = plantOf(state, wish.taxon);
  return (plant?.taxon.methods ?? []).flatMap((figures): readonly Giving[] => {
    const way = wayOf(state, wish, figures);
    const taken = pieces === null ? way.spare?.count : pieces[figures.method];
    if (taken === undefined) return [];
    const plants = yieldOf(taken, way.belief, way.readyByPace);
    return [{ way, taken, plants, spare: pieces === null ? way.spare : null }];
  });
}

/** Work, and twice as much of it where the plant takes the way badly. */
function effort({ minutes, figures }: Way): number {
  return (minutes ?? Infinity) * (figures.worth === 'poor' ? 2 : 1);
}

function reasonsFor(best: Way, possible: readonly Way[], ways: readonly Way[]): readonly string[] {
  const others = possible.filter((w) => w !== best);
  const reasons: string[] = [];
  if (others.length === 0)
    return [
      ways.some((w) => w !== best && w.needed !== null)
        ? 'It is the only way of which there are enough.'
        : 'It is the only way that can be ready in time.',
    ];
  if (others.every((w) => w.needed! >= best.needed!)) reasons.push('It takes the fewest from her.');
  if (others.every((w) => (w.half ?? '9999') >= (best.half ?? '9999')))
    reasons.push('It is ready soonest.');
  if (others.every((w) => w.minutes! >= best.minutes!)) reasons.push('It is the least work.');
  return reasons.length > 0 ? reasons : ['It is the least work for a way she takes well.'];
}

function changesOf(state: State, wish: Wish, best: Way): readonly string[] {
  const changes: string[] = [];
  const many = (n: number | null): string => (n === null ? 'no number would do' : `take ${n}`);
  const later = wayOf(state, { ...wish, cutOn: addDays(wish.cutOn, 7) }, best.figures);
  if (later.needed !== best.needed) changes.push(`Cut a week later: ${many(later.needed)}.`);
  const warm = wayOf(state, wish, best.figures, WARMER_C);
  if (warm.needed !== best.needed) changes.push(`${WARMER_C} °C warmer: ${many(warm.needed)}.`);
  const chance = (n: number): string =>
    `${Math.round(100 * chanceOfAtLeast(wish.count, n, forOneBatch(best.belief), best.readyByPace))} %`;
  changes.push(`Five more: ${chance(best.needed! + 5)} sure instead of ${chance(best.needed!)}.`);
  return changes;
}

/** The nearest thing that can be done. */
function insteadOf(state: State, wish: Wish, ways: readonly Way[]): string {
  const soonest = ways.flatMap((w) => w.to ?? []).sort()[0];
  const [most] = ways.map((w) => ({ way: w, n: reachable(wish, w) })).sort((a, b) => b.n - a.n);
  if (most && most.n > 0) {
    const { spare, method } = most.way;
    const from = Math.min(PRACTICAL, spare?.count ?? PRACTICAL);
    const whose = spare && spare.count < PRACTICAL ? `the ${from} she can spare` : String(from);
    return `By ${METHOD[method].many} about ${most.n} can be had by then from ${whose}.`;
  }
  return soonest === undefined
    ? 'Nothing of her is ready within three years in this air: give more warmth, or another plant.'
    : `Nothing is ready by then. The soonest are ready around ${soonest}: ask for a later day or a smaller size.`;
}

/** How many the practical number gives with the certainty that is asked for. */
function reachable({ certainty, count }: Wish, { belief, readyByPace, spare }: Way): number {
  const from = Math.min(PRACTICAL, spare?.count ?? PRACTICAL);
  const batch = forOneBatch(belief);
  let low = 0;
  let high = count;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (chanceOfAtLeast(middle, from, batch, readyByPace) >= certainty) low = middle;
    else high = middle;
  }
  return low;
}

/** The number needed for every day of cutting until the day it is wanted. */
export interface NeededOn {
  readonly day: Day;
  readonly needed: number | null;
  readonly season: SeasonState;
}

export interface NeededCurve {
  readonly days: readonly NeededOn[];
  /** The last day on which not much more is needed than at the best time; null where none is good. */
  readonly latest: Day | null;
}

/** Not much more than the fewest. Working assumption. */
const SENSIBLE = 1.5;

/** @param from first day that is looked at; every day, or every few where the time is long */
export function neededCurve(
  state: State,
  wish: Wish,
  figures: TaxonMethod,
  from: Day,
): NeededCurve {
  const span = daysBetween(from, wish.by);
  if (span <= 0) return { days: [], latest: null };
  const step = Math.max(1, Math.ceil(span / 60));
  const { taxon } = plantOf(state, wish.taxon)!;
  const belief = forOneBatch(successBelief(state, wish.taxon, figures));
  const times = pacesOf(rootingPace(state, wish.taxon, figures)).map((pace) =>
    slowed(timeOf(figures), pace),
  );
  const later = growthDays(figures.method, wish.size);
  // Growth from any day to the day it is wanted, by one sum over all of them.
  const airs = Array.from({ length: span }, (_, n) =>
    seasonOn(state, taxon, wish.space, addDays(from, n)),
  );
  const growth = [0];
  for (const air of airs) growth.push(growth.at(-1)! + growthOn(taxon, air));
  const days: NeededOn[] = [];
  for (let n = 0; n < span; n += step) {
    const grown = growth[span]! - growth[n]! - later;
    const ready = times.map((time) => shareBy(time, grown));
    days.push({
      day: addDays(from, n),
      needed:
        Math.max(...ready) < 0.01
          ? null
          : numberNeeded(wish.count, wish.certainty, belief, ready, PRACTICAL),
      season: airs[n]!.state,
    });
  }
  const fewest = Math.min(...days.map((d) => d.needed ?? Infinity));
  const sensible = days.filter(
    (d) => d.needed !== null && d.needed <= Math.max(fewest * SENSIBLE, fewest + 1),
  );
  return { days, latest: sensible.at(-1)?.day ?? null };
}
