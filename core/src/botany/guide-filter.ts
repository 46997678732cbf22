import { COURSE } from '../course';
import { buildOf, type Build } from '../look';
import { coursesFor } from './course';
import { lightNeedOf, type LightNeed } from './light';
import { lookOf } from './look-of';
import type { MethodId } from './method';
import type { Hazard, Taxon } from './taxon';

/** What one may look for in the guide; what is left out does not matter. */
export interface GuideFilter {
  readonly way?: MethodId | undefined;
  readonly family?: string | undefined;
  readonly build?: Build | undefined;
  readonly light?: LightNeed | undefined;
  /** Some of its pieces are commonly rooted in a jar. */
  readonly inWater?: boolean | undefined;
  /** None of these. */
  readonly without?: readonly Hazard[] | undefined;
}

/** What is no plant for a house with children or pets. */
export const POISONS: readonly Hazard[] = ['latex', 'oxalate', 'irritant sap', 'poisonous'];
/** What hurts the hand. */
export const PRICKS: readonly Hazard[] = ['spines', 'glochids'];

/** The taxa that fit all that is asked, in their order. */
export function filterTaxa(taxa: readonly Taxon[], filter: GuideFilter): readonly Taxon[] {
  const { way, family, build, light, inWater, without } = filter;
  return taxa.filter(
    (t) =>
      (way === undefined || t.methods.some((m) => m.method === way)) &&
      (family === undefined || t.family === family) &&
      (build === undefined || buildOf(lookOf(t).habit) === build) &&
      (light === undefined || lightNeedOf(t) === light) &&
      (inWater !== true ||
        t.methods.some((m) =>
          coursesFor(t, m.method, m.wound).some((c) => COURSE[c].medium === 'water'),
        )) &&
      (without === undefined || !t.hazards.some((h) => without.includes(h.kind))),
  );
}
