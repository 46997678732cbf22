import type { State } from '../journal';
import { correlationOf } from './belief';
import { askedIn, toldIn, type PackedRoots } from './told';

/** The evidence of a state as plain data, every sum worked out: where there is time, for where there is none. */
export function packRoots(state: State): PackedRoots {
  const correlation = correlationOf(state);
  return {
    batches: askedIn(state),
    sums: [...toldIn(state)].flatMap(([key, { own }]) =>
      [...own].map(
        ([taxon, plant]) =>
          [key, taxon, correlation, [...plant.sumAt(correlation)], [...plant.trays()]] as const,
      ),
    ),
  };
}
