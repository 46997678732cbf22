import { AS_BOUGHT, containerOf, figuresOf, mixOf, plantOf, rowOf, WET_START } from '../bench';
import { daysBetween, addDays } from '../days';
import { fillPot } from '../media';
import { spaceOn, type Batch, type State } from '../journal';
import { columnOf } from '../water';
import { placeOf, standing, wateringOf, type PlanProblem } from './from-plan';
import type { Strategy } from './strategy';

/** Why a batch cannot be played. */
export type BatchProblem = PlanProblem | 'cut again';

/**
 * A batch as it went: set and watered on the days its journal tells, where it stood, in what it was set.
 * @param days to lay ready, from the cut; all of them are past
 */
export function asItWent(
  state: State,
  batch: Batch,
  days: number,
): Strategy | { readonly problem: BatchProblem } {
  const plant = plantOf(state, batch.taxon);
  const way = figuresOf(state, batch);
  if (!plant || !way) return { problem: 'unknown plant' };
  const container = batch.container === undefined ? null : containerOf(state, batch.container);
  if (!container) return { problem: 'no pot' };
  const mix = batch.mix === undefined ? null : mixOf(state, batch.mix);
  if (!mix) return { problem: 'no mix' };
  if (!rowOf(state, batch).played) return { problem: 'not set in a mix' };
  if (batch.reopenings.length > 0) return { problem: 'cut again' };
  const dayOf = (day: string): number => Math.max(0, daysBetween(batch.cutOn, day));
  const dryDays = batch.stuck === null ? days : dayOf(batch.stuck);
  const pot = fillPot(mix.medium, container, mix.correction);
  return {
    ...standing(state, batch, plant.taxon, way, columnOf(pot)),
    name: 'went',
    dryDays,
    // All of it is past: a first drink is none of this story's.
    first: { day: Math.max(days, dryDays) },
    then: wateringOf(state, batch),
    startWetness: batch.settings[0]?.wet ? WET_START : AS_BOUGHT,
    place: placeOf(state, batch, days, (day) =>
      spaceOn(batch, addDays(batch.cutOn, day), day >= dryDays),
    ),
    past: {
      until: days,
      watered: batch.waterings.map(({ day, how }) => ({ day: dayOf(day), how })),
    },
    looksEvery: 7,
  };
}
