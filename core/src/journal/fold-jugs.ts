import { jugProblems, type JugTest } from '../media';
import { compareByDay, isKnown, type Entry, type EntryOf } from './entry';

/** The drain tests of a mix that can be reckoned with, in order of day. */
export function foldJugs(entries: readonly Entry[]): readonly JugTest[] {
  return entries
    .filter((e): e is EntryOf<'jug'> => isKnown(e) && e.kind === 'jug')
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
