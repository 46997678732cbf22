import type { MethodId } from '../botany';

/** Hands-on minutes for one cutting, from the cut to the label. Working assumptions. */
export const MINUTES: Readonly<Record<MethodId, number>> = {
  leaf: 0.5,
  'leaf-section': 1,
  crown: 2,
  segment: 1.5,
  trailing: 1,
  branch: 2.5,
  pad: 3,
  column: 6,
  offset: 3,
  'rooted-offset': 3,
  division: 5,
  plantlet: 0.5,
  'root-cutting': 2,
  bulbil: 0.5,
  'flower-stalk': 2,
  seed: 0.1,
  culture: 3,
};
