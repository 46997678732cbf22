import { containerOf, plantOf } from '../bench';
import { formOf, type MethodId, type TaxonMethod } from '../botany';
import type { Day } from '../days';
import type { State } from '../journal';
import type { Belief, Outlook } from '../learn';
import { containersFor, costOf, type Cost } from './cost';
import { MINUTES } from './minutes';
import { numberNeeded, type Chances } from './number-needed';
import { plannedOutlook } from './planned-outlook';
import { readiness, type PaceReady } from './readiness';
import { risksOf } from './risks';
import { likelySpareOf, type Spare } from './spare';
import type { Wish } from './wish';

/** One way to what is wanted. */
export interface Way {
  readonly method: MethodId;
  readonly figures: TaxonMethod;
  readonly belief: Belief;
  /** The one clock of roots of such a piece. */
  readonly outlook: Outlook;
  /** How many to take; null where no number would do. */
  readonly needed: number | null;
  /** Whether so many can be had: of her where she was counted, and of any plant within reason. */
  readonly within: boolean;
  /** Chance that one which lives is ready by the day; what is believed of its batch then; and pace by pace. */
  readonly ready: number;
  readonly chances: readonly Chances[];
  readonly paces: readonly PaceReady[];
  /** When one in ten, half and nine in ten of the living are ready. */
  readonly from: Day | null;
  readonly half: Day | null;
  readonly to: Day | null;
  readonly minutes: number | null;
  /** What it can spare of it, counted or by her build; null where no mother is named. */
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
  const outlook = plannedOutlook(state, wish, figures, warmer)!;
  const { belief } = outlook;
  const mother = wish.mother === undefined ? undefined : state.mothers.get(wish.mother);
  const container = wish.container === undefined ? null : containerOf(state, wish.container);
  const come = readiness(outlook, figures, wish.size, wish.cutOn);
  const ready = come.by(wish.by);
  const chances = come.on(wish.by);
  const needed = ready < 0.01 ? null : numberNeeded(wish.count, wish.certainty, chances);
  const spare = mother ? likelySpareOf(mother, formOf(taxon), figures.method) : null;
  return {
    method: figures.method,
    figures,
    belief,
    outlook,
    needed,
    within: needed !== null && needed <= Math.min(PRACTICAL, spare?.count ?? PRACTICAL),
    ready,
    chances,
    paces: come.paces(wish.by),
    from: come.dayFor(0.1),
    half: come.dayFor(0.5),
    to: come.dayFor(0.9),
    minutes: needed === null ? null : needed * MINUTES[figures.method],
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
