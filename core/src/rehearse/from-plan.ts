import {
  airOf,
  containerOf,
  growingDay,
  mixOf,
  plannedClock,
  plantOf,
  spaceDrying,
  type PlannedWound,
} from '../bench';
import { methodOf } from '../botany';
import { addDays, daysBetween } from '../days';
import type { State } from '../journal';
import { fillPot } from '../media';
import type { Disinfectant } from '../safety';
import { columnOf, FIRST_WATER, mannerOf, type FirstWaterId, type WaterSchoolId } from '../water';
import { hydraulicWidth } from '../wound';
import type { FirstDrink, Strategy } from './strategy';

/** A plan, as far as a rehearsal needs it. */
export interface PlanToRehearse extends PlannedWound {
  readonly firstWater: FirstWaterId;
  readonly waterSchool: WaterSchoolId;
  readonly container: string;
  readonly mix: string;
  readonly disinfectant: Disinfectant;
}

export type PlanProblem = 'unknown plant' | 'no pot' | 'no mix' | 'does not close here';

/** Medium out of the bag, against drained; as the advice begins. Working assumption. */
const AS_BOUGHT = 0.08;
const STEM_MM = 25;

/**
 * A plan as a strategy: set and watered on the days the plan itself would say on a mean bench.
 * @param days of usual air to lay ready
 */
export function strategyOf(
  state: State,
  name: string,
  plan: PlanToRehearse,
  days: number,
): Strategy | { readonly problem: PlanProblem } {
  const plant = plantOf(state, plan.taxon);
  const way = plant && methodOf(plant.taxon, plan.method);
  if (!way) return { problem: 'unknown plant' };
  const container = containerOf(state, plan.container);
  if (!container) return { problem: 'no pot' };
  const mix = mixOf(state, plan.mix);
  if (!mix) return { problem: 'no mix' };
  const clock = plannedClock(state, plan);
  if (clock?.gate.state === 'stopped') return { problem: 'does not close here' };
  const since = (day: string): number => daysBetween(plan.cutOn, day);
  const dryDays = clock?.stickOn ? since(clock.stickOn) : 0;
  const gate = clock?.gate.state === 'dated' ? since(clock.gate.opens) : 0;
  const drying = spaceDrying(state);
  const on = Array.from({ length: days }, (_, n) => addDays(plan.cutOn, n));
  // Bare they lie where they dry, set they stand where they grow.
  const spaceOn = (day: number): string => (day < dryDays ? plan.callusSpace : plan.space);
  return {
    name,
    taxon: plant.taxon,
    way,
    widthMm: way.wound ? hydraulicWidth(plan.widthMm, plan.thicknessMm) : null,
    dryDays,
    first: firstOf(plan.firstWater, dryDays, gate),
    then: { school: plan.waterSchool },
    manner: mannerOf(plan.waterSchool),
    column: columnOf(fillPot(mix.medium, container, mix.correction)),
    startWetness: AS_BOUGHT,
    stemMm: STEM_MM,
    place: {
      usual: on.map((day, n) => {
        const { tempC, rh } = airOf(state, spaceOn(n), day);
        return { tempC, rh };
      }),
      evaporation: on.map((day, n) => drying(spaceOn(n), day).evaporationMm),
      dayHours: on.map((day, n) => growingDay(state, spaceOn(n), day).dayHours),
    },
    wiped: plan.disinfectant !== 'none',
    looksEvery: 7,
  };
}

/** At once is at once; every other school waits for the gate at least. */
function firstOf(school: FirstWaterId, dryDays: number, gate: number): FirstDrink {
  const { afterDays } = FIRST_WATER[school];
  if (afterDays === null) return { once: 'roots' };
  if (school === 'at-once') return { day: dryDays };
  return { day: Math.max(dryDays + afterDays, gate) };
}
