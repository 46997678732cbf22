import { coursesFor, METHOD, usualCourse } from '../botany';
import { COURSE, type Course, type CourseId } from '../course';
import { isRooted, type Batch, type State } from '../journal';
import type { UnrootedWaterId } from '../water';
import { plantOf } from './plant';
import { standsInJar } from './stands-in';
import { woundOf } from './wound-input';

/** The course a batch is on: the grower's choice, what it stands in, else the usual one of its plant and way. */
export function courseOf(state: State, batch: Batch): CourseId {
  if (batch.course !== undefined) return batch.course;
  if (batch.rootedInWater || standsInJar(state, batch)) return 'water';
  const tray = batch.tray === undefined ? undefined : state.trays.get(batch.tray);
  if (tray?.kind === 'rack' && batch.method === 'leaf') return 'bare';
  const taxon = plantOf(state, batch.taxon)?.taxon ?? null;
  return usualCourse(taxon, batch.method, woundOf(state, batch));
}

/** All courses a batch could go through, the usual one first. */
export function coursesOf(state: State, batch: Batch): readonly CourseId[] {
  const taxon = plantOf(state, batch.taxon)?.taxon ?? null;
  return coursesFor(taxon, batch.method, woundOf(state, batch));
}

/** It is meant for a jar, or stands in one: until it was moved into medium. */
export const forJar = (state: State, batch: Batch): boolean =>
  !batch.rootedInWater && rowOf(state, batch).medium === 'water';

/** It stands in water now. */
export const inJar = (state: State, batch: Batch): boolean =>
  batch.stuck !== null && forJar(state, batch);

/** What tells its course from others. */
export const rowOf = (state: State, batch: Batch): Course => COURSE[courseOf(state, batch)];

/** It lies on the surface, or is a crumb that is sprayed: a mist is its drink. */
export function isLaid(state: State, batch: Batch): boolean {
  const { misted, singly } = rowOf(state, batch);
  return misted || (singly && isCrumb(batch));
}

/** Too small to be soaked or to stand in a pot of its own at first. */
export const isCrumb = ({ method }: Batch): boolean => METHOD[method].crumb === true;

/** Roots of its own from the start: told, or by what it is. */
export function hadRoots(state: State, batch: Batch): boolean {
  if (batch.ownRoots !== undefined) return batch.ownRoots !== 'none';
  return rowOf(state, batch).ownRoots;
}

/** Roots were seen on a piece that still stands, or it came with them. */
export const hasRoots = (state: State, batch: Batch): boolean =>
  batch.cuttings.some((c) => !c.left && isRooted(c)) || hadRoots(state, batch);

/** What it is given once set, until there are roots: the grower's choice, else what suits it. */
export function unrootedWaterOf(state: State, batch: Batch): UnrootedWaterId {
  if (batch.unrootedWater !== undefined) return batch.unrootedWater;
  const ofPlant = plantOf(state, batch.taxon)?.taxon.methods.find(
    (m) => m.method === batch.method,
  )?.unrootedWater;
  if (ofPlant !== undefined && batch.course === undefined) return ofPlant;
  const { unrootedWater } = rowOf(state, batch);
  if (unrootedWater !== null) return unrootedWater;
  if (isLaid(state, batch)) return 'mist';
  // Trails lie flat with their nodes in the surface: it is kept damp.
  if (batch.method === 'trailing') return 'damp';
  const tissue = woundOf(state, batch)?.tissue;
  // A leafy crown on a woody stem loses water a bare branch does not.
  const bareWood = tissue === 'semi-woody stem' && batch.method === 'branch';
  return bareWood || tissue === 'cactus body' ? 'dry' : 'sip';
}
