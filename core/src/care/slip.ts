import { lightNeedOf, lightSteps, METHOD, type LightPlace } from '../botany';
import type { CourseId } from '../course';
import { batchCode, plantOf } from '../bench';
import { addDays, type Day } from '../days';
import type { Batch, State } from '../journal';
import { cautionsFor, type Caution } from '../safety';
import { careOf } from './care-of';
import { factsOf } from './facts';
import { waterSays } from './verdict';

/** What goes with a piece that is handed over: how to keep it, as data. */
export interface Slip {
  readonly name: string;
  readonly code: string;
  /** One, and many: `crown`, `crowns`. */
  readonly piece: { readonly one: string; readonly many: string };
  readonly course: CourseId;
  readonly cutOn: Day;
  readonly pottedOn: Day | null;
  readonly rooted: boolean;
  /** No water before this day; null where it may have some at once. */
  readonly noWaterBefore: Day | null;
  /** It stands in water. */
  readonly inJar: boolean;
  /** Not set as yet: into dry mix on this day. */
  readonly setOn: Day | null;
  /** Roots may be looked for from this day on; null where it has them. */
  readonly rootsFrom: Day | null;
  /** Where it stands at first, and where it is going. */
  readonly light: { readonly now: LightPlace; readonly later: LightPlace };
  readonly cautions: readonly Caution[];
}

/** The care slip of a batch’s pieces on a day. */
export function slipOf(state: State, batch: Batch, day: Day): Slip {
  const facts = factsOf(state, batch);
  const care = careOf(state, batch, day);
  const { course } = care;
  const { one, many } = METHOD[batch.method];
  const taxon = plantOf(state, batch.taxon)?.taxon ?? null;
  const light = taxon ? lightSteps(lightNeedOf(taxon)) : lightSteps('bright');
  const water = waterSays(care, day);
  const rooted = facts.hasRoots;
  return {
    name: plantOf(state, batch.taxon)?.name ?? 'Unknown plant',
    code: batchCode(state, batch),
    piece: { one, many },
    course,
    cutOn: batch.cutOn,
    pottedOn: facts.pottedOn,
    rooted,
    noWaterBefore: facts.inJar || water.is !== 'not before' ? null : water.day,
    inJar: facts.inJar,
    setOn: facts.unset > 0 && facts.setOn !== null ? facts.setOn : null,
    rootsFrom: rooted || !facts.roots ? null : addDays(batch.cutOn, facts.roots.from),
    light: { now: light[0]!.to, later: light.at(-1)!.to },
    cautions: taxon ? cautionsFor(taxon) : [],
  };
}
