import {
  airOf,
  AS_BOUGHT,
  containerOf,
  coverOf,
  figuresOf,
  growingDay,
  isLaid,
  mixesOf,
  paceOf,
  plantOf,
  potOf,
  rowOf,
  spaceDrying,
  feltDepthOf,
  stemDepthOf,
  unrootedWaterOf,
  waitsForRoots,
  waterSchoolOf,
} from '../bench';
import type { Taxon, TaxonMethod } from '../botany';
import { COURSE } from '../course';
import { careOf } from '../care';
import { addDays, daysBetween } from '../days';
import { foldBatch, type Batch, type BatchFields, type State } from '../journal';
import { outlookOf } from '../learn';
import { fillPot } from '../media';
import { columnOf, dressingLeaves, evenly, waterIn, type Column } from '../water';
import { hydraulicWidth } from '../wound';
import type { Place, Strategy, Watering } from './strategy';
import { weatherOf, type Weather } from './weather-ahead';

export type PlanProblem =
  'unknown plant' | 'no pot' | 'no mix' | 'does not close here' | 'not set in a mix';

/**
 * A plan as a strategy: set and watered on the days its own course says, by its own schools, in its own pot.
 * @param fields of the batch the plan becomes
 * @param days of usual air to lay ready
 */
export function strategyOf(
  state: State,
  name: string,
  fields: BatchFields,
  days: number,
): Strategy | { readonly problem: PlanProblem } {
  const batch = foldBatch('rehearsed', fields, []);
  const plant = batch && plantOf(state, batch.taxon);
  const way = batch && figuresOf(state, batch);
  if (!batch || !plant || !way) return { problem: 'unknown plant' };
  if (batch.container === undefined || !containerOf(state, batch.container))
    return { problem: 'no pot' };
  const pot = potOf(state, batch);
  if (!pot) return { problem: 'no mix' };
  const { course, steps } = careOf(state, batch, batch.cutOn);
  if (!COURSE[course].played) return { problem: 'not set in a mix' };
  if (steps.some((s) => s.id === 'gate' && s.is === 'open'))
    return { problem: 'does not close here' };
  const dayOf = (id: 'stick' | 'first-water'): number | null => {
    const step = steps.find((s) => s.id === id);
    return step && 'from' in step ? Math.max(0, daysBetween(batch.cutOn, step.from)) : null;
  };
  const dryDays = dayOf('stick') ?? 0;
  const first = waitsForRoots(state, batch) ? null : dayOf('first-water');
  return {
    ...standing(state, batch, plant.taxon, way, columnOf(pot)),
    name,
    dryDays,
    first: first === null ? { once: 'roots' } : { day: Math.max(dryDays, first) },
    then: wateringOf(state, batch),
    startWetness: AS_BOUGHT,
    // Bare they lie where they dry, set they stand where they grow.
    place: placeOf(state, batch, days, (day) =>
      day < dryDays ? (batch.callusSpace ?? batch.space) : batch.space,
    ),
    looksEvery: 7,
  };
}

/** How a batch is watered once it had its first drink, as its care has it. */
export const wateringOf = (state: State, batch: Batch): Watering => ({
  school: waterSchoolOf(state, batch),
  unrooted: unrootedWaterOf(state, batch),
  laid: isLaid(state, batch),
  young: rowOf(state, batch).young,
});

/** What of a strategy a batch brings along, whatever is done with it. */
export function standing(
  state: State,
  batch: Batch,
  taxon: Taxon,
  way: TaxonMethod,
  column: Column,
): Pick<
  Strategy,
  | 'taxon'
  | 'way'
  | 'widthMm'
  | 'column'
  | 'cover'
  | 'stemMm'
  | 'feltMm'
  | 'lies'
  | 'wiped'
  | 'belief'
  | 'times'
  | 'woundPace'
> {
  const { wound } = way;
  const outlook = outlookOf(state, batch);
  return {
    taxon,
    way,
    widthMm: wound
      ? hydraulicWidth(batch.widthMm ?? wound.widthMm, batch.thicknessMm ?? wound.thicknessMm)
      : null,
    column,
    cover: coverOf(batch, column, batch.count / (batch.containers ?? 1)),
    stemMm: stemDepthOf(state, batch),
    feltMm: feltDepthOf(state, batch),
    lies: isLaid(state, batch),
    wiped: batch.disinfectant !== 'none',
    woundPace: paceOf(state).factor,
    belief: outlook?.own(),
    times: outlook?.times,
  };
}

/** The usual air of where it stands, on so many days from the cut. @param spaceOn by days from the cut */
export function placeOf(
  state: State,
  { cutOn, topDress }: Batch,
  days: number,
  spaceOn: (day: number) => string,
): Place {
  const drying = spaceDrying(state);
  const on = Array.from({ length: days }, (_, n) => ({
    day: addDays(cutOn, n),
    space: spaceOn(n),
  }));
  const cover = dressingLeaves(topDress);
  const growing = on.map(({ day, space }) => growingDay(state, space, day));
  return {
    usual: on.map(({ day, space }) => {
      const { tempC, rh } = airOf(state, space, day);
      return { tempC, rh };
    }),
    evaporation: on.map(({ day, space }) => cover * drying(space, day).evaporationMm),
    dayHours: growing.map((g) => g.dayHours),
    matC: on.map(({ space }) => state.spaces.get(space)?.matC ?? 0),
    extremes: growing.map(({ nightC, noonC }) => ({ nightC, noonC })),
  };
}

/** The mixes of a grower in one pot, from the one that holds the most water to the airiest. */
export function mixColumns(state: State, container: string): readonly Column[] {
  const pot = containerOf(state, container);
  if (!pot) return [];
  return mixesOf(state)
    .map(({ medium, correction }) => columnOf(fillPot(medium, pot, correction)))
    .sort((a, b) => held(b) - held(a));
}

const held = (column: Column): number => waterIn(column, evenly(column, 1));

/** The day-to-day weather of a place: from its own readings where there are enough of them. */
export const weatherIn = (state: State, space: string): Weather =>
  weatherOf(state.air.get(space) ?? []);
