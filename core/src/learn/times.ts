import { courseOf } from '../bench';
import { slowed, timeWithin, type TaxonMethod, type WeibullTime } from '../botany';
import { COURSE, type CourseId } from '../course';
import type { Batch, State } from '../journal';

/** When roots come, and pups, in growth since the cut; of those that get them. */
export interface Times {
  readonly roots: WeibullTime;
  readonly pups: WeibullTime | null;
}

export function timesBy({ roots, pups }: TaxonMethod, course: CourseId): Times {
  const { pace } = COURSE[course];
  const inMix = timeWithin(roots);
  return {
    roots: pace === 1 ? inMix : slowed(inMix, pace),
    pups: pups && timeWithin(pups),
  };
}

export const timesOf = (state: State, batch: Batch, way: TaxonMethod): Times =>
  timesBy(way, courseOf(state, batch));

/** What makes it a plant: of a leaf and a section the pup, of all else its roots. */
export const plantTime = ({ roots, pups }: Times, { method }: TaxonMethod): WeibullTime =>
  makesPlants(method) ? (pups ?? roots) : roots;

/** Whether pups are what makes a way's pieces plants, not roots. */
export const countsPlants = ({ method, pups }: TaxonMethod): boolean =>
  makesPlants(method) && pups !== null;

const makesPlants = (method: TaxonMethod['method']): boolean =>
  method === 'leaf' || method === 'leaf-section';
