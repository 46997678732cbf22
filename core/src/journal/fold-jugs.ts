import { jugProblems, type JugTest } from '../media';
import { compareByDay, isKind, type Entry } from './entry';

/** The drain tests of a mix that can be reckoned with, in order of day. */
export function foldJugs(entries: readonly Entry[]): readonly JugTest[] {
  return entries
    .filter(isKind('jug'))
    .toSorted(compareByDay)
    .map(({ potMl, depthMm, soakedMl, drainedMl, dryG, pondedSeconds }) => ({
      potMl,
      depthMm,
      soakedMl,
      drainedMl,
      dryG,
      pondedSeconds,
    }))
    .filter((test) => Object.keys(jugProblems(test)).length === 0);
}
