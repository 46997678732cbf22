import { plantOf } from '../bench';
import { methodOf } from '../botany';
import type { BatchFields, State, Trial } from '../journal';
import { defaultSchool } from '../wound';
import { armField } from './factor';
import { trialLayout } from './layout';

/**
 * The batches that run a trial, one for every arm: alike in all but what is tried, each with its cells of the tray.
 * They are counted like any other.
 * @returns null while the design lacks something
 */
export function batchesFor(state: State, trial: Trial): readonly BatchFields[] | null {
  const { arms, factor, taxon, method, each, columns, seed, cutOn, space, name } = trial;
  if (!arms || !factor || !taxon || !method || !each || !columns || !cutOn || !space) return null;
  const wound = wayOf(state, taxon, method)?.wound;
  const school =
    state.settings.school ?? (wound ? defaultSchool(wound.tissue).school : 'dry-to-touch');
  const layout = trialLayout(arms.length, each, columns, seed ?? 0);
  return arms.map((arm, i) => ({
    taxon,
    method,
    ...(trial.mother === undefined ? {} : { mother: trial.mother }),
    count: each,
    cutOn,
    school,
    callusAt: 'rack',
    space,
    place: name ?? 'Trial tray',
    columns,
    trial: trial.id,
    arm: i,
    cells: layout.flatMap((a, cell) => (a === i ? [cell] : [])),
    ...armField(factor, arm.value),
  }));
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
