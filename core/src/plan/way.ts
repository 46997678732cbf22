import { containerOf, growingDay, plantOf, rootingPace, type RootingPace } from '../bench';
import { formOf, type MethodId, type TaxonMethod } from '../botany';
import type { Day } from '../days';
import type { State } from '../journal';
import { successBelief, type Learned } from './belief';
import { containersFor, costOf, type Cost } from './cost';
import { MINUTES } from './minutes';
import { forOneBatch, numberNeeded } from './number-needed';
import { pacesOf } from './paces';
import { readiness } from './readiness';
import { risksOf } from './risks';
import { likelySpareOf, type Spare } from './spare';
import type { Wish } from './wish';

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
  readonly pace: RootingPace;
  /** What she can spare of it, counted or by her build; null where no mother is named. */
  readonly spare: Spare | null;
  /** Of the number needed; null where no number would do. */
  readonly cost: Cost | null;
  readonly risks: readonly string[];
}

/** More than so many of one plant is no plan any more but a wish. */
export const PRACTICAL = 400;

/**
 * One way of a plant to what is wanted.
 * @param warmer °C added to the air it stands in
 */
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
      const { tempC, dayHours, nightC, noonC } = growingDay(state, wish.space, day);
      const warmed = (one: number | undefined): number | undefined =>
        one === undefined ? undefined : one + warmer;
      return { tempC: tempC + warmer, dayHours, nightC: warmed(nightC), noonC: warmed(noonC) };
    },
    pacesOf(pace),
  );
  const ready = come.by(wish.by);
  const readyByPace = come.byPace(wish.by);
  const needed =
    ready < 0.01
      ? null
      : numberNeeded(wish.count, wish.certainty, forOneBatch(belief), readyByPace);
  const spare = mother ? likelySpareOf(mother, formOf(taxon), figures.method) : null;
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
