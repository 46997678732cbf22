import * as say from '@hypogeon/messages/core-start';
import { plantOf } from '../bench';
import { methodOf } from '../botany';
import type { BatchFields, State, Trial } from '../journal';
import { usualSchool } from '../wound';
import { armField } from './factor';
import { trialLayout } from './layout';
import { leastTrays, needsTrays } from './trays';

/**
 * The batches that run a trial: alike in all but what is tried. One for every arm, with its cells of the tray; one for
 * every tray where arms cannot share one, their places on the bench drawn by lot. They are counted like any other.
 * @returns null while the design lacks something
 */
export function batchesFor(state: State, trial: Trial): readonly BatchFields[] | null {
  const { arms, factor, taxon, method, each, columns, seed, cutOn, space, name } = trial;
  if (!arms || !factor || !taxon || !method || !each || !columns || !cutOn || !space) return null;
  const wound = wayOf(state, taxon, method)?.wound;
  const school = usualSchool(wound, state.settings.school);
  const alike = {
    taxon,
    method,
    ...(trial.mother === undefined ? {} : { mother: trial.mother }),
    cutOn,
    school,
    callusAt: 'rack' as const,
    space,
    columns,
    trial: trial.id,
  };
  if (needsTrays(factor))
    return traysOf(trial).map((arm, n) => ({
      ...alike,
      count: perTrayOf(trial),
      place: `${name ?? say.trial()} ${n + 1}`.slice(-80),
      arm,
      ...armField(factor, arms[arm]!.value),
    }));
  const layout = trialLayout(arms.length, each, columns, seed ?? 0);
  return arms.map((arm, i) => ({
    ...alike,
    count: each,
    place: name ?? say.trialTray(),
    arm: i,
    cells: layout.flatMap((a, cell) => (a === i ? [cell] : [])),
    ...armField(factor, arm.value),
  }));
}

/** The arm of every tray along the bench, as the lot fell: in every row of as many trays as arms, each once. */
export function traysOf({ arms = [], trays, seed }: Trial): readonly number[] {
  // Told by another device before its arms were: nothing is drawn as yet.
  if (arms.length === 0) return [];
  return trialLayout(arms.length, trays ?? leastTrays(arms.length), arms.length, seed ?? 0);
}

/** Trays beside each other as they are drawn: whole blocks, ten at most. @param arms 2 or more */
export const traysInRow = (arms: number): number => arms * Math.max(1, Math.floor(10 / arms));

/** Cuttings in a tray of an arm. */
export function perTrayOf({ arms = [], each = 2, trays }: Trial): number {
  return Math.max(1, Math.round(each / (trays ?? leastTrays(arms.length))));
}

const wayOf = (state: State, taxon: string, method: NonNullable<Trial['method']>) => {
  const plant = plantOf(state, taxon);
  return plant ? methodOf(plant.taxon, method) : undefined;
};

/** How long after the cut a trial is judged: half as long again as the slow end of the window, in days. */
export function judgeAfter(
  state: State,
  taxon: string,
  method: NonNullable<Trial['method']>,
): number {
  const window = wayOf(state, taxon, method)?.roots;
  return Math.ceil((window?.to ?? 60) * 1.5);
}
